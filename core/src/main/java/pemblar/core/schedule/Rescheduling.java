package pemblar.core.schedule;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** Other days for a session whose day has become unavailable, the best first. */
public final class Rescheduling {
    private static final int FARTHEST_DAYS = 5;
    private static final int MOST_ANSWERS = 3;

    /** A session around the one that has to move; {@code hour} counts from any common zero. */
    public record Other(LocalDate date, double hour, boolean hard, boolean legs) {
        public Other(LocalDate date, double hour, boolean hard) {
            this(date, hour, hard, false);
        }
    }

    /**
     * The session that has to move.
     *
     * @param from the day that is gone
     * @param hour clock time of the session, hours after midnight
     * @param legs strength work that is heavy on the legs
     */
    public record Moving(LocalDate from, double hour, boolean hard, boolean legs) {}

    /**
     * A day that would do.
     *
     * @param hoursToHard to the nearest hard session; infinite when there is none near
     * @param sameDay sessions that lie on that day already
     * @param tooNearToHard the session is hard and another hard one is less than 36 hours away, or heavy leg work and
     *     something hard are less than 24 hours apart
     */
    public record Proposal(LocalDate day, double hoursToHard, int sameDay, boolean tooNearToHard) {}

    private Rescheduling() {}

    /** @param earliest first day that can be proposed */
    public static List<Proposal> of(Moving moving, List<Other> others, Set<LocalDate> unavailable, LocalDate earliest) {
        LocalDate from = moving.from();
        List<Proposal> proposals = new ArrayList<>();
        for (int by = -FARTHEST_DAYS; by <= FARTHEST_DAYS; by++) {
            LocalDate day = from.plusDays(by);
            if (by == 0 || day.isBefore(earliest) || unavailable.contains(day)) continue;
            double at = day.toEpochDay() * 24.0 + moving.hour();
            double gap = others.stream()
                    .filter(Other::hard)
                    .mapToDouble(o -> Math.abs(o.hour() - at))
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
            int same = (int) others.stream().filter(o -> o.date().equals(day)).count();
            proposals.add(new Proposal(
                    day,
                    gap,
                    same,
                    moving.hard() && gap < DayPlan.HOURS_BETWEEN_HARD || legsClash(moving, at, others)));
        }
        proposals.sort(Comparator.comparingDouble(p -> unfit(p, from)));
        return List.copyOf(proposals.subList(0, Math.min(MOST_ANSWERS, proposals.size())));
    }

    /** The length of leg work is an hour here, as it is mostly. */
    private static boolean legsClash(Moving moving, double at, List<Other> others) {
        return others.stream()
                .anyMatch(o -> moving.legs() && o.hard() && Spacing.isTooSoonAfterLegs(at, 1, o.hour())
                        || moving.hard() && o.legs() && Spacing.isTooSoonAfterLegs(o.hour(), 1, at));
    }

    private static double unfit(Proposal proposal, LocalDate from) {
        return (proposal.tooNearToHard() ? 100 : 0)
                + 10 * proposal.sameDay()
                + Math.abs(proposal.day().toEpochDay() - from.toEpochDay());
    }
}
