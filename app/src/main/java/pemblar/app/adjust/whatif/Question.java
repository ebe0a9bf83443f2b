package pemblar.app.adjust.whatif;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import pemblar.app.adjust.Words;
import pemblar.app.frame.page.Typed;
import pemblar.app.threshold.Amounts;
import pemblar.core.adjust.WhatIf;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Quantity;

/**
 * A what-if as it is typed and kept.
 *
 * @param last of an event the day to which it moves, from {@code first}; it may be the earlier one
 * @param amount hours a week less, percent, or the value of the quantity in its unit; 0 for days off and events
 * @param quantity of which another value is asked about; else null
 */
public record Question(Kind kind, LocalDate first, LocalDate last, double amount, Quantity quantity) {
    private static final int MOST_DAYS = 400;
    /** What targets and loads of planned sessions rest on. */
    static final Set<Quantity> ASKED_ABOUT =
            EnumSet.complementOf(EnumSet.of(Quantity.BODY_MASS, Quantity.RESTING_HEART_RATE));

    enum Kind {
        OFF,
        LESS,
        SHARE,
        EVENT,
        THRESHOLD
    }

    /** @return null when nothing is asked @throws IllegalArgumentException naming the field */
    static Question read(Map<String, String> typed, LocalDate today) {
        String kind = typed.getOrDefault("kind", "");
        if (kind.isBlank()) return null;
        if (!kind.matches("OFF|LESS|SHARE|EVENT|THRESHOLD"))
            throw new IllegalArgumentException("Question: choose one of the five.");
        Kind asked = Kind.valueOf(kind);
        if (asked == Kind.EVENT) return event(typed, today);
        if (asked == Kind.THRESHOLD) return threshold(typed, today);
        LocalDate first = asked == Kind.OFF ? Typed.day("From", typed.get("first")) : today;
        LocalDate last = Typed.day("Until", typed.get("last"));
        if (first.isBefore(today))
            throw new IllegalArgumentException(
                    "From: what is over can't be asked about; the first possible day is " + today + ".");
        if (last.isBefore(first)) throw new IllegalArgumentException("Until: choose a day from " + first + " on.");
        if (first.plusDays(MOST_DAYS).isBefore(last))
            throw new IllegalArgumentException("Until: choose a day up to " + first.plusDays(MOST_DAYS) + ".");
        double amount = switch (asked) {
            case OFF -> 0;
            case LESS -> Typed.number("Hours a week less", typed.get("amount"), -20, 40);
            case SHARE -> Typed.number("Percent", typed.get("amount"), 0, 200);
            case EVENT, THRESHOLD -> throw new IllegalStateException("read on its own");
        };
        return new Question(asked, first, last, amount, null);
    }

    private static Question event(Map<String, String> typed, LocalDate today) {
        LocalDate from = Typed.day("Event", typed.get("first"));
        LocalDate to = Typed.day("To", typed.get("last"));
        if (from.isBefore(today)) throw new IllegalArgumentException("Event: choose one that is still ahead.");
        if (!to.isAfter(today) || to.isAfter(today.plusDays(MOST_DAYS)))
            throw new IllegalArgumentException(
                    "To: choose a day from " + today.plusDays(1) + " to " + today.plusDays(MOST_DAYS) + ".");
        if (to.equals(from)) throw new IllegalArgumentException("To: choose another day than the event’s own.");
        return new Question(Kind.EVENT, from, to, 0, null);
    }

    private static Question threshold(Map<String, String> typed, LocalDate today) {
        Quantity quantity = ASKED_ABOUT.stream()
                .filter(q -> q.name().equals(typed.get("quantity")))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("Threshold: choose one."));
        String value = typed.getOrDefault("amount", "");
        try {
            double amount = new Dated(quantity, today, Amounts.parsed(quantity, value)).value();
            return new Question(Kind.THRESHOLD, today, today.plusDays(MOST_DAYS), amount, quantity);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(Amounts.problem(quantity, value, e));
        }
    }

    /** @param ahead answers what planned sessions come to with another threshold */
    WhatIf toCore(Function<Question, WhatIf> ahead) {
        return switch (kind) {
            case THRESHOLD -> ahead.apply(this);
            case OFF -> new WhatIf.DaysOff(first, last);
            case LESS -> new WhatIf.LessTime(amount, last);
            case SHARE -> new WhatIf.Share(amount, last);
            case EVENT -> new WhatIf.EventMoved(first, last);
        };
    }

    /** As a title says it. */
    public String words() {
        return switch (kind) {
            case OFF ->
                (days() == 1 ? "a day off on " + Words.day(first) : days() + " days off from " + Words.day(first));
            case LESS ->
                plain(Math.abs(amount)) + (amount >= 0 ? " hours a week less" : " hours a week more") + " until "
                        + Words.day(last);
            case SHARE -> plain(amount) + " % of what is planned until " + Words.day(last);
            case EVENT -> "the event of " + Words.day(first) + " on " + Words.day(last);
            case THRESHOLD -> quantity.label() + " " + Amounts.withUnit(quantity, amount);
        };
    }

    private long days() {
        return last.toEpochDay() - first.toEpochDay() + 1;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.format(Locale.ROOT, "%.1f", value);
    }

    /** The question as the page's address carries it. */
    public String address() {
        String asked = "kind=" + kind + "&first=" + first + "&last=" + last + "&amount=" + typed();
        return quantity == null ? asked : asked + "&quantity=" + quantity;
    }

    /** The amount as a form has it. */
    public String typed() {
        return quantity == null ? plain(amount) : Amounts.shown(quantity, amount);
    }
}
