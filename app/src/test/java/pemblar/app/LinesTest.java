package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Lines that one can read: at most 120 characters in Java, templates, styles and scripts. */
@Tag("unit")
class LinesTest {
    private static final int LONGEST = 120;
    private static final Path ROOT = Path.of("").toAbsolutePath().getParent();

    @Test
    void noLineIsLongerThan120Characters() throws IOException {
        List<String> longer = new ArrayList<>();
        for (String module : List.of("core", "formats", "benchunit", "app", "benchmark"))
            try (Stream<Path> files = Files.walk(ROOT.resolve(module).resolve("src"))) {
                files.filter(LinesTest::isRead).forEach(file -> longer.addAll(longerIn(file)));
            }
        assertEquals(List.of(), longer);
    }

    private static boolean isRead(Path file) {
        return file.toString().matches(".*\\.(java|html|css|js)");
    }

    private static List<String> longerIn(Path file) {
        try {
            List<String> found = new ArrayList<>();
            List<String> lines = Files.readAllLines(file);
            for (int i = 0; i < lines.size(); i++)
                if (lines.get(i).length() > LONGEST) found.add(ROOT.relativize(file) + ":" + (i + 1));
            return found;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
