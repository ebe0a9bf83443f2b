package pemblar.formats.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import pemblar.core.strength.Exercise;
import pemblar.core.strength.LoggedSet;
import pemblar.core.strength.Maxima;
import pemblar.core.strength.Repetitions;
import pemblar.core.strength.Rounding;
import pemblar.core.strength.SessionLoad;

/** Maxima after each set, loads, volume, session load (computation, section 14). */
final class StrengthTopic implements Topic {
    private static final int MOST = 2000;
    private static final double MOST_LOAD = 999.999;

    @Override
    public Map<String, Object> answer(byte[] input) {
        Fields in = Fields.read(input);
        double step = in.number("step", "what loads round to in kg, e.g. 2.5", 0.01, 50, 2.5);
        Maxima maxima = maxima(in.someObjects("exercises", "a list of {name, maximum} or {name, of, percent}", MOST));
        List<LoggedSet> sets = new ArrayList<>();
        List<Map<String, Object>> did = new ArrayList<>();
        for (Fields fields : in.objects("sets", MOST)) {
            LoggedSet set = set(fields, maxima);
            Maxima.After after = maxima.after(set, step);
            maxima = after.maxima();
            sets.add(set);
            did.add(Answer.of(
                    "exercise",
                    set.exercise(),
                    "did",
                    after.did().name().toLowerCase(Locale.ROOT),
                    "maxima",
                    maxima.all()));
        }
        List<Map<String, Object>> prescribed = new ArrayList<>();
        for (Fields fields : in.objects("prescribe", MOST)) prescribed.add(prescribed(fields, maxima, step));
        OptionalDouble points = SessionLoad.points(
                in.optional("minutes", "minutes of the session", 0, 1440),
                sets.size(),
                in.optional("effort", "the session's effort", 0, 10));
        return Answer.of(
                "maxima",
                maxima.all(),
                "sets",
                did,
                "prescribed",
                prescribed,
                "volume",
                SessionLoad.volume(sets),
                "sessionLoad",
                Answer.figure(points));
    }

    private static Maxima maxima(List<Fields> fields) {
        List<Exercise> exercises = new ArrayList<>();
        for (Fields f : fields) exercises.add(exercise(f));
        try {
            return Maxima.of(exercises);
        } catch (Maxima.BrokenLink e) {
            int index = 0;
            for (int i = 0; i < exercises.size(); i++)
                if (exercises.get(i).name().equals(e.exercise())) index = i;
            throw new BadInput(
                    "exercises[" + index + "]",
                    e.getMessage() + "; give links that end at an exercise with a maximum of its own");
        }
    }

    private static Exercise exercise(Fields f) {
        String name = f.text("name", "its name");
        if (!f.has("of"))
            return new Exercise.Own(
                    name, f.optional("maximum", "a maximum in kg, above 0 and below 1000", 0.001, MOST_LOAD));
        if (f.has("maximum"))
            throw new BadInput(f.place("maximum"), "stands beside of; give a maximum or a link, not both");
        return new Exercise.Linked(
                name,
                f.text("of", "the exercise it is linked to"),
                f.number("percent", "percent of the other's maximum", 0.001, 300),
                f.flag("reportsBack", false));
    }

    private static String known(Fields f, Maxima maxima) {
        String name = f.text("exercise", "the name of an exercise");
        if (!maxima.knows(name))
            throw new BadInput(f.place("exercise"), name + " is not in exercises; give one of them");
        return name;
    }

    private static LoggedSet set(Fields f, Maxima maxima) {
        LoggedSet.Counts counts = f.has("counts")
                ? LoggedSet.Counts.valueOf(
                        f.choice("counts", List.of("none", "better", "every")).toUpperCase(Locale.ROOT))
                : LoggedSet.Counts.NONE;
        OptionalInt maximum = f.has("repetitionMaximum")
                ? OptionalInt.of(f.whole("repetitionMaximum", "a repetition maximum", 1, 30))
                : OptionalInt.empty();
        return new LoggedSet(
                known(f, maxima),
                f.number("load", "the load in kg", 0, MOST_LOAD),
                f.whole("repetitions", "how many were done", 0, 1000),
                counts,
                f.flag("test", false),
                maximum,
                f.optional("prescribed", "the prescribed load in kg", 0, MOST_LOAD));
    }

    private static Map<String, Object> prescribed(Fields f, Maxima maxima, double step) {
        String name = known(f, maxima);
        double share = f.has("repetitionMaximum")
                ? f.number("percentOfRepetitionMaximum", "percent of the repetition maximum", 0.001, 300, 100)
                        / 100
                        / Repetitions.factor(f.whole("repetitionMaximum", "a repetition maximum", 1, 30))
                : f.number("percent", "percent of the maximum", 0.001, 300) / 100;
        OptionalDouble maximum = maxima.of(name);
        if (maximum.isEmpty())
            return Answer.of("exercise", name, "note", "no maximum is known; find it out with a test set");
        double exact = maximum.getAsDouble() * share;
        return Answer.of("exercise", name, "exact", exact, "rounded", Rounding.toStep(exact, step));
    }
}
