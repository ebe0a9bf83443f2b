package pemblar.core.strength;

/**
 * How load falls with repetitions: f(r) = 1 + r / 30, f(1) = 1.
 *
 * @see "Epley, Poundage chart, Boyd Epley Workout (1985)"
 */
public final class Repetitions {
    /** Over this an estimate is refused as unreliable. */
    public static final int MOST_RELIABLE = 12;

    private Repetitions() {}

    /** The maximum over the load that can be lifted so many times; at least 1 repetition. */
    public static double factor(int repetitions) {
        if (repetitions < 1) throw new IllegalArgumentException("repetitions must be at least 1, was " + repetitions);
        return repetitions == 1 ? 1 : 1 + repetitions / 30.0;
    }

    /** Estimated maximum, kg, of a load lifted 1 to 12 times. */
    public static double maximum(double loadKilograms, int repetitions) {
        if (repetitions > MOST_RELIABLE)
            throw new IllegalArgumentException("repetitions must be at most 12, was " + repetitions);
        return loadKilograms * factor(repetitions);
    }
}
