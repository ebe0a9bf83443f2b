package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import pemblar.core.adjust.Situation.Away;

/**
 * The return after days away. After illness or injury of n days the load of day i is at most chronic x (0.5 + 0.5 i /
 * n), with no hard session before day max(2, n / 2): a rule of ours, to be changed by the person. Chronic is that of
 * the morning of the return, which is the smaller.
 */
final class Returning {
    private static final double WEEK = 7;

    private Returning() {}

    /** The hours left on a day away hold what is planned there. */
    static boolean fits(Away away, Plan plan, LocalDate day) {
        double hours = plan.sessions().stream()
                .filter(p -> p.day().equals(day))
                .mapToDouble(Session::hours)
                .sum();
        return away.hoursPerWeek() > 0 && hours <= away.hoursPerWeek() / WEEK + 1e-9;
    }

    static double most(Situation s, Plan plan, Away away, LocalDate day) {
        long i = day.toEpochDay() - away.last().toEpochDay();
        int n = away.days();
        if (!away.reason().easesReturn() || i < 1 || i > n) return Double.POSITIVE_INFINITY;
        LocalDate back = away.last().plusDays(1);
        double chronic = back.isBefore(s.today()) ? s.chronic() : new Foresight(s, plan).chronicOn(back);
        return chronic * (0.5 + 0.5 * i / n);
    }

    /** True on the days of the return on which nothing hard should be done. */
    static boolean isTooEarly(Away away, LocalDate day) {
        long i = day.toEpochDay() - away.last().toEpochDay();
        return away.reason().easesReturn() && i >= 1 && i < Math.max(2, away.days() / 2.0);
    }

    /** Sessions of the return that are hard too early, or of days that hold too much. */
    static List<Session> tooMuch(Situation s, Plan plan, Away away) {
        List<Session> all = new ArrayList<>();
        if (!away.reason().easesReturn()) return all;
        for (Session session : plan.sessions()) {
            if (session.day().isBefore(s.today())
                    || !session.day().isAfter(away.last())
                    || session.day().isAfter(away.last().plusDays(away.days()))) continue;
            double load = plan.sessions().stream()
                    .filter(p -> p.day().equals(session.day()))
                    .mapToDouble(Session::load)
                    .sum();
            if (session.hard() && isTooEarly(away, session.day()) || load > most(s, plan, away, session.day()) + 1e-6)
                all.add(session);
        }
        return all;
    }
}
