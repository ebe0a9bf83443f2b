package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Editing.Path;
import pemblar.core.zone.Zones;

class EditingTest {
    private static Workout workout(String text) {
        return Shorthand.read(text, Sport.RIDE).workout().orElseThrow();
    }

    private static final Workout FIVE = workout("15min 45>65%, 5 x (4min 105-110%, 4min 50%), 10min 60>45%");

    private static Editing five() {
        return Editing.of(FIVE);
    }

    private static String text(Workout workout) {
        return ShorthandText.of(workout);
    }

    private static Path at(String path) {
        return Path.parse(path);
    }

    @Test
    void aLengthInARepeatChangesEveryRepetition() {
        assertEquals(
                "15min 45>65%, 5 x (3min30s 105-110%, 4min 50%), 10min 60>45%", text(five().length(at("1.0"), 210)));
        assertEquals("1km 4:10/km", text(Editing.of(workout("800m 4:10/km")).length(at("0"), 1000)));
        assertThrows(
                IllegalArgumentException.class,
                () -> Editing.of(workout("lap open")).length(at("0"), 60));
    }

    @Test
    void targetsMoveWholeOrByOneEnd() {
        assertEquals(
                "15min 45>65%, 5 x (4min 108-113%, 4min 50%), 10min 60>45%",
                text(five().raise(at("1.0"), 3, Double.NaN)));
        assertEquals(
                "15min 45>65%, 5 x (4min 100-110%, 4min 50%), 10min 60>45%",
                text(five().edge(at("1.0"), true, -5, Double.NaN)));
        assertEquals(
                "15min 45>75%, 5 x (4min 105-110%, 4min 50%), 10min 60>45%",
                text(five().edge(at("0"), false, 10, Double.NaN)));
        // the edges of a band meet and do not cross
        assertEquals("4min 110%", text(Editing.of(workout("4min 105-110%")).edge(at("0"), true, 30, Double.NaN)));
        // 6 % of a threshold of 250 W is 15 W
        assertEquals("10min 215W", text(Editing.of(workout("10min 200W")).raise(at("0"), 6, 0.4)));
        assertEquals("10min z4", text(Editing.of(workout("10min z3")).raise(at("0"), 12, Double.NaN)));
        assertThrows(
                IllegalArgumentException.class,
                () -> Editing.of(workout("10min open")).raise(at("0"), 5, 0.4));
        assertThrows(IllegalArgumentException.class, () -> five().raise(at("1"), 5, 0.4));
    }

    @Test
    void stepsAreMovedCopiedSplitAndTakenAway() {
        assertEquals("15min 45>65%, 10min 60>45%, 5 x (4min 105-110%, 4min 50%)", text(five().move(at("2"), -1)));
        assertEquals(text(FIVE), text(five().move(at("2"), 7)));
        assertEquals("15min 45>65%, 5 x (4min 50%, 4min 105-110%), 10min 60>45%", text(five().move(at("1.1"), -1)));
        assertEquals(
                "15min 45>65%, 15min 45>65%, 5 x (4min 105-110%, 4min 50%), 10min 60>45%",
                text(five().duplicate(at("0"))));
        assertEquals(
                "7min30s 45>55%, 7min30s 55>65%, 5 x (4min 105-110%, 4min 50%), 10min 60>45%",
                text(five().split(at("0"))));
        assertEquals("5 x (4min 105-110%, 4min 50%), 10min 60>45%", text(five().delete(at("0"))));
        assertEquals("15min 45>65%, 10min 60>45%", text(five().delete(at("1"))));
        assertEquals(
                "10min 50%",
                text(Editing.of(workout("10min 50%, 3 x (1min 90%)")).delete(at("1.0"))));
        assertThrows(
                IllegalArgumentException.class,
                () -> Editing.of(workout("10min 50%")).delete(at("0")));
    }

    @Test
    void neighboursAreWrappedAndUnwrapped() {
        Workout wrapped = Editing.of(workout("10min 50%, 1min 120%, 2min 50%")).wrap(at("1"), at("2"), 6);
        assertEquals("10min 50%, 6 x (1min 120%, 2min 50%)", text(wrapped));
        assertEquals("10min 50%, 1min 120%, 2min 50%", text(Editing.of(wrapped).unwrap(at("1"))));
        assertEquals("15min 45>65%, 8 x (4min 105-110%, 4min 50%), 10min 60>45%", text(five().times(at("1"), 8)));
        assertThrows(IllegalArgumentException.class, () -> five().wrap(at("0"), at("1.0"), 3));
        Workout twice = Editing.of(five().wrap(at("1"), at("2"), 2)).wrap(at("0"), at("0"), 2);
        assertThrows(
                IllegalArgumentException.class, () -> Editing.of(twice).wrap(at("1"), at("1"), 2), "repeats nest once");
    }

