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
        List<Spacing.Gap> gaps = Spacing.gaps(List.of(span(33, 36), span(18, 19), span(90, 91)), 36);
        assertThat(gaps.stream().map(Spacing.Gap::hours)).containsExactly(14.0, 54.0);
        assertThat(gaps.stream().map(Spacing.Gap::near)).containsExactly(true, false);
    }

    @Test
    void howFarApartIsThePersonsToSayAndCountsFromTheEnd() {
        List<Spacing.Span> hard = List.of(span(9, 12), span(47, 48));
        assertThat(Spacing.gaps(hard, 36).get(0).hours()).isEqualTo(35.0);
        assertThat(Spacing.gaps(hard, 36).get(0).near())
                .as("38 h from start to start")
                .isTrue();
        assertThat(Spacing.gaps(hard, 35).get(0).near()).isFalse();
        assertThat(Spacing.gaps(List.of(span(9, 12), span(11, 12)), 36).get(0).hours())
                .isZero();
    }

    private static Spacing.Span span(double start, double end) {
        return new Spacing.Span(start, end);
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
