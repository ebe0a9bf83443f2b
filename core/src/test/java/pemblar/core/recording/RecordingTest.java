package pemblar.core.recording;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;

class RecordingTest {
    private static final Instant START = Instant.parse("2025-05-04T06:00:00Z");

    @Test
    void clockTimeCountsThePausesBeforeAGridPoint() {
        Recording ride =
                new Recording(Sport.RIDE, START, 10, List.of(new Pause(4, 60), new Pause(8, 5)), Map.of(), List.of());
        assertEquals(3, ride.clockSecondsAt(3));
        assertEquals(64, ride.clockSecondsAt(4));
        assertEquals(75, ride.elapsedSeconds());
        assertEquals(START.plusSeconds(75), ride.end());
    }

    @Test
    void distanceIsTheLastValueThere() {
        Recording ride = new Recording(
                Sport.RIDE, START, 4, List.of(), Map.of("distance", Series.of(1, 2, 3, Double.NaN)), List.of());
        assertEquals(3, ride.distanceMetres().orElseThrow());
        assertTrue(new Recording(Sport.RIDE, START, 4, List.of(), Map.of(), List.of())
                .distanceMetres()
                .isEmpty());
    }

    @Test
    void aChannelOfAnotherLengthIsRefusedByName() {
        var refused = assertThrows(
                IllegalArgumentException.class,
                () -> new Recording(Sport.RIDE, START, 3, List.of(), Map.of("power", Series.of(1, 2)), List.of()));
        assertTrue(refused.getMessage().contains("power"));
        assertThrows(IllegalArgumentException.class, () -> new Lap(5, 3, 0));
        assertThrows(IllegalArgumentException.class, () -> new Pause(1, Double.NaN));
    }

    @Test
    void meansLeaveMissingValuesOut() {
        Series series = Series.of(100, Double.NaN, 200, 0);
        assertEquals(100, series.mean(), 1e-12);
        assertEquals(3, series.present());
        assertEquals(200, series.max(1, 4), 0);
        assertTrue(Double.isNaN(series.mean(1, 2)));
        assertEquals(Math.sqrt(20_000 / 3.0), series.deviation(0, 4), 1e-9);
    }

    @Test
    void aSeriesKeepsACopy() {
        double[] values = {1, 2};
        Series series = Series.of(values);
        values[0] = 9;
        assertEquals(1, series.at(0));
        assertEquals(Series.of(1, 2), series);
    }

    @Test
    void samplesMayNotGoBackAndSameTimesJoin() {
        Samples samples = new Samples();
        assertTrue(samples.open(5));
        samples.put("power", 100);
        assertTrue(samples.open(5));
        samples.put("heartRate", 120);
        assertFalse(samples.open(4));
        assertFalse(samples.open(Double.NaN));
        assertEquals(1, samples.count());
        assertEquals(List.of("power", "heartRate"), samples.channelNames());
        for (int i = 6; i < 5000; i++) assertTrue(samples.open(i));
        assertTrue(Double.isNaN(samples.get("power")));
        assertEquals(120, samples.valueAt("heartRate", 0));
    }

    @Test
    void namesLikeANativeChannelsAreSeen() {
        assertTrue(Channel.HEART_RATE.isNamedLike("Heart Rate") && Channel.HEART_RATE.isNamedLike("heart_rate"));
        assertFalse(Channel.POWER.isNamedLike("Power balance"));
    }
}
