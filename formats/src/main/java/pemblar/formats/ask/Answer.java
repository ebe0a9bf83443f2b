package pemblar.formats.ask;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;

/** Small helps for writing an answer: a figure that is not known is null. */
final class Answer {
    private Answer() {}

    static Map<String, Object> of(Object... keysAndValues) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < keysAndValues.length; i += 2) map.put((String) keysAndValues[i], keysAndValues[i + 1]);
        return map;
    }

    static Double figure(double value) {
        return Double.isFinite(value) ? Double.valueOf(value) : null;
    }

    static Double figure(OptionalDouble value) {
        return value.isPresent() ? figure(value.getAsDouble()) : null;
    }
}
