package pemblar.core.effort;

import pemblar.core.recording.Series;

/**
 * Means and squares of any stretch of a series at once, and the second at which a level changes. Missing seconds count
 * for nothing.
 */
public final class Levels {
    /** On each side of a change at least so many seconds are looked at. */
    public static final int LEAST_SIDE_SECONDS = 4;

    private final double[] sums;
    private final double[] squares;
    private final int[] counts;

    public Levels(Series values) {
        int size = values.size();
        this.sums = new double[size + 1];
        this.squares = new double[size + 1];
        this.counts = new int[size + 1];
        for (int i = 0; i < size; i++) {
            double v = values.isPresent(i) ? values.at(i) : 0;
            sums[i + 1] = sums[i] + v;
            squares[i + 1] = squares[i] + v * v;
            counts[i + 1] = counts[i] + (values.isPresent(i) ? 1 : 0);
        }
    }

    public int size() {
        return counts.length - 1;
    }

    /** Mean over [from, to); NaN when nothing is present. */
    public double mean(int from, int to) {
        int count = counts[to] - counts[from];
        return count == 0 ? Double.NaN : (sums[to] - sums[from]) / count;
    }

    public int present(int from, int to) {
        return counts[to] - counts[from];
    }

    /** Sum of squares around the mean of [from, to). */
    public double rest(int from, int to) {
        int count = counts[to] - counts[from];
        if (count == 0) return 0;
        double sum = sums[to] - sums[from];
        return squares[to] - squares[from] - sum * sum / count;
    }

    /** Sum of squares around a given level. */
    public double around(double level, int from, int to) {
        double sum = sums[to] - sums[from];
        return squares[to] - squares[from] - 2 * level * sum + level * level * (counts[to] - counts[from]);
    }

    /**
     * The second that parts [low, high) into two levels with the least squares left; {@code otherwise} when the stretch
     * is too short.
     */
    public int parting(int low, int high, int otherwise) {
        int best = otherwise;
        double least = Double.POSITIVE_INFINITY;
        for (int i = low + LEAST_SIDE_SECONDS; i <= high - LEAST_SIDE_SECONDS; i++) {
            double left = rest(low, i) + rest(i, high);
            if (left < least) {
                least = left;
                best = i;
            }
        }
        return best;
    }
}
