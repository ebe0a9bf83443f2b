package pemblar.core.matching;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.Shorthand;

/** Three of four minutes at 105 to 110 % of 250 W: 262.5 to 275 W. */
class TargetsBeatenTest {
    private static final Thresholds VALUES = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250);

    private static boolean beaten(String text, double... watts) {
        List<PlannedStep> plan =
                Plan.resolve(Shorthand.read(text, Sport.RIDE).workout().orElseThrow(), VALUES);
        int size = plan.stream().mapToInt(s -> (int) s.seconds()).sum();
        double[] values = new double[size];
        List<Matched> steps = new ArrayList<>();
        int at = 0;
        int hard = 0;
        for (PlannedStep step : plan) {
            int to = at + (int) step.seconds();
            double power = step.intensity() >= 0.85 ? watts[hard++] : 120;
            for (int i = at; i < to; i++) values[i] = power;
            steps.add(new Matched(step, at, to));
            at = to;
        }
        Recording recording = new Recording(
                Sport.RIDE, Instant.EPOCH, size, List.of(), Map.of(Channel.POWER.key(), Series.of(values)), List.of());
        return TargetsBeaten.of(steps, recording);
    }

    private static final String FOURS = "10min 50%, 3 x (4min 105-110%, 3min 50%)";

    @Test
    void everyHardStepOverItsBandIsBeaten() {
        assertThat(beaten(FOURS, 280, 282, 279)).isTrue();
    }

    @Test
    void oneInItsBandIsNot() {
        assertThat(beaten(FOURS, 290, 270, 290)).isFalse();
    }

    @Test
    void easyDaysAndSprintsSayNothing() {
        assertThat(beaten("40min 60%")).isFalse();
        assertThat(beaten("20min 50%, 8 x (15s 200%, 3min 50%)", 900, 900, 900, 900, 900, 900, 900, 900))
                .isFalse();
    }

    @Test
    void aFewMinutesAreTooLittle() {
        assertThat(beaten("10min 50%, 2 x (2min 105-110%, 3min 50%)", 300, 300)).isFalse();
    }
}
