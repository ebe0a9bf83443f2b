package pemblar.formats.inspect;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Target;
import pemblar.core.workout.Workout;

/** A workout with what it will take, as a map in the order in which it is printed. */
final class WorkoutReport {
    /** Relative targets give a load without any threshold; this stands in for it and is never shown. */
    private static final double STAND_IN = 100;

    private WorkoutReport() {}

    /** @throws IllegalArgumentException when a target needs a value that is not given */
    static Map<String, Object> of(Workout workout, Thresholds given) {
        Thresholds thresholds = given;
        for (Basis basis : Basis.values())
            if (!given.knows(basis.threshold()) && canStandIn(workout, basis))
                thresholds = thresholds.with(basis.threshold(), STAND_IN);
        Forecast forecast = Forecast.of(workout, thresholds);
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("shorthand", ShorthandText.of(workout));
        report.put("sport", workout.sport().key());
        report.put("quantity", workout.basis().key());
        report.put("seconds", forecast.seconds());
        boolean paceKnown = given.knows(Basis.PACE.threshold())
                || forecast.steps().stream().noneMatch(s -> s.basis() == Basis.PACE && isRelative(s));
        if (paceKnown) forecast.metres().ifPresent(m -> report.put("metres", m));
        forecast.intensity().ifPresent(i -> report.put("intensity", i));
        forecast.load().ifPresent(l -> report.put("load", l));
        if (given.knows(Basis.POWER.threshold()))
            forecast.lowestReserve().ifPresent(l -> report.put("lowestReserveJ", l.joules()));
        List<Map<String, Object>> steps = new ArrayList<>();
        for (PlannedStep step : forecast.steps()) steps.add(step(step, workout.sport(), given, steps.size()));
        report.put("steps", steps);
        report.put(
                "remarks",
                forecast.remarks().stream()
                        .map(r -> r.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                        .toList());
        return report;
    }

    private static boolean canStandIn(Workout workout, Basis basis) {
        boolean absolute = workout.expanded().stream()
                .anyMatch(f -> f.step().target() instanceof Target.Absolute a && a.basis() == basis);
        boolean distance = basis == Basis.PACE
                && workout.expanded().stream()
                        .anyMatch(f -> f.step().length() instanceof pemblar.core.workout.Length.Distance);
        return !absolute && !distance;
    }

    private static boolean isRelative(PlannedStep step) {
        return !(step.flat().step().target() instanceof Target.Absolute);
    }

    private static Map<String, Object> step(
            PlannedStep step, pemblar.core.sport.Sport sport, Thresholds given, int index) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("index", index);
        map.put("designIndex", step.flat().stepIndex());
        if (step.flat().repetition() > 0) map.put("repetition", step.flat().repetition());
        if (!step.flat().step().name().isEmpty())
            map.put("name", step.flat().step().name());
        if (Double.isFinite(step.seconds())
                && (step.basis() != Basis.PACE
                        || isTimed(step)
                        || given.knows(Basis.PACE.threshold())
                        || !isRelative(step))) map.put("seconds", step.seconds());
        if (step.flat().step().length() instanceof pemblar.core.workout.Length.Distance d)
            map.put("metres", d.metres());
        map.put("length", ShorthandText.length(step.flat().step().length()));
        map.put("target", ShorthandText.target(step.flat().step().target(), sport));
        if (step.basis() != null && (given.knows(step.basis().threshold()) || !isRelative(step))) values(map, step);
        if (Double.isFinite(step.intensity())) map.put("intensity", step.intensity());
        if (!step.flat().step().cue().isEmpty())
            map.put("cue", step.flat().step().cue());
        return map;
    }

    private static boolean isTimed(PlannedStep step) {
        return step.flat().step().length() instanceof pemblar.core.workout.Length.Time;
    }

    private static void values(Map<String, Object> map, PlannedStep step) {
        String unit = step.basis() == Basis.POWER ? "Watts" : step.basis() == Basis.HEART_RATE ? "Bpm" : "Mps";
        map.put(unit.toLowerCase(Locale.ROOT), (step.from() + step.to()) / 2);
        if (step.isRamp()) {
            map.put("from" + unit, step.from());
            map.put("to" + unit, step.to());
        }
        map.put("low" + unit, step.low());
        map.put("high" + unit, step.high());
    }
}
