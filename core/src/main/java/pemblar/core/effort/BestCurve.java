package pemblar.core.effort;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/**
 * Best means on one grid of durations that all recordings share, so that the curves of many sessions can be combined.
 * Each point knows the session it came from.
 */
public final class BestCurve {
    /** Two days: nobody holds an effort for longer. */
    private static final int LONGEST_SECONDS = 172_800;
    /** One step of the grid. */
    private static final double LACKING = 0.011;

    private static final int[] GRID =
            Arrays.stream(MeanMaximal.durations(LONGEST_SECONDS)).toArray();
    private final double[] best = new double[GRID.length];
    private final long[] sources = new long[GRID.length];

    /** @param source id of the session that a point came from */
    public record Point(int seconds, double value, long source) {}

    public BestCurve() {
        Arrays.fill(best, Double.NaN);
    }

    /**
     * What of a recording counts for best efforts. Speed at rest is missing where the sport rests between repetitions:
     * a set with rests at the wall is no continuous effort over all of it.
     */
    public static Optional<Series> counted(Recording recording, Channel channel) {
        Optional<Series> values = recording.channel(channel);
        boolean rests = channel == Channel.SPEED && recording.sport().restsBetween();
        return rests ? values.map(BestCurve::withoutRests) : values;
    }

    private static Series withoutRests(Series speed) {
        double[] moving = new double[speed.size()];
        for (int i = 0; i < moving.length; i++) moving[i] = speed.at(i) > 0 ? speed.at(i) : Double.NaN;
        return Series.of(moving);
    }

    /**
     * The best means of one recording on the grid, shortest first, without the durations that are longer than it; NaN
     * where every window has a gap.
     */
    public static Series onGrid(Series values) {
        int count = indexFrom(values.size() + 1);
        TreeMap<Integer, Double> curve = MeanMaximal.curve(values, Arrays.copyOf(GRID, count));
        double[] means = new double[count];
        for (int i = 0; i < count; i++) means[i] = curve.getOrDefault(GRID[i], Double.NaN);
        return Series.of(means);
    }

    /** Index of the first duration of the grid that is at least so many seconds. */
    private static int indexFrom(int seconds) {
        int index = Arrays.binarySearch(GRID, seconds);
        return index >= 0 ? index : -index - 1;
    }

    /**
     * Raises this curve where a session did better.
     *
     * @param onGrid of {@link #onGrid}
     * @param divisor 1, or the body mass of the day for values per kg
     */
    public void raise(long source, Series onGrid, double divisor) {
        for (int i = 0; i < Math.min(onGrid.size(), best.length); i++) {
            double value = onGrid.at(i) / divisor;
            if (Double.isNaN(value) || value <= best[i]) continue;
            best[i] = value;
            sources[i] = source;
        }
    }

    /** The points within a span of durations, shortest first; durations that no session reached are left out. */
    public List<Point> points(int fromSeconds, int toSeconds) {
        List<Point> points = new ArrayList<>();
        for (int i = indexFrom(fromSeconds); i < GRID.length && GRID[i] <= toSeconds; i++)
            if (!Double.isNaN(best[i])) points.add(new Point(GRID[i], best[i], sources[i]));
        return points;
    }

    public List<Point> points() {
        return points(1, LONGEST_SECONDS);
    }

    /** Best mean over a duration of the grid; NaN when there is none or the duration is not on it. */
    public double at(int seconds) {
        int index = Arrays.binarySearch(GRID, seconds);
        return index < 0 ? Double.NaN : best[index];
    }

    /**
     * Shortest time, s, for a distance, of a curve of speeds: between two durations of the grid as if the distance grew
     * evenly. The grid ends up to 1 % before a recording that stops at the finish, and its course may read as much too
     * short: what lacks 1 % goes on at its own pace. Empty when no session went so far.
     */
    public OptionalDouble secondsOver(double metres) {
        double before = 0;
        int secondsBefore = 0;
        double nearly = Double.POSITIVE_INFINITY;
        for (Point p : points()) {
            double reached = p.value() * p.seconds();
            if (reached >= metres) {
                double share = reached > before ? (metres - before) / (reached - before) : 1;
                return OptionalDouble.of(Math.min(nearly, secondsBefore + share * (p.seconds() - secondsBefore)));
            }
            if (reached >= (1 - LACKING) * metres) nearly = Math.min(nearly, metres / p.value());
            if (reached <= before) continue;
            before = reached;
            secondsBefore = p.seconds();
        }
        return Double.isFinite(nearly) ? OptionalDouble.of(nearly) : OptionalDouble.empty();
    }
}
