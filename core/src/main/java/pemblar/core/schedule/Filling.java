package pemblar.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.schedule.DayPlan.Kind;
import pemblar.core.schedule.DayPlan.Slot;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Workout;

/**
 * Chooses workouts of a library for the sessions of a block, the least used first, at the length that suits best of
 * those that the workout can have, and lengthens or shortens the easy ones so that the block still comes to its load.
 */
public final class Filling {
    /** A workout is put at 70 to 130 % of its own length; beyond that another is chosen. */
    private static final double LEAST_SHARE = 0.695;

    private static final double MOST_SHARE = 1.305;
    /** So far from the length that was thought of a workout still serves. */
    private static final double FARTHEST = 1.6;

    private static final double USED_COSTS = 0.35;
    private static final double CHANGED_COSTS = 0.05;
    private static final int LONG_SECONDS = 75 * 60;
    private static final int LONG_SECONDS_IN_WATER = 50 * 60;
    private static final int LONGEST_OPENER = 45 * 60;
    private static final double MUCH = 1.05;
    /** So near to the load, as a share of it, is near enough. */
    private static final double NEAR = 0.05;
    /** So far from it, what was used once more often may be taken again. */
    private static final double FAR = 0.1;
    /** What is used often or far from its own length must help more: share of the load for each unit of cost. */
    private static final double USED_WEIGHS = 0.01;

    private static final int MOST_ROUNDS = 300;
    private static final double NOTHING = 1e-9;
    private final List<Candidate> candidates;
    private final Map<Long, Integer> used = new HashMap<>();

    /**
     * A workout at one length, and what it is for at that length.
     *
     * @param calm nothing in it is hard: a short hard session does not become an easy one by being short
     */
    public record Variant(Workout workout, int seconds, double load, Purpose purpose, boolean calm) {}

    /**
     * A workout that can be taken, at the lengths that it can have.
     *
     * @param own its length as it is written, s
     */
    public record Candidate(long id, Sport sport, Kind kind, int own, List<Variant> variants) {
        /** Only lengths of 70 to 130 % of its own are kept, shortest first. */
        public Candidate {
            int length = own;
            variants = variants.stream()
                    .filter(v ->
                            v.load() > 0 && v.seconds() >= length * LEAST_SHARE && v.seconds() <= length * MOST_SHARE)
                    .sorted(Comparator.comparingInt(Variant::seconds))
                    .toList();
        }
    }

    /** A session with its workout and length; without one when the library has none for it. */
    public record Choice(Slot slot, Optional<Candidate> candidate, Optional<Variant> variant) {
        public double load() {
            return variant.map(Variant::load).orElseGet(slot::load);
        }

        public int seconds() {
            return variant.map(Variant::seconds).orElseGet(slot::seconds);
        }

        Choice with(Variant other) {
            return new Choice(slot, candidate, Optional.of(other));
        }
    }

    private record Scored(Candidate candidate, Variant variant, double cost) {}

    /** @param candidates in the order in which they are preferred */
    public Filling(List<Candidate> candidates) {
        this.candidates = List.copyOf(candidates);
    }

    /** @param load points that the sessions are to come to together */
    public List<Choice> fill(List<Slot> slots, double load) {
        List<Choice> choices = new ArrayList<>();
        for (Slot slot : slots) choices.add(choose(slot));
        List<Choice> all = balanced(choices, load);
        while (isTooMuch(all, load)) {
            Optional<List<Choice>> fewer = fewer(all, load);
            if (fewer.isEmpty()) break;
            all = fewer.get();
        }
        return exchanged(all, load);
    }

    /**
     * While the sessions are too far from the load, another workout in the place of one, that was not used more often.
     */
    private List<Choice> exchanged(List<Choice> choices, double load) {
        List<Choice> all = choices;
        for (int i = 0; i < choices.size(); i++) {
            double off = Math.abs(load - sum(all));
            if (off <= NEAR * load) return all;
            Optional<List<Choice>> nearer = exchange(all, load).filter(o -> Math.abs(load - sum(o)) < off);
            if (nearer.isEmpty()) return all;
            all.forEach(c -> count(c, -1));
            all = nearer.get();
            all.forEach(c -> count(c, 1));
        }
        return all;
    }

    private void count(Choice choice, int by) {
        choice.candidate().ifPresent(c -> used.merge(c.id(), by, Integer::sum));
    }

    private int used(Candidate candidate) {
        return used.getOrDefault(candidate.id(), 0);
    }

    private static boolean isIn(List<Choice> all, Candidate candidate) {
        return all.stream()
                .anyMatch(c -> c.candidate().filter(candidate::equals).isPresent());
    }

    private Optional<List<Choice>> exchange(List<Choice> all, double load) {
        List<Choice> best = null;
        double least = Double.POSITIVE_INFINITY;
        int again = Math.abs(load - sum(all)) > FAR * load ? 1 : 0;
        for (int i = 0; i < all.size(); i++) {
            Slot slot = all.get(i).slot();
            if (all.get(i).candidate().isEmpty() || slot.kind() == Kind.OPENER) continue;
            double others = sum(all) - all.get(i).load();
            int before = used(all.get(i).candidate().get()) - 1 + again;
            for (Scored other : serving(slot, slot.kind())) {
                if (used(other.candidate()) > before || isIn(all, other.candidate())) continue;
                double off = Math.abs(load - others - other.variant().load()) + USED_WEIGHS * load * other.cost();
                if (off >= least) continue;
                least = off;
                best = new ArrayList<>(all);
                best.set(i, new Choice(slot, Optional.of(other.candidate()), Optional.of(other.variant())));
            }
        }
        return Optional.ofNullable(best).map(changed -> balanced(changed, load));
    }

