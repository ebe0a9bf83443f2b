package pemblar.app.session.done;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortSource;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.recording.RecordingFacts;
import pemblar.app.recording.RecordingReading;
import pemblar.app.recording.mend.Corrections;
import pemblar.app.recording.mend.Corrections.Kept;
import pemblar.app.recording.mend.Corrections.Made;
import pemblar.app.recording.mend.Corrections.Wanted;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import pemblar.core.mending.Proposal;
import tools.jackson.databind.json.JsonMapper;

/** Corrections of a session's recording, each under the session's name for undo. */
@Service
public class MendingService implements Undoable {
    private static final String KIND = "mending";
    private final SessionDesk desk;
    private final Corrections corrections;
    private final RecordingReading recordings;
    private final TrainingSessionRepository sessions;
    private final UndoService undo;

    MendingService(
            SessionDesk desk,
            Corrections corrections,
            RecordingReading recordings,
            TrainingSessionRepository sessions,
            UndoService undo) {
        this.desk = desk;
        this.corrections = corrections;
        this.recordings = recordings;
        this.sessions = sessions;
        this.undo = undo;
    }

    /**
     * What can be mended and what was. @param loadAfter points that would count if all proposals of a kind were
     * accepted @param others recordings that ran at the same time and could lend a channel
     */
    public record Sheet(
            List<Proposal> proposals, Map<Proposal.Kind, Double> loadAfter, List<Made> made, List<Other> others) {
        public boolean isEmpty() {
            return proposals.isEmpty() && made.isEmpty() && others.isEmpty();
        }
    }

    /** Another recording of the same time. */
    public record Other(long recordingId, String title, List<String> channels) {}

    /** For a session that the caller has opened. */
    @Transactional(readOnly = true)
    public Sheet sheet(SessionService.Opened opened) {
        if (opened.stored().isEmpty()) return new Sheet(List.of(), Map.of(), List.of(), List.of());
        RecordingFacts facts = opened.stored().get().facts();
        Corrections.Proposed proposed = corrections.proposed(
                opened.athlete(),
                new Corrections.Looked(
                        source(opened, facts.recordingId()),
                        opened.recording().orElseThrow(),
                        opened.trimmed(),
                        opened.corrections(),
                        opened.zones()));
        return new Sheet(
                proposed.proposals(), proposed.loadAfter(), opened.corrections(), others(opened.athlete(), facts));
    }

    private static EffortSource source(SessionService.Opened opened, long recordingId) {
        return new EffortSource(
                recordingId,
                opened.athlete().id(),
                opened.slab().sport(),
                opened.slab().day());
    }

    private List<Other> others(Athlete athlete, RecordingFacts facts) {
        return recordings.atTheSameTime(athlete, facts).stream()
                .map(r -> new Other(r.recordingId(), title(r), List.copyOf(r.channels())))
                .toList();
    }

    private String title(RecordingReading.Other other) {
        return sessions.ofRecordings(List.of(other.recordingId())).stream()
                .findFirst()
                .map(s -> s.title())
                .orElse(other.fileName());
    }

    /** Makes a correction. @throws IllegalArgumentException naming what cannot be */
    @Transactional
    public void mend(Visit visit, long sessionId, List<Wanted> all) {
        SessionRow session = desk.recorded(visit, sessionId);
        List<Kept> before = corrections.mend(
                desk.athlete(visit), visit.viewer(), session.recording().id(), all);
        undo.remember(
                visit,
                label(all) + " in “" + session.title() + "”.",
                KIND,
                new State(session.recording().id(), before));
    }

    private static String label(List<Wanted> all) {
        if (all.size() > 1)
            return all.stream().allMatch(w -> w.what().equals("KEEP"))
                    ? "Found " + all.size() + " stretches right"
                    : all.size() + " corrections";
        Wanted one = all.get(0);
        return switch (one.what()) {
            case "TRIM" -> "Trimmed the recording";
            case "HIDE" -> "Hid " + Shown.channel(one.channel());
            case "BRIDGE" -> "Bridged " + Shown.channel(one.channel());
            case "KEEP" -> "Found " + (one.channel().isEmpty() ? "the end" : Shown.channel(one.channel())) + " right";
            default -> "Replaced " + Shown.channel(one.channel());
        };
    }

    /** Takes one correction back, whichever it is. */
    @Transactional
    public void takeBack(Visit visit, long sessionId, long editId) {
        SessionRow session = desk.recorded(visit, sessionId);
        List<Kept> before =
                corrections.takeBack(desk.athlete(visit), session.recording().id(), editId);
        undo.remember(
                visit,
                "Took a correction of “" + session.title() + "” back.",
                KIND,
                new State(session.recording().id(), before));
    }

    record State(long recordingId, List<Kept> edits) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        State before = JsonMapper.shared().readValue(state, State.class);
        corrections.putBack(desk.forJob(athleteId), before.recordingId(), before.edits());
    }
}
