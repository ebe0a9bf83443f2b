package pemblar.benchunit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pemblar.benchunit.LiveUnit.Warning;
import pemblar.core.load.LoadChoice;
import pemblar.core.load.SessionSummary;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.RecordingFiles;
import pemblar.formats.fit.FitWorkouts;

class LiveUnitTest {
    private static final Instant START = Instant.parse("2026-05-04T15:00:00Z");
    private static final Thresholds VALUES = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.THRESHOLD_SPEED, 4)
            .with(Quantity.THRESHOLD_HEART_RATE, 170)
            .with(Quantity.MAXIMUM_HEART_RATE, 188)
            .with(Quantity.RESTING_HEART_RATE, 50);

    private static Workout workout(String text, Sport sport) {
        return Shorthand.read(text, sport).workout().orElseThrow();
    }

    private static final int COURSES = 10;

    private static LiveUnit unit(String text) {
        return unit(text, 3);
    }

    private static LiveUnit unit(String text, int seed) {
        byte[] file = FitWorkouts.of("Test", workout(text, Sport.RIDE), VALUES).write(1, START);
        return LiveUnit.load(file, new Body(Sport.RIDE, 250, 20_000, 4, 50, 188, 70), new Random(seed), 0.2);
    }

    private static Recording recording(LiveUnit unit) {
        return RecordingFiles.read(unit.activity(START), Optional.empty())
                .recording()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "15min 45>70%, 2 x (20min 92-97%, 6min 50%), 10min 60>45%",
                "1h30min 66-72%",
                "15min 50%, 5 x (4min 105%, 4min 50%), 10min 50%",
                "30min 80-86%, 30min 60%"
            })
    void theForecastIsWithinTwoPercentOfWhatTheBenchUnitDoes(String text) {
        Workout workout = workout(text, Sport.RIDE);
        double forecast = Forecast.of(workout, VALUES).load().orElseThrow();
        double done = 0;
        for (int course = 1;
                course <= COURSES;
                course++) { // each seed is another course with other hills to coast down
            LiveUnit unit = unit(text, course);
            unit.advance(6 * 3600);
            done += LoadChoice.BY_ORDER
                            .of(SessionSummary.of(recording(unit), VALUES).loads())
                            .orElseThrow()
                            .points()
                    / COURSES;
        }
        assertEquals(1, done / forecast, 0.02, "forecast " + forecast + ", done " + done);
    }

    @Test
    void itCountsDownAnnouncesAndGoesOn() {
        LiveUnit unit = unit("20s 50%, 1min 100%");
        assertEquals(20, unit.view().toGo(), 1e-9);
        assertEquals(0, unit.view().countdown());
        unit.advance(15);
        assertEquals(5, unit.view().countdown());
        assertEquals(60, unit.view().next().endValue(), 1e-9);
        unit.advance(5);
        assertEquals(2, unit.view().number());
        assertEquals(60, unit.view().toGo(), 1e-9);
        unit.advance(600);
        assertTrue(unit.view().finished());
        assertEquals(80, recording(unit).seconds());
    }

    private static LiveUnit knowing(String text) {
        Thresholds values = VALUES.with(Quantity.CRITICAL_POWER, 255).with(Quantity.W_PRIME, 18_000);
        byte[] file = FitWorkouts.of("Test", workout(text, Sport.RIDE), values).write(1, START);
        return LiveUnit.load(file, new Body(Sport.RIDE, 250, 20_000, 4, 50, 188, 70), new Random(5), 0.2)
                .withReserve(new Reserve(255, 18_000));
    }

    @Test
    void burstsLedByTheReserveDrawItDownAndLetItComeBack() {
        LiveUnit unit = knowing("5min 50%, 4 x (until reserve<20% 160%, until reserve>90% 50%), 5min 50%");
        double lowest = 1;
        double lastBackAt = 0;
        for (int i = 0; i < 7200 && !unit.isFinished(); i++) {
            int step = unit.view().number();
            unit.advance(1);
            double share = unit.view().reserve().orElseThrow().share();
            lowest = Math.min(lowest, share);
            if (unit.view().number() > step && step > 1 && step % 2 == 1) lastBackAt = share;
        }
        assertTrue(unit.isFinished());
        assertEquals(0.2, lowest, 0.02);
        assertEquals(0.9, lastBackAt, 0.02);
        assertEquals(10, recording(unit).laps().size());
    }

    @Test
    void itSaysHowLongAPowerCanBeHeldAndWhenTheReserveIsBack() {
        LiveUnit unit = knowing("10min 50%");
        unit.askAboutPower(355);
        assertEquals(180, unit.view().reserve().orElseThrow().secondsToExhaustion(), 1e-9);
        assertEquals(0, unit.view().reserve().orElseThrow().secondsUntilBack());
        unit.askAboutPower(200);
        assertEquals(
                Double.POSITIVE_INFINITY, unit.view().reserve().orElseThrow().secondsToExhaustion());
    }

    @Test
    void anOpenBurstIsRiddenHardAndTheLapKeyEndsIt() {
        LiveUnit unit = knowing("until reserve<50% open, until reserve>90% open");
        unit.advance(20);
        assertTrue(unit.view().reserve().orElseThrow().share() < 0.95);
        unit.lap();
        assertEquals(2, unit.view().number());
    }

    @Test
    void anEffortThatLeavesTheTargetWarnsAfterAFewSecondsAndNotBefore() {
        LiveUnit unit = unit("10min 60-65%");
        unit.advance(60);
        assertEquals(Warning.NONE, unit.view().warning());
        for (int i = 0; i < 12; i++) unit.nudge(10);
        unit.advance(3);
        assertEquals(Warning.NONE, unit.view().warning());
        unit.advance(10);
        assertEquals(Warning.ABOVE, unit.view().warning());
        for (int i = 0; i < 20; i++) unit.nudge(-10);
        unit.advance(20);
        assertEquals(Warning.BELOW, unit.view().warning());
        unit.letAthleteDrive();
        unit.advance(25);
        assertEquals(Warning.NONE, unit.view().warning());
    }

    @Test
    void theLapKeyEndsAnOpenStepAndOnlyMarksATimedOne() {
        LiveUnit unit = unit("lap 50%, 2min 60%, lap open");
        unit.lap();
        assertEquals(2, unit.view().number(), "it ends the step that waits for it");
        unit.advance(30);
        unit.lap();
        assertEquals(2, unit.view().number());
        unit.advance(90);
        unit.advance(1000);
        assertFalse(unit.view().finished(), "once the person presses keys, an open step waits for them");
        unit.lap();
        assertTrue(unit.view().finished());
        List<Lap> laps = recording(unit).laps();
        assertEquals(List.of(1, 1, 2), laps.stream().map(Lap::stepIndex).toList());
        assertEquals(List.of(30, 90, 1000), laps.stream().map(Lap::seconds).toList());
    }

    @Test
    void skippingStoppingAndPausingAreInTheFile() {
        LiveUnit unit = unit("5min 50%, 5min 90%, 5min 50%");
        unit.advance(60);
        unit.skip();
        unit.advance(60);
        unit.pause();
        unit.advance(500);
        assertEquals(120, unit.view().second(), "nothing is recorded while paused");
        unit.resume(45);
        unit.advance(30);
        unit.stop();
        unit.advance(100);
        Recording recording = recording(unit);
        assertEquals(150, recording.seconds());
        assertEquals(195, recording.elapsedSeconds(), 1);
        assertEquals(
                List.of(0, 1), recording.laps().stream().map(Lap::stepIndex).toList());
        assertEquals(90, recording.laps().get(1).seconds());
    }

    @Test
    void aDamagedWorkoutIsRefusedAndAnEmptyRideHasNoFile() {
        assertThrows(
                IllegalArgumentException.class,
                () -> LiveUnit.load(
                        new byte[] {1, 2}, new Body(Sport.RIDE, 250, 20_000, 4, 50, 188, 70), new Random(1), 0));
        LiveUnit unit = unit("10min 50%");
        unit.stop();
        assertThrows(IllegalArgumentException.class, () -> unit.activity(START));
    }
}
