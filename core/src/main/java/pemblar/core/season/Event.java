package pemblar.core.season;

import java.time.LocalDate;

/**
 * A day that the season leads up to.
 * @param load points that the event itself is expected to cost; NaN when not known, and the day then counts as a day of training
 */
public record Event(LocalDate day, Priority priority, double load) {
    public Event {
        if (load < 0 || load > 2000) throw new IllegalArgumentException("load must be in 0..2000, was " + load);
    }
}
