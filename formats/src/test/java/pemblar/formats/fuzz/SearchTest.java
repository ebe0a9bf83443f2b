package pemblar.formats.fuzz;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Twenty seconds of a search led by what each try reaches; {@code ./pemblar fuzz} does a quarter of an hour. */
class SearchTest {
    private static final Pattern RUNS = Pattern.compile("Done (\\d+) runs");

    /** Side by side: most of a short search is its start. */
    @Test
    void nothingIsFoundThatAReaderCannotAnswer(@TempDir Path folder) throws IOException, InterruptedException {
        List<Search> searches = List.of(
                begin(folder, Reader.FIT, "fit"),
                begin(folder, Reader.SETS_CSV, "sets-csv"),
                begin(folder, Reader.SHORTHAND, "shorthand"));
        for (Search search : searches) search.hasFoundNothing();
    }

    private static Search begin(Path all, Reader reader, String corpus) throws IOException {
        Path folder = Files.createDirectory(all.resolve(corpus));
        File told = folder.resolve("told").toFile();
        Files.createDirectory(folder.resolve("reached"));
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx512m",
                        "-XX:-OmitStackTraceInFastThrow",
                        "-Dpemblar.fuzz=" + reader,
                        "-cp",
                        System.getProperty("java.class.path"),
                        "com.code_intelligence.jazzer.Jazzer",
                        "--target_class=pemblar.formats.fuzz.Fuzz",
                        "--instrumentation_includes=pemblar.**",
                        "-max_total_time=7",
                        "-timeout=60",
                        "-max_len=16384",
                        "-rss_limit_mb=2048",
                        "reached",
                        Path.of("src/test/corpus", corpus).toAbsolutePath().toString())
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(told)
                .start();
        return new Search(process, told.toPath());
    }

    private record Search(Process process, Path told) {
        void hasFoundNothing() throws IOException, InterruptedException {
            boolean ended = process.waitFor(5, TimeUnit.MINUTES);
            if (!ended) process.destroyForcibly();
            String said = Files.readString(told, StandardCharsets.ISO_8859_1);
            assertTrue(ended, said);
            assertEquals(0, process.exitValue(), said);
            Matcher runs = RUNS.matcher(said);
            assertTrue(runs.find() && Integer.parseInt(runs.group(1)) > 50, said);
        }
    }
}
