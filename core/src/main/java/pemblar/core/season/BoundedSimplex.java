package pemblar.core.season;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The dual simplex for variables and rows between bounds, on a dense tableau: small programmes, of which a season asks
 * dozens, in a fraction of what a general solver takes to set one up. It begins with the rows' own values as basis,
 * which is dual feasible when every variable with a cost has the end that the cost wants.
 *
 * <p>What it answers it has proved: values that keep every row and prices that no other values can undercut, both
 * reckoned from the programme as it was given. Where it can't prove that, it says so and another solver is asked.
 *
 * @see "Koberstein, The dual simplex method, techniques for a fast and stable implementation (2005), chapter 3"
 */
final class BoundedSimplex {
    /** A row: its terms lie between low and high. */
    record Row(int[] variables, double[] coefficients, double low, double high) {}

    private static final double FEASIBLE = 1e-10;
    private static final double PROVED = 1e-8;
    private static final double LEAST_PIVOT = 1e-9;
    /** Smaller pivots than this share of the largest of their row spoil the table. */
    private static final double LEAST_SHARE = 1e-5;
    /** How far a price may stand on the wrong side for a larger pivot's sake. */
    private static final double PRICE_DUST = 1e-9;
    /** Added to the costs, each a little other, so that nothing ties and the search does not come round again. */
    private static final double UNTIED = 1e-6;

    private static final int REFRESH = 25;
    private final int columns;
    private final List<Row> rows;
    private final double[] cost;
    private final double[] low;
    private final double[] high;
    private final double[][] table;
    /** What a column costs by the given costs, and by the untied ones that lead the search. */
    private final double[] price;

    private final double[] untied;
    /** The variable of each column and of each row of the table; rows' own values follow the variables. */
    private final int[] outside;

    private final int[] basic;
    private final double[] value;
    private boolean[] atHigh;

