package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * A loading block whose load a day differs by more than 15 % from that of the loading block before it. Easy blocks,
 * tapers and recovery are meant to be lighter and are passed over.
 *
 * @param before, after points for each day that can be trained
 */
public record Swing(Block from, Block to, double before, double after) {
    private static final double MOST = 0.15;
    /** Blocks farther apart than this are not compared: something else lay between. */
    private static final int APART_DAYS = 28;

    /** As a share of what it was: 0.2 is a fifth more. */
    public double change() {
        return after / before - 1;
    }

    /** @param blocks by day @param trainable whether a day can be trained: not away, not marked unavailable */
    public static List<Swing> of(List<Block> blocks, Predicate<LocalDate> trainable) {
        List<Swing> swings = new ArrayList<>();
        Block last = null;
        for (Block block : blocks) {
            if (!isLoading(block)) continue;
            double load = perDay(block, trainable);
            if (Double.isNaN(load)) continue;
            if (last != null && last.last().plusDays(APART_DAYS).isAfter(block.first())) {
                Swing swing = new Swing(last, block, perDay(last, trainable), load);
                if (Math.abs(swing.change()) > MOST + 1e-9) swings.add(swing);
            }
            last = block;
        }
        return swings;
    }

    private static boolean isLoading(Block block) {
        return !block.easy()
                && block.targetLoad() > 0
                && block.phase() != Block.Phase.TAPER
                && block.phase() != Block.Phase.RECOVERY;
    }

    /** NaN when no day of the block can be trained. */
    private static double perDay(Block block, Predicate<LocalDate> trainable) {
        long days = block.first()
                .datesUntil(block.last().plusDays(1))
                .filter(trainable)
                .count();
        return days == 0 ? Double.NaN : block.targetLoad() / days;
    }
}
