package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The own simplex against the library's: same optimum, same programmes without any. */
class ProgrammeTest {
    private static final int SEEDS = 2000;

    /**
     * Small programmes of every kind: boxed, fixed and open variables, equal, open and double rows, ties of all sorts.
     */
    private static Programme random(int seed) {
        Random random = new Random(seed);
        Programme programme = new Programme();
        int variables = 1 + random.nextInt(14);
        boolean whole = random.nextBoolean();
        for (int i = 0; i < variables; i++) {
            double low = random.nextInt(4) == 0 ? random.nextInt(9) - 4 : 0;
            double size = random.nextInt(8) == 0 ? 0 : 1 + random.nextInt(20);
            boolean open = random.nextInt(3) == 0;
            double cost = random.nextInt(3) == 0 ? 0 : figure(random, whole);
            programme.variable(low, open ? Double.POSITIVE_INFINITY : low + size, open ? Math.abs(cost) : cost);
        }
        for (int r = random.nextInt(8); r > 0; r--) row(programme, variables, random, whole);
        return programme;
    }

    private static void row(Programme programme, int variables, Random random, boolean whole) {
        Terms terms = new Terms();
        for (int i = 0; i < variables; i++) if (random.nextInt(3) > 0) terms.plus(i, figure(random, whole));
        double at = 10 * random.nextGaussian();
        int kind = random.nextInt(4);
        double low = kind == 0 ? Double.NEGATIVE_INFINITY : at;
        double high = kind == 1 ? Double.POSITIVE_INFINITY : kind == 2 ? at : at + 5 * random.nextDouble();
        programme.row(terms, low, kind == 0 ? at : high);
    }

    private static double figure(Random random, boolean whole) {
        return whole ? random.nextInt(7) - 3 : random.nextGaussian();
    }

    @Test
    void theOwnSimplexAndTheLibraryFindTheSameOptimum() {
        int proved = 0;
        int impossible = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Programme programme = random(seed);
            Optional<double[]> library = programme.byLibrary();
            Optional<BoundedSimplex.Proved> own = programme.simplex().solve();
            if (own.isEmpty()) continue;
            proved++;
            if (own.get().values() == null) {
                impossible++;
                assertThat(library).as("seed %d", seed).isEmpty();
                continue;
            }
            assertThat(library).as("seed %d", seed).isPresent();
            double least = programme.costOf(library.get());
            assertThat(programme.costOf(own.get().values()))
                    .as("seed %d", seed)
                    .isCloseTo(least, within(1e-6 * Math.max(1, Math.abs(least))));
        }
        System.out.printf(
                "simplex: of %d programmes %d proved by itself, %d of them to have no solution%n",
                SEEDS, proved, impossible);
        assertThat(proved).isGreaterThan(SEEDS * 95 / 100);
        assertThat(impossible).isBetween(SEEDS / 10, SEEDS * 9 / 10);
    }

    @Test
    void whatItCannotBeginIsLeftToTheLibrary() {
        Programme programme = new Programme();
        int x = programme.variable(0, Double.POSITIVE_INFINITY, -1);
        programme.row(new Terms().plus(x, 2), Double.NEGATIVE_INFINITY, 9);
        assertThat(programme.simplex().solve()).isEmpty();
        assertThat(programme.solve().orElseThrow()[0]).isCloseTo(4.5, within(1e-9));
    }

    @Test
    void aFixedVariableStaysWhereItIs() {
        Programme programme = new Programme();
        int fixed = programme.variable(3, 3, 5);
        int free = programme.variable(0, 10, 1);
        programme.row(new Terms().plus(fixed, 1).plus(free, 1), 7, Double.POSITIVE_INFINITY);
        assertThat(programme.solve().orElseThrow()).containsExactly(3, 4);
        programme.row(new Terms().plus(free, 1), Double.NEGATIVE_INFINITY, 3.9);
        assertThat(programme.solve()).isEmpty();
    }
}
