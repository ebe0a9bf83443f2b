package pemblar.core.season;

/**
 * What an event costs: its time at the intensity that can be held for so long, (t / T)^-k with T = 55 min and the usual
 * k = 0.07.
 *
 * @see "Riegel, Athletic Records and Human Endurance, American Scientist 69 (1981)"
 */
public final class EventLoad {
    private static final double THRESHOLD_SECONDS = 3300;
    private static final double EXPONENT = 0.07;
    private static final double HIGHEST_INTENSITY = 1.15;

    private EventLoad() {}

    /** Points of an event that lasts some time. */
    public static double of(double seconds) {
        if (!(seconds > 0 && seconds <= 864_000))
            throw new IllegalArgumentException("seconds must be in 0..864000, was " + seconds);
        double intensity = Math.min(HIGHEST_INTENSITY, Math.pow(seconds / THRESHOLD_SECONDS, -EXPONENT));
        return seconds / 3600 * intensity * intensity * 100;
    }
}
