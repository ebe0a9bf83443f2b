package pemblar.core.workout;

/**
 * What to hold during a step. {@code from} and {@code to} are equal for a single value, the ends of a band, or of a
 * ramp in the order in which it is ridden or run.
 */
public sealed interface Target {
    /** Percent of threshold; a null basis is the workout's own. */
    record Percent(double from, double to, boolean ramp, Basis basis) implements Target {
        public Percent {
            check("percent", from, 1, 300);
            check("percent", to, 1, 300);
            band(from, to, ramp);
        }
    }

    /** One zone or neighbouring ones, from 1; a null basis is the workout's own. */
    record Zone(int from, int to, Basis basis) implements Target {
        public Zone {
            check("zone", from, 1, 9);
            check("zone", to, 1, 9);
            band(from, to, false);
        }
    }

    /** Watts, beats per minute or metres per second. */
    record Absolute(double from, double to, boolean ramp, Basis basis) implements Target {
        public Absolute {
            double lowest = basis == Basis.HEART_RATE ? 40 : basis == Basis.POWER ? 1 : 0.3;
            double highest = basis == Basis.HEART_RATE ? 240 : basis == Basis.POWER ? 2500 : 12;
            check("target", from, lowest, highest);
            check("target", to, lowest, highest);
            band(from, to, ramp);
        }
    }

    /** Perceived effort, 0 to 10. */
    record Effort(double from, double to) implements Target {
        public Effort {
            check("rpe", from, 0, 10);
            check("rpe", to, 0, 10);
            band(from, to, false);
        }
    }

    /**
     * Percent of the highest power that leaves the chosen reserve at the lowest point of the repeat that the step
     * stands in (computation, section 17).
     */
    record Max(double from, double to) implements Target {
        public Max {
            check("percent of max", from, 30, 150);
            check("percent of max", to, 30, 150);
            band(from, to, false);
        }
    }

    record Open() implements Target {}

    /** Standing or lying still, as at the wall of a pool. */
    record Rest() implements Target {}

    private static void check(String name, double value, double lowest, double highest) {
        if (!(value >= lowest && value <= highest))
            throw new IllegalArgumentException(name + " must be in " + lowest + ".." + highest + ", was " + value);
    }

    private static void band(double from, double to, boolean ramp) {
        if (!ramp && from > to) throw new IllegalArgumentException("a band must rise, was " + from + ".." + to);
    }
}
