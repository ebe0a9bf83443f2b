package pemblar.core.repetition;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.workout.PlannedStep;

/**
 * Repetitions of a plan told apart (computation, section 10): of one kind are those whose place in the plan, target and
 * length agree; sets of a kind are kept apart, so that the second is seen against the first.
 */
public final class Kinds {
    /** A step below this share of threshold between hard ones is a recovery, and no kind of its own. */
    public static final double HARD = 0.75;

    private static final double ALIKE = 0.1;
    private static final int FEWEST = 2;

    private Kinds() {}

    /** One kind with its sets in order of time; every set has at least one repetition, all together at least two. */
    public record Kind(PlannedStep step, List<List<Span>> sets) {
        public Kind {
            sets = sets.stream().map(List::copyOf).toList();
        }

        public int count() {
            return sets.stream().mapToInt(List::size).sum();
        }
    }

    /** The hard steps that repeat, in the order of the plan; the hardest alone where none is over {@link #HARD}. */
    public static List<Kind> of(List<Matched> steps) {
        List<List<Matched>> kinds = new ArrayList<>();
        for (Matched m : steps) {
            if (m.step().flat().repetition() == 0 || m.to() <= m.from()) continue;
            kinds.stream()
                    .filter(kind -> alike(kind.get(0).step(), m.step()))
                    .findFirst()
                    .orElseGet(() -> {
                        kinds.add(new ArrayList<>());
                        return kinds.get(kinds.size() - 1);
                    })
                    .add(m);
        }
        kinds.removeIf(kind -> kind.size() < FEWEST);
        List<List<Matched>> hard = kinds.stream()
                .filter(kind -> kind.get(0).step().intensity() >= HARD)
                .toList();
        List<List<Matched>> told = !hard.isEmpty() ? hard : hardest(kinds);
        return told.stream()
                .map(kind -> new Kind(kind.get(0).step(), sets(kind)))
                .toList();
    }

    private static List<List<Matched>> hardest(List<List<Matched>> kinds) {
        return kinds.stream()
                .max(java.util.Comparator.comparingDouble(
                        kind -> kind.get(0).step().intensity()))
                .map(List::of)
                .orElse(List.of());
    }

    private static boolean alike(PlannedStep a, PlannedStep b) {
        if (a.flat().stepIndex() == b.flat().stepIndex()) return true;
        var one = a.flat().step();
        var other = b.flat().step();
        return one.target().equals(other.target())
                && one.posture() == other.posture()
                && one.gradientPercent() == other.gradientPercent()
                && java.util.Objects.equals(one.cadence(), other.cadence())
                && close(a.seconds(), b.seconds())
                && close(a.metres(), b.metres());
    }

    /** Within a tenth; what both leave open agrees. */
    private static boolean close(double a, double b) {
        if (Double.isNaN(a) || Double.isNaN(b)) return Double.isNaN(a) && Double.isNaN(b);
        return Math.abs(a - b) <= ALIKE * Math.max(a, b);
    }

    /** A new set begins where the plan counts from one again, or where another repeat of the same kind begins. */
    private static List<List<Span>> sets(List<Matched> kind) {
        List<List<Span>> sets = new ArrayList<>();
        PlannedStep before = null;
        for (Matched m : kind) {
            boolean anew = before == null
                    || m.step().flat().stepIndex() != before.flat().stepIndex()
                    || m.step().flat().repetition() <= before.flat().repetition();
            if (anew) sets.add(new ArrayList<>());
            sets.get(sets.size() - 1).add(new Span(m.from(), m.to()));
            before = m.step();
        }
        return sets;
    }
}
