package pemblar.core.season;

import java.time.LocalDate;
import java.util.List;

/**
 * Hours that can be trained.
 * @param weekly     hours in an ordinary week
 * @param exceptions spans of days with other hours; the last one that contains a day holds
 */
public record Hours(double weekly, List<Exception> exceptions) {
    /** What a week can hold at most. */
    public static final double MOST = 100;

    public Hours {
        exceptions = List.copyOf(exceptions);
        check(weekly);
    }

    /** Other hours per week from one day to another, both included: a holiday, a work trip, an illness. */
    public record Exception(LocalDate from, LocalDate to, double weekly) {
        public Exception {
            if (to.isBefore(from)) throw new IllegalArgumentException("to must not be before from, was " + from + ".." + to);
            check(weekly);
        }

        boolean contains(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(to);
        }
    }

    private static void check(double weekly) {
        if (!(weekly >= 0 && weekly <= MOST)) throw new IllegalArgumentException("weekly must be in 0..100 h, was " + weekly);
    }

    /** Hours of one day: a seventh of its week's. */
    public double on(LocalDate day) {
        double hours = weekly;
        for (Exception exception : exceptions) if (exception.contains(day)) hours = exception.weekly();
        return hours / 7;
    }

    /** Hours of some days together. */
    public double over(LocalDate first, int days) {
        double sum = 0;
        for (int i = 0; i < days; i++) sum += on(first.plusDays(i));
        return sum;
    }

    /** Hours as if nothing were in the way. */
    static Hours unlimited() {
        return new Hours(MOST, List.of());
    }
}
