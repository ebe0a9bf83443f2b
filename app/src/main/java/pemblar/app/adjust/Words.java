package pemblar.app.adjust;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.app.session.Slab;
import pemblar.core.adjust.Broken;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Situation;
import pemblar.core.season.Event;

/** Changes and their effects in words. */
final class Words {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private Words() {}

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    /** The day of the next A event; null without one. */
    static LocalDate aim(Situation s) {
        return s.nextAim().map(Event::day).orElse(null);
    }

    static String of(Change change, Map<String, Slab> sessions) {
        return change.answer(new ChangeWords(sessions));
    }

    /** The first change, and how many more. */
    static String title(List<Change> changes, Map<String, Slab> sessions) {
        if (changes.isEmpty()) return "Look at the evidence: a threshold may no longer be true";
        String first = of(changes.get(0), sessions);
        return changes.size() == 1 ? first : first + ", and " + (changes.size() - 1) + " more";
    }

    /** What it does to the figures of the morning that counts, beside leaving it. */
    static String price(Effect effect, Effect leave, String morning) {
        long now = Math.round(leave.chronic());
        long then = Math.round(effect.chronic());
        String chronic = now == then ? "Chronic load stays " + then : "Chronic load " + then + " instead of " + now;
        String lowest = signed(effect.lowestBalance());
        String was = signed(leave.lowestBalance());
        return chronic + " " + morning + ", lowest balance on the way "
                + (lowest.equals(was) ? "stays " + lowest : lowest + " instead of " + was) + ".";
    }

    static String signed(double value) {
        long whole = Math.round(value);
        return whole > 0 ? "+" + whole : whole < 0 ? "−" + -whole : "0";
    }

    /** Limits that a plan breaks; those that it breaks without any change say so. */
    static String broken(Set<Broken> breaks, Set<Broken> already) {
        return breaks.stream()
                .sorted()
                .map(b -> of(b) + (already.contains(b) ? " (as the plan does already)" : ""))
                .collect(Collectors.joining(", "));
    }

    private static String of(Broken broken) {
        return switch (broken) {
            case BUILD_RATE -> "the build rate";
            case BALANCE -> "the balance floor";
            case HOURS -> "hours a day";
            case SPACING -> "the distance between hard sessions";
            case WEATHER -> "the weather limits";
        };
    }
}
