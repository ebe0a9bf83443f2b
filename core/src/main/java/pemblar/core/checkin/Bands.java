package pemblar.core.checkin;

import java.time.LocalDate;
import java.util.NavigableMap;
import java.util.function.DoubleUnaryOperator;

/**
 * Where a measure's last days stand against the usual: the mean and standard deviation of the 28 days before the last
 * 7.
 *
 * @param verdict of the last 7 days' mean
 * @param sharp today's and yesterday's value both lie beyond two limits on the side of strain
 * @param usual mean of the usual, in the measure's unit (for variability the geometric mean); NaN with fewer than 14
 *     values
 * @param sd standard deviation (n - 1); for variability of the logarithm
 * @param recent mean of the last 7 days; NaN with fewer than 4 values
 * @param limit the larger of the standard deviation and the measure's floor; NaN without a usual
 * @param direction 1 when the recent mean is above the usual, -1 below, 0 without a verdict
 * @param missing values that are missing for a verdict
 * @see "Plews, Laursen, Stanley, Kilding and Buchheit, Training adaptation and heart rate variability in elite
 *     endurance athletes, Sports Med 43 (2013)"
 */
public record Bands(
        Measure measure,
        Verdict verdict,
        boolean sharp,
        double usual,
        double sd,
        double recent,
        double limit,
        int direction,
        int missing) {
    private static final int RECENT_DAYS = 7;
    private static final int USUAL_DAYS = 28;
    private static final int FEWEST_USUAL = 14;
    private static final int FEWEST_RECENT = 4;

    /** How far the last days lie from the usual. */
    public enum Verdict {
        IN_BAND("in band"),
        DRIFTING("drifting"),
        OUT_OF_BAND("out of band"),
        NO_VERDICT("no verdict");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** @param values by day, in the measure's unit, above 0 for variability; days without a value are missing */
    public static Bands of(Measure measure, NavigableMap<LocalDate, Double> values, LocalDate today) {
        Spread usual = Spread.of(
                values.subMap(today.minusDays(RECENT_DAYS + USUAL_DAYS - 1L), true, today.minusDays(RECENT_DAYS), true),
                measure::scaled);
        Spread recent = Spread.of(values.subMap(today.minusDays(RECENT_DAYS - 1L), true, today, true), measure::scaled);
        int missing = Math.max(0, FEWEST_USUAL - usual.count) + Math.max(0, FEWEST_RECENT - recent.count);
        boolean known = usual.count >= FEWEST_USUAL;
        double limit = known ? Math.max(usual.sd, measure.floor()) : Double.NaN;
        boolean sharp = known
                && isBeyond(measure, values.get(today), usual.mean, limit)
                && isBeyond(measure, values.get(today.minusDays(1)), usual.mean, limit);
        double usualShown = known ? measure.unscaled(usual.mean) : Double.NaN;
        if (missing > 0)
            return new Bands(
                    measure,
                    Verdict.NO_VERDICT,
                    sharp,
                    usualShown,
                    known ? usual.sd : Double.NaN,
                    recentShown(measure, recent),
                    limit,
                    0,
                    missing);
        double difference = recent.mean - usual.mean;
        return new Bands(
                measure,
                verdict(Math.abs(difference), limit),
                sharp,
                usualShown,
                usual.sd,
                recentShown(measure, recent),
                limit,
                difference > 1e-12 ? 1 : -1,
                0);
    }

    private static double recentShown(Measure measure, Spread recent) {
        return recent.count >= FEWEST_RECENT ? measure.unscaled(recent.mean) : Double.NaN;
    }

    private static Verdict verdict(double distance, double limit) {
        return distance > limit ? Verdict.OUT_OF_BAND : distance >= limit / 2 ? Verdict.DRIFTING : Verdict.IN_BAND;
    }

    private static boolean isBeyond(Measure measure, Double value, double usual, double limit) {
        return value != null && measure.strain() * (measure.scaled(value) - usual) > 2 * limit;
    }

    /** Lower edge of the band, in the measure's unit; NaN without a usual. */
    public double bandLow() {
        return measure.unscaled(measure.scaled(usual) - limit);
    }

    public double bandHigh() {
        return measure.unscaled(measure.scaled(usual) + limit);
    }

    /** The last days lie out of band, or two mornings sharply, on the side of strain: what a plan should answer to. */
    public boolean isStrain() {
        return sharp || verdict == Verdict.OUT_OF_BAND && direction == measure.strain();
    }

    /** Mean and standard deviation of what is there. */
    private record Spread(int count, double mean, double sd) {
        static Spread of(NavigableMap<LocalDate, Double> values, DoubleUnaryOperator scale) {
            double mean = values.values().stream()
                    .mapToDouble(scale::applyAsDouble)
                    .average()
                    .orElse(Double.NaN);
            double squares = values.values().stream()
                    .mapToDouble(v -> Math.pow(scale.applyAsDouble(v) - mean, 2))
                    .sum();
            int n = values.size();
            return new Spread(n, mean, n > 1 ? Math.sqrt(squares / (n - 1)) : Double.NaN);
        }
    }
}
