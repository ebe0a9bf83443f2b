package pemblar.core.strength;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * What lifted sets amount to over weeks: estimates, best sets, volume. Warm-ups and sets left out are not among them.
 */
public final class SetHistory {
    private SetHistory() {}

    /**
     * A set that was lifted. @param kilograms on the bar; 0 for body mass alone @param repetitions 0 is a failed set
     *
     * @param inReserve repetitions that would still have gone, -1 when nobody said
     */
    public record Lifted(LocalDate day, String exercise, double kilograms, int repetitions, int inReserve) {
        /** kg lifted in all. */
        public double volume() {
            return kilograms * repetitions;
        }
    }

    /**
     * The set of each day that speaks for the highest one-repetition maximum, of 1 to 12 repetitions. It is a least
     * value: a set that was stopped short could have been more, so what was said to be in reserve counts as lifted.
     */
    public static Map<LocalDate, Double> estimates(Collection<Lifted> sets) {
        Map<LocalDate, Double> best = new TreeMap<>();
        for (Lifted set : sets) {
            int repetitions = set.repetitions() + Math.max(0, set.inReserve());
            if (set.repetitions() < 1 || repetitions > Repetitions.MOST_RELIABLE || set.kilograms() <= 0) continue;
            best.merge(set.day(), Repetitions.maximum(set.kilograms(), repetitions), Math::max);
        }
        return best;
    }

    /** The heaviest set of each number of repetitions, the first of equals; fewer repetitions first. */
    public static Map<Integer, Lifted> bests(Collection<Lifted> sets) {
        Map<Integer, Lifted> best = new TreeMap<>();
        for (Lifted set : sets) {
            if (set.repetitions() < 1 || set.kilograms() <= 0) continue;
            best.merge(set.repetitions(), set, (a, b) -> better(a, b) ? a : b);
        }
        return best;
    }

    private static boolean better(Lifted a, Lifted b) {
        int heavier = Double.compare(a.kilograms(), b.kilograms());
        return heavier > 0 || heavier == 0 && !a.day().isAfter(b.day());
    }

    /** kg lifted in each week, by its Monday. */
    public static Map<LocalDate, Double> volume(Collection<Lifted> sets) {
        return weekly(sets, Lifted::volume);
    }

    /** Sets of each week by movement, as a coach counts them; failed ones were work too. */
    public static Map<Movement, Map<LocalDate, Double>> counts(
            List<Lifted> sets, Function<String, Movement> movementOf) {
        Map<Movement, List<Lifted>> byMovement = sets.stream()
                .collect(Collectors.groupingBy(
                        set -> movementOf.apply(set.exercise()), TreeMap::new, Collectors.toList()));
        Map<Movement, Map<LocalDate, Double>> counts = new TreeMap<>();
        byMovement.forEach((movement, of) -> counts.put(movement, weekly(of, set -> 1)));
        return counts;
    }

    private static Map<LocalDate, Double> weekly(Collection<Lifted> sets, ToDoubleFunction<Lifted> value) {
        Map<LocalDate, Double> weeks = new TreeMap<>();
        for (Lifted set : sets) weeks.merge(monday(set.day()), value.applyAsDouble(set), Double::sum);
        return weeks;
    }

    public static LocalDate monday(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
}
