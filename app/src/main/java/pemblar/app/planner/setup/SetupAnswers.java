package pemblar.app.planner.setup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.change.SketchService.Existing;
import pemblar.core.sport.Sport;

/**
 * What the guided set-up asked.
 *
 * @param day of the event, or null when it is to be suggested
 * @param seconds target time of the event, or null
 * @param result distance and time of a recent result; null without one
 * @param loads loads of blocks changed in the review, by their first day
 * @param shares percent of the time of each sport; empty for the event's sport alone
 * @param existing what becomes of sessions that blocks hold already, by their first day
 */
record SetupAnswers(
        Sport sport,
        String event,
        SeasonEvent.Kind kind,
        Double metres,
        Integer seconds,
        LocalDate day,
        double presentHours,
        Result result,
        List<Integer> minutes,
        DayOfWeek longDay,
        boolean stacked,
        Map<LocalDate, Double> loads,
        Map<Sport, Integer> shares,
        Map<LocalDate, Existing> existing) {
    private static final int LATEST_DAYS = 700;
    private static final int EARLIEST_DAYS = 21;

    /** A recent result. */
    record Result(double metres, int seconds) {}

    int weeklyMinutes() {
        return minutes.stream().mapToInt(Integer::intValue).sum();
    }

    /** @throws IllegalArgumentException naming the field, what was found and what is accepted */
    static SetupAnswers read(Map<String, String> typed, LocalDate today) {
        String event = typed.getOrDefault("event", "").strip();
        if (event.isEmpty() || event.length() > 80)
            throw new IllegalArgumentException("Event: enter its name, 1 to 80 characters.");
        Double metres = blank(typed, "kilometres")
                ? null
                : (Double) Units.mine().metres("Distance", typed.get("kilometres"), 100, 5_000_000);
        Integer seconds = blank(typed, "time")
                ? null
                : (Integer) Typed.seconds("Target time or duration", typed.get("time"), 60, 864_000);
        if (metres == null && seconds == null)
            throw new IllegalArgumentException("Distance or duration: enter one of the two, or both.");
        LocalDate day = blank(typed, "day") ? null : Typed.day("Day", typed.get("day"));
        if (day != null && day.isBefore(today.plusDays(EARLIEST_DAYS)))
            throw new IllegalArgumentException("Day: " + day + " is too near for a season; the nearest possible is "
                    + today.plusDays(EARLIEST_DAYS) + ".");
        if (day != null && day.isAfter(today.plusDays(LATEST_DAYS)))
            throw new IllegalArgumentException(
                    "Day: " + day + " is too far; the farthest possible is " + today.plusDays(LATEST_DAYS) + ".");
        List<Integer> minutes = minutes(typed);
        DayOfWeek longDay =
                blank(typed, "longDay") ? null : DayOfWeek.of(Typed.whole("Long session", typed.get("longDay"), 1, 7));
        if (longDay != null && minutes.get(longDay.getValue() - 1) == 0)
            throw new IllegalArgumentException(
                    "Long session: its day has no minutes; choose a day that can be trained.");
        return new SetupAnswers(
                sport(typed),
                event,
                SeasonEvent.Kind.valueOf(typed.getOrDefault("kind", "RACE")),
                metres,
                seconds,
                day,
                Typed.number("Present hours a week", typed.getOrDefault("presentHours", "0"), 0, 60),
                result(typed),
                minutes,
                longDay,
                typed.containsKey("stacked"),
                loads(typed),
                shares(typed),
                existing(typed));
    }

    private static Sport sport(Map<String, String> typed) {
        try {
            return Sport.valueOf(typed.getOrDefault("sport", ""));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("Sport: choose one of the list.");
        }
    }

    private static List<Integer> minutes(Map<String, String> typed) {
        List<Integer> minutes = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            String name = day.name().charAt(0) + day.name().substring(1).toLowerCase(java.util.Locale.ROOT);
            minutes.add(
                    blank(typed, "minutes" + day.getValue())
                            ? 0
                            : Typed.whole(name, typed.get("minutes" + day.getValue()), 0, 840));
        }
        int usable = (int) minutes.stream().filter(m -> m >= 30).count();
        if (usable < 2)
            throw new IllegalArgumentException("Days: with " + (usable == 0 ? "no day" : "one day")
                    + " of at least 30 minutes nothing can be planned; give at least two days 30 minutes or more.");
        return minutes;
    }

    private static Result result(Map<String, String> typed) {
        if (blank(typed, "resultKilometres") && blank(typed, "resultTime")) return null;
        return new Result(
                Units.mine().metres("Distance of the recent result", typed.get("resultKilometres"), 100, 1_000_000),
                Typed.seconds("Time of the recent result", typed.get("resultTime"), 60, 864_000));
    }

    private static Map<LocalDate, Double> loads(Map<String, String> typed) {
        Map<LocalDate, Double> loads = new TreeMap<>();
        typed.forEach((name, value) -> {
            if (name.startsWith("load-") && !value.equals(typed.get("was-" + name.substring(5))))
                loads.put(
                        Typed.day("Block", name.substring(5)),
                        Typed.number("Load of the block of " + name.substring(5), value, 0, 10_000));
        });
        return loads;
    }

    private static Map<Sport, Integer> shares(Map<String, String> typed) {
        Map<Sport, Integer> shares = new TreeMap<>();
        for (Sport sport : Sport.TRAINED)
            if (!blank(typed, "share" + sport))
                shares.put(sport, Typed.whole("Share of " + sport.doing(), typed.get("share" + sport), 0, 100));
        int sum = shares.values().stream().mapToInt(Integer::intValue).sum();
        if (sum > 0 && sum != 100)
            throw new IllegalArgumentException(
                    "Shares of the sports: they come to " + sum + " %; make them 100, or leave all empty.");
        return sum == 0 ? Map.of() : shares;
    }

    private static Map<LocalDate, Existing> existing(Map<String, String> typed) {
        Map<LocalDate, Existing> existing = new TreeMap<>();
        typed.forEach((name, value) -> {
            if (name.startsWith("existing-") && value.matches("AROUND|REPLACE|KEEP"))
                existing.put(Typed.day("Block", name.substring(9)), Existing.valueOf(value));
        });
        return existing;
    }

    private static boolean blank(Map<String, String> typed, String name) {
        return typed.getOrDefault(name, "").isBlank();
    }
}
