package pemblar.core.threshold;

/**
 * The world's best running times by distance, as of 1 January 2025, rounded to whole seconds; between two distances by
 * a power law, beyond the ends by the nearest two.
 */
final class WorldBest {
    private static final double[] METRES = {1500, 3000, 5000, 10_000, 21_097.5, 42_195, 100_000};
    private static final double[] MEN_SECONDS = {206, 438, 755, 1571, 3450, 7235, 21_935};
    private static final double[] WOMEN_SECONDS = {229, 486, 840, 1734, 3772, 7796, 23_591};

    private WorldBest() {}

    /** Seconds; when sex is not given, the mean of both. */
    static double seconds(double metres, Sex sex) {
        return switch (sex) {
            case FEMALE -> between(metres, WOMEN_SECONDS);
            case MALE -> between(metres, MEN_SECONDS);
            case NOT_GIVEN -> (between(metres, WOMEN_SECONDS) + between(metres, MEN_SECONDS)) / 2;
        };
    }

    private static double between(double metres, double[] seconds) {
        int upper = 1;
        while (upper < METRES.length - 1 && metres > METRES[upper]) upper++;
        double share = Math.log(metres / METRES[upper - 1]) / Math.log(METRES[upper] / METRES[upper - 1]);
        return seconds[upper - 1] * Math.pow(seconds[upper] / seconds[upper - 1], share);
    }
}
