package pemblar.app.planner;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.app.frame.page.Shown;
import pemblar.core.schedule.DayPlan;
import pemblar.core.schedule.Purpose;
import pemblar.core.workout.Element;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;

/**
 * What a workout is called once it is longer or shorter than its name says: by what is in it, as “Threshold, 3 x
 * 12min”.
 */
final class AdaptedTitle {
    private static final Shown SHOWN = new Shown();

    private AdaptedTitle() {}

    static String of(Workout workout, DayPlan.Kind kind, Purpose purpose, int seconds) {
        if (kind == DayPlan.Kind.OPENER) return "Openers, " + SHOWN.duration(seconds);
        if (kind == DayPlan.Kind.RACE_LIKE) return "Like the race, " + SHOWN.duration(seconds);
        String word = Shown.titled(purpose);
        boolean made = purpose.isHard() || purpose == Purpose.SPRINTS;
        return made
                ? word + ", " + main(workout).map(AdaptedTitle::repeats).orElseGet(() -> SHOWN.duration(seconds))
                : word + ", " + SHOWN.duration(seconds);
    }

    /** The repeat that most of the work is in. */
    private static Optional<Repeat> main(Workout workout) {
        return workout.elements().stream()
                .filter(Repeat.class::isInstance)
                .map(Repeat.class::cast)
                .max(Comparator.comparingInt(AdaptedTitle::steps));
    }

    private static int steps(Element element) {
        return element instanceof Repeat repeat
                ? repeat.times()
                        * repeat.elements().stream()
                                .mapToInt(AdaptedTitle::steps)
                                .sum()
                : 1;
    }

    private static String repeats(Repeat repeat) {
        return repeat.times() + " x " + first(repeat.elements());
    }

    private static String first(List<Element> elements) {
        Element first = elements.get(0);
        return first instanceof Step step ? ShorthandText.length(step.length()) : repeats((Repeat) first);
    }
}
