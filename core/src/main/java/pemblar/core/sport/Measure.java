package pemblar.core.sport;

/** A measured quantity that zones divide and targets are set in. */
public enum Measure {
    POWER("Power"),
    HEART_RATE("Heart rate"),
    SPEED("Speed");

    private final String title;

    Measure(String title) {
        this.title = title;
    }

    /** As a heading says it for a sport: the speed of a sport that reads as pace is called so. */
    public String title(Sport sport) {
        return this == SPEED && sport.speed().isPace() ? "Pace" : title;
    }
}
