package pemblar.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import pemblar.core.effort.BestCurve;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.WorldBest;

/**
 * An athlete's best times over distances against bands: shares of the speed of the world's best over each. The shares
 * are rules of ours. No distance is called the weakest: from pace alone nobody can tell a race from a firm run, and of
 * simulated runners' "weakest" distances two in five were never raced ({@code docs/benchmarks.md}).
 */
public final class PaceProfile {
    /** Of the world's best speed, at which each band after the first begins. */
    public static final List<Double> FLOORS = List.of(0.5, 0.6, 0.7, 0.8);

    /** What the bands are called, from the lowest. */
    public static final List<String> NAMES = List.of("starting", "recreational", "trained", "well trained", "top");

    private static final List<Double> RUN = List.of(1500.0, 5000.0, 10_000.0, 21_097.5, 42_195.0);
    private static final List<Double> SWUM = List.of(100.0, 200.0, 400.0, 800.0, 1500.0);
    private static final double SPEED_SECONDS = 3600;
    /** What lies further behind the line through the threshold was not all-out, whatever the runner's exponent is. */
    private static final double NEAR = 0.1;

    /** Two distances of one even effort differ by no more. */
    private static final double SAME = 0.001;

    private PaceProfile() {}

    /**
     * One distance.
     *
     * @param seconds best time of the range; empty when it was not covered in one go
     * @param share of the world's best speed; NaN without a time
     * @param near false when the threshold says that it need not have been all-out, when it is a part of a longer
     *     effort, or no threshold is known
     */
    public record Rung(double metres, OptionalDouble seconds, double share, boolean near) {}

    /** The distances, m, that a sport is told by. */
    public static List<Double> distances(Sport sport) {
        return sport.restsBetween() ? SWUM : RUN;
    }

    /** @param threshold speed that is held for about an hour, m/s; NaN when it is not known */
    public static List<Rung> of(Sport sport, Sex sex, BestCurve speeds, double threshold) {
        List<Rung> rungs = new ArrayList<>();
        for (double metres : distances(sport)) {
            OptionalDouble best = speeds.secondsOver(metres);
            double share = best.isPresent() ? WorldBest.seconds(sport, metres, sex) / best.getAsDouble() : Double.NaN;
            boolean near = best.isPresent() && isNear(best.getAsDouble(), metres, threshold, sport);
            rungs.add(new Rung(metres, best, share, near));
        }
        return rungs.stream().map(r -> ofItsOwn(r, rungs)).toList();
    }

    /** No faster than over a longer distance: a part of a longer effort, or an easy run. */
    private static Rung ofItsOwn(Rung rung, List<Rung> all) {
        boolean part = rung.near()
                && all.stream()
                        .filter(r -> r.metres() > rung.metres() && r.seconds().isPresent())
                        .anyMatch(r -> speed(rung) <= speed(r) * (1 + SAME));
        return part ? new Rung(rung.metres(), rung.seconds(), rung.share(), false) : rung;
    }

    private static double speed(Rung rung) {
        return rung.metres() / rung.seconds().orElse(Double.NaN);
    }

    private static boolean isNear(double seconds, double metres, double threshold, Sport sport) {
        double k = Endurance.usual(sport).k();
        double held = Math.pow(metres / (threshold * Math.pow(SPEED_SECONDS, k)), 1 / (1 - k));
        return held >= (1 - NEAR) * seconds;
    }
}
