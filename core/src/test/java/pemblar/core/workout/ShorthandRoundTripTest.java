package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Element.Cadence;
import pemblar.core.workout.Element.Posture;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/** Any workout that can be drawn can be written, and reads back as the same workout. */
class ShorthandRoundTripTest {
    @Property(tries = 400)
    void modelToTextToModelIsTheSame(@ForAll("workouts") Workout workout) {
        String text = ShorthandText.of(workout);
        Shorthand.Reading reading = Shorthand.read(text, workout.sport(), workout.basis());
        Workout back = reading.workout().orElseThrow(() -> new AssertionError(text + " -> " + reading.problem()));
        assertEquals(workout, back, text);
        assertEquals(text, ShorthandText.of(back));
    }

    @Provide
    Arbitrary<Workout> workouts() {
        Arbitrary<Element> inner = Arbitraries.oneOf(steps(), repeats(steps()));
        Arbitrary<Element> outer = Arbitraries.oneOf(steps(), repeats(inner));
        return outer.list().ofMinSize(1).ofMaxSize(4).map(elements -> new Workout(Sport.RIDE, Basis.POWER, elements));
    }

    private static Arbitrary<Element> repeats(Arbitrary<Element> inside) {
        return Combinators.combine(
                        names(),
                        Arbitraries.integers().between(1, 2),
                        inside.list().ofMinSize(1).ofMaxSize(2))
                .as(Repeat::new);
    }

    private static Arbitrary<Element> steps() {
        return Combinators.combine(
                        names(),
                        lengths(),
                        targets(),
                        Arbitraries.of(0.0, 0.0, 5.0, -3.5, 40.0),
                        cadences(),
                        Arbitraries.of(Posture.class),
                        Arbitraries.of("", "hands light", "ease, then: go (5 x)"))
                .as(Step::new);
    }

    private static Arbitrary<String> names() {
        return Arbitraries.frequency(
                net.jqwik.api.Tuple.of(4, ""),
                net.jqwik.api.Tuple.of(1, "warm-up"),
                net.jqwik.api.Tuple.of(1, "main part 2"));
    }

    private static Arbitrary<Length> lengths() {
        return Arbitraries.oneOf(
                Arbitraries.integers().between(1, 1200).map(Length.Time::new),
                Arbitraries.integers().between(1, 30_000).map(m -> new Length.Distance(m)),
                Arbitraries.integers().between(60, 180).map(Length.HeartRateBelow::new),
                Combinators.combine(
                                Arbitraries.of(true, false),
                                Arbitraries.integers().between(0, 99))
                        .as(Length.ReserveAt::new),
                Arbitraries.just(new Length.LapKey()));
    }

    private static Arbitrary<Target> targets() {
        Arbitrary<Basis> basis =
                Arbitraries.of(Basis.POWER, Basis.HEART_RATE, Basis.PACE).injectNull(0.5);
        Arbitrary<Integer> low = Arbitraries.integers().between(30, 120);
        Arbitrary<Integer> more = Arbitraries.integers().between(0, 40);
        return Arbitraries.oneOf(
                Combinators.combine(low, more, basis).as((a, b, q) -> new Target.Percent(a, a + b, false, q)),
                Combinators.combine(low, low, basis).as((a, b, q) -> new Target.Percent(a, b, true, q)),
                Combinators.combine(
                                Arbitraries.integers().between(1, 5),
                                Arbitraries.integers().between(0, 2),
                                basis)
                        .as((a, b, q) -> new Target.Zone(a, a + b, q)),
                Combinators.combine(low, more).as((a, b) -> new Target.Absolute(a * 2, a * 2 + b, false, Basis.POWER)),
                Combinators.combine(low, more)
                        .as((a, b) -> new Target.Absolute(a + 40, a + 40 + b, false, Basis.HEART_RATE)),
                Arbitraries.integers()
                        .between(150, 600)
                        .map(s -> new Target.Absolute(1000.0 / s, 1000.0 / s, false, Basis.PACE)),
                Arbitraries.integers().between(0, 10).map(r -> new Target.Effort(r, r)),
                Combinators.combine(low, more).as((a, b) -> new Target.Max(Math.min(a, 110), Math.min(a, 110) + b)),
                Arbitraries.just(new Target.Open()));
    }

    private static Arbitrary<Cadence> cadences() {
        return Arbitraries.oneOf(
                        Arbitraries.integers().between(40, 110).map(c -> new Cadence(c, c)),
                        Arbitraries.integers().between(40, 110).map(c -> new Cadence(c, c + 10)),
                        Arbitraries.integers().between(40, 110).map(c -> new Cadence(c, 0)),
                        Arbitraries.integers().between(40, 110).map(c -> new Cadence(0, c)))
                .injectNull(0.5);
    }
}
