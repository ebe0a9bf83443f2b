package pemblar.app.recording;

import java.time.Instant;
import java.time.InstantSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Visit;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.core.load.LoadChoice;
import pemblar.core.load.SessionLoad;
import pemblar.core.load.SessionLoad.Source;

/** Which load of a recording counts: by choice or set by hand, with a reason, and with who said so and when. */
@Service
public class LoadChoices {
    private static final int LONGEST_REASON = 200;
    private final RecordingRepository recordings;
    private final InstantSource clock;

    LoadChoices(RecordingRepository recordings, InstantSource clock) {
        this.recordings = recordings;
        this.clock = clock;
    }

    /**
     * @param source null for the order of preference, SET for a value of one's own @param points of that value @param
     *     effort perceived, 0..10; null leaves it
     */
    public record Wanted(Source source, Double points, String reason, Double effort) {
        private static final double SAME = 0.05;

        /**
         * Who types a value means it, whatever the list above still says; one that stood there already says nothing.
         */
        private boolean isTypedAnew(Double there) {
            return points != null && (there == null || Math.abs(points - there) > SAME);
        }
    }

    /** What a choice did. @param points that count now; null when no load is known @param before what to restore */
    public record Chosen(Double points, Was before) {}

    /** What was computed stays. @throws IllegalArgumentException naming the field that cannot be */
    @Transactional
    public Chosen choose(Visit visit, long recordingId, Wanted wanted) {
        RecordingRow row = recordings.require(visit.athleteId(), recordingId);
        Was before = Was.of(row);
        String reason = wanted.reason() == null ? "" : wanted.reason().strip();
        if (reason.length() > LONGEST_REASON)
            throw new IllegalArgumentException("Reason: enter at most " + LONGEST_REASON + " characters.");
        boolean set = wanted.source() == Source.SET || wanted.isTypedAnew(row.setLoad);
        if (set && wanted.points() == null)
            throw new IllegalArgumentException("Load: enter the points that should count.");
        if (set && reason.isEmpty())
            throw new IllegalArgumentException(
                    "Reason: say why another load counts, such as standing, heat or strength work.");
        LoadChoice choice = new LoadChoice(set ? null : wanted.source(), set ? wanted.points() : null);
        if (wanted.effort() != null) feel(row, wanted.effort());
        if (choice.chosen() != null
                && !row.allLoads(SummaryJson.loads(row.loads)).containsKey(choice.chosen()))
            throw new IllegalArgumentException("Source: this session has no load from it.");
        row.chosenSource = choice.chosen();
        row.setLoad = choice.set();
        row.loadReason = reason;
        row.loadBy = visit.viewer().name();
        row.loadAt = clock.instant();
        row.count();
        return new Chosen(row.loadPoints, before);
    }

    /** How hard it felt, 0 to 10; which load counts stays as it was chosen. */
    @Transactional
    public Chosen felt(long athleteId, long recordingId, double effort) {
        RecordingRow row = recordings.require(athleteId, recordingId);
        Was before = Was.of(row);
        feel(row, effort);
        row.count();
        return new Chosen(row.loadPoints, before);
    }

    private static void feel(RecordingRow row, double effort) {
        SessionLoad.ofPerceivedEffort(row.timerSeconds, effort); // refuses what is no effort
        row.perceivedEffort = effort;
    }

    /** The choice as it was. */
    public record Was(long recordingId, String source, Double set, String reason, String by, String at, Double effort) {
        static Was of(RecordingRow r) {
            return new Was(
                    r.id,
                    r.chosenSource == null ? null : r.chosenSource.name(),
                    r.setLoad,
                    r.loadReason,
                    r.loadBy,
                    r.loadAt == null ? null : r.loadAt.toString(),
                    r.perceivedEffort);
        }
    }

    /** Puts a choice back as it was; without effect when the recording is gone. */
    @Transactional
    public void putBack(long athleteId, Was was) {
        recordings
                .findById(was.recordingId())
                .filter(r -> r.athleteId == athleteId)
                .ifPresent(r -> {
                    r.chosenSource = was.source() == null ? null : Source.valueOf(was.source());
                    r.setLoad = was.set();
                    r.loadReason = was.reason();
                    r.loadBy = was.by();
                    r.loadAt = was.at() == null ? null : Instant.parse(was.at());
                    r.perceivedEffort = was.effort();
                    r.count();
                });
    }
}
