package pemblar.app.session;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.recording.RecordingService;
import pemblar.app.recording.RecordingService.Outcome;

/** Takes recordings in and finds the planned session that each belongs to. */
@Service
public class IntakeService {
    private final RecordingService recordings;
    private final RecordedRepository recorded;
    private final TrainingSessionRepository sessions;
    private final ApplicationEventPublisher events;

    IntakeService(
            RecordingService recordings,
            RecordedRepository recorded,
            TrainingSessionRepository sessions,
            ApplicationEventPublisher events) {
        this.events = events;
        this.recordings = recordings;
        this.recorded = recorded;
        this.sessions = sessions;
    }

    /** @param message what to tell the person; the session is null when the file was refused */
    public record Taken(Outcome outcome, Long sessionId, String message) {}

    /**
     * Reads a file and stores its recording, all or nothing. The same bytes twice give the session of the first time.
     *
     * @param wantedSession the planned session it belongs to; empty looks for one on its day
     */
    @Transactional
    public Taken take(Athlete athlete, String fileName, byte[] bytes, Optional<Long> wantedSession) {
        RecordingService.Read read = recordings.take(athlete, fileName, bytes);
        return switch (read.outcome()) {
            case REFUSED -> new Taken(Outcome.REFUSED, null, read.message());
            case KNOWN ->
                new Taken(
                        Outcome.KNOWN,
                        sessions.idOfRecording(read.recordingId()).orElse(null),
                        read.message());
            case DONE -> {
                SessionRow session = place(athlete, read, wantedSession);
                recordings.follow(athlete, read.recordingId(), read.sound());
                events.publishEvent(new SessionArrived(athlete.id(), session.id));
                yield new Taken(Outcome.DONE, session.id, read.message());
            }
        };
    }

    private SessionRow place(Athlete athlete, RecordingService.Read read, Optional<Long> wanted) {
        RecordedRow recording = recorded.findById(read.recordingId()).orElseThrow();
        SessionRow session = wanted.flatMap(id -> sessions.find(id, athlete.id()))
                .filter(s -> s.recording == null)
                .or(() -> nearest(sessions.open(athlete.id(), recording.day, recording.sport), recording.timerSeconds))
                .orElseGet(() -> unplanned(athlete, recording, read.name()));
        session.recording = recording;
        session.draft = false;
        forgetTold(session);
        return sessions.save(session);
    }

    private static Optional<SessionRow> nearest(List<SessionRow> open, int seconds) {
        return open.stream()
                .min(Comparator.comparingInt(
                        s -> Math.abs((s.plannedSeconds == null ? 0 : s.plannedSeconds) - seconds)));
    }

    /** What was told by hand gives way to the recording. */
    private static void forgetTold(SessionRow session) {
        session.doneSeconds = null;
        session.doneMetres = null;
        session.doneLoad = null;
    }

    /** @param name what the file calls it; empty makes one of the time of day */
    private static SessionRow unplanned(Athlete athlete, RecordedRow recording, String name) {
        return name.isEmpty()
                ? unplanned(athlete, recording)
                : new SessionRow(athlete.id(), recording.day, recording.sport, name);
    }

    public static SessionRow unplanned(Athlete athlete, RecordedRow recording) {
        int hour = athlete.local(recording.startedAt).getHour();
        String time =
                hour < 5 ? "Night" : hour < 11 ? "Morning" : hour < 14 ? "Midday" : hour < 18 ? "Afternoon" : "Evening";
        String what = recording.sport.isNamed() ? " " + recording.sport.key() : " session";
        return new SessionRow(athlete.id(), recording.day, recording.sport, time + what);
    }
}
