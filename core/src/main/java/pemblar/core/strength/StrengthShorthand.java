package pemblar.core.strength;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pemblar.core.strength.Lift.PlannedSet;
import pemblar.core.strength.LoggedSet.Counts;

/** Reads the shorthand of strength work, one exercise a line; {@link StrengthText} writes it. */
public final class StrengthShorthand {
    private static final int MOST_CHARACTERS = 10_000;
    private static final double KILOGRAMS_PER_POUND = 0.45359237;
    private static final String AMRAP = "as many as possible";
    private static final Pattern LETTER = Pattern.compile("([a-h]\\d) ");
    private static final Pattern NAME = Pattern.compile("[\\p{L}][\\p{L}'()/ -]*?(?= (?:\\d|as many as possible))");
    private static final Pattern TIMES = Pattern.compile("(\\d{1,3}) ?[x×] ?");
    private static final Pattern HELD = Pattern.compile("(\\d{1,4}) ?(s|sec|min)\\b");
    private static final Pattern REPETITIONS = Pattern.compile("(\\d{1,3})(?: reps?)?( or more)?");
    private static final Pattern PERCENT = Pattern.compile("(\\d{1,3}(?:\\.\\d{1,2})?) ?%");
    private static final Pattern MAXIMUM = Pattern.compile("(\\d{1,2}) ?rm\\b");
    private static final Pattern RESERVE = Pattern.compile("(\\d{1,2}) in reserve");
    private static final Pattern KILOGRAMS = Pattern.compile("(\\d{1,4}(?:\\.\\d{1,2})?) ?(kg|lb)\\b");
    private static final Pattern BODY = Pattern.compile("body ?mass(?: ?([+-]) ?(\\d{1,3}(?:\\.\\d{1,2})?) ?(kg|lb))?");
    private static final Pattern REST = Pattern.compile("rest (?:(\\d{1,2}) ?min)? ?(?:(\\d{1,3}) ?s(?:ec)?)?");
    private static final Pattern TEMPO = Pattern.compile("tempo (\\d{1,2}-\\d{1,2}-\\d{1,2}(?:-\\d{1,2})?)");
    private static final Pattern CUE = Pattern.compile("\"([^\"]{0,200})\"");

    private final String original;
    private final String text;
    private final int line;
    private int at;

    private StrengthShorthand(String original, int line) {
        this.original = original;
        this.text = original.toLowerCase(Locale.ROOT).replace('\t', ' ');
        this.line = line;
    }

    /** Where a text stops making sense, what stands there, and what would be accepted; line and column count from 1. */
    public record Problem(int line, int column, String found, String expected) {
        @Override
        public String toString() {
            return "line " + line + ", column " + column + ": "
                    + (found.isEmpty() ? "the line ends" : "found '" + found + "'") + ", expected " + expected;
        }
    }

    /** The workout, or the first problem. */
    public record Reading(Optional<StrengthWorkout> workout, Optional<Problem> problem) {}

    private static final class Unexpected extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient Problem problem;

