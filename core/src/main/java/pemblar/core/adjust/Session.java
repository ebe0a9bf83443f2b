package pemblar.core.adjust;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * A session that is still to be done.
 *
 * @param startMinute minutes since midnight
 * @param load points; {@code hours} likewise as planned
 * @param pinned no proposal touches it
 * @param legs heavy work of the legs
 */
public record Session(
        String id,
        LocalDate day,
        int startMinute,
        String sport,
        String purpose,
        double load,
        double hours,
        boolean hard,
        boolean isLong,
        boolean pinned,
        boolean legs) {
    public static final int NOON = 720;

    public Session {
        if (!(load >= 0 && load < 1e5)) throw new IllegalArgumentException("load must be in 0..100000, was " + load);
        if (!(hours >= 0 && hours <= 72)) throw new IllegalArgumentException("hours must be in 0..72, was " + hours);
    }

    /** Hard or long: what a week is planned around. */
    public boolean isKey() {
        return hard || isLong;
    }

    LocalDateTime start() {
        return day.atStartOfDay().plusMinutes(startMinute);
    }

    LocalDateTime end() {
        return start().plusSeconds(Math.round(hours * 3600));
    }

    /** From its end to the start of another, h; below zero when that begins before. */
    double hoursTo(Session next) {
        return Duration.between(end(), next.start()).toSeconds() / 3600.0;
    }

    Session on(LocalDate other, int minute) {
        return new Session(id, other, minute, sport, purpose, load, hours, hard, isLong, pinned, legs);
    }

    Session scaled(double factor) {
        return new Session(
                id, day, startMinute, sport, purpose, load * factor, hours * factor, hard, isLong, pinned, legs);
    }

    Session swapped(double newLoad, double newHours, boolean newHard) {
        return new Session(
                id,
                day,
                startMinute,
                sport,
                newHard ? purpose : "easy",
                newLoad,
                newHours,
                newHard,
                false,
                pinned,
                newHard && legs);
    }
}
