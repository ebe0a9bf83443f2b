package pemblar.core.aerobic;

import java.util.Arrays;

/**
 * The Cholesky factor of symmetric, positive definite matrices of one shape, each row of which is nothing left of its
 * first entry: neighbours along a line, and a few rows that touch all. One is factored after another in the same place,
 * as a search over many asks for.
 *
 * @see "George and Liu, Computer Solution of Large Sparse Positive Definite Systems (1981), chapter 4"
 */
final class Envelope {
    private final int[] first;
    private final double[][] lower;

    /** @param first column of the first entry of each row, at most the row itself */
    Envelope(int[] first) {
        this.first = first.clone();
        this.lower = new double[first.length][];
        for (int i = 0; i < first.length; i++) lower[i] = new double[i + 1 - first[i]];
    }

    /** One entry of a matrix, by row and column. */
    interface Entries {
        double at(int row, int column);
    }

    /**
     * Factors a matrix. @param entries of its lower half @throws ArithmeticException when it is not positive definite
     */
    void factor(Entries entries) {
        for (int i = 0; i < first.length; i++)
            for (int j = first[i]; j <= i; j++) {
                double sum = entries.at(i, j);
                for (int k = Math.max(first[i], first[j]); k < j; k++) sum -= entry(i, k) * entry(j, k);
                if (j < i) set(i, j, sum / entry(j, j));
                else if (sum > 0) set(i, i, Math.sqrt(sum));
                else throw new ArithmeticException("the matrix is not positive definite in row " + i);
            }
    }

    private double entry(int row, int column) {
        return lower[row][column - first[row]];
    }

    private void set(int row, int column, double value) {
        lower[row][column - first[row]] = value;
    }

    double logDeterminant() {
        double sum = 0;
        for (int i = 0; i < first.length; i++) sum += 2 * Math.log(entry(i, i));
        return sum;
    }

    /** @param right is not changed */
    double[] solve(double[] right) {
        double[] x = right.clone();
        for (int i = 0; i < x.length; i++) {
            for (int k = first[i]; k < i; k++) x[i] -= entry(i, k) * x[k];
            x[i] /= entry(i, i);
        }
        for (int i = x.length - 1; i >= 0; i--) {
            x[i] /= entry(i, i);
            for (int k = first[i]; k < i; k++) x[k] -= entry(i, k) * x[i];
        }
        return x;
    }

    /** The inverse, row by row. */
    double[][] inverse() {
        double[][] inverse = new double[first.length][];
        for (int i = 0; i < inverse.length; i++) inverse[i] = column(i);
        return inverse;
    }

    /** One column of the inverse. */
    double[] column(int index) {
        double[] unit = new double[first.length];
        Arrays.fill(unit, 0);
        unit[index] = 1;
        return solve(unit);
    }
}
