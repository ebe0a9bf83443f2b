package pemblar.app.session;

import java.time.InstantSource;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Shown;
import pemblar.app.frame.Viewer;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import pemblar.core.load.SessionSummary;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Mending;
import pemblar.core.mending.Proposal;
import pemblar.core.mending.Proposals;
import pemblar.core.recording.Recording;
import pemblar.core.threshold.Quantity;
import tools.jackson.databind.json.JsonMapper;

/**
 * Corrections of recordings: proposed, made by one action, listed, taken back. Summary, best efforts and trend follow
 * at once.
 */
@Service
public class MendingService implements Undoable {
    private static final String KIND = "mending";
    private static final int MOST_EDITS = 200;
    private static final int LONGEST_REASON = 200;
    private static final int YEARS_OF_BESTS = 2;
    private static final int CLOCK_HOURS = 24;
    private final SessionDesk desk;
    private final EditRepository edits;
    private final RecordingRepository recordings;
    private final RecordingService summaries;
    private final RecordingDataRepository data;
    private final MendedRecordings mended;
    private final EffortService efforts;
    private final TrainingSessionRepository sessions;
    private final UndoService undo;
    private final InstantSource clock;

    MendingService(
            SessionDesk desk,
            EditRepository edits,
            RecordingRepository recordings,
            RecordingService summaries,
            RecordingDataRepository data,
            MendedRecordings mended,
            EffortService efforts,
            TrainingSessionRepository sessions,
            UndoService undo,
            InstantSource clock) {
        this.desk = desk;
        this.edits = edits;
        this.recordings = recordings;
        this.summaries = summaries;
        this.data = data;
        this.mended = mended;
        this.efforts = efforts;
        this.sessions = sessions;
        this.undo = undo;
        this.clock = clock;
    }

