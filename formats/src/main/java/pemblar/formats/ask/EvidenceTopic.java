package pemblar.formats.ask;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pemblar.core.evidence.Combination;
import pemblar.core.evidence.Methods;
import pemblar.core.evidence.Piece;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Quantity;

/** Evidence for thresholds combined (computation, section 7). */
final class EvidenceTopic implements Topic {
    private static final int MOST = 2000;
    private static final int MOST_STEPS = 100_000;
    private static final String BOTH = "both";
    private static final Map<String, Quantity> QUANTITIES = quantities();

    private static Map<String, Quantity> quantities() {
        Map<String, Quantity> all = new LinkedHashMap<>();
        all.put("thresholdPower", Quantity.THRESHOLD_POWER);
        all.put("thresholdSpeed", Quantity.THRESHOLD_SPEED);
        all.put("thresholdHeartRate", Quantity.THRESHOLD_HEART_RATE);
        all.put("criticalPower", Quantity.CRITICAL_POWER);
        all.put("wPrime", Quantity.W_PRIME);
        return all;
    }

    @Override
    public Map<String, Object> answer(byte[] input) {
        Fields in = Fields.read(input);
        LocalDate today = in.day("today");
        String sport = in.text("sport", "a sport, e.g. ride");
        List<Piece> pieces = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Fields fields : in.objects("pieces", MOST)) {
            Piece piece = piece(fields, sport, today);
            if (!ids.add(piece.id()))
                throw new BadInput(fields.place("id"), piece.id() + " stands twice; give each piece an id of its own");
            pieces.add(piece);
        }
        try {
            return written(
                    pieces,
                    Combination.of(pieces, today, in.optional("wPrime", "W' in joules, e.g. 18000", 100, 200_000)));
        } catch (Combination.NoReserve e) {
            throw new BadInput("wPrime", "missing; a session below zero needs W' in joules, e.g. 18000");
        }
    }

    private static Piece piece(Fields f, String sport, LocalDate today) {
        String id = f.text("id", "an id");
        LocalDate day = f.day("date");
        if (day.isAfter(today))
            throw new BadInput(f.place("date"), day + " lies after today; give a day up to " + today);
        boolean recorded = f.choice("source", List.of("recording", "typed")).equals("recording");
        String method = f.text("method", "a method, e.g. 20 min test");
        List<String> choices = new ArrayList<>(QUANTITIES.keySet());
        choices.add(BOTH);
        String quantity = f.choice("quantity", choices);
        Piece.Says says = says(f, method, quantity, sport);
        boolean cutShort = recorded
                && method.equals("20 min test")
                && f.has("power")
                && f.number("secondsAfter", "seconds that the recording goes on", 0, 864_000, Double.POSITIVE_INFINITY)
                        < Methods.LEAST_SECONDS_AFTER;
        return new Piece(id, day, recorded, says, efforts(f, says, day), cutShort);
    }

    private static Piece.Says says(Fields f, String method, String quantity, String sport) {
        try {
            if (method.equals("two-effort test")) return twoEfforts(f, quantity);
            if (method.equals("best efforts") && quantity.equals(BOTH)) return bestEfforts(f);
            if (method.equals("reserve below zero") && f.has("steps")) return floor(f, quantity);
            if (f.has("best")) return value(f, quantity);
            if (method.equals("20 min test")) return twentyMinutes(f, quantity);
            if (method.equals("race")) return race(f, quantity, sport);
        } catch (IllegalArgumentException e) {
            throw new BadInput(f.place("method"), method + ": " + e.getMessage());
        }
        throw new BadInput(f.place("best"), "missing; give best, low and high");
    }

    private static void only(Fields f, String quantity, String right) {
        if (!quantity.equals(right)) throw f.wrong("quantity", quantity, right + " with this method");
    }

    private static Piece.Says value(Fields f, String quantity) {
        if (quantity.equals(BOTH)) throw f.wrong("quantity", quantity, "one quantity beside best, low and high");
        double best = f.number("best", "the best value", 1e-6, 999_999);
        double low = f.number("low", "the low end of its range, at most best", 1e-6, best);
        return new Piece.Value(
                QUANTITIES.get(quantity),
                best,
                low,
                f.number("high", "the high end of its range, at least best", best, 999_999));
    }

    private static Piece.Says twentyMinutes(Fields f, String quantity) {
        only(f, quantity, "thresholdPower");
        double watts = f.number("power", "the mean power in watts", 1, 4000);
        f.number("seconds", "seconds of the test, e.g. 1200", 600, 2400);
        return Methods.twentyMinutes(
                watts, f.number("factor", "the factor, e.g. 0.95", 0.90, 0.97, Methods.TWENTY_MINUTES_FACTOR));
    }

    private static Piece.Says race(Fields f, String quantity, String sport) {
        boolean power = f.has("power") || !f.has("speed");
        double level = power
                ? f.number("power", "the mean power in watts, or speed in m/s", 1, 4000)
                : f.number("speed", "the mean speed in m/s", 0.1, 40);
        only(f, quantity, power ? "thresholdPower" : "thresholdSpeed");
        double seconds = f.number("seconds", "seconds of the race", 60, 864_000);
        String what = "the endurance exponent, e.g. 0.06";
        double k = sport.equals("ride")
                ? f.number("k", what, -0.1, 0.3, Methods.RIDE_EXPONENT)
                : f.number("k", what, -0.1, 0.3);
        return power ? Methods.raceByPower(level, seconds, k) : Methods.raceBySpeed(level, seconds, k);
    }

    private static Piece.Says twoEfforts(Fields f, String quantity) {
        only(f, quantity, BOTH);
        double[][] efforts = f.pairs("efforts", "[[watts, seconds], [watts, seconds]]", 2, 1, 86_400);
        if (efforts.length != 2)
            throw f.wrong("efforts", efforts.length + " efforts", "two: [[watts, seconds], [watts, seconds]]");
        return Methods.twoEfforts(efforts[0][0], efforts[0][1], efforts[1][0], efforts[1][1]);
    }

    private static Piece.Says bestEfforts(Fields f) {
        String what = "[[W^2, W J], [W J, J^2]]";
        double watts = f.number("criticalPower", "critical power in watts", 1, 4000);
        double joules = f.number("wPrime", "W' in joules", 1, 999_999);
        double[][] covariance = f.pairs("covariance", what, 2, -1e15, 1e15);
        if (covariance.length != 2
                || Math.abs(covariance[0][1] - covariance[1][0]) > 1e-6 * Math.max(1, Math.abs(covariance[0][1])))
            throw f.wrong("covariance", "this", "a symmetric " + what);
        return new Piece.Both(watts, joules, covariance[0][0], covariance[0][1], covariance[1][1]);
    }

    private static Piece.Says floor(Fields f, String quantity) {
        only(f, quantity, "criticalPower");
        List<Piece.Floor.Step> steps = new ArrayList<>();
        for (double[] step : f.pairs("steps", "[[watts, seconds], ...]", MOST_STEPS, 0, 864_000))
            steps.add(new Piece.Floor.Step(step[0], step[1]));
        if (steps.isEmpty()) throw f.wrong("steps", "none", "[[watts, seconds], ...]");
        return new Piece.Floor(steps);
    }

    /** What a piece rests on: its one effort, the two of a test, or those of a fit where they are given. */
    private static List<AllOut> efforts(Fields f, Piece.Says says, LocalDate day) {
        if (f.has("effort")) return effort(f.object("effort", "an object with watts and seconds"), day);
        if (!(says instanceof Piece.Both)) return effort(f, day);
        List<AllOut> all = new ArrayList<>();
        if (f.has("criticalPower")) {
            for (Fields one : f.has("efforts") ? f.objects("efforts", MOST) : List.<Fields>of())
                all.addAll(effort(one, one.has("date") ? one.day("date") : day));
        } else {
            for (double[] one : f.pairs("efforts", "[[watts, seconds], [watts, seconds]]", 2, 1, 86_400))
                all.add(new AllOut(day, one[0], one[1]));
        }
        return all;
    }

    private static List<AllOut> effort(Fields of, LocalDate day) {
        String level = of.has("watts") ? "watts" : of.has("power") ? "power" : "speed";
        if (!of.has(level) || !of.has("seconds")) return List.of();
        return List.of(new AllOut(
                day,
                of.number(level, "its mean power or speed", 1e-6, 4000),
                of.number("seconds", "its seconds", 1, 864_000)));
    }

    private static Map<String, Object> written(List<Piece> pieces, Combination c) {
        List<Object> values = new ArrayList<>();
        for (Piece piece : pieces) values.add(written(piece, c));
        Map<String, Object> suggestion = new LinkedHashMap<>();
        QUANTITIES.forEach((name, quantity) -> {
            Combination.Suggested s = c.suggestions().get(quantity);
            if (s != null) suggestion.put(name, Answer.of("value", s.value(), "sd", s.sd()));
        });
        List<String> contradicting = QUANTITIES.entrySet().stream()
                .filter(e -> c.contradicting().contains(e.getValue()))
                .map(Map.Entry::getKey)
                .toList();
        Map<String, Object> answer = Answer.of(
                "pieces",
                values,
                "suggestion",
                suggestion,
                "contradiction",
                !contradicting.isEmpty(),
                "contradicting",
                contradicting,
                "groups",
                c.groups());
        if (c.floor().isPresent()) answer.put("floor", c.floor().getAsDouble());
        answer.put("sameEffort", c.sameEffort());
        answer.put("leftOut", c.leftOut());
        return answer;
    }

    private static Map<String, Object> written(Piece piece, Combination c) {
        if (piece.says() instanceof Piece.Both both)
            return Answer.of(
                    "id",
                    piece.id(),
                    "criticalPower",
                    both.watts(),
                    "wPrime",
                    both.joules(),
                    "low",
                    both.low(),
                    "high",
                    both.high());
        if (piece.says() instanceof Piece.Value value)
            return Answer.of("id", piece.id(), "best", value.best(), "low", value.low(), "high", value.high());
        return Answer.of(
                "id",
                piece.id(),
                "best",
                c.floors().get(piece.id()),
                "low",
                c.floors().get(piece.id()),
                "high",
                null);
    }
}
