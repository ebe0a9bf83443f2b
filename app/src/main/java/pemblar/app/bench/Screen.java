package pemblar.app.bench;

import java.util.Locale;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.benchunit.LiveUnit;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Pace;
import pemblar.formats.fit.FitNotes;
import pemblar.formats.fit.FitWorkout.FitStep;

/**
 * What the screen of a bench unit shows, all texts ready; a page only places them.
 *
 * @param place of the live value on the gauge, whose target band reaches from 0.4 to 0.6; null without a target
 * @param reserve null when the unit was told no critical power and W'
 * @param led whether a coach leads; then {@code cue} are fresh words of theirs, else empty, and {@code waits} says how
 *     long until it begins, else empty
 */
public record Screen(
        long sessionId,
        long athleteId,
        String clock,
        int speed,
        boolean finished,
        boolean paused,
        String number,
        String warning,
        int countdown,
        String bpm,
        String cadence,
        String driver,
        ReserveWords reserve,
        String step,
        String notes,
        String target,
        String live,
        String unit,
        String toGo,
        String toGoWords,
        String next,
        Double place,
        boolean led,
        String cue,
        String waits) {
    /** Slower than so many metres a second is standing. */
    private static final double STANDING = 0.2;

    /** A step as the device words it. */
    public record StepLine(String length, String target, String notes) {}

    static Screen of(LiveRides.State state) {
        LiveUnit.View v = state.view();
        FitStep step = v.step();
        boolean over = v.finished();
        ToGo left = over ? new ToGo("", "") : ToGo.of(v);
        LiveRides.Led led = state.led();
        return new Screen(
                state.sessionId(),
                state.athleteId(),
                clock(v.second()),
                state.speed(),
                over,
                v.paused(),
                v.number() + " of " + v.count(),
                v.warning().name(),
                v.countdown(),
                whole(v.bpm()),
                whole(v.cadence()),
                driver(v),
                v.reserve().map(ReserveWords::of).orElse(null),
                over ? "" : step.name().isEmpty() ? length(step) : step.name() + ", " + length(step),
                over ? "" : FitNotes.withoutReserve(step.notes()),
                over ? "" : target(step, state.sport(), v.low(), v.high()),
                over ? "–" : value(step.basis(), state.sport(), v.live()),
                over ? "" : unit(step.basis(), state.sport()),
                left.figure(),
                left.words(),
                over ? "" : next(v, state.sport()),
                over ? null : place(v),
                led != null,
                led == null ? "" : led.cue(),
                led == null || led.waits() == 0 ? "" : clock(led.waits()));
    }

    private static String driver(LiveUnit.View v) {
        return Double.isNaN(v.personWatts())
                ? "the simulated athlete drives"
                : "you drive: " + Math.round(v.personWatts()) + " W asked for";
    }

    private static String next(LiveUnit.View v, Sport sport) {
        if (v.next() == null) return "then it is done";
        StepLine line = line(v.next(), sport);
        return line.length() + " at " + line.target();
    }

    private static Double place(LiveUnit.View v) {
        if (Double.isNaN(v.low()) || Double.isNaN(v.live()) || v.high() <= v.low()) return null;
        double place = 0.4 + 0.2 * (v.live() - v.low()) / (v.high() - v.low());
        return Math.max(0, Math.min(1, place));
    }

    private static String whole(double value) {
        return Double.isNaN(value) ? "–" : String.valueOf(Math.round(value));
    }

    private static String value(Basis basis, Sport sport, double live) {
        if (Double.isNaN(live)) return "–";
        return basis == Basis.PACE
                ? live < STANDING ? "–" : Shown.speedFigure(sport, live)
                : String.valueOf(Math.round(live));
    }

    private static String unit(Basis basis, Sport sport) {
        return basis == null ? "W" : Shown.unit(basis.measure(), sport);
    }

    static StepLine line(FitStep step, Sport sport) {
        if (step.isRepeat())
            return new StepLine(
                    "repeat", step.times() + " times from step " + ((int) step.endValue() + 1), step.name());
        return new StepLine(
                (step.name().isEmpty() ? "" : step.name() + ", ") + length(step),
                target(step, sport, step.low(), step.high()),
                FitNotes.withoutReserve(step.notes()));
    }

    private static String target(FitStep step, Sport sport, double low, double high) {
        return step.basis() == null || Double.isNaN(low)
                ? "no target"
                : Shown.range(step.basis().measure(), sport, low, high);
    }

    private static String length(FitStep step) {
        return switch (step.ends()) {
            case TIME -> clock((int) step.endValue());
            case DISTANCE ->
                step.endValue() >= 2000
                        ? Units.mine().distance(step.endValue(), 1)
                        : Math.round(step.endValue()) + " m";
            case HEART_RATE_BELOW -> "until under " + Math.round(step.endValue()) + " bpm";
            case HEART_RATE_ABOVE -> "until over " + Math.round(step.endValue()) + " bpm";
            case LAP_KEY, REPEAT ->
                FitNotes.reserveOf(step.notes())
                        .map(end -> "until the reserve is " + (end.back() ? "above " : "below ") + end.percent() + " %")
                        .orElse("until the lap key");
        };
    }

    static String clock(int seconds) {
        return seconds >= 3600
                ? String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3600, seconds / 60 % 60, seconds % 60)
                : Pace.clock(seconds);
    }
}
