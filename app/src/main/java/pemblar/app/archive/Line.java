package pemblar.app.archive;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.Consumer;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The lines of a file of an archive: one JSON object each. */
final class Line {
    private static final int LONGEST = 1 << 20;
    private static final int MOST = 300_000;

    private Line() {}

    /** Gives each row on; one that cannot be read or is refused is told with its place, and the next one follows. */
    static void each(String path, byte[] file, Consumer<ObjectNode> work, Consumer<String> leftOut) {
        int[] number = {0};
        new String(file, StandardCharsets.UTF_8).lines().forEach(line -> {
            if (++number[0] > MOST) throw new IllegalArgumentException(path + " has more than " + MOST + " lines.");
            if (line.isBlank()) return;
            try {
                work.accept(parsed(line));
            } catch (LeftOut e) {
                leftOut.accept(path + ", line " + number[0] + ": " + e.getMessage());
            }
        });
    }

    private static ObjectNode parsed(String line) {
        if (line.length() > LONGEST) throw new LeftOut("it is too long");
        try {
            if (JsonMapper.shared().readTree(line) instanceof ObjectNode row) return row;
        } catch (JacksonException e) {
            throw new LeftOut("it is no JSON");
        }
        throw new LeftOut("it is no JSON object");
    }

    static Optional<Long> number(JsonNode row, String column) {
        return row.path(column).isIntegralNumber() && row.path(column).canConvertToLong()
                ? Optional.of(row.path(column).asLong())
                : Optional.empty();
    }

    /** As text; empty when there is none. */
    static Optional<String> text(JsonNode row, String column) {
        JsonNode value = row.path(column);
        if (value.isNull() || value.isMissingNode()) return Optional.empty();
        return Optional.of(value.isString() ? value.asString() : value.toString());
    }
}
