package pemblar.formats.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.formats.fit.FitActivityWriter;
import pemblar.formats.fit.FitWorkout;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class MainTest {
    @TempDir
    Path folder;

    private record Answer(int code, String out, String err) {
        JsonNode json() {
            return JsonMapper.shared().readTree(out);
        }
    }

    private static Answer run(String... arguments) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code = Main.run(
                List.of(arguments),
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8),
                Instant.ofEpochSecond(1_750_000_000L));
        return new Answer(code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    private Path steadyHour() throws IOException {
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("power", constant(200, 3600));
        channels.put("heartRate", constant(150, 3600));
        double[] metres = new double[3600];
        for (int i = 0; i < 3600; i++) metres[i] = 10.0 * (i + 1);
        channels.put("distance", Series.of(metres));
        Recording ride = new Recording(
                Sport.RIDE,
                Instant.ofEpochSecond(1_750_000_000L),
                3600,
                List.of(),
                channels,
                List.of(new Lap(0, 1800, Lap.NO_STEP), new Lap(1800, 3600, Lap.NO_STEP)));
        return Files.write(folder.resolve("hour.fit"), FitActivityWriter.write(ride, 1));
    }

    private static Series constant(double value, int seconds) {
        double[] values = new double[seconds];
        Arrays.fill(values, value);
        return Series.of(values);
    }

    @Test
    void aSteadyHourByHand() throws IOException {
        JsonNode json = run(
                        "inspect",
                        steadyHour().toString(),
                        "--json",
                        "--threshold-power",
                        "250",
                        "--critical-power",
                        "190",
                        "--w-prime",
                        "20000",
                        "--threshold-hr",
                        "170",
                        "--max-hr",
                        "190",
                        "--rest-hr",
                        "50",
                        "--sex",
                        "m")
                .json();
        assertEquals("ride", json.path("sport").asString());
        assertEquals(3600, json.path("timerSeconds").asInt());
        assertEquals(3600, json.path("elapsedSeconds").asInt());
        assertEquals(36_000, json.path("distanceM").asDouble(), 1e-6);
        assertEquals(200, json.path("equivalentPowerW").asDouble(), 1e-9);
        assertEquals(0.8, json.path("intensity").asDouble(), 1e-9);
        assertEquals(64, json.path("load").path("power").asDouble(), 1e-9);
        double x = 100.0 / 140;
        double threshold = 120.0 / 140;
        assertEquals(
                100 * x * Math.exp(1.92 * x) / (threshold * Math.exp(1.92 * threshold)),
                json.path("load").path("heartRate").asDouble(),
                1e-9);
        assertEquals(200, json.path("bestEfforts").path("power").path("3600").asDouble(), 1e-9);
        assertEquals(3600, json.path("timeInZones").path("power").get(2).asInt());
        assertEquals(20_000 - 36_000, json.path("lowestReserveJ").asDouble(), 1e-6);
        assertEquals(18_000, json.path("laps").get(1).path("distanceM").asDouble(), 1e-6);
        assertEquals(1800, json.path("laps").get(1).path("timerSeconds").asInt());
        assertFalse(json.has("meanCadence"));
        assertEquals(0, json.path("lowData").size());
        assertEquals(0, json.path("problems").size());
    }

    @Test
    void withoutThresholdsTheirResultsAreAbsent() throws IOException {
        JsonNode json = run("inspect", steadyHour().toString(), "--json").json();
        for (String key : List.of("intensity", "load", "timeInZones", "lowestReserveJ"))
            assertFalse(json.has(key), key);
        assertTrue(run("inspect", steadyHour().toString()).out().contains("equivalentPowerW"));
    }

    @Test
    void damageIsSaidAndStrictRefusesIt() throws IOException {
        byte[] bytes = Files.readAllBytes(steadyHour());
        Path cut = Files.write(folder.resolve("cut.fit"), Arrays.copyOf(bytes, bytes.length / 2));
        JsonNode json = run("inspect", cut.toString(), "--json").json();
        assertTrue(json.path("timerSeconds").asInt() > 1000
                && json.path("problems").size() > 0);
        Answer strict = run("inspect", cut.toString(), "--json", "--strict");
        assertRefused(strict, "cut.fit");
    }

    @Test
    void whatCannotBeReadIsOneLineAndCodeTwo() throws IOException {
        assertRefused(run("inspect", folder.resolve("none.fit").toString(), "--json"), "none.fit");
        assertRefused(
                run(
                        "inspect",
                        Files.writeString(folder.resolve("text.fit"), "hello").toString()),
                "text.fit");
        assertRefused(run("inspect", folder.toString()), "folder");
        assertRefused(run("inspect", steadyHour().toString(), "--threshold-power", "abc"), "--threshold-power");
        assertRefused(run("inspect", steadyHour().toString(), "--nonsense"), "--nonsense");
        assertRefused(run("shorthand", "10min 400%"), "column 7");
    }

    private static void assertRefused(Answer answer, String named) {
        assertEquals(2, answer.code());
        assertEquals("", answer.out());
        assertEquals(1, answer.err().lines().count());
        assertTrue(answer.err().contains(named), answer.err());
    }

    @Test
    void aWorkoutIsParsedAndWrittenForADevice() throws IOException {
        Path fit = folder.resolve("w.fit");
        JsonNode json = run(
                        "shorthand",
                        "1h 100%, 2 x (1min 120%, 1min 50%)",
                        "--json",
                        "--threshold-power",
                        "250",
                        "--fit",
                        fit.toString())
                .json();
        assertEquals(3840, json.path("seconds").asInt());
        assertEquals(5, json.path("steps").size());
        assertEquals(300, json.path("steps").get(1).path("watts").asDouble(), 1e-9);
        assertEquals(
                4, FitWorkout.read(Files.readAllBytes(fit)).workout().steps().size());
        assertEquals(
                100, run("shorthand", "1h 100%", "--json").json().path("load").asDouble(), 1e-9);
    }
}
