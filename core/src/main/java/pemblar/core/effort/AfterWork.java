package pemblar.core.effort;

import java.util.Arrays;
import java.util.TreeMap;
import pemblar.core.recording.Series;

/**
 * Durability: best means over windows that start after a given amount of prior work or time, on a coarse grid of
 * conditions and durations. Rows are conditions, first by work, then by time; columns are durations.
 */
public final class AfterWork {
    /** Prior work, J. */
    private static final int[] JOULES = {500_000, 1_000_000, 1_500_000, 2_000_000, 2_500_000, 3_000_000};
    /** Prior timer time, s. */
    private static final int[] SECONDS = {3600, 7200, 10_800, 14_400};

    private static final int[] DURATIONS = {
        5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 240, 300, 420, 600, 900, 1200, 1800, 2400, 3600, 5400, 7200
    };
    private static final int CONDITIONS = JOULES.length + SECONDS.length;
    private final double[] best = new double[CONDITIONS * DURATIONS.length];

    public AfterWork() {
        Arrays.fill(best, Double.NaN);
    }

    /** Prior work that is kept, J, least first. */
    public static int[] joules() {
        return JOULES.clone();
    }

    /** Prior times that are kept, s, shortest first. */
    public static int[] seconds() {
        return SECONDS.clone();
    }

    /**
     * The best means of one recording on the grid; NaN where it never came so far. Missing seconds do no work and end a
     * window.
     *
     * @param values W for conditions by work; for other quantities only conditions by time are filled
     */
    public static Series onGrid(Series values, boolean power) {
        double[] means = new double[CONDITIONS * DURATIONS.length];
        Arrays.fill(means, Double.NaN);
        double work = 0;
        int level = power ? 0 : JOULES.length;
        for (int i = 0; i < values.size() && level < JOULES.length; i++) {
            work += values.isPresent(i) ? values.at(i) : 0;
            while (level < JOULES.length && work >= JOULES[level]) fill(means, level++, values, i + 1);
        }
        for (int k = 0; k < SECONDS.length; k++)
            if (values.size() > SECONDS[k]) fill(means, JOULES.length + k, values, SECONDS[k]);
        return Series.of(means);
    }

    /** Work, J, before a second; missing seconds do none. */
    public static double workBefore(Series watts, int second) {
        double work = 0;
        for (int i = 0; i < Math.min(second, watts.size()); i++) if (watts.isPresent(i)) work += watts.at(i);
        return work;
    }

    private static void fill(double[] means, int condition, Series values, int from) {
        TreeMap<Integer, Double> curve = MeanMaximal.curve(values.slice(from, values.size()), DURATIONS);
        for (int d = 0; d < DURATIONS.length; d++)
            means[condition * DURATIONS.length + d] = curve.getOrDefault(DURATIONS[d], Double.NaN);
    }

    /** Raises this by a recording's {@link #onGrid}, divided by 1 or by the body mass of its day. */
    public void raise(Series onGrid, double divisor) {
        for (int i = 0; i < Math.min(best.length, onGrid.size()); i++) {
            double value = onGrid.at(i) / divisor;
            if (!Double.isNaN(value) && !(value <= best[i])) best[i] = value;
        }
    }

    /** Best mean after at least so much work; NaN without any. Between two durations of the grid along a power law. */
    public double afterJoules(double joules, int effortSeconds) {
        return at(above(JOULES, joules), effortSeconds, 0);
    }

    /** Best mean after at least so much time. */
    public double afterSeconds(double seconds, int effortSeconds) {
        return at(above(SECONDS, seconds), effortSeconds, JOULES.length);
    }

    /** The first level that is at least so high: what was done after more was done after less, too. */
    private static int above(int[] levels, double amount) {
        for (int i = 0; i < levels.length; i++) if (levels[i] >= amount) return i;
        return -1;
    }

    private double at(int level, int seconds, int offset) {
        if (level < 0 || seconds < DURATIONS[0] || seconds > DURATIONS[DURATIONS.length - 1]) return Double.NaN;
        int right = 0;
        while (DURATIONS[right] < seconds) right++;
        double after = best[(offset + level) * DURATIONS.length + right];
        if (DURATIONS[right] == seconds) return after;
        double before = best[(offset + level) * DURATIONS.length + right - 1];
        double share = Math.log((double) seconds / DURATIONS[right - 1])
                / Math.log((double) DURATIONS[right] / DURATIONS[right - 1]);
        return Math.exp(Math.log(before) * (1 - share) + Math.log(after) * share);
    }
}
