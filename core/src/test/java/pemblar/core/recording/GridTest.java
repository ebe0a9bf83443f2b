package pemblar.core.recording;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Grid.Running;

class GridTest {
    private static Samples samples(double... secondsAndWatts) {
        Samples samples = new Samples();
        for (int i = 0; i < secondsAndWatts.length; i += 2) {
            samples.open(secondsAndWatts[i]);
            samples.put("power", secondsAndWatts[i + 1]);
        }
        return samples;
    }

    @Test
    void nSamplesOneSecondApartAreNSeconds() {
        Grid grid = new Grid(samples(0, 100, 1, 110, 2, 120), List.of(new Running(0, 2)));
        assertEquals(3, grid.seconds());
        assertEquals(Series.of(100, 110, 120), grid.channels().get("power"));
    }

    @Test
    void aStopOneSecondAfterTheLastSampleAddsNoSecond() {
        assertEquals(3, new Grid(samples(0, 100, 1, 110, 2, 120), List.of(new Running(0, 3))).seconds());
    }

    @Test
    void tenSecondsAreBridgedLinearlyAndElevenAreNot() {
        Series bridged = new Grid(samples(0, 100, 10, 200), List.of(new Running(0, 10)))
                .channels()
                .get("power");
        assertEquals(150, bridged.at(5), 1e-9);
        Series open = new Grid(samples(0, 100, 11, 200), List.of(new Running(0, 11)))
                .channels()
                .get("power");
        assertEquals(2, open.present());
        assertTrue(Double.isNaN(open.at(5)));
    }

    @Test
    void aPauseIsNoGapButClockTimeBetweenTwoGridPoints() {
        Grid grid = new Grid(
                samples(0, 100, 1, 100, 2, 100, 60, 130, 61, 130), List.of(new Running(0, 2), new Running(60, 61)));
        assertEquals(5, grid.seconds());
        assertEquals(5, grid.channels().get("power").present());
        assertEquals(List.of(new Pause(3, 57)), grid.pauses());
    }

    @Test
    void samplesTakenWhileTheTimerStoodAreLeftOutAndCounted() {
        Grid grid =
                new Grid(samples(0, 100, 1, 100, 30, 999, 60, 130), List.of(new Running(0, 1), new Running(60, 60)));
        assertEquals(1, grid.leftOut());
        assertEquals(130, grid.channels().get("power").max(), 0);
    }

    @Test
    void neighboursAreFoundForEachChannelApart() {
        Samples samples = samples(0, 100, 1, Double.NaN, 2, 104);
        samples.open(3);
        samples.put("heartRate", 120);
        Grid grid = new Grid(samples, List.of(new Running(0, 3)));
        assertEquals(102, grid.channels().get("power").at(1), 1e-9);
        assertFalse(grid.channels().get("power").isPresent(3));
        assertEquals(1, grid.channels().get("heartRate").present());
    }

    @Test
    void anEndlessRecordingIsRefusedBeforeAnyMemoryIsTaken() {
        assertThrows(IllegalArgumentException.class, () -> new Grid(samples(0, 1), List.of(new Running(0, 4e9))));
    }
}
