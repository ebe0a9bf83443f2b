package pemblar.core.aerobic;

import java.util.Arrays;

/**
 * y = f(day) + fixed effects + e, f piecewise linear with penalised second differences, as a mixed model: the
 * differences are normal with one variance, e with another over the weight. Both by restricted maximum likelihood;
 * Huber weights against bad files.
 *
 * @see "Ruppert, Wand and Carroll, Semiparametric Regression (2003), chapters 4 and 6; Wood, Fast stable restricted
 *     maximum likelihood and marginal likelihood estimation of semiparametric generalized linear models, J R Stat Soc B
 *     73 (2011); Huber, Robust estimation of a location parameter, Ann Math Stat 35 (1964)"
 */
final class PenalisedFit {
    private static final double KNOT_DAYS = 14;
    private static final double HUBER = 1.345;
    /** The share of its variance that a normal error keeps under Huber weights. */
    private static final double HUBER_KEPT = 0.8214;

    private static final double MAD_TO_SD = 1.4826;
    private static final int ROUNDS = 12;
    private static final double LEAST_LOG = -12;
    private static final double MOST_LOG = 16;
    private static final int GRID = 57;
    /** 95 % of one parameter, in twice the log of a likelihood. */
    private static final double POSSIBLE = 3.84;

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    /** Keeps an effect that nothing tells from being anything. */
    private static final double RIDGE = 1e-9;

    private final int knots;
    private final double[] values;
    private final double[][] design;
    private final double[][] penalty;
    private final int unpenalised;
    private double[] weights;
    private double[] theta;
    private double[][] covariance;

    private PenalisedFit(double[] days, double[][] fixed, double[] values, double[] weights) {
        this.values = values;
        this.weights = weights;
        this.knots = (int) Math.ceil(Math.max(KNOT_DAYS, days[days.length - 1]) / KNOT_DAYS) + 1;
        int effects = fixed[0].length;
        this.design = new double[days.length][];
        for (int i = 0; i < days.length; i++) {
            design[i] = Arrays.copyOf(line(days[i]), knots + effects);
            System.arraycopy(fixed[i], 0, design[i], knots, effects);
        }
        this.penalty = penalty(knots, effects);
        this.unpenalised = 2 + effects;
    }

    /**
     * @param days days from the first, rising; @param fixed a row of effects for each; at least one observation more
     *     than effects and two
     */
    static PenalisedFit of(double[] days, double[][] fixed, double[] values, double[] weights) {
        PenalisedFit fit = new PenalisedFit(days, fixed, values, weights);
        double[] given = weights;
        fit.solve(false);
        for (int round = 0; round < ROUNDS; round++) {
            fit.weights = fit.robust(given);
            fit.solve(round == ROUNDS - 1);
        }
        return fit;
    }

    private static double[][] penalty(int knots, int effects) {
        double[][] penalty = new double[knots + effects][knots + effects];
        double[] second = {1, -2, 1};
        for (int k = 0; k + 2 < knots; k++)
            for (int i = 0; i < 3; i++) for (int j = 0; j < 3; j++) penalty[k + i][k + j] += second[i] * second[j];
        return penalty;
    }

    /** Weights of the knots for a day. */
    private double[] line(double day) {
        double[] row = new double[knots];
        double at = Math.max(0, Math.min(knots - 1.0, day / KNOT_DAYS));
        int left = Math.min(knots - 2, (int) at);
        row[left] = 1 - (at - left);
        row[left + 1] = at - left;
        return row;
    }

    private double[] robust(double[] given) {
        double[] scaled = new double[values.length];
        for (int i = 0; i < scaled.length; i++) scaled[i] = Math.abs(residual(i)) * Math.sqrt(given[i]);
        double[] sorted = scaled.clone();
        Arrays.sort(sorted);
        int n = sorted.length;
        double scale =
                Math.max(1e-12, MAD_TO_SD * (n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2));
        double[] robust = new double[n];
        for (int i = 0; i < n; i++) robust[i] = given[i] * Math.min(1, HUBER * scale / Math.max(scaled[i], 1e-300));
        return robust;
    }

    private double residual(int i) {
        double fitted = 0;
        for (int j = 0; j < design[i].length; j++) fitted += design[i][j] * theta[j];
        return values[i] - fitted;
    }

