package pemblar.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Series;

class AfterWorkTest {
    /** An hour and a half at 200 W, five minutes at 300 W first and at 260 W last: 1.08 MJ of even riding between. */
    private static Series ride() {
        double[] watts = new double[6000];
        Arrays.fill(watts, 200);
        Arrays.fill(watts, 0, 300, 300);
        Arrays.fill(watts, 5700, 6000, 260);
        return Series.of(watts);
    }

    private static AfterWork of(Series values, boolean power) {
        AfterWork after = new AfterWork();
        after.raise(AfterWork.onGrid(values, power), 1);
        return after;
    }

    @Test
    void whatWasDoneBeforeTheWorkDoesNotCount() {
        assertThat(of(ride(), true).afterJoules(1_000_000, 300)).isEqualTo(260);
        assertThat(of(ride(), true).afterSeconds(3600, 300)).isEqualTo(260);
    }

    @Test
    void workThatWasNeverReachedHasNoEffort() {
        assertThat(of(ride(), true).afterJoules(2_000_000, 300)).isNaN();
        assertThat(of(ride(), true).afterSeconds(7200, 300)).isNaN();
    }

    @Test
    void aDemandBetweenTwoLevelsIsHeldAgainstTheHarderOne() {
        assertThat(of(ride(), true).afterJoules(700_000, 60))
                .isEqualTo(of(ride(), true).afterJoules(1_000_000, 60));
    }

    @Test
    void betweenTwoDurationsTheValueFollowsAPowerLaw() {
        AfterWork after = of(ride(), true);
        double five = after.afterJoules(1_000_000, 300);
        double seven = after.afterJoules(1_000_000, 420);
        assertThat(after.afterJoules(1_000_000, 355)).isBetween(seven, five);
        assertThat(after.afterJoules(1_000_000, (int) Math.sqrt(300.0 * 420)))
                .isCloseTo(Math.sqrt(five * seven), within(0.5));
    }

    @Test
    void speedKnowsNoWork() {
        assertThat(of(ride(), false).afterJoules(500_000, 300)).isNaN();
        assertThat(of(ride(), false).afterSeconds(3600, 300)).isEqualTo(260);
    }

    @Test
    void missingSecondsDoNoWork() {
        double[] watts = new double[4000];
        Arrays.fill(watts, 250);
        Arrays.fill(watts, 0, 2100, Double.NaN);
        assertThat(of(Series.of(watts), true).afterJoules(500_000, 5)).isNaN();
    }
}
