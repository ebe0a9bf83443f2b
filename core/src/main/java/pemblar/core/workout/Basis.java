package pemblar.core.workout;

import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;

/** The quantity a target is set in. */
public enum Basis {
    POWER("power", Measure.POWER, Quantity.THRESHOLD_POWER),
    HEART_RATE("hr", Measure.HEART_RATE, Quantity.THRESHOLD_HEART_RATE),
    PACE("pace", Measure.SPEED, Quantity.THRESHOLD_SPEED);

    private final String key;
    private final Measure measure;
    private final Quantity threshold;

    Basis(String key, Measure measure, Quantity threshold) {
        this.key = key;
        this.measure = measure;
        this.threshold = threshold;
    }

    /** The word of the shorthand. */
    public String key() {
        return key;
    }

    public Measure measure() {
        return measure;
    }

    public Quantity threshold() {
        return threshold;
    }

    public static Basis usualFor(Sport sport) {
        return of(sport.measures().get(0));
    }

    public static Basis of(Measure measure) {
        for (Basis basis : values()) if (basis.measure == measure) return basis;
        throw new IllegalArgumentException("no basis for " + measure);
    }

    /** @throws IllegalArgumentException when the key is none of power, hr, pace */
    public static Basis ofKey(String key) {
        for (Basis basis : values()) if (basis.key.equals(key)) return basis;
        throw new IllegalArgumentException("quantity must be power, hr or pace, was '" + key + "'");
    }
}
