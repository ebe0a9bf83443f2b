package pemblar.core.season;

/**
 * The balance to have on the morning of an event, as shares of chronic load: fresh for A, not tired for B; C is trained
 * through. A rule of our own, from the tapers of section "planning": half the load for 8 to 14 days leads into it.
 */
public enum WantedBalance {
    FRESH(0.10, 0.35),
    NOT_TIRED(0.0, 0.20);

    private final double low;
    private final double high;

    WantedBalance(double low, double high) {
        this.low = low;
        this.high = high;
    }

    /** For an event; null for C. */
    public static WantedBalance of(Priority priority) {
        return switch (priority) {
            case A -> FRESH;
            case B -> NOT_TIRED;
            case C -> null;
        };
    }

    /** Points a day, with some chronic load. */
    public double low(double chronic) {
        return low * chronic;
    }

    public double high(double chronic) {
        return high * chronic;
    }
}
