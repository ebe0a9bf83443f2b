package pemblar.formats.json;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;

class StrengthJsonTest {
    private static final String ALL_FORMS = """
        warm-up: back squat
        back squat 5 x 5 at 80%, rest 3min
        bench press 3 x 8 at 2 in reserve
        deadlift 5 at 75%, 3 at 80%, as many as possible at 85% -> max
        front squat 3 x 10 at 10rm, last as many as possible -> max both ways
        A1 pull-up 4 x 6 at body mass +5kg
        A2 split squat 4 x 8 each at 40kg
        plank 3 x 45s
        barbell row 4 x 8 at 60%, next from last
        calf raise 2 x 12""";

    private static StrengthWorkout workout() {
        return StrengthShorthand.read(ALL_FORMS).workout().orElseThrow();
    }

    @Test
    void whatIsWrittenReadsBackTheSame() {
        StrengthWorkout workout = workout();
        StrengthWorkout back = StrengthJson.read(StrengthJson.write(workout));
        assertEquals(workout, back);
        assertEquals(StrengthText.of(workout), StrengthText.of(back));
    }

    @Test
    void whatCannotBeIsNamedWithItsPlace() {
        String bad = StrengthJson.write(workout()).replace("\"percent\":80.0", "\"percent\":800");
        assertTrue(refused(bad).contains("exercises[0].sets[0]: percent must be in 1..150"), refused(bad));
        assertTrue(refused("{\"version\":1,\"sport\":\"strength\",\"exercises\":[{\"name\":\"\",\"sets\":[]}]}")
                .contains("exercises[0]: "));
        assertTrue(refused("{\"version\":1,\"sport\":\"strength\",\"exercises\":[{\"sets\":{\"percent\":80}}]}")
                .contains("exercises[0].sets: a list is expected"));
        assertTrue(refused("{\"version\":2}").contains("version and sport"));
        assertTrue(refused("squat 5 x 5").contains("no JSON"));
    }

    private static String refused(String json) {
        return assertThrows(IllegalArgumentException.class, () -> StrengthJson.read(json))
                .getMessage();
    }

    @Test
    void aDamagedFileNeverEndsInAnythingButItsReason() {
        String whole = StrengthJson.write(workout());
        Random random = new Random(17);
        for (int i = 0; i < 3000; i++) {
            StringBuilder damaged = new StringBuilder(whole);
            for (int j = 0; j < 3; j++)
                damaged.setCharAt(random.nextInt(damaged.length()), (char) (32 + random.nextInt(95)));
            try {
                StrengthJson.read(damaged.substring(0, 1 + random.nextInt(damaged.length())));
            } catch (IllegalArgumentException e) {
                assertTrue(e.getMessage() != null && !e.getMessage().isBlank());
            }
        }
    }
}
