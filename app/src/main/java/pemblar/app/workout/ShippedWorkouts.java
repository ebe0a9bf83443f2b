package pemblar.app.workout;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Shorthand;

/**
 * The workouts that ship, from one text file of shorthand. Their ids are -1, -2 and so on, in the order of the file:
 * new ones go to its end.
 */
final class ShippedWorkouts {
    static final List<Shelved> ALL = read();

    private ShippedWorkouts() {}

    private static List<Shelved> read() {
        List<Shelved> all = new ArrayList<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                ShippedWorkouts.class.getResourceAsStream("/workout/shipped.txt"), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine())
                if (!line.isBlank() && !line.startsWith("#")) all.add(workout(line, -1 - all.size()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return List.copyOf(all);
    }

    private static Shelved workout(String line, long id) {
        String[] parts = Arrays.stream(line.split("\\|", 6)).map(String::strip).toArray(String[]::new);
        Shorthand.Reading reading = Shorthand.read(parts[5], Sport.ofKey(parts[1]), Basis.ofKey(parts[2]));
        if (reading.workout().isEmpty())
            throw new IllegalStateException("the shipped workout '" + parts[0] + "': "
                    + reading.problem().orElseThrow());
        return new Shelved(
                id,
                parts[0],
                reading.workout().get(),
                parts[3],
                List.of(parts[4].split(",\\s*")),
                Shelved.Origin.SHIPPED,
                false,
                false,
                1);
    }
}
