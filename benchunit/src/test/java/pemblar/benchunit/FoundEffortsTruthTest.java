package pemblar.benchunit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.repetition.FoundEfforts;
import pemblar.core.repetition.Span;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.RecordingFiles;
import pemblar.formats.fit.FitWorkouts;

/**
 * Efforts found without a plan, against the laps of the unit that set them: the truth that a real recording does not
 * have.
 */
class FoundEffortsTruthTest {
    private static final Thresholds VALUES = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250);
    private static final Instant START = Instant.ofEpochSecond(1_750_000_000L);
    private static final int CASES = 500;
    private static final int NEAR_SECONDS = 2;

    /** Repetitions of 30 s to 5 min at 100 to 130 % of threshold, with easy riding between. */
    private static Recording ride(int seed, int repetitions, int effort, int rest, int percent) {
        String text = "5min 60%, " + repetitions + " x (" + effort + "s " + percent + "%, " + rest + "s 50%), 3min 50%";
        Body body = new Body(Sport.RIDE, 255, 26_000, 4, 48, 188, 68);
        byte[] plan = FitWorkouts.of(
                        "Truth", Shorthand.read(text, Sport.RIDE).workout().orElseThrow(), VALUES)
                .write(1, START);
        return RecordingFiles.read(HeadUnit.follow(plan, body, START, new Random(seed), Faults.NONE), Optional.empty())
                .recording()
                .orElseThrow();
    }

    @Test
    void boundariesAreWithinTwoSecondsOfTheTruth() {
        int right = 0;
        int all = 0;
        int extra = 0;
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            int repetitions = 3 + random.nextInt(4);
            int effort = 30 + 10 * random.nextInt(28);
            Recording ride = ride(
                    seed,
                    repetitions,
                    effort,
                    90 + 30 * random.nextInt(4),
                    (effort > 120 ? 100 : 110) + 5 * random.nextInt(4));
            List<Span> found = FoundEfforts.of(ride.channel(Channel.POWER).orElseThrow(), 0.75 * 250);
            List<Lap> truth =
                    ride.laps().stream().filter(lap -> lap.stepIndex() == 1).toList();
            assertThat(truth).hasSize(repetitions);
            for (Lap lap : truth)
                if (found.stream()
                        .anyMatch(s -> Math.abs(s.from() - lap.from()) <= NEAR_SECONDS
                                && Math.abs(s.to() - lap.to()) <= NEAR_SECONDS)) right++;
            all += repetitions;
            extra += Math.max(0, found.size() - repetitions);
        }
        System.out.printf(
                "found within %d s: %d of %d, %.1f %%; found besides: %d%n",
                NEAR_SECONDS, right, all, 100.0 * right / all, extra);
        assertThat((double) right / all).isGreaterThanOrEqualTo(0.95);
        assertThat(extra).isLessThan(all / 20);
    }
}
