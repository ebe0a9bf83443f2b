package pemblar.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import pemblar.core.season.Block.Phase;

/**
 * Cuts the days of a season into blocks by phase and rhythm, around what is pinned. A stretch that is mostly away
 * serves as the easy block when one is due within a week of it. Only beside pins and events can a piece be shorter than
 * a block.
 */
final class Layout {
    /** A block with less than this share of its days to train on rests by itself. */
    private static final double MOSTLY_AWAY = 0.5;

    private static final int WEEK = 7;
    private final Ask ask;
    private final Days days;
    private final Phases phases;
    private final List<Piece> pieces = new ArrayList<>();
    private int inCycle;

    /** A block to be given a load; {@code pinned} is null unless it is set already. */
    record Piece(int from, int days, Phase phase, boolean easy, Block pinned) {
        int end() {
            return from + days;
        }

        boolean isLoading() {
            return !easy && phase != Phase.TAPER && phase != Phase.RECOVERY;
        }
    }

    private Layout(Ask ask, Days days) {
        this.ask = ask;
        this.days = days;
        this.phases = Phases.of(ask);
    }

    static List<Piece> of(Ask ask, Days days) {
        Layout layout = new Layout(ask, days);
        int at = 0;
        for (Block block : ask.pinned()) {
            int from = Math.max(0, layout.index(block.first()));
            if (from < at) continue; // pins never overlap in a plan that was stored
            layout.free(at, from);
            int length = Math.min(layout.index(block.last()) + 1, layout.phases.days()) - from;
            Piece piece = new Piece(
                    from, length, block.phase() == null ? layout.phases.at(from) : block.phase(), block.easy(), block);
            layout.pieces.add(piece);
            layout.inCycle = piece.isLoading() ? layout.inCycle + 1 : 0;
            at = from + length;
        }
        layout.free(at, layout.phases.days());
        return layout.joined();
    }

    /** Index of the first day of the last A event's taper. */
    static int lastTaper(Ask ask) {
        return Phases.of(ask).lastTaper();
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - ask.first().toEpochDay());
    }

    private void free(int from, int to) {
        for (int at = from; at < to; ) {
            int end = at + 1;
            while (end < to && !phases.isCut(end)) end++;
            run(at, end, end < phases.days() && phases.at(end) == Phase.TAPER);
            at = end;
        }
    }

    /** The days of one phase. */
    private void run(int from, int to, boolean beforeTaper) {
        Phase phase = phases.at(from);
        if (phase == Phase.TAPER || phase == Phase.RECOVERY) {
            for (int at = from; at < to; ) at = add(at, Math.min(to, at + Block.LONGEST), to, phase, false);
            inCycle = 0;
            return;
        }
        for (int at = from; at < to; ) at = next(at, to, phase, beforeTaper);
    }

    private int next(int at, int to, Phase phase, boolean beforeTaper) {
        int loading = ask.rhythm().loadingDays().size();
        boolean due = inCycle >= loading;
        int length = due ? ask.rhythm().easyDays() : ask.rhythm().loadingDays().get(inCycle);
        int end = add(at, aligned(at, length), to, phase, false);
        Piece piece = pieces.get(pieces.size() - 1);
        boolean restsAnyway = days.fullShare(piece) < MOSTLY_AWAY
                && inCycle > 0
                && (due || inCycle == loading - 1 && piece.days() <= WEEK);
        boolean easy = (due || restsAnyway) && !(beforeTaper && end == to) && hasMeasure();
        if (easy) pieces.set(pieces.size() - 1, new Piece(piece.from(), piece.days(), phase, true, null));
        inCycle = easy ? 0 : inCycle + 1;
        return end;
    }

    /** An easy block is measured by a loading block before it. */
    private boolean hasMeasure() {
        List<Piece> before = pieces.subList(0, pieces.size() - 1);
        return !Double.isNaN(ask.shape().measure()) || before.stream().anyMatch(days::isMeasure);
    }

    /** The day after a block; weekly blocks end on a Sunday. */
    private int aligned(int at, int length) {
        if (!ask.rhythm().isWeekly()) return at + length;
        LocalDate end =
                ask.first().plusDays(at + (long) length).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        int index = index(end);
        return index - at >= Block.SHORTEST ? index : index + WEEK;
    }

    /** Adds a block up to {@code end}, or up to {@code to} when what would be left is too short. */
    private int add(int at, int end, int to, Phase phase, boolean easy) {
        int until = Math.min(end, to);
        if (to - until > 0 && to - until < Block.SHORTEST) until = to - at <= Block.LONGEST ? to : to - Block.SHORTEST;
        pieces.add(new Piece(at, until - at, phase, easy, null));
        return until;
    }

    /** A piece too short for a block joins the one before it, or else the one after. */
    private List<Piece> joined() {
        List<Piece> all = new ArrayList<>();
        for (Piece piece : pieces) {
            Piece before = all.isEmpty() ? null : all.get(all.size() - 1);
            boolean isShort = piece.days() < Block.SHORTEST && piece.pinned() == null;
            boolean shortBefore = before != null
                    && before.days() < Block.SHORTEST
                    && before.pinned() == null
                    && piece.pinned() == null;
            if (before != null
                    && before.pinned() == null
                    && (isShort || shortBefore)
                    && before.days() + piece.days() <= Block.LONGEST) {
                Piece lead = shortBefore ? piece : before;
                all.set(
                        all.size() - 1,
                        new Piece(before.from(), before.days() + piece.days(), lead.phase(), lead.easy(), null));
            } else {
                all.add(piece);
            }
        }
        return all;
    }
}
