package pemblar.core.aerobic;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import pemblar.core.comparison.Student;

/**
 * The aerobic trend of one sport: ln(output / reserve fraction) = f(day) + surface + heat + drift + e, with f a
 * penalised line with a knot every 14 days as a mixed model (see {@link PenalisedFit}).
 *
 * @param weeks every 7 days from the first session: output at 70 % of reserve, on the commonest surface, cool and fresh
 * @param costs of surfaces, heat (a degree) and drift (an hour): 100 (1 - e^effect) percent, positive is slower
 * @param leftOut what could not be told, with why
 * @param adjusted output at 70 % of reserve of each session, as measured and as it would be in like conditions
 * @param commonest the surface that the others are told against; empty when nobody said
 * @param notEnough what is missing for a trend; empty when there is one
 */
public record AerobicTrend(
        List<Week> weeks,
        List<Cost> costs,
        List<LeftOut> leftOut,
        List<Adjusted> adjusted,
        String commonest,
        Optional<String> notEnough) {
    /** Names of the two conditions among the costs; every other name is a surface. */
    public static final String HEAT = "heat";

    public static final String DRIFT = "drift";
    public static final String UNSAID = "surface not said";
    public static final double RESERVE_SHARE = 0.7;
    public static final double COOL_CELSIUS = 15;
    private static final int FEWEST_SESSIONS = 8;
    private static final int FEWEST_MONTHS = 3;
    private static final int MONTH_DAYS = 30;
    private static final int FEWEST_TO_TELL = 4;
    /** Good and bad days last, of which the model does not know: what is said aloud asks for twice as rare a chance. */
    private static final int SAID_STRICTER = 2;

    private static final double LEAST_HOURS_SPREAD = 0.05;

    /** Output at 70 % of reserve with its 95 % band, W or m/s. */
    public record Week(LocalDate day, double value, double low, double high) {}

    /**
     * A cost in percent of output with its 95 % interval; positive is slower.
     *
     * @param told whether it is apart from nothing although so many are looked for at once, with every smoothing that
     *     the data leave possible: where none is there, about one trend in twenty says any (measured:
     *     {@code CostTruthTest})
     */
    public record Cost(String name, double percent, double low, double high, boolean told) {}

    /** A surface (with its sessions) or a condition that fewer than 4 sessions tell. */
    public record LeftOut(String name, String why) {}

    /** A session's output at 70 % of reserve. */
    public record Adjusted(String session, LocalDate day, double measured, double adjusted) {}

    /** A column of the fixed effects. */
    private record Effect(String name, ToDoubleFunction<SessionMean> value) {}

    public static AerobicTrend of(List<SessionMean> all) {
        List<LeftOut> leftOut = new ArrayList<>();
        List<SessionMean> sessions = withTold(all, leftOut).stream()
                .sorted(Comparator.comparing(SessionMean::day).thenComparing(SessionMean::id))
                .toList();
        Optional<String> missing = missing(sessions);
        if (missing.isPresent()) return nothing(leftOut, missing);
        List<Effect> effects = effects(sessions, leftOut);
        PenalisedFit fit = fit(sessions, effects);
        return new AerobicTrend(
                weeks(sessions, fit),
                costs(effects, fit),
                leftOut,
                adjusted(sessions, effects, fit),
                commonest(sessions),
                Optional.empty());
    }

    private static AerobicTrend nothing(List<LeftOut> leftOut, Optional<String> missing) {
        return new AerobicTrend(List.of(), List.of(), leftOut, List.of(), "", missing);
    }

    private static String commonest(List<SessionMean> sessions) {
        Map<String, Long> counts = sessions.stream()
                .collect(Collectors.groupingBy(SessionMean::surface, java.util.TreeMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .max(Map.Entry.<String, Long>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .map(Map.Entry::getKey)
                .orElse("");
    }

    /** A surface of fewer than 4 sessions goes with its sessions. */
    private static List<SessionMean> withTold(List<SessionMean> all, List<LeftOut> leftOut) {
        String usual = commonest(all);
        Map<String, Long> counts = all.stream()
                .collect(Collectors.groupingBy(SessionMean::surface, java.util.TreeMap::new, Collectors.counting()));
        counts.entrySet().removeIf(e -> e.getKey().equals(usual) || e.getValue() >= FEWEST_TO_TELL);
        counts.forEach((surface, count) -> leftOut.add(new LeftOut(
                surface.isEmpty() ? UNSAID : surface,
                count + " of " + FEWEST_TO_TELL + " sessions; they are left out with it")));
        return all.stream().filter(s -> !counts.containsKey(s.surface())).toList();
    }

    private static Optional<String> missing(List<SessionMean> sessions) {
        if (sessions.size() < FEWEST_SESSIONS)
            return Optional.of(sessions.size() + " of " + FEWEST_SESSIONS + " sessions"
                    + (months(sessions) < FEWEST_MONTHS
                            ? ", on " + months(sessions) + " of " + FEWEST_MONTHS + " dates a month apart"
                            : ""));
        return months(sessions) < FEWEST_MONTHS
                ? Optional.of(months(sessions) + " of " + FEWEST_MONTHS + " dates a month apart")
                : Optional.empty();
    }

    /** As many dates as lie a month apart from each other. */
    private static int months(List<SessionMean> sessions) {
        int count = 0;
        LocalDate last = null;
        for (SessionMean session : sessions) {
            if (last != null && session.day().isBefore(last.plusDays(MONTH_DAYS))) continue;
            last = session.day();
            count++;
        }
        return count;
    }

    private static List<Effect> effects(List<SessionMean> sessions, List<LeftOut> leftOut) {
        List<Effect> effects = new ArrayList<>();
        String usual = commonest(sessions);
        sessions.stream()
                .map(SessionMean::surface)
                .distinct()
                .filter(s -> !s.equals(usual))
                .sorted()
                .forEach(s -> effects.add(new Effect(
                        s.isEmpty() ? UNSAID : s, session -> session.surface().equals(s) ? 1 : 0)));
        long hot = sessions.stream().filter(s -> s.heat() > 0).count();
        if (hot >= FEWEST_TO_TELL) effects.add(new Effect(HEAT, SessionMean::heat));
        else leftOut.add(new LeftOut(HEAT, hot + " of " + FEWEST_TO_TELL + " sessions above 15 °C"));
        double mean =
                sessions.stream().mapToDouble(SessionMean::hours).average().orElse(0);
        long apart = sessions.stream()
                .filter(s -> Math.abs(s.hours() - mean) > LEAST_HOURS_SPREAD)
                .count();
        if (apart >= FEWEST_TO_TELL) effects.add(new Effect(DRIFT, SessionMean::hours));
        else leftOut.add(new LeftOut(DRIFT, "the sessions are of like length"));
        return effects;
    }

    private static PenalisedFit fit(List<SessionMean> sessions, List<Effect> effects) {
        double[] days = sessions.stream()
                .mapToDouble(s -> ChronoUnit.DAYS.between(sessions.get(0).day(), s.day()))
                .toArray();
        double[][] fixed = sessions.stream()
                .map(s -> effects.stream()
                        .mapToDouble(e -> e.value().applyAsDouble(s))
                        .toArray())
                .toArray(double[][]::new);
        double[] values = sessions.stream().mapToDouble(SessionMean::logOutput).toArray();
        double[] weights = sessions.stream().mapToDouble(SessionMean::pieces).toArray();
        return PenalisedFit.of(days, fixed, values, weights);
    }

    private static List<Week> weeks(List<SessionMean> sessions, PenalisedFit fit) {
        LocalDate first = sessions.get(0).day();
        long last =
                ChronoUnit.DAYS.between(first, sessions.get(sessions.size() - 1).day());
        double reach = Student.reach95(fit.freedom());
        List<Week> weeks = new ArrayList<>();
        for (long day = 0; day <= last; day += 7) {
            double log = fit.at(day);
            double error = reach * fit.errorAt(day);
            weeks.add(new Week(
                    first.plusDays(day),
                    RESERVE_SHARE * Math.exp(log),
                    RESERVE_SHARE * Math.exp(log - error),
                    RESERVE_SHARE * Math.exp(log + error)));
        }
        return weeks;
    }

    private static List<Cost> costs(List<Effect> effects, PenalisedFit fit) {
        double reach = Student.reach95(fit.freedom());
        double together = Student.reach95(fit.freedom(), SAID_STRICTER * Math.max(1, effects.size()));
        List<Cost> costs = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            double effect = fit.effect(i);
            double error = reach * fit.effectError(i);
            boolean told = Math.abs(effect) > together * fit.effectError(i) && fit.isApart(i, together);
            costs.add(new Cost(
                    effects.get(i).name(), percent(effect), percent(effect + error), percent(effect - error), told));
        }
        return costs;
    }

    private static double percent(double effect) {
        return 100 * (1 - Math.exp(effect));
    }

    private static List<Adjusted> adjusted(List<SessionMean> sessions, List<Effect> effects, PenalisedFit fit) {
        List<Adjusted> all = new ArrayList<>();
        for (SessionMean session : sessions) {
            double conditions = 0;
            for (int i = 0; i < effects.size(); i++)
                conditions += fit.effect(i) * effects.get(i).value().applyAsDouble(session);
            all.add(new Adjusted(
                    session.id(),
                    session.day(),
                    RESERVE_SHARE * Math.exp(session.logOutput()),
                    RESERVE_SHARE * Math.exp(session.logOutput() - conditions)));
        }
        return all;
    }
}
