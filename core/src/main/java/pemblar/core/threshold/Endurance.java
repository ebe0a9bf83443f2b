package pemblar.core.threshold;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/**
 * How fast an athlete's effort falls with its duration: effort ~ t^-k. From own best efforts of 20 min to 4 h when at
 * least three of them span a factor of 3, else a default.
 *
 * @param k the exponent
 * @param efforts number of own efforts it rests on; 0 for a default
 * @param span longest over shortest of them; 0 for a default
 * @see "Riegel, Athletic Records and Human Endurance, American Scientist 69 (1981)"
 */
public record Endurance(double k, Origin origin, int efforts, double span) {
    public static final double RIDE_DEFAULT = 0.07;
    private static final double RUN_LEAST = 0.04;
    private static final double RUN_MOST = 0.12;
    private static final int SHORTEST_SECONDS = 1200;
    private static final int LONGEST_SECONDS = 14_400;
    private static final int FEWEST = 3;
    private static final double SPREAD = 3;
    private static final double ENVELOPE = 0.05;
    private static final double OTHER_EFFORT = 1.5;
    private static final double MAYBE_ALL_OUT = 0.95;
    private static final double POWER_SECONDS = 3300;
    private static final double SPEED_SECONDS = 3600;
    private static final int MOST_ROUNDS = 30;
    /** An exponent outside says more about what was ridden than about the athlete. */
    private static final double LEAST_OWN = 0.02;

    private static final double MOST_OWN = 0.15;

    /** Where an exponent comes from. */
    public enum Origin {
        OWN_EFFORTS,
        DEFAULT,
        WORLD_BEST
    }

    /** The exponent for power. */
    public static Endurance ofPower(List<Point> ownBests) {
        return own(ownBests).orElse(new Endurance(RIDE_DEFAULT, Origin.DEFAULT, 0, 0));
    }

    /**
     * The exponent for a running race: own efforts, else 0.05 + 0.06 log2(t / w) within 0.04..0.12, with w the world's
     * best time for the distance: the slower, the steeper.
     */
    public static Endurance ofRunning(List<Point> ownBests, double metres, double seconds, Sex sex) {
        return own(ownBests).orElseGet(() -> {
            double k = 0.05 + 0.06 * Math.log(seconds / WorldBest.seconds(metres, sex)) / Math.log(2);
            return new Endurance(Math.max(RUN_LEAST, Math.min(RUN_MOST, k)), Origin.WORLD_BEST, 0, 0);
        });
    }

    /**
     * Those of best efforts that may have been all-out: at most 5 % under the usual law from the threshold. A line
     * through long rides that were easy is no endurance: it falls as steeply as they were easy.
     *
     * @param threshold W for efforts by power, m/s for others; NaN when it is not known, and all are let pass
     */
    public static List<Point> maybeAllOut(List<Point> bests, Sport sport, Measure measure, double threshold) {
        if (!(threshold > 0)) return bests;
        double k = usual(sport, measure);
        return bests.stream()
                .filter(p -> p.value() >= MAYBE_ALL_OUT * held(measure, threshold, k, p.seconds()))
                .toList();
    }

    /** The usual exponent of efforts that are measured so. */
    public static double usual(Sport sport, Measure measure) {
        return measure == Measure.POWER ? RIDE_DEFAULT : usual(sport).k();
    }

    /** What is held over so many seconds by somebody whose threshold, W or m/s, is held 55 min, by speed an hour. */
    public static double held(Measure measure, double threshold, double k, double seconds) {
        return threshold * Math.pow((measure == Measure.POWER ? POWER_SECONDS : SPEED_SECONDS) / seconds, k);
    }

    /** As for running, without a race to compare with. */
    public static Endurance usual(Sport sport) {
        return new Endurance(sport.trainsBy(Measure.SPEED) ? 0.06 : RIDE_DEFAULT, Origin.DEFAULT, 0, 0);
    }

    /**
     * Time for another distance, s, from a result, m and s, when speed falls with time as t^-k: t2 = t1 (d2 / d1)^(1 /
     * (1 - k)).
     */
    public double secondsFor(double metres, double ofMetres, double inSeconds) {
        if (!(metres > 0 && ofMetres > 0 && inSeconds > 0))
            throw new IllegalArgumentException(
                    "distances and time must be above 0, were " + metres + ", " + ofMetres + ", " + inSeconds);
        return inSeconds * Math.pow(metres / ofMetres, 1 / (1 - k));
    }

    private static Optional<Endurance> own(List<Point> bests) {
        List<Point> chosen = bests.stream()
                .filter(p -> p.seconds() >= SHORTEST_SECONDS && p.seconds() <= LONGEST_SECONDS)
                .toList();
        for (int round = 0; round < MOST_ROUNDS && chosen.size() >= FEWEST; round++) {
            Line line = Line.through(chosen);
            List<Point> next = distinct(bests, line);
            if (next.equals(chosen)) return endurance(line, chosen);
            chosen = next;
        }
        return Optional.empty();
    }

    private static Optional<Endurance> endurance(Line line, List<Point> chosen) {
        double span = (double) chosen.stream().mapToInt(Point::seconds).max().orElse(1)
                / chosen.stream().mapToInt(Point::seconds).min().orElse(1);
        double k = -line.slope();
        if (span < SPREAD || !(k >= LEAST_OWN && k <= MOST_OWN)) return Optional.empty();
        return Optional.of(new Endurance(k, Origin.OWN_EFFORTS, chosen.size(), span));
    }

    /** What lies within 5 % of the line; from one session a second point only at 1.5 times the duration. */
    private static List<Point> distinct(List<Point> bests, Line line) {
        List<Point> near = bests.stream()
                .filter(p -> p.seconds() >= SHORTEST_SECONDS
                        && p.seconds() <= LONGEST_SECONDS
                        && line.share(p) >= 1 - ENVELOPE)
                .sorted(Comparator.comparingDouble((Point p) -> -line.share(p)))
                .toList();
        List<Point> chosen = new ArrayList<>();
        for (Point p : near)
            if (chosen.stream()
                    .noneMatch(q -> q.source() == p.source()
                            && Math.max(p.seconds(), q.seconds()) < OTHER_EFFORT * Math.min(p.seconds(), q.seconds())))
                chosen.add(p);
        chosen.sort(Comparator.comparingInt(Point::seconds));
        return chosen;
    }

    /** ln(effort) = level + slope ln(t). */
    private record Line(double level, double slope) {
        static Line through(List<Point> points) {
            double meanX = points.stream()
                    .mapToDouble(p -> Math.log(p.seconds()))
                    .average()
                    .orElse(0);
            double meanY = points.stream()
                    .mapToDouble(p -> Math.log(p.value()))
                    .average()
                    .orElse(0);
            double squares = 0;
            double products = 0;
            for (Point p : points) {
                squares += Math.pow(Math.log(p.seconds()) - meanX, 2);
                products += (Math.log(p.seconds()) - meanX) * (Math.log(p.value()) - meanY);
            }
            double slope = squares > 0 ? products / squares : 0;
            return new Line(meanY - slope * meanX, slope);
        }

        double share(Point p) {
            return p.value() / Math.exp(level + slope * Math.log(p.seconds()));
        }
    }
}
