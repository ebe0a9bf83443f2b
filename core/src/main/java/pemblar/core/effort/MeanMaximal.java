package pemblar.core.effort;

import java.util.Arrays;
import java.util.TreeMap;
import pemblar.core.recording.Series;

/** The mean-maximal curve: the highest mean over any window of d timer seconds without a missing sample. */
public final class MeanMaximal {
    /** Every second up to here, then steps of about 1 %. */
    private static final int EVERY_SECOND_UNTIL = 120;
    private static final double STEP = 1.01;

    private MeanMaximal() {}

    /** Durations, s, for a recording of the given length: each second to 120, then about 1 % apart, and the length itself. */
    public static int[] durations(int seconds) {
        int[] durations = new int[EVERY_SECOND_UNTIL + 1600];
        int count = 0;
        for (int d = 1; d <= Math.min(seconds, EVERY_SECOND_UNTIL); d++) durations[count++] = d;
        for (double d = EVERY_SECOND_UNTIL * STEP; Math.round(d) < seconds; d *= STEP) durations[count++] = (int) Math.round(d);
        if (seconds > EVERY_SECOND_UNTIL) durations[count++] = seconds;
        return Arrays.copyOf(durations, count);
    }

    /** The curve over {@link #durations}; a duration that no window without a gap fits is left out. */
    public static TreeMap<Integer, Double> curve(Series values) {
        return curve(values, durations(values.size()));
    }

    /**
     * The curve at the durations asked for.
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
        for (int k = 0; k < durations.length; k++) if (best[k] > Double.NEGATIVE_INFINITY) curve.put(durations[k], best[k]);
        return curve;
    }

    private static void raise(double[] best, int[] durations, double[] sums, int run) {
        for (int k = 0; k < durations.length && durations[k] <= run; k++)
            best[k] = Math.max(best[k], highestSum(sums, run, durations[k]) / durations[k]);
    }

    private static double highestSum(double[] sums, int run, int window) {
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = window; i <= run; i++) {
            double sum = sums[i] - sums[i - window];
            if (sum > highest) highest = sum;
        }
        return highest;
    }
}
