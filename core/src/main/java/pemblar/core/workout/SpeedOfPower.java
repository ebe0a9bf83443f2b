package pemblar.core.workout;

import java.util.List;
import java.util.Optional;
import pemblar.core.sport.Sport;

/**
 * How fast an athlete rides at a power, from their own recent rides: ln(speed) = level + slope ln(power), by least
 * squares on the means of whole rides. It holds for the roads and the wind they usually have.
 *
 * @param rides it rests on
 * @param deviation of ln(speed) about the line: about the share by which a single ride differs
 */
public record SpeedOfPower(double level, double slope, int rides, double deviation) {
    private static final int FEWEST = 8;
    /** Highest over lowest power that the rides need to tell a slope. */
    private static final double SPREAD = 1.15;

    private static final double LEAST_SLOPE = 0.1;
    private static final double MOST_SLOPE = 1.0;
    /** On foot speed goes about with power, and a line through few runs may be a little steeper. */
    private static final double MOST_SLOPE_ON_FOOT = 1.3;

    /** Mean power, W, and mean speed, m/s, of one ride; both above 0. */
    public record Ride(double watts, double metresPerSecond) {}

    /** Empty with fewer than eight rides, too little difference between them, or a slope that no road gives. */
    public static Optional<SpeedOfPower> of(List<Ride> rides) {
        return of(rides, Sport.RIDE);
    }

    public static Optional<SpeedOfPower> of(List<Ride> rides, Sport sport) {
        double most = rides.stream().mapToDouble(Ride::watts).max().orElse(0);
        double least = rides.stream().mapToDouble(Ride::watts).min().orElse(1);
        if (rides.size() < FEWEST || most < SPREAD * least) return Optional.empty();
        double meanX =
                rides.stream().mapToDouble(r -> Math.log(r.watts())).average().orElseThrow();
        double meanY = rides.stream()
                .mapToDouble(r -> Math.log(r.metresPerSecond()))
                .average()
                .orElseThrow();
        double squares = rides.stream()
                .mapToDouble(r -> Math.pow(Math.log(r.watts()) - meanX, 2))
                .sum();
        double products = rides.stream()
                .mapToDouble(r -> (Math.log(r.watts()) - meanX) * (Math.log(r.metresPerSecond()) - meanY))
                .sum();
        double slope = products / squares;
        double steepest = sport.onWheels() ? MOST_SLOPE : MOST_SLOPE_ON_FOOT;
        if (!(slope >= LEAST_SLOPE && slope <= steepest)) return Optional.empty();
        double level = meanY - slope * meanX;
        double residuals = rides.stream()
                .mapToDouble(r -> Math.pow(Math.log(r.metresPerSecond()) - level - slope * Math.log(r.watts()), 2))
                .sum();
        return Optional.of(new SpeedOfPower(level, slope, rides.size(), Math.sqrt(residuals / (rides.size() - 2))));
    }

    /** Speed, m/s, at a power. */
    public double at(double watts) {
        return Math.exp(level + slope * Math.log(watts));
    }

    /** Distance, m, of a workout whose steps all have a time and a power, or a distance; empty when one has neither. */
    public Optional<Double> metres(List<PlannedStep> steps, double thresholdWatts) {
        double sum = 0;
        for (PlannedStep step : steps) {
            double watts = step.basis() == Basis.POWER ? step.targetAt(0.5) : step.intensity() * thresholdWatts;
            double metres = Double.isFinite(step.metres()) ? step.metres() : step.seconds() * at(watts);
            if (!Double.isFinite(metres)) return Optional.empty();
            sum += metres;
        }
        return Optional.of(sum);
    }
}
