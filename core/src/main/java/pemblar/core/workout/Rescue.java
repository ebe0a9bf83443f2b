package pemblar.core.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pemblar.core.model.Reserve;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;
import pemblar.core.zone.Zones;

/**
 * What makes a workout possible that drives the reserve below zero: the least more rest in each repetition, in steps of
 * 15 s up to 10 min, or else the least lowering of its hard steps, in steps of 1 % up to 40 %. Found by trying each on
 * the forecast.
 *
 * @param repetition in which it runs out, from 1; 0 outside any repeat
 * @param second at whose end the reserve is below zero for the first time
 * @param moreRestSeconds for each rest of the repeat; 0 when rest cannot make it possible
 * @param lowerPercent of each hard step's target; 0 when more rest does, or nothing does
 */
public record Rescue(int repetition, int second, int moreRestSeconds, int lowerPercent) {
    /** Seconds that are over when the reserve is spent. */
    public int spentAfterSeconds() {
        return second + 1;
    }

    private static final int REST_STEP = 15;
    private static final int MOST_REST = 600;
    private static final int MOST_LOWER = 40;

    /** Empty when the forecast knows no reserve or it stays at zero or above. */
    public static Optional<Rescue> of(Workout workout, Zones zones, Forecast forecast) {
        if (forecast.lowestReserve().isEmpty() || forecast.lowestReserve().get().joules() >= 0) return Optional.empty();
        int second = firstBelowZero(forecast);
        PlannedStep step = stepAt(forecast, second);
        int rest = step.flat().repetition() == 0 ? 0 : leastRest(workout, zones);
        return Optional.of(
                new Rescue(step.flat().repetition(), second, rest, rest > 0 ? 0 : leastLowering(workout, zones)));
    }

    private static int firstBelowZero(Forecast forecast) {
        for (int i = 0; i < forecast.reserve().orElseThrow().size(); i++)
            if (forecast.reserve().get().at(i) < 0) return i;
        return forecast.lowestReserve().map(Reserve.Lowest::index).orElse(0);
    }

    private static PlannedStep stepAt(Forecast forecast, int second) {
        double end = 0;
        for (PlannedStep step : forecast.steps()) {
            if (!Double.isFinite(step.seconds())) continue;
            end += step.seconds();
            if (second < end) return step;
        }
        return forecast.steps().get(forecast.steps().size() - 1);
    }

    private static int leastRest(Workout workout, Zones zones) {
        for (int more = REST_STEP; more <= MOST_REST; more += REST_STEP) {
            int added = more;
            Workout longer = changed(
                    workout,
                    zones,
                    (step, hard) -> hard || !(step.length() instanceof Length.Time time)
                            ? step
                            : step.lasting(new Length.Time(Math.min(86_400, time.seconds() + added))),
                    true);
            if (longer == null) return 0;
            if (isPossible(longer, zones)) return more;
        }
        return 0;
    }

    private static int leastLowering(Workout workout, Zones zones) {
        for (int percent = 1; percent <= MOST_LOWER; percent++) {
            double factor = 1 - percent / 100.0;
            Workout lower = changed(
                    workout, zones, (step, hard) -> hard ? step.at(lowered(step.target(), factor)) : step, false);
            if (lower != null && isPossible(lower, zones)) return percent;
        }
        return 0;
    }

    private static Target lowered(Target target, double factor) {
        if (target instanceof Target.Percent p)
            return new Target.Percent(
                    Math.max(1, p.from() * factor), Math.max(1, p.to() * factor), p.ramp(), p.basis());
        if (target instanceof Target.Absolute a)
            return new Target.Absolute(a.from() * factor, a.to() * factor, a.ramp(), a.basis());
        if (target instanceof Target.Max m)
            return new Target.Max(Math.max(30, m.from() * factor), Math.max(30, m.to() * factor));
        return target;
    }

    private static boolean isPossible(Workout workout, Zones zones) {
        return Forecast.of(workout, zones)
                .lowestReserve()
                .filter(lowest -> lowest.joules() >= 0)
                .isPresent();
    }

    private interface Change {
        Step of(Step step, boolean hard);
    }

    /** Changes every step, told whether it is above critical power; null when the change makes no valid workout. */
    private static Workout changed(Workout workout, Zones zones, Change change, boolean onlyInRepeats) {
        double critical = zones.thresholds()
                .forSport(workout.sport())
                .get(pemblar.core.threshold.Quantity.CRITICAL_POWER)
                .orElse(Double.NaN);
        double threshold = zones.thresholds()
                .forSport(workout.sport())
                .get(pemblar.core.threshold.Quantity.THRESHOLD_POWER)
                .orElse(Double.NaN);
        try {
            return new Workout(
                    workout.sport(),
                    workout.basis(),
                    new Through(workout, zones, critical / threshold, change)
                            .changed(workout.elements(), !onlyInRepeats));
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    /** One change through a whole design. @param hardFrom intensity above which a step is hard */
    private record Through(Workout workout, Zones zones, double hardFrom, Change change) {
        /** @param here whether steps are changed that stand in no repeat */
        List<Element> changed(List<Element> elements, boolean here) {
            List<Element> all = new ArrayList<>();
            for (Element element : elements) {
                if (element instanceof Repeat repeat)
                    all.add(new Repeat(repeat.name(), repeat.times(), changed(repeat.elements(), true)));
                else all.add(here ? changed((Step) element) : element);
            }
            return all;
        }

        private Step changed(Step step) {
            double intensity = Plan.resolve(new Workout(workout.sport(), workout.basis(), List.of(step)), zones)
                    .get(0)
                    .intensity();
            return change.of(step, intensity > hardFrom);
        }
    }
}
