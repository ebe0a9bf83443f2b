package pemblar.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Series;

class LevelsTest {
    /** By hand: 2, 4, 9 have the mean 5 and the squares 9 + 1 + 16 around it. */
    @Test
    void meansAndSquaresAreThoseOfTheStretch() {
        Levels levels = new Levels(Series.of(100, 2, 4, 9, 100));
        assertThat(levels.size()).isEqualTo(5);
        assertThat(levels.mean(1, 4)).isEqualTo(5);
        assertThat(levels.rest(1, 4)).isCloseTo(26, within(1e-9));
        assertThat(levels.around(4, 1, 4)).as("around a level of one's own").isCloseTo(4 + 0 + 25, within(1e-9));
    }

    @Test
    void aMissingSecondCountsForNothing() {
        Levels levels = new Levels(Series.of(2, Double.NaN, 4));
        assertThat(levels.mean(0, 3)).isEqualTo(3);
        assertThat(levels.present(0, 3)).isEqualTo(2);
        assertThat(levels.rest(0, 3)).isCloseTo(2, within(1e-9));
        assertThat(levels.mean(1, 2)).isNaN();
        assertThat(levels.rest(1, 2)).isZero();
    }

    @Test
    void theSecondAtWhichALevelChangesIsFoundUnderNoise() {
        Random random = new Random(11);
        for (int change = 10; change <= 50; change += 5) {
            double[] watts = new double[60];
            Arrays.fill(watts, 0, change, 150);
            Arrays.fill(watts, change, 60, 260);
            for (int i = 0; i < watts.length; i++) watts[i] += 12 * random.nextGaussian();
            assertThat(new Levels(Series.of(watts)).parting(0, 60, -1)).isBetween(change - 1, change + 1);
        }
    }

    @Test
    void aStretchThatIsTooShortForTwoSidesIsNotParted() {
        Levels levels = new Levels(Series.of(1, 1, 1, 9, 9, 9, 9));
        assertThat(levels.parting(0, 7, 42)).isEqualTo(42);
    }

    @Property(tries = 200)
    void sumsGiveWhatAPassOverTheStretchGives(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        double[] values = new double[2 + random.nextInt(200)];
        for (int i = 0; i < values.length; i++) values[i] = random.nextInt(10) == 0 ? Double.NaN : random.nextInt(600);
        int from = random.nextInt(values.length - 1);
        int to = from + 1 + random.nextInt(values.length - from - 1);
        double[] present =
                Arrays.stream(values, from, to).filter(v -> !Double.isNaN(v)).toArray();
        Levels levels = new Levels(Series.of(values));
        double mean = Arrays.stream(present).average().orElse(Double.NaN);
        assertThat(levels.present(from, to)).isEqualTo(present.length);
        if (present.length == 0) return;
        assertThat(levels.mean(from, to)).isCloseTo(mean, within(1e-6));
        assertThat(levels.rest(from, to))
                .isCloseTo(
                        Arrays.stream(present).map(v -> (v - mean) * (v - mean)).sum(), within(1e-4));
    }
}
