package pemblar.core.threshold;

/** How a piece of evidence was found (computation, section 7). */
public enum Method {
    TWENTY_MINUTES("20 min test"),
    RAMP("ramp test"),
    TWO_EFFORTS("two efforts"),
    TWO_SWIMS("two swims"),
    RACE_BY_POWER("trial or race by power"),
    RACE_BY_PACE("trial or race by pace"),
    BEST_EFFORTS("best efforts of 90 days"),
    RESERVE_BELOW_ZERO("reserve below zero"),
    HEART_RATE_THIRTY("30 min heart-rate trial"),
    HEART_RATE_TWENTY("heart rate of a 20 min test");

    private final String label;

    Method(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
