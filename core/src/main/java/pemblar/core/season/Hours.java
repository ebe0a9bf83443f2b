package pemblar.core.season;

import java.time.LocalDate;
import java.util.List;

/**
 * Hours that can be trained.
 *
 * @param weekly hours in an ordinary week
 * @param away spans of days with other hours; where several contain a day the least of them holds. Days with no more
 *     than an ordinary week's hours are away; a camp has more
 */
public record Hours(double weekly, List<Exception> away) {
    /** What a week can hold at most. */
    public static final double MOST = 168;

    public Hours {
        away = List.copyOf(away);
        check(weekly);
    }

    /** Hours left per week from one day to another, both included: a holiday, a work trip, an illness. */
    public record Exception(LocalDate from, LocalDate to, double weekly) {
        public Exception {
            if (to.isBefore(from))
                throw new IllegalArgumentException("to must not be before from, was " + from + ".." + to);
            check(weekly);
        }

        boolean contains(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(to);
        }
    }

    private static void check(double weekly) {
        if (!(weekly >= 0 && weekly <= MOST))
            throw new IllegalArgumentException("weekly must be in 0..168 h, was " + weekly);
    }

    public boolean isAway(LocalDate day) {
        return away.stream().anyMatch(a -> a.contains(day) && a.weekly() <= weekly);
    }

    /** Hours of one day: a seventh of its week's. */
    public double on(LocalDate day) {
        return away.stream()
                        .filter(a -> a.contains(day))
                        .mapToDouble(Exception::weekly)
                        .min()
                        .orElse(weekly)
                / 7;
    }

    /** Hours of some days together. */
    public double over(LocalDate first, int days) {
        double sum = 0;
        for (int i = 0; i < days; i++) sum += on(first.plusDays(i));
        return sum;
    }

    /** The same with every hour times a factor. */
    Hours times(double factor) {
        return new Hours(
                Math.min(MOST, weekly * factor),
                away.stream()
                        .map(a -> new Exception(a.from(), a.to(), Math.min(MOST, a.weekly() * factor)))
                        .toList());
    }

    /** As if no day were away. */
    Hours withoutAway() {
        return new Hours(weekly, away.stream().filter(a -> a.weekly() > weekly).toList());
    }
}