    @Test
    void everyStepAsDoneKnowsItsPath() {
        Workout nested = workout("1min 50%, 2 x (2 x (10s 150%, 20s 50%), 3min 50%)");
        List<Path> paths = Editing.paths(nested);
        assertEquals(nested.expanded().size(), paths.size());
        assertEquals(
                "0 1.0.0 1.0.1 1.0.0 1.0.1 1.1 1.0.0 1.0.1 1.0.0 1.0.1 1.1",
                String.join(" ", paths.stream().map(Path::toString).toList()));
        for (int i = 0; i < paths.size(); i++)
            assertEquals(nested.expanded().get(i).step(), Editing.of(nested).at(paths.get(i)));
        assertThrows(IllegalArgumentException.class, () -> Editing.of(nested).at(at("7")));
        assertThrows(IllegalArgumentException.class, () -> Path.parse("1..2"));
    }

    /** Any edit anywhere, also where nothing stands. */
    record Edit(int kind, int a, int b, double amount) {
        Workout on(Workout workout) {
            List<Path> paths = Editing.paths(workout);
            Path step = paths.get(a % paths.size());
            Path path = b % 3 == 0 ? new Path(step.indexes().subList(0, 1)) : step;
            Editing editing = Editing.of(workout);
            try {
                return switch (kind) {
                    case 0 -> editing.length(path, amount * 20);
                    case 1 -> editing.raise(path, amount, 0.4);
                    case 2 -> editing.edge(path, b % 2 == 0, amount, 0.4);
                    case 3 -> editing.duplicate(path);
                    case 4 -> editing.split(path);
                    case 5 -> editing.delete(path);
                    case 6 -> editing.move(path, b - 5);
                    case 7 ->
                        editing.wrap(
                                path, new Path(List.of(b % workout.elements().size())), 1 + b % 5);
                    case 8 -> editing.unwrap(path);
                    default -> editing.times(path, b);
                };
            } catch (IllegalArgumentException refused) {
                assertTrue(refused.getMessage() != null && !refused.getMessage().isBlank());
                return workout;
            }
        }
    }

    @Provide
    Arbitrary<List<Edit>> edits() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, 9),
                        Arbitraries.integers().between(0, 40),
                        Arbitraries.integers().between(0, 12),
                        Arbitraries.doubles().between(-60, 60))
                .as(Edit::new)
                .list()
                .ofMaxSize(25);
    }

    @Property(tries = 300)
    void anySequenceOfEditsKeepsAWorkoutThatReadsBackTheSame(@ForAll("edits") List<Edit> edits) {
        Workout workout =
                workout("warm-up: 15min 45>65%, 3 x (4min 105-110% 90+rpm, 2 x (30s 200W, 30s z2), 3min rpe 3), 2km "
                        + "60%, lap open");
        for (Edit edit : edits) workout = edit.on(workout);
        assertEquals(
                workout,
                Shorthand.read(text(workout), workout.sport(), workout.basis())
                        .workout()
                        .orElse(null),
                text(workout));
    }

    private static final Zones RIDER = Zones.usual(Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.CRITICAL_POWER, 255)
            .with(Quantity.W_PRIME, 20_000));

    @Test
    void moreRestOrLessPowerMakesAnImpossibleWorkoutPossible() {
        Workout hard = workout("10min 50%, 6 x (3min 125%, 1min 50%), 10min 50%");
        Rescue rescue = Rescue.of(hard, RIDER, Forecast.of(hard, RIDER)).orElseThrow();
        assertTrue(rescue.moreRestSeconds() > 0 && rescue.lowerPercent() == 0);
        // exactly the least: with 15 s less it still fails
        Workout saved = workout("10min 50%, 6 x (3min 125%, " + (60 + rescue.moreRestSeconds()) + "s 50%), 10min 50%");
        Workout stillNot =
                workout("10min 50%, 6 x (3min 125%, " + (45 + rescue.moreRestSeconds()) + "s 50%), 10min 50%");
        assertTrue(Forecast.of(saved, RIDER).lowestReserve().orElseThrow().joules() >= 0);
        assertTrue(Forecast.of(stillNot, RIDER).lowestReserve().orElseThrow().joules() < 0);
        // 3 min at 312.5 W: 57.5 W above CP for 180 s takes 10.35 kJ; the second begins with little more than 9.65 kJ
        // back, so it runs out in the second or third
        assertTrue(rescue.repetition() == 2 || rescue.repetition() == 3, rescue.toString());
    }

    @Test
    void whereRestCannotHelpLessPowerMust() {
        Workout single = workout("10min 50%, 6min 130%, 10min 50%");
        Rescue rescue = Rescue.of(single, RIDER, Forecast.of(single, RIDER)).orElseThrow();
        assertEquals(0, rescue.repetition());
        // 325 W x (1 - p) - 255 W over 360 s must stay below 20 kJ: 310.55 W, so 4.4 % less: 5 %
        assertEquals(5, rescue.lowerPercent());
        assertEquals(0, rescue.moreRestSeconds());
        Workout easy = workout("1h 70%");
        assertTrue(Rescue.of(easy, RIDER, Forecast.of(easy, RIDER)).isEmpty());
    }
}
