package pemblar.formats.json;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Element;
import pemblar.core.workout.Element.Cadence;
import pemblar.core.workout.Element.Posture;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.Length;
import pemblar.core.workout.Target;
import pemblar.core.workout.Workout;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A workout as JSON, version 1: docs/formats/workout.schema.json. */
public final class WorkoutJson {
    private static final int VERSION = 1;
    private static final JsonMapper JSON = JsonMapper.shared();

    private WorkoutJson() {}

    public static String write(Workout workout) {
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("version", VERSION);
        root.put("sport", workout.sport().key());
        root.put("quantity", workout.basis().key());
        root.put(
                "elements",
                workout.elements().stream().map(WorkoutJson::element).toList());
        return JSON.writeValueAsString(root);
    }

    private static Map<String, Object> element(Element element) {
        Map<String, Object> map = new LinkedHashMap<>();
        if (!element.name().isEmpty()) map.put("name", element.name());
        if (element instanceof Repeat repeat) {
            map.put("times", repeat.times());
            map.put(
                    "elements",
                    repeat.elements().stream().map(WorkoutJson::element).toList());
            return map;
        }
        Step step = (Step) element;
        map.put("length", length(step.length()));
        map.put("target", target(step.target()));
        if (step.gradientPercent() != 0) map.put("gradientPercent", step.gradientPercent());
        if (step.cadence() != null)
            map.put(
                    "cadence",
                    Map.of("low", step.cadence().low(), "high", step.cadence().high()));
        if (step.posture() != Posture.ANY)
            map.put("posture", step.posture().name().toLowerCase(java.util.Locale.ROOT));
        if (!step.cue().isEmpty()) map.put("cue", step.cue());
        return map;
    }

    private static Map<String, Object> length(Length length) {
        if (length instanceof Length.Time time) return Map.of("seconds", time.seconds());
        if (length instanceof Length.Distance distance) return Map.of("metres", distance.metres());
        if (length instanceof Length.HeartRateBelow below) return Map.of("heartRateBelow", below.bpm());
        if (length instanceof Length.ReserveAt reserve)
            return Map.of(reserve.back() ? "reserveAbove" : "reserveBelow", reserve.percent());
        return Map.of("lapKey", true);
    }

    private static Map<String, Object> target(Target target) {
        Map<String, Object> map = new LinkedHashMap<>();
        if (target instanceof Target.Percent p) put(map, "percent", p.from(), p.to());
        if (target instanceof Target.Zone z) put(map, "zone", z.from(), z.to());
        if (target instanceof Target.Absolute a) put(map, "absolute", a.from(), a.to());
        if (target instanceof Target.Max m) put(map, "max", m.from(), m.to());
        if (target instanceof Target.Effort e) put(map, "effort", e.from(), e.to());
        if (target instanceof Target.Open) map.put("kind", "open");
        if (target instanceof Target.Rest) map.put("kind", "rest");
        if (isRamp(target)) map.put("ramp", true);
        if (basis(target) != null) map.put("quantity", basis(target).key());
        return map;
    }

    private static void put(Map<String, Object> map, String kind, double from, double to) {
        map.put("kind", kind);
        map.put("from", from);
        map.put("to", to);
    }

    private static boolean isRamp(Target target) {
        return target instanceof Target.Percent p && p.ramp() || target instanceof Target.Absolute a && a.ramp();
    }

    /** Its own; null where it takes the workout's, or has none. */
    private static Basis basis(Target target) {
        if (target instanceof Target.Percent p) return p.basis();
        if (target instanceof Target.Zone z) return z.basis();
        return target instanceof Target.Absolute a ? a.basis() : null;
    }

    /** @throws IllegalArgumentException naming what is missing or out of range */
    public static Workout read(String json) {
        try {
            JsonNode root = JSON.readTree(json);
            if (root.path("version").asInt(0) != VERSION)
                throw new IllegalArgumentException("version must be " + VERSION);
            return new Workout(
                    Sport.ofKey(root.path("sport").asString("")),
                    Basis.ofKey(root.path("quantity").asString("")),
                    elements(root.path("elements"), 0));
        } catch (JacksonException e) {
            throw new IllegalArgumentException("the workout is not valid JSON: " + e.getOriginalMessage(), e);
        }
    }

    private static List<Element> elements(JsonNode array, int depth) {
        if (depth > 2) throw new IllegalArgumentException("repeats nest once");
        List<Element> elements = new ArrayList<>();
        for (JsonNode node : array) {
            String name = node.path("name").asString("");
            elements.add(
                    node.has("times")
                            ? new Repeat(name, node.path("times").asInt(0), elements(node.path("elements"), depth + 1))
                            : step(name, node));
        }
        return elements;
    }

    private static Step step(String name, JsonNode node) {
        JsonNode cadence = node.path("cadence");
        Posture posture = node.has("posture")
                ? Posture.valueOf(node.path("posture").asString("").toUpperCase(java.util.Locale.ROOT))
                : Posture.ANY;
        return new Step(
                name,
                length(node.path("length")),
                target(node.path("target")),
                node.path("gradientPercent").asDouble(0),
                cadence.isObject()
                        ? new Cadence(
                                cadence.path("low").asInt(0),
                                cadence.path("high").asInt(0))
                        : null,
                posture,
                node.path("cue").asString(""));
    }

    private static Length length(JsonNode node) {
        if (node.has("seconds")) return new Length.Time(node.path("seconds").asInt(0));
        if (node.has("metres")) return new Length.Distance(node.path("metres").asDouble(0));
        if (node.has("heartRateBelow"))
            return new Length.HeartRateBelow(node.path("heartRateBelow").asInt(0));
        if (node.has("reserveBelow"))
            return new Length.ReserveAt(false, node.path("reserveBelow").asInt(-1));
        if (node.has("reserveAbove"))
            return new Length.ReserveAt(true, node.path("reserveAbove").asInt(-1));
        if (node.has("lapKey")) return new Length.LapKey();
        throw new IllegalArgumentException(
                "length must have seconds, metres, heartRateBelow, reserveBelow, reserveAbove or lapKey");
    }

    private static Target target(JsonNode node) {
        double from = node.path("from").asDouble(Double.NaN);
        double to = node.path("to").asDouble(Double.NaN);
        boolean ramp = node.path("ramp").asBoolean(false);
        Basis basis = node.has("quantity") ? Basis.ofKey(node.path("quantity").asString("")) : null;
        return switch (node.path("kind").asString("")) {
            case "percent" -> new Target.Percent(from, to, ramp, basis);
            case "zone" -> new Target.Zone((int) from, (int) to, basis);
            case "absolute" -> new Target.Absolute(from, to, ramp, basis);
            case "effort" -> new Target.Effort(from, to);
            case "max" -> new Target.Max(from, to);
            case "open" -> new Target.Open();
            case "rest" -> new Target.Rest();
            default ->
                throw new IllegalArgumentException(
                        "target kind must be percent, zone, absolute, max, effort, open or rest");
        };
    }
}
