package pemblar.core.threshold;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/** The values that hold for an athlete on one day; what is not known is not there. */
public record Thresholds(Map<Quantity, Double> values, Sex sex) {
    public static final Thresholds NONE = new Thresholds(Map.of(), Sex.NOT_GIVEN);

    public Thresholds {
        EnumMap<Quantity, Double> copy = new EnumMap<>(Quantity.class);
        copy.putAll(values);
        copy.forEach((quantity, value) -> {
            if (!(value > 0 && value < 1e6)) throw new IllegalArgumentException(quantity + " must be above 0, was " + value);
        });
        values = java.util.Collections.unmodifiableMap(copy);
    }

    public OptionalDouble get(Quantity quantity) {
        Double value = values.get(quantity);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    public boolean knows(Quantity... quantities) {
        for (Quantity quantity : quantities) if (!values.containsKey(quantity)) return false;
        return true;
    }

    /** @throws IllegalArgumentException when the value is not known */
    public double require(Quantity quantity) {
        return get(quantity).orElseThrow(() -> new IllegalArgumentException(quantity.label() + " is not known"));
    }

    public Thresholds with(Quantity quantity, double value) {
        Map<Quantity, Double> more = new EnumMap<>(Quantity.class);
        more.putAll(values);
        more.put(quantity, value);
        return new Thresholds(more, sex);
    }
}
