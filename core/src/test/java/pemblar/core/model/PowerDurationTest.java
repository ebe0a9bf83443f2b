package pemblar.core.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve.Point;

class PowerDurationTest {
    private static final double CP = 260;
    private static final double RESERVE = 20_000;
    private static final double MAXIMAL = 900;

    private static double morton(double seconds) {
        return CP + RESERVE / (seconds + RESERVE / (MAXIMAL - CP));
    }

    private static CriticalPower fit(double... secondsAndWatts) {
        List<Effort> efforts = new ArrayList<>();
        for (int i = 0; i < secondsAndWatts.length; i += 2)
            efforts.add(new Effort(secondsAndWatts[i], secondsAndWatts[i + 1]));
        return CriticalPower.fit(efforts).orElseThrow();
    }

    @Test
    void threeEffortsOnALineGiveItsSlopeAndHeight() {
        // W' + CP t = 20 000 + 260 t: 180 s 371.11 W, 600 s 293.33 W, 1200 s 276.67 W
        CriticalPower c = fit(180, 20_000 / 180.0 + 260, 600, 20_000 / 600.0 + 260, 1200, 20_000 / 1200.0 + 260);
        assertEquals(260, c.watts(), 1e-9);
        assertEquals(20_000, c.reserveJoules(), 1e-6);
        assertTrue(c.isEnough());
    }

    @Test
    void theErrorsAreThoseOfALineThroughScatteredPoints() {
        // t 200, 600, 1000; work 72 000, 174 000, 282 000: mean t 600, mean work 176 000; Sxx 320 000, Sxy 84 000 000:
        // CP 262.5, W' 18 500
        // residuals 1 000, -2 000, 1 000: RSS 6e6, s = sqrt(6e6 / 1) = 2449.5, above 1 % of 176 000
        // CP error 2449.5 / sqrt(320 000) = 4.3301; W' error 2449.5 x sqrt(1/3 + 360 000 / 320 000) = 2449.5 x 1.20761
        // = 2958.0
        CriticalPower c = fit(200, 360, 600, 290, 1000, 282);
        assertEquals(262.5, c.watts(), 1e-9);
        assertEquals(18_500, c.reserveJoules(), 1e-6);
        assertEquals(4.3301, c.wattsError(), 1e-4);
        assertEquals(2958.0, c.reserveError(), 0.1);
    }

    @Test
    void pointsThatHappenToLieOnALineAreStillUncertain() {
        assertTrue(fit(180, 371.1111, 600, 293.3333, 1200, 276.6667).wattsError() > 1);
    }

    @Test
    void twoEffortsOrThreeCloseOnesAreNotEnough() {
        assertFalse(fit(180, 371, 1200, 277).isEnough());
        assertFalse(fit(480, 301.7, 600, 293.3, 720, 287.8).isEnough());
    }

    @Test
    void theMostHelpfulTestIsTheOneThatLowersTheError() {
        CriticalPower c = fit(360, 20_000 / 360.0 + 260, 720, 20_000 / 720.0 + 260, 1200, 20_000 / 1200.0 + 260);
        CriticalPower.Advice advice = c.mostHelpful();
        assertEquals(CriticalPower.Parameter.W_PRIME, advice.parameter());
        assertEquals(120, advice.seconds());
        assertEquals(c.reserveError(), advice.errorNow(), 1e-9);
        // the same line with that effort added, at the same scatter: sqrt(1/4 + 600^2 / Sxx of four) over sqrt(1/3 +
        // 760^2 / Sxx of three) of it
        double sxx = sumOfSquares(360, 720, 1200);
        double more = sumOfSquares(120, 360, 720, 1200);
        double expected =
                c.reserveError() * Math.sqrt(0.25 + 600.0 * 600 / more) / Math.sqrt(1 / 3.0 + 760.0 * 760 / sxx);
        assertEquals(expected, advice.errorAfter(), 1e-6);
    }

    private static double sumOfSquares(double... values) {
        double mean = java.util.Arrays.stream(values).average().orElseThrow();
        return java.util.Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum();
    }

    /** A curve as training leaves it: all-out at a few durations, and flat or falling steeply between. */
    private static List<Point> training(int... allOut) {
        List<Point> points = new ArrayList<>();
        for (int seconds : pemblar.core.effort.MeanMaximal.durations(3600)) {
            double best = 0;
            long source = 0;
            for (int effort : allOut) {
                double held = seconds <= effort
                        ? morton(effort)
                        : (morton(effort) * effort + 150.0 * (seconds - effort)) / seconds;
                if (held > best) {
                    best = held;
                    source = effort;
                }
            }
            points.add(new Point(seconds, best, source));
        }
        return points;
    }

    @Test
    void onlyAllOutEffortsCount() {
        PowerDuration model = PowerDuration.of(training(2, 15, 60, 180, 480, 1200));
        CriticalPower c = model.critical().orElseThrow();
        assertEquals(CP, c.watts(), 4);
        assertTrue(c.isEnough());
        MaximalPower m = model.maximal().orElseThrow();
        assertEquals(CP, m.criticalWatts(), 5);
        assertEquals(RESERVE, m.reserveJoules(), 2500);
        assertEquals(MAXIMAL, m.maximalWatts(), 25);
        assertEquals(morton(300), m.at(300), 4);
        assertTrue(m.errorAt(300) > 0 && m.errorAt(300) < 15);
    }

    @Test
    void aLongHardRideDoesNotDrawTheLineDown() {
        // all-out 3 and 12 min; an hour at 262 W is no all-out effort of 20 min
        List<Point> points = new ArrayList<>();
        for (Point p : training(180, 720)) points.add(p.value() < 262 ? new Point(p.seconds(), 262, 9) : p);
        CriticalPower c = PowerDuration.of(points).critical().orElseThrow();
        assertTrue(c.reserveJoules() < 25_000, "W' " + c.reserveJoules());
        assertFalse(c.isEnough());
    }

    @Test
    void aSpikeDoesNotTouchCriticalPower() {
        List<Point> sound = training(2, 15, 60, 180, 480, 1200);
        List<Point> spiked = new ArrayList<>(sound);
        spiked.set(0, new Point(1, 2200, 77));
        assertEquals(
                PowerDuration.of(sound).critical(), PowerDuration.of(spiked).critical());
    }

    @Test
    void withoutEffortsThereIsNoModelAndAllTestsAreMissing() {
        PowerDuration none = PowerDuration.of(List.of());
        assertTrue(none.critical().isEmpty() && none.maximal().isEmpty());
        assertEquals(List.of(180, 720, 1200, 360), none.testsMissing());
    }

    @Property(tries = 200)
    void anyTrueLineIsFound(
            @ForAll @DoubleRange(min = 120, max = 420) double cp,
            @ForAll @DoubleRange(min = 8000, max = 35_000) double reserve) {
        CriticalPower c = fit(150, cp + reserve / 150, 400, cp + reserve / 400, 1100, cp + reserve / 1100);
        assertEquals(cp, c.watts(), 1e-6);
        assertEquals(reserve, c.reserveJoules(), 1e-3);
    }
}
