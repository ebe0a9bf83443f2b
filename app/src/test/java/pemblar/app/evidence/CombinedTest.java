package pemblar.app.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.evidence.Methods;
import pemblar.core.evidence.Piece.Both;
import pemblar.core.model.Effort;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Calculators;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;

/** What pages say of all evidence together. */
@Tag("unit")
class CombinedTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 6, 20);

    private static List<Piece> test(String name, LocalDate day, double shortWatts, double longWatts) {
        List<AllOut> efforts = List.of(new AllOut(day, shortWatts, 180), new AllOut(day, longWatts, 720));
        List<Piece> pieces = new ArrayList<>();
        for (Estimate e : Calculators.twoEfforts(new Effort(180, shortWatts), new Effort(720, longWatts), 0)
                .estimates())
            pieces.add(new Piece(
                    name + "-" + e.quantity(),
                    new Evidence(Sport.RIDE, day, e, Method.TWO_EFFORTS, name, "", efforts),
                    null,
                    null,
                    true));
        return pieces;
    }

    private static List<Piece> bests(double watts, double joules, List<AllOut> efforts) {
        List<Piece> pieces = new ArrayList<>();
        for (Estimate e : List.of(
                new Estimate(Quantity.CRITICAL_POWER, watts, watts - 4, watts + 4),
                new Estimate(Quantity.W_PRIME, joules, joules - 3000, joules + 3000)))
            pieces.add(new Piece(
                    "bests-" + e.quantity(),
                    new Evidence(Sport.RIDE, TODAY, e, Method.BEST_EFFORTS, "best", "", efforts),
                    null,
                    null,
                    false,
                    List.of(),
                    -10_000));
        return pieces;
    }

    private static Piece below(double watts) {
        return new Piece(
                "reserve-1",
                new Evidence(
                        Sport.RIDE,
                        TODAY,
                        new Estimate(Quantity.CRITICAL_POWER, watts, watts, Double.POSITIVE_INFINITY),
                        Method.RESERVE_BELOW_ZERO,
                        "hills",
                        ""),
                7L,
                null,
                false);
    }

    private static Combined of(List<Piece> pieces) {
        return Combined.of(pieces, TODAY, OptionalDouble.of(18_000));
    }

    /** Its two values lean on each other: that is known, as a fit's is. */
    @Test
    void theTwoValuesOfATestCountTogether() {
        Both alone = Methods.twoEfforts(373, 180, 291, 720);
        Combined combined = of(test("a", TODAY, 373, 291));
        Estimate power = combined.suggestions().get(Quantity.CRITICAL_POWER).estimate();
        assertThat(power.best()).isCloseTo(alone.watts(), within(1e-6));
        assertThat(power.deviation()).isCloseTo(Math.sqrt(alone.wattsVariance()), within(1e-6));
    }

    /** What an archive from elsewhere says need not be a test at all: its values count, each for itself. */
    @Test
    void effortsThatCanBeNoTestLeaveTheValuesAsTheyAre() {
        List<Piece> pieces = new ArrayList<>();
        for (Piece p : test("a", TODAY, 373, 291)) {
            Evidence e = p.evidence();
            List<AllOut> odd = List.of(new AllOut(TODAY, 90_000, 1), new AllOut(TODAY, 1, 800_000));
            pieces.add(new Piece(
                    p.key(),
                    new Evidence(e.sport(), e.day(), e.estimate(), e.method(), e.source(), "", odd),
                    null,
                    null,
                    true));
        }
        Estimate power = of(pieces).suggestions().get(Quantity.CRITICAL_POWER).estimate();
        assertThat(power.best()).isCloseTo(pieces.get(0).evidence().estimate().best(), within(1e-6));
    }

    @Test
    void aTestAmongTheBestEffortsCountsOnceAndIsSaid() {
        List<Piece> all = new ArrayList<>(test("a", TODAY, 373, 291));
        all.addAll(bests(264, 17_300, List.of(new AllOut(TODAY, 373, 179), new AllOut(TODAY, 280, 1195))));
        Combined combined = of(all);
        assertThat(combined.suggestions().get(Quantity.CRITICAL_POWER).count()).isEqualTo(1);
        assertThat(combined.suggestions().get(Quantity.W_PRIME).count()).isEqualTo(1);
        assertThat(combined.suggestions()
                        .get(Quantity.CRITICAL_POWER)
                        .estimate()
                        .deviation())
                .isCloseTo(4, within(1e-6));
        assertThat(combined.sentences()).anyMatch(s -> s.startsWith("Counted once: two efforts of 20 Jun 2027"));
    }

    /** A floor is fitted by the upper end of the range, or it is said to lie above it: never both. */
    @Test
    void whatASessionBelowZeroAsksForIsHeldAgainstTheRangeSaid() {
        boolean within = false;
        boolean above = false;
        for (double watts = 255; watts < 275; watts += 0.5) {
            List<Piece> all = new ArrayList<>(bests(264, 18_000, List.of()));
            all.addAll(test("a", TODAY.minusDays(9), 373, 290));
            all.add(below(watts));
            Combined combined = of(all);
            if (!combined.contradicting().isEmpty()) continue;
            Estimate power = combined.suggestions().get(Quantity.CRITICAL_POWER).estimate();
            String said = combined.sentences().toString();
            double asked = Double.parseDouble(said.replaceAll(".*at least (\\d+) W.*", "$1"));
            assertThat(said.contains("upper end of its range fits both"))
                    .isEqualTo(asked > Math.round(power.best()) && asked <= Math.round(power.high()));
            assertThat(said.contains("above the range suggested")).isEqualTo(asked > Math.round(power.high()));
            within |= said.contains("upper end");
            above |= said.contains("above the range");
        }
        assertThat(within).isTrue();
        assertThat(above).isTrue();
    }
}
