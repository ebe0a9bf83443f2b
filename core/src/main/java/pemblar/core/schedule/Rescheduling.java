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

    /** A session around the one that has to move; hours count from the beginning of 1970-01-01. */
    public record Other(LocalDate date, Spacing.Span when, boolean hard, boolean legs) {}

    /**
     * The session that has to move.
     *
     * @param from the day that is gone
     * @param hour clock time of the session, hours after midnight; {@code length} of it, h
     * @param legs strength work that is heavy on the legs
     */
    public record Moving(LocalDate from, double hour, double length, boolean hard, boolean legs) {
        Spacing.Span on(LocalDate day) {
            double at = day.toEpochDay() * 24.0 + hour;
            return new Spacing.Span(at, at + length);
        }
    }

    /**
     * Which days can be proposed.
     *
     * @param hoursBetweenHard the distance that hard sessions keep, from the end of one to the start of the next
     */
    public record Days(Set<LocalDate> unavailable, LocalDate earliest, double hoursBetweenHard) {}

    /**
     * A day that would do.
     *
     * @param hoursToHard between it and the nearest hard session; infinite when there is none near
     * @param sameDay sessions that lie on that day already
     * @param tooNearToHard the session is hard and another hard one is nearer than the distance kept, or heavy leg work
     *     and something hard are less than 24 hours apart
     */
    public record Proposal(LocalDate day, double hoursToHard, int sameDay, boolean tooNearToHard) {
        /** What lies on that day already, in words. */
        public String beside() {
            if (sameDay == 0) return "a free day";
            return "beside " + sameDay + (sameDay == 1 ? " session" : " sessions");
        }
    }

    private Rescheduling() {}

    public static List<Proposal> of(Moving moving, List<Other> others, Days days) {
        LocalDate from = moving.from();
        List<Proposal> proposals = new ArrayList<>();
        for (int by = -FARTHEST_DAYS; by <= FARTHEST_DAYS; by++) {
            LocalDate day = from.plusDays(by);
            if (by == 0 || day.isBefore(days.earliest()) || days.unavailable().contains(day)) continue;
            Spacing.Span at = moving.on(day);
            double gap = others.stream()
                    .filter(Other::hard)
                    .mapToDouble(o -> o.when().hoursTo(at))
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
            int same = (int) others.stream().filter(o -> o.date().equals(day)).count();
            proposals.add(new Proposal(
                    day,
                    gap,
                    same,
                    moving.hard() && Spacing.isNear(gap, days.hoursBetweenHard()) || legsClash(moving, at, others)));
        }
        proposals.sort(Comparator.comparingDouble(p -> unfit(p, from)));
        return List.copyOf(proposals.subList(0, Math.min(MOST_ANSWERS, proposals.size())));
    }

    private static boolean legsClash(Moving moving, Spacing.Span at, List<Other> others) {
        return others.stream()
                .anyMatch(o -> moving.legs() && o.hard() && isTooSoon(at, o.when())
                        || moving.hard() && o.legs() && isTooSoon(o.when(), at));
    }

    private static boolean isTooSoon(Spacing.Span legs, Spacing.Span hard) {
        return Spacing.isTooSoonAfterLegs(legs.start(), legs.end() - legs.start(), hard.start());
    }

    private static double unfit(Proposal proposal, LocalDate from) {
        return (proposal.tooNearToHard() ? 100 : 0)
                + 10 * proposal.sameDay()
                + Math.abs(proposal.day().toEpochDay() - from.toEpochDay());
    }
}
