package pemblar.core.load;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.MeanMaximal;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;

/**
 * All that is computed once from a recording with the values of its day, and then stored. What cannot be computed is
 * empty: without a channel or without the threshold it needs.
 *
 * @param intensity equivalent over threshold, as a fraction; from power before flat-equivalent speed
 * @param loads points by source
 * @param bests mean-maximal values by duration in s: power in W, else speed in m/s
 * @param zones time in zones by measure
 * @param leastCriticalWatts the lowest critical power that keeps the reserve at zero; empty when it never fell below
 * @param lowData names of the values that rest on less than 90 % present seconds
 */
public record SessionSummary(
        OptionalDouble equivalentPowerWatts,
        OptionalDouble flatSpeed,
        OptionalDouble steadiness,
        OptionalDouble intensity,
        Map<Source, Double> loads,
        TreeMap<Integer, Double> bests,
        Map<Measure, ZoneSet.TimeInZones> zones,
        Optional<Reserve.Lowest> lowestReserve,
        OptionalDouble leastCriticalWatts,
        List<String> lowData) {
    /** Below this share of present seconds a result says so. */
    public static final double SOUND_SHARE = 0.9;

    /** Parts of a summary that rest on one kind of value or zone set. */
    public enum Part {
        POWER,
        HEART_RATE,
        SPEED,
        RESERVE;

        /** What has to be computed anew when a quantity changes, or the zones that refer to it. */
        public static Set<Part> restingOn(Quantity quantity) {
            return switch (quantity) {
                case THRESHOLD_POWER, RUNNING_THRESHOLD_POWER -> EnumSet.of(POWER);
                case CRITICAL_POWER -> EnumSet.of(POWER, RESERVE);
                case W_PRIME -> EnumSet.of(RESERVE);
                case THRESHOLD_HEART_RATE, RUNNING_THRESHOLD_HEART_RATE, MAXIMUM_HEART_RATE, RESTING_HEART_RATE ->
                    EnumSet.of(HEART_RATE);
                case THRESHOLD_SPEED, SWIMMING_THRESHOLD_SPEED -> EnumSet.of(SPEED);
                case BODY_MASS -> EnumSet.noneOf(Part.class);
            };
        }

        public Channel channel() {
            return this == HEART_RATE ? Channel.HEART_RATE : this == SPEED ? Channel.SPEED : Channel.POWER;
        }
    }

    public static SessionSummary of(Recording recording, Thresholds thresholds) {
        return of(recording, Zones.usual(thresholds));
    }

    public static SessionSummary of(Recording recording, Zones zones) {
        Optional<Series> power = recording.channel(Channel.POWER);
        Optional<Series> running =
                recording.sport().trainsBy(Measure.SPEED) ? recording.channel(Channel.SPEED) : Optional.empty();
        OptionalDouble equivalent = value(power.map(SteadyEquivalent::of));
        OptionalDouble flat = value(running.map(speed -> SteadyEquivalent.ofSpeed(recording, 0, recording.seconds())));
        OptionalDouble steadiness = equivalent.isPresent() && equivalent.getAsDouble() > 0
                ? OptionalDouble.of(power.orElseThrow().mean() / equivalent.getAsDouble())
                : OptionalDouble.empty();
        SessionSummary measured = new SessionSummary(
                equivalent,
                flat,
                steadiness,
                OptionalDouble.empty(),
                Map.of(),
                power.or(() -> running.isEmpty() ? running : BestCurve.counted(recording, Channel.SPEED))
                        .map(MeanMaximal::curve)
                        .orElseGet(TreeMap::new),
                Map.of(),
                Optional.empty(),
                OptionalDouble.empty(),
                lowData(recording));
        return measured.again(recording, zones, EnumSet.allOf(Part.class));
    }

    /**
     * The summary after values or zones changed: only the parts named are computed anew, from their channels alone.
     * What does not rest on a threshold is kept.
     *
     * @param recording may lack the channels of the parts that are not named
     */
    public SessionSummary again(Recording recording, Zones zones, Set<Part> parts) {
        Thresholds values = zones.thresholds().forSport(recording.sport());
        OptionalDouble byPower = ratio(equivalentPowerWatts, values.get(Quantity.THRESHOLD_POWER));
        OptionalDouble bySpeed = ratio(flatSpeed, values.get(Quantity.THRESHOLD_SPEED));
        boolean reserve = parts.contains(Part.RESERVE);
        Optional<Reserve> model = reserve && values.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)
                ? Optional.of(new Reserve(values.require(Quantity.CRITICAL_POWER), values.require(Quantity.W_PRIME)))
                : Optional.empty();
        Optional<Series> watts = reserve ? recording.channel(Channel.POWER) : Optional.empty();
        Optional<Reserve.Lowest> lowest =
                reserve ? model.flatMap(m -> watts.map(w -> m.lowest(w, recording.pauses()))) : lowestReserve;
        OptionalDouble least = reserve ? leastCritical(model, watts, lowest, recording) : leastCriticalWatts;
        return new SessionSummary(
                equivalentPowerWatts,
                flatSpeed,
                steadiness,
                byPower.isPresent() ? byPower : bySpeed,
                loads(recording, values, parts, byPower, bySpeed),
                bests,
                zones(recording, zones, parts),
                lowest,
                least,
                lowData);
    }

    private static OptionalDouble leastCritical(
            Optional<Reserve> model, Optional<Series> watts, Optional<Reserve.Lowest> lowest, Recording recording) {
        return lowest.isPresent() && lowest.get().joules() < 0
                ? OptionalDouble.of(model.orElseThrow().leastCriticalPower(watts.orElseThrow(), recording.pauses()))
                : OptionalDouble.empty();
    }

    private Map<Source, Double> loads(
            Recording recording, Thresholds values, Set<Part> parts, OptionalDouble byPower, OptionalDouble bySpeed) {
        Map<Source, Double> after = new LinkedHashMap<>();
        byPower.ifPresent(i -> after.put(Source.POWER, SessionLoad.ofIntensity(recording.seconds(), i)));
        bySpeed.ifPresent(i -> after.put(
                Source.SPEED,
                SessionLoad.ofIntensity(
                        recording.seconds(), i, recording.sport().loadExponent())));
        if (!parts.contains(Part.HEART_RATE)) {
            if (loads.containsKey(Source.HEART_RATE)) after.put(Source.HEART_RATE, loads.get(Source.HEART_RATE));
        } else if (SessionLoad.canUseHeartRate(values)) {
            recording
                    .channel(Channel.HEART_RATE)
                    .ifPresent(bpm -> after.put(Source.HEART_RATE, SessionLoad.ofHeartRate(bpm, values)));
        }
        return after;
    }

    private Map<Measure, ZoneSet.TimeInZones> zones(Recording recording, Zones sets, Set<Part> parts) {
        Map<Measure, ZoneSet.TimeInZones> after = new LinkedHashMap<>();
        for (Measure measure : Measure.values()) {
            Part part = measure == Measure.POWER
                    ? Part.POWER
                    : measure == Measure.HEART_RATE ? Part.HEART_RATE : Part.SPEED;
            if (!parts.contains(part)) {
                if (zones.containsKey(measure)) after.put(measure, zones.get(measure));
                continue;
            }
            sets.of(measure, recording.sport())
                    .ifPresent(set -> recording
                            .channel(part.channel())
                            .ifPresent(values -> after.put(measure, set.timeIn(values))));
        }
        return after;
    }

    private static List<String> lowData(Recording recording) {
        List<String> low = new ArrayList<>();
        recording.channels().forEach((name, series) -> {
            if (series.present() < SOUND_SHARE * recording.seconds()) low.add(name);
        });
        return low;
    }

    private static OptionalDouble ratio(OptionalDouble value, OptionalDouble reference) {
        return value.isPresent() && reference.isPresent()
                ? OptionalDouble.of(value.getAsDouble() / reference.getAsDouble())
                : OptionalDouble.empty();
    }

    private static OptionalDouble value(Optional<Double> value) {
        return value.isPresent() && Double.isFinite(value.get())
                ? OptionalDouble.of(value.get())
                : OptionalDouble.empty();
    }
}
