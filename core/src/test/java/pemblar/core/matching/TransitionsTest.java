package pemblar.core.matching;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.matching.Transitions.Transition;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.Shorthand;
import pemblar.core.zone.Zones;

class TransitionsTest {
    @Test
    void theDropAtStandingUpIsTheLowestThreeSecondsAgainstTheLowerTarget() {
        List<PlannedStep> plan = Plan.resolve(
                Shorthand.read("2 x (60s 100%, 60s 110%, 60s 50%)", Sport.RIDE)
                        .workout()
                        .orElseThrow(),
                Zones.usual(Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200)));
        double[] watts = new double[360];
        for (int i = 0; i < 360; i++) watts[i] = i % 180 < 60 ? 200 : i % 180 < 120 ? 220 : 100;
        Arrays.fill(watts, 58, 61, 140);
        List<Matched> steps = java.util.stream.IntStream.range(0, 6)
                .mapToObj(i -> new Matched(plan.get(i), 60 * i, 60 * i + 60))
                .toList();
        Recording ride =
                new Recording(Sport.RIDE, Instant.EPOCH, 360, List.of(), Map.of("power", Series.of(watts)), List.of());
        List<Transition> found = Transitions.of(steps, ride);
        assertThat(found).as("not where the effort goes over into rest").hasSize(2);
        assertThat(found.get(0).lowest()).isEqualTo(140);
        assertThat(found.get(0).share()).isCloseTo(140 / 190.0 - 1, within(1e-9));
        assertThat(found.get(1).share()).isGreaterThan(0);
    }

    /** On foot the same goes by speed, and says so. */
    @Test
    void aRunnersDropIsOneOfSpeed() {
        List<PlannedStep> plan = Plan.resolve(
                Shorthand.read("2 x (60s 100%, 60s 104%, 60s 60%)", Sport.RUN)
                        .workout()
                        .orElseThrow(),
                Zones.usual(Thresholds.NONE.with(Quantity.THRESHOLD_SPEED, 4)));
        double[] speed = new double[360];
        Arrays.fill(speed, 4);
        Arrays.fill(speed, 58, 61, 3);
        List<Matched> steps = java.util.stream.IntStream.range(0, 6)
                .mapToObj(i -> new Matched(plan.get(i), 60 * i, 60 * i + 60))
                .toList();
        Recording run =
                new Recording(Sport.RUN, Instant.EPOCH, 360, List.of(), Map.of("speed", Series.of(speed)), List.of());
        Transition first = Transitions.of(steps, run).get(0);
        assertThat(first.basis()).isEqualTo(Basis.PACE);
        assertThat(first.lowest()).isEqualTo(3);
    }
}
