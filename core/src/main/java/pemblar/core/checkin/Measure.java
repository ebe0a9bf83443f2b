package pemblar.core.checkin;

/** A morning value that is judged against its usual (computation, section 13). */
public enum Measure {
    RESTING_HEART_RATE("restingHeartRate", "Resting heart rate", "bpm", 3, +1),
    VARIABILITY("variability", "Heart-rate variability", "ms", 0.05, -1),
    SLEEP("sleep", "Sleep", "min", 45, -1);

    private final String key;
    private final String words;
    private final String unit;
    private final double floor;
    private final int strain;

    Measure(String key, String words, String unit, double floor, int strain) {
        this.key = key;
        this.words = words;
        this.unit = unit;
        this.floor = floor;
        this.strain = strain;
    }

    public String key() {
        return key;
    }

    public String words() {
        return words;
    }

    public String unit() {
        return unit;
    }

    /** Least difference that means something, on the scale on which the measure is judged. */
    public double floor() {
        return floor;
    }

    /** On which side of the usual strain lies: 1 above, -1 below. */
    public int strain() {
        return strain;
    }

    /** Variability is judged on its logarithm (Plews et al. 2013). */
    double scaled(double value) {
        return this == VARIABILITY ? Math.log(value) : value;
    }

    double unscaled(double value) {
        return this == VARIABILITY ? Math.exp(value) : value;
    }
}
