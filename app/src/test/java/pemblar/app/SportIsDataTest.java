package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Code asks a sport what it is like; it never asks which one it is, outside the catalogue and the demo. */
@Tag("unit")
class SportIsDataTest {
    private static final Pattern COMPARED = Pattern.compile("[!=]= (pemblar\\.core\\.sport\\.)?Sport\\.[A-Z]+"
            + "|Sport\\.[A-Z]+ [!=]=|case (RIDE|RUN|SWIM|ROW|SKI|WALK)\\b");
    /** The catalogue, what belongs to a sport by its very name, and who the demo's people are. */
    private static final List<String> ALLOWED = List.of("core/sport/", "core/threshold/Quantity.java", "app/demo/");

    @Test
    void noSportIsComparedOutsideTheCatalogue() throws IOException {
        Path home = Path.of("").toAbsolutePath();
        while (!Files.exists(home.resolve("pemblar"))) home = home.getParent();
        List<String> found = new ArrayList<>();
        for (String part : List.of("core", "app"))
            try (Stream<Path> files = Files.walk(home.resolve(part + "/src/main/java"))) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList())
                    if (ALLOWED.stream().noneMatch(file.toString()::contains)) look(file, found);
            }
        assertThat(found).isEmpty();
    }

    private static void look(Path file, List<String> found) throws IOException {
        List<String> lines = Files.readAllLines(file);
        for (int i = 0; i < lines.size(); i++)
            if (COMPARED.matcher(lines.get(i)).find())
                found.add(
                        file.getFileName() + ":" + (i + 1) + " " + lines.get(i).strip());
    }
}
