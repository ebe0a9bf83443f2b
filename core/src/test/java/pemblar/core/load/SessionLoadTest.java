package pemblar.core.load;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;

class SessionLoadTest {
    private static final Thresholds HEART = Thresholds.NONE
            .with(Quantity.RESTING_HEART_RATE, 50)
            .with(Quantity.MAXIMUM_HEART_RATE, 190)
            .with(Quantity.THRESHOLD_HEART_RATE, 170);

    private static Series constant(double value, int seconds) {
        double[] values = new double[seconds];
        Arrays.fill(values, value);
        return Series.of(values);
    }

    @Test
    void anHourAtThresholdIsAHundredFromEverySource() {
        assertEquals(100, SessionLoad.ofIntensity(3600, 1), 1e-12);
        assertEquals(100, SessionLoad.ofHeartRate(constant(170, 3600), HEART), 1e-9);
        assertEquals(100, SessionLoad.ofPerceivedEffort(3600, 7), 1e-12);
        assertEquals(1, SessionLoad.intensityOfPerceivedEffort(7), 1e-12);
    }

    @Test
    void heartRateLoadFollowsTheImpulseOfEachSexAndTheirMean() {
        double x = 80.0 / 140;
        double threshold = 120.0 / 140;
        double men = 100 * x * Math.exp(1.92 * x) / (threshold * Math.exp(1.92 * threshold));
        double women = 100 * x * Math.exp(1.67 * x) / (threshold * Math.exp(1.67 * threshold));
        Series hour = constant(130, 3600);
        assertEquals(men, SessionLoad.ofHeartRate(hour, new Thresholds(HEART.values(), Sex.MALE)), 1e-9);
        assertEquals(women, SessionLoad.ofHeartRate(hour, new Thresholds(HEART.values(), Sex.FEMALE)), 1e-9);
        assertEquals((men + women) / 2, SessionLoad.ofHeartRate(hour, HEART), 1e-9);
    }

    @Test
    void missingSecondsCountAtTheMeanOfThePresent() {
        double[] half = new double[3600];
        Arrays.fill(half, 170);
        Arrays.fill(half, 1800, 3600, Double.NaN);
        assertEquals(100, SessionLoad.ofHeartRate(Series.of(half), HEART), 1e-9);
    }

    @Test
    void powerCountsBeforeSpeedBeforeHeartRate() {
        Thresholds all = HEART.with(Quantity.RUNNING_THRESHOLD_POWER, 200)
                .with(Quantity.THRESHOLD_POWER, 300)
                .with(Quantity.THRESHOLD_SPEED, 4);
        Recording run = new Recording(
                Sport.RUN,
                Instant.EPOCH,
                3600,
                List.of(),
                Map.of("power", constant(100, 3600), "speed", constant(4, 3600), "heartRate", constant(170, 3600)),
                List.of());
        SessionSummary summary = SessionSummary.of(run, all);
        assertEquals(
                List.of(Source.POWER, Source.SPEED, Source.HEART_RATE),
                List.copyOf(summary.loads().keySet()));
        assertEquals(25, LoadChoice.BY_ORDER.of(summary.loads()).orElseThrow().points(), 1e-9);
        assertEquals(0.5, summary.intensity().orElseThrow(), 1e-9);
        assertEquals(100, summary.loads().get(Source.SPEED), 1e-9);
    }

    @Test
    void whatCannotBeComputedIsNotThere() {
        Recording ride =
                new Recording(Sport.RIDE, Instant.EPOCH, 60, List.of(), Map.of("speed", constant(8, 60)), List.of());
        SessionSummary summary = SessionSummary.of(ride, Thresholds.NONE.with(Quantity.THRESHOLD_SPEED, 4));
        assertTrue(LoadChoice.BY_ORDER.of(summary.loads()).isEmpty()
                && summary.flatSpeed().isEmpty()
                && summary.bests().isEmpty());
        assertFalse(SessionLoad.canUseHeartRate(HEART.with(Quantity.THRESHOLD_HEART_RATE, 195)));
    }

    @Test
    void underNinetyPercentPresentIsSaid() {
        double[] values = new double[100];
        Arrays.fill(values, 0, 11, Double.NaN);
        Recording ride =
                new Recording(Sport.RIDE, Instant.EPOCH, 100, List.of(), Map.of("power", Series.of(values)), List.of());
        assertEquals(List.of("power"), SessionSummary.of(ride, Thresholds.NONE).lowData());
        values[10] = 5;
        Recording sound =
                new Recording(Sport.RIDE, Instant.EPOCH, 100, List.of(), Map.of("power", Series.of(values)), List.of());
        assertEquals(List.of(), SessionSummary.of(sound, Thresholds.NONE).lowData());
    }
}
