package pemblar.core.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import pemblar.core.strength.Lift.PlannedSet;

/**
 * What is on the bar: a workout with the maxima of a day. Nothing is made up: where a maximum is missing the set has no
 * load, and the first of its exercise finds out.
 */
public final class Prescription {
    /** A set to find a maximum out: so many repetitions with so many left. */
    public static final PlannedSet FIND_OUT = new PlannedSet(5, false, 0, new SetLoad.InReserve(2));

    private Prescription() {}

    /**
     * One set as it will be done.
     *
     * @param exactKilograms of the bar, or beside the body; empty when it is not known or nothing is asked
     * @param shownKilograms what can be loaded
     * @param share of the maximum; empty when it is not known
     * @param findOut its load needs a maximum that is not there
     */
    public record Row(
            Lift lift,
            PlannedSet set,
            int number,
            boolean warmUp,
            OptionalDouble exactKilograms,
            OptionalDouble shownKilograms,
            OptionalDouble share,
            boolean findOut) {
        /** At 70 % of the maximum and above, or as many as possible; held ones and warm-up are none. */
        public boolean isHard() {
            if (warmUp || set.heldSeconds() > 0) return false;
            return set.asManyAsPossible() || share.orElse(0) >= StrengthWorkout.HARD_SHARE;
        }
    }

    /** @param loadable what loads round to @param bodyKilograms empty when it is not known */
    public static List<Row> of(
            StrengthWorkout workout, Maxima maxima, Loadable loadable, OptionalDouble bodyKilograms) {
        List<Row> rows = new ArrayList<>();
        for (Lift lift : workout.lifts()) {
            OptionalDouble maximum =
                    maxima.knows(lift.exercise()) ? maxima.of(lift.exercise()) : OptionalDouble.empty();
            Able able = new Able(maximum, loadable, bodyKilograms);
            if (workout.warmUps().contains(lift.exercise())) rows.addAll(warmUp(lift, able));
            for (int i = 0; i < lift.sets().size(); i++)
                rows.add(row(lift, lift.sets().get(i), i + 1, able));
        }
        return rows;
    }

    /** What is known of the one who lifts. @param maximum kg, of the exercise; empty when it is not known */
    private record Able(OptionalDouble maximum, Loadable loadable, OptionalDouble bodyKilograms) {}

    private static Row row(Lift lift, PlannedSet set, int number, Able able) {
        OptionalDouble maximum = able.maximum();
        OptionalDouble body = able.bodyKilograms();
        Loadable loadable = able.loadable();
        OptionalDouble exact = exact(set, maximum);
        OptionalDouble share = share(set, maximum, body);
        boolean needs = set.load().share(Math.max(1, set.repetitions())).isPresent();
        return new Row(
                lift, set, number, false, exact, rounded(lift, set, exact, loadable), share, needs && exact.isEmpty());
    }

    private static OptionalDouble exact(PlannedSet set, OptionalDouble maximum) {
        if (set.load() instanceof SetLoad.Absolute a) return OptionalDouble.of(a.kilograms());
        if (set.load() instanceof SetLoad.BodyMass b) return OptionalDouble.of(b.kilogramsMore());
        OptionalDouble share = set.load().share(set.repetitions());
        return share.isPresent() && maximum.isPresent()
                ? OptionalDouble.of(share.getAsDouble() * maximum.getAsDouble())
                : OptionalDouble.empty();
    }

    private static OptionalDouble share(PlannedSet set, OptionalDouble maximum, OptionalDouble body) {
        OptionalDouble asked = set.load().share(set.repetitions());
        if (asked.isPresent() || maximum.isEmpty()) return asked;
        if (set.load() instanceof SetLoad.Absolute a) return OptionalDouble.of(a.kilograms() / maximum.getAsDouble());
        if (set.load() instanceof SetLoad.BodyMass b && body.isPresent())
            return OptionalDouble.of((body.getAsDouble() + b.kilogramsMore()) / maximum.getAsDouble());
        return OptionalDouble.empty();
    }

    private static OptionalDouble rounded(Lift lift, PlannedSet set, OptionalDouble exact, Loadable loadable) {
        if (exact.isEmpty()) return exact;
        boolean mayMove = set.asManyAsPossible() && lift.counts() != LoggedSet.Counts.NONE;
        return OptionalDouble.of(
                mayMove
                        ? loadable.atMost(lift.exercise(), exact.getAsDouble())
                        : loadable.nearest(lift.exercise(), exact.getAsDouble()));
    }

    private static List<Row> warmUp(Lift lift, Able able) {
        List<Row> rows = new ArrayList<>();
        Row first = row(lift, lift.sets().get(0), 1, able);
        if (first.exactKilograms().isEmpty() || lift.sets().get(0).load() instanceof SetLoad.BodyMass) return rows;
        for (WarmUp.Step warm : WarmUp.SETS) {
            double kilograms = warm.share() * first.exactKilograms().getAsDouble();
            PlannedSet set = new PlannedSet(warm.repetitions(), false, 0, new SetLoad.Free());
            OptionalDouble share = first.share().isPresent()
                    ? OptionalDouble.of(warm.share() * first.share().getAsDouble())
                    : OptionalDouble.empty();
            rows.add(new Row(
                    lift,
                    set,
                    0,
                    true,
                    OptionalDouble.of(kilograms),
                    OptionalDouble.of(able.loadable().nearest(lift.exercise(), kilograms)),
                    share,
                    false));
        }
        return rows;
    }

    /** Load for the next set, kg, so that it is as hard for so many repetitions as the last was. */
    public static OptionalDouble nextFromLast(
            double lastKilograms, int lastRepetitions, int lastInReserve, PlannedSet next) {
        if (lastRepetitions < 1
                || next.repetitions() < 1
                || lastRepetitions + lastInReserve > Repetitions.MOST_RELIABLE) return OptionalDouble.empty();
        double maximum = lastKilograms * Repetitions.factor(lastRepetitions + lastInReserve);
        return next.load().share(next.repetitions()).stream()
                .map(share -> share * maximum)
                .boxed()
                .findFirst()
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }
}
