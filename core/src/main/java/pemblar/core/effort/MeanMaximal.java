package pemblar.core.effort;

import java.util.Arrays;
import java.util.TreeMap;
import java.util.TreeSet;
import pemblar.core.recording.Series;

/** The mean-maximal curve: the highest mean over any window of d timer seconds without a missing sample. */
public final class MeanMaximal {
    /** Every second up to here, then steps of about 1 %. */
    private static final int EVERY_SECOND_UNTIL = 120;

    private static final double STEP = 1.01;
    private static final int SMALLEST_BLOCK = 8;
    private static final int WINDOWS_IN_BLOCK = 32;
    /** Durations that people ask for by name; they are exact, too. */
    private static final int[] ROUND = {
        180, 240, 300, 480, 600, 720, 900, 1200, 1800, 2400, 2700, 3600, 4500, 5400, 7200, 10_800, 14_400, 18_000,
        21_600
    };

    private MeanMaximal() {}

    /**
     * Durations, s, for a recording of the given length: each second to 120, then about 1 % apart, the round ones, and
     * the length itself.
     */
    public static int[] durations(int seconds) {
        TreeSet<Integer> durations = new TreeSet<>();
        for (int d = 1; d <= Math.min(seconds, EVERY_SECOND_UNTIL); d++) durations.add(d);
        for (double d = EVERY_SECOND_UNTIL * STEP; Math.round(d) < seconds; d *= STEP)
            durations.add((int) Math.round(d));
        for (int round : ROUND) if (round <= seconds) durations.add(round);
        durations.add(seconds);
        return durations.stream().mapToInt(Integer::intValue).toArray();
    }

    /** The curve over {@link #durations}; a duration that no window without a gap fits is left out. */
    public static TreeMap<Integer, Double> curve(Series values) {
        return curve(values, durations(values.size()));
    }

    /**
     * The curve at the durations asked for.
     *
     * @param durations s, ascending
     * @return best mean by duration; a duration that no window without a gap fits is left out
     */
    public static TreeMap<Integer, Double> curve(Series values, int... durations) {
        double[] best = new double[durations.length];
        Arrays.fill(best, Double.NEGATIVE_INFINITY);
        double[] sums = new double[values.size() + 1];
        int run = 0;
        for (int i = 0; i <= values.size(); i++) {
            if (i < values.size() && values.isPresent(i)) {
                sums[run + 1] = sums[run] + values.at(i);
                run++;
            } else if (run > 0) {
                raise(best, durations, sums, run);
                run = 0;
            }
        }
        TreeMap<Integer, Double> curve = new TreeMap<>();
        for (int k = 0; k < durations.length; k++)
            if (best[k] > Double.NEGATIVE_INFINITY) curve.put(durations[k], best[k]);
        return curve;
    }

    /**
     * Raises the best means by one run of present values. Windows are looked at in blocks: as long as no value is below
     * zero, the sums rise, so no window of a block can hold more than from the block's first start to its last end.
     */
    private static void raise(double[] best, int[] durations, double[] sums, int run) {
        boolean rising = isRising(sums, run);
        int start = 0;
        for (int k = 0; k < durations.length && durations[k] <= run; k++) {
            start = highestWindow(sums, run, durations[k], Math.min(start, run - durations[k]), rising);
            best[k] = Math.max(best[k], (sums[start + durations[k]] - sums[start]) / durations[k]);
        }
    }

    private static boolean isRising(double[] sums, int run) {
        for (int i = 0; i < run; i++) if (sums[i + 1] < sums[i]) return false;
        return true;
    }

    /** Start of the window with the highest sum; {@code guess} is where the next shorter one began. */
    private static int highestWindow(double[] sums, int run, int window, int guess, boolean rising) {
        int start = guess;
        double highest = sums[guess + window] - sums[guess];
        int block = Math.max(SMALLEST_BLOCK, window / WINDOWS_IN_BLOCK);
        for (int from = 0; from <= run - window; from += block) {
            int to = Math.min(from + block - 1, run - window);
            if (rising && sums[to + window] - sums[from] <= highest) continue;
            for (int i = from; i <= to; i++) {
                double sum = sums[i + window] - sums[i];
                if (sum > highest) {
                    highest = sum;
                    start = i;
                }
            }
        }
        return start;
    }
}
