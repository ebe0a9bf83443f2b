package pemblar.app.adjust;

import pemblar.core.adjust.Situation;

/**
 * What proposals keep to, as the athlete or a coach has set it.
 *
 * @param highestCelsius null: no such limit
 */
public record Limits(
        double buildRate,
        double balanceFloor,
        double spacingHours,
        double hoursPerDay,
        Double highestCelsius,
        boolean ice,
        Decides decides) {
    /** Who takes a proposal. */
    public enum Decides {
        ATHLETE,
        COACH,
        /** The athlete, once the coach has suggested it. */
        BOTH
    }

    Situation.Limits toCore() {
        return new Situation.Limits(
                buildRate,
                hoursPerDay,
                spacingHours,
                balanceFloor,
                highestCelsius == null ? Double.NaN : highestCelsius,
                ice);
    }
}
