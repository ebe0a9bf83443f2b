package pemblar.benchunit;

import java.time.Instant;
import java.util.random.RandomGenerator;
import pemblar.core.recording.Lap;
import pemblar.core.sport.Sport;

/**
 * A head unit that nobody watches: takes a FIT workout file, leads the simulated athlete through it, adds the faults of
 * real life, and hands back a FIT activity file.
 */
public final class HeadUnit {
    private static final double CAR_SPEED = 15;
    private static final int STUCK_SECONDS = 420;

    private HeadUnit() {}

    /**
     * @param workoutFile a FIT workout
     * @return a FIT activity
     * @throws IllegalArgumentException when the workout file cannot be read, with the reason
     */
    public static byte[] follow(byte[] workoutFile, Body body, Instant start, RandomGenerator random, Faults faults) {
        LiveUnit unit = LiveUnit.load(workoutFile, body, random, faults.heat());
        int until = faults.stopAfterSeconds() == 0 ? Integer.MAX_VALUE : faults.stopAfterSeconds();
        while (!unit.isFinished() && unit.track().seconds() < until) unit.advance(1);
        unit.stop();
        spoil(unit, body, faults);
        return unit.activity(start);
    }

    private static void spoil(LiveUnit unit, Body body, Faults faults) {
        Track track = unit.track();
        int seconds = track.seconds();
        int third = seconds / 3;
        if (faults.heartRateStuck()) track.fillHeartRate(third, third + STUCK_SECONDS, track.heartRateAt(third));
        if (faults.heartRateLost()) track.fillHeartRate(third, third + seconds / 4, Double.NaN);
        for (int i = 0; i < faults.driveHomeSeconds(); i++)
            unit.carry(new SimulatedAthlete.Sensed(
                    body.sport() == Sport.RIDE ? 0 : Double.NaN,
                    Math.rint(body.restingBpm() + 25),
                    0,
                    CAR_SPEED,
                    unit.metres() + CAR_SPEED,
                    unit.altitude(),
                    Double.NaN,
                    Double.NaN,
                    Double.NaN));
        if (faults.driveHomeSeconds() > 0 && seconds > 0) track.lap(seconds, Lap.NO_STEP);
    }
}