    private static boolean isTooMuch(List<Choice> choices, double load) {
        return sum(choices) > Math.max(0, load) * MUCH;
    }

    private static double sum(List<Choice> choices) {
        return choices.stream().mapToDouble(Choice::load).sum();
    }

    /** Without one session, the least important first, when the others then come nearer to the load. */
    private static Optional<List<Choice>> fewer(List<Choice> choices, double load) {
        double off = Math.abs(sum(choices) - load);
        return choices.stream()
                .filter(c -> c.slot().kind() != Kind.OPENER)
                .sorted(Comparator.comparingInt(c -> Lengths.importance(c.slot())))
                .map(c -> balanced(choices.stream().filter(o -> o != c).toList(), load))
                .filter(others -> Math.abs(sum(others) - load) < off)
                .findFirst();
    }

    private Choice choose(Slot slot) {
        Optional<Scored> best = best(slot, slot.kind());
        if (best.isEmpty() && slot.kind() == Kind.RACE_LIKE) best = best(slot, Kind.PLAIN);
        Choice choice = new Choice(slot, best.map(Scored::candidate), best.map(Scored::variant));
        count(choice, 1);
        return choice;
    }

    private Optional<Scored> best(Slot slot, Kind kind) {
        return serving(slot, kind).stream().min(Comparator.comparingDouble(Scored::cost));
    }

    private List<Scored> serving(Slot slot, Kind kind) {
        return candidates.stream()
                .filter(c -> c.kind() == kind && (slot.sport() == null || c.sport() == slot.sport()))
                .flatMap(c -> c.variants().stream()
                        .filter(v -> serves(v, slot, kind))
                        .map(v -> new Scored(c, v, cost(c, v, slot))))
                .toList();
    }

    private double cost(Candidate candidate, Variant variant, Slot slot) {
        return USED_COSTS * used(candidate)
                + Math.abs(Math.log((double) slot.seconds() / variant.seconds()))
                + (variant.seconds() == candidate.own() ? 0 : CHANGED_COSTS);
    }

    /** Judged at the length at which it is put. The easy kinds stand in for each other; a long one is endurance. */
    private static boolean serves(Variant variant, Slot slot, Kind kind) {
        double ratio = (double) slot.seconds() / variant.seconds();
        if (variant.seconds() > slot.mostSeconds()) return false;
        if (kind == Kind.OPENER) return variant.seconds() <= LONGEST_OPENER;
        if (ratio > FARTHEST || ratio < 1 / FARTHEST) return false;
        if (kind != Kind.PLAIN) return true;
        Purpose is = variant.purpose();
        return switch (slot.purpose()) {
            case LONG -> variant.calm() && variant.seconds() >= leastLong(variant);
            case EASY -> variant.calm() && is != Purpose.RECOVERY;
            case RECOVERY -> variant.calm() && is != Purpose.LONG;
            default -> is == slot.purpose();
        };
    }

    private static int leastLong(Variant variant) {
        return variant.workout().sport().restsBetween() ? LONG_SECONDS_IN_WATER : LONG_SECONDS;
    }

    /** Makes one easy session after another longer or shorter while that comes nearer to the load. */
    private static List<Choice> balanced(List<Choice> choices, double load) {
        List<Choice> all = new ArrayList<>(choices);
        for (int i = 0; i < MOST_ROUNDS; i++) if (!nudge(all, load)) break;
        return all;
    }

    private static boolean nudge(List<Choice> all, double load) {
        double missing = load - sum(all);
        double left = Math.abs(missing) - NOTHING;
        int best = -1;
        Variant taken = null;
        for (int i = 0; i < all.size(); i++) {
            Optional<Variant> next = next(all.get(i), missing > 0);
            if (next.isEmpty()) continue;
            double after = Math.abs(missing - next.get().load() + all.get(i).load());
            if (after >= left) continue;
            left = after;
            best = i;
            taken = next.get();
        }
        if (best >= 0) all.set(best, all.get(best).with(taken));
        return best >= 0;
    }

    /** The next longer or shorter length of a session that is not hard. */
    private static Optional<Variant> next(Choice choice, boolean longer) {
        if (choice.candidate().isEmpty()
                || choice.slot().purpose().isHard()
                || choice.slot().kind() == Kind.OPENER) return Optional.empty();
        List<Variant> variants = choice.candidate().get().variants().stream()
                .filter(v -> v.seconds() <= choice.slot().mostSeconds()
                        && (choice.slot().kind() != Kind.PLAIN
                                || serves(v, choice.slot().lasting(v.seconds()), Kind.PLAIN)))
                .toList();
        int now = variants.indexOf(choice.variant().orElseThrow());
        int next = now + (longer ? 1 : -1);
        return now >= 0 && next >= 0 && next < variants.size() ? Optional.of(variants.get(next)) : Optional.empty();
    }
}
