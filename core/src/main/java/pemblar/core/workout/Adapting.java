package pemblar.core.workout;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/**
 * A workout for another length, changed only where it is meant to be: stretches of endurance grow or shrink in steps of
 * five minutes or 100 m, and repeats come more or less often. Warm-up, cool-down, sprints, efforts and breaks stay as
 * they are written.
 */
public final class Adapting {
    /** A stretch of so many seconds or metres outside of repeats is one of endurance. */
    private static final int ENDURANCE_SECONDS = 1200;

    private static final double ENDURANCE_METRES = 400;
    private static final int ROUND_SECONDS = 300;
    private static final double ROUND_METRES = 100;
    private static final double LEAST_FACTOR = 0.4;
    private static final double MOST_FACTOR = 1.9;
    private static final double STEP = 0.05;
    private static final double LEAST_SHARE = 0.66;
    private static final double MOST_SHARE = 1.34;
    private static final int MOST_TIMES = 30;

    private Adapting() {}

    /** The workout itself first, then every other length of about 70 to 130 % that it can have, each once. */
    public static List<Workout> variants(Workout workout) {
        Set<Workout> all = new LinkedHashSet<>(List.of(workout));
        double own = seconds(workout);
        for (double factor = LEAST_FACTOR; factor <= MOST_FACTOR; factor += STEP) {
            Workout variant = by(workout, factor);
            double share = seconds(variant) / own;
            if (share > LEAST_SHARE && share < MOST_SHARE) all.add(variant);
        }
        return List.copyOf(all);
    }

    /** About how long it takes, s: what it really takes depends on who does it. */
    private static double seconds(Workout workout) {
        double metresPerSecond =
                workout.sport().onWheels() ? 8 : workout.sport().restsBetween() ? 1 : 3;
        double seconds = 0;
        for (Workout.Flat flat : workout.expanded())
            seconds += flat.step().length() instanceof Length.Time time
                    ? time.seconds()
                    : flat.step().length() instanceof Length.Distance way ? way.metres() / metresPerSecond : 0;
        return Math.max(1, seconds);
    }

    /** With its stretches of endurance and the numbers of its repeats changed by a factor. */
    static Workout by(Workout workout, double factor) {
        List<Element> elements = new ArrayList<>();
        for (Element element : workout.elements())
            elements.add(element instanceof Repeat repeat ? times(repeat, factor) : stretched((Step) element, factor));
        return new Workout(workout.sport(), workout.basis(), elements);
    }

    private static Repeat times(Repeat repeat, double factor) {
        int least = Math.min(2, repeat.times()); // one of them is no repeat any more
        int times = (int) Math.max(least, Math.min(MOST_TIMES, Math.round(repeat.times() * factor)));
        return new Repeat(repeat.name(), times, repeat.elements());
    }

    private static Step stretched(Step step, double factor) {
        if (step.length() instanceof Length.Time time && time.seconds() >= ENDURANCE_SECONDS) {
            long rounded = Math.round(time.seconds() * factor / ROUND_SECONDS) * ROUND_SECONDS;
            return step.lasting(new Length.Time((int) Math.max(ROUND_SECONDS, rounded)));
        }
        if (step.length() instanceof Length.Distance way && way.metres() >= ENDURANCE_METRES) {
            double rounded = Math.round(way.metres() * factor / ROUND_METRES) * ROUND_METRES;
            return step.lasting(new Length.Distance(Math.max(ROUND_METRES, rounded)));
        }
        return step;
    }
}
