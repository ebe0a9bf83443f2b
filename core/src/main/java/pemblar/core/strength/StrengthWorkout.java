package pemblar.core.strength;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import pemblar.core.strength.Lift.PlannedSet;

/** A strength session as it is designed: exercises with their sets, and those that get the usual warm-up sets first. */
public record StrengthWorkout(List<Lift> lifts, Set<String> warmUps) {
    public static final int MOST_LIFTS = 40;
    /** From this share of the maximum on a set is hard. */
    public static final double HARD_SHARE = 0.7;

    private static final int HEAVY_SETS = 3;
    private static final int SET_SECONDS = 40;
    private static final int USUAL_REST_SECONDS = 120;
    private static final int HELD_REST_SECONDS = 60;
    private static final int PAIR_SECONDS = 45;
    /** The effort that a planned session is taken to have, 0 to 10, as nobody has felt it yet. */
    public static final double PLANNED_EFFORT = 6;

    public StrengthWorkout {
        lifts = List.copyOf(lifts);
        warmUps = Set.copyOf(warmUps);
        if (lifts.isEmpty() || lifts.size() > MOST_LIFTS)
            throw new IllegalArgumentException(
                    "a strength workout has 1 to " + MOST_LIFTS + " exercises, had " + lifts.size());
    }

    /** Sets without warm-up. */
    public int sets() {
        return lifts.stream().mapToInt(l -> l.sets().size()).sum();
    }

    /** So many hard sets of the legs that what is hard the next day suffers: a rule of ours, at least 3. */
    public boolean isHeavyOnLegs(Predicate<String> legs) {
        long hard = lifts.stream()
                .filter(l -> legs.test(l.exercise()))
                .flatMap(l -> l.sets().stream())
                .filter(StrengthWorkout::isHard)
                .count();
        return hard >= HEAVY_SETS;
    }

    /** Names of its exercises, in their order. */
    public Set<String> exercises() {
        Set<String> names = new LinkedHashSet<>();
        lifts.forEach(l -> names.add(l.exercise()));
        return names;
    }

    /** A hard set: 70 % of the maximum and above, or as many as possible; held ones are none. */
    public static boolean isHard(PlannedSet set) {
        return set.heldSeconds() == 0
                && (set.asManyAsPossible()
                        || set.load().share(set.repetitions()).orElse(0) >= HARD_SHARE);
    }

    /**
     * Expected length, s: each set with its rest as written, else two minutes; in a pair the rest is shared, so a set
     * costs 45 s more than itself. A rule of ours: minutes told afterwards stand in its place.
     */
    public int seconds() {
        double seconds = 0;
        for (Lift lift : lifts) {
            for (PlannedSet set : lift.sets()) {
                int work = set.heldSeconds() > 0 ? set.heldSeconds() : SET_SECONDS;
                seconds += (lift.each() ? 2 : 1) * work + rest(lift, set);
            }
            if (warmUps.contains(lift.exercise())) seconds += WarmUp.SETS.size() * (SET_SECONDS + HELD_REST_SECONDS);
        }
        return (int) Math.round(seconds / 60) * 60;
    }

    private static int rest(Lift lift, PlannedSet set) {
        if (lift.restSeconds() > 0) return lift.restSeconds();
        if (!lift.letter().isEmpty()) return PAIR_SECONDS;
        return set.heldSeconds() > 0 ? HELD_REST_SECONDS : USUAL_REST_SECONDS;
    }

    /** Points it is expected to cost, at {@link #PLANNED_EFFORT}. */
    public double load() {
        return pemblar.core.strength.SessionLoad.points(
                        java.util.OptionalDouble.of(seconds() / 60.0),
                        sets(),
                        java.util.OptionalDouble.of(PLANNED_EFFORT))
                .orElseThrow();
    }
}