    /** A correction that was made. @param what TRIM, HIDE, BRIDGE or REPLACE @param from second of the original */
    public record Made(
            long id, String what, String channel, int from, int to, String reason, String by, java.time.Instant at) {
        static Made of(EditRow e) {
            return new Made(e.id, e.kind.name(), e.channel, e.fromSecond, e.toSecond, e.reason, e.madeBy, e.madeAt);
        }
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

    /**
     * Proposals are on the grid of the original, as edits are; what is mended already is not proposed again. For a
     * session that the caller has opened.
     */
    @Transactional(readOnly = true)
    public Sheet sheet(SessionService.Opened opened) {
        if (opened.stored().isEmpty()) return new Sheet(List.of(), Map.of(), List.of(), List.of());
        long id = opened.stored().get().facts().recordingId();
        Recording recording = opened.recording().orElseThrow();
        List<Proposal> found = Proposals.of(recording, known(opened, id));
        List<Proposal> proposals =
                found.stream().map(p -> shifted(p, opened.trimmed())).toList();
        return new Sheet(proposals, loadAfter(opened, found), opened.corrections(), others(opened, id));
    }

    /** A preview: the load with the proposals of each kind accepted. */
    private Map<Proposal.Kind, Double> loadAfter(SessionService.Opened opened, List<Proposal> found) {
        Map<Proposal.Kind, Double> after = new EnumMap<>(Proposal.Kind.class);
        if (found.isEmpty()) return after;
        RecordingRow row = recordings
                .findById(opened.stored().orElseThrow().facts().recordingId())
                .orElseThrow();
        for (Proposal.Kind kind : found.stream().map(Proposal::kind).distinct().toList()) {
            Recording mended = Mending.apply(
                    opened.recording().orElseThrow(),
                    found.stream()
                            .filter(p -> p.kind() == kind)
                            .map(Proposal::edit)
                            .toList());
            row.counting(SessionSummary.of(mended.sound(), opened.zones()).loads())
                    .ifPresent(c -> after.put(kind, c.points()));
        }
        return after;
    }

    private Proposals.Known known(SessionService.Opened opened, long recordingId) {
        double kilograms = opened.thresholds().get(Quantity.BODY_MASS).orElse(Double.NaN);
        double best = Double.NaN;
        if (Proposals.needsBest(opened.recording().orElseThrow(), kilograms))
            best = efforts.bestSecondBefore(
                    opened.athlete(),
                    opened.slab().sport(),
                    opened.slab().day().minusYears(YEARS_OF_BESTS),
                    opened.slab().day(),
                    recordingId);
        return new Proposals.Known(
                best,
                kilograms,
                opened.thresholds().get(Quantity.MAXIMUM_HEART_RATE).orElse(Double.NaN));
    }

    private static Proposal shifted(Proposal p, int by) {
        if (by == 0) return p;
        Edit edit = p.edit() instanceof Edit.Hide hide
                ? new Edit.Hide(hide.channel(), hide.from() + by, hide.to() + by)
                : p.edit() instanceof Edit.Bridge bridge
                        ? new Edit.Bridge(bridge.channel(), bridge.from() + by, bridge.to() + by)
                        : new Edit.Trim(p.edit().from(), p.edit().to() + by);
        return new Proposal(p.kind(), edit, p.seconds(), p.value());
    }

    private List<Other> others(SessionService.Opened opened, long recordingId) {
        var facts = opened.stored().orElseThrow().facts();
        java.time.Instant end = facts.startedAt().plusMillis(Math.round(1000 * facts.elapsedSeconds()));
        return recordings.atTheSameTime(opened.athlete().id(), recordingId, facts.startedAt(), end).stream()
                .map(r -> new Other(
                        r.id,
                        sessions.ofRecordings(List.of(r.id)).stream()
                                .findFirst()
                                .map(s -> s.title)
                                .orElse(r.fileName),
                        List.copyOf(mended.read(r.id).channels().keySet())))
                .toList();
    }

    /**
     * What is asked for. @param from second of the original @param shiftSeconds how far the other device's clock is
     * behind
     */
    public record Wanted(
            String what, String channel, int from, int to, String reason, Long otherRecordingId, double shiftSeconds) {}

    /** Makes a correction. @throws IllegalArgumentException naming what cannot be */
    @Transactional
    public void mend(long athleteId, Viewer viewer, long sessionId, List<Wanted> all) {
        SessionRow session = recorded(athleteId, viewer, sessionId);
        RecordingRow recording = session.recording;
        Recording original = ChannelColumn.read(data.findById(recording.id).orElseThrow().channels);
        List<EditRow> before = edits.findByRecordingIdOrderById(recording.id);
        if (before.size() + all.size() > MOST_EDITS)
            throw new IllegalArgumentException(
                    "A recording can have at most " + MOST_EDITS + " corrections. Take some back first.");
        List<Kept> kept = before.stream().map(Kept::of).toList();
        for (Wanted wanted : all) {
            EditRow edit = row(athleteId, viewer, recording, original, wanted);
            if (before.stream().noneMatch(edit::isSameAs)) edits.save(edit);
        }
        edits.flush();
        left(recording.id, original);
        summaries.refresh(desk.athlete(athleteId, viewer), recording);
        undo.remember(
                athleteId, viewer, label(all) + " in “" + session.title + "”.", KIND, new State(recording.id, kept));
    }

    private static String label(List<Wanted> all) {
        if (all.size() > 1) return all.size() + " corrections";
        Wanted one = all.get(0);
        return switch (one.what()) {
            case "TRIM" -> "Trimmed the recording";
            case "HIDE" -> "Hid " + Shown.channel(one.channel());
            case "BRIDGE" -> "Bridged " + Shown.channel(one.channel());
            default -> "Replaced " + Shown.channel(one.channel());
        };
    }

    /** At least a few seconds, and something measured, must be left. */
    private void left(long recordingId, Recording original) {
        Recording after = Mending.apply(
                original, mended.applied(edits.findByRecordingIdOrderById(recordingId), original, key -> true));
        if (after.seconds() < 5 || after.channels().isEmpty())
            throw new IllegalArgumentException("Nothing of the recording would be left. Delete the session instead.");
    }

    private EditRow row(long athleteId, Viewer viewer, RecordingRow recording, Recording original, Wanted wanted) {
        EditRow.Kind kind = java.util.Arrays.stream(EditRow.Kind.values())
                .filter(k -> k.name().equals(wanted.what()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("This correction is not known."));
        int from = Math.max(0, wanted.from());
        int to = Math.min(original.seconds(), wanted.to());
        if (to <= from)
            throw new IllegalArgumentException("Stretch: choose a start before the end, inside the recording.");
        if (kind == EditRow.Kind.TRIM && from == 0 && to == original.seconds())
            throw new IllegalArgumentException("Trim: select the part to keep first; now all would be kept.");
        if (kind != EditRow.Kind.TRIM
                && kind != EditRow.Kind.REPLACE
                && !original.channels().containsKey(wanted.channel())
                && !replaced(recording.id, wanted.channel()))
            throw new IllegalArgumentException(
                    "Channel: this recording has no " + Shown.channel(wanted.channel()) + ".");
        EditRow row = new EditRow(
                recording.id,
                kind,
                wanted.channel() == null || kind == EditRow.Kind.TRIM ? "" : wanted.channel(),
                from,
                to);
        if (kind == EditRow.Kind.REPLACE) borrow(athleteId, row, wanted, original);
        String reason = wanted.reason() == null ? "" : wanted.reason().strip();
        row.reason = reason.length() > LONGEST_REASON ? reason.substring(0, LONGEST_REASON) : reason;
        row.madeBy = viewer.name();
        row.madeAt = clock.instant();
        return row;
    }

    private boolean replaced(long recordingId, String channel) {
        return edits.findByRecordingIdOrderById(recordingId).stream()
                .anyMatch(e -> e.kind == EditRow.Kind.REPLACE && e.channel.equals(channel));
    }

    private void borrow(long athleteId, EditRow row, Wanted wanted, Recording original) {
        RecordingRow other = recordings
                .findById(wanted.otherRecordingId() == null ? -1 : wanted.otherRecordingId())
                .filter(r -> r.athleteId == athleteId)
                .orElseThrow(() -> new NotFoundException("recording"));
        if (!(Math.abs(wanted.shiftSeconds()) <= CLOCK_HOURS * 3600))
            throw new IllegalArgumentException("Clock: enter at most 24 hours.");
        row.otherRecordingId = other.id;
        row.shiftSeconds = wanted.shiftSeconds();
        if (mended.other(row, original).isEmpty())
            throw new IllegalArgumentException("The other recording has no " + Shown.channel(wanted.channel())
                    + " at the same time. Check how far the clocks are apart.");
    }

    /** Takes one correction back, whichever it is. */
    @Transactional
    public void takeBack(long athleteId, Viewer viewer, long sessionId, long editId) {
        SessionRow session = recorded(athleteId, viewer, sessionId);
        EditRow row = edits.findByIdAndRecordingId(editId, session.recording.id)
                .orElseThrow(() -> new NotFoundException("correction"));
        List<Kept> kept = edits.findByRecordingIdOrderById(session.recording.id).stream()
                .map(Kept::of)
                .toList();
        edits.delete(row);
        edits.flush();
        summaries.refresh(desk.athlete(athleteId, viewer), session.recording);
        undo.remember(
                athleteId,
                viewer,
                "Took a correction of “" + session.title + "” back.",
                KIND,
                new State(session.recording.id, kept));
    }

    private SessionRow recorded(long athleteId, Viewer viewer, long sessionId) {
        SessionRow session = desk.require(athleteId, viewer, sessionId);
        if (session.recording == null) throw new NotFoundException("recording");
        return session;
    }

    /** A correction as it was before a change. */
    record Kept(
            String kind,
            String channel,
            int from,
            int to,
            Long other,
            double shift,
            String reason,
            String by,
            String at) {
        static Kept of(EditRow e) {
            return new Kept(
                    e.kind.name(),
                    e.channel,
                    e.fromSecond,
                    e.toSecond,
                    e.otherRecordingId,
                    e.shiftSeconds,
                    e.reason,
                    e.madeBy,
                    e.madeAt.toString());
        }

        EditRow row(long recordingId) {
            EditRow row = new EditRow(recordingId, EditRow.Kind.valueOf(kind), channel, from, to);
            row.otherRecordingId = other;
            row.shiftSeconds = shift;
            row.reason = reason;
            row.madeBy = by;
            row.madeAt = java.time.Instant.parse(at);
            return row;
        }
    }

    record State(long recordingId, List<Kept> edits) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        State before = JsonMapper.shared().readValue(state, State.class);
        Optional<RecordingRow> recording =
                recordings.findById(before.recordingId()).filter(r -> r.athleteId == athleteId);
        if (recording.isEmpty()) return;
        edits.deleteAll(edits.findByRecordingIdOrderById(before.recordingId()));
        edits.flush();
        for (Kept kept : before.edits()) edits.save(kept.row(before.recordingId()));
        edits.flush();
        summaries.refresh(desk.forJob(athleteId), recording.get());
    }
}
