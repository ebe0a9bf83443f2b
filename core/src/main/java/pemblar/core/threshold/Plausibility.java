package pemblar.core.threshold;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Plain doubts about an athlete's values. They warn with the reason and do not forbid what is possible. */
public final class Plausibility {
    private static final double HIGH_REST = 100;
    /** Seconds for which threshold power, pace and heart rate can be held at most by most people. */
    public static final int THRESHOLD_SECONDS = 4500;

    private static final double ABOVE = 1.02;
    private static final double ABOVE_BPM = 2;
    private static final double MOST_WATTS_PER_KILOGRAM = 6.8;
    private static final double LEAST_WATTS_PER_KILOGRAM = 1.0;
    private static final double MASS_JUMP = 0.15;
    private static final double LEAST_CRITICAL = 0.97;
    private static final double MOST_CRITICAL = 1.15;

    private Plausibility() {}

    /** What is doubtful, and the numbers it rests on. */
    public enum Doubt {
        THRESHOLD_HEART_RATE_ABOVE_MAXIMUM,
        RESTING_HEART_RATE_HIGH,
        RESTING_ABOVE_THRESHOLD,
        POWER_CONTRADICTED,
        PACE_CONTRADICTED,
        HEART_RATE_CONTRADICTED,
        WATTS_PER_KILOGRAM_TOO_HIGH,
        WATTS_PER_KILOGRAM_TOO_LOW,
        BODY_MASS_JUMPS,
        CRITICAL_POWER_FAR_FROM_THRESHOLD
    }

    /** @param found the doubtful number; {@code against} the one it is held against */
    public record Warning(Doubt doubt, double found, double against) {}

    /**
     * Best efforts of last year over {@link #THRESHOLD_SECONDS}: riding power W, running speed m/s, heart rate bpm; NaN
     * where unknown.
     */
    public record LastYear(double watts, double metresPerSecond, double bpm) {
        public static final LastYear UNKNOWN = new LastYear(Double.NaN, Double.NaN, Double.NaN);
    }

    /** @param massBefore the body mass that held before the present one */
    public static List<Warning> of(Thresholds now, LastYear best, OptionalDouble massBefore) {
        List<Warning> warnings = new ArrayList<>();
        heartRates(warnings, now);
        double power = now.get(Quantity.THRESHOLD_POWER).orElse(Double.NaN);
        double heart = now.get(Quantity.THRESHOLD_HEART_RATE).orElse(Double.NaN);
        double speed = now.get(Quantity.THRESHOLD_SPEED).orElse(Double.NaN);
        if (best.watts() > ABOVE * power) warnings.add(new Warning(Doubt.POWER_CONTRADICTED, best.watts(), power));
        if (best.metresPerSecond() > ABOVE * speed)
            warnings.add(new Warning(Doubt.PACE_CONTRADICTED, best.metresPerSecond(), speed));
        if (best.bpm() > heart + ABOVE_BPM) warnings.add(new Warning(Doubt.HEART_RATE_CONTRADICTED, best.bpm(), heart));
        double mass = now.get(Quantity.BODY_MASS).orElse(Double.NaN);
        if (power / mass > MOST_WATTS_PER_KILOGRAM)
            warnings.add(new Warning(Doubt.WATTS_PER_KILOGRAM_TOO_HIGH, power / mass, mass));
        if (power / mass < LEAST_WATTS_PER_KILOGRAM)
            warnings.add(new Warning(Doubt.WATTS_PER_KILOGRAM_TOO_LOW, power / mass, mass));
        if (massBefore.isPresent() && Math.abs(mass / massBefore.getAsDouble() - 1) > MASS_JUMP)
            warnings.add(new Warning(Doubt.BODY_MASS_JUMPS, mass, massBefore.getAsDouble()));
        double critical = now.get(Quantity.CRITICAL_POWER).orElse(Double.NaN);
        if (critical / power < LEAST_CRITICAL || critical / power > MOST_CRITICAL)
            warnings.add(new Warning(Doubt.CRITICAL_POWER_FAR_FROM_THRESHOLD, critical, power));
        return warnings;
    }

    private static void heartRates(List<Warning> warnings, Thresholds now) {
        double maximum = now.get(Quantity.MAXIMUM_HEART_RATE).orElse(Double.NaN);
        double rest = now.get(Quantity.RESTING_HEART_RATE).orElse(Double.NaN);
        for (Quantity quantity :
                new Quantity[] {Quantity.THRESHOLD_HEART_RATE, Quantity.RUNNING_THRESHOLD_HEART_RATE}) {
            double threshold = now.get(quantity).orElse(Double.NaN);
            if (threshold >= maximum)
                warnings.add(new Warning(Doubt.THRESHOLD_HEART_RATE_ABOVE_MAXIMUM, threshold, maximum));
            if (rest >= threshold) warnings.add(new Warning(Doubt.RESTING_ABOVE_THRESHOLD, rest, threshold));
        }
        if (rest > HIGH_REST) warnings.add(new Warning(Doubt.RESTING_HEART_RATE_HIGH, rest, HIGH_REST));
    }
}
