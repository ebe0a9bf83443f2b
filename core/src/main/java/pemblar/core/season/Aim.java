package pemblar.core.season;

/**
 * What the season is to reach.
 *
 * @param value hours per week, points per week, or points per day, as the kind says
 */
public record Aim(Kind kind, double value) {
    /**
     * Averages count over all planned days; chronic load counts on the morning of the last A event, or of the last day
     * when there is none.
     */
    public enum Kind {
        WEEKLY_HOURS,
        WEEKLY_LOAD,
        CHRONIC_LOAD
    }

    public Aim {
        if (!(value > 0 && value < 10_000))
            throw new IllegalArgumentException("value must be in 0..10000, was " + value);
    }
}
