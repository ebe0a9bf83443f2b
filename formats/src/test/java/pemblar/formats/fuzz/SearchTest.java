package pemblar.formats.fuzz;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Twenty seconds of a search led by what each try reaches; {@code ./pemblar fuzz} does a quarter of an hour. */
class SearchTest {
    private static final Pattern RUNS = Pattern.compile("Done (\\d+) runs");

    @ParameterizedTest
    @CsvSource({"FIT,fit", "SETS_CSV,sets-csv", "SHORTHAND,shorthand"})
    void nothingIsFoundThatAReaderCannotAnswer(Reader reader, String corpus, @TempDir Path folder)
            throws IOException, InterruptedException {
        File told = folder.resolve("told").toFile();
        Files.createDirectory(folder.resolve("reached"));
        Process search = new ProcessBuilder(
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
        boolean ended = search.waitFor(5, TimeUnit.MINUTES);
        if (!ended) search.destroyForcibly();
        String said = Files.readString(told.toPath(), StandardCharsets.ISO_8859_1);
        assertTrue(ended, said);
        assertEquals(0, search.exitValue(), said);
        Matcher runs = RUNS.matcher(said);
        assertTrue(runs.find() && Integer.parseInt(runs.group(1)) > 50, said);
    }
}
