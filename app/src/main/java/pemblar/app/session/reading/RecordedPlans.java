package pemblar.app.session.reading;

import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.recording.PlannedFor;
import pemblar.app.recording.RecordingsGoing;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;

/** Tells recordings what was planned for them, and lets go of those that go for good. */
@Component
class RecordedPlans implements PlannedFor {
    private final TrainingSessionRepository sessions;

    RecordedPlans(TrainingSessionRepository sessions) {
        this.sessions = sessions;
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<Plan> recording(long recordingId) {
        return sessions.ofRecordings(List.of(recordingId)).stream().findFirst().map(RecordedPlans::plan);
    }

    static Plan plan(SessionRow row) {
        return new Plan(row.plannedLoad(), row.plannedSeconds(), row.isPlanned() ? row.workout() : null);
    }

    @EventListener
    @Transactional
    public void going(RecordingsGoing gone) {
        sessions.purgeOfRecordings(gone.recordingIds());
        sessions.partFrom(gone.recordingIds());
    }
}
