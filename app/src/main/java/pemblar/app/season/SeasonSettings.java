package pemblar.app.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import pemblar.core.season.Aim;
import pemblar.core.season.Hours;
import pemblar.core.season.Rhythm;
import pemblar.core.sport.Sport;

/**
 * How an athlete's season is planned.
 *
 * @param lastDay last planned day, or null for two weeks after the last event
 * @param easyEvery every how many blocks one is easy, or with {@code easyInDays} every how many days
 * @param dayMinutes minutes that can be trained on Monday to Sunday
 * @param longDay weekday of the long session, or null
 * @param shares percent of the time of each sport; empty leaves all to the sport of the event
 */
public record SeasonSettings(
        LocalDate lastDay,
        Aim.Kind aimKind,
        double aimValue,
        int blockDays,
        int easyEvery,
        boolean easyInDays,
        int easyDays,
        double highestBuild,
        double weeklyHours,
        List<Integer> dayMinutes,
        DayOfWeek longDay,
        boolean stacked,
        Map<Sport, Integer> shares) {
    public static final SeasonSettings USUAL = new SeasonSettings(
            null,
            Aim.Kind.CHRONIC_LOAD,
            60,
            7,
            4,
            false,
            7,
            5,
            10,
            List.of(0, 75, 60, 75, 0, 120, 180),
            DayOfWeek.SUNDAY,
            false,
            Map.of());

    public SeasonSettings {
        dayMinutes = List.copyOf(dayMinutes);
        shares = shares == null ? Map.of() : Map.copyOf(shares); // kept for undo before sports had shares
    }

    public Aim aim() {
        return new Aim(aimKind, aimValue);
    }

    /** @throws IllegalArgumentException when the numbers do not go together */
    public Rhythm rhythm() {
        return easyInDays ? Rhythm.everyDays(easyEvery, blockDays, easyDays) : Rhythm.everyBlock(easyEvery, blockDays);
    }

    public Hours hours(List<Away> away) {
        return new Hours(
                weeklyHours,
                away.stream()
                        .map(a -> new Hours.Exception(a.from(), a.to(), a.weeklyHours()))
                        .toList());
    }

    public SeasonSettings aiming(Aim.Kind kind, double value) {
        return new SeasonSettings(
                lastDay,
                kind,
                value,
                blockDays,
                easyEvery,
                easyInDays,
                easyDays,
                highestBuild,
                weeklyHours,
                dayMinutes,
                longDay,
                stacked,
                shares);
    }

    /** Days with other hours than usual, and why. @param only the one sport that can be done then; null: any */
    public record Away(LocalDate from, LocalDate to, double weeklyHours, String reason, Kind kind, Sport only) {
        /** Why; after illness or injury the return is eased. */
        public enum Kind {
            TRAVEL,
            ILLNESS,
            INJURY,
            WORK,
            OTHER
        }

        public Away {
            if (kind == null) kind = Kind.OTHER; // kept for undo before reasons were told apart
        }

        public Away(LocalDate from, LocalDate to, double weeklyHours, String reason) {
            this(from, to, weeklyHours, reason, Kind.OTHER, null);
        }

        public boolean contains(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(to);
        }

        /** Whether nobody may expect a session of a sport on a day of it. */
        public boolean excuses(LocalDate day, Sport sport) {
            return contains(day) && (weeklyHours <= 0 || only != null && only != sport);
        }

        /** What is left of training then: nothing, hours, of one sport or of any. */
        public String left(String hours) {
            if (weeklyHours <= 0) return "no training";
            return hours + " h a week" + (only == null ? "" : ", only " + only.doing());
        }
    }

    /** A day that has a note, or cannot be trained. */
    public record Marked(LocalDate day, boolean unavailable, String note) {}
}
