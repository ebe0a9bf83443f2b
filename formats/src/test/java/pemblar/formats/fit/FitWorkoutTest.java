package pemblar.formats.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.fit.FitWorkout.Ends;
import pemblar.formats.fit.FitWorkout.FitStep;
import pemblar.formats.json.WorkoutJson;

class FitWorkoutTest {
    private static final Thresholds RIDER =
            Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200).with(Quantity.THRESHOLD_HEART_RATE, 170);
    private static final String TEXT =
            "warm-up: 15min 45>65%, 2 x (3 x (40s 120% 90-100rpm, 20s 50%), 6min 50%), until hr<120 open, 3km "
                    + "150-160bpm \"ease in\", lap rpe 6";

    private static FitWorkout workout() {
        return FitWorkouts.of("Test", Shorthand.read(TEXT, Sport.RIDE).workout().orElseThrow(), RIDER);
    }

    @Test
    void whatIsWrittenIsReadBack() {
        FitWorkout.Answer answer = FitWorkout.read(workout().write(7, Instant.ofEpochSecond(1_750_000_000L)));
        assertEquals(List.of(), answer.problems());
        assertEquals(workout().steps().toString(), answer.workout().steps().toString());
        assertEquals("Test", answer.workout().name());
        assertEquals(Sport.RIDE, answer.workout().sport());
    }

    @Test
    void stepsCarryAbsoluteTargetsAndRepeatsPointBack() {
        List<FitStep> steps = workout().steps();
        assertEquals(Basis.POWER, steps.get(1).basis());
        assertEquals(228, steps.get(1).low(), 1e-9);
        assertEquals(90, steps.get(1).cadenceLow());
        assertEquals(Ends.REPEAT, steps.get(3).ends());
        assertEquals(1, steps.get(3).endValue());
        assertEquals(3, steps.get(3).times());
        assertEquals(2, steps.get(5).times());
        assertTrue(steps.get(0).notes().startsWith(FitWorkout.RISING));
        assertTrue(steps.get(8).notes().contains("effort 6 of 10"));
    }

    @Test
    void whatTheFormatHasNoFieldForStandsInTheNotesAndComesBack() {
        Thresholds values = RIDER.with(Quantity.CRITICAL_POWER, 210).with(Quantity.W_PRIME, 15_000);
        String text = "4 x (until reserve<20% 320W at 6% standing \"go\", until reserve>90% 100W), 10min 120W at -2.5%";
        Workout design = Shorthand.read(text, Sport.RIDE).workout().orElseThrow();
        FitWorkout file = FitWorkout.read(
                        FitWorkouts.of("Bursts", design, values).write(7, Instant.EPOCH.plusSeconds(1_750_000_000L)))
                .workout();
        assertEquals(Ends.LAP_KEY, file.steps().get(0).ends());
        assertTrue(file.steps().get(0).notes().contains("until the reserve is below 20 %"));
        assertEquals(
                "4 x (until reserve<20% 304-336W at 6% standing \"go\", until reserve>90% 95-105W), "
                        + "10min 114-126W at -2.5%",
                pemblar.core.workout.ShorthandText.of(FitWorkouts.design(file)));
    }

    @Test
    void theHighestPowerBecomesWattsAndTheJsonKeepsTheWord() {
        Thresholds values = RIDER.with(Quantity.CRITICAL_POWER, 210).with(Quantity.W_PRIME, 15_000);
        Workout design = Shorthand.read("6 x (3min 97%max, 3min 50%), until reserve>90% 50%, 1km z2 at 4%", Sport.RIDE)
                .workout()
                .orElseThrow();
        assertEquals(design, WorkoutJson.read(WorkoutJson.write(design)));
        FitStep first = FitWorkouts.of("Six", design, values).steps().get(0);
        assertEquals(Basis.POWER, first.basis());
        assertTrue(first.low() > 210 && first.high() < 320, first.toString());
    }

    @Test
    void theDesignIndexIsTheIndexInTheFile() {
        Workout design = Shorthand.read(TEXT, Sport.RIDE).workout().orElseThrow();
        FitWorkout file = workout();
        design.expanded()
                .forEach(flat -> assertTrue(!file.steps().get(flat.stepIndex()).isRepeat()));
        assertEquals(
                file.steps().size() - 1,
                design.expanded().get(design.expanded().size() - 1).stepIndex());
    }

    @Test
    void aDamagedFileIsRefusedWithItsPlace() {
        byte[] file = workout().write(7, Instant.ofEpochSecond(1_750_000_000L));
        for (int length = 0; length < file.length; length++) {
            FitWorkout.Answer answer = FitWorkout.read(Arrays.copyOf(file, length));
            assertNull(answer.workout());
            assertTrue(!answer.problems().isEmpty());
        }
    }

    @Test
    void aFileBecomesADesignThatGivesTheSameFileAgain() {
        FitWorkout first = FitWorkout.read(workout().write(7, Instant.ofEpochSecond(1_750_000_000L)))
                .workout();
        Workout design = FitWorkouts.design(first);
        assertEquals(
                "warm-up: 15min 90>130W, 2 x (3 x (40s 228-252W 90-100rpm, 20s 95-105W), 6min 95-105W), until "
                        + "hr<120 open, 3km 150-160bpm \"ease in\", lap rpe 6",
                pemblar.core.workout.ShorthandText.of(design).replace("\n", ", "));
        assertEquals(
                first.steps().toString(),
                FitWorkouts.of("Test", design, RIDER).steps().toString());
    }

    @Property(tries = 200)
    void anyWorkoutIsReadBackAsItWasWritten(
            @ForAll @Size(min = 1, max = 8) List<@IntRange(min = 0, max = 9) Integer> picks) {
        String[] parts = {
            "90s 118%",
            "10min 60-65% 85-95rpm",
            "15min 45>70%",
            "3km 150-160bpm",
            "lap open \"the gate\"",
            "until hr<125 open",
            "5min rpe 6",
            "4 x (1min 120% standing, 2min 50%)",
            "2 x (3 x (20s 200W, 40s 50%), 5min z2)",
            "1h30min z2"
        };
        String text = String.join(", ", picks.stream().map(i -> parts[i]).toList());
        FitWorkout written =
                FitWorkouts.of("Any", Shorthand.read(text, Sport.RIDE).workout().orElseThrow(), RIDER);
        FitWorkout.Answer answer = FitWorkout.read(written.write(3, Instant.ofEpochSecond(1_750_000_000L)));
        assertEquals(List.of(), answer.problems());
        for (int i = 0; i < written.steps().size(); i++) {
            FitStep was = written.steps().get(i);
            FitStep is = answer.workout().steps().get(i);
            assertEquals(was.ends(), is.ends());
            assertEquals(was.times(), is.times());
            assertEquals(was.basis(), is.basis());
            assertEquals(was.notes(), is.notes());
            if (!Double.isNaN(was.endValue())) assertEquals(was.endValue(), is.endValue(), 0.01);
            if (was.basis() != null) assertEquals(was.low(), is.low(), 0.5); // whole watts and beats in the file
            if (was.basis() != null) assertEquals(was.high(), is.high(), 0.5);
        }
    }

    @Test
    void ourJsonHoldsTheSameWorkout() {
        Workout design = Shorthand.read(TEXT, Sport.RIDE).workout().orElseThrow();
        assertEquals(design, WorkoutJson.read(WorkoutJson.write(design)));
    }
}
