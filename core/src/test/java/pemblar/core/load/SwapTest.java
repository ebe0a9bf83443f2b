package pemblar.core.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class SwapTest {
    @Test
    void theDaysOfARaceWeekCanBeTrainedLikeAnOrdinaryOne() {
        assertThat(Swap.of(new double[] {50, 60, 70, 0, 0, 200, 10}, 3, 3, 0, 3))
                .containsExactly(50, 60, 70, 50, 60, 70, 10);
    }

    @Test
    void aShorterStretchIsRepeatedAndWhatLiesBeyondTheEndIsLeftOut() {
        assertThat(Swap.of(new double[] {50, 60, 1, 1, 1}, 2, 9, 0, 2)).containsExactly(50, 60, 50, 60, 50);
        assertThatThrownBy(() -> Swap.of(new double[3], 0, 2, 0, 0)).hasMessageContaining("ofDays");
    }
}
