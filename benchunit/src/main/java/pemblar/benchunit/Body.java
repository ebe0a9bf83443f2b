package pemblar.benchunit;

import pemblar.core.sport.Sport;

/**
 * What a simulated athlete is made of.
 *
 * @param thresholdWatts power held for about an hour when riding
 * @param tankJoules work that can be done above it before power fades
 * @param thresholdSpeed speed of the sport held for about an hour, m/s; riding goes by watts
 */
public record Body(
        Sport sport,
        double thresholdWatts,
        double tankJoules,
        double thresholdSpeed,
        double restingBpm,
        double maximumBpm,
        double massKilograms) {
    /** An ordinary person's threshold speed in a sport, m/s. */
    public static double usualSpeed(Sport sport) {
        return switch (sport) {
            case SWIM -> 1.05;
            case WALK -> 1.9;
            case ROW -> 3.9;
            case SKI -> 4.2;
            case RIDE, RUN, STRENGTH, OTHER -> 3.6;
        };
    }

    public Body {
        if (!(thresholdWatts > 0 && tankJoules > 0 && thresholdSpeed > 0))
            throw new IllegalArgumentException("thresholds must be above 0");
        if (!(restingBpm > 20 && maximumBpm > restingBpm && maximumBpm < 250))
            throw new IllegalArgumentException(
                    "heart rates must rise from rest to maximum, were " + restingBpm + ", " + maximumBpm);
        if (!(massKilograms > 25 && massKilograms < 250))
            throw new IllegalArgumentException("massKilograms must be in 25..250, was " + massKilograms);
    }
}
