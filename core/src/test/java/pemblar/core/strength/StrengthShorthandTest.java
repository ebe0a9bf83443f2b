package pemblar.core.strength;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pemblar.core.strength.Lift.PlannedSet;
import pemblar.core.strength.LoggedSet.Counts;

class StrengthShorthandTest {
    private static StrengthWorkout read(String text) {
        StrengthShorthand.Reading reading = StrengthShorthand.read(text);
        return reading.workout()
                .orElseThrow(
                        () -> new AssertionError(reading.problem().orElseThrow().toString()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "back squat 5 x 5 at 80%, rest 3min",
                "bench press 3 x 8 at 2 in reserve",
                "deadlift 5 at 75%, 3 at 80%, as many as possible at 85% -> max",
                "back squat 3 x 10 at 10rm, last as many as possible -> max both ways",
                "A1 pull-up 4 x 6 at body mass +5kg",
                "A2 split squat 4 x 8 each at 40kg",
                "plank 3 x 45s",
                "row 4 x 8 at 60%, next from last",
                "warm-up: back squat\nback squat 3 x 5 at 77.5%, rest 2min30s, tempo 3-1-1, \"knees out\"",
                "dip 3 x 6 at body mass -20kg",
                "push-up as many as possible"
            })
    void whatIsWrittenReadsBackTheSame(String text) {
        assertEquals(text, StrengthText.of(read(text)));
    }

    @Test
    void caseAndSpacesDoNotMatterAndPoundsAreRead() {
        assertEquals(
                "back squat 5 x 5 at 80%, rest 3min", StrengthText.of(read("  Back  Squat 5X5 AT 80 %,  REST 3 min")));
        assertEquals("row 3 x 8 at 45.36kg", StrengthText.of(read("row 3 x 8 at 100 lb")));
    }

    @Test
    void theLastSetAloneIsFree() {
        Lift lift = read("back squat 3 x 10 at 10rm, last as many as possible -> max both ways")
                .lifts()
                .get(0);
        assertEquals(
                List.of(false, false, true),
                lift.sets().stream().map(PlannedSet::asManyAsPossible).toList());
        assertEquals(Counts.EVERY, lift.counts());
        assertTrue(lift.canMoveAMaximum());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "back squat | 1 | 1 | an exercise and its sets",
                "back squat 5 x at 80% | 1 | 16 | repetitions, seconds",
                "back squat 5 x 5 at heavy | 1 | 21 | 80%, 10rm",
                "back squat 5 x 5 at 400% | 1 | 21 | percent must be in 1..150",
                "back squat 5 x 5, rest soon | 1 | 24 | a rest such as",
                "back squat 99 x 5 | 1 | 12 | 1 to 30 sets",
                "back squat 5 x 5 -> more | 1 | 21 | max after ->",
                "back squat 5 x 5 at 80% quickly | 1 | 25 | a comma",
                "back squat 5 x 5, tempo slow | 1 | 24 | a tempo such as"
            })
    void aProblemSaysWhereAndWhatWouldDo(String text, int line, int column, String expected) {
        StrengthShorthand.Problem problem =
                StrengthShorthand.read(text).problem().orElseThrow();
        assertEquals(line, problem.line());
        assertEquals(column, problem.column(), problem.toString());
        assertTrue(problem.expected().contains(expected), problem.toString());
    }

    @Test
    void hostileTextIsRefusedAndNothingHangs() {
        assertTrue(StrengthShorthand.read("x".repeat(20_000)).problem().isPresent());
        assertTrue(StrengthShorthand.read("").problem().isPresent());
        assertTrue(StrengthShorthand.read("a 1 x 1\n".repeat(500)).problem().isPresent(), "more than forty exercises");
        assertTrue(StrengthShorthand.read("warm-up: bench press\nback squat 5 x 5")
                .problem()
                .isPresent());
    }

    @Property(tries = 300)
    void everyWorkoutReadsBackTheSame(@ForAll("workouts") StrengthWorkout workout) {
        assertEquals(workout, read(StrengthText.of(workout)), StrengthText.of(workout));
    }

    @Provide
    Arbitrary<StrengthWorkout> workouts() {
        Arbitrary<SetLoad> loads = Arbitraries.oneOf(
                Arbitraries.integers().between(1, 150).map(SetLoad.Percent::new),
                Arbitraries.integers().between(1, 30).map(SetLoad.RepetitionMaximum::new),
                Arbitraries.integers().between(0, 10).map(SetLoad.InReserve::new),
                Arbitraries.integers().between(1, 999).map(SetLoad.Absolute::new),
                Arbitraries.integers().between(-99, 99).map(SetLoad.BodyMass::new),
                Arbitraries.just(new SetLoad.Free()));
        Arbitrary<PlannedSet> counted = Combinators.combine(
                        Arbitraries.integers().between(1, 30), Arbitraries.of(true, false), loads)
                .as((repetitions, free, load) -> new PlannedSet(repetitions, free, 0, load));
        Arbitrary<PlannedSet> held = Combinators.combine(Arbitraries.integers().between(1, 300), loads)
                .as((seconds, load) -> new PlannedSet(0, false, seconds, load));
        Arbitrary<PlannedSet> free = loads.map(load -> new PlannedSet(0, true, 0, load));
        Arbitrary<List<PlannedSet>> sets =
                Arbitraries.oneOf(counted, held, free).list().ofMinSize(1).ofMaxSize(5);
        Arbitrary<Lift> lifts = Combinators.combine(
                        Arbitraries.of("", "A1", "B2"),
                        Arbitraries.of("back squat", "pull-up", "row", "farmer's walk"),
                        Arbitraries.of(true, false),
                        sets,
                        Arbitraries.of(Counts.values()),
                        Arbitraries.of(true, false),
                        Arbitraries.of(0, 45, 60, 150),
                        Arbitraries.of("", "slow"))
                .as((letter, name, each, all, counts, next, rest, cue) ->
                        new Lift(letter, name, each, all, counts, next, rest, "", cue));
        return lifts.list().ofMinSize(1).ofMaxSize(4).map(all -> new StrengthWorkout(all, java.util.Set.of()));
    }

    @Test
    void hardSetsLengthAndLoad() {
        StrengthWorkout workout = read(
                "warm-up: back squat\nback squat 5 x 5 at 80%, rest 3min\nplank 3 x 45s\ncalf raise 2 x 12 at 65%");
        assertEquals(10, workout.sets());
        assertEquals(
                5,
                workout.lifts().stream()
                        .flatMap(l -> l.sets().stream())
                        .filter(StrengthWorkout::isHard)
                        .count());
        // 5 x (40 + 180) + 3 x (40 + 60) + 3 x (45 + 60) + 2 x (40 + 120) s = 2035 s, 34 min; 34 x 6 / 420 x 100
        assertEquals(34 * 60, workout.seconds());
        assertEquals(34 * 6 / 4.2, workout.load(), 1e-9);
        assertFalse(StrengthWorkout.isHard(new PlannedSet(0, false, 45, new SetLoad.Percent(90))), "held, not lifted");
    }
}
