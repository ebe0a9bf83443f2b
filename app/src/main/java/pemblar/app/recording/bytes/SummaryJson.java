package pemblar.app.recording.bytes;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.sport.Measure;
import pemblar.core.zone.ZoneSet.TimeInZones;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The parts of a summary that are stored as JSON, both ways. */
public final class SummaryJson {
    private static final JsonMapper JSON = JsonMapper.shared();

    private SummaryJson() {}

    public static String loads(Map<Source, Double> loads) {
        return JSON.writeValueAsString(loads);
    }

    public static Map<Source, Double> loads(String json) {
        return JSON.readValue(json, new TypeReference<LinkedHashMap<Source, Double>>() {});
    }

    public static String zones(Map<Measure, TimeInZones> zones) {
        Map<Measure, List<Integer>> plain = new LinkedHashMap<>();
        zones.forEach((measure, time) -> plain.put(measure, time.seconds()));
        return JSON.writeValueAsString(plain);
    }

    public static Map<Measure, List<Integer>> zones(String json) {
        return JSON.readValue(json, new TypeReference<LinkedHashMap<Measure, List<Integer>>>() {});
    }

    public static String bests(TreeMap<Integer, Double> bests) {
        return JSON.writeValueAsString(bests);
    }

    public static TreeMap<Integer, Double> bests(String json) {
        return JSON.readValue(json, new TypeReference<TreeMap<Integer, Double>>() {});
    }
}
