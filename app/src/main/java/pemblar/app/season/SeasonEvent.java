package pemblar.app.season;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.Sport;
import pemblar.core.season.Event;
import pemblar.core.season.EventLoad;
import pemblar.core.season.Priority;

/**
 * A day that the plan leads up to. Distance and time are what is expected; either may be null.
 * @param id 0 before it is stored
 */
public record SeasonEvent(long id, LocalDate day, String name, Priority priority, Kind kind, Sport sport, Double metres, Integer seconds, List<EventDemand> demands) {
    public SeasonEvent {
        demands = List.copyOf(demands);
    }

    public SeasonEvent(LocalDate day, String name, Priority priority) {
        this(0, day, name, priority, Kind.RACE, Sport.OTHER, null, null, List.of());
    }

    /** What kind of day it is. */
    public enum Kind { RACE, TIME_TRIAL, HILL_CLIMB, OFF_ROAD, TOUR, ROAD_RUN, TRAIL_RUN, MIXED }

    /** An effort that the event asks for. @param source where it was taken from, empty when typed */
    public record EventDemand(int seconds, Unit unit, double amount, After after, double afterAmount, String source) {}

    /** Watts, watts per kilogram, or metres per second. */
    public enum Unit { WATTS, WATTS_PER_KG, SPEED }

    /** Fresh, after work in joules, or after time in seconds. */
    public enum After { FRESH, WORK, TIME }

    /** Points it is expected to cost, or NaN. */
    public double load() {
        return seconds == null ? Double.NaN : EventLoad.of(seconds);
    }

    public Event toCore() {
        return new Event(day, priority, Math.min(2000, load()));
    }

    public SeasonEvent on(LocalDate other) {
        return new SeasonEvent(id, other, name, priority, kind, sport, metres, seconds, demands);
    }

    public SeasonEvent demanding(List<EventDemand> others) {
        return new SeasonEvent(id, day, name, priority, kind, sport, metres, seconds, others);
    }
}
