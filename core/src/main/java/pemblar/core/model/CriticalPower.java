package pemblar.core.model;

import java.util.List;
import java.util.Optional;

/**
 * The model of two parameters: work = W′ + CP · t, by least squares on all-out efforts of 2 to 20 min. Errors are one
 * standard error. The scatter about the line is taken as at least 1 % of the mean work of the efforts: no single effort
 * is known better than that, and three points that happen to lie on a line prove nothing finer.
 *
 * @see "Monod and Scherrer, The work capacity of a synergic muscular group, Ergonomics 8 (1965)"
 */
public record CriticalPower(
        double watts, double wattsError, double reserveJoules, double reserveError, List<Effort> efforts) {
    public static final int SHORTEST_SECONDS = 120;
    public static final int LONGEST_SECONDS = 1200;
    private static final int FEWEST = 3;
    /** Longest over shortest that three efforts need to be spread out. */
    private static final double SPREAD = 3;

    private static final double EFFORT_ERROR = 0.01;
    private static final double MOST_WATTS_ERROR = 0.05;
    private static final double MOST_RESERVE_ERROR = 0.20;
    private static final int[] TESTS = {120, 150, 180, 210, 240, 300, 360, 480, 600, 720, 900, 1200};

    public CriticalPower {
        efforts = List.copyOf(efforts);
    }

    /** Which estimate an effort helps. */
    public enum Parameter {
        CRITICAL_POWER,
        W_PRIME
    }

    /** A test effort that helps most: the standard error of the parameter now, and after it if it falls on the line. */
    public record Advice(int seconds, Parameter parameter, double errorNow, double errorAfter) {}

    /**
     * The line through the efforts.
     *
     * @return empty when there are fewer than two different durations, or the line gives no positive CP and W′
     */
    public static Optional<CriticalPower> fit(List<Effort> efforts) {
        int n = efforts.size();
        double meanSeconds =
                efforts.stream().mapToDouble(Effort::seconds).average().orElse(Double.NaN);
        double meanWork = efforts.stream().mapToDouble(Effort::joules).average().orElse(Double.NaN);
        double squares = 0;
        double products = 0;
        for (Effort e : efforts) {
            squares += (e.seconds() - meanSeconds) * (e.seconds() - meanSeconds);
            products += (e.seconds() - meanSeconds) * (e.joules() - meanWork);
        }
        if (!(squares > 0)) return Optional.empty();
        double watts = products / squares;
        double reserve = meanWork - watts * meanSeconds;
        if (!(watts > 0 && reserve > 0)) return Optional.empty();
        double residuals = 0;
        for (Effort e : efforts) residuals += Math.pow(e.joules() - reserve - watts * e.seconds(), 2);
        double scatter = Math.max(EFFORT_ERROR * meanWork, n > 2 ? Math.sqrt(residuals / (n - 2)) : 0);
        return Optional.of(new CriticalPower(
                watts,
                scatter / Math.sqrt(squares),
                reserve,
                scatter * Math.sqrt(1.0 / n + meanSeconds * meanSeconds / squares),
                efforts));
    }

    /** Covariance of CP and W', W J: a steeper line begins lower. */
    public double covariance() {
        return -efforts.stream().mapToDouble(Effort::seconds).average().orElse(0) * wattsError * wattsError;
    }

    /** Power, W, that the model allows for a duration. */
    public double at(double seconds) {
        return watts + reserveJoules / seconds;
    }

    /** True with at least three efforts that spread by a factor of 3, and errors of at most 5 % (CP) and 20 % (W′). */
    public boolean isEnough() {
        double shortest = efforts.stream().mapToDouble(Effort::seconds).min().orElse(1);
        double longest = efforts.stream().mapToDouble(Effort::seconds).max().orElse(1);
        return efforts.size() >= FEWEST
                && longest >= SPREAD * shortest
                && wattsError <= MOST_WATTS_ERROR * watts
                && reserveError <= MOST_RESERVE_ERROR * reserveJoules;
    }

    /** The effort of 2 to 20 min that lowers most the error which is the larger against what is allowed. */
    public Advice mostHelpful() {
        boolean reserveIsWorse =
                reserveError / (MOST_RESERVE_ERROR * reserveJoules) >= wattsError / (MOST_WATTS_ERROR * watts);
        Parameter parameter = reserveIsWorse ? Parameter.W_PRIME : Parameter.CRITICAL_POWER;
        Advice best = null;
        for (int seconds : TESTS) {
            double after = errorWith(seconds, parameter);
            if (best == null || after < best.errorAfter())
                best = new Advice(seconds, parameter, reserveIsWorse ? reserveError : wattsError, after);
        }
        return best;
    }

    /**
     * The error of a parameter with one more effort on the line and the same scatter: it depends on the durations
     * alone.
     */
    private double errorWith(double seconds, Parameter parameter) {
        double[] all = java.util.stream.DoubleStream.concat(
                        efforts.stream().mapToDouble(Effort::seconds), java.util.stream.DoubleStream.of(seconds))
                .toArray();
        double mean = java.util.Arrays.stream(all).average().orElseThrow();
        double squares =
                java.util.Arrays.stream(all).map(t -> (t - mean) * (t - mean)).sum();
        double scatter = wattsError * Math.sqrt(squaresNow());
        return parameter == Parameter.CRITICAL_POWER
                ? scatter / Math.sqrt(squares)
                : scatter * Math.sqrt(1.0 / all.length + mean * mean / squares);
    }

    private double squaresNow() {
        double mean = efforts.stream().mapToDouble(Effort::seconds).average().orElseThrow();
        return efforts.stream()
                .mapToDouble(e -> (e.seconds() - mean) * (e.seconds() - mean))
                .sum();
    }
}
