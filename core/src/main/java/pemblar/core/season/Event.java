package pemblar.core.season;

import java.time.LocalDate;

/**
 * One or several days that the season leads up to. They hold the event alone.
 *
 * @param day its first day
 * @param days how many, 1 to 28
 * @param load points that the whole event is expected to cost, evenly over its days
 */
public record Event(LocalDate day, int days, Priority priority, double load) {
    /** The most that any event may cost. */
    public static final double MOST_LOAD = 20_000;

    public Event {
        if (days < 1 || days > Block.LONGEST) throw new IllegalArgumentException("days must be in 1..28, was " + days);
        if (!(load >= 0 && load <= MOST_LOAD))
            throw new IllegalArgumentException("load must be in 0..20000, was " + load);
    }

    /** An event of one day. */
    public Event(LocalDate day, Priority priority, double load) {
        this(day, 1, priority, load);
    }

    public LocalDate last() {
        return day.plusDays(days - 1L);
    }
}
