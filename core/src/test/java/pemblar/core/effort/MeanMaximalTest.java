package pemblar.core.effort;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;

import java.util.Random;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Series;

class MeanMaximalTest {
    @Test
    void theBestMinuteOfAMinuteAtThreeHundred() {
        double[] watts = new double[600];
        for (int i = 200; i < 260; i++) watts[i] = 300;
        TreeMap<Integer, Double> curve = MeanMaximal.curve(Series.of(watts), 1, 60, 120);
        assertEquals(300, curve.get(60), 1e-9);
        assertEquals(150, curve.get(120), 1e-9);
    }

    @Test
    void noWindowReachesOverAMissingSecond() {
        Series values = Series.of(500, 500, Double.NaN, 500, 500, 500);
        TreeMap<Integer, Double> curve = MeanMaximal.curve(values, 1, 2, 3, 4);
        assertEquals(500, curve.get(3), 1e-9);
        assertNull(curve.get(4));
    }

    @Test
    void durationsHoldEverySecondToTwoMinutesTheRoundOnesAndTheLength() {
        int[] durations = MeanMaximal.durations(4000);
        for (int i = 0; i < 120; i++) assertEquals(i + 1, durations[i]);
        for (int i = 120; i < durations.length; i++)
            assertEquals(true, durations[i] > durations[i - 1] && durations[i] <= durations[i - 1] * 1.02);
        assertEquals(
                true,
                java.util.Arrays.stream(durations).anyMatch(d -> d == 1200) && durations[durations.length - 1] == 4000);
    }

    @Property(tries = 60)
    void agreesWithTheDefinitionByBruteForce(@ForAll long seed, @ForAll @IntRange(min = 1, max = 200) int length) {
        Random random = new Random(seed);
        double[] values = new double[length];
        for (int i = 0; i < length; i++)
            values[i] = random.nextInt(20) == 0 ? Double.NaN : random.nextInt(900) - (seed % 3 == 0 ? 300 : 0);
        Series series = Series.of(values);
        MeanMaximal.curve(series).forEach((duration, best) -> assertEquals(bruteForce(series, duration), best, 1e-9));
    }

    private static double bruteForce(Series values, int duration) {
        double best = Double.NEGATIVE_INFINITY;
        for (int from = 0; from + duration <= values.size(); from++)
            if (values.present(from, from + duration) == duration)
                best = Math.max(best, values.mean(from, from + duration));
        return best;
    }
}
