package pemblar.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import pemblar.core.season.Block.Phase;

/** Cuts the days of a season into blocks by phase and rhythm, around what is pinned. Only between two pins can a piece be shorter than a block. */
final class Layout {
    private final Ask ask;
    private final Phase[] phases;
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

    private Layout(Ask ask) {
        this.ask = ask;
        this.phases = Phases.of(ask);
    }

    static List<Piece> of(Ask ask) {
        Layout layout = new Layout(ask);
        int at = 0;
        for (Block block : ask.pinned()) {
            int from = Math.max(0, layout.index(block.first()));
            if (from < at) continue;        // pins never overlap in a plan that was stored
            layout.free(at, from);
            int days = Math.min(layout.index(block.last()) + 1, layout.phases.length) - from;
            layout.pieces.add(new Piece(from, days, block.phase(), block.easy(), block));
            layout.inCycle = block.easy() || block.phase() == Phase.TAPER || block.phase() == Phase.RECOVERY ? 0 : layout.inCycle + 1;
            at = from + days;
        }
        layout.free(at, layout.phases.length);
        return layout.pieces;
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - ask.first().toEpochDay());
    }

    private void free(int from, int to) {
        int at = from;
        while (at < to) {
            int end = at + 1;
            while (end < to && phases[end] == phases[at]) end++;
            if (to - end < Block.SHORTEST) end = to;        // a rest too short for a block of its own joins this one
            if (end - at < Block.SHORTEST) end = Math.min(to, at + Block.SHORTEST);
            run(at, end, end < phases.length && phases[end] == Phase.TAPER);
            at = end;
        }
    }

    /** One phase's days. */
    private void run(int from, int to, boolean beforeTaper) {
        Phase phase = phases[from];
        if (phase == Phase.TAPER || phase == Phase.RECOVERY) {
            for (int at = from; at < to; ) at = add(at, Math.min(to, at + Block.LONGEST), to, phase, false);
            inCycle = 0;
            return;
        }
        for (int at = from; at < to; ) {
            boolean easy = inCycle >= ask.rhythm().loadingDays().size();
            int days = easy ? ask.rhythm().easyDays() : ask.rhythm().loadingDays().get(inCycle);
            int end = add(at, aligned(at, days), to, phase, false);
            if (easy && !(beforeTaper && end == to)) pieces.set(pieces.size() - 1, easier(pieces.get(pieces.size() - 1)));
            inCycle = easy ? 0 : inCycle + 1;
            at = end;
        }
    }

    private static Piece easier(Piece piece) {
        return new Piece(piece.from(), piece.days(), piece.phase(), true, null);
    }

    /** The day after a block; weekly blocks end on a Sunday. */
    private int aligned(int at, int days) {
        if (!ask.rhythm().isWeekly()) return at + days;
        LocalDate end = ask.first().plusDays(at + days).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        int index = index(end);
        return index - at >= Block.SHORTEST ? index : index + 7;
    }

    /** Adds a block up to {@code end}, or up to {@code to} when what would be left is too short. */
    private int add(int at, int end, int to, Phase phase, boolean easy) {
        int until = Math.min(end, to);
        if (to - until > 0 && to - until < Block.SHORTEST) until = to - at <= Block.LONGEST ? to : to - Block.SHORTEST;
        pieces.add(new Piece(at, until - at, phase, easy, null));
        return until;
    }
}
