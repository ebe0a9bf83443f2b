package pemblar.core.evidence;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Quantity;

/**
 * One piece of evidence.
 *
 * @param recorded from a recording rather than typed
 * @param efforts what it rests on, where that is known
 * @param cutShort a test whose recording ends too early to be one: no evidence
 */
public record Piece(String id, LocalDate day, boolean recorded, Says says, List<AllOut> efforts, boolean cutShort) {
    public Piece {
        efforts = List.copyOf(efforts);
    }

    /** Whether an effort of it is one of the other's. */
    boolean shares(Piece other) {
        return efforts.stream().anyMatch(e -> other.efforts.stream().anyMatch(e::isSameAs));
    }

    double longestSeconds() {
        return efforts.stream().mapToDouble(AllOut::seconds).max().orElse(0);
    }

    /** What a piece says. */
    public sealed interface Says {
        /** True when it says something on a quantity. */
        boolean on(Quantity quantity);

        /** The range that counts for agreeing: from low to high. */
        double low();

        double high();
    }

    /** A value with its range. */
    public record Value(Quantity quantity, double best, double low, double high) implements Says {
        public Value {
            if (!(low > 0 && low <= best && best <= high && high < 1e6))
                throw new IllegalArgumentException(
                        "low, best and high must be above 0 and in order, were " + low + ", " + best + ", " + high);
        }

        @Override
        public boolean on(Quantity asked) {
            return asked == quantity;
        }

        /** Never zero: a typed value without a range is not known better than a millionth. */
        double variance() {
            return Math.pow(Math.max((high - low) / 2, best * 1e-6), 2);
        }
    }

    /**
     * Critical power (W) and W' (J) together, with the covariance of the two: variances in W^2 and J^2, covariance in W
     * J.
     */
    public record Both(double watts, double joules, double wattsVariance, double covariance, double joulesVariance)
            implements Says {
        public Both {
            if (!(watts > 0 && watts < 5000 && joules > 0 && joules < 1e6))
                throw new IllegalArgumentException(
                        "critical power and W' must be above 0, were " + watts + ", " + joules);
            if (!(wattsVariance > 0 && joulesVariance > 0 && wattsVariance * joulesVariance > covariance * covariance))
                throw new IllegalArgumentException("covariance must be positive definite, was [[" + wattsVariance + ", "
                        + covariance + "], [" + covariance + ", " + joulesVariance + "]]");
        }

        @Override
        public boolean on(Quantity asked) {
            return asked == Quantity.CRITICAL_POWER || asked == Quantity.W_PRIME;
        }

        @Override
        public double low() {
            return watts - Math.sqrt(wattsVariance);
        }

        @Override
        public double high() {
            return watts + Math.sqrt(wattsVariance);
        }
    }

    /** A session that drove the reserve below zero: critical power cannot be lower. */
    public sealed interface Bound extends Says {
        /** The lowest critical power, W, that keeps a reserve of so many J at zero or above. */
        double least(double joules);

        @Override
        default boolean on(Quantity asked) {
            return asked == Quantity.CRITICAL_POWER;
        }

        @Override
        default double low() {
            return Double.NaN;
        }

        @Override
        default double high() {
            return Double.NaN;
        }
    }

    /** The bound by a table of {@link Floors}: as good as the session itself within 4 to 40 kJ, and kept with it. */
    public record Tabled(List<Double> watts) implements Bound {
        public Tabled {
            watts = List.copyOf(watts);
            if (!Floors.isTable(watts)) throw new IllegalArgumentException("not a table of floors");
        }

        @Override
        public double least(double joules) {
            return Floors.at(watts, joules);
        }
    }

    /** The bound by its constant powers, W, each over some seconds. */
    public record Floor(List<Step> steps) implements Bound {
        public Floor {
            steps = List.copyOf(steps);
        }

        /** One stretch of constant power. */
        public record Step(double watts, double seconds) {
            public Step {
                if (!(watts >= 0 && watts < 5000))
                    throw new IllegalArgumentException("watts must be in 0..5000, was " + watts);
                if (!(seconds > 0 && seconds <= 864_000))
                    throw new IllegalArgumentException("seconds must be in (0, 864000], was " + seconds);
            }
        }

        @Override
        public double least(double joules) {
            return Methods.floor(this, joules);
        }
    }
}
