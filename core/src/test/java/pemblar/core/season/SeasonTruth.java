package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.MaxIter;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Season.Target;

/**
 * The rules read again from the words of the definition, day by day, and solved by another library's simplex: the
 * reference that plans are held against.
 */
final class SeasonTruth {
    private final Ask ask;
    private final List<Target> blocks;
    private final double kept = Math.exp(-1 / 42.0);

    SeasonTruth(Ask ask, Season season) {
        this.ask = ask;
        this.blocks = season.targets();
    }

    boolean isEvent(LocalDate day) {
        return ask.events().stream().anyMatch(e -> !day.isBefore(e.day()) && !day.isAfter(e.last()));
    }

    private boolean isAway(LocalDate day) {
        return ask.hours().away().stream().anyMatch(a -> !day.isBefore(a.from()) && !day.isAfter(a.to()));
    }

    double hoursOn(LocalDate day) {
        double hours = ask.hours().weekly();
        for (Hours.Exception a : ask.hours().away())
            if (!day.isBefore(a.from()) && !day.isAfter(a.to())) hours = Math.min(hours, a.weekly());
        return isEvent(day) ? 0 : hours / 7;
    }

    int trainable(Target block) {
        return (int) block.first()
                .datesUntil(block.last().plusDays(1))
                .filter(d -> hoursOn(d) > 0)
                .count();
    }

    double hours(Target block) {
        return block.first()
                .datesUntil(block.last().plusDays(1))
                .mapToDouble(this::hoursOn)
                .sum();
    }

    /** The last loading block before one that had at least 80 % of its days; null without one. */
    Target measure(Target block) {
        Target found = null;
        for (Target b : blocks) {
            if (b == block) break;
            boolean loading =
                    !b.easy() && (b.phase() == Phase.BASE || b.phase() == Phase.BUILD || b.phase() == Phase.PEAK);
            long full = b.first()
                    .datesUntil(b.last().plusDays(1))
                    .filter(d -> hoursOn(d) > 0 && !isAway(d))
                    .count();
            if (loading && full >= 0.8 * b.days() - 1e-9) found = b;
        }
        return found;
    }

    /**
     * Best value of the aim's quantity within the limits, with the layout as it is and lower edges that hours may miss
     * left out: a bound from above.
     */
    double optimum(boolean most) {
        int n = blocks.size();
        List<LinearConstraint> rows = new ArrayList<>();
        for (int b = 0; b < n; b++) bands(rows, b);
        builds(rows);
        double[] aim = aim();
        double constant = aim[n];
        LinearObjectiveFunction objective = new LinearObjectiveFunction(java.util.Arrays.copyOf(aim, n), constant);
        try {
            return new SimplexSolver(1e-9)
                    .optimize(
                            new MaxIter(100_000),
                            objective,
                            new LinearConstraintSet(rows),
                            most ? GoalType.MAXIMIZE : GoalType.MINIMIZE,
                            new NonNegativeConstraint(true))
                    .getValue();
        } catch (MathRuntimeException e) {
            return Double.NaN;
        }
    }

    private void bands(List<LinearConstraint> rows, int b) {
        Target block = blocks.get(b);
        int days = trainable(block);
        double[] self = new double[blocks.size()];
        self[b] = 1;
        double most = days == 0 ? 0 : hours(block) * ask.loadPerHour().in(block.phase()) / days;
        rows.add(new LinearConstraint(self, Relationship.LEQ, most));
        Target measure = measure(block);
        if (days == 0 || measure == null) return;
        boolean recovery = block.phase() == Phase.RECOVERY;
        boolean taper = block.phase() == Phase.TAPER;
        if (!block.easy() && !recovery && !taper) return;
        double high = block.easy() ? 0.65 : taper ? 0.6 : 0.5;
        double low = block.easy() ? 0.55 : taper ? 0.4 : 0;
        int of = blocks.indexOf(measure);
        double[] upper = self.clone();
        upper[of] -= high;
        rows.add(new LinearConstraint(upper, Relationship.LEQ, 0));
        double[] lower = self.clone();
        lower[of] -= low;
        double highest = low * hours(measure) * ask.loadPerHour().in(measure.phase()) / Math.max(1, trainable(measure));
        if (!recovery && most >= highest - 1e-9) rows.add(new LinearConstraint(lower, Relationship.GEQ, 0));
    }

