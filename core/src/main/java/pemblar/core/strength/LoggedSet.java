package pemblar.core.strength;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * A set as it was lifted.
 *
 * @param loadKilograms what was on the bar
 * @param counts which results may move a maximum
 * @param test a test, or to as many repetitions as possible: only such sets count
 * @param repetitionMaximum of a set prescribed at a repetition maximum
 * @param prescribed load, kg, that was prescribed for it; empty: the maximum by the repetition maximum
 */
public record LoggedSet(
        String exercise,
        double loadKilograms,
        int repetitions,
        Counts counts,
        boolean test,
        OptionalInt repetitionMaximum,
        OptionalDouble prescribed) {
    /** Which results may move a maximum. */
    public enum Counts {
        NONE,
        BETTER,
        EVERY
    }

    /** What a set did to the maxima. */
    public enum Did {
        MOVED,
        KEPT,
        FAILED,
        REFUSED
    }

    public LoggedSet {
        if (!(loadKilograms >= 0 && loadKilograms < 1000))
            throw new IllegalArgumentException("loadKilograms must be in 0..1000, was " + loadKilograms);
        if (repetitions < 0 || repetitions > 1000)
            throw new IllegalArgumentException("repetitions must be in 0..1000, was " + repetitions);
    }
}
