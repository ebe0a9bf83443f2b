package pemblar.core.evidence;

import java.util.function.DoubleBinaryOperator;
import pemblar.core.evidence.Piece.Both;
import pemblar.core.evidence.Piece.Floor;
import pemblar.core.evidence.Piece.Value;
import pemblar.core.model.Reserve;
import pemblar.core.threshold.Quantity;

/** What each method makes of an effort: the table of computation, section 7. */
public final class Methods {
    public static final double TWENTY_MINUTES_FACTOR = 0.95;
    public static final double RIDE_EXPONENT = 0.07;
    /** A test in a recording that goes on for less, s, may have been given up. */
    public static final double LEAST_SECONDS_AFTER = 300;

    private static final double FACTOR_REACH = 0.03;
    private static final double EXPONENT_REACH = 0.01;
    private static final double POWER_ERROR = 0.01;
    private static final double POWER_SECONDS = 3300;
    private static final double SPEED_SECONDS = 3600;
    private static final double FLOOR_WITHIN = 1e-9;

    private Methods() {}

    /** A 20 min test: factor x its mean power, factor -+ 0.03. */
    public static Value twentyMinutes(double watts, double factor) {
        if (!(factor >= 0.90 && factor <= 0.97))
            throw new IllegalArgumentException("factor must be in 0.90..0.97, was " + factor);
        return new Value(
                Quantity.THRESHOLD_POWER,
                watts * factor,
                watts * (factor - FACTOR_REACH),
                watts * (factor + FACTOR_REACH));
    }

    /** A race or trial by power: P (t / T)^k, T = 55 (40 to 70) min, k -+ 0.01. */
    public static Value raceByPower(double watts, double seconds, double k) {
        return race(Quantity.THRESHOLD_POWER, watts, seconds, k, new double[] {2400, POWER_SECONDS, 4200});
    }

    /** A race by speed: v (t / T)^k, T = 60 (50 to 70) min, k -+ 0.01. */
    public static Value raceBySpeed(double speed, double seconds, double k) {
        return race(Quantity.THRESHOLD_SPEED, speed, seconds, k, new double[] {3000, SPEED_SECONDS, 4200});
    }

    private static Value race(Quantity quantity, double level, double seconds, double k, double[] threshold) {
        if (!(k > -0.2 && k < 0.4)) throw new IllegalArgumentException("k must be in -0.2..0.4, was " + k);
        DoubleBinaryOperator rule = (exponent, over) -> level * Math.pow(seconds / over, exponent);
        double best = rule.applyAsDouble(k, threshold[1]);
        double low = best;
        double high = best;
        for (double exponent : new double[] {k - EXPONENT_REACH, k + EXPONENT_REACH})
            for (double over : threshold) {
                low = Math.min(low, rule.applyAsDouble(exponent, over));
                high = Math.max(high, rule.applyAsDouble(exponent, over));
            }
        return new Value(quantity, best, low, high);
    }

    /**
     * Two efforts, the shorter first or second: CP = (P2 t2 - P1 t1) / (t2 - t1), W' = (P1 - P2) t1 t2 / (t2 - t1),
     * with the covariance of an independent 1 % standard deviation of each power.
     *
     * @throws IllegalArgumentException when they are not both 90 s to 40 min, the longer at least 3 times the shorter,
     *     and weaker
     */
    public static Both twoEfforts(double watts1, double seconds1, double watts2, double seconds2) {
        if (seconds1 > seconds2) return twoEfforts(watts2, seconds2, watts1, seconds1);
        if (!(seconds1 >= 90 && seconds2 <= 2400))
            throw new IllegalArgumentException(
                    "both efforts must last 90 s to 40 min, were " + seconds1 + " s and " + seconds2 + " s");
        if (seconds2 < 3 * seconds1)
            throw new IllegalArgumentException("the longer effort must last at least 3 times the shorter, were "
                    + seconds1 + " s and " + seconds2 + " s");
        double apart = seconds2 - seconds1;
        double product = seconds1 * seconds2 / apart;
        double error1 = POWER_ERROR * watts1;
        double error2 = POWER_ERROR * watts2;
        double cp1 = -seconds1 / apart * error1;
        double cp2 = seconds2 / apart * error2;
        double w1 = product * error1;
        double w2 = -product * error2;
        return new Both(
                (watts2 * seconds2 - watts1 * seconds1) / apart,
                (watts1 - watts2) * product,
                cp1 * cp1 + cp2 * cp2,
                cp1 * w1 + cp2 * w2,
                w1 * w1 + w2 * w2);
    }

    /** The lowest critical power, W, that keeps the reserve of W' at zero or above over the steps; 0 when any does. */
    public static double floor(Floor floor, double wPrimeJoules) {
        double low = 0;
        double high =
                floor.steps().stream().mapToDouble(Floor.Step::watts).max().orElse(0);
        while (high - low > FLOOR_WITHIN * Math.max(1, high)) {
            double middle = (low + high) / 2;
            if (middle <= 0 || lowest(floor, new Reserve(middle, wPrimeJoules)) < 0) low = middle;
            else high = middle;
        }
        return high;
    }

    private static double lowest(Floor floor, Reserve reserve) {
        double now = reserve.capacityJoules();
        double lowest = now;
        for (Floor.Step step : floor.steps()) {
            now = reserve.after(now, step.watts(), step.seconds());
            lowest = Math.min(lowest, now);
        }
        return lowest;
    }
}
