package pemblar.core.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.BestCurve.Point;

/**
 * Both models fitted to a curve of best efforts. Only what lies on the envelope counts: an effort enters if it is
 * within 5 % of the model, which begins as the tightest line above all points and is fitted anew until the set no
 * longer changes. Neighbouring points of one session are one effort: from a session a second one enters only at half or
 * double the duration.
 *
 * @param critical empty when no line can be drawn; ask {@link CriticalPower#isEnough} before relying on it
 * @param maximal empty when the efforts do not determine three parameters
 */
public record PowerDuration(Optional<CriticalPower> critical, Optional<MaximalPower> maximal) {
    /** Distance from the model within which a best effort lies on its envelope. */
    public static final double ENVELOPE = 0.05;

    private static final double OTHER_EFFORT = 2;
    private static final double OTHER_POWER = 1.05;
    private static final int MOST_ROUNDS = 30;
    /** Durations, s, that a pair or triple of tests usually takes. */
    private static final int[] USUAL_TESTS = {180, 720, 1200, 360};

    private static final double NEAR = 1.6;

    /** Of the durations to which the models reach, of a curve of best means in W. */
    public static PowerDuration of(BestCurve curve) {
        return of(curve.points(1, CriticalPower.LONGEST_SECONDS));
    }

    /** @param points best efforts, shortest first, in W; what is shorter or longer than the models reach is ignored */
    public static PowerDuration of(List<Point> points) {
        Optional<CriticalPower> critical = critical(points.stream()
                .filter(p ->
                        p.seconds() >= CriticalPower.SHORTEST_SECONDS && p.seconds() <= CriticalPower.LONGEST_SECONDS)
                .toList());
        List<Point> all = points.stream()
                .filter(p -> p.seconds() <= MaximalPower.LONGEST_SECONDS)
                .toList();
        return new PowerDuration(critical, critical.flatMap(start -> maximal(all, start)));
    }

    /**
     * Critical speed, m/s, and D′, m, of a curve of best mean speeds: the same line, distance = D′ + CS · t. The model
     * of three parameters is of power and is left out.
     *
     * @see "Hughson, Orok and Staudt, A high velocity treadmill running test to assess endurance running potential, Int
     *     J Sports Med 5 (1984)"
     */
    public static PowerDuration ofSpeed(BestCurve curve) {
        List<Point> points = curve.points(CriticalPower.SHORTEST_SECONDS, CriticalPower.LONGEST_SECONDS);
        return new PowerDuration(critical(points), Optional.empty());
    }

    private static Optional<CriticalPower> critical(List<Point> points) {
        Optional<CriticalPower> model = TightestLine.over(points);
        List<Effort> before = List.of();
        for (int round = 0; round < MOST_ROUNDS && model.isPresent(); round++) {
            List<Effort> chosen = onEnvelope(points, model.get()::at);
            if (chosen.equals(before)) break;
            before = chosen;
            model = CriticalPower.fit(chosen);
        }
        return model;
    }

    private static Optional<MaximalPower> maximal(List<Point> points, CriticalPower start) {
        double highest = points.stream().mapToDouble(Point::value).max().orElse(0);
        if (highest <= start.watts()) return Optional.empty();
        double tau = start.reserveJoules() / (highest - start.watts());
        List<Effort> before = onEnvelope(points, seconds -> start.watts() + start.reserveJoules() / (seconds + tau));
        Optional<MaximalPower> model = MaximalPower.fit(before, start);
        for (int round = 0; round < MOST_ROUNDS && model.isPresent(); round++) {
            List<Effort> chosen = onEnvelope(points, model.get()::at);
            if (chosen.equals(before)) break;
            before = chosen;
            model = MaximalPower.fit(chosen, start);
        }
        return model;
    }

    private static List<Effort> efforts(List<Point> points) {
        return points.stream().map(p -> new Effort(p.seconds(), p.value())).toList();
    }

    private static List<Effort> onEnvelope(List<Point> points, DoubleUnaryOperator model) {
        List<Point> best = points.stream()
                .filter(p -> p.value() >= (1 - ENVELOPE) * model.applyAsDouble(p.seconds()))
                .sorted(Comparator.comparingDouble((Point p) -> -p.value() / model.applyAsDouble(p.seconds())))
                .toList();
        List<Point> chosen = new ArrayList<>();
        for (Point point : best) if (chosen.stream().noneMatch(other -> isSame(point, other))) chosen.add(point);
        chosen.sort(Comparator.comparingInt(Point::seconds));
        return efforts(chosen);
    }

    private static boolean isSame(Point a, Point b) {
        if (a.source() != b.source()) return false;
        double longer = (double) Math.max(a.seconds(), b.seconds()) / Math.min(a.seconds(), b.seconds());
        double stronger = Math.max(a.value(), b.value()) / Math.min(a.value(), b.value());
        return longer < OTHER_EFFORT || stronger < OTHER_POWER;
    }

    /** Power, W, by the model that reaches the duration; empty without one. */
    public Optional<Double> at(double seconds) {
        if (maximal.isPresent()) return Optional.of(maximal.get().at(seconds));
        return seconds < CriticalPower.SHORTEST_SECONDS ? Optional.empty() : critical.map(model -> model.at(seconds));
    }

    /** The usual test durations, s, near which no effort counts yet. */
    public List<Integer> testsMissing() {
        List<Integer> missing = new ArrayList<>();
        for (int seconds : USUAL_TESTS) {
            boolean near = critical.stream()
                    .flatMap(c -> c.efforts().stream())
                    .anyMatch(e -> e.seconds() < NEAR * seconds && e.seconds() > seconds / NEAR);
            if (!near) missing.add(seconds);
        }
        return missing;
    }
}
