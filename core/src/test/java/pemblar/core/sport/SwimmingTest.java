package pemblar.core.sport;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.schedule.Purpose;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.core.zone.ZoneSchemes;
import pemblar.core.zone.Zones;

/** Swimming as the proof that a sport is data: nothing here is asked by name elsewhere. */
class SwimmingTest {
    private static final Thresholds SWIMMER = Thresholds.NONE
            .with(Quantity.SWIMMING_THRESHOLD_SPEED, 1.0)
            .with(Quantity.THRESHOLD_SPEED, 4)
            .with(Quantity.THRESHOLD_POWER, 250);

    private static Workout read(String text) {
        Shorthand.Reading reading = Shorthand.read(text, Sport.SWIM);
        return reading.workout().orElseThrow(() -> new AssertionError(reading.problem()));
    }

    @Test
    void anHourWithTenMinutesOfRestAt90PercentIsWorthItsCube() {
        double[] speed = new double[3600];
        Arrays.fill(speed, 0.9);
        Arrays.fill(speed, 1000, 1600, 0);
        Recording swim =
                new Recording(Sport.SWIM, Instant.EPOCH, 3600, List.of(), Map.of("speed", Series.of(speed)), List.of());
        SessionSummary summary = SessionSummary.of(swim, SWIMMER);
        assertEquals(0.9, summary.intensity().orElseThrow(), 1e-9);
        assertEquals(100 * 0.9 * 0.9 * 0.9, summary.loads().get(Source.SPEED), 1e-9);
        assertTrue(summary.zones().containsKey(Measure.SPEED), "zones of pace");
    }

    @Test
    void theForecastOfAWorkoutIsThatOfItsRecording() {
        Workout workout = read("10 x (100m 90%, 20s rest)");
        Forecast forecast = Forecast.of(workout, SWIMMER);
        double seconds = 10 * (100 / 0.9 + 20);
        assertEquals(Math.round(seconds), forecast.seconds());
        assertEquals(seconds / 3600 * 100 * Math.pow(0.9, 3), forecast.load().orElseThrow(), 0.02);
        assertTrue(forecast.lowestReserve().isEmpty(), "a swimmer has no reserve in watts");
    }

    @Test
    void restAndPaceForAHundredMetresReadBackTheSame() {
        String text = "8 x (100m 1:45/100m, 20s rest), 400m z1-2";
        assertEquals(text, ShorthandText.of(read(text)));
        assertEquals(
                "30min 2:05/500m",
                ShorthandText.of(
                        Shorthand.read("30min 2:05/500 m", Sport.ROW).workout().orElseThrow()));
        assertEquals(text, ShorthandText.of(read(text.replace("/100m", "/100 m").toUpperCase(java.util.Locale.ROOT))));
        assertTrue(Shorthand.read("100m 1:45/200m", Sport.SWIM)
                .problem()
                .orElseThrow()
                .expected()
                .contains("100m or 500m"));
    }

    @Test
    void noSportBorrowsTheThresholdsOfAnother() {
        Thresholds swimming = SWIMMER.forSport(Sport.SWIM);
        assertEquals(1.0, swimming.require(Quantity.THRESHOLD_SPEED));
        assertTrue(swimming.get(Quantity.THRESHOLD_POWER).isEmpty());
        assertEquals(4, SWIMMER.forSport(Sport.RUN).require(Quantity.THRESHOLD_SPEED));
        for (Sport sport : Sport.values())
            assertEquals(SWIMMER.forSport(sport), SWIMMER.forSport(sport).forSport(sport), sport + " twice");
        assertTrue(SWIMMER.forSport(Sport.ROW).values().isEmpty());
    }

    @Test
    void everySportHasZonesForWhatItIsTrainedBy() {
        for (Sport sport : Sport.values())
            for (Measure measure : Measure.values())
                assertEquals(
                        sport.trainsBy(measure),
                        ZoneSchemes.usual(measure, sport).isPresent(),
                        sport + " " + measure);
    }

    @Test
    void aPaceIsReadOnTheScaleOfPower() {
        Zones zones = Zones.usual(SWIMMER);
        assertEquals(Purpose.EASY, purpose("200m z1, 12 x (100m z2, 20s rest), 200m z1", zones));
        assertEquals(Purpose.THRESHOLD, purpose("400m z1, 12 x (100m 99%, 20s rest), 200m z1", zones));
        assertEquals(Purpose.INTERVALS, purpose("400m z1, 8 x (100m 105%, 40s rest), 300m z1", zones));
        Workout loop = Shorthand.read("2h z2", Sport.RUN).workout().orElseThrow();
        assertEquals(
                Purpose.LONG,
                Purpose.of(Forecast.of(loop, zones), Sport.RUN),
                "two hours of easy running are long, not tempo");
    }

    private static Purpose purpose(String text, Zones zones) {
        return Purpose.of(Forecast.of(read(text), zones), Sport.SWIM);
    }
}
