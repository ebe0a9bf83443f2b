package pemblar.formats.fit;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Element;
import pemblar.core.workout.Element.Cadence;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.Length;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.Target;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;
import pemblar.formats.fit.FitWorkout.Ends;
import pemblar.formats.fit.FitWorkout.FitStep;

/** Turns a workout of ours into the flat list of a FIT file, with the values of a day. */
public final class FitWorkouts {
    private static final int OPEN_END_CADENCE = 250;
    private final List<FitStep> steps = new ArrayList<>();
    private final List<PlannedStep> resolved;

    private int designIndex;

    private FitWorkouts(List<PlannedStep> resolved) {
        this.resolved = resolved;
    }

    /** @throws IllegalArgumentException when a target cannot be resolved with these values */
    public static FitWorkout of(String name, Workout workout, Zones zones) {
        FitWorkouts flat = new FitWorkouts(Plan.resolve(workout, zones));
        flat.add(workout.elements());
        return new FitWorkout(name, workout.sport(), flat.steps);
    }

    /** The same with the usual zones of the sport. */
    public static FitWorkout of(String name, Workout workout, Thresholds thresholds) {
        return of(name, workout, Zones.usual(thresholds));
    }

    /**
     * A workout as the library holds it, from a file: targets stay absolute; the direction of a ramp and the posture
     * are taken back from the notes, the rest of which becomes the cue. A step without a usable target is open.
     *
     * @throws IllegalArgumentException when the steps make no workout, with the reason
     */
    public static Workout design(FitWorkout file) {
        Sport sport = file.sport();
        return new Workout(sport, Basis.usualFor(sport), FitDesign.elements(file.steps()));
    }

    private void add(List<Element> elements) {
        for (Element element : elements) {
            if (element instanceof Step step) steps.add(step(step, planned(designIndex++)));
            if (element instanceof Repeat repeat) {
                int first = steps.size();
                add(repeat.elements());
                designIndex++;
                steps.add(new FitStep(
                        repeat.name(), Ends.REPEAT, first, repeat.times(), null, Double.NaN, Double.NaN, 0, 0, ""));
            }
        }
    }

    private PlannedStep planned(int index) {
        return resolved.stream()
                .filter(p -> p.flat().stepIndex() == index)
                .findFirst()
                .orElseThrow();
    }

    private static FitStep step(Step step, PlannedStep planned) {
        Ends ends = Ends.LAP_KEY;
        double end = Double.NaN;
        if (step.length() instanceof Length.Time time) {
            ends = Ends.TIME;
            end = time.seconds();
        } else if (step.length() instanceof Length.Distance distance) {
            ends = Ends.DISTANCE;
            end = distance.metres();
        } else if (step.length() instanceof Length.HeartRateBelow below) {
            ends = Ends.HEART_RATE_BELOW;
            end = below.bpm();
        }
        Cadence c = step.cadence();
        return new FitStep(
                step.name(),
                ends,
                end,
                0,
                planned.basis(),
                planned.low(),
                planned.high(),
                c == null ? 0 : c.low(),
                c == null ? 0 : c.high() == 0 ? OPEN_END_CADENCE : c.high(),
                notes(step, planned));
    }

    /** The format has no ramps, so a ramp's direction leads the notes that the device shows. */
    private static String notes(Step step, PlannedStep planned) {
        List<String> notes = new ArrayList<>();
        if (planned.isRamp()) notes.add(planned.to() > planned.from() ? FitWorkout.RISING : FitWorkout.FALLING);
        if (step.posture() != Element.Posture.ANY)
            notes.add(step.posture().name().toLowerCase(java.util.Locale.ROOT));
        if (step.target() instanceof Target.Effort e)
            notes.add("effort " + (e.from() == e.to() ? trim(e.to()) : trim(e.from()) + "-" + trim(e.to())) + " of 10");
        if (step.target() instanceof Target.Max && planned.basis() == null)
            notes.add("the highest power needs critical power and W'");
        if (step.target() instanceof Target.Rest) notes.add(FitWorkout.REST);
        if (step.length() instanceof Length.ReserveAt end) notes.add(FitNotes.reserve(end));
        if (step.gradientPercent() != 0) notes.add(FitNotes.gradient(step.gradientPercent()));
        if (!step.cue().isEmpty()) notes.add(step.cue());
        return String.join(", ", notes);
    }

    private static String trim(double value) {
        return java.math.BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }
}
