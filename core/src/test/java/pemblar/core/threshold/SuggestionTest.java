package pemblar.core.threshold;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import pemblar.core.Sport;

class SuggestionTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    private static Evidence evidence(double best, double half, int daysAgo) {
        return new Evidence(Sport.RIDE, TODAY.minusDays(daysAgo), new Estimate(Quantity.THRESHOLD_POWER, best, best - half, best + half), Method.TWENTY_MINUTES, "", "");
    }

    private static Evidence floor(double watts, int daysAgo) {
        return new Evidence(Sport.RIDE, TODAY.minusDays(daysAgo), new Estimate(Quantity.THRESHOLD_POWER, watts, watts, Double.POSITIVE_INFINITY), Method.RESERVE_BELOW_ZERO, "", "");
    }

    private static Suggestion of(Evidence... pieces) {
        return Suggestion.of(List.of(pieces), TODAY).orElseThrow();
    }

    @Test
    void twoPiecesMeetByInverseVariance() {
        // sd 4 and 8: weights 1/16 and 1/64, so four to one: (4 x 260 + 1 x 265) / 5 = 261; sd = sqrt(1 / (5/64)) = 3.5777
        Suggestion s = of(evidence(260, 4, 0), evidence(265, 8, 0));
        assertEquals(261, s.estimate().best(), 1e-9);
        assertEquals(261 - 3.5777, s.estimate().low(), 1e-4);
        assertEquals(2, s.count());
    }

    @Test
    void everySixWeeksTheVarianceDoubles() {
        // the same sd, one 42 days old: weights 2 to 1: (2 x 260 + 266) / 3 = 262
        assertEquals(262, of(evidence(260, 5, 0), evidence(266, 5, 42)).estimate().best(), 1e-9);
        // alone, 84 days old: variance 25 x 4, so sd 10
        assertEquals(250, of(evidence(260, 5, 84)).estimate().low(), 1e-9);
        assertEquals(84, of(evidence(260, 5, 84)).newestAgeDays());
    }

    @Test
    void contradictingPiecesWidenTheRange() {
        // 250 and 270, each +-1: mean 260, chi2 = 100 + 100 = 200 over 1: sd = sqrt(0.5) x sqrt(200) = 10
        Suggestion s = of(evidence(250, 1, 0), evidence(270, 1, 0));
        assertEquals(260, s.estimate().best(), 1e-9);
        assertEquals(250, s.estimate().low(), 1e-9);
        assertEquals(270, s.estimate().high(), 1e-9);
    }

    @Test
    void aFloorStaysOutOfTheMeanAndLifts() {
        Suggestion below = of(evidence(260, 4, 0), floor(255, 3));
        assertEquals(260, below.estimate().best(), 1e-9);
        assertFalse(below.isLiftedByFloor());
        Suggestion above = of(evidence(260, 4, 0), floor(268, 3));
        assertEquals(268, above.estimate().best(), 1e-9);
        assertEquals(268, above.estimate().low(), 1e-9);
        assertEquals(272, above.estimate().high(), 1e-9);
        assertTrue(above.isLiftedByFloor());
        assertEquals(1, above.count());
        assertEquals(260, of(evidence(260, 4, 0), floor(268, 43)).estimate().best(), 1e-9);
    }

    @Test
    void aFloorAloneIsNoSuggestion() {
        assertEquals(Optional.empty(), Suggestion.of(List.of(floor(260, 1)), TODAY));
        assertEquals(Optional.empty(), Suggestion.of(List.of(), TODAY));
    }

    @Test
    void whatHardlyWeighsIsNotCounted() {
        assertEquals(1, of(evidence(260, 5, 1), evidence(240, 5, 700)).count());
    }

    @Property
    void theSuggestionLiesWithinTheRangeOfItsEvidence(@ForAll @Size(min = 1, max = 8) List<@DoubleRange(min = 150, max = 350) Double> bests,
                                                      @ForAll @DoubleRange(min = 0.5, max = 40) double half, @ForAll @IntRange(min = 0, max = 400) int age) {
        List<Evidence> pieces = new ArrayList<>();
        for (int i = 0; i < bests.size(); i++) pieces.add(evidence(bests.get(i), half * (1 + i % 3), age * i % 365));
        double best = Suggestion.of(pieces, TODAY).orElseThrow().estimate().best();
        double low = bests.stream().mapToDouble(d -> d).min().orElseThrow();
        double high = bests.stream().mapToDouble(d -> d).max().orElseThrow();
        assertTrue(best >= low - 1e-6 && best <= high + 1e-6);
    }

    @Property
    void moreEvidenceThatAgreesNeverWidens(@ForAll @DoubleRange(min = 150, max = 350) double best, @ForAll @DoubleRange(min = 1, max = 30) double half) {
        double one = of(evidence(best, half, 0)).estimate().deviation();
        assertTrue(of(evidence(best, half, 0), evidence(best, half * 2, 10)).estimate().deviation() <= one + 1e-9);
    }
}
