package pemblar.core.adjust;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import pemblar.core.schedule.Purpose;

/**
 * Other workouts for today, for the time and the state that one is in: at most three that serve today's purpose, fit
 * the minutes at 70 to 130 % of their length, end above an empty reserve and break no limit that the plan does not
 * break already.
 */
public final class Instead {
    public static final int LEAST_PERCENT = 70;
    public static final int MOST_PERCENT = 130;
    private static final int STEP_PERCENT = 5;
    private static final double LEAST_OF_MINUTES = 0.8;
    private static final int WEEK = 7;
    private static final int MOST = 3;

    /** How one feels, in the words of the check-in. */
    public enum Feeling {
        FRESH,
        AS_USUAL,
        TIRED,
        UNWELL
    }

    /** A workout at a scale. @param lowestReserve J; empty when the model does not apply */
    public record Option(
            long id, int percent, Purpose purpose, int seconds, double load, OptionalDouble lowestReserve) {}

    /**
     * One answer. @param weekLoad of the 7 days to this evening, points @param breaks limits that this breaks and the
     * plan does not
     */
    public record Choice(Option option, Effect effect, double weekLoad) {}

    /**
     * @param replaced the session that the choices stand for; empty on a day without one
     * @param strained the mornings say so: nothing hard is among the choices
     * @param planned what the plan as it is comes to, and the load of its 7 days
     */
    public record Answer(
            Optional<Session> replaced, Effect planned, double plannedWeek, boolean strained, List<Choice> choices) {}

    private Instead() {}

    /**
     * The scale at which a workout takes the minutes, in steps of 5 %; empty when it cannot come within a fifth of
     * them.
     */
    public static OptionalInt percent(int seconds, int minutes) {
        if (seconds <= 0 || minutes <= 0) return OptionalInt.empty();
        int fits = (int) (6000.0 * minutes / seconds / STEP_PERCENT) * STEP_PERCENT;
        int percent = Math.min(MOST_PERCENT, fits);
        return percent >= LEAST_PERCENT && percent * (double) seconds >= LEAST_OF_MINUTES * minutes * 6000
                ? OptionalInt.of(percent)
                : OptionalInt.empty();
    }

    public static Answer of(Situation s, List<Option> options, Feeling feeling) {
        Optional<Session> replaced = s.ahead().stream()
                .filter(p -> p.day().equals(s.today()) && !p.pinned())
                .max(Comparator.comparingDouble(Session::load));
        Proposal asPlanned = Adjusting.preview(s, Trigger.Kind.READY, List.of());
        double week = s.behind().stream()
                .filter(b -> b.planned().day().isAfter(s.today().minusDays(WEEK)))
                .mapToDouble(b -> b.done().map(Situation.Done::load).orElse(0.0))
                .sum();
        double today = s.ahead().stream()
                .filter(p -> p.day().equals(s.today()))
                .mapToDouble(Session::load)
                .sum();
        double others = today - replaced.map(Session::load).orElse(0.0);
        boolean strained =
                Triggers.of(s, Plan.after(s, List.of())).stream().anyMatch(t -> t.kind() == Trigger.Kind.BODY);
        List<Purpose> usual = wanted(strained, replaced, feeling);
        List<Purpose> wanted = s.isKeptFresh(s.today()) ? fresh(usual, replaced) : usual;
        List<Choice> choices = new ArrayList<>();
        for (Option option : options) {
            if (!wanted.contains(option.purpose()) || option.lowestReserve().orElse(1) <= 0) continue;
            Proposal after = Adjusting.preview(s, Trigger.Kind.READY, changes(s, replaced, option));
            if (after.isNoWorse()) choices.add(new Choice(option, after.effect(), week + others + option.load()));
        }
        choices.sort(
                Comparator.comparingInt((Choice c) -> wanted.indexOf(c.option().purpose()))
                        .thenComparingDouble(c -> away(c.option(), replaced))
                        .thenComparing(c -> -c.option().id()));
        return new Answer(
                replaced,
                asPlanned.effect(),
                week + today,
                strained,
                List.copyOf(choices.subList(0, Math.min(MOST, choices.size()))));
    }

    /** How far its load lies from the one it replaces, as a ratio; without one the longest comes first. */
    private static double away(Option option, Optional<Session> replaced) {
        return replaced.filter(r -> r.load() > 0)
                .map(r -> Math.abs(Math.log(Math.max(1, option.load()) / r.load())))
                .orElse(-option.seconds() / 1e6);
    }

    /**
     * What serves today, the best first. Nothing hard for somebody tired, whose body is strained, or on a day of rest.
     */
    private static List<Purpose> wanted(boolean strained, Optional<Session> replaced, Feeling feeling) {
        if (feeling == Feeling.UNWELL) return List.of(Purpose.RECOVERY);
        Optional<Purpose> purpose = replaced.flatMap(r -> named(r.purpose()));
        if (feeling == Feeling.TIRED || strained) return List.of(Purpose.EASY, Purpose.RECOVERY);
        if (purpose.isEmpty())
            return feeling == Feeling.FRESH
                    ? List.of(Purpose.EASY, Purpose.LONG, Purpose.TEMPO)
                    : List.of(Purpose.EASY, Purpose.RECOVERY);
        return switch (purpose.get()) {
            case RECOVERY -> List.of(Purpose.RECOVERY, Purpose.EASY);
            case EASY, LONG -> List.of(purpose.get(), Purpose.EASY, Purpose.LONG);
            case OUTING, WAY_TO_WORK, STRENGTH -> List.of(Purpose.EASY);
            default -> List.of(purpose.get(), Purpose.EASY);
        };
    }

    /** Before an event nothing key is offered but what is planned for today itself. */
    private static List<Purpose> fresh(List<Purpose> wanted, Optional<Session> replaced) {
        Optional<Purpose> planned = replaced.flatMap(r -> named(r.purpose()));
        Set<Purpose> kept = new LinkedHashSet<>();
        for (Purpose p : wanted)
            if (planned.equals(Optional.of(p)) || p == Purpose.EASY || p == Purpose.RECOVERY) kept.add(p);
        return List.copyOf(kept);
    }

    private static Optional<Purpose> named(String purpose) {
        for (Purpose p : Purpose.values())
            if (p.name().equalsIgnoreCase(purpose.replace(' ', '_'))) return Optional.of(p);
        return Optional.empty();
    }

    private static List<Change> changes(Situation s, Optional<Session> replaced, Option option) {
        double hours = option.seconds() / 3600.0;
        boolean hard = option.purpose().isHard();
        return List.of(replaced.<Change>map(r -> new Change.Swap(r.id(), option.load(), hours, hard, "instead"))
                .orElseGet(
                        () -> new Change.Add(s.today(), Session.NOON, "ride", option.load(), hours, hard, "instead")));
    }
}
