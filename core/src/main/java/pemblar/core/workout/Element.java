package pemblar.core.workout;

import java.util.List;

/** A part of a workout: a step or a repeat. Texts are empty when there are none. */
public sealed interface Element {
    String name();

    Element scaled(double factor);

    /**
     * @param cadence null when any will do
     * @param gradientPercent of the ground, falling below 0; 0 when it does not matter
     */
    record Step(
            String name,
            Length length,
            Target target,
            double gradientPercent,
            Cadence cadence,
            Posture posture,
            String cue)
            implements Element {
        private static final double STEEPEST = 40;

        public Step {
            if (name.length() > 60 || cue.length() > 200)
                throw new IllegalArgumentException("name must have at most 60 characters and cue 200");
            if (!(Math.abs(gradientPercent) <= STEEPEST))
                throw new IllegalArgumentException("a gradient must be in -40..40 %, was " + gradientPercent);
        }

        /** On ground that does not matter. */
        public Step(String name, Length length, Target target, Cadence cadence, Posture posture, String cue) {
            this(name, length, target, 0, cadence, posture, cue);
        }

        public Step named(String other) {
            return new Step(other, length, target, gradientPercent, cadence, posture, cue);
        }

        public Step lasting(Length other) {
            return new Step(name, other, target, gradientPercent, cadence, posture, cue);
        }

        public Step at(Target other) {
            return new Step(name, length, other, gradientPercent, cadence, posture, cue);
        }

        @Override
        public Step scaled(double factor) {
            return lasting(length.scaled(factor));
        }
    }

    /** The same elements several times; a repeat inside holds steps only. */
    record Repeat(String name, int times, List<Element> elements) implements Element {
        public Repeat {
            if (times < 1 || times > 99) throw new IllegalArgumentException("times must be in 1..99, was " + times);
            if (elements.isEmpty()) throw new IllegalArgumentException("a repeat must have at least one step");
            elements = List.copyOf(elements);
            for (Element element : elements)
                if (element instanceof Repeat inner && inner.elements().stream().anyMatch(Repeat.class::isInstance))
                    throw new IllegalArgumentException("repeats nest once");
        }

        @Override
        public Repeat scaled(double factor) {
            return new Repeat(
                    name, times, elements.stream().map(e -> e.scaled(factor)).toList());
        }
    }

    /** Revolutions or steps per minute; {@code low} 0 is no lower end, {@code high} 0 no upper end. */
    record Cadence(int low, int high) {
        public Cadence {
            if (low < 0 || low > 300 || high < 0 || high > 300 || low == 0 && high == 0 || high > 0 && low > high)
                throw new IllegalArgumentException("cadence must rise within 1..300, was " + low + ".." + high);
        }
    }

    enum Posture {
        ANY,
        SEATED,
        STANDING
    }
}
