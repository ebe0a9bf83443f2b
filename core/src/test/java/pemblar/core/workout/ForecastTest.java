package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;

class ForecastTest {
    private static final Thresholds RIDER = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.CRITICAL_POWER, 260)
            .with(Quantity.W_PRIME, 20_000);
    private static final Thresholds RUNNER = Thresholds.NONE.with(Quantity.THRESHOLD_SPEED, 4);

    private static Forecast ride(String text) {
        return Forecast.of(Shorthand.read(text, Sport.RIDE).workout().orElseThrow(), RIDER);
    }

    @Test
    void anHourAtThresholdIsAHundredPoints() {
        Forecast forecast = ride("1h 100%");
        assertEquals(3600, forecast.seconds());
        assertEquals(100, forecast.load().orElseThrow(), 1e-9);
        assertEquals(1, forecast.intensity().orElseThrow(), 1e-9);
    }

    @Test
    void aWorkoutThatCannotBeDoneIsSeenBeforehand() {
        Forecast forecast = ride("10min 50%, 5min 150%");
        assertEquals(
                20_000 - 300 * (375 - 260),
                forecast.lowestReserve().orElseThrow().joules(),
                1e-6);
        assertEquals(899, forecast.lowestReserve().orElseThrow().index());
    }

    @Test
    void aZoneIsTheMiddleOfItsBandAndOneValueHasFivePercent() {
        PlannedStep zone = ride("10min z2").steps().get(0);
        assertEquals(137.5, zone.low(), 1e-9);
        assertEquals(187.5, zone.high(), 1e-9);
        PlannedStep value = ride("10min 80%").steps().get(0);
        assertEquals(190, value.low(), 1e-9);
        assertEquals(210, value.high(), 1e-9);
    }

    @Test
    void aRampKeepsItsDirection() {
        PlannedStep down = ride("10min 60>40%").steps().get(0);
        assertEquals(150, down.from(), 1e-9);
        assertEquals(100, down.to(), 1e-9);
        assertEquals(125, down.targetAt(0.5), 1e-9);
    }

    @Test
    void distanceTakesTheSpeedOfItsTargetWhenRunningAndStaysOpenWhenRiding() {
        Forecast run = Forecast.of(
                Shorthand.read("1km 100%, 1km 5:00/km", Sport.RUN).workout().orElseThrow(), RUNNER);
        assertEquals(250 + 300, run.seconds());
        assertEquals(2000, run.metres().orElseThrow(), 1e-6);
        Forecast ride = ride("3km z2, 10min z2");
        assertEquals(600, ride.seconds());
        assertTrue(ride.remarks().contains(Forecast.Remark.TIME_OF_SOME_STEPS_UNKNOWN)
                && ride.metres().isEmpty());
    }

    @Test
    void aDistanceByPowerTakesTheTimeThatOwnSessionsTell() {
        Zones own = new Zones(
                RIDER, Map.of(), (sport, watts) -> sport == Sport.RIDE ? OptionalDouble.of(watts / 25) : none());
        Workout workout =
                Shorthand.read("3km 60%, 10min 50%", Sport.RIDE).workout().orElseThrow();
        Forecast ride = Forecast.of(workout, own);
        assertEquals(3000 / (150 / 25.0) + 600, ride.seconds(), 1);
        assertEquals(
                java.util.List.of(Forecast.Remark.TIME_FROM_OWN_SPEED, Forecast.Remark.DISTANCE_UNKNOWN),
                ride.remarks());
        assertTrue(ride.load().getAsDouble() > ride("10min 50%").load().getAsDouble());
        Workout climb = Shorthand.read("3km 60% at 5%", Sport.RIDE).workout().orElseThrow();
        assertEquals(0, Forecast.of(climb, own).seconds()); // usual roads tell nothing of a climb
    }

    private static OptionalDouble none() {
        return OptionalDouble.empty();
    }

    @Test
    void targetsWithoutTheirThresholdAreRefusedByName() {
        var workout = Shorthand.read("10min 80%hr", Sport.RIDE).workout().orElseThrow();
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Forecast.of(workout, RIDER))
                .getMessage()
                .contains("threshold heart rate"));
        var zone = Shorthand.read("10min z9", Sport.RIDE).workout().orElseThrow();
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Forecast.of(zone, RIDER))
                .getMessage()
                .contains("z7"));
    }

    @Test
    void scalingShortensStepsAndKeepsTheirTargets() {
        Workout workout = Shorthand.read("10min 50%, 3 x (4min 106%, 4min 50%)", Sport.RIDE)
                .workout()
                .orElseThrow();
        assertEquals("8min 50%, 3 x (3min10s 106%, 3min10s 50%)", ShorthandText.of(workout.scaled(0.8)));
        assertEquals(workout, workout.scaled(1));
    }
}
