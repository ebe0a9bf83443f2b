package pemblar.app.recording.mend;

import java.time.Instant;
import java.time.InstantSource;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortSource;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.recording.Doubts;
import pemblar.app.recording.Summaries;
import pemblar.app.recording.bytes.ChannelColumn;
import pemblar.app.recording.bytes.RecordingBytes;
import pemblar.core.load.SessionSummary;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Mending;
import pemblar.core.mending.Proposal;
import pemblar.core.mending.Proposals;
import pemblar.core.recording.Recording;
import pemblar.core.zone.Zones;

/**
 * Corrections of recordings: proposed, made by one action, listed, taken back. Summary, best efforts and trend follow
 * at once. Whoever calls has asked whether the person may.
 */
@Service
public class Corrections {
    private static final int MOST_EDITS = 200;
    private static final int LONGEST_REASON = 200;
    private static final int CLOCK_HOURS = 24;
    private final EditRepository edits;
    private final Summaries summaries;
    private final RecordingBytes bytes;
    private final MendedRecordings mended;
    private final Doubts doubts;
    private final InstantSource clock;

    Corrections(
            EditRepository edits,
            Summaries summaries,
            RecordingBytes bytes,
            MendedRecordings mended,
            Doubts doubts,
            InstantSource clock) {
        this.edits = edits;
        this.summaries = summaries;
        this.bytes = bytes;
        this.mended = mended;
        this.doubts = doubts;
        this.clock = clock;
    }

    /** A correction that was made. @param what the name of its kind @param from second of the original */
    public record Made(long id, String what, String channel, int from, int to, String reason, String by, Instant at) {
        static List<Edit.Keep> kept(List<Made> all) {
            return all.stream()
                    .filter(m -> m.what.equals(EditRow.Kind.KEEP.name()))
                    .map(m -> new Edit.Keep(m.channel, m.from, m.to))
                    .toList();
        }

        static Made of(EditRow e) {
            return new Made(e.id, e.kind.name(), e.channel, e.fromSecond, e.toSecond, e.reason, e.madeBy, e.madeAt);
        }
    }

    /**
     * What could be mended.
     *
     * @param proposals on the grid of the original, as corrections are
     * @param loadAfter points that would count if all proposals of a kind were accepted
     */
    public record Proposed(List<Proposal> proposals, Map<Proposal.Kind, Double> loadAfter) {}

    /** A recording as it counts, to be looked at. @param trimmed seconds cut off the start of the original */
    public record Looked(EffortSource of, Recording recording, int trimmed, List<Made> made, Zones zones) {}

    /** What is mended already, or was found right, is not proposed again. */
    @Transactional(readOnly = true)
    public Proposed proposed(Athlete athlete, Looked at) {
        List<Proposal> found = Proposals.unlessKept(
                Proposals.of(at.recording(), doubts.known(athlete, at.of(), at.recording(), at.zones())),
                at.trimmed(),
                Made.kept(at.made()));
        return new Proposed(found.stream().map(p -> p.shifted(at.trimmed())).toList(), loadAfter(at, found));
    }

    /** A preview: the load with the proposals of each kind accepted. */
    private Map<Proposal.Kind, Double> loadAfter(Looked at, List<Proposal> found) {
        Map<Proposal.Kind, Double> after = new EnumMap<>(Proposal.Kind.class);
        if (found.isEmpty()) return after;
        for (Proposal.Kind kind : found.stream().map(Proposal::kind).distinct().toList()) {
            List<Edit> accepted = found.stream()
                    .filter(p -> p.kind() == kind)
                    .map(Proposal::edit)
                    .toList();
            Recording mended = Mending.apply(at.recording(), accepted);
            summaries
                    .counting(
                            at.of().recordingId(),
                            SessionSummary.of(mended.sound(), at.zones()).loads())
                    .ifPresent(c -> after.put(kind, c.points()));
        }
        return after;
    }

    /**
     * What is asked for. @param from second of the original @param shiftSeconds how far the other device's clock is
     * behind
     */
    public record Wanted(
            String what, String channel, int from, int to, String reason, Long otherRecordingId, double shiftSeconds) {}

