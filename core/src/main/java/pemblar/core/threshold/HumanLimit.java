package pemblar.core.threshold;

/**
 * Generous upper limits of human power, W, to refuse slips of the keyboard and of meters; between the durations by a
 * power law.
 */
public final class HumanLimit {
    private static final double[] SECONDS = {1, 5, 60, 300, 1200, 3600, 18_000, 86_400};
    private static final double[] WATTS = {2600, 2200, 1100, 700, 560, 510, 430, 350};

    private HumanLimit() {}

    /** @param seconds how long it is held */
    public static double watts(double seconds) {
        if (seconds <= SECONDS[0]) return WATTS[0];
        int upper = 1;
        while (upper < SECONDS.length - 1 && seconds > SECONDS[upper]) upper++;
        double share =
                Math.min(1, Math.log(seconds / SECONDS[upper - 1]) / Math.log(SECONDS[upper] / SECONDS[upper - 1]));
        return WATTS[upper - 1] * Math.pow(WATTS[upper] / WATTS[upper - 1], share);
    }
}
