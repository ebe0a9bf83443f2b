package pemblar.core.comparison;

/**
 * What a comparison at an equal value of another quantity stands on.
 *
 * @param told some session has repetitions at unlike values of it, so that a slope could be fitted
 * @param apart mean of the second group less that of the first, as a share of their mean
 * @param spreads the same in spreads of the repetitions about their own group's mean
 */
public record Footing(boolean told, double apart, double spreads) {
    /** Half a percent of power is half a beat a minute at most. */
    private static final double ALIKE = 0.005;

    /** Beyond that a slope is read beyond its points, and is too flat: measured in docs/benchmarks. */
    private static final double MOST_SPREADS = 2;

    static Footing of(double[] first, double[] second, boolean told) {
        double between = mean(second) - mean(first);
        double freedom = Math.max(1, first.length + second.length - 2);
        double within = Math.sqrt((squares(first) + squares(second)) / freedom);
        double middle = Math.abs(mean(first) + mean(second)) / 2;
        double scale = Math.max(within, Math.max(middle, Math.abs(between) / 2)); // a gradient may be 0 in the mean
        return new Footing(
                told,
                between == 0 ? 0 : between / scale,
                between == 0 ? 0 : Math.abs(between) / Math.max(within, 1e-9));
    }

    /** The groups lie at one value, or a slope within the sessions takes them there. */
    public boolean isHeldEqual() {
        return told || isAlike();
    }

    /** Both groups lie about where the other does. */
    public boolean isShared() {
        return isAlike() || spreads <= MOST_SPREADS;
    }

    private boolean isAlike() {
        return Math.abs(apart) <= ALIKE;
    }

    private static double mean(double[] values) {
        double sum = 0;
        for (double value : values) sum += value;
        return sum / values.length;
    }

    private static double squares(double[] values) {
        double mean = mean(values);
        double sum = 0;
        for (double value : values) sum += (value - mean) * (value - mean);
        return sum;
    }
}
