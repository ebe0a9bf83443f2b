package pemblar.core.strength;

import java.util.Set;

/**
 * What somebody can load: on a bar what the plates on both sides come to, else multiples of a step. All in kg.
 *
 * @param step of dumbbells, machines and what hangs from the body
 * @param bar the empty bar, the least that can be lifted with it
 * @param plate the smallest plate; two go on at once
 * @param onBar exercises with a bar
 */
public record Loadable(double step, double bar, double plate, Set<String> onBar) {
    private static final double DUST = 1e-9;

    public Loadable {
        if (!(step > 0)) throw new IllegalArgumentException("step must be above 0, was " + step);
        if (!(bar >= 0 && bar < 1000)) throw new IllegalArgumentException("bar must be in [0, 1000), was " + bar);
        if (!(plate > 0)) throw new IllegalArgumentException("plate must be above 0, was " + plate);
        onBar = Set.copyOf(onBar);
    }

    /** Multiples of one step for every exercise. */
    public static Loadable inSteps(double step) {
        return new Loadable(step, 0, step / 2, Set.of());
    }

    /** What comes nearest to a load; a half goes down, and a bar is never lighter than empty. */
    public double nearest(String exercise, double kilograms) {
        if (kilograms < 0) return -nearest(exercise, -kilograms);
        if (!onBar.contains(exercise)) return Rounding.toStep(kilograms, step);
        return bar + Rounding.toStep(Math.max(0, kilograms - bar), 2 * plate);
    }

    /**
     * The most that is not above a load, but for an empty bar: a set that may move a maximum is never made harder than
     * it was asked for.
     */
    public double atMost(String exercise, double kilograms) {
        if (kilograms < 0) return -nearest(exercise, -kilograms);
        if (!onBar.contains(exercise)) return below(kilograms, step);
        return bar + below(Math.max(0, kilograms - bar), 2 * plate);
    }

    private static double below(double kilograms, double step) {
        return Math.floor(kilograms / step + DUST) * step;
    }
}
