package pemblar.core.profile;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve;
import pemblar.core.profile.PaceProfile.Rung;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

class PaceProfileTest {
    private static BestCurve curve(double... speedsAndSeconds) {
        BestCurve curve = new BestCurve();
        for (int i = 0; i < speedsAndSeconds.length; i += 2) {
            double[] values = new double[(int) speedsAndSeconds[i + 1]];
            Arrays.fill(values, speedsAndSeconds[i]);
            curve.raise(i, BestCurve.onGrid(Series.of(values)), 1);
        }
        return curve;
    }

    /** 10 km in 40 min by a man: 1571 s is the world's best, so 65.5 % of its speed. */
    @Test
    void aTimeIsAShareOfTheWorldsBestSpeed() {
        Rung ten = PaceProfile.of(Sport.RUN, Sex.MALE, curve(10_000 / 2400.0, 2500), 4.05)
                .get(2);
        assertEquals(10_000, ten.metres());
        assertEquals(2400, ten.seconds().orElseThrow(), 1);
        assertEquals(1571 / 2400.0, ten.share(), 0.001);
        assertTrue(ten.near());
    }

    @Test
    void anEasyRunAndAPartOfALongerOneAreNoTest() {
        List<Rung> rungs = PaceProfile.of(Sport.RUN, Sex.MALE, curve(3, 8000, 10_000 / 2400.0, 2500), 4.05);
        assertFalse(rungs.get(3).near(), "the half marathon was run easily");
        assertTrue(rungs.get(2).near());
        assertFalse(rungs.get(1).near(), "five kilometres of a race over ten");
        assertTrue(rungs.get(4).seconds().isEmpty(), "a marathon was never run");
        assertTrue(Double.isNaN(rungs.get(4).share()));
    }

    @Test
    void withoutAThresholdNothingIsCalledTested() {
        assertTrue(PaceProfile.of(Sport.RUN, Sex.MALE, curve(5, 4000), Double.NaN).stream()
                .noneMatch(Rung::near));
    }

    /** 400 m in 5:30 against 220 s: two thirds. */
    @Test
    void swimmersAreToldByTheirOwnDistances() {
        Rung four = PaceProfile.of(Sport.SWIM, Sex.MALE, curve(400 / 330.0, 331), 1.15)
                .get(2);
        assertEquals(400, four.metres());
        assertEquals(220 / 330.0, four.share(), 0.005);
        assertEquals(List.of(100.0, 200.0, 400.0, 800.0, 1500.0), PaceProfile.distances(Sport.SWIM));
    }
}
