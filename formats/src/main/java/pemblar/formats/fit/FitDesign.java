package pemblar.formats.fit;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Element;
import pemblar.core.workout.Element.Cadence;
import pemblar.core.workout.Element.Posture;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.Length;
import pemblar.core.workout.Target;
import pemblar.formats.fit.FitWorkout.Ends;
import pemblar.formats.fit.FitWorkout.FitStep;

/** The flat list of a workout file as steps and repeats again. */
final class FitDesign {
    private static final int OPEN_END_CADENCE = 250;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_CUE = 200;

    private FitDesign() {}

    /** An element, and the index in the file at which it begins. */
    private record Placed(int index, Element element) {}

    static List<Element> elements(List<FitStep> steps) {
        List<Placed> open = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            FitStep step = steps.get(i);
            if (step.isRepeat()) wrap(open, step);
            else open.add(new Placed(i, step(step)));
        }
        return open.stream().map(Placed::element).toList();
    }

    private static void wrap(List<Placed> open, FitStep repeat) {
        int first = 0;
        while (first < open.size() && open.get(first).index() < repeat.endValue()) first++;
        if (first == open.size()) throw new IllegalArgumentException("a repeat has no steps before it");
        List<Placed> inside = open.subList(first, open.size());
        Repeat element = new Repeat(
                cut(repeat.name(), LONGEST_NAME),
                repeat.times(),
                inside.stream().map(Placed::element).toList());
        Placed placed = new Placed(inside.get(0).index(), element);
        inside.clear();
        open.add(placed);
    }

    private static Step step(FitStep step) {
        List<String> notes = new ArrayList<>(List.of(step.notes().split(", ", -1)));
        boolean rising = notes.remove(FitWorkout.RISING);
        boolean falling = notes.remove(FitWorkout.FALLING);
        boolean rests = notes.remove(FitWorkout.REST);
        Posture posture =
                notes.remove("seated") ? Posture.SEATED : notes.remove("standing") ? Posture.STANDING : Posture.ANY;
        FitNotes read = FitNotes.read(notes);
        String effort = notes.stream()
                .filter(n -> n.matches("effort \\d+(\\.\\d+)?(-\\d+(\\.\\d+)?)? of 10"))
                .findFirst()
                .orElse("");
        notes.remove(effort);
        Target target = step.basis() == null || !(step.low() > 0) || !(step.high() > 0)
                ? without(effort, rests)
                : absolute(step, rising, falling);
        return new Step(
                cut(step.name(), LONGEST_NAME),
                read.end() == null ? length(step) : read.end(),
                target,
                read.gradientPercent(),
                cadence(step),
                posture,
                cut(String.join(", ", notes).replace('"', '\''), LONGEST_CUE));
    }

    private static Target without(String note, boolean rests) {
        if (note.isEmpty()) return rests ? new Target.Rest() : new Target.Open();
        String[] ends = note.replace("effort ", "").replace(" of 10", "").split("-");
        return new Target.Effort(Double.parseDouble(ends[0]), Double.parseDouble(ends[ends.length - 1]));
    }

    private static Target absolute(FitStep step, boolean rising, boolean falling) {
        double low = rounded(step.basis(), step.low());
        double high = rounded(step.basis(), step.high());
        return new Target.Absolute(falling ? high : low, falling ? low : high, rising || falling, step.basis());
    }

    /** Whole watts and beats, whole seconds per km: what the shorthand writes. */
    private static double rounded(Basis basis, double value) {
        return basis == Basis.PACE ? 1000.0 / Math.rint(1000 / value) : Math.rint(value);
    }

    private static Length length(FitStep step) {
        if (step.ends() == Ends.TIME && step.endValue() >= 1) return new Length.Time((int) Math.round(step.endValue()));
        if (step.ends() == Ends.DISTANCE && step.endValue() >= 1)
            return new Length.Distance(Math.rint(step.endValue()));
        return step.ends() == Ends.HEART_RATE_BELOW
                ? new Length.HeartRateBelow((int) Math.round(step.endValue()))
                : new Length.LapKey();
    }

    private static Cadence cadence(FitStep step) {
        int high = step.cadenceHigh() >= OPEN_END_CADENCE ? 0 : step.cadenceHigh();
        return step.cadenceLow() == 0 && high == 0 ? null : new Cadence(step.cadenceLow(), high);
    }

    private static String cut(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest);
    }
}
