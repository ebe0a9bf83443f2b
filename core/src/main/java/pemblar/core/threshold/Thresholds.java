package pemblar.core.threshold;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import pemblar.core.sport.Sport;

/** The values that hold for an athlete on one day; what is not known is not there. */
public record Thresholds(Map<Quantity, Double> values, Sex sex) {
    public static final Thresholds NONE = new Thresholds(Map.of(), Sex.NOT_GIVEN);

    public Thresholds {
        EnumMap<Quantity, Double> copy = new EnumMap<>(Quantity.class);
        copy.putAll(values);
        copy.forEach((quantity, value) -> {
            if (!(value > 0 && value < 1e6))
                throw new IllegalArgumentException(quantity + " must be above 0, was " + value);
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

    /**
     * The values as they count for a sport, each under its plain quantity. No sport borrows another's: running has its
     * own threshold power and neither critical power nor W′ of riding; a threshold heart rate of the sport stands in
     * the place of the general one when it is known.
     */
    public Thresholds forSport(Sport sport) {
        Map<Quantity, Double> own = new EnumMap<>(Quantity.class);
        values.forEach((quantity, value) -> {
            if (quantity.serves(sport) && quantity == quantity.kind().plain()) own.put(quantity, value);
        });
        values.forEach((quantity, value) -> {
            if (quantity.sport() != sport) return;
            own.put(quantity, value); // so that asking twice answers the same
            own.put(quantity.kind().plain(), value);
        });
        return new Thresholds(own, sex);
    }

    public Thresholds with(Quantity quantity, double value) {
        Map<Quantity, Double> more = new EnumMap<>(Quantity.class);
        more.putAll(values);
        more.put(quantity, value);
        return new Thresholds(more, sex);
    }
}
