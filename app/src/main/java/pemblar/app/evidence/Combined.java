package pemblar.app.evidence;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import pemblar.app.threshold.Amounts;
import pemblar.core.evidence.Combination;
import pemblar.core.evidence.Methods;
import pemblar.core.evidence.Piece.Both;
import pemblar.core.evidence.Piece.Floor;
import pemblar.core.evidence.Piece.Says;
import pemblar.core.evidence.Piece.Tabled;
import pemblar.core.evidence.Piece.Value;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Suggestion;

/**
 * What all pieces that count say together, as pages show it: critical power and W' jointly, one effort once, and what
 * contradicts itself said rather than averaged.
 *
 * @param contradicting quantities whose pieces exclude each other: adopting one means choosing a piece
 * @param sentences what to know: contradictions with their groups, efforts that count once, the floor
 */
public record Combined(Map<Quantity, Suggestion> suggestions, Set<Quantity> contradicting, List<String> sentences) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);
    private static final double USUAL_WPRIME = 18_000;
    private static final double HOUR = 3600;
    private static final double DOUBLING_DAYS = 42;
    /** Pieces with less than this share of the weight of the heaviest are not counted in words. */
    private static final double CARRYING = 0.05;

    /** @param wPrime the one that is valid, J */
    static Combined of(List<Piece> pieces, LocalDate today, OptionalDouble wPrime) {
        List<Piece> counted = pieces.stream().filter(Piece::counts).toList();
        Map<String, Piece> reserves = reserves(counted);
        Set<Piece> told = Set.copyOf(reserves.values());
        List<pemblar.core.evidence.Piece> all = new ArrayList<>();
        for (Piece p : counted) {
            if (told.contains(p)) continue;
            Piece reserve = reserves.get(p.key());
            all.add(new pemblar.core.evidence.Piece(
                    p.key(),
                    p.evidence().day().isAfter(today) ? today : p.evidence().day(),
                    p.sessionId() != null || !p.kept(),
                    reserve == null ? says(p, wPrime.orElse(USUAL_WPRIME)) : both(p, reserve),
                    p.evidence().efforts(),
                    false));
        }
        Combination combination = Combination.of(all, today, OptionalDouble.of(wPrime.orElse(USUAL_WPRIME)));
        return new Combined(
                suggestions(combination, counting(combination, counted, reserves), today),
                Set.copyOf(combination.contradicting()),
                sentences(combination, counted));
    }

    /** By the key of what says critical power: the W′ of the same efforts, which counts with it. */
    private static Map<String, Piece> reserves(List<Piece> counted) {
        Map<String, Piece> all = new HashMap<>();
        for (Piece power : counted)
            if (power.evidence().quantity() == Quantity.CRITICAL_POWER && isOfAFit(power))
                counted.stream()
                        .filter(p -> p.evidence().quantity() == Quantity.W_PRIME
                                && !all.containsValue(p)
                                && isOfOneTest(p.evidence(), power.evidence()))
                        .findFirst()
                        .ifPresent(p -> all.put(power.key(), p));
        return all;
    }

    private static boolean isOfAFit(Piece p) {
        return p.evidence().method() == Method.BEST_EFFORTS ? Double.isFinite(p.covariance()) : twoEfforts(p) != null;
    }

    /** Null for what is no test of two efforts, or one that came from elsewhere and can be none. */
    private static Both twoEfforts(Piece p) {
        List<AllOut> efforts = p.evidence().efforts();
        if (p.evidence().method() != Method.TWO_EFFORTS || efforts.size() != 2) return null;
        AllOut first = efforts.get(0);
        AllOut second = efforts.get(1);
        try {
            return Methods.twoEfforts(first.level(), first.seconds(), second.level(), second.seconds());
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    private static boolean isOfOneTest(Evidence a, Evidence b) {
        return a.method() == b.method()
                && a.day().equals(b.day())
                && a.source().equals(b.source())
                && a.efforts().equals(b.efforts());
    }

    private static Both both(Piece power, Piece reserve) {
        if (power.evidence().method() == Method.BEST_EFFORTS)
            return both(power.evidence().estimate(), reserve.evidence().estimate(), power.covariance());
        return twoEfforts(power);
    }

    private static Both both(Estimate power, Estimate reserve, double covariance) {
        double limit = 0.999 * power.deviation() * reserve.deviation();
        return new Both(
                power.best(),
                reserve.best(),
                Math.pow(power.deviation(), 2),
                Math.max(-limit, Math.min(limit, covariance)),
                Math.pow(reserve.deviation(), 2));
    }

    /**
     * A session below zero by its table; one of an earlier version that has none yet, by an hour's ride that would have
     * spent as much.
     */
    private static Says says(Piece p, double wPrime) {
        Estimate e = p.evidence().estimate();
        if (!e.isOpenAbove()) return new Value(e.quantity(), e.best(), e.low(), e.high());
        return p.floor().isEmpty()
                ? new Floor(List.of(new Floor.Step(e.best() + wPrime / HOUR, HOUR)))
                : new Tabled(p.floor());
    }

    /** Without what rests on efforts that count already, the W′ of a test among it. */
    private static List<Piece> counting(Combination combination, List<Piece> counted, Map<String, Piece> reserves) {
        List<Piece> counting = new ArrayList<>(counted);
        for (String id : combination.sameEffort()) {
            counting.removeIf(p -> p.key().equals(id));
            if (reserves.containsKey(id)) counting.remove(reserves.get(id));
        }
        return counting;
    }

    private static Map<Quantity, Suggestion> suggestions(
            Combination combination, List<Piece> counting, LocalDate today) {
        Map<Quantity, Suggestion> all = new EnumMap<>(Quantity.class);
        combination.suggestions().forEach((quantity, s) -> {
            List<Piece> on = counting.stream()
                    .filter(p -> p.evidence().quantity() == quantity
                            && !p.evidence().estimate().isOpenAbove())
                    .toList();
            long newest = on.stream().mapToLong(p -> age(p, today)).min().orElse(0);
            double heaviest =
                    on.stream().mapToDouble(p -> weight(p, today)).max().orElse(0);
            int carrying = (int) on.stream()
                    .filter(p -> weight(p, today) >= CARRYING * heaviest)
                    .count();
            Estimate estimate = new Estimate(
                    quantity, s.value(), Math.max(s.value() / 100, s.value() - s.sd()), s.value() + s.sd());
            all.put(quantity, new Suggestion(estimate, carrying, newest));
        });
        return all;
    }

    private static double weight(Piece piece, LocalDate today) {
        return 1
                / (Math.pow(piece.evidence().estimate().deviation(), 2)
                        * Math.pow(2, age(piece, today) / DOUBLING_DAYS));
    }

    private static long age(Piece piece, LocalDate today) {
        return Math.max(0, ChronoUnit.DAYS.between(piece.evidence().day(), today));
    }

    private static List<String> sentences(Combination combination, List<Piece> counted) {
        List<String> all = new ArrayList<>();
        if (!combination.contradicting().isEmpty()) {
            String what = String.join(
                    " and ",
                    combination.contradicting().stream().map(Quantity::label).toList());
            String groups = String.join(
                    "; against ",
                    combination.groups().stream()
                            .map(g -> String.join(
                                    ", ",
                                    g.stream().map(id -> named(id, counted)).toList()))
                            .toList());
            all.add("The evidence for " + what + " contradicts itself, so nothing is averaged: " + groups
                    + ". Set aside what was no honest test, or choose one to adopt.");
        }
        if (combination.floor().isPresent() && combination.contradicting().isEmpty())
            all.add(floor(combination, combination.floor().getAsDouble()));
        for (String id : combination.sameEffort())
            all.add("Counted once: " + named(id, counted)
                    + ", the same as in a longer effort, a recording or the best efforts.");
        return all;
    }

    /** What a session below zero asks for stays out of the mean; how the two stand to each other is said. */
    private static String floor(Combination combination, double watts) {
        String asks = "A session spent more than the reserve: with the W′ suggested here it asks for a critical power"
                + " of at least " + Amounts.withUnit(Quantity.CRITICAL_POWER, watts);
        Combination.Suggested suggested = combination.suggestions().get(Quantity.CRITICAL_POWER);
        if (suggested == null) return asks + ".";
        if (Math.round(watts) <= Math.round(suggested.value())) return asks + ", which the suggestion keeps.";
        return Math.round(watts) <= Math.round(suggested.value() + suggested.sd())
                ? asks + ", more than the most likely value: the upper end of its range fits both."
                : asks
                        + ", above the range suggested: the efforts may not all have been all-out, W′ may be larger,"
                        + " or power was read too high that day.";
    }

    private static String named(String id, List<Piece> counted) {
        return counted.stream()
                .filter(p -> p.key().equals(id))
                .findFirst()
                .map(p -> p.evidence().method().label() + " of "
                        + p.evidence().day().format(DAY) + " ("
                        + Amounts.withUnit(
                                p.evidence().quantity(), p.evidence().estimate().best()) + ")")
                .orElse(id);
    }
}
