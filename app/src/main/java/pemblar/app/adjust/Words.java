package pemblar.app.adjust;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import pemblar.app.session.Slab;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Breach;
import pemblar.core.adjust.Broken;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;
import pemblar.core.adjust.Situation;
import pemblar.core.season.Event;

/** Changes and their effects in words. */
public final class Words {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private static final double HALF = 0.5;

    private Words() {}

    public static String day(LocalDate day) {
        return DAY.format(day);
    }

    /** The day of the next A event; null without one. */
    static LocalDate aim(Situation s) {
        return s.nextAim().map(Event::day).orElse(null);
    }

    static String of(Change change, Map<String, Slab> sessions) {
        return change.answer(new ChangeWords(sessions));
    }

    /** One or two changes as they are; of more, how many of each kind. */
    static String title(List<Change> changes, Map<String, Slab> sessions) {
        if (changes.isEmpty()) return "Look at the evidence: a threshold may no longer be true";
        String first = of(changes.get(0), sessions);
        if (changes.size() == 1) return first;
        return changes.size() > 2 ? Kinds.of(changes) : first + ", and " + inside(of(changes.get(1), sessions));
    }

    private static String inside(String sentence) {
        return sentence.substring(0, 1).toLowerCase(Locale.ROOT) + sentence.substring(1);
    }

    /** What it does to the figures of the morning that counts, beside leaving it. */
    public static String price(Effect effect, Effect leave, String morning) {
        return "Chronic load " + against(leave.chronic(), effect.chronic(), v -> String.valueOf(Math.round(v))) + " "
                + morning + ", lowest balance on the way "
                + against(leave.lowestBalance(), effect.lowestBalance(), Words::signed) + ".";
    }

    /** Two figures that differ by less than half a point are no point apart, though rounding may say so. */
    private static String against(double now, double then, DoubleFunction<String> words) {
        String was = words.apply(now);
        String is = words.apply(then);
        if (is.equals(was)) return "stays " + was;
        return Math.abs(then - now) < HALF ? "stays about " + was : is + " instead of " + was;
    }

    /**
     * Why no more of what is lost is made up; empty when nothing is lost that can be seen.
     *
     * @param leave chronic load that the plan had come to
     */
    static String unmade(Adjusting.More more, Proposal proposal, double leave) {
        if (Math.round(proposal.effect().chronic()) >= Math.round(leave)) return "";
        if (more.blocks() == 0) return " No loading block begins before the taper, so none of it is made up.";
        if (!more.broken().isEmpty())
            return " A little more in every block ahead would break "
                    + more.broken().stream().sorted().map(Words::of).collect(Collectors.joining(", ")) + ".";
        boolean madeUp = proposal.changes().stream().anyMatch(c -> c instanceof Change.Retarget);
        return madeUp
                ? " No more of it is made up: a block holds at most 15 % more than was planned."
                : " This one makes none of it up.";
    }

    static String signed(double value) {
        long whole = Math.round(value);
        return whole > 0 ? "+" + whole : whole < 0 ? "−" + -whole : "0";
    }

    /** Limits that a changed plan breaks; of those that it breaks without any change, whether by more. */
    public static String broken(Proposal p, Set<Broken> already) {
        return p.breaches().stream()
                .map(b -> of(b.limit()) + beside(b, already.contains(b.limit())))
                .collect(Collectors.joining(", "));
    }

    private static String beside(Breach breach, boolean already) {
        String on = breach.first().map(day -> "on " + day(day)).orElse("");
        if (!already) return on.isEmpty() ? "" : " " + on;
        if (breach.anew()) return " (" + on + "; the plan does so already, but elsewhere or by less)";
        return " (" + (on.isEmpty() ? "" : on + ", ") + "as the plan does already)";
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
