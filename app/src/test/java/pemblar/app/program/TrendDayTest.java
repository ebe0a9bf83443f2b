package pemblar.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;

/** What is called the morning's is what the evening before left: nobody mixes the two by their names. */
@Tag("unit")
class TrendDayTest {
    @Test
    void aMorningIsWhatTheEveningBeforeLeft() {
        double[] loads = {0, 80, 120, 0, 60, 200, 0, 0, 90};
        List<StateApi.TrendDay> days =
                LoadTrend.of(LocalDate.of(2026, 5, 4), loads, LoadTrend.Settings.DEFAULT).stream()
                        .map(StateApi.TrendDay::of)
                        .toList();
        for (int i = 1; i < days.size(); i++) {
            StateApi.TrendDay before = days.get(i - 1);
            assertThat(days.get(i).chronicMorning()).isCloseTo(before.chronicEvening(), within(1e-9));
            assertThat(days.get(i).balanceMorning())
                    .isCloseTo(before.chronicEvening() - before.acuteEvening(), within(1e-9));
        }
        assertThat(days.get(2).chronicEvening()).isNotCloseTo(days.get(2).chronicMorning(), within(0.5));
    }
}
