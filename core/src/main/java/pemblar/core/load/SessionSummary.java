package pemblar.core.load;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import pemblar.core.Sport;
import pemblar.core.effort.MeanMaximal;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSchemes;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.ZoneSet.Measure;

/**
 * All that is computed once from a recording with the values of its day, and then stored. What cannot be computed is
 * empty: without a channel or without the threshold it needs.
 * @param intensity equivalent over threshold, as a fraction; from power before flat-equivalent speed
 * @param loads     points by source
 * @param bests     mean-maximal values by duration in s: power in W, else speed in m/s
 * @param zones     time in zones by measure
 * @param lowData   names of the values that rest on less than 90 % present seconds
 */
public record SessionSummary(
        OptionalDouble equivalentPowerWatts, OptionalDouble flatSpeed, OptionalDouble steadiness, OptionalDouble intensity,
        Map<Source, Double> loads, TreeMap<Integer, Double> bests, Map<Measure, ZoneSet.TimeInZones> zones,
        Optional<Reserve.Lowest> lowestReserve, List<String> lowData) {
    /** Below this share of present seconds a result says so. */
    public static final double SOUND_SHARE = 0.9;

    public static SessionSummary of(Recording recording, Thresholds thresholds) {
        Optional<Series> power = recording.channel(Channel.POWER);
        Optional<Series> running = recording.sport() == Sport.RUN ? recording.channel(Channel.SPEED) : Optional.empty();
        OptionalDouble equivalent = value(power.map(SteadyEquivalent::of));
        OptionalDouble flat = value(running.map(speed -> SteadyEquivalent.of(SteadyEquivalent.flatSpeed(recording))));
        OptionalDouble steadiness = equivalent.isPresent() && equivalent.getAsDouble() > 0
            ? OptionalDouble.of(power.orElseThrow().mean() / equivalent.getAsDouble()) : OptionalDouble.empty();
        OptionalDouble byPower = ratio(equivalent, thresholds.get(Quantity.THRESHOLD_POWER));
        OptionalDouble bySpeed = ratio(flat, thresholds.get(Quantity.THRESHOLD_SPEED));
        return new SessionSummary(equivalent, flat, steadiness, byPower.isPresent() ? byPower : bySpeed,
            loads(recording, thresholds, byPower, bySpeed),
            power.or(() -> running).map(MeanMaximal::curve).orElseGet(TreeMap::new),
            zones(recording, thresholds), lowest(recording, thresholds), lowData(recording));
    }

    /** The load that counts, by the order of preference; empty when there is none. */
    public Optional<Source> countingSource() {
        return loads.keySet().stream().findFirst();
    }

    public OptionalDouble countingLoad() {
        return value(countingSource().map(loads::get));
    }

    private static Map<Source, Double> loads(Recording recording, Thresholds thresholds, OptionalDouble byPower, OptionalDouble bySpeed) {
        Map<Source, Double> loads = new LinkedHashMap<>();
        byPower.ifPresent(i -> loads.put(Source.POWER, SessionLoad.ofIntensity(recording.seconds(), i)));
        bySpeed.ifPresent(i -> loads.put(Source.SPEED, SessionLoad.ofIntensity(recording.seconds(), i)));
        if (SessionLoad.canUseHeartRate(thresholds))
            recording.channel(Channel.HEART_RATE).ifPresent(bpm -> loads.put(Source.HEART_RATE, SessionLoad.ofHeartRate(bpm, thresholds)));
        return loads;
    }

    private static Map<Measure, ZoneSet.TimeInZones> zones(Recording recording, Thresholds thresholds) {
        Map<Measure, ZoneSet.TimeInZones> zones = new LinkedHashMap<>();
        put(zones, Measure.POWER, Channel.POWER, recording, thresholds);
        put(zones, Measure.HEART_RATE, Channel.HEART_RATE, recording, thresholds);
        put(zones, Measure.SPEED, Channel.SPEED, recording, thresholds);
        return zones;
    }

    private static void put(Map<Measure, ZoneSet.TimeInZones> zones, Measure measure, Channel channel, Recording recording, Thresholds thresholds) {
        ZoneSchemes.of(measure, recording.sport(), thresholds).ifPresent(set ->
            recording.channel(channel).ifPresent(values -> zones.put(measure, set.timeIn(values))));
    }

    private static Optional<Reserve.Lowest> lowest(Recording recording, Thresholds thresholds) {
        if (!thresholds.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)) return Optional.empty();
        Reserve reserve = new Reserve(thresholds.require(Quantity.CRITICAL_POWER), thresholds.require(Quantity.W_PRIME));
        return recording.channel(Channel.POWER).map(watts -> reserve.lowest(watts, recording.pauses()));
    }

    private static List<String> lowData(Recording recording) {
        List<String> low = new ArrayList<>();
        recording.channels().forEach((name, series) -> {
            if (series.present() < SOUND_SHARE * recording.seconds()) low.add(name);
        });
        return low;
    }

    private static OptionalDouble ratio(OptionalDouble value, OptionalDouble reference) {
        return value.isPresent() && reference.isPresent() ? OptionalDouble.of(value.getAsDouble() / reference.getAsDouble()) : OptionalDouble.empty();
    }

    private static OptionalDouble value(Optional<Double> value) {
        return value.isPresent() && Double.isFinite(value.get()) ? OptionalDouble.of(value.get()) : OptionalDouble.empty();
    }
}
