package pemblar.core.strength;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.strength.Lift.PlannedSet;
import pemblar.core.strength.LoggedSet.Counts;

/**
 * Writes a strength workout in the normal form of the shorthand: reading it gives the same workout, writing that the
 * same text.
 */
public final class StrengthText {
    private StrengthText() {}

    public static String of(StrengthWorkout workout) {
        List<String> lines = new ArrayList<>();
        for (Lift lift : workout.lifts()) {
            if (workout.warmUps().contains(lift.exercise())
                    && lines.stream().noneMatch(l -> l.equals("warm-up: " + lift.exercise())))
                lines.add("warm-up: " + lift.exercise());
            lines.add(line(lift));
        }
        return String.join("\n", lines);
    }

    private static String line(Lift lift) {
        StringBuilder text = new StringBuilder();
        if (!lift.letter().isEmpty()) text.append(lift.letter()).append(' ');
        text.append(lift.exercise()).append(' ').append(sets(lift));
        if (lift.counts() != Counts.NONE)
            text.append(" -> max").append(lift.counts() == Counts.EVERY ? " both ways" : "");
        if (lift.nextFromLast()) text.append(", next from last");
        if (lift.restSeconds() > 0) text.append(", rest ").append(time(lift.restSeconds()));
        if (!lift.tempo().isEmpty()) text.append(", tempo ").append(lift.tempo());
        if (!lift.cue().isEmpty()) text.append(", \"").append(lift.cue()).append('"');
        return text.toString();
    }

    /** The sets alone, as 5 x 5 at 80%. */
    public static String sets(Lift lift) {
        List<PlannedSet> sets = lift.sets();
        PlannedSet first = sets.get(0);
        PlannedSet last = sets.get(sets.size() - 1);
        boolean alike = sets.stream().limit(sets.size() - 1L).allMatch(first::equals);
        boolean same = alike && first.equals(last);
        if (same && !(sets.size() == 1 && first.repetitions() == 0))
            return sets.size() == 1 && first.heldSeconds() == 0 ? one(first, lift) : many(sets.size(), first, lift);
        boolean lastFree = alike
                && sets.size() > 1
                && last.asManyAsPossible()
                && last.repetitions() > 0
                && !first.asManyAsPossible()
                && last.asManyAsPossible(false).equals(first);
        if (lastFree) return many(sets.size(), first, lift) + ", last as many as possible";
        List<String> parts = new ArrayList<>();
        for (PlannedSet set : sets) parts.add(one(set, lift));
        return String.join(", ", parts);
    }

    private static String many(int count, PlannedSet set, Lift lift) {
        return count + " x " + amount(set) + (lift.each() ? " each" : "") + load(set);
    }

    private static String one(PlannedSet set, Lift lift) {
        return amount(set) + (lift.each() ? " each" : "") + load(set);
    }

    private static String amount(PlannedSet set) {
        if (set.heldSeconds() > 0) return set.heldSeconds() + "s";
        return set.repetitions() == 0
                ? "as many as possible"
                : set.repetitions() + (set.asManyAsPossible() ? " or more" : "");
    }

    private static String load(PlannedSet set) {
        String text = set.load().text();
        return text.isEmpty() ? "" : " " + text;
    }

    static String time(int seconds) {
        return (seconds >= 60 ? seconds / 60 + "min" : "") + (seconds % 60 > 0 ? seconds % 60 + "s" : "");
    }
}
