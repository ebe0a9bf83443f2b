package pemblar.app.season;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.season.Event;
import pemblar.core.season.EventLoad;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;

/**
 * A day that the plan leads up to. Distance and time are what is expected; either may be null.
 *
 * @param id 0 before it is stored
 * @param days how many days it lasts, stages included
 */
public record SeasonEvent(
        long id,
        LocalDate day,
        int days,
        String name,
        Priority priority,
        Kind kind,
        Sport sport,
        Double metres,
        Integer seconds,
        List<EventDemand> demands) {
    public SeasonEvent {
        demands = List.copyOf(demands);
        if (days == 0) days = 1; // kept for undo before events had days
        if (days < 1 || days > 28) throw new IllegalArgumentException("Days: an event lasts 1 to 28 days.");
    }

    public LocalDate last() {
        return day.plusDays(days - 1L);
    }

    public SeasonEvent(LocalDate day, String name, Priority priority) {
        this(0, day, 1, name, priority, Kind.RACE, Sport.OTHER, null, null, List.of());
    }

    /** What kind of day it is. */
    public enum Kind {
        RACE,
        TIME_TRIAL,
        HILL_CLIMB,
        OFF_ROAD,
        TOUR,
        ROAD_RUN,
        TRAIL_RUN,
        MIXED
    }

    /** An effort that the event asks for. @param source where it was taken from, empty when typed */
    public record EventDemand(int seconds, Unit unit, double amount, After after, double afterAmount, String source) {}

    /** Watts, watts per kilogram, or metres per second. */
    public enum Unit {
        WATTS,
        WATTS_PER_KG,
        SPEED
    }

    /** Fresh, after work in joules, or after time in seconds. */
    public enum After {
        FRESH,
        WORK,
        TIME
    }

    /**
     * Points it is expected to cost, all stages together, or NaN; a stage race's time is spread evenly over its days.
     */
    public double load() {
        return seconds == null ? Double.NaN : days * EventLoad.of((double) seconds / days);
    }

    /** @param usual points of a day as it usually is, which stand for each day of an event whose time nobody gave */
    public Event toCore(double usual) {
        return new Event(
                day,
                days,
                priority,
                Math.min(Event.MOST_LOAD, Double.isNaN(load()) ? days * Math.max(0, usual) : load()));
    }

    public SeasonEvent on(LocalDate other) {
        return new SeasonEvent(id, other, days, name, priority, kind, sport, metres, seconds, demands);
    }

    public SeasonEvent demanding(List<EventDemand> others) {
        return new SeasonEvent(id, day, days, name, priority, kind, sport, metres, seconds, others);
    }
}
