package pemblar.core.threshold;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance.Origin;

class EnduranceTest {
    private static Point point(int seconds, double value, long source) {
        return new Point(seconds, value, source);
    }

    private static List<Point> powerLaw(double k, int... seconds) {
        List<Point> points = new ArrayList<>();
        for (int s : seconds) points.add(point(s, 300 * Math.pow(s / 1200.0, -k), s));
        return points;
    }

    @Test
    void ownEffortsGiveTheirExponent() {
        Endurance own = Endurance.ofPower(powerLaw(0.085, 1200, 2400, 3600, 7200));
        assertEquals(0.085, own.k(), 1e-9);
        assertEquals(Origin.OWN_EFFORTS, own.origin());
        assertEquals(4, own.efforts());
        assertEquals(6, own.span(), 1e-9);
    }

    @Test
    void anEasyRideAmongTheBestsDoesNotCount() {
        List<Point> points = new ArrayList<>(powerLaw(0.07, 1200, 2400, 3600, 7200, 10_800));
        points.add(point(14_400, 300 * Math.pow(12, -0.07) * 0.8, 99));
        assertEquals(0.07, Endurance.ofPower(points).k(), 0.01);
    }

    @Test
    void withTooFewOrTooAlikeTheDefaultHolds() {
        assertEquals(new Endurance(0.07, Origin.DEFAULT, 0, 0), Endurance.ofPower(powerLaw(0.085, 1200, 7200)));
        assertEquals(
                Origin.DEFAULT,
                Endurance.ofPower(powerLaw(0.085, 1200, 2400, 3000)).origin());
        assertEquals(
                Origin.DEFAULT,
                Endurance.ofPower(powerLaw(0.3, 1200, 2400, 7200)).origin());
        assertEquals(Origin.DEFAULT, Endurance.ofPower(List.of()).origin());
    }

    @Test
    void aRunnersExponentComesFromTheDistanceToTheWorldsBest() {
        // 10 km in twice 1571 s: 0.05 + 0.06 x log2(2) = 0.11
        assertEquals(
                0.11, Endurance.ofRunning(List.of(), 10_000, 3142, Sex.MALE).k(), 1e-9);
        assertEquals(
                0.05, Endurance.ofRunning(List.of(), 10_000, 1571, Sex.MALE).k(), 1e-9);
        assertEquals(
                0.12, Endurance.ofRunning(List.of(), 10_000, 6000, Sex.MALE).k(), 1e-9);
        double women = Endurance.ofRunning(List.of(), 10_000, 2400, Sex.FEMALE).k();
        double men = Endurance.ofRunning(List.of(), 10_000, 2400, Sex.MALE).k();
        assertTrue(women < men);
        double either =
                Endurance.ofRunning(List.of(), 10_000, 2400, Sex.NOT_GIVEN).k();
        assertTrue(women < either && either < men);
    }

    @Test
    void betweenTwoDistancesTheWorldsBestFollowsAPowerLaw() {
        // 15 km between 10 km in 1571 s and 21.0975 km in 3450 s: exponent ln(3450/1571)/ln(2.10975) = 1.0536; 1571 x
        // 1.5^1.0536 = 2408 s
        assertEquals(2408, WorldBest.seconds(15_000, Sex.MALE), 2);
        assertTrue(WorldBest.seconds(1000, Sex.FEMALE) < WorldBest.seconds(1500, Sex.FEMALE));
        assertTrue(WorldBest.seconds(200_000, Sex.FEMALE) > 2 * WorldBest.seconds(100_000, Sex.FEMALE));
    }

    /** By hand with k = 0.06: 40 min for 10 km give 40 x 2^(1 / 0.94) = 83.6 min for 20 km. */
    @Test
    void twiceTheDistanceTakesMoreThanTwiceTheTime() {
        assertEquals(83.6 * 60, Endurance.usual(Sport.RUN).secondsFor(20_000, 10_000, 2400), 5);
    }
}
