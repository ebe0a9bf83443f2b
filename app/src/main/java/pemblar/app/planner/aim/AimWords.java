package pemblar.app.planner.aim;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import pemblar.app.planner.SeasonPlanner;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.core.season.Limit;
import pemblar.core.season.Priority;
import pemblar.core.season.Season.Outcome;

/** Whether an aim can be met, in words. */
public final class AimWords {
    private AimWords() {}

    /**
     * In a sentence: the aim and whether it is met, or what is in the way and the nearest aim that is possible.
     *
     * @param held what it was asked for
     */
    public static String sentence(Outcome outcome, Held held, LocalDate today) {
        String unit = switch (outcome.aim().kind()) {
            case WEEKLY_HOURS -> " hours a week";
            case WEEKLY_LOAD -> " load a week";
            case CHRONIC_LOAD ->
                " chronic load on the morning of " + morning(held, SeasonPlanner.firstAnew(held, today));
        };
        if (outcome.met()) return "The aim of " + number(outcome.aim().value()) + unit + " can be met.";
        return "The aim of " + number(outcome.aim().value()) + unit + " cannot be met: " + why(outcome.binding())
                + ". The nearest possible is " + number(outcome.nearest()) + ".";
    }

    /** Which morning a chronic load is aimed at: the last A event's, where there are some. */
    private static String morning(Held held, LocalDate from) {
        List<SeasonEvent> aims = held.events().stream()
                .filter(e -> e.priority() == Priority.A && !e.last().isBefore(from))
                .sorted(Comparator.comparing(SeasonEvent::day))
                .toList();
        if (aims.isEmpty()) return "the last day";
        return aims.size() == 1
                ? "the A event"
                : "the last A event, " + aims.get(aims.size() - 1).name() + ",";
    }

    private static String why(List<Limit> binding) {
        if (binding.isEmpty()) return "the days themselves do not allow it";
        boolean one = binding.equals(List.of(Limit.BUILD_RATE));
        return binding.stream().map(AimWords::named).collect(Collectors.joining(" and "))
                + (one ? " is in the way" : " are in the way");
    }

    private static String named(Limit limit) {
        return switch (limit) {
            case HOURS -> "the hours available";
            case BUILD_RATE -> "the highest build rate";
            case AWAY -> "days away";
            case PINS -> "pinned blocks";
            case EASY -> "the easy blocks";
            case TAPER -> "tapers and recovery";
        };
    }

    private static String number(double value) {
        return value < 30
                ? String.format(java.util.Locale.ROOT, "%.1f", value).replace(".0", "")
                : String.valueOf(Math.round(value));
    }
}
