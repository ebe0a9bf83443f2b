package pemblar.app.bench;

import java.util.Optional;
import pemblar.benchunit.LiveUnit;
import pemblar.benchunit.ReserveGauge;
import pemblar.core.workout.Length;
import pemblar.formats.fit.FitNotes;
import pemblar.formats.fit.FitWorkout.FitStep;

/** What is left of a step: a short figure, and what it is of. */
record ToGo(String figure, String words) {
    static ToGo of(LiveUnit.View view) {
        FitStep step = view.step();
        return switch (step.ends()) {
            case TIME -> new ToGo(Screen.clock((int) Math.round(view.toGo())), "to go");
            case DISTANCE -> new ToGo(Math.round(view.toGo()) + " m", "to go");
            case HEART_RATE_BELOW -> new ToGo("< " + Math.round(step.endValue()), "bpm ends it");
            case HEART_RATE_ABOVE -> new ToGo("> " + Math.round(step.endValue()), "bpm ends it");
            case LAP_KEY, REPEAT -> open(step, view.reserve());
        };
    }

    private static ToGo open(FitStep step, Optional<ReserveGauge.View> reserve) {
        Optional<Length.ReserveAt> end = FitNotes.reserveOf(step.notes());
        if (end.isEmpty()) return new ToGo("lap", "key ends it");
        String to = (end.get().back() ? "up to " : "down to ") + end.get().percent() + " % of the reserve";
        return reserve.map(now -> new ToGo(Math.round(now.share() * 100) + " %", to))
                .orElse(new ToGo("lap", to + ": the unit knows no W′, so the lap key ends it"));
    }
}
