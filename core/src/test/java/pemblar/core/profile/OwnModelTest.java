package pemblar.core.profile;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.model.PowerDuration;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** What a best effort is held against. */
class OwnModelTest {
    private static final PowerDuration NOTHING = PowerDuration.of(List.of());

    private static OwnModel power(double critical, double reserve, double threshold, PowerDuration fit) {
        return new OwnModel(Sport.RIDE, Measure.POWER, critical, reserve, threshold, fit);
    }

    private static PowerDuration efforts(double critical, double reserve, double maximal, int... seconds) {
        List<Point> points = new ArrayList<>();
        for (int t : seconds)
            points.add(new Point(t, critical + reserve / (t + reserve / (maximal - critical)), points.size()));
        return PowerDuration.of(points);
    }

    /** By hand: 260 + 18,000 / 300 = 320 W; 95 % of it are 304. */
    @Test
    void fromTwoToTwentyMinutesWhatWasAdoptedTells() {
        OwnModel own = power(260, 18_000, Double.NaN, NOTHING);
        assertEquals(320, own.at(300).orElseThrow(), 1e-9);
        assertTrue(own.isTested(300, 304));
        assertFalse(own.isTested(300, 303.9));
        assertFalse(own.isTested(3600, 400), "no threshold tells nothing of an hour");
        assertFalse(own.isTested(5, 900), "no sprints tell nothing of sprints");
    }

    /** By hand: 250 x (55 / 60)^0.07 = 248.5 W for an hour. */
    @Test
    void beyondTwentyMinutesTheThresholdTells() {
        OwnModel own = power(Double.NaN, Double.NaN, 250, NOTHING);
        assertEquals(248.48, own.at(3600).orElseThrow(), 0.01);
        assertTrue(own.isTested(3600, 237));
        assertFalse(own.isTested(3600, 235));
        assertFalse(own.isTested(300, 400), "nothing is adopted for five minutes");
    }

    /** A line goes through the best of its efforts however easy they were: alone it tells nothing. */
    @Test
    void aFitOfTheSameEffortsTellsNothingByItself() {
        PowerDuration fit = efforts(200, 15_000, 700, 2, 15, 60, 180, 480, 1200);
        assertTrue(fit.critical().orElseThrow().isEnough());
        OwnModel none = power(Double.NaN, Double.NaN, Double.NaN, fit);
        assertFalse(none.knowsCriticalPower());
        for (int seconds : new int[] {5, 300, 1200}) assertTrue(none.at(seconds).isEmpty(), seconds + " s");
        OwnModel stronger = power(260, 18_000, 255, fit);
        assertFalse(stronger.isTested(480, fit.at(480).orElseThrow()), "far below what was adopted");
    }

    @Test
    void sprintsAreHeldAgainstAFitThatItsEffortsCarry() {
        PowerDuration fit = efforts(260, 18_000, 900, 2, 15, 60, 180, 480, 1200);
        OwnModel own = power(260, 18_000, 255, fit);
        double at = own.at(15).orElseThrow();
        assertTrue(own.isTested(15, 0.951 * at));
        assertFalse(own.isTested(15, 0.949 * at));
        assertTrue(power(260, 18_000, 255, efforts(260, 18_000, 900, 2, 15, 60))
                .at(15)
                .isEmpty());
    }

    /** By hand: 4 m/s for an hour; two hours at 4 x 2^-0.06. */
    @Test
    void bySpeedTheThresholdAndTheFitTell() {
        OwnModel own = new OwnModel(Sport.RUN, Measure.SPEED, Double.NaN, Double.NaN, 4, NOTHING);
        assertEquals(4, own.at(3600).orElseThrow(), 1e-9);
        assertEquals(3.837, own.at(7200).orElseThrow(), 0.001);
        assertTrue(own.at(600).isEmpty());
    }
}
