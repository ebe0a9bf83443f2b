package pemblar.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.strength.SetHistory.Lifted;

class SetHistoryTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 1);

    private static Lifted set(int day, String exercise, double kilograms, int repetitions, int inReserve) {
        return new Lifted(MONDAY.plusDays(day), exercise, kilograms, repetitions, inReserve);
    }

    private static final List<Lifted> SQUATS = List.of(
            set(0, "back squat", 80, 5, -1),
            set(0, "back squat", 90, 3, 2),
            set(3, "back squat", 90, 3, -1),
            set(7, "back squat", 60, 20, -1),
            set(7, "back squat", 100, 0, -1));

    /** By hand: 80 x (1 + 5/30) = 93.3; 90 x (1 + 5/30) = 105 with the two in reserve; 90 x 1.1 = 99. */
    @Test
    void theDaysEstimateCountsWhatWasInReserveAndNeitherTwentyRepetitionsNorAFailedSet() {
        Map<LocalDate, Double> estimates = SetHistory.estimates(SQUATS);
        assertThat(estimates.keySet()).containsExactly(MONDAY, MONDAY.plusDays(3));
        assertThat(estimates.get(MONDAY)).isCloseTo(105, within(1e-9));
        assertThat(estimates.get(MONDAY.plusDays(3))).isCloseTo(99, within(1e-9));
    }

    @Test
    void theBestSetOfANumberOfRepetitionsIsTheHeaviestAndOfEqualsTheFirst() {
        Map<Integer, Lifted> bests = SetHistory.bests(SQUATS);
        assertThat(bests.keySet()).containsExactly(3, 5, 20);
        assertThat(bests.get(3).day()).isEqualTo(MONDAY);
        assertThat(SetHistory.bests(List.of(SQUATS.get(2), SQUATS.get(1)))
                        .get(3)
                        .day())
                .isEqualTo(MONDAY);
    }

    @Test
    void volumeIsLoadTimesRepetitionsByTheWeekAndSetsAreCountedByMovement() {
        assertThat(SetHistory.volume(SQUATS))
                .containsExactly(Map.entry(MONDAY, 80 * 5 + 90 * 3 + 90 * 3.0), Map.entry(MONDAY.plusDays(7), 1200.0));
        List<Lifted> mixed = List.of(SQUATS.get(0), set(2, "row", 50, 8, -1), set(6, "row", 50, 8, -1));
        Map<Movement, Map<LocalDate, Double>> counts =
                SetHistory.counts(mixed, name -> name.equals("row") ? Movement.PULL : Movement.SQUAT);
        assertThat(counts.get(Movement.PULL)).containsExactly(Map.entry(MONDAY, 2.0));
        assertThat(counts.get(Movement.SQUAT)).containsExactly(Map.entry(MONDAY, 1.0));
    }
}
