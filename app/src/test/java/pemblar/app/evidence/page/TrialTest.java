package pemblar.app.evidence.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyDouble;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;

@Tag("unit")
class TrialTest {
    private final Trial.Exponents exponents = mock(Trial.Exponents.class);

    private Trial trial(Method method, Sport sport, Map<String, String> typed) {
        when(exponents.power(any())).thenReturn(new Endurance(0.08, Endurance.Origin.OWN_EFFORTS, 4, 5.2));
        when(exponents.running(anyDouble(), anyDouble()))
                .thenReturn(new Endurance(0.06, Endurance.Origin.WORLD_BEST, 0, 0));
        return new Trial(method, sport, typed, exponents);
    }

    @Test
    void everyUnreadableFieldIsNamed() {
        Trial trial = trial(
                Method.TWO_EFFORTS,
                Sport.RIDE,
                Map.of(
                        "shortTime",
                        "three",
                        "shortWatts",
                        "",
                        "longTime",
                        "12:00",
                        "longWatts",
                        "290",
                        "shortDay",
                        "2026-05-01",
                        "longDay",
                        "soon"));
        assertEquals(
                List.of("shortTime", "shortWatts", "longDay"),
                trial.calculation().refusals().stream().map(r -> r.field()).toList());
        verify(exponents, never()).power(any());
    }

    @Test
    void aRaceSaysWhereItsExponentComesFromAndWhyItsRangeIsAsWide() {
        Trial near =
                trial(Method.RACE_BY_POWER, Sport.RIDE, Map.of("time", "58:00", "watts", "255", "name", "hill trial"));
        assertTrue(near.whyThisWide().startsWith("The range is narrow"));
        assertTrue(near.origin().contains("4 own best efforts") && near.origin().contains("5.2 times"));
        Evidence kept = near.evidence(LocalDate.of(2026, 5, 1)).get(0);
        assertEquals("hill trial: 58:00 at 255 W", kept.source());
        assertTrue(kept.remark().startsWith("exponent 0.080, from 4 own"));
        assertTrue(trial(Method.RACE_BY_POWER, Sport.RIDE, Map.of("time", "1:45:00", "watts", "230"))
                .whyThisWide()
                .contains("moderate: the time has to be carried from 105 min to 55 min"));
        assertTrue(trial(Method.RACE_BY_POWER, Sport.RIDE, Map.of("time", "5:10:00", "watts", "190"))
                .whyThisWide()
                .contains("from 5 h 10 min to 55 min"));
    }

    @Test
    void aTestHasNoExponentToExplain() {
        Trial trial = trial(Method.RAMP, Sport.RIDE, Map.of("watts", "350"));
        assertEquals("", trial.whyThisWide());
        assertEquals(
                "best minute 350 W",
                trial.evidence(LocalDate.of(2026, 5, 1)).get(0).source());
        assertEquals("", trial.evidence(LocalDate.of(2026, 5, 1)).get(0).remark());
    }

    @Test
    void twoEffortsAreKeptAsTwoPieces() {
        Trial trial = trial(
                Method.TWO_EFFORTS,
                Sport.RIDE,
                Map.of(
                        "shortTime",
                        "3:00",
                        "shortWatts",
                        "400",
                        "longTime",
                        "12:00",
                        "longWatts",
                        "300",
                        "shortDay",
                        "2026-05-01",
                        "longDay",
                        "2026-05-03"));
        assertEquals(2, trial.evidence(LocalDate.of(2026, 5, 3)).size());
    }

    @Test
    void aRunTakesDistanceAndTime() {
        Trial trial = trial(Method.RACE_BY_PACE, Sport.RUN, Map.of("distance", "10", "time", "40:00"));
        assertEquals(4.06652, trial.calculation().estimates().get(0).best(), 1e-4);
        verify(exponents).running(10_000, 2400);
    }
}