    /** True when every lower edge surely holds, so that the optimum is exact and no bound only. */
    boolean isExact() {
        for (Target block : blocks) {
            Target measure = measure(block);
            int days = trainable(block);
            if (days == 0 || measure == null || !(block.easy() || block.phase() == Phase.TAPER)) continue;
            double low = block.easy() ? 0.55 : 0.4;
            if (hours(block) * ask.loadPerHour().in(block.phase()) / days
                    < low * hours(measure) * ask.loadPerHour().in(measure.phase()) / Math.max(1, trainable(measure))
                            - 1e-9) return false;
        }
        return true;
    }

    /** Weights of the blocks' points per trainable day on each day's training. */
    private double[] weights(LocalDate day) {
        double[] weights = new double[blocks.size()];
        for (int b = 0; b < weights.length; b++)
            if (!day.isBefore(blocks.get(b).first())
                    && !day.isAfter(blocks.get(b).last())
                    && hoursOn(day) > 0) weights[b] = 1;
        return weights;
    }

    private void builds(List<LinearConstraint> rows) {
        List<double[]> evenings = new ArrayList<>();
        for (double chronic : ask.start().chronicOfWeek()) evenings.add(constant(chronic));
        LocalDate day = ask.first().minusDays(ask.start().between().size());
        for (; !day.isAfter(ask.last()); day = day.plusDays(1)) {
            double[] next = next(evenings.get(evenings.size() - 1), day, 0);
            evenings.add(next);
            double[] before = evenings.get(evenings.size() - 8);
            double[] build = new double[next.length];
            for (int i = 0; i < build.length; i++) build[i] = next[i] - before[i];
            double none = build[blocks.size()];
            if (none <= ask.highestBuild() + 1e-9)
                rows.add(new LinearConstraint(
                        java.util.Arrays.copyOf(build, blocks.size()), Relationship.LEQ, ask.highestBuild() - none));
        }
    }

    private double[] constant(double value) {
        double[] terms = new double[blocks.size() + 1];
        terms[blocks.size()] = value;
        return terms;
    }

    private double[] next(double[] before, LocalDate day, double event) {
        double[] next = new double[before.length];
        double[] weights = weights(day);
        for (int i = 0; i < next.length; i++)
            next[i] = kept * before[i] + (i < weights.length ? (1 - kept) * weights[i] : (1 - kept) * event);
        return next;
    }

    private double[] aim() {
        if (ask.aim().kind() == Aim.Kind.CHRONIC_LOAD) return chronicAim();
        LocalDate until = eveOfTaper();
        double[] aim = constant(0);
        long days = until.toEpochDay() - ask.first().toEpochDay() + 1;
        for (LocalDate day = ask.first(); !day.isAfter(until); day = day.plusDays(1)) {
            double[] weights = weights(day);
            for (int b = 0; b < weights.length; b++)
                aim[b] += weights[b]
                        * 7
                        / days
                        / (ask.aim().kind() == Aim.Kind.WEEKLY_HOURS
                                ? ask.loadPerHour().in(blocks.get(b).phase())
                                : 1);
        }
        return aim;
    }

    private double[] chronicAim() {
        List<Event> aims = ask.of(Priority.A);
        LocalDate morning = aims.get(aims.size() - 1).day();
        double[] chronic = constant(ask.start().chronic());
        for (LocalDate day = ask.first().minusDays(ask.start().between().size());
                day.isBefore(morning);
                day = day.plusDays(1)) {
            double event = 0;
            for (Event e : ask.events())
                if (!day.isBefore(e.day()) && !day.isAfter(e.last())) event += e.load() / e.days();
            chronic = next(chronic, day, event);
        }
        return chronic;
    }

    /** The day before the taper of the last A event; the last planned day without one. */
    LocalDate eveOfTaper() {
        List<Event> aims = ask.of(Priority.A);
        if (aims.isEmpty()) return ask.last();
        int at = aims.size() - 1;
        while (at > 0
                && aims.get(at).day().toEpochDay() - aims.get(at - 1).last().toEpochDay() < 21) at--;
        LocalDate event = aims.get(at).day();
        int index = 0;
        for (int b = 0; b < blocks.size(); b++)
            if (!event.isBefore(blocks.get(b).first())) index = b;
        if (blocks.get(index).first().equals(event) && index > 0) index--;
        LocalDate eve = blocks.get(index).first().minusDays(1);
        return eve.isBefore(ask.first()) ? ask.last() : eve;
    }
}
