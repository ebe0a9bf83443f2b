package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Written by hand for speed, and yet the same as the format of the language writes. */
@Tag("unit")
class FiguresTest {
    @Test
    void theSameAsAFormat() {
        Random random = new Random(7);
        for (int i = 0; i < 200_000; i++) {
            double value = random.nextInt(4) == 0
                    ? (random.nextInt(4_000_001) - 2_000_000) / 2000.0
                    : (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(9));
            int digits = random.nextInt(4);
            assertThat(Figures.fixed(value, digits)).isEqualTo(String.format(Locale.ROOT, "%." + digits + "f", value));
        }
    }

    @Test
    void whatIsNoNumberToo() {
        for (double value : new double[] {0, -0.0, Double.NaN, Double.POSITIVE_INFINITY, 1e18, -1e300, 0.5, 1.5, -2.5})
            for (int digits = 0; digits < 5; digits++)
                assertThat(Figures.fixed(value, digits))
                        .isEqualTo(String.format(Locale.ROOT, "%." + digits + "f", value));
        assertThat(Figures.two(7)).isEqualTo("07");
        assertThat(Figures.two(123)).isEqualTo("123");
    }
}
