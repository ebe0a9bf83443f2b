package pemblar.core.comparison;

import java.util.List;
import java.util.Optional;
import pemblar.core.repetition.Slope;

/**
 * How far two groups lie apart in one quantity at an equal value of another: two parallel lines by least squares, y = a
 * + b·x + d for the second group (analysis of covariance).
 *
 * @param difference second group less first, in the unit of y
 * @param standardError of it
 * @param perX the common slope b
 * @param meanX at which both groups are compared; as the lines are parallel it holds at any
 * @param low lower end of the 95 % interval of the difference; {@code high} the upper
 * @see "Fisher, Statistical Methods for Research Workers, 4th edition (1932), section 49.1"
 */
public record GroupDifference(
        double difference, double standardError, double perX, double meanX, double low, double high, int count) {
    /** Two lines have three parameters, and one value more is needed for an error. */
    private static final int FEWEST = 5;

    private static final int FEWEST_IN_GROUP = 2;

    /** One repetition. */
    public record Point(double x, double y, boolean second) {}

    /**
     * Empty with fewer than five complete points, fewer than two in a group, or all at one x in both groups. Points
     * with NaN are left out.
     */
    public static Optional<GroupDifference> of(List<Point> all) {
        List<Point> points = all.stream()
                .filter(p -> Double.isFinite(p.x()) && Double.isFinite(p.y()))
                .toList();
        long second = points.stream().filter(Point::second).count();
        if (points.size() < FEWEST || second < FEWEST_IN_GROUP || points.size() - second < FEWEST_IN_GROUP)
            return Optional.empty();
        Group first = new Group(points, false);
        Group other = new Group(points, true);
        double squares = first.xx + other.xx;
        if (!(squares > 0)) return Optional.empty();
        double slope = (first.xy + other.xy) / squares;
        double difference = other.meanY - first.meanY - slope * (other.meanX - first.meanX);
        double rest = Math.max(0, first.yy + other.yy - slope * slope * squares);
        double variance = rest
                / (points.size() - 3)
                * (1.0 / first.count + 1.0 / other.count + Math.pow(other.meanX - first.meanX, 2) / squares);
        double error = Math.sqrt(variance);
        double reach = Slope.student(points.size() - 3) * error;
        double meanX = points.stream().mapToDouble(Point::x).average().orElse(Double.NaN);
        return Optional.of(new GroupDifference(
                difference, error, slope, meanX, difference - reach, difference + reach, points.size()));
    }

    /** The 95 % interval does not hold zero. */
    public boolean isClear() {
        return low > 0 || high < 0;
    }

    /** Sums around a group's own means. */
    private static final class Group {
        private final int count;
        private final double meanX;
        private final double meanY;
        private final double xx;
        private final double xy;
        private final double yy;

        Group(List<Point> points, boolean second) {
            List<Point> mine = points.stream().filter(p -> p.second() == second).toList();
            count = mine.size();
            meanX = mine.stream().mapToDouble(Point::x).average().orElse(Double.NaN);
            meanY = mine.stream().mapToDouble(Point::y).average().orElse(Double.NaN);
            xx = mine.stream()
                    .mapToDouble(p -> (p.x() - meanX) * (p.x() - meanX))
                    .sum();
            xy = mine.stream()
                    .mapToDouble(p -> (p.x() - meanX) * (p.y() - meanY))
                    .sum();
            yy = mine.stream()
                    .mapToDouble(p -> (p.y() - meanY) * (p.y() - meanY))
                    .sum();
        }
    }
}
