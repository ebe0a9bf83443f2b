package pemblar.core.prediction;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleBinaryOperator;
import pemblar.core.sport.Measure;
import pemblar.core.threshold.Endurance;

/**
 * A predicted result (computation, section 16): level(t) = threshold (T / t)^k, with T = 60 min for speed and 55 min
 * for power. The range takes the extremes over the ranges of threshold and k.
 *
 * @param value seconds for a distance, or watts for a duration
 * @param leansOn the result of the last 90 days nearest in ratio of time
 * @param outside beyond twice the longest or under half the shortest result of the last 90 days, or without any
 * @see "Riegel, Athletic Records and Human Endurance, American Scientist 69 (1981)"
 */
public record Prediction(double value, double low, double high, Optional<Result> leansOn, boolean outside) {
    public static final double USUAL_REACH = 0.01;
    public static final double RIDE_EXPONENT = 0.07;
    private static final double SPEED_SECONDS = 3600;
    private static final int RECENT_DAYS = 90;
    private static final int SHORTEST_SECONDS = 1200;
    private static final int LONGEST_SECONDS = 14_400;
    private static final double NEAR = 0.05;
    private static final int FEWEST = 3;
    private static final double SPREAD = 3;

    /** What predictions rest on. {@code k} stays below 1. */
    public record Basis(LocalDate today, Range threshold, Range k, List<Result> results) {
        public Basis {
            results = List.copyOf(results);
            if (!(k.low() > -0.5 && k.high() < 0.5))
                throw new IllegalArgumentException("k must be in -0.5..0.5, was " + k.low() + ".." + k.high());
        }
    }

    /** Of a threshold whose own error nobody states: what a test misses, and a day's form. */
    public static final double USUAL_WIDTH = 0.03;

    /** What is usual about a threshold and an exponent whose errors are not known. */
    public static Basis usual(LocalDate today, double threshold, Endurance endurance, List<Result> results) {
        return new Basis(
                today,
                Range.about(threshold, USUAL_WIDTH * threshold),
                Range.about(endurance.k(), USUAL_REACH),
                results);
    }

    /**
     * Those of best efforts that can carry a prediction: within 5 % of what threshold and exponent give for their time.
     * The best three hours of somebody who never rode three hours hard are no result.
     *
     * @param threshold W, or m/s for efforts by speed
     */
    public static List<Result> carrying(List<Result> bests, double threshold, double k, Measure measure) {
        return bests.stream()
                .filter(r -> r.level() >= (1 - NEAR) * Endurance.held(measure, threshold, k, r.seconds()))
                .toList();
    }

    /** Whether a result lies within the range. */
    public boolean holds(double result) {
        return result >= low && result <= high;
    }

    /**
     * The exponent by regression of ln(level) on ln(t) over results of 20 min to 4 h, when three of them span a factor
     * of 3.
     */
    public static OptionalDouble exponent(List<Result> results) {
        List<Result> used = results.stream()
                .filter(r -> r.seconds() >= SHORTEST_SECONDS && r.seconds() <= LONGEST_SECONDS)
                .toList();
        double longest = used.stream().mapToDouble(Result::seconds).max().orElse(0);
        double shortest = used.stream().mapToDouble(Result::seconds).min().orElse(1);
        if (used.size() < FEWEST || longest < SPREAD * shortest) return OptionalDouble.empty();
        double meanX =
                used.stream().mapToDouble(r -> Math.log(r.seconds())).average().orElse(0);
        double meanY =
                used.stream().mapToDouble(r -> Math.log(r.level())).average().orElse(0);
        double squares = 0;
        double products = 0;
        for (Result r : used) {
            squares += Math.pow(Math.log(r.seconds()) - meanX, 2);
            products += (Math.log(r.seconds()) - meanX) * (Math.log(r.level()) - meanY);
        }
        return OptionalDouble.of(-products / squares);
    }

    /** Time, s, over a distance by running. */
    public static Prediction overMetres(Basis basis, double metres) {
        if (!(metres > 0 && metres <= 1e6))
            throw new IllegalArgumentException("metres must be in (0, 1000000], was " + metres);
        return of(
                basis,
                List.of((speed, k) -> Math.pow(metres / (speed * Math.pow(SPEED_SECONDS, k)), 1 / (1 - k))),
                OptionalDouble.empty());
    }

    /** Power, W, over a duration by riding. */
    public static Prediction overSeconds(Basis basis, double seconds) {
        if (!(seconds >= SHORTEST_SECONDS && seconds <= 864_000))
            throw new IllegalArgumentException("seconds must be in 1200..864000, was " + seconds);
        return of(basis, List.of((watts, k) -> held(watts, k, seconds)), OptionalDouble.of(seconds));
    }

    /** Time, s, over a course by riding. */
    public static Prediction overCourse(Basis basis, RideCourse course) {
        return of(
                basis,
                List.of(
                        (watts, k) -> course.seconds(0, t -> held(watts, k, t)),
                        (watts, k) -> course.seconds(-RideCourse.DEVIATIONS, t -> held(watts, k, t)),
                        (watts, k) -> course.seconds(RideCourse.DEVIATIONS, t -> held(watts, k, t))),
                OptionalDouble.empty());
    }

    private static double held(double watts, double k, double seconds) {
        return Endurance.held(Measure.POWER, watts, k, seconds);
    }

    /** @param rules the likely one first; the others widen the range */
    private static Prediction of(Basis basis, List<DoubleBinaryOperator> rules, OptionalDouble duration) {
        double value =
                rules.get(0).applyAsDouble(basis.threshold().value(), basis.k().value());
        double low = value;
        double high = value;
        for (DoubleBinaryOperator rule : rules)
            for (double level :
                    new double[] {basis.threshold().low(), basis.threshold().high()})
                for (double k : new double[] {basis.k().low(), basis.k().high()}) {
                    double corner = rule.applyAsDouble(level, k);
                    low = Math.min(low, corner);
                    high = Math.max(high, corner);
                }
        double seconds = duration.orElse(value);
        List<Result> recent =
                basis.results().stream().filter(r -> isRecent(r, basis.today())).toList();
        Optional<Result> nearest =
                recent.stream().min(Comparator.comparingDouble(r -> Math.abs(Math.log(r.seconds() / seconds))));
        return new Prediction(value, low, high, nearest, isOutside(recent, seconds));
    }

    private static boolean isRecent(Result result, LocalDate today) {
        long age = ChronoUnit.DAYS.between(result.day(), today);
        return age >= 0 && age <= RECENT_DAYS;
    }

    private static boolean isOutside(List<Result> recent, double seconds) {
        double longest = recent.stream().mapToDouble(Result::seconds).max().orElse(0);
        double shortest = recent.stream().mapToDouble(Result::seconds).min().orElse(Double.POSITIVE_INFINITY);
        return seconds > 2 * longest || seconds < shortest / 2;
    }
}
