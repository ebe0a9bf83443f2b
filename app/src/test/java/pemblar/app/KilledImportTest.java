package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.File;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** A second application is killed in the middle of an import, hard, and started again. */
class KilledImportTest {
    private static final int FILES = 30;

    private static Process start(String database, int port) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                System.getProperty("java.home") + "/bin/java",
                "-Xmx512m",
                "-cp",
                System.getProperty("java.class.path"),
                PemblarApplication.class.getName()));
        command.addAll(Arrays.asList(Running.arguments(database, port, false)));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.to(new File("target/killed-import.log")))
                .start();
        Person visitor = new Person("http://127.0.0.1:" + port);
        Eventually.holds(Duration.ofMinutes(5), () -> {
            try {
                return visitor.get("/sign-in").statusCode() == 200;
            } catch (RuntimeException e) {
                return false;
            }
        });
        return process;
    }

    private static Map<String, byte[]> rides() {
        byte[] workout = FitWorkouts.of(
                        "Test",
                        Shorthand.read("1h 60%", Sport.RIDE).workout().orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250))
                .write(1, Instant.EPOCH.plusSeconds(1_750_000_000L));
        Body body = new Body(Sport.RIDE, 250, 20_000, 4, 50, 185, 70);
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (int i = 0; i < FILES; i++)
            files.put(
                    "ride-" + i + ".fit",
                    HeadUnit.follow(
                            workout,
                            body,
                            Instant.parse("2026-03-01T09:00:00Z").plusSeconds(86_400L * i),
                            new Random(i),
                            Faults.NONE));
        return files;
    }

    @Test
    void aKilledImportIsFinishedAfterRestartWithNothingLostOrDoubled() throws Exception {
        String database = Running.DATABASE.create("killed");
        int port = PrivateDatabase.freePort();
        Process first = start(database, port);
        JdbcTemplate sql = new JdbcTemplate(new DriverManagerDataSource(database, "pemblar", ""));
        Person person = new Person("http://127.0.0.1:" + port).signUp("kill@pemblar.example", "ride");
        person.get("/a/1/sessions");
        assertEquals(200, person.upload("/a/1/sessions/upload", rides()).statusCode());
        Eventually.holds(
                Duration.ofMinutes(5), () -> count(sql, "select count(*) from import_file where state = 'DONE'") >= 2);
        first.destroyForcibly().waitFor();
        int done = count(sql, "select count(*) from import_file where state = 'DONE'");
        assertTrue(done < FILES, "the kill must come in the middle, but all " + done + " were done");
        Process second = start(database, port);
        try {
            Eventually.holds(
                    Duration.ofMinutes(5),
                    () -> count(sql, "select count(*) from import_file where state = 'DONE'") == FILES);
            assertEquals(FILES, count(sql, "select count(*) from session where recording_id is not null"));
            assertEquals(FILES, count(sql, "select count(*) from recording"));
            assertEquals(
                    0, count(sql, "select count(*) from import_file where state <> 'DONE' or content is not null"));
        } finally {
            second.destroyForcibly().waitFor();
        }
    }

    private static int count(JdbcTemplate sql, String query) {
        return sql.queryForObject(query, Integer.class);
    }
}
