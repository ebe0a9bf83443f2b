package pemblar.core.prediction;

/** A value with the range in which it is taken to lie. */
public record Range(double value, double low, double high) {
    public Range {
        if (!(low <= value && value <= high))
            throw new IllegalArgumentException(
                    "low, value and high must be in order, were " + low + ", " + value + ", " + high);
    }

    public static Range of(double value) {
        return new Range(value, value, value);
    }

    public static Range about(double value, double reach) {
        return new Range(value, value - reach, value + reach);
    }
}
