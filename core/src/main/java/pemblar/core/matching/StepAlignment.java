package pemblar.core.matching;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import pemblar.core.effort.Levels;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.workout.Basis;
import pemblar.core.workout.PlannedStep;

/**
 * Lays the pattern of planned steps over a recording without usable laps: dynamic programming over change points of the
 * 10 s smoothed target quantity (computation, section 10). A step may be left out at a price, and what lies before the
 * first and after the last step costs nothing, so that a ride to the start or a session cut short is found too.
 */
final class StepAlignment {
    private static final int HALF_WINDOW = 5;
    private static final int SIDE_SECONDS = 20;
    private static final int MOST_CANDIDATES = 260;
    private static final int MOST_STEPS = 120;
    private static final int REACH_SECONDS = 12;
    private static final double SHORTEST = 0.6;
    private static final double LONGEST = 1.6;
    /** A second at the wrong level by this share of its target costs one. */
    private static final double LEVEL_SHARE = 0.10;

    private static final double MOST_MISFIT = 6;
    private static final double LENGTH_WEIGHT = 8;
    /** A step that was left out costs as much as doing all of it wrongly by 15 %. */
    private static final double SKIP_COST = 2.2;

    private static final double LEAST_FOUND = 0.5;
    private static final int SHORTEST_RECORDING = 60;
    /** What a step without a length is taken for when it is left out, and how long it can be. */
    private static final double OPEN_SECONDS = 60;

    private static final double LONGEST_OPEN_SECONDS = 3600;
    private static final double UNKNOWN_MISFIT = 0.4;
    private final List<PlannedStep> plan;
    private final Basis basis;
    private final Levels levels;
    private final int[] points;

    private StepAlignment(List<PlannedStep> plan, Basis basis, Levels levels, int[] points) {
        this.plan = plan;
        this.basis = basis;
        this.levels = levels;
        this.points = points;
    }

    /**
     * Empty when fewer than half of the steps are found, a step's length or target is not known, or there is no
     * quantity to look at.
     */
    static Optional<List<Matched>> of(List<PlannedStep> plan, Recording recording) {
        Basis basis = mostUsed(plan);
        Series values = StepMatching.channelOf(basis, recording)
                .flatMap(recording::channel)
                .orElse(null);
        if (values == null || basis == null || plan.size() > MOST_STEPS || values.size() < SHORTEST_RECORDING)
            return Optional.empty();
        Levels levels = new Levels(values);
        List<Matched> found = new StepAlignment(plan, basis, levels, candidates(levels)).best();
        return found.size() < LEAST_FOUND * plan.size() ? Optional.empty() : Optional.of(found);
    }

    /** Steps of another quantity, and steps without a target, are known by their length and their neighbours alone. */
    private static Basis mostUsed(List<PlannedStep> plan) {
        return plan.stream()
                .map(PlannedStep::basis)
                .filter(b -> b != null)
                .collect(Collectors.groupingBy(b -> b, Collectors.counting()))
                .entrySet()
                .stream()
                .max(Comparator.comparingLong(Map.Entry::getValue))
                .map(Map.Entry::getKey)
                .orElse(null);
    }

    private double target(PlannedStep step) {
        return step.basis() == basis ? step.targetAt(0.5) : Double.NaN;
    }

    /** Both ends, and the seconds at which the smoothed level changes most, none closer than 5 s to a greater one. */
    private static int[] candidates(Levels levels) {
        int size = levels.size();
        double[] change = new double[size];
        for (int i = HALF_WINDOW; i < size - HALF_WINDOW; i++) {
            double before = levels.mean(Math.max(0, i - SIDE_SECONDS), i);
            double after = levels.mean(i, Math.min(size, i + SIDE_SECONDS));
            change[i] = Double.isNaN(before) || Double.isNaN(after) ? 0 : Math.abs(after - before);
        }
        List<Integer> order = new ArrayList<>();
        for (int i = HALF_WINDOW; i < size - HALF_WINDOW; i++) if (isPeak(change, i)) order.add(i);
        order.sort((a, b) -> Double.compare(change[b], change[a]));
        TreeSet<Integer> chosen = new TreeSet<>(List.of(0, size));
        for (int i : order.subList(0, Math.min(order.size(), MOST_CANDIDATES))) chosen.add(i);
        return chosen.stream().mapToInt(Integer::intValue).toArray();
    }

