package pemblar.core.repetition;

import pemblar.core.repetition.RepetitionSet.Repetition;

/**
 * A set against the first one of its kind.
 *
 * @param mean relative change of the main quantity's mean over the set
 * @param spreadBefore mean spread of the first set's repetitions, a fraction; {@code spread} of this one's
 */
public record SetChange(double mean, double spreadBefore, double spread) {
    public static SetChange of(RepetitionSet first, RepetitionSet other) {
        return new SetChange(mean(other, true) / mean(first, true) - 1, mean(first, false), mean(other, false));
    }

    private static double mean(RepetitionSet set, boolean main) {
        return set.repetitions().stream()
                .mapToDouble(main ? Repetition::mean : Repetition::spread)
                .filter(v -> !Double.isNaN(v))
                .average()
                .orElse(Double.NaN);
    }
}
