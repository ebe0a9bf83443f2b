package pemblar.core.matching;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pemblar.core.load.SteadyEquivalent;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.workout.Basis;
import pemblar.core.workout.PlannedStep;

/**
 * Finds the stretch of a recording that belongs to each planned step, and says how each went (computation, section 10).
 */
public final class StepMatching {
    private static final double TOLERANCE = 0.10;

    private StepMatching() {}

    /** How the stretches were found. */
    public enum Method {
        LAPS_WITH_STEP_INDEX,
        LAPS_IN_ORDER,
        PATTERN,
        BY_HAND,
        NONE
    }

    /** A planned step and the grid seconds [from, to) in which it was done. */
    public record Matched(PlannedStep step, int from, int to) {}

    public record Result(Method method, List<Matched> steps) {
        public Result {
            steps = List.copyOf(steps);
        }
    }

    /**
     * How one step went; NaN where the channel is missing.
     *
     * @param mean of the target's quantity
     * @param spread standard deviation over mean
     * @param shareInBand of the present seconds, 0..1
     * @param shareCadence of the present seconds inside the cadence band, 0..1
     */
    public record Done(
            int seconds,
            double mean,
            double equivalent,
            double spread,
            double shareInBand,
            double meanCadence,
            double shareCadence,
            double peakHeartRate,
            double endHeartRate) {}

    /**
     * Laps by their step index, else laps in order when count and lengths agree within 10 %, else the pattern of the
     * steps, else nothing.
     */
    public static Result match(List<PlannedStep> plan, Recording recording) {
        List<Lap> laps =
                recording.laps().stream().filter(lap -> lap.seconds() > 0).toList();
        if (laps.stream().anyMatch(lap -> lap.stepIndex() != Lap.NO_STEP)) return byStepIndex(plan, laps);
        Result ordered = inOrder(plan, laps);
        if (ordered.method() != Method.NONE) return ordered;
        return StepAlignment.of(plan, recording)
                .map(steps -> new Result(Method.PATTERN, steps))
                .orElse(ordered);
    }

    private static Result byStepIndex(List<PlannedStep> plan, List<Lap> laps) {
        List<Matched> matched = new ArrayList<>();
        int next = 0;
        for (Lap lap : laps) {
            int found = next;
            while (found < plan.size() && plan.get(found).flat().stepIndex() != lap.stepIndex()) found++;
            if (lap.stepIndex() == Lap.NO_STEP || found == plan.size()) continue;
            matched.add(new Matched(plan.get(found), lap.from(), lap.to()));
            next = found + 1;
        }
        return new Result(Method.LAPS_WITH_STEP_INDEX, matched);
    }

    private static Result inOrder(List<PlannedStep> plan, List<Lap> laps) {
        if (laps.size() != plan.size()) return new Result(Method.NONE, List.of());
        List<Matched> matched = new ArrayList<>();
        for (int i = 0; i < laps.size(); i++) {
            double planned = plan.get(i).seconds();
            if (Double.isFinite(planned) && Math.abs(laps.get(i).seconds() - planned) > TOLERANCE * planned)
                return new Result(Method.NONE, List.of());
            matched.add(new Matched(plan.get(i), laps.get(i).from(), laps.get(i).to()));
        }
        return new Result(Method.LAPS_IN_ORDER, matched);
    }

    public static Done done(Matched matched, Recording recording) {
        return done(matched.step(), matched.from(), matched.to(), recording);
    }

    /** @param step null for a stretch without a plan, which has no band */
    public static Done done(PlannedStep step, int from, int to, Recording recording) {
        Basis basis = step == null ? null : step.basis();
        Series target = channelOf(basis, recording).flatMap(recording::channel).orElse(null);
        Series cadence = recording.channel(Channel.CADENCE).orElse(null);
        Series heart = recording.channel(Channel.HEART_RATE).orElse(null);
        var band = step == null ? null : step.flat().step().cadence();
        double mean = target == null ? Double.NaN : target.mean(from, to);
        return new Done(
                to - from,
                mean,
                target == null ? Double.NaN : SteadyEquivalent.of(target.slice(from, to)),
                target == null ? Double.NaN : target.deviation(from, to) / mean,
                target == null || basis == null ? Double.NaN : shareInBand(target, step, from, to),
                cadence == null ? Double.NaN : cadence.mean(from, to),
                cadence == null || band == null
                        ? Double.NaN
                        : share(cadence, from, to, band.low(), band.high() == 0 ? 1e9 : band.high()),
                heart == null ? Double.NaN : heart.max(from, to),
                heart == null ? Double.NaN : heart.lastBefore(to));
    }

    /** The channel that a target is about; without a target power, else speed. Empty when the recording has neither. */
    static Optional<Channel> channelOf(Basis basis, Recording recording) {
        if (basis == Basis.HEART_RATE) return Optional.of(Channel.HEART_RATE);
        if (basis == Basis.PACE) return Optional.of(Channel.SPEED);
        if (basis == Basis.POWER) return Optional.of(Channel.POWER);
        return recording.has(Channel.POWER)
                ? Optional.of(Channel.POWER)
                : recording.has(Channel.SPEED) ? Optional.of(Channel.SPEED) : Optional.empty();
    }

    private static double shareInBand(Series values, PlannedStep step, int from, int to) {
        int inside = 0;
        for (int i = from; i < to; i++) {
            double share = (i + 0.5 - from) / (to - from);
            if (values.at(i) >= step.lowAt(share) && values.at(i) <= step.highAt(share)) inside++;
        }
        return (double) inside / values.present(from, to);
    }

    private static double share(Series values, int from, int to, double low, double high) {
        int inside = 0;
        for (int i = from; i < to; i++) if (values.at(i) >= low && values.at(i) <= high) inside++;
        return (double) inside / values.present(from, to);
    }
}
