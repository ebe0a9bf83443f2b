package pemblar.app.planner.setup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.planner.setup.ZoneTimes.Of;
import pemblar.app.planner.setup.ZoneTimes.Share;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Zones are named by what they are of, and shares are of their own total. */
@Tag("unit")
class ZoneTimesTest {
    private static final Of POWER = new Of(Sport.RIDE, Measure.POWER);
    private static final Of PACE = new Of(Sport.RUN, Measure.SPEED);

    private static ZoneTimes times() {
        Map<Of, List<Integer>> seconds = new LinkedHashMap<>();
        seconds.put(POWER, List.of(0, 1800, 600));
        seconds.put(PACE, List.of(3600));
        return new ZoneTimes(seconds);
    }

    @Test
    void aSecondZoneOfPowerIsNotOneOfPace() {
        assertThat(POWER.words()).isEqualTo("riding, power");
        assertThat(PACE.words()).isEqualTo("running, pace");
        assertThat(times().shares(POWER)).containsExactly(new Share(2, 0, 75, 1800), new Share(3, 75, 25, 600));
        assertThat(times().shares(PACE)).containsExactly(new Share(1, 0, 100, 3600));
    }

    @Test
    void whatNoSessionHasIsEmpty() {
        assertThat(times().shares(new Of(Sport.RUN, Measure.HEART_RATE))).isEmpty();
    }
}