        Unexpected(Problem problem) {
            super(problem.toString(), null, false, false);
            this.problem = problem;
        }
    }

    public static Reading read(String text) {
        if (text.length() > MOST_CHARACTERS)
            return refused(new Problem(1, 1, text.substring(0, 12), "at most " + MOST_CHARACTERS + " characters"));
        List<Lift> lifts = new ArrayList<>();
        Set<String> warmUps = new LinkedHashSet<>();
        String[] lines = text.split("\n", -1);
        try {
            for (int i = 0; i < lines.length; i++) {
                if (lines[i].isBlank()) continue;
                StrengthShorthand reader = new StrengthShorthand(lines[i].stripTrailing(), i + 1);
                if (reader.word("warm-up:")) warmUps.add(reader.rest());
                else lifts.add(reader.lift());
            }
            if (lifts.isEmpty()) return refused(new Problem(1, 1, "", "an exercise, as back squat 5 x 5 at 80%"));
            for (String warmed : warmUps)
                if (lifts.stream().noneMatch(l -> l.exercise().equals(warmed)))
                    return refused(
                            new Problem(1, 1, "warm-up: " + warmed, "an exercise of this workout after warm-up:"));
            return new Reading(Optional.of(new StrengthWorkout(lifts, warmUps)), Optional.empty());
        } catch (Unexpected e) {
            return refused(e.problem);
        } catch (IllegalArgumentException e) {
            return refused(new Problem(1, 1, "", e.getMessage()));
        }
    }

    private static Reading refused(Problem problem) {
        return new Reading(Optional.empty(), Optional.of(problem));
    }

    private Lift lift() {
        skip();
        Matcher letter = matcher(LETTER);
        String pair = letter.lookingAt() ? take(letter).group(1).toUpperCase(Locale.ROOT) : "";
        skip();
        Matcher name = matcher(NAME);
        if (!name.lookingAt()) throw expected("an exercise and its sets, as back squat 5 x 5 at 80%");
        String exercise = take(name).group().strip();
        skip();
        return sets(pair, exercise);
    }

    private Lift sets(String pair, String exercise) {
        List<PlannedSet> sets = new ArrayList<>();
        Tail tail = new Tail();
        do {
            skip();
            if (tail.reads()) continue;
            if (tail.any) throw expected("rest, tempo, next from last or a cue in quotes");
            add(sets, tail);
        } while (comma());
        while (tail.reads()) comma();
        skip();
        if (at < text.length()) throw expected("a comma, -> max, rest, tempo, a cue in quotes or the end of the line");
        if (sets.isEmpty()) throw expected("sets, as 5 x 5 at 80%, 3 x 45s or as many as possible at 85%");
        int start = 0;
        try {
            return new Lift(
                    pair,
                    exercise,
                    tail.each,
                    sets,
                    tail.counts,
                    tail.nextFromLast,
                    tail.restSeconds,
                    tail.tempo,
                    tail.cue);
        } catch (IllegalArgumentException e) {
            at = start;
            throw expected(e.getMessage());
        }
    }

    /** What may follow the sets, in any order. */
    private final class Tail {
        private boolean any;
        private boolean each;
        private boolean nextFromLast;
        private Counts counts = Counts.NONE;
        private int restSeconds;
        private String tempo = "";
        private String cue = "";

        boolean reads() {
            skip();
            boolean read = arrow() || next() || resting() || tempo() || cue();
            any |= read;
            return read;
        }

        private boolean arrow() {
            if (!word("->")) return false;
            skip();
            if (!word("max")) throw expected("max after ->, or max both ways");
            skip();
            counts = word("both ways") ? Counts.EVERY : Counts.BETTER;
            return true;
        }

        private boolean next() {
            if (!word("next from last")) return false;
            nextFromLast = true;
            return true;
        }

        private boolean resting() {
            if (!ahead("rest ")) return false;
            Matcher rest = matcher(REST);
            if (!rest.lookingAt() || rest.group(1) == null && rest.group(2) == null) {
                at += 5;
                throw expected("a rest such as 3min, 90s or 1min30s");
            }
            take(rest);
            restSeconds = 60 * number(rest.group(1)) + number(rest.group(2));
            return true;
        }

        private boolean tempo() {
            if (!ahead("tempo")) return false;
            Matcher found = matcher(TEMPO);
            if (!found.lookingAt()) {
                at += 5;
                throw expected("a tempo such as 3-1-1");
            }
            tempo = take(found).group(1);
            return true;
        }

        private boolean cue() {
            if (!ahead("\"")) return false;
            Matcher found = CUE.matcher(original).region(at, original.length());
            if (!found.lookingAt()) throw expected("a closing quotation mark, with at most 200 characters before it");
            at = found.end();
            cue = found.group(1);
            return true;
        }
    }

    private void add(List<PlannedSet> sets, Tail tail) {
        if (word("last " + AMRAP)) {
            if (sets.isEmpty()) throw expected("sets before the last one");
            sets.set(sets.size() - 1, sets.get(sets.size() - 1).asManyAsPossible(true));
            afterSets(tail);
            return;
        }
        int start = at;
        Matcher times = matcher(TIMES);
        int count = times.lookingAt() ? Integer.parseInt(take(times).group(1)) : 1;
        if (count < 1 || count > Lift.MOST_SETS) {
            at = start;
            throw expected("1 to " + Lift.MOST_SETS + " sets");
        }
        PlannedSet set = set(tail);
        for (int i = 0; i < count; i++) sets.add(set);
        afterSets(tail);
    }

    /** An arrow may follow the sets without a comma. */
    private void afterSets(Tail tail) {
        skip();
        if (ahead("->")) tail.reads();
    }

    private PlannedSet set(Tail tail) {
        int start = at;
        skip();
        int repetitions = 0;
        int held = 0;
        boolean free = false;
        Matcher heldFor = matcher(HELD);
        Matcher counted = matcher(REPETITIONS);
        if (word(AMRAP)) free = true;
        else if (heldFor.lookingAt()) {
            take(heldFor);
            held = Integer.parseInt(heldFor.group(1)) * (heldFor.group(2).equals("min") ? 60 : 1);
        } else if (counted.lookingAt()) {
            take(counted);
            repetitions = Integer.parseInt(counted.group(1));
            free = counted.group(2) != null;
        } else throw expected("repetitions, seconds or as many as possible");
        skip();
        if (word("each")) tail.each = true;
        skip();
        SetLoad load = load();
        try {
            return new PlannedSet(repetitions, free, held, load);
        } catch (IllegalArgumentException e) {
            at = start;
            throw expected(e.getMessage());
        }
    }

    private SetLoad load() {
        if (!word("at ") && !word("@")) return new SetLoad.Free();
        skip();
        int start = at;
        try {
            Matcher m = matcher(PERCENT);
            if (m.lookingAt()) return new SetLoad.Percent(Double.parseDouble(take(m).group(1)));
            m = matcher(MAXIMUM);
            if (m.lookingAt()) return new SetLoad.RepetitionMaximum(Integer.parseInt(take(m).group(1)));
            m = matcher(RESERVE);
            if (m.lookingAt()) return new SetLoad.InReserve(Integer.parseInt(take(m).group(1)));
            m = matcher(BODY);
            if (m.lookingAt()) return body(take(m));
            m = matcher(KILOGRAMS);
            if (m.lookingAt()) return new SetLoad.Absolute(kilograms(take(m).group(1), m.group(2)));
        } catch (IllegalArgumentException e) {
            at = start;
            throw expected(e.getMessage());
        }
        throw expected("80%, 10rm, 2 in reserve, 40kg, 90lb or body mass +5kg");
    }

    private static SetLoad body(Matcher m) {
        if (m.group(1) == null) return new SetLoad.BodyMass(0);
        double more = kilograms(m.group(2), m.group(3));
        return new SetLoad.BodyMass(m.group(1).equals("-") ? -more : more);
    }

    private static double kilograms(String number, String unit) {
        double value = Double.parseDouble(number);
        return unit.equals("kg") ? value : Math.rint(value * KILOGRAMS_PER_POUND * 100) / 100;
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }

    private Matcher matcher(Pattern pattern) {
        return pattern.matcher(text).region(at, text.length());
    }

    private Matcher take(Matcher found) {
        at = found.end();
        return found;
    }

    private void skip() {
        while (at < text.length() && text.charAt(at) == ' ') at++;
    }

    private boolean ahead(String word) {
        return text.startsWith(word, at);
    }

    private boolean word(String word) {
        if (!ahead(word)) return false;
        int end = at + word.length();
        boolean letters = Character.isLetter(word.charAt(word.length() - 1));
        if (letters && end < text.length() && Character.isLetterOrDigit(text.charAt(end))) return false;
        at = end;
        return true;
    }

    private boolean comma() {
        skip();
        return word(",");
    }

    private String rest() {
        String rest = text.substring(at).strip().replaceAll("\\s+", " ");
        at = text.length();
        return rest;
    }

    private Unexpected expected(String what) {
        int end = Math.min(original.length(), at + 16);
        return new Unexpected(
                new Problem(line, at + 1, at >= original.length() ? "" : original.substring(at, end), what));
    }
}
