package pemblar.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import pemblar.core.strength.LoggedSet.Counts;

/** What holds for every set, whoever lifts it. */
class MaximaPropertyTest {
    private static final double STEP = 2.5;

    private static Maxima chain(double top) {
        return Maxima.of(List.of(
                new Exercise.Own("deadlift", OptionalDouble.of(top)),
                new Exercise.Linked("romanian deadlift", "deadlift", 80, true),
                new Exercise.Linked("single-leg deadlift", "romanian deadlift", 40, true)));
    }

    private static LoggedSet test(String exercise, double load, int repetitions, Counts counts) {
        return new LoggedSet(exercise, load, repetitions, counts, true, OptionalInt.empty(), OptionalDouble.empty());
    }

    private static double after(Maxima maxima, LoggedSet set, String of) {
        return maxima.after(set, STEP).maxima().of(of).orElseThrow();
    }

    @Property
    void moreRepetitionsNeverMeanLess(
            @ForAll @DoubleRange(min = 60, max = 300) double top,
            @ForAll @DoubleRange(min = 30, max = 250) double load,
            @ForAll @IntRange(min = 1, max = 11) int repetitions) {
        Maxima maxima = chain(top);
        for (Counts counts : Counts.values())
            assertThat(after(maxima, test("deadlift", load, repetitions + 1, counts), "deadlift"))
                    .isGreaterThanOrEqualTo(
                            after(maxima, test("deadlift", load, repetitions, counts), "deadlift") - 1e-9);
    }

    @Property
    void betterOnlyNeverLowersAndBothWaysSaysWhatTheSetSays(
            @ForAll @DoubleRange(min = 60, max = 300) double top,
            @ForAll @DoubleRange(min = 30, max = 250) double load,
            @ForAll @IntRange(min = 1, max = 12) int repetitions) {
        Maxima maxima = chain(top);
        double better = after(maxima, test("deadlift", load, repetitions, Counts.BETTER), "deadlift");
        double both = after(maxima, test("deadlift", load, repetitions, Counts.EVERY), "deadlift");
        assertThat(better).isGreaterThanOrEqualTo(top - 1e-9);
        assertThat(better).isCloseTo(Math.max(top, both), within(1e-9));
        assertThat(after(maxima, test("deadlift", load, repetitions, Counts.NONE), "deadlift"))
                .isEqualTo(top);
    }

    /** A result at the end of a chain moves its top once, and every share in between stays. */
    @Property
    void aChainMovesOnceAndKeepsItsShares(
            @ForAll @DoubleRange(min = 60, max = 300) double top,
            @ForAll @DoubleRange(min = 1.01, max = 1.3) double better) {
        Maxima moved = chain(top)
                .after(test("single-leg deadlift", better * 0.32 * top, 1, Counts.BETTER), STEP)
                .maxima();
        assertThat(moved.of("deadlift").orElseThrow()).isCloseTo(better * top, within(1e-6 * top));
        assertThat(moved.of("romanian deadlift").orElseThrow()).isCloseTo(0.8 * better * top, within(1e-6 * top));
        assertThat(moved.of("single-leg deadlift").orElseThrow()).isCloseTo(0.32 * better * top, within(1e-6 * top));
    }
}
