package pemblar.benchunit;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.StepMatching.Method;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Plan;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.RecordingFiles;
import pemblar.formats.fit.FitWorkouts;

class HeadUnitTest {
    private static final Thresholds VALUES =
            Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250).with(Quantity.THRESHOLD_SPEED, 4);
    private static final Instant START = Instant.ofEpochSecond(1_750_000_000L);

    private static Body body(Sport sport) {
        return new Body(sport, 252, 20_000, 4.05, 48, 188, 68);
    }

    private static byte[] follow(Sport sport, String text, long seed, Faults faults) {
        Workout workout = Shorthand.read(text, sport).workout().orElseThrow();
        return HeadUnit.follow(
                FitWorkouts.of("Test", workout, VALUES).write(1, START), body(sport), START, new Random(seed), faults);
    }

    private static Recording read(byte[] activity) {
        return RecordingFiles.read(activity, Optional.empty()).recording().orElseThrow();
    }

    @Test
    void everyStepOfThePlanIsDoneAndMatchedByItsLap() {
        String text = "10min 45>65%, 3 x (3min 105-110%, 3min 50%), 5min 50%";
        Recording ride = read(follow(Sport.RIDE, text, 1, Faults.NONE));
        var result = StepMatching.match(
                Plan.resolve(Shorthand.read(text, Sport.RIDE).workout().orElseThrow(), VALUES), ride);
        assertEquals(Method.LAPS_WITH_STEP_INDEX, result.method());
        assertEquals(8, result.steps().size());
        assertEquals(10 * 60 + 18 * 60 + 5 * 60, ride.seconds());
        assertTrue(StepMatching.done(result.steps().get(1), ride).shareInBand() > 0.4);
        assertTrue(ride.channel(Channel.HEART_RATE).orElseThrow().max() > 150);
    }

    @Test
    void distanceStepsEndByDistance() {
        Recording run = read(follow(Sport.RUN, "2 x (800m 105%, 400m 60%)", 2, Faults.NONE));
        assertEquals(2400, run.distanceMetres().orElseThrow(), 25);
        assertEquals(4, run.laps().size());
        assertTrue(run.has(Channel.STEP_LENGTH)
                && run.has(Channel.GROUND_CONTACT_TIME)
                && run.channel(Channel.CADENCE).orElseThrow().mean() > 150);
    }

    @Test
    void theSameSeedGivesTheSameFile() {
        assertArrayEquals(
                follow(Sport.RIDE, "10min 60%", 9, Faults.NONE), follow(Sport.RIDE, "10min 60%", 9, Faults.NONE));
    }

    @Test
    void faultsShowInTheFile() {
        Recording stuck = read(follow(Sport.RIDE, "30min 60%", 4, new Faults(0, 600, true, false, 0)));
        assertEquals(2400, stuck.seconds());
        assertEquals(15, stuck.channel(Channel.SPEED).orElseThrow().at(2399), 1e-6);
        assertEquals(0, stuck.channel(Channel.HEART_RATE).orElseThrow().deviation(610, 1010), 1e-9);
        Recording lost = read(follow(Sport.RIDE, "30min 60%", 4, new Faults(0, 0, false, true, 0)));
        assertTrue(lost.channel(Channel.HEART_RATE).orElseThrow().present() < 0.8 * lost.seconds());
        assertEquals(
                300,
                read(follow(Sport.RIDE, "30min 60%", 4, new Faults(300, 0, false, false, 0)))
                        .seconds());
    }

    @Test
    void anUnreadableWorkoutIsRefused() {
        assertThrows(
                IllegalArgumentException.class,
                () -> HeadUnit.follow(new byte[40], body(Sport.RIDE), START, new Random(1), Faults.NONE));
    }
}
