package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What the service tells the compilers of Java can be read by it: a machine with a broken file would not start. */
@Tag("unit")
class StartedOnceTest {
    private static final Path FILE = Path.of("..", "tools", "debian", "started-once.json");

    @Test
    void javaReadsWhatTheFirstCompilerKeeps() throws IOException, InterruptedException {
        Process java = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:+UnlockDiagnosticVMOptions",
                        "-XX:CompilerDirectivesFile=" + FILE,
                        "-version")
                .redirectErrorStream(true)
                .start();
        String said = new String(java.getInputStream().readAllBytes());
        assertThat(java.waitFor()).as(said).isZero();
        assertThat(said).contains("1 compiler directives added");
    }
}
