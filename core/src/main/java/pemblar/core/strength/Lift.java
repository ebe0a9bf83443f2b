package pemblar.core.strength;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import pemblar.core.strength.LoggedSet.Counts;

/**
 * One line of a strength workout: an exercise with its sets.
 *
 * @param letter of a pair that is done in turn, as A1; empty without one
 * @param each every set is for each side
 * @param sets in order
 * @param counts which results may move a maximum
 * @param nextFromLast each load follows from the set before
 * @param restSeconds between sets; 0 when nothing is said
 * @param tempo as 3-1-1, empty without one
 */
public record Lift(
        String letter,
        String exercise,
        boolean each,
        List<PlannedSet> sets,
        Counts counts,
        boolean nextFromLast,
        int restSeconds,
        String tempo,
        String cue) {
    public static final int MOST_SETS = 30;

    /**
     * One set.
     *
     * @param repetitions 0 where it is held, or where as many as possible are asked for
     * @param heldSeconds 0 where repetitions are counted
     */
    public record PlannedSet(int repetitions, boolean asManyAsPossible, int heldSeconds, SetLoad load) {
        public PlannedSet {
            Objects.requireNonNull(load, "load");
            if (repetitions < 0 || repetitions > 100)
                throw new IllegalArgumentException("repetitions must be 1 to 100, were " + repetitions);
            if (heldSeconds < 0 || heldSeconds > 3600)
                throw new IllegalArgumentException("a set is held 1 s to 1 h, was " + heldSeconds);
            if (repetitions == 0 && heldSeconds == 0 && !asManyAsPossible)
                throw new IllegalArgumentException("a set needs repetitions, seconds, or as many as possible");
        }

        PlannedSet asManyAsPossible(boolean now) {
            return new PlannedSet(repetitions, now, heldSeconds, load);
        }
    }

    public Lift {
        sets = List.copyOf(sets);
        exercise = exercise.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        if (exercise.isEmpty() || exercise.length() > 60)
            throw new IllegalArgumentException("an exercise has 1 to 60 characters");
        if (sets.isEmpty() || sets.size() > MOST_SETS)
            throw new IllegalArgumentException("an exercise has 1 to " + MOST_SETS + " sets, had " + sets.size());
        if (restSeconds < 0 || restSeconds > 1800)
            throw new IllegalArgumentException("rest must be at most 30 min, was " + restSeconds + " s");
    }

    /** True when the results of its last set, or of its tests, can move a maximum. */
    public boolean canMoveAMaximum() {
        return counts != Counts.NONE && sets.stream().anyMatch(PlannedSet::asManyAsPossible);
    }
}
