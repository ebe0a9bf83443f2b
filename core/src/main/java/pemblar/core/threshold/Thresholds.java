package pemblar.core.threshold;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import pemblar.core.Sport;

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

    /**
     * The values as they count for a sport. Running has its own threshold power and does not borrow that of riding, nor
     * critical power and W′; a running threshold heart rate stands in the place of the general one when it is known.
     */
    public Thresholds forSport(Sport sport) {
        if (sport != Sport.RUN) return this;
        Map<Quantity, Double> running = new EnumMap<>(Quantity.class);
        running.putAll(values);
        for (Quantity riding : new Quantity[] {Quantity.THRESHOLD_POWER, Quantity.CRITICAL_POWER, Quantity.W_PRIME}) running.remove(riding);
        get(Quantity.RUNNING_THRESHOLD_POWER).ifPresent(watts -> running.put(Quantity.THRESHOLD_POWER, watts));
        get(Quantity.RUNNING_THRESHOLD_HEART_RATE).ifPresent(bpm -> running.put(Quantity.THRESHOLD_HEART_RATE, bpm));
        return new Thresholds(running, sex);
    }

    public Thresholds with(Quantity quantity, double value) {
        Map<Quantity, Double> more = new EnumMap<>(Quantity.class);
        more.putAll(values);
        more.put(quantity, value);
        return new Thresholds(more, sex);
    }
}
