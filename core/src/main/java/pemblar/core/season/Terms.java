package pemblar.core.season;

import java.util.Arrays;

/** A linear expression of the variables of a {@link Programme}. */
final class Terms {
    private double[] byVariable = new double[0];
    private double constant;

    Terms plus(int variable, double coefficient) {
        reach(variable + 1);
        byVariable[variable] += coefficient;
        return this;
    }

    Terms plus(double value) {
        constant += value;
        return this;
    }

    Terms plus(Terms other, double times) {
        reach(other.byVariable.length);
        for (int i = 0; i < other.byVariable.length; i++) byVariable[i] += other.byVariable[i] * times;
        return plus(other.constant * times);
    }

    private void reach(int length) {
        if (byVariable.length < length) byVariable = Arrays.copyOf(byVariable, length);
    }

    boolean isConstant() {
        return count() == 0;
    }

    private int count() {
        int count = 0;
        for (double coefficient : byVariable) if (coefficient != 0) count++;
        return count;
    }

    double constant() {
        return constant;
    }

    /** Those with a coefficient, rising. */
    int[] variables() {
        int[] variables = new int[count()];
        for (int i = 0, at = 0; i < byVariable.length; i++) if (byVariable[i] != 0) variables[at++] = i;
        return variables;
    }

    /** In the order of {@link #variables}. */
    double[] coefficients() {
        double[] coefficients = new double[count()];
        int at = 0;
        for (double coefficient : byVariable) if (coefficient != 0) coefficients[at++] = coefficient;
        return coefficients;
    }

    double at(double[] values) {
        double sum = constant;
        for (int i = 0; i < byVariable.length; i++) if (byVariable[i] != 0) sum += values[i] * byVariable[i];
        return sum;
    }

    @Override
    public String toString() {
        return Arrays.toString(variables()) + Arrays.toString(coefficients()) + constant;
    }
}
