package pemblar.core.threshold;

import pemblar.core.sport.Sport;

/**
 * The world's best running and swimming times by distance (swimming in the long course), as of 1 January 2025, rounded
 * to whole seconds; between two distances by a power law, beyond the ends by the nearest two.
 */
public final class WorldBest {
    private static final double[] METRES = {1500, 3000, 5000, 10_000, 21_097.5, 42_195, 100_000};
    private static final double[] MEN_SECONDS = {206, 438, 755, 1571, 3450, 7235, 21_935};
    private static final double[] WOMEN_SECONDS = {229, 486, 840, 1734, 3772, 7796, 23_591};

    private static final double[] SWUM_METRES = {50, 100, 200, 400, 800, 1500};
    private static final double[] MEN_SWUM_SECONDS = {21, 46, 102, 220, 452, 871};
    private static final double[] WOMEN_SWUM_SECONDS = {24, 52, 112, 235, 484, 920};

    private WorldBest() {}

    /** The same for a sport that goes by pace. */
    public static double seconds(Sport sport, double metres, Sex sex) {
        if (!sport.restsBetween()) return seconds(metres, sex);
        double women = between(metres, SWUM_METRES, WOMEN_SWUM_SECONDS);
        double men = between(metres, SWUM_METRES, MEN_SWUM_SECONDS);
        return sex == Sex.FEMALE ? women : sex == Sex.MALE ? men : (women + men) / 2;
    }

    /** Seconds; when sex is not given, the mean of both. */
    static double seconds(double metres, Sex sex) {
        return switch (sex) {
            case FEMALE -> between(metres, WOMEN_SECONDS);
            case MALE -> between(metres, MEN_SECONDS);
            case NOT_GIVEN -> (between(metres, WOMEN_SECONDS) + between(metres, MEN_SECONDS)) / 2;
        };
    }

    private static double between(double metres, double[] seconds) {
        return between(metres, METRES, seconds);
    }

    private static double between(double metres, double[] distances, double[] seconds) {
        int upper = 1;
        while (upper < distances.length - 1 && metres > distances[upper]) upper++;
        double share = Math.log(metres / distances[upper - 1]) / Math.log(distances[upper] / distances[upper - 1]);
        return seconds[upper - 1] * Math.pow(seconds[upper] / seconds[upper - 1], share);
    }
}
