package pemblar.app.checkin;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.checkin.LanesDrawing.Tick;
import pemblar.core.range.DayRange;

@Tag("unit")
class LanesDrawingTest {
    private static List<String> months(LocalDate today) {
        return LanesDrawing.of(new TreeMap<>(), new TreeMap<>(), List.of(), new DayRange(today.minusDays(89), today))
                .months()
                .stream()
                .map(Tick::text)
                .toList();
    }

    @Test
    void aMonthThatBeginsAtTheRightEdgeHasNoRoomForItsName() {
        assertThat(months(LocalDate.of(2026, 11, 30))).containsExactly("Oct", "Nov");
        assertThat(months(LocalDate.of(2026, 12, 1))).containsExactly("Oct", "Nov", "");
        assertThat(months(LocalDate.of(2026, 12, 6))).containsExactly("Oct", "Nov", "Dec");
    }
}
