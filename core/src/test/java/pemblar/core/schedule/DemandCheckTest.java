package pemblar.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import pemblar.core.schedule.DemandCheck.Verdict;

class DemandCheckTest {
    @Test
    void whatWasHeldIsThere() {
        assertThat(DemandCheck.of(300, 300, 305, 330, true).verdict()).isEqualTo(Verdict.THERE);
    }

    @Test
    void whatIsThereFreshButNotTiredAsksForLongSessions() {
        DemandCheck check = DemandCheck.of(300, 300, 280, 320, true);
        assertThat(check.verdict()).isEqualTo(Verdict.MISSING);
        assertThat(check.missing()).isEqualTo(20);
        assertThat(check.train()).isEqualTo(Purpose.LONG);
    }

    @Test
    void whatIsMissingFreshIsTrainedByItsDuration() {
        assertThat(DemandCheck.of(300, 300, 280, 280, false).train()).isEqualTo(Purpose.INTERVALS);
        assertThat(DemandCheck.of(1200, 300, 280, 280, false).train()).isEqualTo(Purpose.THRESHOLD);
    }

    @Test
    void anEasyRideIsNoProofOfWeakness() {
        assertThat(DemandCheck.of(300, 300, 200, 320, true).verdict()).isEqualTo(Verdict.NOT_TRIED);
        assertThat(DemandCheck.of(300, 300, Double.NaN, 320, true).verdict()).isEqualTo(Verdict.NOT_TRIED);
    }
}
