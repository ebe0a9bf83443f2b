package pemblar.core.design;

import java.util.List;
import java.util.Optional;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;

/**
 * What a planned session holds. Whoever shows, forecasts, copies or sends one answers each kind, so that a new kind
 * does not compile until it has answered everywhere.
 */
public sealed interface Design {
    Sport sport();

    <T> T answer(Cases<T> cases);

    /** Steps that a device can lead through and a recording can be cut by; empty where there are none. */
    default Optional<Workout> steps() {
        return answer(new Cases<>() {
            @Override
            public Optional<Workout> endurance(Workout workout) {
                return Optional.of(workout);
            }

            @Override
            public Optional<Workout> strength(StrengthWorkout workout) {
                return Optional.empty();
            }
        });
    }

    /** What a note can stand on: the steps and repeats as the shorthand has them, or the exercises; each once. */
    default List<String> parts() {
        return answer(new Cases<>() {
            @Override
            public List<String> endurance(Workout workout) {
                return workout.elements().stream()
                        .map(element ->
                                ShorthandText.of(new Workout(workout.sport(), workout.basis(), List.of(element))))
                        .distinct()
                        .toList();
            }

            @Override
            public List<String> strength(StrengthWorkout workout) {
                return workout.exercises().stream().distinct().toList();
            }
        });
    }

    /** An answer for each kind. */
    interface Cases<T> {
        T endurance(Workout workout);

        T strength(StrengthWorkout workout);
    }

    record Endurance(Workout workout) implements Design {
        @Override
        public Sport sport() {
            return workout.sport();
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.endurance(workout);
        }
    }

    record Strength(StrengthWorkout workout) implements Design {
        @Override
        public Sport sport() {
            return Sport.STRENGTH;
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.strength(workout);
        }
    }
}
