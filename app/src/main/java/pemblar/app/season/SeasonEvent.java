package pemblar.app.season;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import pemblar.core.season.Event;
import pemblar.core.season.EventLoad;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;

/**
 * A day that the plan leads up to. Distance and time are what is expected; either may be null.
 *
 * @param id 0 before it is stored
 * @param days how many days it lasts, stages included
 * @param parts its stages and sports, in their order; empty when it is one. Where they tell distance or time, those of
 *     the event are their sums
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
        List<EventDemand> demands,
        List<EventPart> parts) {
    public SeasonEvent {
        demands = List.copyOf(demands);
        parts = parts == null ? List.of() : List.copyOf(parts); // kept for undo before events had parts
        if (days == 0) days = 1; // kept for undo before events had days
        if (days < 1 || days > 28) throw new IllegalArgumentException("Days: an event lasts 1 to 28 days.");
        int most = days;
        if (parts.stream().anyMatch(part -> part.stage() > most))
            throw new IllegalArgumentException(
                    "Days: a part of this event lies on a later day than " + days + "; take that part out first.");
        if (parts.stream().anyMatch(part -> part.metres() != null)) metres = EventParts.metres(parts);
        if (parts.stream().anyMatch(part -> part.seconds() != null)) seconds = EventParts.seconds(parts);
    }

    /** An event that is not told apart into stages and sports. */
    public SeasonEvent(
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
        this(id, day, days, name, priority, kind, sport, metres, seconds, demands, List.of());
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

    /**
     * An effort that the event asks for.
     *
     * @param source where it was taken from, empty when typed
     * @param stage of which day of the event; 0 of any
     * @param sport null for the event's own
     */
    public record EventDemand(
            int seconds,
            Unit unit,
            double amount,
            After after,
            double afterAmount,
            String source,
            int stage,
            Sport sport) {
        /** Of the event as a whole. */
        public EventDemand(int seconds, Unit unit, double amount, After after, double afterAmount, String source) {
            this(seconds, unit, amount, after, afterAmount, source, 0, null);
        }
    }

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

    /** Points it is expected to cost, all days together as far as they are known; NaN when nothing is. */
    public double load() {
        return IntStream.rangeClosed(1, days)
                .mapToDouble(this::loadOn)
                .filter(load -> !Double.isNaN(load))
                .reduce(Double::sum)
                .orElse(Double.NaN);
    }

    /** Points of a day of it, from 1; NaN when nobody said how long it takes. Without parts the time lies evenly. */
    public double loadOn(int stage) {
        if (parts.isEmpty()) return seconds == null ? Double.NaN : EventLoad.of((double) seconds / days);
        return EventParts.load(partsOn(stage));
    }

    /** What a day of it is made of, from 1; empty without parts. */
    public List<EventPart> partsOn(int stage) {
        return parts.stream().filter(part -> part.stage() == stage).toList();
    }

    /** All sports of it, as they come. */
    public List<Sport> sports() {
        return parts.isEmpty()
                ? List.of(sport)
                : parts.stream().map(EventPart::sport).distinct().toList();
    }

    /** @param usual points of a day as it usually is, which stand for each day of an event whose time nobody gave */
    public Event toCore(double usual) {
        return Event.of(
                day,
                priority,
                IntStream.rangeClosed(1, days)
                        .mapToDouble(this::loadOn)
                        .mapToObj(load -> Double.isNaN(load) ? Math.max(0, usual) : load)
                        .toList());
    }

    public SeasonEvent on(LocalDate other) {
        return new SeasonEvent(id, other, days, name, priority, kind, sport, metres, seconds, demands, parts);
    }

    public SeasonEvent demanding(List<EventDemand> others) {
        return new SeasonEvent(id, day, days, name, priority, kind, sport, metres, seconds, others, parts);
    }

    public SeasonEvent madeOf(List<EventPart> others) {
        return new SeasonEvent(id, day, days, name, priority, kind, sport, metres, seconds, demands, others);
    }

    /** The day on which a part of it lies. */
    public LocalDate dayOf(EventPart part) {
        return day.plusDays(part.stage() - 1);
    }

    /** Whether the part at a place of the list is the first of its stage. */
    public boolean beginsStage(int place) {
        return place == 0 || parts.get(place - 1).stage() != parts.get(place).stage();
    }
}