    private static boolean isPeak(double[] change, int i) {
        if (change[i] == 0) return false;
        for (int j = Math.max(0, i - HALF_WINDOW); j <= Math.min(change.length - 1, i + HALF_WINDOW); j++)
            if (change[j] > change[i] || change[j] == change[i] && j < i) return false;
        return true;
    }

    /** The cheapest way through: after step s the recording stands at point p. */
    private List<Matched> best() {
        int steps = plan.size();
        double[][] cost = new double[steps + 1][points.length];
        int[][] from = new int[steps + 1][points.length];
        for (int s = 1; s <= steps; s++) {
            double skip = SKIP_COST
                    * (isOpen(plan.get(s - 1)) ? OPEN_SECONDS : plan.get(s - 1).seconds());
            for (int p = 0; p < points.length; p++) {
                cost[s][p] = cost[s - 1][p] + skip;
                from[s][p] = -1;
            }
            for (int p = 1; p < points.length; p++) done(s, p, cost, from);
        }
        int end = 0;
        for (int p = 1; p < points.length; p++) if (cost[steps][p] < cost[steps][end]) end = p;
        return refined(path(from, end));
    }

    private void done(int s, int p, double[][] cost, int[][] from) {
        PlannedStep step = plan.get(s - 1);
        for (int q = p - 1; q >= 0; q--) {
            int seconds = points[p] - points[q];
            if (seconds > (isOpen(step) ? LONGEST_OPEN_SECONDS : LONGEST * step.seconds())) break;
            if (!isOpen(step) && seconds < SHORTEST * step.seconds()) continue;
            double whole = cost[s - 1][q] + misfit(step, points[q], points[p]);
            if (whole < cost[s][p]) {
                cost[s][p] = whole;
                from[s][p] = q;
            }
        }
    }

    /**
     * Seconds times how far their level is from the target in widths of 10 %, squared and bounded, and what a wrong
     * length adds.
     */
    private double misfit(PlannedStep step, int from, int to) {
        int count = levels.present(from, to);
        if (count == 0) return SKIP_COST * (to - from);
        double log = isOpen(step) ? 0 : Math.log((to - from) / step.seconds());
        double length = isOpen(step) ? 0 : LENGTH_WEIGHT * step.seconds() * log * log;
        double target = target(step);
        if (!(target > 0)) return (to - from) * UNKNOWN_MISFIT + length;
        double off = (levels.mean(from, to) - target) / (LEVEL_SHARE * target);
        double spread =
                step.isRamp() ? 0 : Math.min(1, levels.rest(from, to) / count / Math.pow(2 * LEVEL_SHARE * target, 2));
        return (to - from) * (Math.min(MOST_MISFIT, off * off) / 2 + spread / 2) + length;
    }

    private static boolean isOpen(PlannedStep step) {
        return !(step.seconds() >= 1);
    }

    private List<Matched> path(int[][] from, int end) {
        List<Matched> found = new ArrayList<>();
        int p = end;
        for (int s = plan.size(); s >= 1; s--) {
            if (from[s][p] < 0) continue;
            found.add(0, new Matched(plan.get(s - 1), points[from[s][p]], points[p]));
            p = from[s][p];
        }
        return found;
    }

    /** Each boundary moves to the second that parts its surroundings best. */
    private List<Matched> refined(List<Matched> rough) {
        List<Matched> found = new ArrayList<>();
        int begin = rough.isEmpty() ? 0 : rough.get(0).from();
        for (int i = 0; i < rough.size(); i++) {
            Matched m = rough.get(i);
            boolean touches = i + 1 < rough.size() && rough.get(i + 1).from() == m.to();
            int end = touches ? boundary(begin, m.to(), rough.get(i + 1).to()) : m.to();
            found.add(new Matched(m.step(), begin, end));
            begin = touches ? end : i + 1 < rough.size() ? rough.get(i + 1).from() : end;
        }
        return found;
    }

    private int boundary(int begin, int at, int end) {
        int half = Math.min(REACH_SECONDS, Math.min(at - begin, end - at));
        return half < Levels.LEAST_SIDE_SECONDS + 1 ? at : levels.parting(at - half, at + half, at);
    }
}
