package pemblar.core.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Element.Cadence;
import pemblar.core.workout.Element.Posture;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/** Reads the one-line text form of a workout; {@link ShorthandText} writes it. */
public final class Shorthand {
    private static final int MAX_CHARACTERS = 20_000;
    private final Scanner in;

    private Shorthand(String text) {
        in = new Scanner(text);
    }

    /** Where a text stops making sense, what stands there, and what would be accepted; line and column count from 1. */
    public record Problem(int line, int column, String found, String expected) {
        @Override
        public String toString() {
            return "line " + line + ", column " + column + ": "
                    + (found.isEmpty() ? "the text ends" : "found '" + found + "'") + ", expected " + expected;
        }
    }

    /** The workout, or the first problem. */
    public record Reading(Optional<Workout> workout, Optional<Problem> problem) {}

    public static Reading read(String text, Sport sport) {
        return read(text, sport, Basis.usualFor(sport));
    }

    /** Reads a text whose bare percentages and zones are of {@code basis}. Case and spaces do not matter. */
    public static Reading read(String text, Sport sport, Basis basis) {
        if (text.length() > MAX_CHARACTERS)
            return new Reading(
                    Optional.empty(),
                    Optional.of(new Problem(1, 1, text.substring(0, 12), "at most " + MAX_CHARACTERS + " characters")));
        Shorthand reader = new Shorthand(text);
        try {
            List<Element> elements = reader.elements(0);
            if (!reader.in.atEnd()) throw reader.in.expected("a comma, a new line or the end");
            reader.in.mark();
            return new Reading(
                    Optional.of(reader.in.checked(() -> new Workout(sport, basis, elements))), Optional.empty());
        } catch (Scanner.Unexpected e) {
            return new Reading(Optional.empty(), Optional.of(e.problem()));
        }
    }

    private List<Element> elements(int depth) {
        List<Element> elements = new ArrayList<>();
        in.skipSeparators();
        do {
            elements.add(element(depth));
        } while (in.separator() && !in.atEnd() && !in.at(')'));
        return elements;
    }

    private Element element(int depth) {
        String name = in.name();
        in.mark();
        Integer times = in.times();
        return times == null ? step(name) : repeat(name, times, depth);
    }

    private Repeat repeat(String name, int times, int depth) {
        if (times < 1 || times > 99) throw in.refused("1 to 99 repetitions");
        if (depth == 2) throw in.refused("a step: repeats nest once");
        int mark = in.markIndex();
        in.require('(', "'(' after the number of repetitions");
        List<Element> elements = elements(depth + 1);
        in.require(')', "a comma or ')' at the end of the repeat");
        return in.checkedAt(mark, () -> new Repeat(name, times, elements));
    }

    private Step step(String name) {
        Length length = length();
        Target target = null;
        double gradient = 0;
        Cadence cadence = null;
        Posture posture = Posture.ANY;
        String cue = "";
        while (!in.atPartEnd()) {
            in.mark();
            if (in.at('"')) cue = in.quoted();
            else if (in.word("seated")) posture = Posture.SEATED;
            else if (in.word("standing")) posture = Posture.STANDING;
            else if (in.word("any")) posture = Posture.ANY;
            else if (in.word("at")) gradient = gradient();
            else if (in.isCadence()) cadence = new CadenceReader(in).read();
            else if (target == null) target = new TargetReader(in).read();
            else
                throw in.expected(
                        "a gradient as at 5%, a cadence, seated, standing, a cue in quotes, a comma or a new line");
        }
        if (target == null) throw in.expected(TargetReader.ACCEPTED);
        Target found = target;
        double slope = gradient;
        Cadence turning = cadence;
        Posture held = posture;
        String said = cue;
        return in.checked(() -> new Step(name, length, found, slope, turning, held, said));
    }

    private Length length() {
        in.mark();
        if (in.word("lap")) return new Length.LapKey();
        if (in.word("until")) return until();
        double seconds = 0;
        boolean any = false;
        while (in.atDigit()) {
            double value = in.number();
            String unit = in.unit("min", "mi", "km", "h", "s", "m");
            if (unit == null) throw in.expected("a unit of length: s, min, h, m, km or mi");
            if (any && (unit.equals("km") || unit.equals("mi") || unit.equals("m")))
                throw in.refused("a length in time or in distance, not both");
            if (unit.equals("km") || unit.equals("mi") || unit.equals("m")) return distance(value, unit);
            seconds += value * (unit.equals("h") ? 3600 : unit.equals("min") ? 60 : 1);
            any = true;
            if (!in.nextIsTime()) break;
        }
        if (!any)
            throw in.expected(
                    "a length such as 90s, 15min, 1h30min, 800m, 3km, 1mi, lap, until hr<120 or until reserve>90%");
        int whole = (int) Math.round(Math.min(seconds, 1e6));
        if (whole < 1 || whole > 86_400) throw in.refused("a length from 1 s to 24 h");
        return new Length.Time(whole);
    }

    private Length distance(double value, String unit) {
        double metres = value * (unit.equals("km") ? 1000 : unit.equals("mi") ? Pace.METRES_PER_MILE : 1);
        if (!(metres >= 1 && metres <= 1_000_000)) throw in.refused("a length from 1 m to 1000 km");
        return new Length.Distance(metres);
    }

    private double gradient() {
        boolean falling = in.skip('-');
        double percent = in.number();
        in.require('%', "'%' after the gradient, as in at 5%");
        if (!(percent <= 40)) throw in.refused("a gradient from -40 to 40 %");
        return falling ? 0 - percent : percent;
    }

    private Length until() {
        if (in.word("reserve")) return untilReserve();
        if (!in.word("hr"))
            throw in.expected("hr< and a heart rate, or reserve< or reserve> and a share, as in until reserve<20%");
        return untilHeartRate();
    }

    private Length untilReserve() {
        boolean back = in.skip('>');
        if (!back) in.require('<', "'<' or '>' and a share of the reserve, as in until reserve<20%");
        double percent = in.number();
        in.require('%', "'%' after the share, as in until reserve<20%");
        if (!(percent <= 99 && percent == Math.rint(percent))) throw in.refused("a whole share from 0 to 99 %");
        return new Length.ReserveAt(back, (int) percent);
    }

    private Length untilHeartRate() {
        in.require('<', "'<' and a heart rate, as in until hr<120");
        double bpm = in.number();
        in.word("bpm");
        if (!(bpm >= 40 && bpm <= 220)) throw in.refused("a heart rate from 40 to 220");
        return new Length.HeartRateBelow((int) Math.round(bpm));
    }
}
