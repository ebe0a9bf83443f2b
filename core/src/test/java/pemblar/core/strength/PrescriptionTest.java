package pemblar.core.strength;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import pemblar.core.strength.Lift.PlannedSet;
import pemblar.core.strength.Prescription.Row;

class PrescriptionTest {
    private static final Maxima MAXIMA = Maxima.of(List.of(
            new Exercise.Own("back squat", OptionalDouble.of(102)),
            new Exercise.Own("pull-up", OptionalDouble.of(90)),
            new Exercise.Linked("split squat", "back squat", 60, false),
            new Exercise.Own("bench press", OptionalDouble.empty())));

    private static List<Row> rows(String text) {
        return Prescription.of(
                StrengthShorthand.read(text).workout().orElseThrow(),
                MAXIMA,
                Loadable.inSteps(2.5),
                OptionalDouble.of(71));
    }

    @Test
    void percentOfTheMaximumAndWhatCanBeLoaded() {
        Row row = rows("back squat 5 x 5 at 80%").get(0);
        assertEquals(81.6, row.exactKilograms().orElseThrow(), 1e-9);
        assertEquals(82.5, row.shownKilograms().orElseThrow(), 1e-9);
        assertEquals(0.8, row.share().orElseThrow(), 1e-9);
    }

    @Test
    void aRepetitionMaximumAndReserveFollowTheSameFormula() {
        assertEquals(
                102 / (1 + 10 / 30.0),
                rows("back squat 3 x 10 at 10rm").get(0).exactKilograms().orElseThrow(),
                1e-9);
        assertEquals(
                102 / (1 + 10 / 30.0),
                rows("back squat 3 x 8 at 2 in reserve").get(0).exactKilograms().orElseThrow(),
                1e-9);
    }

    @Test
    void linkedBodyMassAndUnknown() {
        assertEquals(
                0.6 * 102 * 0.6,
                rows("split squat 4 x 8 each at 60%").get(0).exactKilograms().orElseThrow(),
                1e-9);
        Row pull = rows("pull-up 4 x 6 at body mass +5kg").get(0);
        assertEquals(5, pull.shownKilograms().orElseThrow());
        assertEquals(76 / 90.0, pull.share().orElseThrow(), 1e-9);
        Row bench = rows("bench press 3 x 8 at 70%").get(0);
        assertTrue(bench.findOut() && bench.shownKilograms().isEmpty());
        assertTrue(rows("front lever 3 x 5").get(0).shownKilograms().isEmpty(), "an exercise nobody knows has no load");
    }

    @Test
    void warmUpSetsLeadToTheFirstWorkingSet() {
        List<Row> rows = rows("warm-up: back squat\nback squat 5 x 5 at 80%");
        assertEquals(
                List.of(5, 3, 2),
                rows.stream()
                        .filter(Row::warmUp)
                        .map(r -> r.set().repetitions())
                        .toList());
        assertEquals(
                List.of(32.5, 50.0, 65.0),
                rows.stream()
                        .filter(Row::warmUp)
                        .map(r -> r.shownKilograms().orElseThrow())
                        .toList());
        assertEquals(8, rows.size());
    }

    @Test
    void theNextSetIsAsHardAsTheLastOne() {
        PlannedSet eight = new PlannedSet(8, false, 0, new SetLoad.Percent(60));
        // 8 with 2 left at 50 kg: a maximum of 50 x (1 + 10/30) = 66.7, of which 60 %
        assertEquals(40, Prescription.nextFromLast(50, 8, 2, eight).orElseThrow(), 1e-9);
        assertTrue(Prescription.nextFromLast(50, 13, 0, eight).isEmpty(), "over twelve nothing is told");
    }

    /** 85 % of 102 kg are 86.7 kg: 87.5 would be nearer, and harder than asked. */
    @Test
    void aSetThatMayMoveTheMaximumRoundsDown() {
        assertEquals(
                85,
                rows("back squat as many as possible at 85% -> max")
                        .get(0)
                        .shownKilograms()
                        .orElseThrow(),
                1e-9);
        assertEquals(
                87.5,
                rows("back squat as many as possible at 85%")
                        .get(0)
                        .shownKilograms()
                        .orElseThrow(),
                1e-9);
    }
}
