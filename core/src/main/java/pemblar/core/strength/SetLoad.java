package pemblar.core.strength;

import java.util.OptionalDouble;

/** How heavy a set is asked to be. */
public sealed interface SetLoad {
    /**
     * A share of the exercise's maximum, in 0..1.5; empty where it does not follow from the prescription. @param
     * repetitions of the set
     */
    OptionalDouble share(int repetitions);

    /** As the shorthand writes it, as {@code at 80%}; empty when nothing is asked. */
    String text();

    <T> T answer(Cases<T> cases);

    /** One answer for each way of saying how heavy. */
    interface Cases<T> {
        T percent(Percent load);

        T repetitionMaximum(RepetitionMaximum load);

        T inReserve(InReserve load);

        T absolute(Absolute load);

        T bodyMass(BodyMass load);

        T free(Free load);
    }

    /** Percent of the maximum. */
    record Percent(double percent) implements SetLoad {
        public Percent {
            if (!(percent >= 1 && percent <= 150))
                throw new IllegalArgumentException("percent must be in 1..150, was " + percent);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.percent(this);
        }

        @Override
        public OptionalDouble share(int repetitions) {
            return OptionalDouble.of(percent / 100);
        }

        @Override
        public String text() {
            return "at " + Numbers.plain(percent) + "%";
        }
    }

    /** The load that can be lifted so many times. */
    record RepetitionMaximum(int repetitions) implements SetLoad {
        public RepetitionMaximum {
            if (repetitions < 1 || repetitions > 30)
                throw new IllegalArgumentException("a repetition maximum must be 1 to 30, was " + repetitions);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.repetitionMaximum(this);
        }

        @Override
        public OptionalDouble share(int done) {
            return OptionalDouble.of(1 / Repetitions.factor(repetitions));
        }

        @Override
        public String text() {
            return "at " + repetitions + "rm";
        }
    }

    /** So heavy that some more repetitions would have gone. */
    record InReserve(int left) implements SetLoad {
        public InReserve {
            if (left < 0 || left > 10)
                throw new IllegalArgumentException("repetitions in reserve must be 0 to 10, were " + left);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.inReserve(this);
        }

        /** That of the repetition maximum of all of them; unreliable over 30. */
        @Override
        public OptionalDouble share(int repetitions) {
            return repetitions < 1
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(1 / Repetitions.factor(repetitions + left));
        }

        @Override
        public String text() {
            return "at " + left + " in reserve";
        }
    }

    /** A load in kg. */
    record Absolute(double kilograms) implements SetLoad {
        public Absolute {
            if (!(kilograms > 0 && kilograms < 1000))
                throw new IllegalArgumentException("a load must be above 0 and below 1000 kg, was " + kilograms);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.absolute(this);
        }

        @Override
        public OptionalDouble share(int repetitions) {
            return OptionalDouble.empty();
        }

        @Override
        public String text() {
            return "at " + Numbers.plain(kilograms) + "kg";
        }
    }

    /** The body, and something more or less. */
    record BodyMass(double kilogramsMore) implements SetLoad {
        public BodyMass {
            if (!(Math.abs(kilogramsMore) < 300))
                throw new IllegalArgumentException(
                        "what is added to body mass must be under 300 kg, was " + kilogramsMore);
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.bodyMass(this);
        }

        @Override
        public OptionalDouble share(int repetitions) {
            return OptionalDouble.empty();
        }

        @Override
        public String text() {
            if (kilogramsMore == 0) return "at body mass";
            return "at body mass " + (kilogramsMore > 0 ? "+" : "-") + Numbers.plain(Math.abs(kilogramsMore)) + "kg";
        }
    }

    /** Nothing is said. */
    record Free() implements SetLoad {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.free(this);
        }

        @Override
        public OptionalDouble share(int repetitions) {
            return OptionalDouble.empty();
        }

        @Override
        public String text() {
            return "";
        }
    }
}
