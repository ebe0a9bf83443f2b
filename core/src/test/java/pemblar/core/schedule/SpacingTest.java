package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class SpacingTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);

    private static List<LocalDate> days(int... numbers) {
        List<LocalDate> days = new ArrayList<>();
        for (int n : numbers) days.add(DAY.plusDays(n));
        return days;
    }

    @Test
    void theGapBetweenAnEveningAndTheNextMorningIsNear() {
        List<Spacing.Gap> gaps = Spacing.gaps(List.of(18.0, 33.0, 90.0));
        assertThat(gaps.stream().map(Spacing.Gap::hours)).containsExactly(15.0, 57.0);
        assertThat(gaps.stream().map(Spacing.Gap::near)).containsExactly(true, false);
    }

    @Test
    void aWeekIsNoLongRunButEightDaysAre() {
        assertThat(Spacing.longRun(days(0, 1, 2, 3, 4, 5, 6), DAY, DAY.plusDays(20)))
                .isEmpty();
        assertThat(Spacing.longRun(days(0, 1, 2, 3, 4, 5, 6, 7, 9), DAY, DAY.plusDays(20))
                        .orElseThrow()
                        .days())
                .isEqualTo(8);
    }

    @Test
    void aRunThatEndedBeforeTheSpanIsNotPointedOut() {
        assertThat(Spacing.longRun(days(0, 1, 2, 3, 4, 5, 6, 7), DAY.plusDays(10), DAY.plusDays(20)))
                .isEmpty();
    }
}
