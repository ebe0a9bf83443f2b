package pemblar.core.season;

import java.util.ArrayList;
import java.util.List;

/**
 * How loading and easy blocks follow each other.
 *
 * @param loadingDays days of the loading blocks of one cycle, in order
 * @param easyDays days of the easy block that ends the cycle
 */
public record Rhythm(List<Integer> loadingDays, int easyDays) {
    public Rhythm {
        loadingDays = List.copyOf(loadingDays);
        if (loadingDays.isEmpty() || loadingDays.size() > 12)
            throw new IllegalArgumentException("a cycle must have 1..12 loading blocks, has " + loadingDays.size());
        for (int days : loadingDays) check(days);
        check(easyDays);
    }

    private static void check(int days) {
        if (days < Block.SHORTEST || days > Block.LONGEST)
            throw new IllegalArgumentException("a block must have 3..28 days, was " + days);
    }

    /** Blocks of one length, of which every {@code nth} is easy. */
    public static Rhythm everyBlock(int nth, int blockDays) {
        if (nth < 2 || nth > 12) throw new IllegalArgumentException("nth must be in 2..12, was " + nth);
        List<Integer> loading = new ArrayList<>();
        for (int i = 1; i < nth; i++) loading.add(blockDays);
        return new Rhythm(loading, blockDays);
    }

    /**
     * An easy block at the end of every {@code n} days; what comes before is cut into even blocks of about
     * {@code blockDays}.
     */
    public static Rhythm everyDays(int n, int blockDays, int easyDays) {
        int rest = n - easyDays;
        if (rest < Block.SHORTEST)
            throw new IllegalArgumentException("n must leave at least 3 days beside the easy block, was " + n);
        int count = Math.max(1, Math.round((float) rest / blockDays));
        while (rest / count < Block.SHORTEST) count--;
        while ((rest + count - 1) / count > Block.LONGEST) count++;
        List<Integer> loading = new ArrayList<>();
        for (int i = 0; i < count; i++) loading.add(rest * (i + 1) / count - rest * i / count);
        return new Rhythm(loading, easyDays);
    }

    /** Blocks of whole weeks begin on Mondays. */
    boolean isWeekly() {
        return loadingDays.stream().allMatch(d -> d % 7 == 0) && easyDays % 7 == 0;
    }
}
