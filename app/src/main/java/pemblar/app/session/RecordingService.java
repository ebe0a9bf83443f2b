package pemblar.app.session;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.Sport;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.threshold.Thresholds;
import pemblar.formats.Reading;
import pemblar.formats.RecordingFiles;

/** Takes recordings in: reads, summarises, stores, and finds the planned session they belong to. */
@Service
public class RecordingService {
    private static final int PROBLEMS_LENGTH = 4000;
    private final RecordingRepository recordings;
    private final RecordingDataRepository data;
    private final TrainingSessionRepository sessions;
    private final ThresholdService thresholds;

    RecordingService(RecordingRepository recordings, RecordingDataRepository data, TrainingSessionRepository sessions, ThresholdService thresholds) {
        this.recordings = recordings;
        this.data = data;
        this.sessions = sessions;
        this.thresholds = thresholds;
    }

    /** What became of a file. */
    public enum Outcome { DONE, KNOWN, REFUSED }

    /** @param message what to tell the person; the session is null when the file was refused */
    public record Taken(Outcome outcome, Long sessionId, String message) {}

    /**
     * Reads a file and stores its recording, all or nothing. The same bytes twice give the session of the first time.
     * @param wantedSession the planned session it belongs to; empty looks for one on its day
     */
    @Transactional
    public Taken take(Athlete athlete, String fileName, byte[] bytes, Optional<Long> wantedSession) {
        String hash = sha256(bytes);
        Optional<RecordingRow> known = recordings.findByAthleteIdAndSha256(athlete.id(), hash);
        if (known.isPresent())
            return new Taken(Outcome.KNOWN, sessions.idOfRecording(known.get().id).orElse(null), "This file is already here, from " + known.get().day + ". Nothing was changed.");
        Reading reading = read(bytes, athlete);
        String problems = reading.problems().stream().map(Reading.Problem::toString).collect(Collectors.joining("\n"));
        if (reading.recording().isEmpty()) return new Taken(Outcome.REFUSED, null, problems);
        Recording recording = reading.recording().get();
        LocalDate day = athlete.dayOf(recording.start());
        Thresholds values = thresholds.of(athlete).on(day);
        SessionSummary summary = SessionSummary.of(recording, values);
        RecordingRow row = new RecordingRow(athlete.id(), hash, fileName, day, problems.length() > PROBLEMS_LENGTH ? problems.substring(0, PROBLEMS_LENGTH) : problems);
        row.fill(recording, summary, Silhouettes.done(recording, values));
        recordings.save(row);
        data.save(new RecordingDataRow(row.id, bytes, ChannelColumn.write(recording), SummaryJson.bests(summary.bests())));
        SessionRow session = place(athlete, row, wantedSession);
        return new Taken(Outcome.DONE, session.id, problems);
    }

    /** A file that does not name its sport is read as the athlete's own, when the athlete has one. */
    private static Reading read(byte[] bytes, Athlete athlete) {
        Reading reading = RecordingFiles.read(bytes, Optional.empty());
        boolean unnamed = reading.recording().isPresent() && reading.recording().get().sport() == Sport.OTHER;
        return unnamed && athlete.sport() != Sport.OTHER ? RecordingFiles.read(bytes, Optional.of(athlete.sport())) : reading;
    }

    private SessionRow place(Athlete athlete, RecordingRow recording, Optional<Long> wanted) {
        Optional<SessionRow> planned = wanted.flatMap(id -> sessions.find(id, athlete.id())).filter(s -> s.recording == null)
            .or(() -> sessions.open(athlete.id(), recording.day, recording.sport).stream()
                .min(Comparator.comparingInt(s -> Math.abs((s.plannedSeconds == null ? 0 : s.plannedSeconds) - recording.timerSeconds))));
        SessionRow session = planned.orElseGet(() -> unplanned(athlete, recording));
        session.recording = recording;
        return sessions.save(session);
    }

    static SessionRow unplanned(Athlete athlete, RecordingRow recording) {
        int hour = recording.startedAt.atZone(athlete.zone()).getHour();
        String time = hour < 5 ? "Night" : hour < 11 ? "Morning" : hour < 14 ? "Midday" : hour < 18 ? "Afternoon" : "Evening";
        String what = recording.sport == Sport.RUN ? " run" : recording.sport == Sport.RIDE ? " ride" : " session";
        return new SessionRow(athlete.id(), recording.day, recording.sport, time + what);
    }

    /** Computes one recording's summary anew with the values of its day. */
    @Transactional
    public void recompute(Athlete athlete, long recordingId) {
        RecordingRow row = recordings.findById(recordingId).orElse(null);
        RecordingDataRow stored = data.findById(recordingId).orElse(null);
        if (row == null || stored == null) return;
        Recording recording = ChannelColumn.read(stored.channels);
        Thresholds values = thresholds.of(athlete).on(row.day);
        row.fill(recording, SessionSummary.of(recording, values), Silhouettes.done(recording, values));
    }

    @Transactional(readOnly = true)
    public List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, long after) {
        return recordings.idsIn(athleteId, from, until, after);
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java runtime has SHA-256", e);
        }
    }
}
