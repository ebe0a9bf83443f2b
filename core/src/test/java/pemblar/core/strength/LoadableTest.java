package pemblar.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** What stands in the room decides what is on the bar. */
class LoadableTest {
    private static final Loadable ROOM = new Loadable(2, 15, 1.25, Set.of("back squat"));

    @Test
    void aBarHasTwoPlatesAtATime() {
        assertThat(ROOM.nearest("back squat", 81.6)).isEqualTo(82.5);
        assertThat(ROOM.nearest("back squat", 81.2)).isEqualTo(80);
        assertThat(ROOM.nearest("goblet squat", 21.2)).isEqualTo(22);
    }

    @Test
    void aBarIsNeverLighterThanEmpty() {
        assertThat(ROOM.nearest("back squat", 4)).isEqualTo(15);
        assertThat(ROOM.nearest("back squat", 0)).isEqualTo(15);
    }

    /** A 45 lb bar and plates of 2.5 lb. */
    @Test
    void poundsAreMultiplesOfPounds() {
        double lb = 0.45359237;
        Loadable room = new Loadable(5 * lb, 45 * lb, 2.5 * lb, Set.of("back squat"));
        assertThat(room.nearest("back squat", 0.8 * 225 * lb) / lb).isCloseTo(180, within(1e-9));
        assertThat(room.nearest("back squat", 182.4 * lb) / lb).isCloseTo(180, within(1e-9));
        assertThat(room.nearest("row", 31 * lb) / lb).isCloseTo(30, within(1e-9));
    }

    @Property
    void nothingIsFartherThanOnePlateAway(@ForAll @DoubleRange(min = 15, max = 400) double exact) {
        assertThat(Math.abs(ROOM.nearest("back squat", exact) - exact)).isLessThanOrEqualTo(1.25 + 1e-9);
    }

    @Test
    void aRoomWithoutPlatesIsRefused() {
        assertThatThrownBy(() -> new Loadable(2.5, 20, 0, Set.of())).hasMessageContaining("plate");
        assertThatThrownBy(() -> new Loadable(Double.NaN, 20, 1, Set.of())).hasMessageContaining("step");
    }

    @Property
    void aSetThatMayMoveAMaximumIsNeverAboveWhatWasAsked(@ForAll @DoubleRange(min = 15, max = 400) double exact) {
        for (String exercise : new String[] {"back squat", "row"}) {
            double loaded = ROOM.atMost(exercise, exact);
            assertThat(loaded).isLessThanOrEqualTo(exact + 1e-6);
            assertThat(exact - loaded).isLessThan(2.5 + 1e-6);
        }
    }
}
