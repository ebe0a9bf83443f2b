package pemblar.core.model;

import java.util.function.ToDoubleBiFunction;

/**
 * The highest power for some repetitions that leaves a chosen share of W' at the lowest point (computation, section
 * 17). Between repetitions the reserve recovers, or falls on, at the rest power; after the last one there is no rest.
 *
 * @param watts the power to hold
 * @param lowestReserveJoules the reserve at its lowest point with this power
 */
public record IntervalTarget(double watts, double lowestReserveJoules) {
    private static final double WITHIN_WATTS = 1e-9;
    private static final double NORMAL_95 = 1.96;
    private static final double STEP = 1e-4;

    /**
     * Repetitions and the rest between them.
     *
     * @param restWatts power of the rest; ignored with one repetition
     * @param reserveLeft share of W' that is to be left, 0 to below 1
     */
    public record Set(int repeats, double seconds, double restSeconds, double restWatts, double reserveLeft) {
        public Set {
            if (repeats < 1 || repeats > 1000)
                throw new IllegalArgumentException("repeats must be in 1..1000, was " + repeats);
            if (!(seconds > 0 && seconds <= 86_400))
                throw new IllegalArgumentException("seconds must be in (0, 86400], was " + seconds);
            if (!(restSeconds >= 0 && restSeconds <= 86_400))
                throw new IllegalArgumentException("restSeconds must be in 0..86400, was " + restSeconds);
            if (!(restWatts >= 0 && restWatts < 3000))
                throw new IllegalArgumentException("restWatts must be in 0..3000, was " + restWatts);
            if (!(reserveLeft >= 0 && reserveLeft < 1))
                throw new IllegalArgumentException("reserveLeft must be in 0..1, was " + reserveLeft);
        }
    }

    /** Standard errors of CP (W) and W' (J) and their covariance (W J). */
    public record Errors(double criticalPowerWatts, double reserveJoules, double covariance) {}

    /** @throws IllegalArgumentException when the rests alone use up the reserve */
    public static IntervalTarget of(Reserve model, Set set) {
        double high = model.criticalPowerWatts() + model.capacityJoules() / set.seconds();
        double floor = set.reserveLeft() * model.capacityJoules();
        if (lowest(model, set, 0) < floor) throw new IllegalArgumentException("the rests alone use up the reserve");
        double low = 0;
        while (high - low > WITHIN_WATTS) {
            double middle = (low + high) / 2;
            if (lowest(model, set, middle) >= floor) low = middle;
            else high = middle;
        }
        return new IntervalTarget(low, lowest(model, set, low));
    }

    /** The reserve, J, at the lowest point of the set ridden at a power. */
    public static double lowest(Reserve model, Set set, double watts) {
        double now = model.capacityJoules();
        double lowest = now;
        for (int i = 0; i < set.repeats(); i++) {
            if (i > 0) now = model.after(now, set.restWatts(), set.restSeconds());
            lowest = Math.min(lowest, now);
            now = model.after(now, watts, set.seconds());
            lowest = Math.min(lowest, now);
        }
        return lowest;
    }

    /** Half the width, W, of the 95 % range: linear in CP and W' about their values. */
    public static double reach(Reserve model, Set set, Errors errors) {
        ToDoubleBiFunction<Double, Double> watts =
                (cp, reserve) -> of(new Reserve(cp, reserve), set).watts();
        double cp = model.criticalPowerWatts();
        double w = model.capacityJoules();
        double byCp =
                (watts.applyAsDouble(cp * (1 + STEP), w) - watts.applyAsDouble(cp * (1 - STEP), w)) / (2 * STEP * cp);
        double byReserve =
                (watts.applyAsDouble(cp, w * (1 + STEP)) - watts.applyAsDouble(cp, w * (1 - STEP))) / (2 * STEP * w);
        double variance = Math.pow(byCp * errors.criticalPowerWatts(), 2)
                + Math.pow(byReserve * errors.reserveJoules(), 2)
                + 2 * byCp * byReserve * errors.covariance();
        return NORMAL_95 * Math.sqrt(Math.max(0, variance));
    }
}
