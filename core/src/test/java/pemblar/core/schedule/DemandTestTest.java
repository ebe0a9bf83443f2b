package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;
import pemblar.core.zone.Zones;

class DemandTestTest {
    private static double secondsOf(Forecast forecast, double effort) {
        return forecast.steps().stream()
                .filter(s ->
                        s.flat().step().target() instanceof pemblar.core.workout.Target.Effort e && e.from() == effort)
                .mapToDouble(PlannedStep::seconds)
                .sum();
    }

    @Test
    void theEffortIsThereOnceAllOutAndNeedsNoThreshold() {
        for (Sport sport : new Sport[] {Sport.RIDE, Sport.RUN})
            for (int seconds : new int[] {5, 60, 300, 1200, 7200}) {
                Forecast fresh = Forecast.of(DemandTest.of(sport, seconds, 0), Zones.usual(Thresholds.NONE));
                assertThat(secondsOf(fresh, 10)).isEqualTo(seconds);
                assertThat(secondsOf(fresh, 4)).isZero();
            }
    }

    @Test
    void theWorkBeforeItIsToFiveMinutes() {
        Forecast after = Forecast.of(DemandTest.of(Sport.RIDE, 300, 2 * 3600 + 100), Zones.usual(Thresholds.NONE));
        assertThat(secondsOf(after, 4)).isEqualTo(2 * 3600);
    }

    @Test
    void whatIsNoTestIsRefusedWithAReason() {
        assertThatThrownBy(() -> DemandTest.of(Sport.RIDE, 3 * 3600, 0)).hasMessageContaining("5 s to 2 h");
        assertThatThrownBy(() -> DemandTest.of(Sport.RIDE, 300, 9 * 3600)).hasMessageContaining("At most 6 h");
    }
}
