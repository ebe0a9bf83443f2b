package pemblar.formats.inspect;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.Reading;
import pemblar.formats.RecordingFiles;
import pemblar.formats.ask.Asking;
import pemblar.formats.fit.FitWorkouts;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code inspect FILE}, {@code shorthand TEXT} and {@code ask TOPIC}: answers on standard output; exit code 2 and one
 * line when refused.
 */
public final class Main {
    private static final int REFUSED = 2;
    private final PrintStream out;

    private Main(PrintStream out) {
        this.out = out;
    }

    /** What cannot be answered, in one line. */
    private static final class Refusal extends Exception {
        private static final long serialVersionUID = 1;

        Refusal(String message) {
            super(message);
        }
    }

    public static void main(String[] arguments) {
        PrintStream out = new PrintStream(System.out, false, StandardCharsets.UTF_8);
        boolean asked = arguments.length > 0 && arguments[0].equals("ask");
        int code = asked
                ? Asking.run(arguments.length == 2 ? arguments[1] : "", System.in, out, System.err)
                : run(
                        List.of(arguments),
                        out,
                        System.err,
                        Instant.EPOCH.plusSeconds(System.currentTimeMillis() / 1000));
        out.flush();
        System.exit(code);
    }

    /** Runs one command and returns its exit code. */
    static int run(List<String> arguments, PrintStream out, PrintStream err, Instant now) {
        try {
            if (arguments.isEmpty()) throw new Refusal("expected 'inspect FILE' or 'shorthand TEXT'");
            Arguments rest = new Arguments(arguments.subList(1, arguments.size()));
            Main main = new Main(out);
            if (arguments.get(0).equals("inspect")) main.inspect(rest);
            else if (arguments.get(0).equals("shorthand")) main.shorthand(rest, now);
            else throw new Refusal("command '" + arguments.get(0) + "' is not known");
            return 0;
        } catch (Refusal | IllegalArgumentException e) {
            err.println("pemblar: " + String.valueOf(e.getMessage()).replaceAll("\\s+", " "));
            return REFUSED;
        }
    }

    private void inspect(Arguments arguments) throws Refusal {
        String file = arguments.plain();
        Reading reading = RecordingFiles.read(bytes(file), arguments.sport());
        boolean refused = arguments.has("--strict") && reading.isDamaged();
        if (reading.recording().isEmpty() || refused) {
            Reading.Problem first = reading.problems().stream()
                    .filter(Reading.Problem::damage)
                    .findFirst()
                    .orElseThrow();
            throw new Refusal(file + ": " + first);
        }
        print(
                RecordingReport.of(reading.recording().get(), reading.problems(), arguments.thresholds()),
                arguments.has("--json"));
    }

    private static byte[] bytes(String file) throws Refusal {
        try {
            Path path = Path.of(file);
            if (Files.isDirectory(path)) throw new Refusal(file + ": this is a folder; name a file");
            if (Files.size(path) > RecordingFiles.MAX_BYTES)
                throw new Refusal(file + ": the file is larger than " + (RecordingFiles.MAX_BYTES >> 20) + " MB");
            return Files.readAllBytes(path);
        } catch (NoSuchFileException e) {
            throw new Refusal(file + ": there is no such file");
        } catch (IOException e) {
            throw new Refusal(file + ": cannot be read: " + e.getMessage());
        }
    }

    private void shorthand(Arguments arguments, Instant now) throws Refusal {
        Sport sport = arguments.sport().orElse(Sport.RIDE);
        Basis basis = arguments.text("--quantity").map(Basis::ofKey).orElse(Basis.usualFor(sport));
        Shorthand.Reading reading = Shorthand.read(arguments.plain(), sport, basis);
        Workout workout = reading.workout()
                .orElseThrow(() -> new Refusal(reading.problem().orElseThrow().toString()));
        Map<String, Object> report = WorkoutReport.of(workout, arguments.thresholds());
        if (arguments.has("--fit"))
            write(
                    arguments.text("--fit").orElseThrow(),
                    FitWorkouts.of("Workout", workout, arguments.thresholds()).write(1, now));
        print(report, arguments.has("--json"));
    }

    private static void write(String file, byte[] bytes) throws Refusal {
        try {
            Files.write(Path.of(file), bytes);
        } catch (IOException e) {
            throw new Refusal(file + ": cannot be written: " + e.getMessage());
        }
    }

    private void print(Map<String, Object> report, boolean json) {
        if (json)
            out.println(JsonMapper.builder()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .build()
                    .writeValueAsString(report));
        else lines("", report);
    }

    private void lines(String indent, Map<?, ?> map) {
        for (var entry : map.entrySet()) {
            if (entry.getValue() instanceof Map<?, ?> inner) {
                out.println(indent + entry.getKey());
                lines(indent + "  ", inner);
            } else if (entry.getValue() instanceof List<?> list
                    && !list.isEmpty()
                    && list.get(0) instanceof Map<?, ?>) {
                out.println(indent + entry.getKey());
                list.forEach(item -> out.println(indent + "  " + inOneLine((Map<?, ?>) item)));
            } else {
                out.printf("%s%-24s %s%n", indent, entry.getKey(), shown(entry.getValue()));
            }
        }
    }

    private static String inOneLine(Map<?, ?> map) {
        return String.join(
                "  ",
                map.entrySet().stream()
                        .map(e -> e.getKey() + " " + shown(e.getValue()))
                        .toList());
    }

    private static String shown(Object value) {
        if (value instanceof Double number)
            return String.format(java.util.Locale.ROOT, Math.abs(number) < 10 ? "%.3f" : "%.1f", number);
        return value instanceof List<?> list
                ? String.join(
                        ", ", Arrays.stream(list.toArray()).map(Main::shown).toList())
                : String.valueOf(value);
    }
}
