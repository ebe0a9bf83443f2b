package pemblar.formats.ask;

import java.util.Map;
import java.util.Optional;
import pemblar.core.model.IntervalTarget;
import pemblar.core.model.Reserve;

/** The highest power for repetitions (computation, section 17). */
final class IntervalsTopic implements Topic {
    @Override
    public Map<String, Object> answer(byte[] input) {
        Fields in = Fields.read(input);
        Reserve model = new Reserve(
                in.number("criticalPower", "critical power in watts, e.g. 250", 1, 2000),
                in.number("wPrime", "W' in joules, e.g. 18000", 100, 200_000));
        IntervalTarget.Set set = set(in);
        IntervalTarget target = target(model, set);
        Optional<Fields> best = in.optionalObject("best", "an object with watts");
        if (best.isPresent() && set.repeats() > 1)
            throw new BadInput("best", "is only for one repeat; leave it out or give repeats 1");
        double most = best.map(b -> b.number("watts", "the best power over these seconds in watts", 1, 4000))
                .orElse(Double.POSITIVE_INFINITY);
        Optional<IntervalTarget.Errors> errors = errors(in);
        boolean byModel = target.watts() <= most;
        double power = byModel ? target.watts() : most;
        Map<String, Object> answer = Answer.of("power", power);
        if (errors.isPresent() && byModel) {
            double reach = reach(model, set, errors.get());
            answer.put("low", power - reach);
            answer.put("high", power + reach);
        }
        answer.put("lowestReserve", IntervalTarget.lowest(model, set, power));
        answer.put("from", byModel ? "model" : "best");
        return answer;
    }

    private static double reach(Reserve model, IntervalTarget.Set set, IntervalTarget.Errors errors) {
        try {
            return IntervalTarget.reach(model, set, errors);
        } catch (IllegalArgumentException e) {
            return Double.NaN;
        }
    }

    private static IntervalTarget.Set set(Fields in) {
        int repeats = in.whole("repeats", "how many repetitions, e.g. 6", 1, 1000);
        double seconds = in.number("seconds", "seconds of a repetition, e.g. 180", 1, 86_400);
        boolean one = repeats == 1;
        double rest = one
                ? in.number("restSeconds", "seconds of the rest", 0, 86_400, 0)
                : in.number("restSeconds", "seconds of the rest, e.g. 120", 0, 86_400);
        double watts = one
                ? in.number("restPower", "watts of the rest", 0, 2500, 0)
                : in.number("restPower", "watts of the rest, e.g. 110", 0, 2500);
        return new IntervalTarget.Set(
                repeats,
                seconds,
                rest,
                watts,
                in.number("reserveLeft", "the share of W' that is left, e.g. 0.1", 0, 0.999, 0.1));
    }

    private static IntervalTarget target(Reserve model, IntervalTarget.Set set) {
        try {
            return IntervalTarget.of(model, set);
        } catch (IllegalArgumentException e) {
            throw new BadInput("restPower", e.getMessage() + "; give a lower one, or fewer repeats");
        }
    }

    private static Optional<IntervalTarget.Errors> errors(Fields in) {
        double covariance = in.number("covariance", "the covariance of both in W J", -1e9, 1e9, 0);
        return in.optionalObject("standardErrors", "an object with criticalPower and wPrime")
                .map(e -> new IntervalTarget.Errors(
                        e.number("criticalPower", "its standard error in watts", 0, 2000),
                        e.number("wPrime", "its standard error in joules", 0, 200_000),
                        covariance));
    }
}