    /**
     * The smoothing that restricted likelihood likes best, by a grid and then golden section; then coefficients and
     * their covariance.
     */
    private void solve(boolean robust) {
        Normal normal = new Normal();
        int best = 0;
        double least = Double.POSITIVE_INFINITY;
        double step = (MOST_LOG - LEAST_LOG) / (GRID - 1);
        for (int i = 0; i < GRID; i++) {
            double criterion = normal.criterion(LEAST_LOG + i * step);
            if (criterion < least) {
                least = criterion;
                best = i;
            }
        }
        double low = LEAST_LOG + (best - 1) * step;
        double high = LEAST_LOG + (best + 1) * step;
        double left = high - GOLDEN * (high - low);
        double right = low + GOLDEN * (high - low);
        double ofLeft = normal.criterion(left);
        double ofRight = normal.criterion(right);
        for (int i = 0; i < 30; i++) {
            if (ofLeft < ofRight) {
                high = right;
                right = left;
                ofRight = ofLeft;
                left = high - GOLDEN * (high - low);
                ofLeft = normal.criterion(left);
            } else {
                low = left;
                left = right;
                ofLeft = ofRight;
                right = low + GOLDEN * (high - low);
                ofRight = normal.criterion(right);
            }
        }
        normal.criterion((low + high) / 2);
        theta = normal.theta;
        double variance = normal.residual / freedom() / (robust ? HUBER_KEPT : 1);
        covariance = normal.factor.inverse();
        for (double[] row : covariance) for (int j = 0; j < row.length; j++) row[j] *= variance;
    }

    /**
     * Whether an effect is so many of its errors from nothing with every smoothing that the data leave possible: within
     * {@link #POSSIBLE} of the best restricted likelihood. With few sessions the best is often a straight line, and
     * what fitness did then passes for the effect.
     */
    boolean isApart(int index, double reach) {
        Normal normal = new Normal();
        double step = (MOST_LOG - LEAST_LOG) / (GRID - 1);
        double[] criteria = new double[GRID];
        for (int i = 0; i < GRID; i++) criteria[i] = normal.criterion(LEAST_LOG + i * step);
        double most = Arrays.stream(criteria).min().orElse(0) + POSSIBLE;
        for (int i = 0; i < GRID; i++) {
            if (criteria[i] > most) continue;
            normal.criterion(LEAST_LOG + i * step);
            double variance = normal.residual / freedom() / HUBER_KEPT;
            double error = Math.sqrt(variance * normal.factor.column(knots + index)[knots + index]);
            if (Math.abs(normal.theta[knots + index]) <= reach * error) return false;
        }
        return true;
    }

    /** Observations less unpenalised parameters. */
    double freedom() {
        return Math.max(1, values.length - unpenalised);
    }

    double at(double day) {
        double[] row = line(day);
        double sum = 0;
        for (int k = 0; k < knots; k++) sum += row[k] * theta[k];
        return sum;
    }

    double errorAt(double day) {
        double[] row = line(day);
        double sum = 0;
        for (int i = 0; i < knots; i++)
            if (row[i] != 0) for (int j = 0; j < knots; j++) sum += row[i] * row[j] * covariance[i][j];
        return Math.sqrt(sum);
    }

    double effect(int index) {
        return theta[knots + index];
    }

    double effectError(int index) {
        return Math.sqrt(covariance[knots + index][knots + index]);
    }

    /** The weighted normal equations; {@link #criterion} solves them with one amount of smoothing. */
    private final class Normal {
        private final double[][] squares;
        private final double[] products;
        private final Envelope factor;
        private double total;
        private double[] theta;
        private double residual;

        Normal() {
            int p = design[0].length;
            squares = new double[p][];
            products = new double[p];
            for (int j = 0; j < p; j++) squares[j] = new double[j + 1];
            for (int i = 0; i < values.length; i++) {
                total += weights[i] * values[i] * values[i];
                for (int j = 0; j < p; j++) {
                    if (design[i][j] == 0) continue;
                    products[j] += weights[i] * design[i][j] * values[i];
                    for (int k = 0; k <= j; k++) squares[j][k] += weights[i] * design[i][j] * design[i][k];
                }
            }
            for (int j = knots; j < p; j++) squares[j][j] += RIDGE;
            int[] first = new int[p];
            for (int j = 0; j < knots; j++) first[j] = Math.max(0, j - 2); // a knot bends with two on each side
            factor = new Envelope(first);
        }

        /** -2 log restricted likelihood without constants. */
        double criterion(double logLambda) {
            double lambda = Math.exp(logLambda);
            factor.factor((i, j) -> squares[i][j] + lambda * penalty[i][j]);
            theta = factor.solve(products);
            residual = total;
            for (int j = 0; j < theta.length; j++) residual -= theta[j] * products[j];
            residual = Math.max(1e-30, residual);
            return freedom() * Math.log(residual) + factor.logDeterminant() - (knots - 2) * logLambda;
        }
    }
}
