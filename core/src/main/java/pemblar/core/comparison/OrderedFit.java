package pemblar.core.comparison;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * The difference of two groups inside one session by least squares: value = level + difference x group + slope x
 * covariate, and where the groups alternate + drift x order. Of columns that do not vary apart the shortest solution is
 * taken.
 */
record OrderedFit(double difference, double slope) {
    /** @param rows {group 0 or 1, covariate, order, value} each */
    static OrderedFit of(List<double[]> rows, boolean withOrder) {
        int columns = withOrder ? 3 : 2;
        double[] means = new double[4];
        for (double[] row : rows) for (int j = 0; j < 4; j++) means[j] += row[j] / rows.size();
        double[] scales = new double[3];
        for (int j = 0; j < 3; j++) scales[j] = spread(rows, j, means[j]);
        RealMatrix design = new Array2DRowRealMatrix(rows.size(), columns);
        RealVector values = new ArrayRealVector(rows.size());
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < columns; j++) design.setEntry(i, j, (rows.get(i)[j] - means[j]) / scales[j]);
            values.setEntry(i, rows.get(i)[3] - means[3]);
        }
        RealVector fit = new SingularValueDecomposition(design).getSolver().solve(values);
        return new OrderedFit(fit.getEntry(0) / scales[0], fit.getEntry(1) / scales[1]);
    }

    private static double spread(List<double[]> rows, int column, double mean) {
        double squares = rows.stream()
                .mapToDouble(row -> Math.pow(row[column] - mean, 2))
                .sum();
        double spread = Math.sqrt(squares / rows.size());
        return spread > 1e-9 * Math.max(1, Math.abs(mean)) ? spread : Double.POSITIVE_INFINITY;
    }
}
