package pemblar.app.zones;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pemblar.app.threshold.Amounts;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneScheme.Reference;
import pemblar.core.zone.ZoneSchemes;
import pemblar.formats.json.ZoneSchemeJson;

/**
 * The scheme on the editor's desk. The form carries the scheme as it was drawn, and what was typed since; each typed
 * boundary is moved in turn and stops at its neighbours, so that whatever is typed in whatever order, the zones stay
 * sound.
 */
final class Draft {
    /** Boundaries lie lower and higher than thresholds do; beats hardly higher. */
    private static final double LOW_ZONES = 2;

    private static final double HIGH_ZONES = 4;
    private static final double HIGH_BEATS = 1.1;
    private final List<String> problems = new ArrayList<>();
    private ZoneScheme scheme;

    private final Sport sport;

    private Draft(ZoneScheme scheme, Sport sport) {
        this.scheme = scheme;
        this.sport = sport;
    }

    static Draft of(ZoneScheme scheme, Sport sport) {
        return new Draft(scheme, sport);
    }

    /** @throws IllegalArgumentException when the carried scheme is not one */
    static Draft typed(Map<String, String> form, Sport sport) {
        Draft draft = new Draft(ZoneSchemeJson.read(form.getOrDefault("drawn", "")), sport);
        draft.names(form);
        draft.boundaries(form);
        draft.act(form.getOrDefault("do", ""), form);
        return draft;
    }

    ZoneScheme scheme() {
        return scheme;
    }

    List<String> problems() {
        return problems;
    }

    private void names(Map<String, String> form) {
        String name = form.getOrDefault("name", scheme.name()).strip();
        if (name.isEmpty() || name.length() > ZoneScheme.LONGEST_NAME)
            problems.add("Name: 1 to " + ZoneScheme.LONGEST_NAME + " characters.");
        else scheme = scheme.named(name);
        for (int zone = 1; zone <= scheme.names().size(); zone++) {
            String called = form.getOrDefault("zone" + zone, scheme.names().get(zone - 1))
                    .strip();
            if (called.isEmpty() || called.length() > ZoneScheme.LONGEST_NAME)
                problems.add("Zone " + zone + ": its name needs 1 to " + ZoneScheme.LONGEST_NAME + " characters.");
            else scheme = scheme.withZoneName(zone, called);
        }
    }

    private void boundaries(Map<String, String> form) {
        for (int i = 0; i < scheme.boundaries().size(); i++) {
            String typed = form.get("boundary" + i);
            if (typed == null || typed.strip().equals(shown(scheme, sport, i))) continue;
            move(i, typed);
        }
    }

    private void move(int index, String typed) {
        try {
            double wanted = parsed(typed);
            scheme = scheme.moved(index, wanted);
            if (Math.abs(scheme.boundaries().get(index) - wanted) > 1e-9)
                problems.add("The boundary " + typed.strip() + " stops at " + shown(scheme, sport, index)
                        + ", next to its neighbour.");
        } catch (IllegalArgumentException e) {
            problems.add("“" + typed + "” is not a "
                    + (isPace() ? "pace such as " + Amounts.example(quantity(scheme, sport)) + "." : "number."));
        }
    }

    private boolean isPace() {
        return scheme.measure() == Measure.SPEED && scheme.reference() == Reference.ABSOLUTE;
    }

    private double parsed(String typed) {
        if (isPace()) return Amounts.parsed(quantity(scheme, sport), typed);
        String text = typed.strip().replace(',', '.');
        if (!text.matches("\\d{1,4}(\\.\\d{1,6})?")) throw new NumberFormatException(text);
        return Double.parseDouble(text);
    }

    /** A boundary as it is typed: a pace for absolute speeds, else a number without a needless point. */
    static String shown(ZoneScheme scheme, Sport sport, int index) {
        double value = scheme.boundaries().get(index);
        if (scheme.measure() == Measure.SPEED && scheme.reference() == Reference.ABSOLUTE)
            return Amounts.shown(quantity(scheme, sport), value);
        return value == Math.rint(value) ? String.valueOf((long) value) : String.format(Locale.ROOT, "%.1f", value);
    }

