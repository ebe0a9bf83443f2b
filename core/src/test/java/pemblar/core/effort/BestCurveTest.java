package pemblar.core.effort;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

class BestCurveTest {
    private static Series steady(double value, int seconds) {
        double[] values = new double[seconds];
        Arrays.fill(values, value);
        return Series.of(values);
    }

    @Test
    void eachPointKnowsTheSessionItCameFrom() {
        BestCurve curve = new BestCurve();
        curve.raise(1, BestCurve.onGrid(steady(300, 200)), 1);
        curve.raise(2, BestCurve.onGrid(steady(200, 4000)), 1);
        assertEquals(List.of(new Point(60, 300, 1)), curve.points(60, 60));
        assertEquals(List.of(new Point(3600, 200, 2)), curve.points(3600, 3600));
        assertEquals(200, curve.at(300), 1e-9);
        assertTrue(Double.isNaN(curve.at(7200)));
        assertTrue(Double.isNaN(curve.at(301)));
    }

    /** 5 m/s for 10 min and 4 m/s for an hour: 3 km fall at 10 min, 10 km between the two, and 20 km were never run. */
    @Test
    void theShortestTimeForADistanceLiesBetweenTwoDurations() {
        BestCurve curve = new BestCurve();
        curve.raise(1, BestCurve.onGrid(steady(5, 600)), 1);
        curve.raise(2, BestCurve.onGrid(steady(4, 3600)), 1);
        assertEquals(600, curve.secondsOver(3000).orElseThrow(), 1e-6);
        assertEquals(2500, curve.secondsOver(10_000).orElseThrow(), 1e-6);
        assertEquals(3600, curve.secondsOver(14_400).orElseThrow(), 1e-6);
        assertTrue(curve.secondsOver(20_000).isEmpty());
        for (int seconds = 2390; seconds < 2440; seconds++) {
            BestCurve stopped = new BestCurve();
            stopped.raise(1, BestCurve.onGrid(steady(10_000.0 / seconds, seconds)), 1);
            assertEquals(seconds, stopped.secondsOver(10_000).orElseThrow(), 0.01, "stopped at the finish");
            assertTrue(stopped.secondsOver(10_300).isEmpty());
            stopped.raise(2, BestCurve.onGrid(steady(3, 5000)), 1);
            assertEquals(seconds, stopped.secondsOver(10_000).orElseThrow(), 0.01, "whatever was run for longer");
        }
        assertTrue(new BestCurve().secondsOver(1000).isEmpty());
    }

    @Test
    void aDivisorGivesValuesPerKilogramOfTheDay() {
        BestCurve curve = new BestCurve();
        curve.raise(1, BestCurve.onGrid(steady(300, 100)), 75);
        curve.raise(2, BestCurve.onGrid(steady(290, 100)), 60);
        curve.raise(3, BestCurve.onGrid(steady(900, 100)), Double.NaN);
        assertEquals(290 / 60.0, curve.at(60), 1e-9);
    }

    @Test
    void aSetWithRestsAtTheWallIsNoContinuousEffort() {
        double[] speeds = new double[360];
        for (int i = 0; i < 360; i++) speeds[i] = i % 120 < 100 ? 1.2 : 0;
        for (Sport sport : List.of(Sport.SWIM, Sport.RUN)) {
            Recording recording =
                    new Recording(sport, Instant.EPOCH, 360, List.of(), Map.of("speed", Series.of(speeds)), List.of());
            Series onGrid =
                    BestCurve.onGrid(BestCurve.counted(recording, Channel.SPEED).orElseThrow());
            BestCurve curve = new BestCurve();
            curve.raise(1, onGrid, 1);
            assertEquals(1.2, curve.at(60), 1e-9);
            assertEquals(sport == Sport.SWIM, Double.isNaN(curve.at(180)), sport.toString());
        }
    }

    @Property(tries = 60)
    void theGridOfARecordingEndsWithIt(@ForAll @IntRange(min = 1, max = 5000) int seconds) {
        Series onGrid = BestCurve.onGrid(steady(100, seconds));
        BestCurve curve = new BestCurve();
        curve.raise(1, onGrid, 1);
        List<Point> points = curve.points();
        assertEquals(onGrid.size(), points.size());
        assertTrue(points.get(points.size() - 1).seconds() <= seconds);
        assertTrue(points.stream().allMatch(p -> p.value() == 100));
    }

    @Test
    void aSpikeIsBridgedAndALongStretchIsMissing() {
        double[] values = new double[100];
        Arrays.fill(values, 200);
        values[50] = 1900;
        Series spiked = Series.of(values);
        SetAside spike = SetAside.best(spiked, 1);
        assertEquals(new SetAside(50, 51), spike);
        Series sound = SetAside.without(spiked, List.of(spike));
        assertEquals(200, BestCurve.onGrid(sound).at(0), 1e-9);
        assertEquals(100, sound.present());
        assertEquals(1900, spiked.at(50));
        Series cut = SetAside.without(spiked, List.of(new SetAside(40, 60)));
        assertEquals(80, cut.present());
        assertEquals(200, MeanMaximal.curve(cut, 1).get(1), 1e-9);
    }

    @Test
    void theBestWindowIsFoundBetweenGaps() {
        assertEquals(new SetAside(3, 5), SetAside.best(Series.of(9, 1, Double.NaN, 6, 7, 1), 2));
        assertNull(SetAside.best(Series.of(9, Double.NaN, 9), 2));
        assertEquals(new SetAside(0, 1), SetAside.best(Series.of(9, 1), 1));
    }

    @Test
    void aStretchAtTheEdgeHasNoNeighbourToBridgeTo() {
        Series cut = SetAside.without(Series.of(900, 200, 200), List.of(new SetAside(0, 1)));
        assertEquals(2, cut.present());
    }
}
