package pemblar.core.range;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** Days in a row, both ends included. An end before the beginning holds no day. */
public record DayRange(LocalDate from, LocalDate to) {
    /** One day and so many before it. */
    public static DayRange upTo(LocalDate to, int daysBefore) {
        return new DayRange(to.minusDays(daysBefore), to);
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(to);
    }

    /** At least 0. */
    public int days() {
        return (int) Math.max(0, ChronoUnit.DAYS.between(from, to) + 1);
    }
}
