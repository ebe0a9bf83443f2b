package pemblar.core.workout;

/** Pace and speed: the same thing turned over. */
public final class Pace {
    /** International mile, exact since 1959. */
    public static final double METRES_PER_MILE = 1609.344;

    private Pace() {}

    /** Minutes and seconds, as 4:10. */
    public static String clock(double seconds) {
        long whole = Math.round(seconds);
        return whole / 60 + ":" + (whole % 60 < 10 ? "0" : "") + whole % 60;
    }
}
