package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

class TrainedDurationsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "30min 60%, 6 x (12s 280%, 3min 60%) | 5", "10min 50%, 8 x (45s 135%, 2min 50%) | 60",
                        "15min 50%, 5 x (4min 108%, 4min 50%) | 300",
                "15min 50%, 2 x (20min 95%, 6min 50%) | 1200 3600", "2h 65% | ", "10min 50%, 1h 85%, 10min 50% | 3600"
            })
    void aWorkoutTrainsWhatItsHardStepsAreLike(String text, String expected) {
        Forecast forecast = Forecast.of(
                Shorthand.read(text.strip(), Sport.RIDE).workout().orElseThrow(),
                Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250));
        Set<Integer> wanted = new java.util.TreeSet<>();
        if (expected != null) for (String seconds : expected.strip().split(" ")) wanted.add(Integer.parseInt(seconds));
        assertEquals(wanted, TrainedDurations.of(forecast));
    }
}
