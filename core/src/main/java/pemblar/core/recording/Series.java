package pemblar.core.recording;

import java.util.Arrays;

/** An immutable run of values, one for each grid second; NaN is missing, zero is a measured zero. */
public final class Series {
    private static final int NOT_COUNTED = -1;
    private final double[] values;
    /** Counted when first asked for; whoever counts finds the same. */
    private int present = NOT_COUNTED;

    private Series(double[] values) {
        this.values = values;
    }

    /** Copies the values; later changes to the array do not show. */
    public static Series of(double... values) {
        return new Series(values.clone());
    }

    public int size() {
        return values.length;
    }

    public double at(int index) {
        return values[index];
    }

    public boolean isPresent(int index) {
        return !Double.isNaN(values[index]);
    }

    /** Number of values that are not missing. */
    public int present() {
        if (present == NOT_COUNTED) present = present(0, values.length);
        return present;
    }

    /** Number of values in [from, to) that are not missing. */
    public int present(int from, int to) {
        int count = 0;
        for (int i = from; i < to; i++) if (!Double.isNaN(values[i])) count++;
        return count;
    }

    /** Mean of the present values; NaN when there is none. */
    public double mean() {
        return mean(0, values.length);
    }

    /** Mean of the present values in [from, to); NaN when there is none. */
    public double mean(int from, int to) {
        double sum = 0;
        int count = 0;
        for (int i = from; i < to; i++) {
            if (Double.isNaN(values[i])) continue;
            sum += values[i];
            count++;
        }
        return count == 0 ? Double.NaN : sum / count;
    }

    /** Highest present value; NaN when there is none. */
    public double max() {
        return max(0, values.length);
    }

    /** Highest present value in [from, to); NaN when there is none. */
    public double max(int from, int to) {
        double max = Double.NEGATIVE_INFINITY;
        for (int i = from; i < to; i++) if (values[i] > max) max = values[i];
        return max == Double.NEGATIVE_INFINITY ? Double.NaN : max;
    }

    /** Population standard deviation of the present values in [from, to); NaN when there is none. */
    public double deviation(int from, int to) {
        double mean = mean(from, to);
        double sum = 0;
        for (int i = from; i < to; i++) if (!Double.isNaN(values[i])) sum += (values[i] - mean) * (values[i] - mean);
        return Math.sqrt(sum / present(from, to));
    }

    /** The last present value before index {@code to}; NaN when there is none. */
    public double lastBefore(int to) {
        for (int i = to - 1; i >= 0; i--) if (!Double.isNaN(values[i])) return values[i];
        return Double.NaN;
    }

    /** The values in [from, to) as a series of their own. */
    public Series slice(int from, int to) {
        return new Series(Arrays.copyOfRange(values, from, to));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Series that && Arrays.equals(values, that.values);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(values);
    }
}
