package pemblar.core.load;

import java.util.function.DoubleSupplier;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/** Training load in points: one hour at threshold is 100. */
public final class SessionLoad {
    private static final double RPE_OF_THRESHOLD = 7;

    private SessionLoad() {}

    /** What a load was computed from, in the order of preference. */
    public enum Source {
        POWER,
        SPEED,
        HEART_RATE,
        PERCEIVED_EFFORT,
        PLAN,
        SET
    }

    /** Load of some seconds at an intensity (equivalent over threshold, 1 is threshold). */
    public static double ofIntensity(double seconds, double intensity) {
        return ofIntensity(seconds, intensity, 2);
    }

    /**
     * @param exponent of the intensity: 2, or 3 where the sport says so ({@link pemblar.core.sport.Sport#loadExponent})
     */
    public static double ofIntensity(double seconds, double intensity, int exponent) {
        return seconds / 3600 * Math.pow(intensity, exponent) * 100;
    }

    /**
     * Load from heart rate: training impulse over the reserve fraction, scaled so that one hour at threshold heart rate
     * gives 100. Missing seconds count at the mean of the present ones. NaN when all are missing.
     *
     * @param thresholds with threshold, maximum and resting heart rate
     * @throws IllegalArgumentException when one of them is not known, or they do not rise from rest to threshold to
     *     maximum
     * @see "Banister, Modeling elite athletic performance, in: Physiological testing of elite athletes (1991)"
     */
    public static double ofHeartRate(Series bpm, Thresholds thresholds) {
        double rest = thresholds.require(Quantity.RESTING_HEART_RATE);
        double max = thresholds.require(Quantity.MAXIMUM_HEART_RATE);
        double threshold = thresholds.require(Quantity.THRESHOLD_HEART_RATE);
        if (!(rest < threshold && threshold <= max))
            throw new IllegalArgumentException("heart rates must rise from rest to threshold to maximum, were " + rest
                    + ", " + threshold + ", " + max);
        Reserve reserve = new Reserve(rest, max);
        DoubleSupplier female = () -> scaled(bpm, reserve, threshold, FEMALE);
        DoubleSupplier male = () -> scaled(bpm, reserve, threshold, MALE);
        return switch (thresholds.sex()) {
            case FEMALE -> female.getAsDouble();
            case MALE -> male.getAsDouble();
            case NOT_GIVEN -> (female.getAsDouble() + male.getAsDouble()) / 2;
        };
    }

    /** True when the values allow a load from heart rate. */
    public static boolean canUseHeartRate(Thresholds t) {
        return t.knows(Quantity.RESTING_HEART_RATE, Quantity.MAXIMUM_HEART_RATE, Quantity.THRESHOLD_HEART_RATE)
                && t.require(Quantity.RESTING_HEART_RATE) < t.require(Quantity.THRESHOLD_HEART_RATE)
                && t.require(Quantity.THRESHOLD_HEART_RATE) <= t.require(Quantity.MAXIMUM_HEART_RATE);
    }

    /** Heart rates between which effort is counted, bpm. */
    private record Reserve(double rest, double max) {
        double fraction(double bpm) {
            return Math.max(0, Math.min(1, (bpm - rest) / (max - rest)));
        }
    }

    /** How a fraction of the reserve counts. */
    private record Weight(double factor, double exponent) {
        double impulse(double fraction) {
            return fraction * factor * Math.exp(exponent * fraction);
        }
    }

    private static final Weight FEMALE = new Weight(0.86, 1.67);
    private static final Weight MALE = new Weight(0.64, 1.92);

    private static double scaled(Series bpm, Reserve reserve, double threshold, Weight weight) {
        double sum = 0;
        for (int i = 0; i < bpm.size(); i++) if (bpm.isPresent(i)) sum += weight.impulse(reserve.fraction(bpm.at(i)));
        double perHour = 3600 * weight.impulse(reserve.fraction(threshold));
        return 100 * sum / bpm.present() * bpm.size() / perHour;
    }

    /**
     * Load from perceived effort: an hour at 7 gives 100.
     *
     * @param rpe 0 to 10
     * @see "Foster et al., A new approach to monitoring exercise training, J Strength Cond Res 15 (2001)"
     */
    public static double ofPerceivedEffort(double seconds, double rpe) {
        if (!(rpe >= 0 && rpe <= 10)) throw new IllegalArgumentException("rpe must be in 0..10, was " + rpe);
        return seconds / 60 * rpe / (60 * RPE_OF_THRESHOLD) * 100;
    }

    /** The planned load times the part of its time that was done; more than all is all. */
    public static double ofPlan(double plannedLoad, double plannedSeconds, double doneSeconds) {
        return plannedLoad * Math.min(1, doneSeconds / plannedSeconds);
    }

    /** The steady intensity whose load equals that of a perceived effort. */
    public static double intensityOfPerceivedEffort(double rpe) {
        return Math.sqrt(rpe / RPE_OF_THRESHOLD);
    }
}
