package pemblar.app.adjust.limit;

import java.util.List;
import pemblar.app.season.SeasonSettings;
import pemblar.core.adjust.Situation;

/**
 * What proposals keep to, as the athlete or a coach has set it.
 *
 * @param highestCelsius null: no such limit
 * @param longMinutes from which a session that is not hard is key; null: hard ones alone are
 * @param returnPercent share of chronic load from which a return after illness or injury rises to all of it
 * @param returnHardPercent share of the days away that pass again before anything hard
 */
public record Limits(
        double buildRate,
        double balanceFloor,
        double spacingHours,
        double hoursPerDay,
        Double highestCelsius,
        boolean ice,
        Integer longMinutes,
        double returnPercent,
        double returnHardPercent,
        Decides decides) {
    /** Who takes a proposal. */
    public enum Decides {
        ATHLETE("the athlete"),
        COACH("the coach"),
        /** The athlete, once the coach has suggested it. */
        BOTH("the athlete, once the coach has suggested it");

        private final String words;

        Decides(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** With the hours of each weekday, as far as the season's settings say them, and a little to spare. */
    public Situation.Limits toCore(SeasonSettings season) {
        return new Situation.Limits(
                buildRate,
                hoursPerDay,
                spacingHours,
                balanceFloor,
                highestCelsius == null ? Double.NaN : highestCelsius,
                ice,
                new Situation.Easing(returnPercent / 100, returnHardPercent / 100),
                season.equals(SeasonSettings.USUAL)
                        ? List.of()
                        : season.dayMinutes().stream()
                                .map(minutes -> minutes / 60.0 * LimitStore.SPARE)
                                .toList());
    }

    /** Whether a session of this length is long enough to be key although it is not hard. */
    public boolean isLong(int seconds) {
        return longMinutes != null && seconds >= longMinutes * 60;
    }
}
