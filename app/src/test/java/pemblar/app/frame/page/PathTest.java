package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class PathTest {
    @Test
    void pointsAreWrittenAsShortAsTheyCanBe() {
        assertThat(new Path().on(0, 29).on(1.5, -0.25).to(3.004, 4.996).closed().toString())
                .isEqualTo("M0 29L1.5 -0.25L3 5Z");
        assertThat(new Path().from(0, 1).across(2.5).upTo(-1).toString()).isEqualTo("M0 1H2.5V-1");
        assertThat(Path.at(1.5, -0.25)).isEqualTo("1.5 -0.25");
        assertThat(new Path().isEmpty()).isTrue();
        assertThat(new Path().toString()).isEmpty();
    }

    /** What is read back is what was drawn, to half a hundredth. */
    @Test
    void nothingIsLostButRounding() {
        Random random = new Random(5);
        for (int i = 0; i < 2000; i++) {
            double x = 2000 * random.nextGaussian();
            double y = random.nextGaussian();
            String[] read = new Path().from(x, y).toString().substring(1).split(" ");
            assertThat(Double.parseDouble(read[0])).isBetween(x - 0.00501, x + 0.00501);
            assertThat(Double.parseDouble(read[1])).isBetween(y - 0.00501, y + 0.00501);
        }
    }
}
