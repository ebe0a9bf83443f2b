package pemblar.core.evidence;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import pemblar.core.evidence.Piece.Bound;
import pemblar.core.evidence.Piece.Says;
import pemblar.core.threshold.Quantity;

/**
 * All evidence together: inverse variance, each variance doubled for every 42 days of age; critical power and W'
 * jointly in information form. What contradicts itself is not averaged.
 *
 * @param suggestions for each quantity that does not contradict itself; critical power and W' stand or fall together
 * @param contradicting quantities whose pieces of the last 90 days scatter more than their ranges allow (chi-square
 *     over its degrees of freedom above 3), or whose floor lies above the range of everything else
 * @param groups of those: ids by chains of overlapping ranges, a floor by itself
 * @param floor lowest critical power, W, for the combined W': the highest of the last 90 days
 * @param floors the same for each floor, by id
 * @param sameEffort ids that rest on an effort that counts already
 * @param leftOut ids that are no evidence
 */
public record Combination(
        Map<Quantity, Suggested> suggestions,
        List<Quantity> contradicting,
        List<List<String>> groups,
        OptionalDouble floor,
        Map<String, Double> floors,
        List<String> sameEffort,
        List<String> leftOut) {
    private static final double DOUBLING_DAYS = 42;
    private static final int RECENT_DAYS = 90;
    private static final double CONTRADICTION = 3;
    private static final List<Quantity> JOINT = List.of(Quantity.CRITICAL_POWER, Quantity.W_PRIME);

    /** A combined value with its standard deviation. */
    public record Suggested(double value, double sd) {}

    /** A floor needs a W' and neither the pieces nor the caller give one. */
    public static final class NoReserve extends IllegalArgumentException {
        private static final long serialVersionUID = 1;

        NoReserve() {
            super("a floor needs W'");
        }
    }

    /**
     * @param validWPrime the one that is valid, J: for a floor when no piece says anything on W'
     * @throws NoReserve when there is a floor and no W' at all
     */
    public static Combination of(List<Piece> pieces, LocalDate today, OptionalDouble validWPrime) {
        List<String> leftOut =
                pieces.stream().filter(Piece::cutShort).map(Piece::id).toList();
        List<Piece> sound = pieces.stream().filter(p -> !p.cutShort()).toList();
        Set<String> same = sameEfforts(sound);
        List<Piece> counted = sound.stream().filter(p -> !same.contains(p.id())).toList();
        return new Builder(counted, today, validWPrime, sound)
                .build(pieces.stream().map(Piece::id).filter(same::contains).toList(), leftOut);
    }

    /**
     * The better documented of two that rest on one effort counts: a recording before a typed value, then the longer
     * effort. A test of two efforts that are among the best of 90 days tells nothing that those do not.
     */
    private static Set<String> sameEfforts(List<Piece> pieces) {
        List<Piece> best = pieces.stream()
                .filter(p -> !p.efforts().isEmpty())
                .sorted(Comparator.comparing((Piece p) -> !p.recorded()).thenComparing(p -> -p.longestSeconds()))
                .toList();
        List<Piece> counting = new ArrayList<>();
        Set<String> same = new HashSet<>();
        for (Piece piece : best) {
            if (counting.stream().anyMatch(other -> isSame(piece, other))) same.add(piece.id());
            else counting.add(piece);
        }
        return same;
    }

    private static boolean isSame(Piece a, Piece b) {
        boolean sameQuantity = false;
        for (Quantity quantity : Quantity.values())
            sameQuantity |= a.says().on(quantity) && b.says().on(quantity);
        return sameQuantity && a.shares(b);
    }

    /** Collects the parts of the answer. */
    private static final class Builder {
        private final List<Piece> pieces;
        private final List<Piece> sound;
        private final LocalDate today;
        private final OptionalDouble validWPrime;
        private final Map<Quantity, Suggested> suggestions = new EnumMap<>(Quantity.class);
        private final List<Quantity> contradicting = new ArrayList<>();
        private final List<List<String>> groups = new ArrayList<>();
        private final Map<String, Double> floors = new java.util.LinkedHashMap<>();
        private OptionalDouble floor = OptionalDouble.empty();

        Builder(List<Piece> pieces, LocalDate today, OptionalDouble validWPrime, List<Piece> sound) {
            this.pieces = pieces;
            this.today = today;
            this.validWPrime = validWPrime;
            this.sound = sound;
        }

        Combination build(List<String> sameEffort, List<String> leftOut) {
            for (Quantity quantity : Quantity.values()) if (!JOINT.contains(quantity)) alone(quantity);
            jointly();
            return new Combination(suggestions, contradicting, groups, floor, floors, sameEffort, leftOut);
        }

        private void alone(Quantity quantity) {
            List<Piece> on = pieces.stream().filter(p -> p.says().on(quantity)).toList();
            if (on.isEmpty()) return;
            Information recent = sum(recent(on), false);
            if (recent.isContradiction(CONTRADICTION)) contradict(List.of(quantity), on);
            else suggest(sum(on, true), Map.of(quantity, 0));
        }

        private void jointly() {
            List<Piece> closed = pieces.stream()
                    .filter(p -> !(p.says() instanceof Bound) && JOINT.stream().anyMatch(p.says()::on))
                    .toList();
            Information all = sum(closed, true);
            floors(all);
            List<Piece> on = pieces.stream()
                    .filter(p -> JOINT.stream().anyMatch(p.says()::on))
                    .toList();
            if (on.isEmpty()) return;
            List<Quantity> said =
                    JOINT.stream().filter(q -> all.has(JOINT.indexOf(q))).toList();
            if (isFloorAbove(closed) || sum(recent(closed), false).isContradiction(CONTRADICTION)) contradict(said, on);
            else suggest(all, Map.of(Quantity.CRITICAL_POWER, 0, Quantity.W_PRIME, 1));
        }

        private void floors(Information all) {
            List<Piece> open =
                    sound.stream().filter(p -> p.says() instanceof Bound).toList();
            if (open.isEmpty()) return;
            double joules = all.has(1) ? all.mean(1) : validWPrime.orElseThrow(NoReserve::new);
            for (Piece piece : open) {
                double watts = ((Bound) piece.says()).least(joules);
                floors.put(piece.id(), watts);
                if (pieces.contains(piece) && isRecent(piece))
                    floor = OptionalDouble.of(Math.max(watts, floor.orElse(0)));
            }
        }

        /** Above the range of everything else of the last 90 days, or of all when nothing is so young. */
        private boolean isFloorAbove(List<Piece> closed) {
            List<Piece> onPower = closed.stream()
                    .filter(p -> p.says().on(Quantity.CRITICAL_POWER))
                    .toList();
            List<Piece> against = recent(onPower).isEmpty() ? onPower : recent(onPower);
            if (against.isEmpty() || floor.isEmpty()) return false;
            return floor.getAsDouble()
                    > against.stream().mapToDouble(p -> p.says().high()).max().orElseThrow();
        }

        private void contradict(List<Quantity> quantities, List<Piece> on) {
            contradicting.addAll(quantities);
            List<Piece> recent = recent(on);
            List<Piece> ranges = recent.stream()
                    .filter(p -> !(p.says() instanceof Bound))
                    .sorted(Comparator.comparingDouble(p -> p.says().low()))
                    .toList();
            for (Quantity first : List.of(Quantity.W_PRIME, Quantity.CRITICAL_POWER)) {
                boolean onlyReserve = first == Quantity.W_PRIME;
                chains(ranges.stream()
                        .filter(p -> onlyReserve == isOnlyOnReserve(p))
                        .toList());
            }
            for (Piece piece : recent) if (piece.says() instanceof Bound) groups.add(List.of(piece.id()));
        }

        private static boolean isOnlyOnReserve(Piece piece) {
            return piece.says() instanceof Piece.Value value && value.quantity() == Quantity.W_PRIME;
        }

        /** Chains of overlapping ranges. @param ranges by their lower ends */
        private void chains(List<Piece> ranges) {
            List<String> chain = new ArrayList<>();
            double reach = Double.NEGATIVE_INFINITY;
            for (Piece piece : ranges) {
                if (!chain.isEmpty() && piece.says().low() > reach) {
                    groups.add(List.copyOf(chain));
                    chain.clear();
                }
                chain.add(piece.id());
                reach = Math.max(reach, piece.says().high());
            }
            if (!chain.isEmpty()) groups.add(List.copyOf(chain));
        }

        private void suggest(Information all, Map<Quantity, Integer> places) {
            for (Quantity quantity : Quantity.values()) {
                Integer place = places.get(quantity);
                if (place != null && all.has(place))
                    suggestions.put(quantity, new Suggested(all.mean(place), all.sd(place)));
            }
        }

        private List<Piece> recent(List<Piece> all) {
            return all.stream().filter(this::isRecent).toList();
        }

        private boolean isRecent(Piece piece) {
            return age(piece) <= RECENT_DAYS;
        }

        private long age(Piece piece) {
            return Math.max(0, ChronoUnit.DAYS.between(piece.day(), today));
        }

        private Information sum(List<Piece> of, boolean aged) {
            Information sum = new Information();
            for (Piece piece : of) add(sum, piece.says(), aged ? Math.pow(2, age(piece) / DOUBLING_DAYS) : 1);
            return sum;
        }

        private static void add(Information sum, Says says, double widening) {
            if (says instanceof Piece.Value value)
                sum.addOne(value.quantity() == Quantity.W_PRIME ? 1 : 0, value.best(), value.variance() * widening);
            else if (says instanceof Piece.Both both) sum.addBoth(both, widening);
        }
    }
}
