package pemblar.core.strength;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import pemblar.core.strength.Exercise.Linked;
import pemblar.core.strength.LoggedSet.Counts;
import pemblar.core.strength.LoggedSet.Did;

/**
 * One-repetition maxima of some exercises, kg, linked ones through their whole chain. Immutable: a set gives new
 * maxima.
 */
public final class Maxima {
    public static final double MOST_KILOGRAMS = 1000;
    private final Map<String, Exercise> exercises;
    private final Map<String, Double> own;

    private Maxima(Map<String, Exercise> exercises, Map<String, Double> own) {
        this.exercises = exercises;
        this.own = own;
    }

    /** A cycle of links, or a link to what is not there. */
    public static final class BrokenLink extends IllegalArgumentException {
        private static final long serialVersionUID = 1;
        private final String exercise;

        BrokenLink(String exercise, String message) {
            super(message);
            this.exercise = exercise;
        }

        /** The exercise that holds the link. */
        public String exercise() {
            return exercise;
        }
    }

    /** The maxima after a set, and what the set did to them. */
    public record After(Maxima maxima, Did did) {}

    static void check(double kilograms) {
        if (!(kilograms > 0 && kilograms < MOST_KILOGRAMS))
            throw new IllegalArgumentException("a maximum must be above 0 and below 1000 kg, was " + kilograms);
    }

    /** @throws BrokenLink naming the chain when links go in a circle or nowhere */
    public static Maxima of(List<Exercise> exercises) {
        Map<String, Exercise> byName = new LinkedHashMap<>();
        Map<String, Double> own = new LinkedHashMap<>();
        for (Exercise exercise : exercises) {
            if (byName.put(exercise.name(), exercise) != null)
                throw new BrokenLink(exercise.name(), "two exercises have the name " + exercise.name());
            if (exercise instanceof Exercise.Own mine && mine.maximumKilograms().isPresent())
                own.put(mine.name(), mine.maximumKilograms().getAsDouble());
        }
        Maxima maxima = new Maxima(byName, own);
        for (Exercise exercise : exercises) maxima.chain(exercise.name());
        return maxima;
    }

    /** The names from an exercise up to the one that has a maximum of its own. */
    private List<String> chain(String name) {
        List<String> chain = new ArrayList<>(List.of(name));
        while (exercises.get(chain.get(chain.size() - 1)) instanceof Linked link) {
            if (chain.contains(link.of())) {
                chain.add(link.of());
                throw new BrokenLink(name, "links go in a circle: " + String.join(" -> ", chain));
            }
            if (!exercises.containsKey(link.of()))
                throw new BrokenLink(link.name(), "there is no exercise " + link.of() + " to take a maximum from");
            chain.add(link.of());
        }
        return chain;
    }

    public boolean knows(String name) {
        return exercises.containsKey(name);
    }

    /** kg; empty when the maximum at the top of its chain is not known. */
    public OptionalDouble of(String name) {
        List<String> chain = chain(name);
        Double top = own.get(chain.get(chain.size() - 1));
        return top == null ? OptionalDouble.empty() : OptionalDouble.of(top * share(chain));
    }

    private double share(List<String> chain) {
        double share = 1;
        for (String name : chain) if (exercises.get(name) instanceof Linked link) share *= link.percent() / 100;
        return share;
    }

    /** All of them by name, in order; null where none is known. */
    public Map<String, Double> all() {
        Map<String, Double> all = new LinkedHashMap<>();
        for (String name : exercises.keySet()) {
            OptionalDouble maximum = of(name);
            all.put(name, maximum.isPresent() ? maximum.getAsDouble() : null);
        }
        return all;
    }

    /**
     * What a set does. Nothing moves silently: the answer says what it did.
     *
     * @param step what loads round to, kg: a load farther than this from the prescribed one is estimated from itself
     */
    public After after(LoggedSet set, double step) {
        if (!knows(set.exercise())) throw new IllegalArgumentException("there is no exercise " + set.exercise());
        if (set.repetitions() == 0) return new After(this, Did.FAILED);
        if (!set.test() || set.counts() == Counts.NONE) return new After(this, Did.KEPT);
        if (set.repetitions() > Repetitions.MOST_RELIABLE) return new After(this, Did.REFUSED);
        double before = of(set.exercise()).orElse(Double.NaN);
        double estimate = estimate(set, before, step);
        List<String> chain = chain(set.exercise());
        boolean linked = chain.size() > 1;
        if (linked && !reportsUp(chain)) return new After(this, Did.KEPT);
        boolean better = Double.isNaN(before) || estimate > before;
        boolean moves = better || estimate < before && set.counts() == Counts.EVERY && !linked;
        double top = estimate / share(chain);
        if (!moves) return new After(this, Did.KEPT);
        if (!(top > 0 && top < MOST_KILOGRAMS)) return new After(this, Did.REFUSED);
        Map<String, Double> changed = new LinkedHashMap<>(own);
        changed.put(chain.get(chain.size() - 1), top);
        return new After(new Maxima(exercises, changed), Did.MOVED);
    }

    /** A chain ends at a link that does not report back. */
    private boolean reportsUp(List<String> chain) {
        return chain.subList(0, chain.size() - 1).stream()
                .allMatch(name -> exercises.get(name) instanceof Linked link && link.reportsBack());
    }

    private double estimate(LoggedSet set, double before, double step) {
        if (set.repetitionMaximum().isEmpty() || Double.isNaN(before))
            return Repetitions.maximum(set.loadKilograms(), set.repetitions());
        int wanted = set.repetitionMaximum().getAsInt();
        double prescribed = set.prescribed().orElse(before / Repetitions.factor(wanted));
        if (Math.abs(set.loadKilograms() - prescribed) > step + 1e-9)
            return Repetitions.maximum(set.loadKilograms(), set.repetitions());
        return set.repetitions() == wanted
                ? before
                : before * Repetitions.factor(set.repetitions()) / Repetitions.factor(wanted);
    }
}
