package pemblar.app.program;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** Days that are asked for, both ends included. */
public record Span(LocalDate from, LocalDate to) {
    private static final int MOST_DAYS = 400;
    private static final int USUAL_DAYS = 28;

    /** What is not said is four weeks back and four weeks ahead. @throws IllegalArgumentException naming the field */
    public static Span of(LocalDate from, LocalDate to, LocalDate today) {
        LocalDate last = to != null ? to : from != null ? from.plusDays(2L * USUAL_DAYS) : today.plusDays(USUAL_DAYS);
        LocalDate first = from != null ? from : last.minusDays(2L * USUAL_DAYS);
        if (last.isBefore(first)) throw new IllegalArgumentException("to: choose a day that is not before from.");
        if (ChronoUnit.DAYS.between(first, last) > MOST_DAYS)
            throw new IllegalArgumentException("to: at most " + MOST_DAYS + " days can be asked for at once.");
        if (first.getYear() < 1900 || last.getYear() > 2200)
            throw new IllegalArgumentException("from: choose days between 1900 and 2200.");
        return new Span(first, last);
    }
}
