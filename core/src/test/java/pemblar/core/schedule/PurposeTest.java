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
        return other(day, 18, true);
    }

    private static Other other(int day, double hour, boolean hard) {
        double at = DAY.plusDays(day).toEpochDay() * 24.0 + hour;
        return new Other(DAY.plusDays(day), new Spacing.Span(at, at + 1), hard, false);
    }

    private static Rescheduling.Days days(LocalDate earliest, LocalDate... unavailable) {
        return new Rescheduling.Days(Set.of(unavailable), earliest, 36);
    }

    @Test
    void aHardSessionThatLosesItsDayKeepsAwayFromTheOthers() {
        List<Proposal> proposals = Rescheduling.of(
                new Rescheduling.Moving(DAY, 18, 1, true, false),
                List.of(hard(-2), hard(2)),
                days(DAY.minusDays(1), DAY.plusDays(4)));
        assertThat(proposals).hasSize(3);
        assertThat(proposals.get(0).day()).isEqualTo(DAY.plusDays(5));
        assertThat(proposals.get(0).tooNearToHard()).isFalse();
        assertThat(proposals.get(1).tooNearToHard()).isTrue();
    }

    @Test
    void anEasySessionMovesToTheNearestEmptyDay() {
        Proposal best = Rescheduling.of(
                        new Rescheduling.Moving(DAY, 18, 1, false, false), List.of(other(1, 0, false)), days(DAY))
                .get(0);
        assertThat(best.day()).isEqualTo(DAY.plusDays(2));
    }

    @Test
    void heavyLegWorkMovesToADayThatIsNotTheEveOfSomethingHard() {
        List<Other> others = List.of(other(2, 17, true));
        Proposal best = Rescheduling.of(new Rescheduling.Moving(DAY, 18, 1, false, true), others, days(DAY))
                .get(0);
        assertThat(best.day()).isEqualTo(DAY.plusDays(3));
        assertThat(best.tooNearToHard()).isFalse();
        Proposal light = Rescheduling.of(new Rescheduling.Moving(DAY, 18, 1, false, false), others, days(DAY))
                .get(0);
        assertThat(light.day()).isEqualTo(DAY.plusDays(1));
    }
}
