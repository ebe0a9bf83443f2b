package pemblar.app.strength;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.frame.page.Units;
import pemblar.app.strength.floor.FloorService;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.SetLoad;

/** Sets in words, as they are planned and as they were lifted. */
public final class SetWords {
    private SetWords() {}

    /** What can be loaded of a planned set, without its unit; empty when it is not known. */
    public static String load(Row row) {
        return row.shownKilograms().isPresent()
                ? Kilograms.figure(row.shownKilograms().getAsDouble())
                : "";
    }

    /** What is to be done, in short. */
    public static String planned(Row row) {
        if (row.set().heldSeconds() > 0) return row.set().heldSeconds() + " s";
        String load = load(row);
        String repetitions = row.set().asManyAsPossible()
                ? "as many as possible"
                : String.valueOf(row.set().repetitions());
        boolean body = row.set().load() instanceof SetLoad.BodyMass;
        if (body && (load.isEmpty() || load.equals("0"))) return "body mass × " + repetitions;
        if (load.isEmpty()) return repetitions + (row.findOut() ? ", find the load out" : "");
        return (body ? "body mass + " : "") + load + " " + Units.mine().massUnit() + " × " + repetitions;
    }

    public static String done(FloorService.Logged set) {
        if (set.heldSeconds() > 0) return set.heldSeconds() + " s";
        if (set.kilograms() == 0) return set.repetitions() + " times";
        return Kilograms.figure(set.kilograms()) + " × " + set.repetitions();
    }

    /** The same where nothing beside it says the unit. */
    static String doneWithUnit(FloorService.Logged set) {
        return set.heldSeconds() > 0 || set.kilograms() == 0
                ? done(set)
                : done(set).replace(" × ", " " + Units.mine().massUnit() + " × ");
    }

    /** Equal neighbours once, with how many there are. */
    static String together(List<String> sets) {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < sets.size(); ) {
            int same = i;
            while (same < sets.size() && sets.get(same).equals(sets.get(i))) same++;
            words.add(same - i == 1 ? sets.get(i) : sets.get(i) + " (" + (same - i) + " sets)");
            i = same;
        }
        return String.join(", ", words);
    }
}
