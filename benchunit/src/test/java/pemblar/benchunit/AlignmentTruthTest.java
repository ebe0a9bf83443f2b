package pemblar.benchunit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Mending;
import pemblar.core.mending.Proposal;
import pemblar.core.mending.Proposals;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;
import pemblar.formats.RecordingFiles;
import pemblar.formats.fit.FitWorkouts;

/**
 * Steps found by their pattern alone, against the laps that the unit set: the truth that a recording without laps does
 * not have.
 */
class AlignmentTruthTest {
    private static final Thresholds VALUES =
            Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250).with(Quantity.MAXIMUM_HEART_RATE, 188);
    private static final Instant START = Instant.ofEpochSecond(1_750_000_000L);
    private static final int CASES = 500;
    private static final int NEAR_SECONDS = 2;

    private static Workout design(Random random) {
        int repetitions = 3 + random.nextInt(4);
        int effort = 60 + 30 * random.nextInt(8);
        int rest = 90 + 30 * random.nextInt(4);
        int percent = 100 + 5 * random.nextInt(4);
        String text =
                "10min 60%, " + repetitions + " x (" + effort + "s " + percent + "%, " + rest + "s 50%), 5min 45%";
        return Shorthand.read(text, Sport.RIDE).workout().orElseThrow();
    }

    private static Recording ridden(Workout design, int seed, Faults faults) {
        Body body = new Body(Sport.RIDE, 255, 26_000, 4, 48, 188, 68);
        byte[] plan = FitWorkouts.of("Truth", design, VALUES).write(1, START);
        return RecordingFiles.read(HeadUnit.follow(plan, body, START, new Random(seed), faults), Optional.empty())
                .recording()
                .orElseThrow();
    }

    private static Recording withoutLaps(Recording r) {
        return new Recording(r.sport(), r.start(), r.seconds(), r.pauses(), r.channels(), List.of());
    }

    @Test
    void boundariesOfThePatternAreWithinTwoSecondsOfTheTruth() {
        int right = 0;
        int all = 0;
        for (int seed = 0; seed < CASES; seed++) {
            Workout design = design(new Random(seed));
            Recording ride = ridden(design, seed, Faults.NONE);
            List<PlannedStep> plan = Plan.resolve(design, Zones.usual(VALUES));
            StepMatching.Result result = StepMatching.match(plan, withoutLaps(ride));
            assertThat(result.method()).as("seed %d", seed).isEqualTo(StepMatching.Method.PATTERN);
            for (Lap lap : ride.laps())
                if (lap.stepIndex() == 1) {
                    all++;
                    if (result.steps().stream().anyMatch(m -> m.step().flat().stepIndex() == 1 && near(m, lap)))
                        right++;
                }
        }
        System.out.printf(
                "steps by pattern within %d s: %d of %d, %.1f %%%n", NEAR_SECONDS, right, all, 100.0 * right / all);
        assertThat((double) right / all).isGreaterThanOrEqualTo(0.95);
    }

    private static boolean near(Matched m, Lap lap) {
        return Math.abs(m.from() - lap.from()) <= NEAR_SECONDS && Math.abs(m.to() - lap.to()) <= NEAR_SECONDS;
    }

    /** A way to the start before the workout does not push the steps about. */
    @Test
    void aRideThatBeganBeforeTheWorkoutIsFoundTooAndOneThatIsSomethingElseIsNot() {
        Workout design = Shorthand.read("10min 60%, 4 x (3min 110%, 3min 50%), 5min 45%", Sport.RIDE)
                .workout()
                .orElseThrow();
        Workout longer = Shorthand.read("23min 40%, 10min 60%, 4 x (3min 110%, 3min 50%), 5min 45%", Sport.RIDE)
                .workout()
                .orElseThrow();
        Workout other = Shorthand.read("70min 90%", Sport.RIDE).workout().orElseThrow();
        List<PlannedStep> plan = Plan.resolve(design, Zones.usual(VALUES));
        Recording ride = ridden(longer, 5, Faults.NONE);
        StepMatching.Result result = StepMatching.match(plan, withoutLaps(ride));
        List<Lap> truth = ride.laps().stream().filter(l -> l.stepIndex() == 2).toList();
        List<Matched> found = result.steps().stream()
                .filter(m -> m.step().flat().stepIndex() == 1)
                .toList();
        assertThat(found).hasSize(4);
        for (int i = 0; i < 4; i++)
            assertThat(near(found.get(i), truth.get(i)))
                    .as(found.get(i) + " " + truth.get(i))
                    .isTrue();
        assertThat(StepMatching.match(plan, withoutLaps(ridden(other, 6, Faults.NONE)))
                        .method())
                .isEqualTo(StepMatching.Method.NONE);
    }

    /** Every fault that the unit can put in is proposed where it is, and a sound ride gets no proposal at all. */
    @Test
    void faultsAreProposedWhereTheyAreAndSoundRidesAreLeftAlone() {
        int falseAlarms = 0;
        for (int seed = 0; seed < 100; seed++) {
            Workout design = design(new Random(seed));
            Proposals.Known known = new Proposals.Known(900, 68, 188);
            falseAlarms +=
                    Proposals.of(ridden(design, seed, Faults.NONE), known).size();
            Recording left = ridden(design, seed, new Faults(0, 1200, true, false, 0.2));
            List<Proposal> proposals = Proposals.of(left, known);
            Proposal home = proposals.stream()
                    .filter(p -> p.kind() == Proposal.Kind.LEFT_RUNNING)
                    .findFirst()
                    .orElseThrow();
            assertThat(home.seconds()).as("seed %d", seed).isBetween(1200, 1205);
            assertThat(proposals.stream()
                            .filter(p -> p.kind() == Proposal.Kind.STUCK_HEART_RATE)
                            .mapToInt(Proposal::seconds)
                            .sum())
                    .as("seed %d", seed)
                    .isGreaterThanOrEqualTo(240);
            List<Edit> edits =
                    new ArrayList<>(proposals.stream().map(Proposal::edit).toList());
            assertThat(Proposals.of(Mending.apply(left, edits), known))
                    .as("nothing is left to mend, seed %d", seed)
                    .isEmpty();
        }
        assertThat(falseAlarms).isZero();
    }
}
