package pemblar.app.workout;

import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Editing;
import pemblar.core.workout.Editing.Path;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.Target;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** An edit as the drawing sends it: a word, the step it is about, another step or an amount. */
record DrawnEdit(String word, Path path, Path other, double amount) {
    /** @throws IllegalArgumentException when a path is none, or the amount is no number */
    static DrawnEdit of(String word, String path, String other, double amount) {
        if (!Double.isFinite(amount)) throw new IllegalArgumentException("the amount must be a number");
        return new DrawnEdit(word, Path.parse(path), other.isEmpty() ? null : Path.parse(other), amount);
    }

    Workout on(Workout workout, Zones zones) {
        Editing editing = Editing.of(workout);
        return switch (word) {
            case "length" -> editing.length(path, amount);
            case "raise" -> editing.raise(path, amount, percentOfOneUnit(editing, workout, zones));
            case "first" -> editing.edge(path, true, amount, percentOfOneUnit(editing, workout, zones));
            case "second" -> editing.edge(path, false, amount, percentOfOneUnit(editing, workout, zones));
            case "times" -> editing.times(path, (int) amount);
            case "duplicate" -> editing.duplicate(path);
            case "split" -> editing.split(path);
            case "delete" -> editing.delete(path);
            case "move" -> editing.move(path, (int) amount);
            case "wrap" -> editing.wrap(path, other == null ? path : other, (int) amount);
            case "unwrap" -> editing.unwrap(path);
            default -> throw new IllegalArgumentException("there is no edit called '" + word + "'");
        };
    }

    private double percentOfOneUnit(Editing editing, Workout workout, Zones zones) {
        if (!(editing.at(path) instanceof Step step) || !(step.target() instanceof Target.Absolute absolute))
            return Double.NaN;
        Thresholds values = zones.thresholds().forSport(workout.sport());
        Basis basis = absolute.basis();
        return 100 / values.get(basis.threshold()).orElse(Double.NaN);
    }
}
