package pemblar.formats.ask;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The fields of a JSON object, read one by one; each refusal names its place. */
final class Fields {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final LocalDate EARLIEST = LocalDate.of(1900, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);
    private final JsonNode node;
    private final String place;

    private Fields(JsonNode node, String place) {
        this.node = node;
        this.place = place;
    }

    static Fields read(byte[] json) {
        try {
            JsonNode node = JSON.readTree(json);
            if (node == null || !node.isObject()) throw new BadInput("input", "must be one JSON object");
            return new Fields(node, "");
        } catch (JacksonException e) {
            String where = e.getLocation() == null
                    ? "input"
                    : "line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr();
            throw new BadInput(where, "is not JSON: " + e.getOriginalMessage().replaceAll("\\s+", " "));
        }
    }

    /** The name of a field with the place of its object before it. */
    String place(String name) {
        return place.isEmpty() ? name : place + "." + name;
    }

    boolean has(String name) {
        JsonNode value = node.get(name);
        return value != null && !value.isNull();
    }

    private JsonNode required(String name, String right) {
        if (!has(name)) throw new BadInput(place(name), "missing; give " + right);
        return node.get(name);
    }

    BadInput wrong(String name, String found, String right) {
        return new BadInput(place(name), found + " is not possible; give " + right);
    }

    private static String shown(JsonNode value) {
        String text = value.toString().replaceAll("\\s+", " ");
        return text.length() > 40 ? text.substring(0, 37) + "..." : text;
    }

    /** @param what what it is, for the one who has to give it; the range stands in the refusal */
    double number(String name, String what, double least, double most) {
        JsonNode value = required(name, what);
        return checked(place(name), value, what, least, most);
    }

    private static double checked(String place, JsonNode value, String what, double least, double most) {
        double number = value.isNumber() ? value.doubleValue() : Double.NaN;
        if (!(number >= least && number <= most))
            throw new BadInput(
                    place,
                    shown(value) + " is not possible; give " + what + ", from " + plain(least) + " to " + plain(most));
        return number;
    }

    private static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? String.valueOf((long) value)
                : String.valueOf(value);
    }

    double number(String name, String what, double least, double most, double otherwise) {
        return has(name) ? number(name, what, least, most) : otherwise;
    }

    OptionalDouble optional(String name, String what, double least, double most) {
        return has(name) ? OptionalDouble.of(number(name, what, least, most)) : OptionalDouble.empty();
    }

    int whole(String name, String what, int least, int most) {
        double value = number(name, what, least, most);
        if (value != Math.rint(value)) throw wrong(name, plain(value), what + ", a whole number");
        return (int) value;
    }

    int whole(String name, String what, int least, int most, int otherwise) {
        return has(name) ? whole(name, what, least, most) : otherwise;
    }

    boolean flag(String name, boolean otherwise) {
        if (!has(name)) return otherwise;
        JsonNode value = node.get(name);
        if (!value.isBoolean()) throw wrong(name, shown(value), "true or false");
        return value.booleanValue();
    }

    boolean flag(String name) {
        required(name, "true or false");
        return flag(name, false);
    }

    String text(String name, String what) {
        JsonNode value = required(name, what);
        if (!value.isString()
                || value.stringValue().isBlank()
                || value.stringValue().length() > 200) throw wrong(name, shown(value), what + ", 1 to 200 characters");
        return value.stringValue();
    }

    /** A word, or true for one that is not said; empty when absent, null, false or blank. */
    String word(String name) {
        JsonNode value = has(name) ? node.get(name) : null;
        if (value == null || value.isBoolean() && !value.booleanValue()) return "";
        if (value.isBoolean()) return "yes";
        if (!value.isString()) throw wrong(name, shown(value), "a word, or true or false");
        return value.stringValue().strip();
    }

    String choice(String name, List<String> choices) {
        String right = "one of " + String.join(", ", choices);
        JsonNode value = required(name, right);
        if (!value.isString() || !choices.contains(value.stringValue())) throw wrong(name, shown(value), right);
        return value.stringValue();
    }

    LocalDate day(String name) {
        String right = "a day such as 2027-03-01";
        JsonNode value = required(name, right);
        return day(place(name), value.isString() ? value.stringValue() : shown(value));
    }

    static LocalDate day(String place, String text) {
        try {
            LocalDate day = LocalDate.parse(text);
            if (!day.isBefore(EARLIEST) && day.isBefore(LATEST)) return day;
        } catch (DateTimeException e) {
            // falls through to the one message below
        }
        throw new BadInput(
                place,
                (text.length() > 40 ? text.substring(0, 37) + "..." : text)
                        + " is not possible; give a day such as 2027-03-01");
    }

    Optional<LocalTime> time(String name) {
        if (!has(name)) return Optional.empty();
        JsonNode value = node.get(name);
        try {
            if (value.isString()) return Optional.of(LocalTime.parse(value.stringValue()));
        } catch (DateTimeException e) {
            // falls through to the one message below
        }
        throw wrong(name, shown(value), "a clock time such as 17:30");
    }

    Fields object(String name, String what) {
        JsonNode value = required(name, what);
        if (!value.isObject()) throw wrong(name, shown(value), what);
        return new Fields(value, place(name));
    }

    Optional<Fields> optionalObject(String name, String what) {
        return has(name) ? Optional.of(object(name, what)) : Optional.empty();
    }

    /** The objects of a list; none when the list is absent. */
    List<Fields> objects(String name, int most) {
        List<Fields> objects = new ArrayList<>();
        for (JsonNode item : items(name, most)) {
            String at = place(name) + "[" + objects.size() + "]";
            if (!item.isObject()) throw new BadInput(at, shown(item) + " is not possible; give an object");
            objects.add(new Fields(item, at));
        }
        return objects;
    }

    private List<JsonNode> items(String name, int most) {
        if (!has(name)) return List.of();
        JsonNode list = node.get(name);
        if (!list.isArray()) throw wrong(name, shown(list), "a list");
        if (list.size() > most)
            throw new BadInput(place(name), list.size() + " entries are too many; give at most " + most);
        List<JsonNode> items = new ArrayList<>();
        for (JsonNode item : list) items.add(item);
        return items;
    }

    List<Fields> someObjects(String name, String what, int most) {
        required(name, what);
        List<Fields> objects = objects(name, most);
        if (objects.isEmpty()) throw new BadInput(place(name), "is empty; give " + what);
        return objects;
    }

    double[] numbers(String name, String what, int most, double lowest, double highest) {
        List<JsonNode> items = items(name, most);
        double[] numbers = new double[items.size()];
        for (int i = 0; i < numbers.length; i++)
            numbers[i] = checked(place(name) + "[" + i + "]", items.get(i), what, lowest, highest);
        return numbers;
    }

    /** A list of pairs, as [[watts, seconds], ...]; each number at least {@code lowest}. */
    double[][] pairs(String name, String what, int most, double lowest, double highest) {
        required(name, what);
        List<JsonNode> items = items(name, most);
        double[][] pairs = new double[items.size()][];
        for (int i = 0; i < pairs.length; i++) {
            String at = place(name) + "[" + i + "]";
            JsonNode pair = items.get(i);
            if (!pair.isArray() || pair.size() != 2)
                throw new BadInput(at, shown(pair) + " is not possible; give " + what);
            pairs[i] = new double[] {
                checked(at + "[0]", pair.get(0), what, lowest, highest),
                checked(at + "[1]", pair.get(1), what, lowest, highest)
            };
        }
        return pairs;
    }
}
