package pemblar.core.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import pemblar.core.load.SessionLoad;
import pemblar.core.load.SteadyEquivalent;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;

/**
 * What a workout will take, computed from its planned intensity second by second.
 *
 * @param seconds time of all steps whose time can be known
 * @param metres distance, empty when a step's distance cannot be known
 * @param intensity steady equivalent over threshold, as a fraction; empty when nothing is known
 * @param reserve the planned reserve, J, at the end of each second; empty without critical power, W′ and power targets
 * @param remarks what the figures leave out or assume
 */
public record Forecast(
        List<PlannedStep> steps,
        int seconds,
        OptionalDouble metres,
        OptionalDouble intensity,
        OptionalDouble load,
        Optional<Reserve.Lowest> lowestReserve,
        Optional<Series> reserve,
        List<Remark> remarks) {
    /** What the figures leave out or assume. */
    public enum Remark {
        TIME_OF_SOME_STEPS_UNKNOWN,
        TIME_FROM_OWN_SPEED,
        OPEN_STEPS_TAKEN_AS_EASY,
        MAX_NEEDS_MODEL,
        RESERVE_NEEDS_MODEL,
        RESERVE_UNKNOWN,
        RESERVE_NEVER_THERE,
        DISTANCE_UNKNOWN,
        THRESHOLD_UNKNOWN
    }

    /** @throws IllegalArgumentException when a target cannot be resolved with these values */
    public static Forecast of(Workout workout, Zones zones) {
        List<PlannedStep> steps = Plan.resolve(workout, zones);
        Thresholds thresholds = zones.thresholds().forSport(workout.sport());
        int seconds = (int) Math.round(steps.stream()
                .mapToDouble(PlannedStep::seconds)
                .filter(Double::isFinite)
                .sum());
        double metres = steps.stream().mapToDouble(PlannedStep::metres).sum();
        double intensity = intensity(workout, steps, seconds);
        Optional<Reserve> model = thresholds.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)
                ? Optional.of(
                        new Reserve(thresholds.require(Quantity.CRITICAL_POWER), thresholds.require(Quantity.W_PRIME)))
                : Optional.empty();
        Optional<Series> watts = seconds == 0 ? Optional.empty() : watts(steps, seconds, thresholds);
        return new Forecast(
                steps,
                seconds,
                optional(metres),
                optional(intensity),
                optional(SessionLoad.ofIntensity(seconds, intensity, exponent(workout))),
                model.flatMap(m -> watts.map(w -> m.lowest(w, List.of()))),
                model.flatMap(m -> watts.map(w -> m.over(w, List.of()))),
                remarks(steps, metres, thresholds));
    }

    /** The same with the usual zones of the sport. */
    public static Forecast of(Workout workout, Thresholds thresholds) {
        return of(workout, Zones.usual(thresholds));
    }

    /**
     * As of a recording: where people rest between, the mean while moving. Unknown when that of any timed step is: a
     * load of the rest of them would be a wrong number.
     */
    private static double intensity(Workout workout, List<PlannedStep> steps, int seconds) {
        boolean unknown =
                steps.stream().anyMatch(step -> Double.isFinite(step.seconds()) && Double.isNaN(step.intensity()));
        if (seconds == 0 || unknown) return Double.NaN;
        if (!workout.sport().restsBetween()) return SteadyEquivalent.of(intensities(steps, seconds));
        double moving = 0;
        double sum = 0;
        for (PlannedStep step : steps) {
            if (!Double.isFinite(step.seconds()) || step.intensity() == 0) continue;
            moving += step.seconds();
            sum += step.intensity() * step.seconds();
        }
        return moving == 0 ? Double.NaN : sum / moving;
    }

    private static int exponent(Workout workout) {
        return workout.basis() == Basis.PACE ? workout.sport().loadExponent() : 2;
    }

    private static Series intensities(List<PlannedStep> steps, int seconds) {
        double[] values = new double[seconds];
        fill(
                steps,
                values,
                (step, share) -> step.intensityFrom() + (step.intensityTo() - step.intensityFrom()) * share);
        return Series.of(values);
    }

    /** Planned power; open and perceived-effort steps by their intensity; empty unless some step is set in watts. */
    private static Optional<Series> watts(List<PlannedStep> steps, int seconds, Thresholds thresholds) {
        boolean power = steps.stream().anyMatch(s -> s.basis() == Basis.POWER);
        boolean other = steps.stream().anyMatch(s -> s.basis() != null && s.basis() != Basis.POWER);
        double threshold = thresholds.get(Quantity.THRESHOLD_POWER).orElse(Double.NaN);
        if (!power || other) return Optional.empty();
        double[] values = new double[seconds];
        fill(
                steps,
                values,
                (step, share) -> step.basis() == Basis.POWER ? step.targetAt(share) : step.intensity() * threshold);
        return Optional.of(Series.of(values));
    }

    /**
     * Planned seconds in each zone of the workout's own quantity, by the middle of the target second by second; a step
     * of another quantity counts by its intensity, one of unknown time not at all. Empty when there are no such zones.
     */
    public List<Integer> secondsInZones(Zones zones, Workout workout) {
        Optional<ZoneSet> set = zones.of(workout.basis().measure(), workout.sport());
        double threshold = zones.thresholds()
                .forSport(workout.sport())
                .get(workout.basis().threshold())
                .orElse(Double.NaN);
        if (set.isEmpty() || seconds == 0) return List.of();
        double[] values = new double[seconds];
        fill(
                steps,
                values,
                (step, share) -> step.basis() == workout.basis()
                        ? step.targetAt(share)
                        : (step.intensityFrom() + (step.intensityTo() - step.intensityFrom()) * share) * threshold);
        return set.get().timeIn(Series.of(values)).seconds();
    }

    private interface At {
        double value(PlannedStep step, double share);
    }

    private static void fill(List<PlannedStep> steps, double[] values, At at) {
        double begin = 0;
        for (PlannedStep step : steps) {
            if (!Double.isFinite(step.seconds())) continue;
            double end = begin + step.seconds();
            for (int i = (int) Math.round(begin); i < Math.min(values.length, Math.round(end)); i++)
                values[i] = at.value(step, Math.max(0, Math.min(1, (i + 0.5 - begin) / step.seconds())));
            begin = end;
        }
    }

    private static List<Remark> remarks(List<PlannedStep> steps, double metres, Thresholds thresholds) {
        List<Remark> remarks = new ArrayList<>();
        boolean hasModel = thresholds.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME);
        if (!hasModel && steps.stream().anyMatch(s -> s.flat().step().target() instanceof Target.Max))
            remarks.add(Remark.MAX_NEEDS_MODEL);
        reserve(steps, hasModel, thresholds).ifPresent(remarks::add);
        if (steps.stream()
                .anyMatch(s -> Double.isNaN(s.seconds()) && !(s.flat().step().length() instanceof Length.ReserveAt)))
            remarks.add(Remark.TIME_OF_SOME_STEPS_UNKNOWN);
        if (steps.stream().anyMatch(Forecast::takesOwnSpeed)) remarks.add(Remark.TIME_FROM_OWN_SPEED);
        if (steps.stream().anyMatch(s -> s.flat().step().target() instanceof Target.Open))
            remarks.add(Remark.OPEN_STEPS_TAKEN_AS_EASY);
        if (Double.isNaN(metres)) remarks.add(Remark.DISTANCE_UNKNOWN);
        if (steps.stream().anyMatch(s -> s.basis() != null && Double.isNaN(s.intensity())))
            remarks.add(Remark.THRESHOLD_UNKNOWN);
        return remarks;
    }

    private static boolean takesOwnSpeed(PlannedStep step) {
        return step.basis() == Basis.POWER
                && step.flat().step().length() instanceof Length.Distance
                && Double.isFinite(step.seconds());
    }

    /** Why the first step that the reserve ends has no time; empty when all of them have one. */
    private static Optional<Remark> reserve(List<PlannedStep> steps, boolean hasModel, Thresholds thresholds) {
        ReserveRun run = ReserveRun.of(thresholds);
        for (PlannedStep step : steps) {
            boolean ended = step.flat().step().length() instanceof Length.ReserveAt;
            if (ended && Double.isNaN(step.seconds()))
                return Optional.of(
                        !hasModel
                                ? Remark.RESERVE_NEEDS_MODEL
                                : run.isKnown() ? Remark.RESERVE_NEVER_THERE : Remark.RESERVE_UNKNOWN);
            run.live(step);
        }
        return Optional.empty();
    }

    private static OptionalDouble optional(double value) {
        return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    }
}
