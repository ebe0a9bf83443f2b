package pemblar.formats.json;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import pemblar.core.strength.Lift;
import pemblar.core.strength.Lift.PlannedSet;
import pemblar.core.strength.LoggedSet.Counts;
import pemblar.core.strength.SetLoad;
import pemblar.core.strength.StrengthWorkout;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A strength workout as JSON, version 1: docs/formats/strength.schema.json. */
public final class StrengthJson {
    private static final int VERSION = 1;
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final WrittenLoad LOAD = new WrittenLoad();

    private StrengthJson() {}

    public static String write(StrengthWorkout workout) {
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("version", VERSION);
        root.put("sport", "strength");
        if (!workout.warmUps().isEmpty())
            root.put("warmUps", workout.warmUps().stream().sorted().toList());
        root.put("exercises", workout.lifts().stream().map(StrengthJson::lift).toList());
        return JSON.writeValueAsString(root);
    }

    private static Map<String, Object> lift(Lift lift) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("name", lift.exercise());
        if (!lift.letter().isEmpty()) map.put("letter", lift.letter());
        if (lift.each()) map.put("each", true);
        map.put("sets", lift.sets().stream().map(StrengthJson::set).toList());
        if (lift.counts() != Counts.NONE)
            map.put("mayMoveMaximum", lift.counts().name().toLowerCase(Locale.ROOT));
        if (lift.nextFromLast()) map.put("nextFromLast", true);
        if (lift.restSeconds() > 0) map.put("restSeconds", lift.restSeconds());
        if (!lift.tempo().isEmpty()) map.put("tempo", lift.tempo());
        if (!lift.cue().isEmpty()) map.put("cue", lift.cue());
        return map;
    }

    private static Map<String, Object> set(PlannedSet set) {
        Map<String, Object> map = new LinkedHashMap<>();
        if (set.repetitions() > 0) map.put("repetitions", set.repetitions());
        if (set.asManyAsPossible()) map.put("asManyAsPossible", true);
        if (set.heldSeconds() > 0) map.put("heldSeconds", set.heldSeconds());
        Map<String, Object> load = set.load().answer(LOAD);
        if (!load.isEmpty()) map.put("load", load);
        return map;
    }

    /** How heavy, by its kind. */
    private static final class WrittenLoad implements SetLoad.Cases<Map<String, Object>> {
        @Override
        public Map<String, Object> percent(SetLoad.Percent load) {
            return Map.of("percent", load.percent());
        }

        @Override
        public Map<String, Object> repetitionMaximum(SetLoad.RepetitionMaximum load) {
            return Map.of("repetitionMaximum", load.repetitions());
        }

        @Override
        public Map<String, Object> inReserve(SetLoad.InReserve load) {
            return Map.of("inReserve", load.left());
        }

        @Override
        public Map<String, Object> absolute(SetLoad.Absolute load) {
            return Map.of("kilograms", load.kilograms());
        }

        @Override
        public Map<String, Object> bodyMass(SetLoad.BodyMass load) {
            return Map.of("bodyMassAnd", load.kilogramsMore());
        }

        @Override
        public Map<String, Object> free(SetLoad.Free load) {
            return Map.of();
        }
    }

    /** @throws IllegalArgumentException naming the place and what is expected there */
    public static StrengthWorkout read(String json) {
        JsonNode root;
        try {
            root = JSON.readTree(json);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("this is no JSON: " + e.getOriginalMessage());
        }
        if (root.path("version").asInt(0) != VERSION
                || !root.path("sport").asString("").equals("strength"))
            throw new IllegalArgumentException("version and sport: 1 and \"strength\" are understood");
        JsonNode exercises = root.path("exercises");
        if (!exercises.isArray()) throw new IllegalArgumentException("exercises: a list is expected");
        if (exercises.size() > StrengthWorkout.MOST_LIFTS)
            throw new IllegalArgumentException("exercises: at most " + StrengthWorkout.MOST_LIFTS + " are understood");
        Set<String> warmUps = new HashSet<>();
        root.path("warmUps").forEach(name -> warmUps.add(name.asString("").toLowerCase(Locale.ROOT)));
        List<Lift> lifts = new ArrayList<>();
        for (int i = 0; i < exercises.size(); i++) lifts.add(lift(exercises.get(i), "exercises[" + i + "]"));
        return new StrengthWorkout(lifts, warmUps);
    }

    private static Lift lift(JsonNode node, String place) {
        JsonNode sets = node.path("sets");
        if (!sets.isArray() && !sets.isMissingNode())
            throw new IllegalArgumentException(place + ".sets: a list is expected");
        if (sets.size() > Lift.MOST_SETS)
            throw new IllegalArgumentException(place + ".sets: at most " + Lift.MOST_SETS + " are understood");
        List<PlannedSet> read = new ArrayList<>();
        for (int i = 0; i < sets.size(); i++) read.add(set(sets.get(i), place + ".sets[" + i + "]"));
        return placed(
                place,
                () -> new Lift(
                        node.path("letter").asString(""),
                        node.path("name").asString(""),
                        node.path("each").asBoolean(false),
                        read,
                        Counts.valueOf(
                                node.path("mayMoveMaximum").asString("none").toUpperCase(Locale.ROOT)),
                        node.path("nextFromLast").asBoolean(false),
                        node.path("restSeconds").asInt(0),
                        node.path("tempo").asString(""),
                        node.path("cue").asString("")));
    }

    private static PlannedSet set(JsonNode node, String place) {
        return placed(
                place,
                () -> new PlannedSet(
                        node.path("repetitions").asInt(0),
                        node.path("asManyAsPossible").asBoolean(false),
                        node.path("heldSeconds").asInt(0),
                        load(node.path("load"))));
    }

    private static SetLoad load(JsonNode load) {
        if (load.has("percent")) return new SetLoad.Percent(load.path("percent").asDouble(Double.NaN));
        if (load.has("repetitionMaximum"))
            return new SetLoad.RepetitionMaximum(load.path("repetitionMaximum").asInt(0));
        if (load.has("inReserve"))
            return new SetLoad.InReserve(load.path("inReserve").asInt(-1));
        if (load.has("kilograms"))
            return new SetLoad.Absolute(load.path("kilograms").asDouble(Double.NaN));
        if (load.has("bodyMassAnd"))
            return new SetLoad.BodyMass(load.path("bodyMassAnd").asDouble(Double.NaN));
        return new SetLoad.Free();
    }

    private static <T> T placed(String place, java.util.function.Supplier<T> made) {
        try {
            return made.get();
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(place + ": " + e.getMessage());
        }
    }
}
