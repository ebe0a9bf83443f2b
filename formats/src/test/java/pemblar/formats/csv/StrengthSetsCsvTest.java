package pemblar.formats.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StrengthSetsCsvTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);

    @Test
    void aSetIsReadInWhateverOrderOfColumnsAndPoundsAreKilograms() {
        StrengthSetsCsv.Reading reading = StrengthSetsCsv.read(
                "\uFEFFExercise,day,pounds,repetitions,warm_up,note\n"
                        + "Back  Squat,2026-11-20,220,5,false,'=good\n"
                        + "plank,2026-11-20,,,,\n",
                TODAY);
        assertEquals(2, reading.rows().size(), reading.problems().toString());
        StrengthSetsCsv.Row first = reading.rows().get(0);
        assertEquals("back squat", first.exercise());
        assertEquals(99.79, first.kilograms(), 0.005);
        assertEquals("=good", first.note());
        assertNull(first.inReserve());
        assertEquals(0, reading.rows().get(1).kilograms());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-11-28,row,60,8 | line 2: day",
                "1989-01-01,row,60,8 | line 2: day",
                "soon,row,60,8 | line 2: day",
                "2026-11-20,,60,8 | line 2: exercise",
                "2026-11-20,row,1000,8 | line 2: kilograms",
                "2026-11-20,row,NaN,8 | line 2: kilograms",
                "2026-11-20,row,60,-1 | line 2: repetitions",
                "2026-11-20,row,60,many | line 2: repetitions"
            })
    void aLineThatCannotBeNamesItselfAndRefusesTheFile(String line, String said) {
        StrengthSetsCsv.Reading reading =
                StrengthSetsCsv.read("day,exercise,kilograms,repetitions\n" + line + "\n2026-11-20,row,50,5\n", TODAY);
        assertTrue(reading.rows().isEmpty());
        assertEquals(1, reading.problems().size());
        assertTrue(
                reading.problems().get(0).toString().startsWith(said),
                reading.problems().toString());
    }

    @Test
    void aHeadingThatIsNotOursSaysWhichOneIs() {
        assertTrue(StrengthSetsCsv.read("date,lift\n", TODAY)
                .problems()
                .get(0)
                .toString()
                .contains("date"));
        assertTrue(StrengthSetsCsv.read("day,note\n", TODAY)
                .problems()
                .get(0)
                .toString()
                .contains("exercise"));
        assertTrue(StrengthSetsCsv.read("", TODAY).rows().isEmpty());
        assertTrue(StrengthSetsCsv.read("day,exercise\n\"2026", TODAY).rows().isEmpty());
    }

    @Test
    void aHugeFileIsRefusedBeforeItIsRead() {
        assertEquals(
                1,
                StrengthSetsCsv.read("x".repeat(StrengthSetsCsv.MOST_CHARACTERS + 1), TODAY)
                        .problems()
                        .size());
        String many = "day,exercise\n" + "2026-11-20,row\n".repeat(20_001);
        assertTrue(
                StrengthSetsCsv.read(many, TODAY).problems().get(0).toString().contains("at most 20000"));
    }
}
