package pemblar.core.threshold;

/** A value with the range it may have, in the unit of its quantity; {@code high} is infinite when it is open above. */
public record Estimate(Quantity quantity, double best, double low, double high) {
    public Estimate {
        if (!(low > 0 && low <= best && best <= high))
            throw new IllegalArgumentException("low, best and high must rise, were " + low + ", " + best + ", " + high);
    }

    public boolean isOpenAbove() {
        return Double.isInfinite(high);
    }

    /** The standard deviation it is given when combined with others: half the width of its range. */
    public double deviation() {
        return (high - low) / 2;
    }
}
