package pemblar.formats.fuzz;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.core.zone.ZoneSchemes;
import pemblar.core.zone.Zones;
import pemblar.formats.fit.FitActivityWriter;
import pemblar.formats.fit.FitWorkouts;
import pemblar.formats.fit.FitZones;
import pemblar.formats.json.StrengthJson;
import pemblar.formats.json.WorkoutJson;
import pemblar.formats.json.ZoneSchemeJson;

/** Writes what our own writers write into the corpus, for searches to begin with. */
public final class Seeds {
    private static final Path CORPUS = Path.of("src/test/corpus");
    private static final Instant THEN = Instant.parse("2026-03-02T06:45:00Z");
    private static final int SECONDS = 90;
    private static final Thresholds VALUES =
            Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250).with(Quantity.THRESHOLD_HEART_RATE, 165);

    private Seeds() {}

    public static void main(String[] none) throws IOException {
        put(Reader.FIT, "ride", FitActivityWriter.write(recording(Sport.RIDE), 1));
        put(Reader.FIT, "swim", FitActivityWriter.write(recording(Sport.SWIM), 1, 25));
        Workout workout = Shorthand.read("5min 60%, 3 x (2min 110%, 1min z1)", Sport.RIDE)
                .workout()
                .orElseThrow();
        put(Reader.FIT_WORKOUT, "one", FitWorkouts.of("One", workout, VALUES).write(1, THEN));
        put(
                Reader.FIT_ZONES,
                "one",
                FitZones.of(Zones.usual(VALUES), Sport.RIDE, THEN).write(7));
        put(Reader.WORKOUT_JSON, "one", WorkoutJson.write(workout).getBytes(StandardCharsets.UTF_8));
        put(
                Reader.ZONE_SCHEME_JSON,
                "one",
                ZoneSchemeJson.write(ZoneSchemes.ALL.get(0)).getBytes(StandardCharsets.UTF_8));
        for (Path text : List.of(CORPUS.resolve("strength-shorthand/one"), CORPUS.resolve("strength-shorthand/two")))
            StrengthShorthand.read(Files.readString(text)).workout().ifPresent(w -> {
                try {
                    put(
                            Reader.STRENGTH_JSON,
                            text.getFileName().toString(),
                            StrengthJson.write(w).getBytes(StandardCharsets.UTF_8));
                } catch (IOException e) {
                    throw new java.io.UncheckedIOException(e);
                }
            });
    }

    private static Recording recording(Sport sport) {
        Map<String, Series> channels = new LinkedHashMap<>();
        for (String name : List.of("power", "heartRate", "cadence", "speed", "distance", "altitude")) {
            double[] values = new double[SECONDS];
            for (int i = 0; i < SECONDS; i++) values[i] = name.equals("distance") ? 5 * i : 100 + i % 13;
            channels.put(name, Series.of(values));
        }
        return new Recording(sport, THEN, SECONDS, List.of(), channels, List.of(new Lap(0, SECONDS, 0)));
    }

    private static void put(Reader reader, String name, byte[] bytes) throws IOException {
        Path file = CORPUS.resolve(reader.folder()).resolve(name);
        Files.createDirectories(file.getParent());
        Files.write(file, bytes);
    }
}
