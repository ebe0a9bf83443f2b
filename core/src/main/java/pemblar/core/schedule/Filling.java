package pemblar.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.schedule.DayPlan.Slot;

/**
 * Chooses workouts of a library for the sessions of a block, the least used first, and scales the easy ones so that the
 * block still comes to its load.
 */
public final class Filling {
    private static final int LEAST_PERCENT = 40;
    private static final int MOST_PERCENT = 200;
    private static final int LEAST_HARD_PERCENT = 70;
    private static final int MOST_HARD_PERCENT = 130;
    private static final int STEP_PERCENT = 5;
    private final List<Candidate> candidates;
    private final Map<Long, Integer> used = new HashMap<>();

    /** A workout that can be taken. Load and length are proportional: a scaled workout keeps its intensity. */
    public record Candidate(long id, Purpose purpose, int seconds, double load) {}

    /** A session with its workout at a scale; without one when the library has none for it. */
    public record Choice(Slot slot, Optional<Candidate> candidate, int scalePercent) {
        public double load() {
            return candidate.map(c -> c.load() * scalePercent / 100).orElse(slot.load());
        }

        Choice scaled(int percent) {
            return new Choice(slot, candidate, percent);
        }
    }

    /** @param candidates in the order in which they are preferred */
    public Filling(List<Candidate> candidates) {
        this.candidates =
                candidates.stream().filter(c -> c.seconds() > 0 && c.load() > 0).toList();
    }

    /** @param load points that the sessions are to come to together */
    public List<Choice> fill(List<Slot> slots, double load) {
        List<Choice> choices = new ArrayList<>();
        for (Slot slot : slots) choices.add(choose(slot));
        return balanced(choices, load);
    }

    private Choice choose(Slot slot) {
        Optional<Candidate> best = candidates.stream()
                .filter(c -> suits(c, slot))
                .min(Comparator.comparingDouble(c -> 0.35 * used.getOrDefault(c.id(), 0)
                        + Math.abs(Math.log((double) slot.seconds() / c.seconds()))));
        best.ifPresent(c -> used.merge(c.id(), 1, Integer::sum));
        return new Choice(slot, best, best.map(c -> percent(slot, c)).orElse(100));
    }

    /** The same purpose, and a length that a scale can reach; the easy kinds stand in for each other. */
    private static boolean suits(Candidate candidate, Slot slot) {
        boolean same = candidate.purpose() == slot.purpose()
                || slot.purpose() == Purpose.LONG && candidate.purpose() == Purpose.EASY
                || slot.purpose() == Purpose.RECOVERY && candidate.purpose() == Purpose.EASY;
        double share = 100.0 * slot.seconds() / candidate.seconds();
        return same
                && share >= least(slot) - STEP_PERCENT
                && candidate.seconds() * (double) least(slot) / 100 <= slot.mostSeconds()
                && share <= MOST_PERCENT + STEP_PERCENT;
    }

    private static int least(Slot slot) {
        return slot.purpose().isHard() ? LEAST_HARD_PERCENT : LEAST_PERCENT;
    }

    private static int most(Choice choice) {
        int byMinutes = (int) (100.0
                * choice.slot().mostSeconds()
                / choice.candidate().orElseThrow().seconds());
        return Math.min(choice.slot().purpose().isHard() ? MOST_HARD_PERCENT : MOST_PERCENT, byMinutes);
    }

    private static int percent(Slot slot, Candidate candidate) {
        int percent = (int) Math.round(100.0 * slot.seconds() / candidate.seconds() / STEP_PERCENT) * STEP_PERCENT;
        return Math.max(least(slot), Math.min(percent, most(new Choice(slot, Optional.of(candidate), 100))));
    }

    /** Scales the sessions that are not hard, by one factor, towards the load; one percent at a time at the end. */
    private static List<Choice> balanced(List<Choice> choices, double load) {
        List<Choice> all = new ArrayList<>(choices);
        double easy =
                all.stream().filter(Filling::canScale).mapToDouble(Choice::load).sum();
        double missing = load - all.stream().mapToDouble(Choice::load).sum();
        if (easy <= 0) return all;
        double factor = Math.max(0, (easy + missing) / easy);
        all.replaceAll(c -> canScale(c) ? c.scaled(within(c, (int) Math.round(c.scalePercent() * factor))) : c);
        for (int i = 0; i < 2 * MOST_PERCENT; i++) if (!nudge(all, load)) break;
        return all;
    }

    private static boolean canScale(Choice choice) {
        return choice.candidate().isPresent() && !choice.slot().purpose().isHard();
    }

    private static int within(Choice choice, int percent) {
        return Math.max(least(choice.slot()), Math.min(percent, most(choice)));
    }

    private static boolean nudge(List<Choice> all, double load) {
        double missing = load - all.stream().mapToDouble(Choice::load).sum();
        int step = missing > 0 ? 1 : -1;
        int best = -1;
        for (int i = 0; i < all.size(); i++) {
            Choice c = all.get(i);
            if (!canScale(c)
                    || within(c, c.scalePercent() + step) != c.scalePercent() + step
                    || c.candidate().orElseThrow().load() / 100 > Math.abs(missing)) continue;
            if (best < 0
                    || c.candidate().orElseThrow().load()
                            > all.get(best).candidate().orElseThrow().load()) best = i;
        }
        if (best >= 0) all.set(best, all.get(best).scaled(all.get(best).scalePercent() + step));
        return best >= 0;
    }
}
