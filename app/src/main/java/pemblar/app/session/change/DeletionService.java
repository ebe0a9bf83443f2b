package pemblar.app.session.change;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Visit;
import pemblar.app.recording.RecordingService;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import tools.jackson.databind.json.JsonMapper;

/**
 * Deletes sessions with their recordings: gone from every page and figure at once, for good after a day, until then to
 * be brought back.
 */
@Service
public class DeletionService implements Undoable {
    private static final String KIND = "deleted-sessions";
    private static final int MOST_AT_ONCE = 500;
    private static final Duration KEPT = Duration.ofDays(1);
    private final SessionDesk desk;
    private final TrainingSessionRepository sessions;
    private final RecordingService recordings;
    private final UndoService undo;
    private final InstantSource clock;

    DeletionService(
            SessionDesk desk,
            TrainingSessionRepository sessions,
            RecordingService recordings,
            UndoService undo,
            InstantSource clock) {
        this.desk = desk;
        this.sessions = sessions;
        this.recordings = recordings;
        this.undo = undo;
        this.clock = clock;
    }

    /** @return how many were deleted */
    @Transactional
    public int delete(Visit visit, List<Long> ids) {
        desk.athlete(visit);
        List<SessionRow> rows = ids == null || ids.isEmpty() || ids.size() > MOST_AT_ONCE
                ? List.of()
                : sessions.all(visit.athleteId(), ids);
        if (rows.isEmpty()) throw new IllegalArgumentException("Choose one to " + MOST_AT_ONCE + " sessions first.");
        Instant now = clock.instant();
        for (SessionRow row : rows) row.delete(now);
        recordings.delete(
                rows.stream()
                        .filter(row -> row.recording() != null)
                        .map(row -> row.recording().id())
                        .toList(),
                now);
        undo.remember(
                visit,
                rows.size() == 1 ? "Deleted “" + rows.get(0).title() + "”." : "Deleted " + rows.size() + " sessions.",
                KIND,
                new State(rows.stream().map(r -> r.id()).toList()));
        return rows.size();
    }

    record State(List<Long> sessions) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        List<Long> ids = JsonMapper.shared().readValue(state, State.class).sessions();
        sessions.bringBack(athleteId, ids);
        recordings.bringBack(desk.forJob(athleteId), sessions.recordingsOf(ids));
    }

    /** Deletes for good what nobody brought back in a day. */
    @Transactional
    public void purge() {
        sessions.purge(clock.instant().minus(KEPT));
        recordings.purgeDeleted(clock.instant().minus(KEPT));
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> purgeDeleted(ObjectProvider<DeletionService> service) {
            return Tasks.recurring("purge-deleted", FixedDelay.ofHours(6))
                    .execute((instance, context) -> service.getObject().purge());
        }
    }
}
