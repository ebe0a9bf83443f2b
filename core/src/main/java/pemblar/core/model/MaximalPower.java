package pemblar.core.model;

import java.util.List;
import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresProblem;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * The model of three parameters, t = W′/(P − CP) + W′/(CP − Pmax), on efforts of 1 s to 20 min. It is solved for the
 * power, P(t) = CP + W′ / (t + W′/(Pmax − CP)), and fitted by Levenberg-Marquardt to relative errors, so that sprints
 * and long efforts count alike. Errors are one standard error, from a scatter of at least 1 %.
 *
 * @see "Morton, A 3-parameter critical power model, Ergonomics 39 (1996)"
 */
public final class MaximalPower {
    public static final int LONGEST_SECONDS = 1200;
    private static final int FEWEST = 5;
    private static final int MOST_EVALUATIONS = 400;
    private static final double LEAST_SCATTER = 0.01;
    private static final double SINGULAR = 1e-14;
    private final double criticalWatts;
    private final double reserveJoules;
    private final double maximalWatts;
    private final RealMatrix covariance;

    private MaximalPower(RealVector point, RealMatrix covariance) {
        this.criticalWatts = point.getEntry(0);
        this.reserveJoules = point.getEntry(1);
        this.maximalWatts = point.getEntry(2);
        this.covariance = covariance;
    }

    /**
     * @param start CP and W′ to start from, as of the model of two parameters
     * @return empty with fewer than five efforts, or when no sensible curve fits them
     */
    public static Optional<MaximalPower> fit(List<Effort> efforts, CriticalPower start) {
        if (efforts.size() < FEWEST) return Optional.empty();
        double highest = efforts.stream().mapToDouble(Effort::watts).max().orElseThrow();
        double[] target = efforts.stream().mapToDouble(Effort::watts).toArray();
        double[] weights = java.util.Arrays.stream(target)
                .map(watts -> 1 / (watts * watts))
                .toArray();
        LeastSquaresProblem problem = new LeastSquaresBuilder()
                .start(new double[] {start.watts(), start.reserveJoules(), highest * 1.05})
                .model(point -> values(efforts, point))
                .target(target)
                .weight(new DiagonalMatrix(weights))
                .maxEvaluations(MOST_EVALUATIONS)
                .maxIterations(MOST_EVALUATIONS)
                .build();
        try {
            Optimum optimum = new LevenbergMarquardtOptimizer().optimize(problem);
            RealVector point = optimum.getPoint();
            if (!(point.getEntry(0) > 0 && point.getEntry(1) > 0 && point.getEntry(2) > point.getEntry(0)))
                return Optional.empty();
            double scatter = Math.max(LEAST_SCATTER, optimum.getCost() / Math.sqrt(Math.max(1, efforts.size() - 3)));
            return Optional.of(
                    new MaximalPower(point, optimum.getCovariances(SINGULAR).scalarMultiply(scatter * scatter)));
        } catch (MathRuntimeException e) {
            return Optional.empty(); // the efforts do not determine the curve
        }
    }

    private static Pair<RealVector, RealMatrix> values(List<Effort> efforts, RealVector point) {
        double[] values = new double[efforts.size()];
        double[][] slopes = new double[efforts.size()][];
        for (int i = 0; i < values.length; i++) {
            double seconds = efforts.get(i).seconds();
            values[i] = at(seconds, point.getEntry(0), point.getEntry(1), point.getEntry(2));
            slopes[i] = slopes(seconds, point.getEntry(0), point.getEntry(1), point.getEntry(2));
        }
        return new Pair<>(new ArrayRealVector(values, false), new Array2DRowRealMatrix(slopes, false));
    }

    private static double at(double seconds, double critical, double reserve, double maximal) {
        return critical + reserve / (seconds + reserve / (maximal - critical));
    }

    /** Derivatives by CP, W′ and Pmax; tau is the time that W′ would last at Pmax. */
    private static double[] slopes(double seconds, double critical, double reserve, double maximal) {
        double tau = reserve / (maximal - critical);
        double square = (seconds + tau) * (seconds + tau);
        return new double[] {1 - tau * tau / square, seconds / square, tau * tau / square};
    }

    public double criticalWatts() {
        return criticalWatts;
    }

    public double reserveJoules() {
        return reserveJoules;
    }

    public double maximalWatts() {
        return maximalWatts;
    }

    public double criticalError() {
        return Math.sqrt(covariance.getEntry(0, 0));
    }

    public double reserveError() {
        return Math.sqrt(covariance.getEntry(1, 1));
    }

    public double maximalError() {
        return Math.sqrt(covariance.getEntry(2, 2));
    }

    /** Power, W, that the model allows for a duration. */
    public double at(double seconds) {
        return at(seconds, criticalWatts, reserveJoules, maximalWatts);
    }

    /** Standard error, W, of {@link #at}, from the errors of all three parameters and how they hang together. */
    public double errorAt(double seconds) {
        RealVector slope = new ArrayRealVector(slopes(seconds, criticalWatts, reserveJoules, maximalWatts));
        return Math.sqrt(slope.dotProduct(covariance.operate(slope)));
    }
}
