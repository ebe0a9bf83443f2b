package pemblar.core.workout;

import java.util.Set;
import java.util.TreeSet;

/**
 * Which durations of the power profile a workout trains, by the length and intensity of its steps: a rule of thumb,
 * wide enough that neighbouring durations share workouts.
 */
public final class TrainedDurations {
    private TrainedDurations() {}

    /** A step of {@code shortest..longest} s at {@code low..high} times threshold trains {@code seconds}. */
    private record Rule(int seconds, double shortest, double longest, double low, double high) {
        boolean fits(PlannedStep step) {
            return step.seconds() >= shortest
                    && step.seconds() <= longest
                    && step.intensity() >= low
                    && step.intensity() <= high;
        }
    }

    private static final Rule[] RULES = {
        new Rule(5, 3, 30, 1.5, 10),
        new Rule(60, 20, 150, 1.2, 3),
        new Rule(300, 120, 600, 1.03, 1.3),
        new Rule(1200, 480, 2700, 0.88, 1.06),
        new Rule(3600, 1200, 20_000, 0.8, 1.0)
    };

    /** Durations, s, out of 5, 60, 300, 1200 and 3600. */
    public static Set<Integer> of(Forecast forecast) {
        Set<Integer> trained = new TreeSet<>();
        for (Rule rule : RULES) if (forecast.steps().stream().anyMatch(rule::fits)) trained.add(rule.seconds());
        return trained;
    }
}
