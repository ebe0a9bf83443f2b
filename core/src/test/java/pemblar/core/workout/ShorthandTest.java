package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pemblar.core.sport.Sport;

class ShorthandTest {
    private static Workout read(String text) {
        Shorthand.Reading reading = Shorthand.read(text, Sport.RIDE);
        return reading.workout()
                .orElseThrow(
                        () -> new AssertionError(reading.problem().orElseThrow().toString()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "15min 45>65%",
                "10min 60-65%",
                "5min 95%",
                "3km z2",
                "5 x (90s 92% 60-75rpm seated, 30s 118% 75+rpm standing \"hands light\")",
                "6 x (800m z4, 400m z1)",
                "2 x (6 x (40s 120%, 20s 50%), 6min 50%)",
                "18min 235-250W",
                "25min 148-156bpm",
                "1km 4:10/km",
                "1km 4:10-4:20/km",
                "15min rpe 6",
                "lap open \"until the gate\"",
                "until hr<120 open",
                "1mi 6:40/mi",
                "1h30min z2-3",
                "10min 85%hr",
                "10min z3 hr <60rpm",
                "warm-up: 15min 45>65%\nmain: 3 x (8min 98%, 3min 50%)",
                "20min 150>200W 90rpm"
            })
    void theNormalFormComesBackAsItWas(String text) {
        assertEquals(text, ShorthandText.of(read(text)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "15 MIN 45 > 65 %|15min 45>65%", "5X(4min106%,4min50%)|5 x (4min 106%, 4min 50%)",
                        "90min 60%|1h30min 60%", "60s 60%|1min 60%",
                "10min 65-60%|10min 60-65%", "1500m 80%|1.5km 80%", "10min 60% 90 - 95 rpm|10min 60% 90-95rpm",
                        "10min 60%,, 5min 50%,|10min 60%, 5min 50%"
            })
    void caseSpacesAndOrderDoNotMatterWhenReading(String typed, String normal) {
        assertEquals(normal, ShorthandText.of(read(typed)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "15min 45>65%, 5min 400%|1|20", "0s 50%|1|1", "10000 x (1min 50%)|1|1", "3 x (1min 50%|1|14",
                        "10min|1|6", "10min 60% xyz|1|11", "49h 50%|1|1",
                "2 x (2 x (2 x (1min 50%)))|1|11", "10min z0|1|7", "10 60%|1|4", "until hr 120 open|1|10",
                        "10min 60% \"open|1|11", "10min rpe 12|1|7", "10min 4:75/km|1|7"
            })
    void anErrorNamesThePlace(String text, int line, int column) {
        Shorthand.Problem problem = Shorthand.read(text, Sport.RIDE).problem().orElseThrow();
        assertEquals(line + ":" + column, problem.line() + ":" + problem.column(), problem.toString());
        assertTrue(problem.expected().length() > 3);
    }

    @Test
    void theSecondLineIsCounted() {
        Shorthand.Problem problem =
                Shorthand.read("10min 60%\n5min foo", Sport.RIDE).problem().orElseThrow();
        assertEquals(2, problem.line());
        assertEquals(6, problem.column());
        assertEquals("foo", problem.found());
    }

    @Test
    void anEmptyTextIsRefused() {
        assertTrue(Shorthand.read("  \n ", Sport.RIDE).problem().isPresent());
    }

    @Property(tries = 500)
    void anyTextGivesAWorkoutOrAProblemAndNeverFails(@ForAll String text) {
        Shorthand.Reading reading = Shorthand.read(text, Sport.RUN);
        assertTrue(reading.workout().isPresent() != reading.problem().isPresent());
    }

    @Test
    void designIndexesFollowTheFilesOfDevices() {
        var flat = read("5min 50%, 2 x (1min 100%, 1min 50%), 5min 50%").expanded();
        assertEquals(6, flat.size());
        assertEquals(
                java.util.List.of(0, 1, 2, 1, 2, 4),
                flat.stream().map(Workout.Flat::stepIndex).toList());
        assertEquals(2, flat.get(3).repetition());
    }
}
