package pemblar.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.workout.Shorthand;

/** A design answers for its kind. */
class DesignTest {
    private static final Design RIDE =
            new Design.Endurance(Shorthand.read("15min z2, 5 x (4min 108%, 3min 55%), 15min z2, 10min 60%", Sport.RIDE)
                    .workout()
                    .orElseThrow());
    private static final Design LIFT =
            new Design.Strength(StrengthShorthand.read("back squat 5 x 5 at 80%\nplank 3 x 45s\nback squat 3 at 90%")
                    .workout()
                    .orElseThrow());

    @Test
    void aNoteCanStandOnEachStepOrExerciseOnce() {
        assertThat(RIDE.parts()).containsExactly("15min z2", "5 x (4min 108%, 3min 55%)", "10min 60%");
        assertThat(LIFT.parts()).containsExactly("back squat", "plank");
    }

    @Test
    void onlyEnduranceHasStepsThatADeviceLeadsThrough() {
        assertThat(RIDE.steps()).isPresent();
        assertThat(LIFT.steps()).isEmpty();
        assertThat(RIDE.sport()).isEqualTo(Sport.RIDE);
        assertThat(LIFT.sport()).isEqualTo(Sport.STRENGTH);
    }
}
