package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pemblar.core.adjust.Situation.Away;

/**
 * The return after days away, as the person's {@link Situation.Easing} has it. Chronic is that of the morning of the
 * return, which is the smaller.
 */
final class Returning {
    private static final double WEEK = 7;
    /** A day that is over by less is not worth a change. */
    private static final double SLIGHT = 1.03;

    private Returning() {}

    /**
     * Sessions on days away that the hours left there cannot hold, or that are of another sport than can be done there:
     * pinned ones stay, then the shortest first, as many as there is time for.
     */
    static List<Session> tooLong(Away away, Plan plan) {
        double left = away.hoursPerWeek() / WEEK * away.days() + 1e-9;
        List<Session> all = new ArrayList<>();
        List<Session> inside = plan.sessions().stream()
                .filter(p -> away.contains(p.day()))
                .sorted(Comparator.comparing((Session p) -> !p.pinned()).thenComparingDouble(Session::hours))
                .toList();
        for (Session p : inside) {
            boolean stays = away.hoursPerWeek() > 0 && away.allows(p) && p.hours() <= left;
            if (stays) left -= p.hours();
            else all.add(p);
        }
        return all;
    }

    static double most(Situation s, Plan plan, Away away, LocalDate day) {
        long i = day.toEpochDay() - away.last().toEpochDay();
        int n = away.days();
        if (!away.reason().easesReturn() || i < 1 || i > n) return Double.POSITIVE_INFINITY;
        LocalDate back = away.last().plusDays(1);
        double chronic = back.isBefore(s.today()) ? s.chronic() : new Foresight(s, plan).chronicOn(back);
        double share = s.limits().easing().share();
        return chronic * (share + (1 - share) * i / n);
    }

    /** True on the days of the return on which nothing hard should be done. */
    static boolean isTooEarly(Situation s, Away away, LocalDate day) {
        long i = day.toEpochDay() - away.last().toEpochDay();
        return away.reason().easesReturn()
                && i >= 1
                && i < Math.max(2, away.days() * s.limits().easing().hardAfter());
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
            if (session.hard() && isTooEarly(s, away, session.day())
                    || load > most(s, plan, away, session.day()) * SLIGHT) all.add(session);
        }
        return all;
    }
}
