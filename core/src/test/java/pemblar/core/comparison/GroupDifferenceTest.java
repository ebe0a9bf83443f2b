package pemblar.core.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.comparison.GroupDifference.Point;

class GroupDifferenceTest {
    /** Speed over power with two sets of wheels: the lines are 0.3 apart. */
    private static List<Point> points(double noise, double apart, long seed) {
        Random random = new Random(seed);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            double watts = 200 + 10 * i + (i % 2 == 0 ? 0 : 25);
            points.add(new Point(
                    watts, 2 + 0.03 * watts + (i % 2 == 0 ? 0 : apart) + noise * random.nextGaussian(), i % 2 == 1));
        }
        return points;
    }

    @Test
    void parallelLinesAreTheirDistanceApartWhateverThePowerOfEachGroup() {
        GroupDifference d = GroupDifference.of(points(0, 0.3, 1)).orElseThrow();
        assertThat(d.difference()).isCloseTo(0.3, within(1e-9));
        assertThat(d.perX()).isCloseTo(0.03, within(1e-9));
        assertThat(d.isClear()).isTrue();
    }

    @Test
    void aWorkedExample() {
        // Means (2, 3.0) and (3, 5.5); within groups Sxx 4, Sxy 4.0, Syy 4.5: b = 1, d = 2.5 - 1, rest 0.5 on 3 degrees
        // of freedom.
        GroupDifference d = GroupDifference.of(List.of(
                        new Point(1, 2, false),
                        new Point(2, 3, false),
                        new Point(3, 4, false),
                        new Point(2, 4.5, true),
                        new Point(3, 6, true),
                        new Point(4, 6, true)))
                .orElseThrow();
        assertThat(d.perX()).isCloseTo((2 + 1.5) / 4, within(1e-9));
        assertThat(d.difference()).isCloseTo(5.5 - 3 - 0.875, within(1e-9));
        double rest = 2 + 1.5 - 0.875 * 0.875 * 4;
        assertThat(d.standardError()).isCloseTo(Math.sqrt(rest / 3 * (2.0 / 3 + 1.0 / 4)), within(1e-9));
        assertThat(d.high() - d.difference()).isCloseTo(3.182 * d.standardError(), within(1e-9));
    }

    /**
     * The interval holds the truth in about 95 of 100 cases, so that a difference that is not there is seldom claimed.
     */
    @Test
    void theIntervalHoldsTheTruthAsOftenAsItSays() {
        int held = 0;
        for (int seed = 0; seed < 2000; seed++) {
            GroupDifference d = GroupDifference.of(points(0.2, 0.3, seed)).orElseThrow();
            if (d.low() <= 0.3 && d.high() >= 0.3) held++;
        }
        assertThat(held / 2000.0).isBetween(0.93, 0.97);
    }

    @Test
    void tooFewPointsOrOnePowerAloneSayNothing() {
        assertThat(GroupDifference.of(points(0, 0.3, 1).subList(0, 4))).isEmpty();
        assertThat(GroupDifference.of(
                        points(0, 0.3, 1).stream().filter(p -> !p.second()).toList()))
                .isEmpty();
        assertThat(GroupDifference.of(List.of(
                        new Point(1, 1, false),
                        new Point(1, 2, false),
                        new Point(1, 3, false),
                        new Point(2, 4, true),
                        new Point(2, 5, true))))
                .isEmpty();
    }
}
