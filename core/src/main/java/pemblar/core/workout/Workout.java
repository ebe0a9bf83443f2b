package pemblar.core.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/**
 * A design of steps and repeats.
 *
 * @param basis what a bare percentage or zone refers to
 */
public record Workout(Sport sport, Basis basis, List<Element> elements) {
    public static final int MAX_EXPANDED = 1000;
    private static final double MAX_SECONDS = 86_400;

    public Workout {
        Objects.requireNonNull(sport, "sport");
        Objects.requireNonNull(basis, "basis");
        elements = List.copyOf(elements);
        if (elements.isEmpty()) throw new IllegalArgumentException("a workout must have at least one step");
        List<Flat> flat = expand(elements);
        if (flat.size() > MAX_EXPANDED)
            throw new IllegalArgumentException("a workout must have at most " + MAX_EXPANDED
                    + " steps when repeats are written out, has " + flat.size());
        double seconds = flat.stream()
                .mapToDouble(f -> f.step().length() instanceof Length.Time t ? t.seconds() : 0)
                .sum();
        if (seconds > MAX_SECONDS)
            throw new IllegalArgumentException(
                    "a workout must last at most 24 h, lasts " + Math.round(seconds / 3600) + " h");
    }

    /**
     * A step as it is done, repeats written out.
     *
     * @param stepIndex index of the step in the design, from 0, the same in each repetition; the end of a repeat takes
     *     an index too, as in the workout files of devices
     * @param repetition from 1; 0 outside any repeat
     */
    public record Flat(Step step, int stepIndex, int repetition) {}

    /** All steps in the order in which they are done. */
    public List<Flat> expanded() {
        return expand(elements);
    }

    /** True when a target names a zone of the measure. */
    public boolean namesZones(pemblar.core.sport.Measure measure) {
        return expanded().stream()
                .anyMatch(f -> f.step().target() instanceof Target.Zone z
                        && (z.basis() == null ? basis : z.basis()).measure() == measure);
    }

    /** All lengths scaled; targets, repetitions and cues stay. */
    public Workout scaled(double factor) {
        if (!(factor >= 0.1 && factor <= 2))
            throw new IllegalArgumentException("factor must be in 0.1..2, was " + factor);
        return factor == 1
                ? this
                : new Workout(
                        sport,
                        basis,
                        elements.stream().map(e -> e.scaled(factor)).toList());
    }

    private static List<Flat> expand(List<Element> elements) {
        List<Flat> flat = new ArrayList<>();
        add(flat, elements, 0, 0);
        return flat;
    }

    /** Returns the design index after the last element. */
    private static int add(List<Flat> flat, List<Element> elements, int index, int repetition) {
        for (Element element : elements) {
            if (element instanceof Step step) flat.add(new Flat(step, index++, repetition));
            if (element instanceof Repeat repeat) {
                int after = index;
                for (int r = 1; r <= repeat.times(); r++) after = add(flat, repeat.elements(), index, r);
                index = after + 1; // a device counts the turning back as a step of its own
            }
            if (flat.size() > MAX_EXPANDED * 10) break;
        }
        return index;
    }
}
