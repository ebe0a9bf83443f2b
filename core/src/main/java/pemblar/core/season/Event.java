package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;

/**
 * One or several days that the season leads up to. They hold the event alone.
 *
 * @param day its first day
 * @param days how many, 1 to 28
 * @param load points that the whole event is expected to cost
 * @param byDay points of each of its days, together the load; empty when they lie evenly over its days
 */
public record Event(LocalDate day, int days, Priority priority, double load, List<Double> byDay) {
    /** The most that any event may cost. */
    public static final double MOST_LOAD = 20_000;

    public Event {
        byDay = List.copyOf(byDay);
        if (days < 1 || days > Block.LONGEST) throw new IllegalArgumentException("days must be in 1..28, was " + days);
        if (!(load >= 0 && load <= MOST_LOAD))
            throw new IllegalArgumentException("load must be in 0..20000, was " + load);
        if (!byDay.isEmpty() && byDay.size() != days)
            throw new IllegalArgumentException("byDay must have " + days + " days, had " + byDay.size());
    }

    /** An event whose load lies evenly over its days. */
    public Event(LocalDate day, int days, Priority priority, double load) {
        this(day, days, priority, load, List.of());
    }

    /** An event of one day. */
    public Event(LocalDate day, Priority priority, double load) {
        this(day, 1, priority, load);
    }

    /** An event of which each day costs its own; more than an event may cost is brought down on all days alike. */
    public static Event of(LocalDate day, Priority priority, List<Double> byDay) {
        double sum = byDay.stream().mapToDouble(Double::doubleValue).sum();
        double share = sum > MOST_LOAD ? MOST_LOAD / sum : 1;
        List<Double> kept = byDay.stream().map(load -> load * share).toList();
        return new Event(day, kept.size(), priority, Math.min(MOST_LOAD, sum), kept);
    }

    public LocalDate last() {
        return day.plusDays(days - 1L);
    }

    /** Points of one of its days, the first is 0. */
    public double loadOn(int index) {
        return byDay.isEmpty() ? load / days : byDay.get(index);
    }

    /** Points of a day; 0 when it is none of its days. */
    public double loadOn(LocalDate date) {
        return date.isBefore(day) || date.isAfter(last()) ? 0 : loadOn((int) (date.toEpochDay() - day.toEpochDay()));
    }

    /** The same from another day on. */
    public Event on(LocalDate other) {
        return new Event(other, days, priority, load, byDay);
    }

    /** The same without the points of some days. */
    public Event without(Set<LocalDate> taken) {
        List<Double> left = new ArrayList<>(Collections.nCopies(days, 0.0));
        for (int i = 0; i < days; i++) if (!taken.contains(day.plusDays(i))) left.set(i, loadOn(i));
        return of(day, priority, left);
    }
}
