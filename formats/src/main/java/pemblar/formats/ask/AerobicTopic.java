package pemblar.formats.ask;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pemblar.core.aerobic.AerobicTrend;
import pemblar.core.aerobic.SessionMean;

/** Output per heart beat compared like with like (computation, section 15): one row a piece. */
final class AerobicTopic implements Topic {
    private static final int MOST_ROWS = 500_000;
    private static final List<String> COLUMNS =
            List.of("session", "date", "surface", "temperature", "hours", "output", "reserveFraction");

    /** The pieces of one session as they come. */
    private static final class Sum {
        private final LocalDate day;
        private final Map<String, Integer> surfaces = new TreeMap<>();
        private double heat;
        private double hours;
        private double logOutput;
        private int pieces;

        Sum(LocalDate day) {
            this.day = day;
        }

        SessionMean mean(String id) {
            String surface = surfaces.entrySet().stream()
                    .max(Map.Entry.<String, Integer>comparingByValue()
                            .thenComparing(Map.Entry.comparingByKey(java.util.Comparator.reverseOrder())))
                    .orElseThrow()
                    .getKey();
            return new SessionMean(id, day, surface, heat / pieces, hours / pieces, logOutput / pieces, pieces);
        }
    }

    @Override
    public Map<String, Object> answer(byte[] input) {
        Map<String, Sum> sums = new LinkedHashMap<>();
        Rows.read(
                input,
                COLUMNS,
                List.of("session", "date", "surface", "hours", "output", "reserveFraction"),
                MOST_ROWS,
                row -> read(row, sums));
        List<SessionMean> sessions = new ArrayList<>();
        sums.forEach((id, sum) -> sessions.add(sum.mean(id)));
        LocalDate first = sessions.stream()
                .map(SessionMean::day)
                .min(LocalDate::compareTo)
                .orElseThrow();
        if (sessions.stream().anyMatch(s -> s.day().isAfter(first.plusYears(3))))
            throw new BadInput("date", "the sessions span more than 3 years; give at most 3 years");
        return written(AerobicTrend.of(sessions));
    }

    private static void read(Rows.Row row, Map<String, Sum> sums) {
        String id = row.required("session", "the session's name");
        LocalDate day = row.day("date");
        Sum sum = sums.computeIfAbsent(id, k -> new Sum(day));
        if (!sum.day.equals(day))
            throw new BadInput(row.place("date"), "session " + id + " has another date above; give one date a session");
        double temperature = row.number("temperature", -60, 70);
        sum.surfaces.merge(row.text("surface"), 1, Integer::sum);
        sum.heat += Double.isNaN(temperature) ? 0 : Math.max(0, temperature - AerobicTrend.COOL_CELSIUS);
        sum.hours += row.requiredNumber("hours", "hours into the session", 0, 240);
        double output = row.requiredNumber("output", "output in W or m/s", 1e-6, 5000);
        sum.logOutput +=
                Math.log(output / row.requiredNumber("reserveFraction", "the fraction of heart-rate reserve", 0.01, 2));
        sum.pieces++;
    }

    private static Map<String, Object> written(AerobicTrend trend) {
        List<Object> weeks = new ArrayList<>();
        for (AerobicTrend.Week w : trend.weeks())
            weeks.add(Answer.of("day", w.day().toString(), "value", w.value(), "low", w.low(), "high", w.high()));
        List<Object> costs = new ArrayList<>();
        for (AerobicTrend.Cost c : trend.costs())
            costs.add(Answer.of("name", c.name(), "percent", c.percent(), "low", c.low(), "high", c.high()));
        List<Object> leftOut = new ArrayList<>();
        for (AerobicTrend.LeftOut l : trend.leftOut()) leftOut.add(Answer.of("name", l.name(), "why", l.why()));
        Map<String, Object> answer = Answer.of("weeks", weeks, "costs", costs, "leftOut", leftOut);
        trend.notEnough().ifPresent(text -> answer.put("notEnough", text));
        return answer;
    }
}