    BoundedSimplex(double[] low, double[] high, double[] cost, List<Row> rows) {
        this.columns = cost.length;
        this.rows = rows;
        this.cost = cost;
        int all = columns + rows.size();
        this.low = Arrays.copyOf(low, all);
        this.high = Arrays.copyOf(high, all);
        this.table = new double[rows.size()][columns];
        this.price = cost.clone();
        this.untied = cost.clone();
        this.outside = new int[columns];
        this.basic = new int[rows.size()];
        this.value = new double[all];
        this.atHigh = new boolean[all];
        for (int j = 0; j < columns; j++) outside[j] = j;
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            basic[i] = columns + i;
            this.low[columns + i] = row.low();
            this.high[columns + i] = row.high();
            for (int k = 0; k < row.variables().length; k++) table[i][row.variables()[k]] += row.coefficients()[k];
        }
    }

    /**
     * What could be proved.
     *
     * @param values of the variables at the optimum; null when there are none
     */
    record Proved(double[] values) {}

    /** The optimum, or that no values keep all rows; empty when neither could be proved. */
    Optional<Proved> solve() {
        if (!begin()) return Optional.empty();
        int most = 200 + 10 * (columns + rows.size());
        for (int step = 0; step < most; step++) {
            if (step % REFRESH == 0) refresh();
            int row = leaving();
            if (row < 0) {
                refresh();
                if (leaving() >= 0) continue;
                return finished(most);
            }
            int column = entering(row);
            if (column < 0) return isImpossible(row) ? Optional.of(new Proved(null)) : Optional.empty();
            leave(row, column, beyond(row) < 0);
        }
        return Optional.empty();
    }

    /** The last steps by the given costs alone; all rows are kept already. */
    private Optional<Proved> finished(int most) {
        for (int step = 0; step < most; step++) {
            int column = cheapening();
            if (column < 0) {
                refresh();
                double[] values = Arrays.copyOf(value, columns);
                return isProved(values) ? Optional.of(new Proved(values)) : Optional.empty();
            }
            if (!cheapen(column)) return Optional.empty();
        }
        return Optional.empty();
    }

    /** Every variable at the end that its cost wants. */
    private boolean begin() {
        for (int j = 0; j < columns; j++) {
            atHigh[j] = cost[j] < 0 || Double.isInfinite(low[j]);
            value[j] = atHigh[j] ? high[j] : low[j];
            boolean free = Double.isInfinite(low[j]) && cost[j] > 0;
            if (free || !Double.isFinite(value[j]) || low[j] > high[j]) return false;
            untied[j] += (atHigh[j] ? -1 : 1) * UNTIED * (1 + (j * 0.618_034) % 1);
        }
        return true;
    }

    private void refresh() {
        for (int i = 0; i < basic.length; i++) {
            double sum = 0;
            double[] row = table[i];
            for (int j = 0; j < columns; j++) sum += row[j] * value[outside[j]];
            value[basic[i]] = sum;
        }
    }

    /** How far a basic value is beyond its bounds: negative when under the lower. */
    private double beyond(int row) {
        int v = basic[row];
        double tolerance = FEASIBLE * Math.max(1, Math.abs(value[v]));
        if (value[v] < low[v] - tolerance) return value[v] - low[v];
        return value[v] > high[v] + tolerance ? value[v] - high[v] : 0;
    }

    /** The row that is farthest beyond its bounds. */
    private int leaving() {
        int best = -1;
        double most = 0;
        for (int i = 0; i < basic.length; i++) {
            double beyond = Math.abs(beyond(i));
            if (beyond <= most) continue;
            best = i;
            most = beyond;
        }
        return best;
    }

    /** Of the columns whose price is as good as used up first, the one with the largest pivot. */
    private int entering(int row) {
        double largest = 0;
        for (double pivot : table[row]) largest = Math.max(largest, Math.abs(pivot));
        int column = entering(row, Math.max(LEAST_PIVOT, LEAST_SHARE * largest));
        return column >= 0 ? column : entering(row, LEAST_PIVOT);
    }

    private int entering(int row, double fewest) {
        boolean rise = beyond(row) < 0;
        double[] pivots = table[row];
        double least = Double.POSITIVE_INFINITY;
        for (int j = 0; j < columns; j++)
            if (helps(j, pivots[j], rise, fewest))
                least = Math.min(least, (Math.abs(untied[j]) + PRICE_DUST) / Math.abs(pivots[j]));
        int best = -1;
        for (int j = 0; j < columns; j++) {
            if (!helps(j, pivots[j], rise, fewest) || Math.abs(untied[j] / pivots[j]) > least) continue;
            if (best < 0 || Math.abs(pivots[j]) > Math.abs(pivots[best])) best = j;
        }
        return best;
    }

    private boolean helps(int column, double pivot, boolean rise, double fewest) {
        int v = outside[column];
        return Math.abs(pivot) >= fewest && low[v] != high[v] && pivot > 0 == (rise != atHigh[v]);
    }

    /** The basic variable of a row goes to its lower or higher end, and the column's comes in for it. */
    private void leave(int row, int column, boolean toLow) {
        int leaves = basic[row];
        double to = toLow ? low[leaves] : high[leaves];
        move(column, (to - value[leaves]) / table[row][column]);
        value[leaves] = to;
        atHigh[leaves] = !toLow && low[leaves] != high[leaves];
        turn(row, column);
    }

    /** The column whose price is farthest on the wrong side; -1 when none is. */
    private int cheapening() {
        int best = -1;
        double most = PRICE_DUST;
        for (int j = 0; j < columns; j++) {
            int v = outside[j];
            double gain = low[v] == high[v] ? 0 : atHigh[v] ? price[j] : -price[j];
            if (gain <= most) continue;
            best = j;
            most = gain;
        }
        return best;
    }

    /** Moves a column's variable as far as all rows let it; false when nothing stops it. */
    private boolean cheapen(int column) {
        int enters = outside[column];
        double way = atHigh[enters] ? -1 : 1;
        double far = high[enters] - low[enters];
        int stops = -1;
        for (int i = 0; i < basic.length; i++) {
            double slope = way * table[i][column];
            if (Math.abs(slope) < LEAST_PIVOT) continue;
            double end = slope < 0 ? low[basic[i]] : high[basic[i]];
            double room = Math.max(0, (end - value[basic[i]]) / slope);
            boolean nearer = room < far - PRICE_DUST
                    || stops >= 0 && room <= far + PRICE_DUST && Math.abs(slope) > Math.abs(table[stops][column]);
            if (!nearer) continue;
            far = room;
            stops = i;
        }
        if (Double.isInfinite(far)) return false;
        if (stops >= 0) leave(stops, column, way * table[stops][column] < 0);
        else {
            move(column, way * far);
            atHigh[enters] = !atHigh[enters];
            value[enters] = atHigh[enters] ? high[enters] : low[enters];
        }
        return true;
    }

    private void move(int column, double step) {
        for (int i = 0; i < basic.length; i++) value[basic[i]] += table[i][column] * step;
        value[outside[column]] += step;
    }

    private void turn(int row, int column) {
        int leaves = basic[row];
        double[] turned = table[row];
        double inverse = 1 / turned[column];
        for (int j = 0; j < columns; j++) turned[j] *= -inverse;
        turned[column] = inverse;
        for (int i = 0; i < basic.length; i++) if (i != row) add(table[i], turned, column);
        add(price, turned, column);
        add(untied, turned, column);
        basic[row] = outside[column];
        outside[column] = leaves;
    }

    /** Puts the turned row in for the column that it answers. */
    private static void add(double[] to, double[] turned, int column) {
        double times = to[column];
        if (times == 0) return;
        to[column] = 0;
        for (int j = 0; j < to.length; j++) to[j] += times * turned[j];
    }

    /** Rows kept, and prices that prove the cost least, both from the programme as it was given. */
    private boolean isProved(double[] values) {
        double[] rest = cost.clone();
        for (int j = 0; j < columns; j++) {
            if (values[j] < low[j] - PROVED || values[j] > high[j] + PROVED) return false;
            int v = outside[j];
            boolean fixed = low[v] == high[v];
            if (!fixed && (atHigh[v] ? price[j] > PROVED : price[j] < -PROVED)) return false;
            take(rest, v, price[j]);
        }
        if (!isNothing(rest)) return false;
        for (Row row : rows) {
            double sum = 0;
            for (int k = 0; k < row.variables().length; k++) sum += row.coefficients()[k] * values[row.variables()[k]];
            double allowed = PROVED * Math.max(1, Math.abs(sum));
            if (sum < row.low() - allowed || sum > row.high() + allowed) return false;
        }
        return true;
    }

    /** A sum of the given rows whose bounds exclude each other: what is in this row of the table cannot be reached. */
    private boolean isImpossible(int row) {
        double[] rest = new double[columns];
        take(rest, basic[row], -1);
        boolean rise = beyond(row) < 0;
        double reach = 0;
        for (int j = 0; j < columns; j++) {
            int v = outside[j];
            double times = table[row][j];
            if (Math.abs(times) < LEAST_PIVOT) continue;
            take(rest, v, times);
            reach += times * (rise == times > 0 ? high[v] : low[v]);
        }
        double wanted = rise ? low[basic[row]] : high[basic[row]];
        double missing = rise ? wanted - reach : reach - wanted;
        return isNothing(rest) && missing > PROVED * Math.max(1, Math.abs(wanted));
    }

    /** Takes a variable, or the row that it is the value of, so many times from a sum. */
    private void take(double[] sum, int variable, double times) {
        if (variable < columns) {
            sum[variable] -= times;
            return;
        }
        Row row = rows.get(variable - columns);
        for (int k = 0; k < row.variables().length; k++) sum[row.variables()[k]] -= times * row.coefficients()[k];
    }

    private static boolean isNothing(double[] sum) {
        for (double left : sum) if (Math.abs(left) > PROVED) return false;
        return true;
    }
}
