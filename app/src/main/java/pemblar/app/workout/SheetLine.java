package pemblar.app.workout;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.frame.page.Shown;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Editing;
import pemblar.core.workout.Element;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/**
 * A line of the printed sheet: a step with its watts, beats or pace, indented inside repeats, which have a line of
 * their own.
 */
public record SheetLine(int depth, String length, String target, String also) {
    public static List<SheetLine> of(Workout workout, Zones zones) {
        Maker maker =
                new Maker(workout.sport(), Plan.resolve(workout, zones), Editing.paths(workout), new ArrayList<>());
        for (int i = 0; i < workout.elements().size(); i++)
            maker.add(workout.elements().get(i), String.valueOf(i), 0);
        return maker.lines();
    }

    /** As a line of plain text, two blanks deeper inside a repeat. */
    public String inOneLine() {
        String words = length + (target.isEmpty() ? "" : ", " + target) + (also.isEmpty() ? "" : " (" + also + ")");
        return "  ".repeat(depth) + words;
    }

    /** Goes through a design. @param planned its steps in order, each at its path */
    private record Maker(Sport sport, List<PlannedStep> planned, List<Editing.Path> paths, List<SheetLine> lines) {
        void add(Element element, String path, int depth) {
            if (element instanceof Repeat repeat) {
                lines.add(new SheetLine(depth, repeat.times() + " times", "", repeat.name()));
                for (int i = 0; i < repeat.elements().size(); i++)
                    add(repeat.elements().get(i), path + "." + i, depth + 1);
                return;
            }
            Step step = (Step) element;
            PlannedStep resolved = planned.get(paths.indexOf(Editing.Path.parse(path)));
            String length = ShorthandText.length(step.length());
            lines.add(new SheetLine(depth, length, target(step, resolved, sport), also(step)));
        }
    }

    private static String target(Step step, PlannedStep resolved, Sport sport) {
        if (resolved.basis() == null) return ShorthandText.target(step.target(), sport);
        boolean falling = resolved.isRamp() && resolved.to() < resolved.from();
        double first = resolved.isRamp() ? resolved.from() : resolved.low();
        double last = resolved.isRamp() ? resolved.to() : resolved.high();
        return (falling ? "falling, " : resolved.isRamp() ? "rising, " : "")
                + Shown.range(resolved.basis().measure(), sport, first, last);
    }

    private static String also(Step step) {
        List<String> parts = new ArrayList<>();
        if (!step.name().isEmpty()) parts.add(step.name());
        if (step.cadence() != null)
            parts.add(
                    step.cadence().low() == 0
                            ? "under " + step.cadence().high()
                            : step.cadence().high() == 0
                                    ? step.cadence().low() + " and over"
                                    : step.cadence().low() + " to "
                                            + step.cadence().high());
        if (step.posture() != Element.Posture.ANY)
            parts.add(step.posture().name().toLowerCase(java.util.Locale.ROOT));
        if (!step.cue().isEmpty()) parts.add("“" + step.cue() + "”");
        return String.join(" · ", parts);
    }
}