    /** Makes corrections. @return those of before @throws IllegalArgumentException naming what cannot be */
    @Transactional
    public List<Kept> mend(Athlete athlete, Viewer viewer, long recordingId, List<Wanted> all) {
        summaries.require(athlete.id(), recordingId);
        Recording original = ChannelColumn.read(bytes.channels(recordingId));
        List<EditRow> before = edits.findByRecordingIdOrderById(recordingId);
        if (all.size() > MOST_EDITS)
            throw new IllegalArgumentException(
                    "These are " + all.size() + " stretches, and a recording can have at most " + MOST_EDITS
                            + " corrections. Hide the whole channel instead, under Mending in the session.");
        if (before.size() + all.size() > MOST_EDITS)
            throw new IllegalArgumentException(
                    "A recording can have at most " + MOST_EDITS + " corrections. Take some back first.");
        List<Kept> kept = before.stream().map(Kept::of).toList();
        for (Wanted wanted : all) {
            EditRow edit = row(new Visit(athlete.id(), viewer), recordingId, original, wanted);
            if (before.stream().noneMatch(edit::isSameAs)) edits.save(edit);
        }
        edits.flush();
        left(recordingId, original);
        summaries.refresh(athlete, recordingId);
        return kept;
    }

    /** At least a few seconds, and something measured, must be left. */
    private void left(long recordingId, Recording original) {
        Recording after = Mending.apply(
                original, mended.applied(edits.findByRecordingIdOrderById(recordingId), original, key -> true));
        if (after.seconds() < 5 || after.channels().isEmpty())
            throw new IllegalArgumentException("Nothing of the recording would be left. Delete the session instead.");
    }

    private EditRow row(Visit visit, long recordingId, Recording original, Wanted wanted) {
        EditRow.Kind kind = Arrays.stream(EditRow.Kind.values())
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
                && !(kind == EditRow.Kind.KEEP && wanted.channel().isEmpty())
                && !original.channels().containsKey(wanted.channel())
                && !replaced(recordingId, wanted.channel()))
            throw new IllegalArgumentException(
                    "Channel: this recording has no " + Shown.channel(wanted.channel()) + ".");
        EditRow row = new EditRow(
                recordingId,
                kind,
                wanted.channel() == null || kind == EditRow.Kind.TRIM ? "" : wanted.channel(),
                from,
                to);
        if (kind == EditRow.Kind.REPLACE) borrow(visit.athleteId(), row, wanted, original);
        String reason = wanted.reason() == null ? "" : wanted.reason().strip();
        row.reason = reason.length() > LONGEST_REASON ? reason.substring(0, LONGEST_REASON) : reason;
        row.madeBy = visit.viewer().name();
        row.madeAt = clock.instant();
        return row;
    }

    private boolean replaced(long recordingId, String channel) {
        return edits.findByRecordingIdOrderById(recordingId).stream()
                .anyMatch(e -> e.kind == EditRow.Kind.REPLACE && e.channel.equals(channel));
    }

    private void borrow(long athleteId, EditRow row, Wanted wanted, Recording original) {
        long other = wanted.otherRecordingId() == null ? -1 : wanted.otherRecordingId();
        summaries.require(athleteId, other);
        if (!(Math.abs(wanted.shiftSeconds()) <= CLOCK_HOURS * 3600))
            throw new IllegalArgumentException("Clock: enter at most 24 hours.");
        row.otherRecordingId = other;
        row.shiftSeconds = wanted.shiftSeconds();
        if (mended.other(row, original).isEmpty())
            throw new IllegalArgumentException("The other recording has no " + Shown.channel(wanted.channel())
                    + " at the same time. Check how far the clocks are apart.");
    }

    /** Takes one correction back, whichever it is. @return those of before */
    @Transactional
    public List<Kept> takeBack(Athlete athlete, long recordingId, long editId) {
        summaries.require(athlete.id(), recordingId);
        EditRow row = edits.findByIdAndRecordingId(editId, recordingId)
                .orElseThrow(() -> new NotFoundException("correction"));
        List<Kept> kept = edits.findByRecordingIdOrderById(recordingId).stream()
                .map(Kept::of)
                .toList();
        edits.delete(row);
        edits.flush();
        summaries.refresh(athlete, recordingId);
        return kept;
    }

    /** Puts corrections back as they were; without effect when the recording is gone. */
    @Transactional
    public void putBack(Athlete athlete, long recordingId, List<Kept> before) {
        if (!summaries.has(athlete.id(), recordingId)) return;
        edits.deleteAll(edits.findByRecordingIdOrderById(recordingId));
        edits.flush();
        for (Kept kept : before) edits.save(kept.row(recordingId));
        edits.flush();
        summaries.refresh(athlete, recordingId);
    }

    /** A correction as it was before a change. */
    public record Kept(
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
            row.madeAt = Instant.parse(at);
            return row;
        }
    }
}