    /** The threshold of the scheme's measure, as the sport has it. */
    private static Quantity quantity(ZoneScheme scheme, Sport sport) {
        return Quantity.of(Quantity.threshold(scheme.measure()).kind(), sport);
    }

    private void act(String action, Map<String, String> form) {
        String[] parts = action.split(":");
        try {
            switch (parts[0]) {
                case "split" -> scheme = scheme.split(Integer.parseInt(parts[1]));
                case "join" -> scheme = scheme.joined(Integer.parseInt(parts[1]));
                case "move" -> scheme = scheme.moved(Integer.parseInt(parts[1]), Double.parseDouble(parts[2]));
                case "absolute" -> absolute(form.getOrDefault("absolute", ""));
                case "laboratory" -> laboratory(form.getOrDefault("first", ""), form.getOrDefault("second", ""));
                default -> {}
            }
        } catch (IndexOutOfBoundsException | NumberFormatException e) {
            problems.add("That edit is not possible here.");
        } catch (IllegalArgumentException e) {
            problems.add("Zones must be " + ZoneScheme.FEWEST_ZONES + " to " + ZoneScheme.MOST_ZONES
                    + ", with room between their boundaries.");
        }
    }

    /** Boundaries in the quantity's own unit, as many as typed, in any order. */
    private void absolute(String typed) {
        Quantity quantity = quantity(scheme, sport);
        List<String> words = Arrays.stream(typed.strip().split("[;\\s]+|,\\s+"))
                .filter(w -> !w.isBlank())
                .toList();
        if (words.isEmpty() || words.size() >= ZoneScheme.MOST_ZONES) {
            problems.add("Type 1 to " + (ZoneScheme.MOST_ZONES - 1) + " boundaries with a blank between them, in "
                    + Amounts.unit(quantity) + ".");
            return;
        }
        double most = quantity.highest() * (scheme.measure() == Measure.HEART_RATE ? HIGH_BEATS : HIGH_ZONES);
        List<Double> values = new ArrayList<>();
        for (String word : words) {
            try {
                double value = Amounts.parsed(quantity, word);
                if (value >= quantity.lowest() / LOW_ZONES && value <= most) values.add(value);
                else
                    problems.add("“" + word + "” is not a boundary that a person can have, in " + Amounts.unit(quantity)
                            + ".");
            } catch (IllegalArgumentException e) {
                problems.add("“" + word + "” is not a boundary such as " + Amounts.example(quantity) + ".");
            }
        }
        if (values.size() < words.size()) return;
        try {
            scheme = scheme.typed(values);
        } catch (IllegalArgumentException e) {
            problems.add("Two of the boundaries are the same or too close to each other.");
        }
    }

    /** The boundaries as they would be typed with the values of a day; empty where those are not known. */
    static String absolutes(ZoneScheme scheme, Thresholds values, Sport sport) {
        return scheme.with(values)
                .map(set -> IntStream.range(1, scheme.names().size())
                        .mapToObj(zone -> Amounts.shown(quantity(scheme, sport), set.ceilingOf(zone)))
                        .collect(Collectors.joining(" ")))
                .orElse("");
    }

    private void laboratory(String first, String second) {
        Quantity quantity = quantity(scheme, sport);
        try {
            double low = Amounts.parsed(quantity, first);
            double high = Amounts.parsed(quantity, second);
            if (!(low < high)) {
                problems.add("The second threshold must be harder than the first.");
                return;
            }
            if (!quantity.allows(low) || !quantity.allows(high))
                problems.add("Accepted are thresholds from " + Amounts.withUnit(quantity, quantity.lowest()) + " to "
                        + Amounts.withUnit(quantity, quantity.highest()) + ".");
            else scheme = ZoneSchemes.fromLaboratory("From the laboratory", scheme.measure(), low, high);
        } catch (NumberFormatException e) {
            problems.add("Type both thresholds, in " + Amounts.unit(quantity) + ".");
        }
    }
}
