package pemblar.core.threshold;

import pemblar.core.Sport;

/** What an athlete's zones, intensity and load refer to. Each is set with the day from which it holds. */
public enum Quantity {
    THRESHOLD_POWER("threshold power", "W", 40, 600),
    CRITICAL_POWER("critical power", "W", 40, 600),
    W_PRIME("W′", "J", 2000, 60_000),
    THRESHOLD_HEART_RATE("threshold heart rate", "bpm", 80, 230),
    MAXIMUM_HEART_RATE("maximum heart rate", "bpm", 100, 240),
    RESTING_HEART_RATE("resting heart rate", "bpm", 25, 110),
    RUNNING_THRESHOLD_POWER("running threshold power", "W", 40, 600),
    RUNNING_THRESHOLD_HEART_RATE("running threshold heart rate", "bpm", 80, 230),
    THRESHOLD_SPEED("threshold pace", "m/s", 1, 8),
    BODY_MASS("body mass", "kg", 25, 250);

    private final String label;
    private final String unit;
    private final double lowest;
    private final double highest;

    Quantity(String label, String unit, double lowest, double highest) {
        this.label = label;
        this.unit = unit;
        this.lowest = lowest;
        this.highest = highest;
    }

    public String label() {
        return label;
    }

    public String unit() {
        return unit;
    }

    /** Lowest and highest value that a person can have, in {@link #unit}. */
    public double lowest() {
        return lowest;
    }

    public double highest() {
        return highest;
    }

    /** True when something that is computed for a sport can rest on this quantity. */
    public boolean serves(Sport sport) {
        return switch (this) {
            case THRESHOLD_POWER, CRITICAL_POWER, W_PRIME -> sport != Sport.RUN;
            case RUNNING_THRESHOLD_POWER, RUNNING_THRESHOLD_HEART_RATE, THRESHOLD_SPEED -> sport == Sport.RUN;
            case THRESHOLD_HEART_RATE, MAXIMUM_HEART_RATE, RESTING_HEART_RATE, BODY_MASS -> true;
        };
    }

    public boolean allows(double value) {
        return value >= lowest && value <= highest;
    }
}
