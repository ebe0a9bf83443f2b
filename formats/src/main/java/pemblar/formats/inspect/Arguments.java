package pemblar.formats.inspect;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;

/** What stands on the command line after the command: one plain argument and options. */
final class Arguments {
    private static final Set<String> FLAGS = Set.of("--json", "--strict");
    private static final Map<String, Quantity> VALUES = Map.of(
            "--threshold-power",
            Quantity.THRESHOLD_POWER,
            "--critical-power",
            Quantity.CRITICAL_POWER,
            "--w-prime",
            Quantity.W_PRIME,
            "--threshold-hr",
            Quantity.THRESHOLD_HEART_RATE,
            "--max-hr",
            Quantity.MAXIMUM_HEART_RATE,
            "--rest-hr",
            Quantity.RESTING_HEART_RATE,
            "--threshold-speed",
            Quantity.THRESHOLD_SPEED,
            "--mass",
            Quantity.BODY_MASS);
    private static final Set<String> TEXTS = Set.of("--sport", "--sex", "--fit", "--quantity");

    private final List<String> plain = new ArrayList<>();
    private final Map<String, String> options = new HashMap<>();

    /** @throws IllegalArgumentException naming the argument that is not understood */
    Arguments(List<String> arguments) {
        for (int i = 0; i < arguments.size(); i++) {
            String argument = arguments.get(i);
            if (!argument.startsWith("--")) plain.add(argument);
            else if (FLAGS.contains(argument)) options.put(argument, "");
            else if (!VALUES.containsKey(argument) && !TEXTS.contains(argument))
                throw new IllegalArgumentException("option " + argument + " is not known");
            else if (i + 1 == arguments.size())
                throw new IllegalArgumentException("option " + argument + " needs a value");
            else options.put(argument, arguments.get(++i));
        }
        if (plain.size() != 1)
            throw new IllegalArgumentException("expected one argument besides the options, got " + plain.size());
        sport();
        thresholds();
    }

    String plain() {
        return plain.get(0);
    }

    boolean has(String flag) {
        return options.containsKey(flag);
    }

    Optional<String> text(String option) {
        return Optional.ofNullable(options.get(option));
    }

    Optional<Sport> sport() {
        return text("--sport").map(Sport::ofKey);
    }

    Thresholds thresholds() {
        Thresholds thresholds = new Thresholds(Map.of(), sex());
        for (var entry : VALUES.entrySet())
            if (has(entry.getKey())) thresholds = thresholds.with(entry.getValue(), number(entry.getKey()));
        // What is typed for this one file holds for it whatever its sport is.
        if (has("--threshold-power"))
            thresholds = thresholds.with(Quantity.RUNNING_THRESHOLD_POWER, number("--threshold-power"));
        if (has("--threshold-hr"))
            thresholds = thresholds.with(Quantity.RUNNING_THRESHOLD_HEART_RATE, number("--threshold-hr"));
        return thresholds;
    }

    private Sex sex() {
        String sex = text("--sex").orElse("");
        return switch (sex) {
            case "f" -> Sex.FEMALE;
            case "m" -> Sex.MALE;
            case "" -> Sex.NOT_GIVEN;
            default -> throw new IllegalArgumentException("--sex must be f or m, was '" + sex + "'");
        };
    }

    private double number(String option) {
        try {
            double value = Double.parseDouble(options.get(option));
            if (value > 0 && value < 1e6) return value;
        } catch (NumberFormatException e) {
            // falls through to the one message below
        }
        throw new IllegalArgumentException(option + " must be a number above 0, was '" + options.get(option) + "'");
    }
}
