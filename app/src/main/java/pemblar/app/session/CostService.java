package pemblar.app.session;

import java.time.Instant;
import java.time.InstantSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import pemblar.core.load.LoadChoice;
import pemblar.core.load.SessionLoad;
import pemblar.core.load.SessionLoad.Source;
import tools.jackson.databind.json.JsonMapper;

/**
 * Which load of a session counts: by choice or set by hand, with a reason, and with who said so and when. What was
 * computed stays.
 */
@Service
public class CostService implements Undoable {
    private static final String KIND = "load-choice";
    private static final int LONGEST_REASON = 200;
    private final SessionDesk desk;
    private final RecordingRepository recordings;
    private final UndoService undo;
    private final InstantSource clock;

    CostService(SessionDesk desk, RecordingRepository recordings, UndoService undo, InstantSource clock) {
        this.desk = desk;
        this.recordings = recordings;
        this.undo = undo;
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

    /** @throws IllegalArgumentException naming the field that cannot be */
    @Transactional
    public void choose(long athleteId, Viewer viewer, long sessionId, Wanted wanted) {
        SessionRow session = desk.require(athleteId, viewer, sessionId);
        if (session.recording == null) throw new NotFoundException("recording");
        RecordingRow row = session.recording;
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
        if (wanted.effort() != null) {
            SessionLoad.ofPerceivedEffort(row.timerSeconds, wanted.effort());
            row.perceivedEffort = wanted.effort();
        }
        if (choice.chosen() != null
                && !row.allLoads(SummaryJson.loads(row.loads)).containsKey(choice.chosen()))
            throw new IllegalArgumentException("Source: this session has no load from it.");
        row.chosenSource = choice.chosen();
        row.setLoad = choice.set();
        row.loadReason = reason;
        row.loadBy = viewer.name();
        row.loadAt = clock.instant();
        row.count();
        undo.remember(
                athleteId,
                viewer,
                "The load of “" + session.title + "” is now "
                        + (row.loadPoints == null ? "not known" : String.valueOf(Math.round(row.loadPoints))) + ".",
                KIND,
                before);
    }

    /** How hard it felt, 0 to 10; which load counts stays as it was chosen. */
    @Transactional
    public void felt(long athleteId, Viewer viewer, long sessionId, double effort) {
        SessionRow session = desk.require(athleteId, viewer, sessionId);
        if (session.recording == null) throw new NotFoundException("recording");
        SessionLoad.ofPerceivedEffort(session.recording.timerSeconds, effort);
        Was before = Was.of(session.recording);
        session.recording.perceivedEffort = effort;
        session.recording.count();
        undo.remember(
                athleteId, viewer, "“" + session.title + "” felt like " + Math.round(effort) + " of 10.", KIND, before);
    }

    /** The choice as it was. */
    record Was(long recordingId, String source, Double set, String reason, String by, String at, Double effort) {
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

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        Was was = JsonMapper.shared().readValue(state, Was.class);
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
