package pemblar.formats.json;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pemblar.core.sport.Measure;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneScheme.Reference;
import pemblar.formats.Reading.Problem;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Zone schemes as JSON, version 1: docs/formats/zones.schema.json. */
public final class ZoneSchemeJson {
    public static final int MOST_BYTES = 200_000;
    private static final int VERSION = 1;
    private static final int MOST_SCHEMES = 50;
    private static final JsonMapper JSON = JsonMapper.shared();

    private ZoneSchemeJson() {}

    /** What a file holds: the schemes that are sound, and each problem with its place. */
    public record Reading(List<ZoneScheme> schemes, List<Problem> problems) {}

    public static String write(ZoneScheme scheme) {
        return JSON.writeValueAsString(map(scheme));
    }

    /** A file of several schemes, laid out for people. */
    public static String writeAll(List<ZoneScheme> schemes) {
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("version", VERSION);
        root.put("schemes", schemes.stream().map(ZoneSchemeJson::map).toList());
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root);
    }

    private static Map<String, Object> map(ZoneScheme scheme) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("name", scheme.name());
        map.put("quantity", word(scheme.measure()));
        map.put("reference", word(scheme.reference()));
        map.put("boundaries", scheme.boundaries());
        map.put("zones", scheme.names());
        return map;
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** @throws IllegalArgumentException when it is not what {@link #write} wrote */
    public static ZoneScheme read(String json) {
        try {
            return scheme(JSON.readTree(json));
        } catch (JacksonException e) {
            throw new IllegalArgumentException("the scheme is not valid JSON: " + e.getOriginalMessage(), e);
        }
    }

    /** Reads a file from anywhere: bounded, and with every fault named. */
    public static Reading readAll(String json) {
        List<ZoneScheme> schemes = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        if (json.length() > MOST_BYTES)
            return new Reading(
                    schemes,
                    List.of(Problem.expected("file", "size", json.length() + " characters", "at most " + MOST_BYTES)));
        try {
            JsonNode root = JSON.readTree(json);
            if (root.path("version").asInt(0) != VERSION)
                problems.add(
                        Problem.expected("file", "version", root.path("version").toString(), "1"));
            JsonNode list = root.path("schemes");
            if (!list.isArray() || list.isEmpty() || list.size() > MOST_SCHEMES)
                problems.add(Problem.expected(
                        "file",
                        "schemes",
                        list.isArray() ? list.size() + " schemes" : "none",
                        "a list of 1 to " + MOST_SCHEMES));
            else for (int i = 0; i < list.size(); i++) add(schemes, problems, list.get(i), i + 1);
        } catch (JacksonException e) {
            problems.add(
                    Problem.expected("file", "layout", e.getOriginalMessage(), "JSON as an export of zones has it"));
        }
        return new Reading(List.copyOf(schemes), List.copyOf(problems));
    }

    private static void add(List<ZoneScheme> schemes, List<Problem> problems, JsonNode node, int number) {
        try {
            schemes.add(scheme(node));
        } catch (IllegalArgumentException e) {
            problems.add(Problem.expected(
                    "scheme " + number,
                    node.path("name").asString("without a name"),
                    e.getMessage(),
                    "see the schema of zones"));
        }
    }

    private static ZoneScheme scheme(JsonNode node) {
        List<Double> boundaries = new ArrayList<>();
        for (JsonNode boundary : node.path("boundaries")) {
            if (!boundary.isNumber())
                throw new IllegalArgumentException("boundaries must be numbers, one was " + boundary);
            boundaries.add(boundary.asDouble());
        }
        List<String> names = new ArrayList<>();
        for (JsonNode name : node.path("zones")) names.add(name.asString(""));
        return new ZoneScheme(
                node.path("name").asString(""),
                value(Measure.class, node.path("quantity"), "quantity"),
                value(Reference.class, node.path("reference"), "reference"),
                boundaries,
                names);
    }

    private static <E extends Enum<E>> E value(Class<E> type, JsonNode node, String field) {
        for (E value : type.getEnumConstants()) if (word(value).equals(node.asString(""))) return value;
        throw new IllegalArgumentException(field + " must be one of "
                + java.util.Arrays.stream(type.getEnumConstants())
                        .map(ZoneSchemeJson::word)
                        .toList() + ", was " + node);
    }
}
