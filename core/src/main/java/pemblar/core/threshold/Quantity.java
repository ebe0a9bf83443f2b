package pemblar.core.threshold;

import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** What an athlete's zones, intensity and load refer to. Each is set with the day from which it holds. */
public enum Quantity {
    THRESHOLD_POWER(Kind.THRESHOLD_POWER, Sport.RIDE, "threshold power", 40, 600),
    CRITICAL_POWER(Kind.CRITICAL_POWER, Sport.RIDE, "critical power", 40, 600),
    W_PRIME(Kind.W_PRIME, Sport.RIDE, "W′", 2000, 60_000),
    THRESHOLD_HEART_RATE(Kind.THRESHOLD_HEART_RATE, null, "threshold heart rate", 80, 230),
    MAXIMUM_HEART_RATE(Kind.MAXIMUM_HEART_RATE, null, "maximum heart rate", 100, 240),
    RESTING_HEART_RATE(Kind.RESTING_HEART_RATE, null, "resting heart rate", 25, 110),
    RUNNING_THRESHOLD_POWER(Kind.THRESHOLD_POWER, Sport.RUN, "running threshold power", 40, 600),
    RUNNING_THRESHOLD_HEART_RATE(Kind.THRESHOLD_HEART_RATE, Sport.RUN, "running threshold heart rate", 80, 230),
    THRESHOLD_SPEED(Kind.THRESHOLD_SPEED, Sport.RUN, "threshold pace", 1, 8),
    SWIMMING_THRESHOLD_SPEED(Kind.THRESHOLD_SPEED, Sport.SWIM, "swimming threshold pace", 0.3, 2.5),
    BODY_MASS(Kind.BODY_MASS, null, "body mass", 25, 250);

    /** What is meant, whatever the sport. */
    public enum Kind {
        THRESHOLD_POWER("W"),
        CRITICAL_POWER("W"),
        W_PRIME("J"),
        THRESHOLD_HEART_RATE("bpm"),
        MAXIMUM_HEART_RATE("bpm"),
        RESTING_HEART_RATE("bpm"),
        THRESHOLD_SPEED("m/s"),
        BODY_MASS("kg");

        private final String unit;

        Kind(String unit) {
            this.unit = unit;
        }

        /**
         * The quantity by which zones and targets ask for this kind, once the values are those of one sport
         * ({@link Thresholds#forSport}).
         */
        public Quantity plain() {
            return Quantity.valueOf(name());
        }
    }

    private final Kind kind;
    private final Sport sport;
    private final String label;
    private final double lowest;
    private final double highest;

    Quantity(Kind kind, Sport sport, String label, double lowest, double highest) {
        this.kind = kind;
        this.sport = sport;
        this.label = label;
        this.lowest = lowest;
        this.highest = highest;
    }

    /** The threshold of a measure, for the sport of which the values are. */
    public static Quantity threshold(Measure measure) {
        return switch (measure) {
            case POWER -> THRESHOLD_POWER;
            case HEART_RATE -> THRESHOLD_HEART_RATE;
            case SPEED -> THRESHOLD_SPEED;
        };
    }

    /** A sport's own quantity of a kind, else the one of all sports; for sports that have neither, the plain one. */
    public static Quantity of(Kind kind, Sport sport) {
        for (Quantity quantity : values()) if (quantity.kind == kind && quantity.sport == sport) return quantity;
        return kind.plain();
    }

    public Kind kind() {
        return kind;
    }

    /** The sport that it belongs to; null when it holds for all. */
    public Sport sport() {
        return sport;
    }

    public String label() {
        return label;
    }

    public String unit() {
        return kind.unit;
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
        return this.sport == null || this.sport == sport || this.sport == Sport.RIDE && sport == Sport.OTHER;
    }

    public boolean allows(double value) {
        return value >= lowest && value <= highest;
    }
}
