package pemblar.app.archive.taking;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
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
    private static final int MOST = 50_000;

    private Line() {}

    /** Gives each row on; one that cannot be read or is refused is told with its place, and the next one follows. */
    static void each(String path, InputStream file, Consumer<ObjectNode> work, Consumer<String> leftOut) {
        try (Reader reader = new BufferedReader(new InputStreamReader(file, StandardCharsets.UTF_8))) {
            int number = 0;
            for (String line = next(reader); line != null; line = next(reader)) {
                if (++number > MOST) throw new IllegalArgumentException(path + " has more than " + MOST + " lines.");
                if (line.isBlank()) continue;
                try {
                    work.accept(parsed(line));
                } catch (LeftOut e) {
                    leftOut.accept(path + ", line " + number + ": " + e.getMessage());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The next line, of which no more than is too long is kept; null after the last. */
    private static String next(Reader reader) throws IOException {
        StringBuilder line = new StringBuilder();
        int read = reader.read();
        if (read < 0) return null;
        for (; read >= 0 && read != '\n'; read = reader.read()) if (line.length() <= LONGEST) line.append((char) read);
        return line.toString();
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
