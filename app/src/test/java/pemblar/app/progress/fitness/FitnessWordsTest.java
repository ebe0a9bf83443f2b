package pemblar.app.progress.fitness;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.aerobic.AerobicTrend;
import pemblar.core.sport.Sport;

@Tag("unit")
class FitnessWordsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 1);

    private static AerobicTrend trend(List<AerobicTrend.Week> weeks, AerobicTrend.Cost... costs) {
        return new AerobicTrend(weeks, List.of(costs), List.of(), List.of(), "road", Optional.empty());
    }

    private static String cost(String name, double percent, double reach, boolean told) {
        AerobicTrend.Cost cost = new AerobicTrend.Cost(name, percent, percent - reach, percent + reach, told);
        return FitnessWords.costs(trend(List.of(), cost)).get(0);
    }

    @Test
    void aCostIsSaidWithItsReach() {
        assertThat(cost("grass", 6.1, 1.8, true)).isEqualTo("Grass costs you 6.1 ± 1.8 % more than road.");
        assertThat(cost(AerobicTrend.HEAT, 0.4, 0.2, true)).isEqualTo("Each degree above 15 °C costs you 0.4 ± 0.2 %.");
        assertThat(cost(AerobicTrend.DRIFT, 3.2, 0.8, true))
                .isEqualTo("Each hour into a session costs you 3.2 ± 0.8 %.");
    }

    @Test
    void heatAndHoursNeverGiveAnything() {
        for (String name : List.of(AerobicTrend.HEAT, AerobicTrend.DRIFT))
            for (boolean told : new boolean[] {true, false})
                assertThat(cost(name, -0.9, 0.7, told))
                        .contains("No such cost is seen")
                        .doesNotContain("0.9");
        assertThat(cost(AerobicTrend.HEAT, -0.1, 0.3, false))
                .isEqualTo("A degree above 15 °C costs you at most 0.2 %; the data cannot tell it from nothing.");
    }

    @Test
    void whatTheDataCannotTellIsARangeAndNoCost() {
        assertThat(cost("trail", 0.9, 0.7, false))
                .isEqualTo("Trail against road: −1.6 to −0.2 %, which may be chance: it is one of several looked at.");
        assertThat(cost("trail", 0.4, 0.7, false))
                .isEqualTo("Trail against road: −1.1 to +0.3 %, which the data cannot tell from nothing.");
        assertThat(cost(AerobicTrend.UNSAID, 1.2, 0.3, true))
                .isEqualTo("Sessions without a surface come out 1.2 ± 0.3 % lower than road.");
    }

    @Test
    void aChangeIsFasterOrMoreAndOnlyWhenItIsApart() {
        AerobicTrend.Week first = new AerobicTrend.Week(DAY, 3.0, 2.95, 3.05);
        AerobicTrend.Week near = new AerobicTrend.Week(DAY.plusDays(7), 3.08, 3.02, 3.14);
        AerobicTrend.Week apart = new AerobicTrend.Week(DAY.plusDays(7), 3.3, 3.2, 3.4);
        assertThat(FitnessWords.sentence(trend(List.of(first, near)), Sport.RUN))
                .contains("within what the data");
        assertThat(FitnessWords.sentence(trend(List.of(first, apart)), Sport.RUN))
                .endsWith(", 10.0 % faster than on 1 Mar 2026.");
        assertThat(FitnessWords.sentence(trend(List.of(apart, first)), Sport.RIDE))
                .contains("9.1 % less than");
    }

    @Test
    void whatIsNotInTheLineIsCountedOnce() {
        FitnessWords.Basis basis = new FitnessWords.Basis(20, 3, 1, 5, 2, 9, 40, 4, 1);
        assertThat(FitnessWords.rests(basis, trend(List.of()), true))
                .contains(
                        "Not in it: 3 sessions without a heart rate.",
                        "Not in it: 1 session without speed.",
                        "Not in it: 5 sessions without 5 steady minutes after the first ten.",
                        "4 sessions have the temperature of the sky: their devices recorded none.",
                        "1 session has no temperature and counts as cool.");
        assertThat(basis.withoutHeartRate()
                        + basis.withoutOutput()
                        + basis.nothingSteady()
                        + basis.outside()
                        + basis.sessions())
                .isEqualTo(basis.recordings());
    }
}
