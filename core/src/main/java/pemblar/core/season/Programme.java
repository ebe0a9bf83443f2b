package pemblar.core.season;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * A linear programme: variables between bounds, rows between bounds, a sum to make least. Solved by a simplex that
 * proves what it answers, else by a library's.
 */
final class Programme {
    private final List<double[]> bounds = new ArrayList<>();
    private final List<Double> costs = new ArrayList<>();
    private final List<BoundedSimplex.Row> rows = new ArrayList<>();

    /** @return the number of the variable */
    int variable(double low, double high, double cost) {
        bounds.add(new double[] {low, high});
        costs.add(cost);
        return bounds.size() - 1;
    }

    int size() {
        return bounds.size();
    }

    void cost(int variable, double cost) {
        costs.set(variable, cost);
    }

    void bound(int variable, double low, double high) {
        bounds.set(variable, new double[] {low, high});
    }

    /** low <= terms <= high; an infinite end is none. */
    void row(Terms terms, double low, double high) {
        rows.add(new BoundedSimplex.Row(
                terms.variables(), terms.coefficients(), low - terms.constant(), high - terms.constant()));
    }

    Programme copy() {
        Programme copy = new Programme();
        bounds.forEach(b -> copy.bounds.add(b.clone()));
        copy.costs.addAll(costs);
        copy.rows.addAll(rows);
        return copy;
    }

    /** Values of the variables at the optimum; empty when no values keep all rows. */
    Optional<double[]> solve() {
        Optional<BoundedSimplex.Proved> proved = simplex().solve();
        return proved.isPresent() ? Optional.ofNullable(proved.get().values()) : byLibrary();
    }

    BoundedSimplex simplex() {
        return new BoundedSimplex(
                bounds.stream().mapToDouble(b -> b[0]).toArray(),
                bounds.stream().mapToDouble(b -> b[1]).toArray(),
                costs.stream().mapToDouble(Double::doubleValue).toArray(),
                rows);
    }

    double costOf(double[] values) {
        double sum = 0;
        for (int i = 0; i < values.length; i++) sum += costs.get(i) * values[i];
        return sum;
    }

    /**
     * As {@link #solve}, by a general solver: what the simplex here could not prove, and whether nothing is possible.
     */
    Optional<double[]> byLibrary() {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Variable[] variables = new Variable[bounds.size()];
        for (int i = 0; i < variables.length; i++) {
            variables[i] = model.newVariable("x" + i).weight(costs.get(i));
            if (Double.isFinite(bounds.get(i)[0])) variables[i].lower(bounds.get(i)[0]);
            if (Double.isFinite(bounds.get(i)[1])) variables[i].upper(bounds.get(i)[1]);
        }
        for (BoundedSimplex.Row row : rows) add(model, row, variables);
        Optimisation.Result result = model.minimise();
        if (!result.getState().isFeasible()) return Optional.empty();
        double[] values = new double[variables.length];
        for (int i = 0; i < values.length; i++) values[i] = result.doubleValue(i);
        return Optional.of(values);
    }

    private static void add(ExpressionsBasedModel model, BoundedSimplex.Row row, Variable[] variables) {
        Expression expression = model.newExpression("r" + model.countExpressions());
        for (int i = 0; i < row.variables().length; i++)
            expression.set(variables[row.variables()[i]], row.coefficients()[i]);
        if (Double.isFinite(row.low())) expression.lower(row.low());
        if (Double.isFinite(row.high())) expression.upper(row.high());
    }
}
