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
    /** Durations that people ask for by name; they are exact, too. */
    private static final int[] ROUND = {180, 240, 300, 480, 600, 720, 900, 1200, 1800, 2400, 2700, 3600, 5400, 7200, 10_800, 14_400, 18_000, 21_600};

    private MeanMaximal() {}

    /** Durations, s, for a recording of the given length: each second to 120, then about 1 % apart, the round ones, and the length itself. */
    public static int[] durations(int seconds) {
        TreeSet<Integer> durations = new TreeSet<>();
        for (int d = 1; d <= Math.min(seconds, EVERY_SECOND_UNTIL); d++) durations.add(d);
        for (double d = EVERY_SECOND_UNTIL * STEP; Math.round(d) < seconds; d *= STEP) durations.add((int) Math.round(d));
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
