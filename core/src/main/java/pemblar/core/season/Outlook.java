package pemblar.core.season;

import java.time.LocalDate;
import java.util.List;

/** Day loads ahead when less is planned than the blocks aim for: what is missing to a block's target lies evenly on its days to come. */
public final class Outlook {
    private Outlook() {}

    /**
     * @param loads points of each day from {@code first}: done up to today, planned after it; long enough for the last block
     * @return the same with what is missing added to the days after today; nothing is taken away where more is planned than aimed for
     */
    public static double[] of(LocalDate first, double[] loads, LocalDate today, List<Block> blocks) {
        double[] all = loads.clone();
        for (Block block : blocks) {
            LocalDate from = block.first().isAfter(today) ? block.first() : today.plusDays(1);
            long days = block.last().toEpochDay() - from.toEpochDay() + 1;
            if (block.targetLoad() <= 0 || days <= 0) continue;
            double missing = block.targetLoad() - sum(loads, index(first, block.first()), index(first, block.last()));
            for (int i = index(first, from); missing > 0 && i <= index(first, block.last()); i++) if (i >= 0 && i < all.length) all[i] += missing / days;
        }
        return all;
    }

    private static int index(LocalDate first, LocalDate day) {
        return (int) (day.toEpochDay() - first.toEpochDay());
    }

    private static double sum(double[] loads, int from, int to) {
        double sum = 0;
        for (int i = Math.max(0, from); i <= Math.min(loads.length - 1, to); i++) sum += loads[i];
        return sum;
    }
}
