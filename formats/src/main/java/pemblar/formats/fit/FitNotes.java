package pemblar.formats.fit;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pemblar.core.workout.Length;

/**
 * What the notes of a workout step say that the format has no field for: where the reserve ends it, and the gradient.
 *
 * @param end null when the notes name no reserve
 */
public record FitNotes(Length.ReserveAt end, double gradientPercent) {
    private static final Pattern RESERVE = Pattern.compile("until the reserve is (below|above) (\\d{1,2}) %");
    private static final Pattern GRADIENT = Pattern.compile("on (-?\\d{1,2}(?:\\.\\d{1,2})?) %");

    static String reserve(Length.ReserveAt end) {
        return "until the reserve is " + (end.back() ? "above " : "below ") + end.percent() + " %";
    }

    static String gradient(double percent) {
        return "on " + BigDecimal.valueOf(percent).stripTrailingZeros().toPlainString() + " %";
    }

    /** Where the reserve ends a step with these notes, as a device that follows it reads them. */
    public static Optional<Length.ReserveAt> reserveOf(String notes) {
        Matcher found = RESERVE.matcher(notes.toLowerCase(Locale.ROOT));
        return found.find()
                ? Optional.of(new Length.ReserveAt(found.group(1).equals("above"), Integer.parseInt(found.group(2))))
                : Optional.empty();
    }

    /** The notes beside what they say of the reserve. */
    public static String withoutReserve(String notes) {
        return RESERVE.matcher(notes).replaceAll("").replaceAll("^, |, $", "").replace(", , ", ", ");
    }

    /** Reads the notes and takes out what it has read. */
    static FitNotes read(List<String> notes) {
        Length.ReserveAt end = null;
        double gradient = 0;
        for (String note : List.copyOf(notes)) {
            Matcher reserve = RESERVE.matcher(note);
            Matcher ground = GRADIENT.matcher(note);
            if (reserve.matches()) end = reserveOf(note).orElseThrow();
            else if (ground.matches() && Math.abs(Double.parseDouble(ground.group(1))) <= 40)
                gradient = Double.parseDouble(ground.group(1));
            else continue;
            notes.remove(note);
        }
        return new FitNotes(end, gradient);
    }
}
