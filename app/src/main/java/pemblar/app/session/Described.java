package pemblar.app.session;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pemblar.core.matching.Stretches.One;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * What people said about a session; empty texts where nobody did.
 *
 * @param stretches cut by hand, in seconds of the original; empty where laps or the pattern say it
 * @param verdict in a person's words; empty for the computed one
 */
public record Described(
        String kind,
        String equipment,
        String surface,
        String weather,
        List<String> tags,
        Optional<List<One>> stretches,
        Optional<String> verdict) {
    public static Described of(SessionRow row) {
        return new Described(
                row.kind,
                row.equipment,
                row.surface,
                row.weather,
                tags(row.tags),
                Optional.ofNullable(row.stretches).map(Described::stretches),
                Optional.ofNullable(row.verdict));
    }

    public static List<String> tags(String joined) {
        return Arrays.stream(joined.split(","))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .distinct()
                .toList();
    }

    public static List<One> stretches(String json) {
        return JsonMapper.shared().readValue(json, new TypeReference<List<One>>() {});
    }

    public static String stretches(List<One> all) {
        return JsonMapper.shared().writeValueAsString(all);
    }
}
