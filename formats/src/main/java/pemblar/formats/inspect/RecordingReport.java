package pemblar.formats.inspect;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import pemblar.core.effort.MeanMaximal;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.threshold.Thresholds;
import pemblar.formats.Reading;

/**
 * All that can be said of one recording, as a map in the order in which it is printed; what cannot be computed is
 * absent.
 */
final class RecordingReport {
    private static final int[] BEST_SECONDS = {1, 5, 15, 60, 300, 1200, 3600};
    private static final Map<Channel, List<String>> RESTS_ON = Map.of(
            Channel.POWER,
                    List.of(
                            "meanPowerW",
                            "equivalentPowerW",
                            "steadiness",
                            "load.power",
                            "bestEfforts.power",
                            "timeInZones.power",
                            "lowestReserveJ"),
            Channel.HEART_RATE,
                    List.of("meanHeartRateBpm", "maxHeartRateBpm", "load.heartRate", "timeInZones.heartRate"),
            Channel.CADENCE, List.of("meanCadence"),
            Channel.SPEED, List.of("meanSpeedMps", "flatEquivalentSpeedMps", "load.speed", "timeInZones.speed"),
            Channel.DISTANCE, List.of("distanceM"));

    private final Recording recording;
    private final SessionSummary summary;
    private final Map<String, Object> report = new LinkedHashMap<>();

    private RecordingReport(Recording recording, Thresholds thresholds) {
        this.recording = recording;
        this.summary = SessionSummary.of(recording, thresholds);
    }

    static Map<String, Object> of(Recording recording, List<Reading.Problem> problems, Thresholds thresholds) {
        RecordingReport report = new RecordingReport(recording, thresholds);
        report.facts();
        report.results();
        report.report.put("laps", report.laps());
        report.report.put("lowData", report.lowData());
        report.report.put(
                "problems", problems.stream().map(Reading.Problem::toString).toList());
        return report.report;
    }

    private void facts() {
        report.put("sport", recording.sport().key());
        report.put("start", recording.start().toString());
        report.put("timerSeconds", recording.seconds());
        report.put("elapsedSeconds", whole(recording.elapsedSeconds()));
        recording.distanceMetres().ifPresent(metres -> report.put("distanceM", metres));
        Map<String, Object> present = new LinkedHashMap<>();
        recording.channels().forEach((name, series) -> {
            if (name.equals(Channel.LATITUDE.key())) present.put("position", series.present());
            else if (!name.equals(Channel.LONGITUDE.key())) present.put(name, series.present());
        });
        report.put("channels", new ArrayList<>(present.keySet()));
        report.put("presentSeconds", present);
    }

    private void results() {
        mean("meanPowerW", Channel.POWER);
        put("equivalentPowerW", summary.equivalentPowerWatts());
        put("steadiness", summary.steadiness());
        put("intensity", summary.intensity());
        Map<String, Object> load = new LinkedHashMap<>();
        summary.loads()
                .forEach((source, points) -> load.put(
                        source == Source.HEART_RATE
                                ? "heartRate"
                                : source.name().toLowerCase(java.util.Locale.ROOT),
                        points));
        if (!load.isEmpty()) report.put("load", load);
        mean("meanHeartRateBpm", Channel.HEART_RATE);
        recording.channel(Channel.HEART_RATE).ifPresent(bpm -> report.put("maxHeartRateBpm", bpm.max()));
        mean("meanCadence", Channel.CADENCE);
        mean("meanSpeedMps", Channel.SPEED);
        put("flatEquivalentSpeedMps", summary.flatSpeed());
        bests();
        zones();
        summary.lowestReserve().ifPresent(lowest -> report.put("lowestReserveJ", lowest.joules()));
    }

    private void bests() {
        recording.channel(Channel.POWER).ifPresent(power -> {
            TreeMap<Integer, Double> curve = MeanMaximal.curve(power, BEST_SECONDS);
            Map<String, Object> bests = new LinkedHashMap<>();
            curve.forEach((seconds, watts) -> bests.put(String.valueOf(seconds), watts));
            report.put("bestEfforts", Map.of("power", bests));
        });
    }

    private void zones() {
        Map<String, Object> zones = new LinkedHashMap<>();
        summary.zones()
                .forEach((measure, time) -> zones.put(
                        measure == Measure.HEART_RATE
                                ? "heartRate"
                                : measure.name().toLowerCase(java.util.Locale.ROOT),
                        time.seconds()));
        if (!zones.isEmpty()) report.put("timeInZones", zones);
    }

    private List<Map<String, Object>> laps() {
        List<Map<String, Object>> laps = new ArrayList<>();
        for (Lap lap : recording.laps()) {
            Map<String, Object> map = new LinkedHashMap<>();
            map.put("index", laps.size());
            map.put("timerSeconds", lap.seconds());
            recording
                    .channel(Channel.DISTANCE)
                    .ifPresent(distance -> putFinite(map, "distanceM", covered(distance, lap)));
            recording
                    .channel(Channel.POWER)
                    .ifPresent(power -> putFinite(map, "meanPowerW", power.mean(lap.from(), lap.to())));
            recording
                    .channel(Channel.HEART_RATE)
                    .ifPresent(bpm -> putFinite(map, "meanHeartRateBpm", bpm.mean(lap.from(), lap.to())));
            laps.add(map);
        }
        return laps;
    }

    private static double covered(Series distance, Lap lap) {
        double before = distance.lastBefore(lap.from());
        return distance.lastBefore(lap.to()) - (Double.isNaN(before) ? 0 : before);
    }

    private List<String> lowData() {
        List<String> low = new ArrayList<>();
        for (String name : summary.lowData()) {
            List<String> results = Channel.ofKey(name).map(RESTS_ON::get).orElse(null);
            if (results == null) low.add(name);
            else results.stream().filter(this::isReported).forEach(low::add);
        }
        boolean byPower = summary.loads().containsKey(Source.POWER);
        boolean lowIntensity = low.contains(byPower ? "equivalentPowerW" : "flatEquivalentSpeedMps");
        if (report.containsKey("intensity") && lowIntensity) low.add("intensity");
        return low;
    }

    private boolean isReported(String key) {
        int dot = key.indexOf('.');
        if (dot < 0) return report.containsKey(key);
        return report.get(key.substring(0, dot)) instanceof Map<?, ?> inner
                && inner.containsKey(key.substring(dot + 1));
    }

    private void mean(String key, Channel channel) {
        recording.channel(channel).ifPresent(series -> report.put(key, series.mean()));
    }

    private void put(String key, OptionalDouble value) {
        value.ifPresent(v -> report.put(key, v));
    }

    private static void putFinite(Map<String, Object> map, String key, double value) {
        if (Double.isFinite(value)) map.put(key, value);
    }

    private static Number whole(double value) {
        return value == Math.rint(value) ? (Number) Long.valueOf((long) value) : Double.valueOf(value);
    }
}
