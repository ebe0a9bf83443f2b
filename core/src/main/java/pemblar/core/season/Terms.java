package pemblar.core.season;

import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;

/** A linear expression of the variables of a {@link Programme}. */
final class Terms {
    private final TreeMap<Integer, Double> byVariable = new TreeMap<>();
    private double constant;

    Terms plus(int variable, double coefficient) {
        if (coefficient != 0) byVariable.merge(variable, coefficient, Double::sum);
        return this;
    }

    Terms plus(double value) {
        constant += value;
        return this;
    }

    Terms plus(Terms other, double times) {
        other.byVariable.forEach((variable, coefficient) -> plus(variable, coefficient * times));
        return plus(other.constant * times);
    }

    boolean isConstant() {
        return byVariable.isEmpty();
    }

    double constant() {
        return constant;
    }

    int[] variables() {
        return byVariable.keySet().stream().mapToInt(Integer::intValue).toArray();
    }

    double[] coefficients() {
        return byVariable.values().stream().mapToDouble(Double::doubleValue).toArray();
    }

    double at(double[] values) {
        double sum = constant;
        for (Map.Entry<Integer, Double> term : byVariable.entrySet()) sum += values[term.getKey()] * term.getValue();
        return sum;
    }

    @Override
    public String toString() {
        return Arrays.toString(variables()) + Arrays.toString(coefficients()) + constant;
    }
}
