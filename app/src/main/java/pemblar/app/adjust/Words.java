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

/** Changes and their effects in words. */
final class Words {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private Words() {}

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    static String of(Change change, Map<String, Slab> sessions) {
        if (change instanceof Change.Move c) return "Move " + named(c.session(), sessions) + " to " + day(c.to());
        if (change instanceof Change.Scale c)
            return "Shorten " + named(c.session(), sessions) + " to " + Math.round(100 * c.factor()) + " %";
        if (change instanceof Change.Swap c)
            return "Make " + named(c.session(), sessions) + " easy, " + Math.round(c.hours() * 60) + " min and "
                    + Math.round(c.load()) + " points";
        if (change instanceof Change.Drop c) return "Drop " + named(c.session(), sessions);
        if (change instanceof Change.Rest c) return "Rest on " + day(c.day());
        if (change instanceof Change.Retarget c)
            return "Set the block of " + day(c.first()) + " to " + Math.round(c.load()) + " points";
        Change.Add c = (Change.Add) change;
        return "Add " + c.title() + " on " + day(c.day());
    }

    private static String named(String id, Map<String, Slab> sessions) {
        Slab slab = sessions.get(id);
        return slab == null ? "a session" : "“" + slab.title() + "” of " + day(slab.day());
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
        return chronic + " " + morning + ", lowest balance on the way " + signed(effect.lowestBalance())
                + " instead of " + signed(leave.lowestBalance()) + ".";
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
