package pemblar.core.comparison;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Two groups of repetitions at an equal value of another quantity (computation, section 10). Repetitions of one session
 * share that day, so sessions are what is counted: each session's mean residual after a common slope fitted within
 * sessions, then Welch's t between the groups' sessions; groups that meet in each of several sessions are compared
 * within them.
 *
 * @param difference second group less first, in the unit of what is compared; NaN when a group has nothing
 * @param slope change of what is compared for one unit of the covariate; 0 when the repetitions do not tell
 * @param footing whether the groups could be brought to an equal value of the covariate at all
 * @param test empty when sessions are too few for a probability
 * @param cutTo seconds to which all repetitions were cut; empty when they are whole
 * @see "Welch, The generalization of Student's problem when several different population variances are involved,
 *     Biometrika 34 (1947)"
 */
public record SessionComparison(
        double difference,
        double slope,
        Footing footing,
        Test test,
        OptionalInt cutTo,
        Design design,
        int firstSessions,
        int secondSessions) {
    private static final double SAME_LENGTH = 1.1;
    private static final double SURE = 0.05;

    /** Of the difference: Student's t with its probability and 95 % interval. */
    public record Test(double p, double freedom, double low, double high) {
        public boolean sure() {
            return p < SURE;
        }
    }

    /** How the groups lie over the sessions. */
    public enum Design {
        BETWEEN_SESSIONS,
        WITHIN_SESSIONS,
        ONE_SESSION_ALTERNATING,
        ONE_SESSION_IN_ORDER,
        TOO_FEW_SESSIONS
    }

    /**
     * One repetition, a sample a second; NaN is missing.
     *
     * @param second true for the second group
     * @param order place within its session
     */
    public record Repetition(boolean second, String session, int order, double[] along, double[] compared) {}

    /** Means of a repetition over its cut seconds. */
    private record Point(boolean second, String session, int order, double x, double y) {}

    /** @throws IllegalArgumentException when a group has no repetition with both quantities */
    public static SessionComparison of(List<Repetition> repetitions) {
        int shortest =
                repetitions.stream().mapToInt(r -> r.along().length).min().orElse(0);
        int longest = repetitions.stream().mapToInt(r -> r.along().length).max().orElse(0);
        boolean cut = longest > SAME_LENGTH * shortest;
        List<Point> points = new ArrayList<>();
        for (Repetition r : repetitions) {
            int seconds = cut ? shortest : r.along().length;
            Point point = new Point(
                    r.second(), r.session(), r.order(), mean(r.along(), seconds), mean(r.compared(), seconds));
            if (Double.isFinite(point.x()) && Double.isFinite(point.y())) points.add(point);
        }
        for (boolean second : new boolean[] {false, true})
            if (points.stream().noneMatch(p -> p.second() == second))
                throw new IllegalArgumentException(
                        "the " + (second ? "second" : "first") + " group has no repetition with both quantities");
        return compare(points, cut ? OptionalInt.of(shortest) : OptionalInt.empty());
    }

    private static double mean(double[] values, int seconds) {
        return Arrays.stream(values)
                .limit(seconds)
                .filter(v -> !Double.isNaN(v))
                .average()
                .orElse(Double.NaN);
    }

    private static SessionComparison compare(List<Point> points, OptionalInt cutTo) {
        OptionalDouble within = slope(points);
        Fit fit = new Fit(
                within.orElse(0), Footing.of(along(points, false), along(points, true), within.isPresent()), cutTo);
        Set<String> first = sessions(points, false);
        Set<String> second = sessions(points, true);
        Set<String> shared = new LinkedHashSet<>(first);
        shared.retainAll(second);
        if (shared.size() == 1 && first.size() == 1 && second.size() == 1) return oneSession(points, fit);
        if (shared.size() >= 2) return within(points, shared, fit);
        return between(points, fit, first.size(), second.size());
    }

    /** The common slope and what it stands on. */
    private record Fit(double slope, Footing footing, OptionalInt cutTo) {}

    private static double[] along(List<Point> points, boolean second) {
        return points.stream()
                .filter(p -> p.second() == second)
                .mapToDouble(Point::x)
                .toArray();
    }

    private static Set<String> sessions(List<Point> points, boolean second) {
        Set<String> sessions = new LinkedHashSet<>();
        for (Point p : points) if (p.second() == second) sessions.add(p.session());
        return sessions;
    }

    /** Within sessions, and within a group where a session holds both; empty when nothing varies there. */
    private static OptionalDouble slope(List<Point> points) {
        Map<String, List<Point>> cells = new LinkedHashMap<>();
        for (Point p : points)
            cells.computeIfAbsent(p.second() + " " + p.session(), k -> new ArrayList<>())
                    .add(p);
        double squares = 0;
        double products = 0;
        for (List<Point> cell : cells.values()) {
            double meanX = cell.stream().mapToDouble(Point::x).average().orElse(0);
            double meanY = cell.stream().mapToDouble(Point::y).average().orElse(0);
            for (Point p : cell) {
                squares += (p.x() - meanX) * (p.x() - meanX);
                products += (p.x() - meanX) * (p.y() - meanY);
            }
        }
        double size = points.stream().mapToDouble(p -> p.x() * p.x()).sum();
        return squares > 1e-12 * size ? OptionalDouble.of(products / squares) : OptionalDouble.empty();
    }

    private static double[] residuals(List<Point> points, boolean second, Set<String> of, double slope) {
        return of.stream()
                .mapToDouble(session -> points.stream()
                        .filter(p -> p.second() == second && p.session().equals(session))
                        .mapToDouble(p -> p.y() - slope * p.x())
                        .average()
                        .orElse(Double.NaN))
                .toArray();
    }

    private static SessionComparison between(List<Point> points, Fit fit, int firstCount, int secondCount) {
        double[] first = residuals(points, false, sessions(points, false), fit.slope());
        double[] second = residuals(points, true, sessions(points, true), fit.slope());
        double difference = average(second) - average(first);
        if (firstCount < 2 || secondCount < 2)
            return new SessionComparison(
                    difference,
                    fit.slope(),
                    fit.footing(),
                    null,
                    fit.cutTo(),
                    Design.TOO_FEW_SESSIONS,
                    firstCount,
                    secondCount);
        double a = variance(first) / first.length;
        double b = variance(second) / second.length;
        double freedom = a + b > 0
                ? (a + b) * (a + b) / (a * a / (first.length - 1) + b * b / (second.length - 1))
                : first.length + second.length - 2;
        return new SessionComparison(
                difference,
                fit.slope(),
                fit.footing(),
                test(difference, Math.sqrt(a + b), freedom),
                fit.cutTo(),
                Design.BETWEEN_SESSIONS,
                firstCount,
                secondCount);
    }

    private static SessionComparison within(List<Point> points, Set<String> shared, Fit fit) {
        double[] first = residuals(points, false, shared, fit.slope());
        double[] second = residuals(points, true, shared, fit.slope());
        double[] differences = new double[first.length];
        for (int i = 0; i < differences.length; i++) differences[i] = second[i] - first[i];
        double error = Math.sqrt(variance(differences) / differences.length);
        return new SessionComparison(
                average(differences),
                fit.slope(),
                fit.footing(),
                test(average(differences), error, differences.length - 1.0),
                fit.cutTo(),
                Design.WITHIN_SESSIONS,
                shared.size(),
                shared.size());
    }

    /** Alternating repetitions have their order as a second covariate; others cannot tell order and group apart. */
    private static SessionComparison oneSession(List<Point> all, Fit common) {
        List<Point> points = all.stream()
                .sorted(java.util.Comparator.comparingInt(Point::order))
                .toList();
        boolean alternates = points.size() >= 4;
        for (int i = 1; i < points.size(); i++)
            alternates &= points.get(i).second() != points.get(i - 1).second();
        OrderedFit fit = OrderedFit.of(
                points.stream()
                        .map(p -> new double[] {p.second() ? 1 : 0, p.x(), p.order(), p.y()})
                        .toList(),
                alternates);
        return new SessionComparison(
                fit.difference(),
                fit.slope(),
                common.footing(),
                null,
                common.cutTo(),
                alternates ? Design.ONE_SESSION_ALTERNATING : Design.ONE_SESSION_IN_ORDER,
                1,
                1);
    }

    private static Test test(double difference, double error, double freedom) {
        if (!(error > 0)) return new Test(difference == 0 ? 1 : 0, freedom, difference, difference);
        double reach = Student.reach95(freedom) * error;
        return new Test(Student.twoSided(difference / error, freedom), freedom, difference - reach, difference + reach);
    }

    private static double average(double[] values) {
        return Arrays.stream(values).average().orElse(Double.NaN);
    }

    private static double variance(double[] values) {
        double mean = average(values);
        return Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum() / (values.length - 1);
    }

    /** The same of repetitions that were cut before. */
    public SessionComparison cutTo(int seconds) {
        return new SessionComparison(
                difference, slope, footing, test, OptionalInt.of(seconds), design, firstSessions, secondSessions);
    }

    public boolean sure() {
        return test != null && test.sure();
    }

    public OptionalDouble probability() {
        return test == null ? OptionalDouble.empty() : OptionalDouble.of(test.p());
    }
}
