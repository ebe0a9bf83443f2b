package pemblar.core.schedule;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** How sessions are spread: the hours between hard ones, and runs of days without a rest day. */
public final class Spacing {
    /** From so many days in a row on a missing rest day is worth a word. */
    public static final int LONG_RUN_DAYS = 8;

    /**
     * Two hard sessions that follow each other. @param hours from start to start @param near less than the distance
     * that hard sessions keep
     */
    public record Gap(double fromHour, double toHour, double hours, boolean near) {}

    /** Days in a row with training. */
    public record Run(LocalDate first, LocalDate last, int days) {}

    /** Hours that heavy leg work keeps before what is hard. */
    public static final double HOURS_AFTER_LEGS = 24;

    /** A hard session begins while heavy leg work lasts or less than a day after it; hours from any common zero. */
    public static boolean isTooSoonAfterLegs(double legsStart, double legsHours, double hardStart) {
        return hardStart >= legsStart && hardStart - legsStart - legsHours < HOURS_AFTER_LEGS;
    }

    private Spacing() {}

    /** @param startHours when hard sessions start, in hours from any common zero */
    public static List<Gap> gaps(Collection<Double> startHours) {
        List<Double> hours = startHours.stream().sorted().toList();
        List<Gap> gaps = new ArrayList<>();
        for (int i = 1; i < hours.size(); i++) {
            double between = hours.get(i) - hours.get(i - 1);
            gaps.add(new Gap(hours.get(i - 1), hours.get(i), between, between < DayPlan.HOURS_BETWEEN_HARD));
        }
        return gaps;
    }

    /** The longest run of training days that touches a span of days, when it is long; empty otherwise. */
    public static Optional<Run> longRun(Collection<LocalDate> trainingDays, LocalDate from, LocalDate to) {
        Run longest = null;
        LocalDate begin = null;
        LocalDate before = null;
        for (LocalDate day : new TreeSet<>(trainingDays)) {
            if (before == null || !day.equals(before.plusDays(1))) begin = day;
            before = day;
            int days = (int) (day.toEpochDay() - begin.toEpochDay()) + 1;
            boolean touches = !day.isBefore(from) && !begin.isAfter(to);
            if (touches && days >= LONG_RUN_DAYS && (longest == null || days > longest.days()))
                longest = new Run(begin, day, days);
        }
        return Optional.ofNullable(longest);
    }
}
