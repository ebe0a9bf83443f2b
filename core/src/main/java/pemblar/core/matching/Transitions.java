package pemblar.core.matching;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.workout.Basis;

/**
 * What happens where one working step of a repetition goes over into the next, such as from sitting to standing: the
 * lowest 3 s mean in the 10 s around the boundary against the lower of the two targets (computation, section 10).
 */
public final class Transitions {
    private static final int HALF_SECONDS = 5;
    private static final int MEAN_SECONDS = 3;
    /** Where the lower target is below this share of the higher, effort goes over into rest, and a drop is wanted. */
    private static final double BOTH_WORK = 0.75;

    private Transitions() {}

    /**
     * One transition.
     *
     * @param at grid second of the boundary
     * @param basis power or pace: heart rate follows too late to show a drop
     * @param lowest lowest 3 s mean in W or m/s
     * @param target lower end of the lower of the two bands
     */
    public record Transition(int repetition, int at, Basis basis, double lowest, double target) {
        /** Relative to the target; below zero where the effort dropped. */
        public double share() {
            return lowest / target - 1;
        }
    }

    /** In order; none where a channel or a target is missing. */
    public static List<Transition> of(List<Matched> steps, Recording recording) {
        List<Transition> all = new ArrayList<>();
        for (int i = 1; i < steps.size(); i++) {
            Matched before = steps.get(i - 1);
            Matched after = steps.get(i);
            if (!areWorkOfOneRepetition(before, after)) continue;
            double target = Math.min(before.step().lowAt(1), after.step().lowAt(0));
            int at = after.from();
            StepMatching.channelOf(after.step().basis(), recording)
                    .flatMap(recording::channel)
                    .map(values -> lowest(values, at))
                    .filter(v -> !v.isNaN())
                    .ifPresent(lowest -> all.add(new Transition(
                            after.step().flat().repetition(), at, after.step().basis(), lowest, target)));
        }
        return all;
    }

    private static boolean areWorkOfOneRepetition(Matched before, Matched after) {
        boolean same = after.step().flat().repetition() > 0
                && before.step().flat().repetition() == after.step().flat().repetition()
                && before.to() == after.from()
                && before.step().basis() == after.step().basis()
                && (after.step().basis() == Basis.POWER || after.step().basis() == Basis.PACE);
        double low = Math.min(before.step().targetAt(1), after.step().targetAt(0));
        double high = Math.max(before.step().targetAt(1), after.step().targetAt(0));
        return same && low >= BOTH_WORK * high;
    }

    private static double lowest(Series values, int at) {
        double lowest = Double.NaN;
        for (int i = Math.max(0, at - HALF_SECONDS);
                i + MEAN_SECONDS <= Math.min(values.size(), at + HALF_SECONDS);
                i++) {
            if (values.present(i, i + MEAN_SECONDS) < MEAN_SECONDS) continue;
            double mean = values.mean(i, i + MEAN_SECONDS);
            if (!(mean >= lowest)) lowest = mean;
        }
        return lowest;
    }
}
