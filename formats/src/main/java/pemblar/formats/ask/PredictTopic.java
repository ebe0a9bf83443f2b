package pemblar.formats.ask;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import pemblar.core.prediction.Prediction;
import pemblar.core.prediction.Range;
import pemblar.core.prediction.Result;

/** Predicted results (computation, section 16). */
final class PredictTopic implements Topic {
    private static final int MOST = 2000;

    @Override
    public Map<String, Object> answer(byte[] input) {
        Fields in = Fields.read(input);
        LocalDate today = in.day("today");
        boolean run = in.choice("sport", List.of("run", "ride")).equals("run");
        Range threshold = threshold(in.object("threshold", "an object with value, e.g. {\"value\": 4.2}"), run);
        List<Result> results = results(in, today, run);
        Range k = exponent(in, results, run);
        Prediction.Basis basis = new Prediction.Basis(today, threshold, k, results);
        String asked = run ? "metres" : "seconds";
        double[] over = in.numbers(
                asked,
                run ? "a distance in metres, e.g. 10000" : "a duration of 20 min or more in seconds, e.g. 3600",
                MOST,
                run ? 1 : 1200,
                run ? 1e6 : 864_000);
        if (over.length == 0)
            throw new BadInput(asked, "missing; give a list, e.g. " + (run ? "[10000, 21097]" : "[1800, 3600]"));
        List<Map<String, Object>> predictions = new ArrayList<>();
        for (double value : over)
            predictions.add(written(
                    run, value, run ? Prediction.overMetres(basis, value) : Prediction.overSeconds(basis, value)));
        return Answer.of("k", k.value(), "predictions", predictions);
    }

    private static Map<String, Object> written(boolean run, double asked, Prediction p) {
        Map<String, Object> leansOn = p.leansOn()
                .map(r -> Answer.of("date", r.day().toString(), "seconds", r.seconds()))
                .orElse(null);
        return Answer.of(
                run ? "metres" : "seconds",
                asked,
                run ? "seconds" : "watts",
                p.value(),
                "low",
                p.low(),
                "high",
                p.high(),
                "leansOn",
                leansOn,
                "outside",
                p.outside());
    }

    private static Range threshold(Fields in, boolean run) {
        String what = run ? "threshold speed in m/s, e.g. 4.2" : "threshold power in watts, e.g. 250";
        double least = run ? 0.5 : 10;
        double most = run ? 12 : 2000;
        double value = in.number("value", what, least, most);
        return new Range(
                value,
                in.number("low", what + ", at most value", least, value, value),
                in.number("high", what + ", at least value", value, most, value));
    }

    private static Range exponent(Fields in, List<Result> results, boolean run) {
        if (!in.has("k")) {
            OptionalDouble own = Prediction.exponent(results);
            if (own.isEmpty() && run)
                throw new BadInput(
                        "k",
                        "missing; give the endurance exponent, e.g. {\"value\": 0.06}, or three efforts of 20 "
                                + "min to 4 h that span a factor of 3");
            double value = own.orElse(Prediction.RIDE_EXPONENT);
            if (!(Math.abs(value) < 0.45)) throw new BadInput("efforts", "give an exponent of " + value + "; give k");
            return Range.about(value, Prediction.USUAL_REACH);
        }
        Fields k = in.object("k", "an object with value, e.g. {\"value\": 0.06}");
        double value = k.number("value", "the endurance exponent, e.g. 0.06", -0.4, 0.4);
        double low = k.number("low", "at most value", -0.45, value, value - Prediction.USUAL_REACH);
        return new Range(value, low, k.number("high", "at least value", value, 0.45, value + Prediction.USUAL_REACH));
    }

    private static List<Result> results(Fields in, LocalDate today, boolean run) {
        List<Result> results = new ArrayList<>();
        for (Fields effort : in.objects("efforts", MOST)) {
            LocalDate day = effort.day("date");
            if (day.isAfter(today))
                throw new BadInput(effort.place("date"), day + " lies after today; give a day up to " + today);
            double seconds = effort.number("seconds", "its duration in seconds", 1, 864_000);
            double level = run
                    ? effort.number("metres", "its distance in metres", 1, 1e7) / seconds
                    : effort.number("watts", "its mean power in watts", 1, 4000);
            if (run && level > 12)
                throw new BadInput(effort.place("metres"), "gives " + level + " m/s; give at most 12 m/s");
            results.add(new Result(day, seconds, level));
        }
        return results;
    }
}
