package pemblar.core.workout;

import java.util.List;
import java.util.function.Supplier;
import pemblar.core.workout.Length.ReserveAt;

/**
 * The power that {@code max} stands for in a repeat, or in a step by itself: the highest that leaves a tenth of W' at
 * the lowest point, begun with the full reserve (computation, section 17; by bisection within half a watt).
 */
final class HighestPower {
    static final double RESERVE_LEFT = 0.1;
    private static final double WITHIN_WATTS = 0.01;
    private static final double MOST_WATTS = 2500;

    private final List<PlannedStep> steps;
    private final Supplier<ReserveRun> fresh;

    /**
     * @param steps of the outermost repeat around the {@code max} steps, written out; what a {@code max} step says of
     *     its own power is not read
     */
    HighestPower(List<PlannedStep> steps, Supplier<ReserveRun> fresh) {
        this.steps = steps;
        this.fresh = fresh;
    }

    /** @throws IllegalArgumentException when a time or a power is missing, or the rests alone use it up */
    double watts() {
        for (PlannedStep step : steps) check(step);
        if (!leavesEnough(0))
            throw new IllegalArgumentException("the steps beside the max ones use up the reserve by themselves");
        double low = 0;
        double high = MOST_WATTS;
        while (high - low > WITHIN_WATTS) {
            double middle = (low + high) / 2;
            if (leavesEnough(middle)) low = middle;
            else high = middle;
        }
        return low;
    }

    private static void check(PlannedStep step) {
        if (step.flat().step().length() instanceof ReserveAt)
            throw new IllegalArgumentException("max and a step led by the reserve cannot stand in the same repeat");
        if (!Double.isFinite(step.seconds()))
            throw new IllegalArgumentException("max needs steps whose time is known: give this repeat times");
        if (step.basis() != null && step.basis() != Basis.POWER)
            throw new IllegalArgumentException("max needs steps in watts or percent of power beside it");
    }

    private boolean leavesEnough(double watts) {
        ReserveRun run = fresh.get();
        double floor = RESERVE_LEFT * run.lowest();
        for (PlannedStep step : steps)
            run.live(step, step.flat().step().target() instanceof Target.Max ? watts : Double.NaN);
        if (!run.isKnown())
            throw new IllegalArgumentException("max needs the threshold power, for the steps beside it");
        return run.lowest() >= floor;
    }
}
