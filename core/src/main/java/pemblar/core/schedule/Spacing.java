package pemblar.core.schedule;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** How sessions are spread: the hours between hard ones, and runs of days without a rest day. */
public final class Spacing {
    /** From so many days in a row on a missing rest day is worth a word. */
    public static final int LONG_RUN_DAYS = 8;

    /** When a session is, in hours from any common zero. */
    public record Span(double start, double end) {
        /** Hours between two, whichever comes first; 0 when they overlap. */
        public double hoursTo(Span other) {
            return Math.max(0, Math.max(start - other.end, other.start - end));
        }
    }

    /**
     * Two hard sessions that follow each other. @param hours from the end of one to the start of the next @param near
     * less than the distance that is kept
     */
    public record Gap(Span from, Span to, double hours, boolean near) {}

    /** Days in a row with training. */
    public record Run(LocalDate first, LocalDate last, int days) {}

    /** Hours that heavy leg work keeps before what is hard. */
    public static final double HOURS_AFTER_LEGS = 24;
    /** Hours that are computed from instants are equal to within this. */
    private static final double DUST = 1e-6;

    /** A hard session begins while heavy leg work lasts or less than a day after it; hours from any common zero. */
    public static boolean isTooSoonAfterLegs(double legsStart, double legsHours, double hardStart) {
        return hardStart >= legsStart && hardStart - legsStart - legsHours < HOURS_AFTER_LEGS;
    }

    private Spacing() {}

    /** Two hard sessions are nearer than the distance that is kept. */
    public static boolean isNear(double hours, double leastHours) {
        return hours < leastHours - DUST;
    }

    /** @param leastHours the distance that hard sessions keep */
    public static List<Gap> gaps(Collection<Span> hard, double leastHours) {
        List<Span> spans =
                hard.stream().sorted(Comparator.comparingDouble(Span::start)).toList();
        List<Gap> gaps = new ArrayList<>();
        for (int i = 1; i < spans.size(); i++) {
            double between = spans.get(i - 1).hoursTo(spans.get(i));
            gaps.add(new Gap(spans.get(i - 1), spans.get(i), between, isNear(between, leastHours)));
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
