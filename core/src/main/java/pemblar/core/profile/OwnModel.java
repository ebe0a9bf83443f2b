package pemblar.core.profile;

import java.util.OptionalDouble;
import pemblar.core.model.CriticalPower;
import pemblar.core.model.MaximalPower;
import pemblar.core.model.PowerDuration;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/**
 * What a best effort is held against to say whether it was all-out: from 2 to 20 min the critical power and W' that
 * were adopted, beyond that the power law from the threshold, below it a fit of three parameters that its efforts
 * carry. A line through the same efforts cannot tell: it goes through the best of them however easy they were. By speed
 * there is no adopted critical speed, and the fit stands for it where its efforts carry it.
 *
 * @param criticalWatts W; NaN where none is adopted, and so W', J, and the threshold, W or m/s
 * @param fit of the efforts of the days that are looked at
 * @see "docs/benchmarks.md for how often an easy best passes for all-out and the other way round"
 */
public record OwnModel(
        Sport sport, Measure measure, double criticalWatts, double reserveJoules, double threshold, PowerDuration fit) {
    /** The share under the model within which a best effort counts as all-out. */
    private static final double NEAR = PowerDuration.ENVELOPE;

    /** @param values of the sport, on the last day that is looked at */
    public static OwnModel of(Sport sport, Measure measure, Thresholds values, PowerDuration fit) {
        boolean byPower = measure == Measure.POWER;
        return new OwnModel(
                sport,
                measure,
                byPower ? get(values, Quantity.CRITICAL_POWER) : Double.NaN,
                byPower ? get(values, Quantity.W_PRIME) : Double.NaN,
                get(values, byPower ? Quantity.THRESHOLD_POWER : Quantity.THRESHOLD_SPEED),
                fit);
    }

    private static double get(Thresholds values, Quantity quantity) {
        return values.get(quantity).orElse(Double.NaN);
    }

    /** False where nothing can be called all-out below the threshold's durations, as nothing is adopted. */
    public boolean knowsCriticalPower() {
        return criticalWatts > 0 && reserveJoules > 0;
    }

    /** Power, W, or speed, m/s, that an all-out effort of so many seconds should reach; empty where nobody can say. */
    public OptionalDouble at(double seconds) {
        if (seconds > CriticalPower.LONGEST_SECONDS) return byThreshold(seconds);
        if (measure == Measure.SPEED) return byFit(seconds);
        if (!knowsCriticalPower()) return OptionalDouble.empty();
        return seconds < CriticalPower.SHORTEST_SECONDS
                ? bySprints(seconds)
                : OptionalDouble.of(criticalWatts + reserveJoules / seconds);
    }

    private OptionalDouble byThreshold(double seconds) {
        if (!(threshold > 0)) return OptionalDouble.empty();
        return OptionalDouble.of(Endurance.held(measure, threshold, Endurance.usual(sport, measure), seconds));
    }

    private OptionalDouble byFit(double seconds) {
        return seconds < CriticalPower.SHORTEST_SECONDS || !isCarried()
                ? OptionalDouble.empty()
                : fit.critical()
                        .map(line -> OptionalDouble.of(line.at(seconds)))
                        .orElse(OptionalDouble.empty());
    }

    private OptionalDouble bySprints(double seconds) {
        if (!isCarried()) return OptionalDouble.empty();
        MaximalPower sprints = fit.maximal().orElse(null);
        return sprints == null ? OptionalDouble.empty() : OptionalDouble.of(sprints.at(seconds));
    }

    private boolean isCarried() {
        return fit.critical().filter(CriticalPower::isEnough).isPresent();
    }

    /** Whether the best effort of a duration, W or m/s, comes near enough to have been all-out. */
    public boolean isTested(int seconds, double best) {
        OptionalDouble model = at(seconds);
        return model.isPresent() && best >= (1 - NEAR) * model.getAsDouble();
    }

    /**
     * Whether a best effort is shown as untested. By speed only where something tells: hardly any runner has a line
     * that efforts carry, and a word at every row would say nothing.
     */
    public boolean isShownUntested(int seconds, double best) {
        return !isTested(seconds, best)
                && (measure == Measure.POWER || at(seconds).isPresent());
    }
}
