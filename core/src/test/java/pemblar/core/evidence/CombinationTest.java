package pemblar.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.evidence.Piece.Both;
import pemblar.core.evidence.Piece.Floor;
import pemblar.core.evidence.Piece.Tabled;
import pemblar.core.evidence.Piece.Value;
import pemblar.core.model.CriticalPower;
import pemblar.core.model.Effort;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Quantity;

/** Evidence together: by hand, by properties, and against simulated athletes whose threshold is known. */
class CombinationTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 6, 20);
    private static final int SEEDS = 500;

    private static Piece value(String id, double best, double sd, int daysAgo) {
        return new Piece(
                id,
                TODAY.minusDays(daysAgo),
                true,
                new Value(Quantity.THRESHOLD_POWER, best, best - sd, best + sd),
                List.of(),
                false);
    }

    private static Combination of(Piece... pieces) {
        return Combination.of(List.of(pieces), TODAY, OptionalDouble.of(18_000));
    }

    @Test
    void twoPiecesMeetByInverseVarianceAndEverySixWeeksItDoubles() {
        // weights 1/16 and 1/64: (4 x 260 + 265) / 5 = 261, sd = sqrt(64 / 5)
        Combination two = of(value("a", 260, 4, 0), value("b", 265, 8, 0));
        assertThat(two.suggestions().get(Quantity.THRESHOLD_POWER).value()).isCloseTo(261, within(1e-9));
        assertThat(two.suggestions().get(Quantity.THRESHOLD_POWER).sd()).isCloseTo(Math.sqrt(64 / 5.0), within(1e-9));
        assertThat(of(value("a", 260, 5, 0), value("b", 266, 5, 42))
                        .suggestions()
                        .get(Quantity.THRESHOLD_POWER)
                        .value())
                .isCloseTo(262, within(1e-9));
    }

    /** A ramp that says 250 and a race that says 300, five watts each, are no 275. */
    @Test
    void whatExcludesEachOtherIsGroupedAndNotAveraged() {
        Combination apart = of(value("a", 250, 5, 3), value("b", 300, 5, 5), value("c", 253, 5, 8));
        assertThat(apart.contradicting()).containsExactly(Quantity.THRESHOLD_POWER);
        assertThat(apart.suggestions()).isEmpty();
        assertThat(apart.groups()).containsExactly(List.of("a", "c"), List.of("b"));
    }

    /** Of a fit that gave both, a better W' moves critical power along their covariance. */
    @Test
    void criticalPowerAndReserveMoveTogether() {
        Piece both = new Piece("fit", TODAY, true, new Both(255, 18_000, 25, -6000, 4e6), List.of(), false);
        Piece reserve =
                new Piece("w", TODAY, true, new Value(Quantity.W_PRIME, 20_000, 19_000, 21_000), List.of(), false);
        Combination joint = of(both, reserve);
        // gain of the reserve: 4e6 / (4e6 + 1e6) = 0.8, so +1600 J; critical power by -6000 / 4e6 of it: -2.4 W
        assertThat(joint.suggestions().get(Quantity.W_PRIME).value()).isCloseTo(19_600, within(1e-6));
        assertThat(joint.suggestions().get(Quantity.CRITICAL_POWER).value()).isCloseTo(252.6, within(1e-6));
    }

    private static Piece fit(List<Effort> efforts, List<AllOut> told) {
        CriticalPower fit = CriticalPower.fit(efforts).orElseThrow();
        Both both = new Both(
                fit.watts(),
                fit.reserveJoules(),
                Math.pow(fit.wattsError(), 2),
                fit.covariance(),
                Math.pow(fit.reserveError(), 2));
        return new Piece("fit", TODAY, true, both, told, false);
    }

    private static Piece test(Effort first, Effort second) {
        return new Piece(
                "test",
                TODAY,
                false,
                Methods.twoEfforts(first.watts(), first.seconds(), second.watts(), second.seconds()),
                List.of(
                        new AllOut(TODAY, first.watts(), first.seconds()),
                        new AllOut(TODAY, second.watts(), second.seconds())),
                false);
    }

    /**
     * Five best efforts of 1 % each, two of them the test of that day: as one piece each they would be believed twice.
     * How often is the true critical power within two deviations?
     */
    @Test
    void aTestThatIsAmongTheBestEffortsIsNotBelievedTwice() {
        int once = 0;
        int twice = 0;
        double[] seconds = {180, 450, 720, 900, 1200};
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            double truth = 200 + random.nextInt(120);
            List<Effort> efforts = new ArrayList<>();
            for (double t : seconds)
                efforts.add(new Effort(t, (truth + 18_000 / t) * (1 + 0.01 * random.nextGaussian())));
            List<AllOut> told = efforts.stream()
                    .map(e -> new AllOut(TODAY, 1.001 * e.watts(), e.seconds() - 1))
                    .toList();
            Piece test = test(efforts.get(0), efforts.get(2));
            Combination known = of(fit(efforts, told), test);
            assertThat(known.sameEffort()).containsExactly("test");
            once += holds(known, truth);
            twice += holds(of(fit(efforts, List.of()), test), truth);
        }
        System.out.printf(
                "True critical power within two deviations: %d counted once, %d twice, of %d%n", once, twice, SEEDS);
        assertThat(once).isGreaterThan(twice);
        assertThat(once).isGreaterThanOrEqualTo((int) (0.93 * SEEDS));
    }

    private static int holds(Combination combination, double truth) {
        Combination.Suggested s = combination.suggestions().get(Quantity.CRITICAL_POWER);
        return s == null || Math.abs(s.value() - truth) <= 2 * s.sd() ? 1 : 0;
    }

    @Test
    void effortsOfAnotherDayAreNotTheSame() {
        Effort shorter = new Effort(180, 370);
        Effort longer = new Effort(720, 290);
        List<AllOut> earlier = List.of(new AllOut(TODAY.minusDays(30), 370, 180), new AllOut(TODAY, 290, 1200));
        Piece fit = fit(List.of(shorter, longer, new Effort(1200, 280)), earlier);
        assertThat(of(fit, test(shorter, longer)).sameEffort()).isEmpty();
    }

    /** The floor is that of the combined reserve, by its steps or by the table that is kept of them. */
    @Test
    void aFloorIsTheLeastForTheCombinedReserve() {
        List<Floor.Step> steps = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            steps.add(new Floor.Step(360, 180));
            steps.add(new Floor.Step(120, 180));
        }
        Floor floor = new Floor(steps);
        List<Double> table = new ArrayList<>();
        for (int joules = 4000; joules <= 40_000; joules += 2000) table.add(floor.least(joules));
        Tabled tabled = new Tabled(table);
        for (double joules : new double[] {6500, 12_000, 17_300, 24_900})
            assertThat(tabled.least(joules)).isCloseTo(floor.least(joules), within(1.0));
        Piece reserve =
                new Piece("w", TODAY, true, new Value(Quantity.W_PRIME, 20_000, 19_000, 21_000), List.of(), false);
        Combination with = of(new Piece("s", TODAY, true, floor, List.of(), false), reserve);
        assertThat(with.floor().orElseThrow()).isCloseTo(floor.least(20_000), within(1e-6));
        assertThat(floor.least(25_000)).isLessThan(floor.least(15_000));
    }

    /**
     * Tests of one athlete, honest about their ranges: how often is the truth within two deviations, and how often a
     * contradiction claimed? Then one dishonest test among them.
     */
    @Test
    void theTruthIsFoundAndALieIsSeen() {
        int inside = 0;
        int suggested = 0;
        int falsely = 0;
        int seen = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            double truth = 180 + random.nextInt(160);
            List<Piece> honest = new ArrayList<>();
            for (int i = 0; i < 3 + random.nextInt(4); i++) {
                double sd = truth * (0.01 + 0.03 * random.nextDouble());
                honest.add(value("p" + i, truth + sd * random.nextGaussian(), sd, random.nextInt(80)));
            }
            Combination found = Combination.of(honest, TODAY, OptionalDouble.empty());
            if (found.contradicting().isEmpty()) {
                suggested++;
                var s = found.suggestions().get(Quantity.THRESHOLD_POWER);
                if (Math.abs(s.value() - truth) <= 2 * s.sd()) inside++;
            } else {
                falsely++;
            }
            honest.add(value("lie", truth * 0.8, truth * 0.015, 4));
            if (!Combination.of(honest, TODAY, OptionalDouble.empty())
                    .contradicting()
                    .isEmpty()) seen++;
        }
        System.out.printf(
                "evidence: truth within two deviations in %.1f %%, contradiction claimed of honest tests in "
                        + "%.1f %%, a test 20 %% low seen in %.1f %%%n",
                100.0 * inside / suggested, 100.0 * falsely / SEEDS, 100.0 * seen / SEEDS);
        assertThat((double) inside / suggested).isGreaterThan(0.93);
        assertThat((double) falsely / SEEDS).isLessThan(0.05);
        assertThat((double) seen / SEEDS).isGreaterThan(0.9);
    }
}
