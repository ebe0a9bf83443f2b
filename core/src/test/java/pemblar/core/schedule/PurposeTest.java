package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.Rescheduling.Other;
import pemblar.core.schedule.Rescheduling.Proposal;

class PurposeTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 3);

    /** By hand: 2 h at 64 % of threshold cost 2 x 0.64 x 0.64 x 100 = 81.92. */
    @Test
    void twoEasyHoursHaveALoadWithoutAnyStep() {
        assertThat(Purpose.EASY.load(7200)).isCloseTo(81.92, within(1e-9));
        assertThat(Purpose.EASY.secondsFor(81.92)).isCloseTo(7200, within(1e-6));
    }

    @Test
    void anEffortIsTrainedByWhatIsNearIt() {
        assertThat(List.of(15, 300, 1200, 7200).stream().map(Purpose::training))
                .containsExactly(Purpose.SPRINTS, Purpose.INTERVALS, Purpose.THRESHOLD, Purpose.TEMPO);
    }

    private static Other hard(int day) {
        return new Other(DAY.plusDays(day), DAY.plusDays(day).toEpochDay() * 24.0 + 18, true);
    }

    @Test
    void aHardSessionThatLosesItsDayKeepsAwayFromTheOthers() {
        List<Proposal> proposals = Rescheduling.of(
                new Rescheduling.Moving(DAY, 18, true, false),
                List.of(hard(-2), hard(2)),
                Set.of(DAY.plusDays(4)),
                DAY.minusDays(1));
        assertThat(proposals).hasSize(3);
        assertThat(proposals.get(0).day()).isEqualTo(DAY.plusDays(5));
        assertThat(proposals.get(0).tooNearToHard()).isFalse();
        assertThat(proposals.get(1).tooNearToHard()).isTrue();
    }

    @Test
    void anEasySessionMovesToTheNearestEmptyDay() {
        Proposal best = Rescheduling.of(
                        new Rescheduling.Moving(DAY, 18, false, false),
                        List.of(new Other(DAY.plusDays(1), 0, false)),
                        Set.of(),
                        DAY)
                .get(0);
        assertThat(best.day()).isEqualTo(DAY.plusDays(2));
    }

    @Test
    void heavyLegWorkMovesToADayThatIsNotTheEveOfSomethingHard() {
        List<Other> others = List.of(new Other(DAY.plusDays(2), (DAY.toEpochDay() + 2) * 24.0 + 17, true));
        Proposal best = Rescheduling.of(new Rescheduling.Moving(DAY, 18, false, true), others, Set.of(), DAY)
                .get(0);
        assertThat(best.day()).isEqualTo(DAY.plusDays(3));
        assertThat(best.tooNearToHard()).isFalse();
        Proposal light = Rescheduling.of(new Rescheduling.Moving(DAY, 18, false, false), others, Set.of(), DAY)
                .get(0);
        assertThat(light.day()).isEqualTo(DAY.plusDays(1));
    }
}
