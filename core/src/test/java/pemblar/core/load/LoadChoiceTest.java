package pemblar.core.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadChoice.Counting;
import pemblar.core.load.SessionLoad.Source;

class LoadChoiceTest {
    private static final Map<Source, Double> COMPUTED =
            Map.of(Source.HEART_RATE, 70.0, Source.POWER, 80.0, Source.PLAN, 60.0);

    @Test
    void powerCountsBeforeHeartRateBeforeThePlanUntilSomethingIsChosenOrSet() {
        assertThat(LoadChoice.BY_ORDER.of(COMPUTED)).contains(new Counting(Source.POWER, 80));
        assertThat(new LoadChoice(Source.HEART_RATE, null).of(COMPUTED)).contains(new Counting(Source.HEART_RATE, 70));
        assertThat(new LoadChoice(Source.HEART_RATE, 95.0).of(COMPUTED)).contains(new Counting(Source.SET, 95));
        assertThat(new LoadChoice(Source.SPEED, null).of(COMPUTED))
                .as("a choice that cannot be computed")
                .contains(new Counting(Source.POWER, 80));
        assertThat(LoadChoice.BY_ORDER.of(Map.of())).isEmpty();
    }

    @Test
    void aSetLoadHasItsLimits() {
        assertThatThrownBy(() -> new LoadChoice(null, -1.0)).hasMessageContaining("0 to 2000");
        assertThatThrownBy(() -> new LoadChoice(null, Double.NaN)).hasMessageContaining("0 to 2000");
    }
}
