package pemblar.app.adjust;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import pemblar.app.frame.Typed;
import pemblar.core.adjust.WhatIf;

/** A what-if as it is typed and kept. @param amount hours a week less, or percent; 0 for days off */
record Question(Kind kind, LocalDate first, LocalDate last, double amount) {
    private static final int MOST_DAYS = 400;

    enum Kind {
        OFF,
        LESS,
        SHARE
    }

    /** @return null when nothing is asked @throws IllegalArgumentException naming the field */
    static Question read(Map<String, String> typed, LocalDate today) {
        String kind = typed.getOrDefault("kind", "");
        if (kind.isBlank()) return null;
        if (!kind.matches("OFF|LESS|SHARE")) throw new IllegalArgumentException("Question: choose one of the three.");
        Kind asked = Kind.valueOf(kind);
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
        };
        return new Question(asked, first, last, amount);
    }

    WhatIf toCore() {
        return switch (kind) {
            case OFF -> new WhatIf.DaysOff(first, last);
            case LESS -> new WhatIf.LessTime(amount, last);
            case SHARE -> new WhatIf.Share(amount, last);
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
        return "kind=" + kind + "&first=" + first + "&last=" + last + "&amount=" + plain(amount);
    }
}
