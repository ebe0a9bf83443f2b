package pemblar.app.adjust;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pemblar.app.load.TrendService.Trend;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Situation;
import pemblar.core.load.LoadTrend;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What became of answered proposals: the chronic load that was forecast for a week later, with the proposal and without
 * it, against what it then was. It says how near the forecasts came, not whether the advice was good: nobody knows what
 * the other answer would have brought.
 */
public record Learning(List<Answered> answered, String sentence) {
    private static final int DAYS_LATER = 7;
    private static final double NEAR_POINTS = 2;

    /**
     * One that was taken, left or asked about.
     *
     * @param forecast chronic load on the morning a week later, by the answer that was given; null when it was not kept
     * @param other by the other answer; {@code came} what it was, null while that day is ahead
     */
    public record Answered(
            String answer,
            String what,
            String reason,
            String who,
            LocalDate day,
            Double forecast,
            Double other,
            Double came) {
        /** As it was given. @param effect what was kept with it, as JSON */
        record Given(String answer, String what, String reason, String who, LocalDate day, String effect) {}

        static Answered of(Given given, Trend trend) {
            String answer = given.answer();
            String effect = given.effect();
            LocalDate day = given.day();
            JsonNode kept = JsonMapper.shared().readTree(effect);
            boolean taken = answer.equals(AnswerStore.Kind.TAKEN.name());
            boolean changed = answer.equals(AnswerStore.Kind.CARRIED.name());
            LocalDate then = day.plusDays(DAYS_LATER);
            LoadTrend.Day morning = then.isAfter(trend.today()) ? null : trend.on(then);
            return new Answered(
                    changed ? "changed on the board" : answer.toLowerCase(Locale.ROOT),
                    given.what(),
                    given.reason(),
                    given.who(),
                    day,
                    changed ? null : figure(kept, taken ? "takenWeek" : "leaveWeek"),
                    changed ? null : figure(kept, taken ? "leaveWeek" : "takenWeek"),
                    morning == null ? null : (Double) morning.chronicBefore());
        }

        private static Double figure(JsonNode kept, String name) {
            return kept.path(name).isNumber() ? (Double) kept.path(name).asDouble() : null;
        }

        /** It was forecast, and its week is over. */
        public boolean isKnown() {
            return forecast != null && came != null;
        }

        boolean cameNear() {
            return Math.abs(came - forecast) <= NEAR_POINTS;
        }
    }

    static Learning of(List<Answered> answered) {
        return new Learning(answered, sentence(answered));
    }

    /** What is kept with an answer: the effects, and the chronic load a week later with and without it. */
    static Map<String, Object> effect(Shown shown, Situation situation, List<Change> changes) {
        Map<String, Object> kept = new LinkedHashMap<>();
        kept.put("taken", shown.effect());
        kept.put("leave", shown.leave());
        List<Double> taken = Adjusting.line(situation, changes);
        List<Double> leave = Adjusting.line(situation, List.of());
        if (taken.size() > DAYS_LATER) kept.put("takenWeek", taken.get(DAYS_LATER));
        if (leave.size() > DAYS_LATER) kept.put("leaveWeek", leave.get(DAYS_LATER));
        return kept;
    }

    private static String sentence(List<Answered> all) {
        List<Answered> known = all.stream()
                .filter(a -> a.isKnown() && !a.answer().equals("asked"))
                .toList();
        if (known.isEmpty()) return "";
        return "A week later, chronic load was within " + Math.round(NEAR_POINTS) + " points of its forecast after "
                + near(known, "taken") + " and " + near(known, "left") + ".";
    }

    private static String near(List<Answered> known, String answer) {
        List<Answered> like =
                known.stream().filter(a -> a.answer().equals(answer)).toList();
        return like.stream().filter(Answered::cameNear).count() + " of " + like.size() + " that were " + answer;
    }
}
