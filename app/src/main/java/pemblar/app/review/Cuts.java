package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.session.reading.SessionService;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.matching.StepMatching.Method;
import pemblar.core.matching.Stretches;
import pemblar.core.matching.Stretches.One;
import pemblar.core.recording.Recording;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;

/**
 * How a session is cut into stretches: by hand, by its plan, or by its laps.
 *
 * @param plan the planned steps, empty without a plan or without a threshold that it needs
 * @param where how the stretches were found; NONE with laps, or without any
 */
public record Cuts(Recording recording, List<PlannedStep> plan, Method where, Stretches stretches) {
    public static Cuts of(SessionService.Opened opened) {
        Recording recording = opened.recording().orElseThrow();
        List<PlannedStep> plan = plan(opened);
        if (opened.described().stretches().isPresent())
            return new Cuts(recording, plan, Method.BY_HAND, shifted(opened, recording, plan.size()));
        StepMatching.Result result =
                plan.isEmpty() ? new StepMatching.Result(Method.NONE, List.of()) : StepMatching.match(plan, recording);
        if (result.method() == Method.NONE) return new Cuts(recording, plan, Method.NONE, laps(recording));
        return new Cuts(
                recording,
                plan,
                result.method(),
                Stretches.apart(
                        recording.seconds(),
                        result.steps().stream()
                                .map(m -> new One(m.from(), m.to(), plan.indexOf(m.step()), false))
                                .toList()));
    }

    private static List<PlannedStep> plan(SessionService.Opened opened) {
        if (opened.workout().isEmpty()) return List.of();
        try {
            return Plan.resolve(opened.workout().get(), opened.zones());
        } catch (IllegalArgumentException e) {
            return List.of(); // a threshold is missing; the page says which
        }
    }

    /** From seconds of the original to those that are left; what was trimmed away goes. */
    private static Stretches shifted(SessionService.Opened opened, Recording recording, int steps) {
        List<One> all = new ArrayList<>();
        for (One one : opened.described().stretches().orElseThrow())
            all.add(new One(
                    Math.max(0, one.from() - opened.trimmed()),
                    one.to() - opened.trimmed(),
                    one.step() < steps ? one.step() : Stretches.NO_STEP,
                    one.ignored()));
        return Stretches.apart(recording.seconds(), all);
    }

    private static Stretches laps(Recording recording) {
        return Stretches.apart(
                recording.seconds(),
                recording.laps().stream()
                        .map(l -> new One(l.from(), l.to(), Stretches.NO_STEP, false))
                        .toList());
    }

    /** Steps of the plan that were done and count. */
    public StepMatching.Result matched() {
        return new StepMatching.Result(
                where,
                stretches.all().stream()
                        .filter(o -> o.step() >= 0 && !o.ignored())
                        .map(o -> new Matched(plan.get(o.step()), o.from(), o.to()))
                        .toList());
    }

    /** The same stretches in seconds of the original, as they are stored. */
    public static Stretches stored(Stretches shown, SessionService.Opened opened) {
        return new Stretches(
                opened.originalSeconds(),
                shown.all().stream()
                        .map(o ->
                                new One(o.from() + opened.trimmed(), o.to() + opened.trimmed(), o.step(), o.ignored()))
                        .toList());
    }
}
