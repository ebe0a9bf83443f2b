package pemblar.core.comparison;

import org.hipparchus.distribution.continuous.TDistribution;

/** Student's t distribution with any positive degrees of freedom. */
public final class Student {
    private Student() {}

    /** The value that 97.5 % lie below: the half-width, in standard errors, of a 95 % interval. */
    public static double reach95(double freedom) {
        return reach95(freedom, 1);
    }

    /** The half-width of each of several intervals that together hold in 95 % (Bonferroni). */
    public static double reach95(double freedom, int intervals) {
        return new TDistribution(freedom).inverseCumulativeProbability(1 - 0.025 / intervals);
    }

    /** Probability of a t at least as far from zero, when there is no difference. */
    public static double twoSided(double t, double freedom) {
        return Math.min(1, 2 * new TDistribution(freedom).cumulativeProbability(-Math.abs(t)));
    }
}
