package pemblar.app.evidence;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import pemblar.app.threshold.Amounts;
import pemblar.core.evidence.Combination;
import pemblar.core.evidence.Piece.Both;
import pemblar.core.evidence.Piece.Floor;
import pemblar.core.evidence.Piece.Says;
import pemblar.core.evidence.Piece.SingleEffort;
import pemblar.core.evidence.Piece.Tabled;
import pemblar.core.evidence.Piece.Value;
import pemblar.core.threshold.Estimate;
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
    private static final double USUAL_FACTOR = 0.95;
    private static final double TWENTY_MINUTES = 1200;
    private static final double HOUR = 3600;
    private static final double DOUBLING_DAYS = 42;
    /** Pieces with less than this share of the weight of the heaviest are not counted in words. */
    private static final double CARRYING = 0.05;

    /** @param wPrime the one that is valid, J */
    static Combined of(List<Piece> pieces, LocalDate today, OptionalDouble wPrime) {
        List<Piece> counted = pieces.stream().filter(Piece::counts).toList();
        List<pemblar.core.evidence.Piece> all = new ArrayList<>();
        Optional<Piece> bestsReserve = counted.stream()
                .filter(p -> p.evidence().method() == Method.BEST_EFFORTS
                        && p.evidence().quantity() == Quantity.W_PRIME)
                .findFirst();
        for (Piece p : counted) {
            boolean best = p.evidence().method() == Method.BEST_EFFORTS;
            if (best
                    && p.evidence().quantity() == Quantity.W_PRIME
                    && counted.stream()
                            .anyMatch(o -> o.evidence().method() == Method.BEST_EFFORTS
                                    && o.evidence().quantity() == Quantity.CRITICAL_POWER)) continue;
            Says says = best && bestsReserve.isPresent() && Double.isFinite(p.covariance())
                    ? both(
                            p.evidence().estimate(),
                            bestsReserve.get().evidence().estimate(),
                            p.covariance())
                    : says(p, wPrime.orElse(USUAL_WPRIME));
            all.add(new pemblar.core.evidence.Piece(
                    p.key(),
                    p.evidence().day().isAfter(today) ? today : p.evidence().day(),
                    p.sessionId() != null || !p.kept(),
                    says,
                    effort(p),
                    false));
        }
        Combination combination = Combination.of(all, today, OptionalDouble.of(wPrime.orElse(USUAL_WPRIME)));
        return new Combined(
                suggestions(combination, counted, today),
                Set.copyOf(combination.contradicting()),
                sentences(combination, counted));
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

    /** The effort behind a 20 min test: a typed one and an uploaded one of the same day are one. */
    private static Optional<SingleEffort> effort(Piece p) {
        return p.evidence().method() == Method.TWENTY_MINUTES
                ? Optional.of(new SingleEffort(p.evidence().estimate().best() / USUAL_FACTOR, TWENTY_MINUTES))
                : Optional.empty();
    }

    private static Map<Quantity, Suggestion> suggestions(
            Combination combination, List<Piece> counted, LocalDate today) {
        Map<Quantity, Suggestion> all = new EnumMap<>(Quantity.class);
        combination.suggestions().forEach((quantity, s) -> {
            List<Piece> on = counted.stream()
                    .filter(p -> p.evidence().quantity() == quantity
                            && !p.evidence().estimate().isOpenAbove()
                            && !combination.sameEffort().contains(p.key()))
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
            all.add(named(id, counted) + " rests on an effort that counts already.");
        return all;
    }

    /** What a session below zero asks for stays out of the mean; how the two stand to each other is said. */
    private static String floor(Combination combination, double watts) {
        String asks = "A session spent more than the reserve: with the W′ suggested here it asks for a critical power"
                + " of at least " + Amounts.withUnit(Quantity.CRITICAL_POWER, watts);
        Combination.Suggested suggested = combination.suggestions().get(Quantity.CRITICAL_POWER);
        if (suggested == null) return asks + ".";
        return Math.round(watts) <= Math.round(suggested.value())
                ? asks + ", which the suggestion keeps."
                : asks + ", more than the most likely value: the upper end of its range fits both.";
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
