package pemblar.core.matching;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.matching.StepMatching.Method;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.Shorthand;

class StepMatchingTest {
    private static final List<PlannedStep> PLAN = Plan.resolve(
            Shorthand.read("1min 50%, 2 x (1min 100%, 1min 50%)", Sport.RIDE)
                    .workout()
                    .orElseThrow(),
            Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200));

    private static Recording recording(List<Lap> laps) {
        double[] watts = new double[300];
        Arrays.fill(watts, 100);
        Arrays.fill(watts, 60, 120, 200);
        Arrays.fill(watts, 180, 210, 200);
        Arrays.fill(watts, 210, 240, 100);
        return new Recording(Sport.RIDE, Instant.EPOCH, 300, List.of(), Map.of("power", Series.of(watts)), laps);
    }

    @Test
    void lapsThatCarryTheStepAreTheSteps() {
        var result = StepMatching.match(
                PLAN,
                recording(List.of(
                        new Lap(0, 60, 0),
                        new Lap(60, 120, 1),
                        new Lap(120, 180, 2),
                        new Lap(180, 240, 1),
                        new Lap(240, 300, 2))));
        assertEquals(Method.LAPS_WITH_STEP_INDEX, result.method());
        assertEquals(5, result.steps().size());
        assertEquals(2, result.steps().get(3).step().flat().repetition());
        var done = StepMatching.done(result.steps().get(3), recording(List.of()));
        assertEquals(150, done.mean(), 1e-9);
        assertEquals(0.5, done.shareInBand(), 1e-9);
    }

    @Test
    void lapsInOrderNeedTheRightCountAndLength() {
        List<Lap> close = List.of(lap(0, 62), lap(62, 120), lap(120, 180), lap(180, 240), lap(240, 300));
        assertEquals(
                Method.LAPS_IN_ORDER, StepMatching.match(PLAN, recording(close)).method());
        List<Lap> far = List.of(lap(0, 80), lap(80, 120), lap(120, 180), lap(180, 240), lap(240, 300));
        var byPattern = StepMatching.match(PLAN, recording(far));
        assertEquals(Method.PATTERN, byPattern.method());
        assertEquals(60, byPattern.steps().get(1).from());
        assertEquals(120, byPattern.steps().get(1).to());
        Recording withoutWhatThePlanIsAbout =
                new Recording(Sport.RIDE, Instant.EPOCH, 300, List.of(), Map.of(), List.of());
        assertEquals(
                Method.NONE, StepMatching.match(PLAN, withoutWhatThePlanIsAbout).method());
    }

    private static Lap lap(int from, int to) {
        return new Lap(from, to, Lap.NO_STEP);
    }
}
