package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.StepMatching.Done;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.recording.Recording;
import pemblar.core.workout.Basis;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;

/** Planned against done, a line for each step. */
record StepTable(String how, String unit, List<Line> lines) {
    /** How far left and right of its band a mean is drawn, in widths of the band. */
    private static final double BAND_FROM = 30;
    private static final double BAND_TO = 70;

    /** {@code markX} is the mean on a strip of 100 in which the band runs from 30 to 70; NaN figures show as a dash. */
    record Line(int number, String step, String target, double plannedSeconds, Done done, double targetLow, double targetHigh, double markX, int from, int to, boolean pace, boolean hasBand) {}

    static StepTable of(StepMatching.Result result, Recording recording) {
        List<Line> lines = new ArrayList<>();
        for (Matched matched : result.steps()) lines.add(line(lines.size() + 1, matched, StepMatching.done(matched, recording)));
        String how = switch (result.method()) {
            case LAPS_WITH_STEP_INDEX -> "The device marked its laps with the steps of the workout.";
            case LAPS_IN_ORDER -> "Laps were taken in order: their number and lengths fit the plan.";
            case NONE -> "The laps do not fit the steps of the plan, so steps cannot be compared one by one.";
        };
        boolean pace = result.steps().stream().anyMatch(m -> m.step().basis() == Basis.PACE);
        return new StepTable(how, pace ? "/km" : result.steps().stream().anyMatch(m -> m.step().basis() == Basis.HEART_RATE) ? "bpm" : "W", lines);
    }

    private static Line line(int number, Matched matched, Done done) {
        PlannedStep step = matched.step();
        var design = step.flat().step();
        String name = design.name().isEmpty() ? ShorthandText.length(design.length()) : design.name();
        if (step.flat().repetition() > 0) name += " · " + step.flat().repetition();
        double low = step.isRamp() ? Math.min(step.from(), step.to()) : step.low();
        double high = step.isRamp() ? Math.max(step.from(), step.to()) : step.high();
        double at = BAND_FROM + (BAND_TO - BAND_FROM) * (done.mean() - low) / (high - low);
        return new Line(number, name, ShorthandText.target(design.target()), step.seconds(), done, low, high,
            Double.isNaN(at) ? Double.NaN : Math.max(2, Math.min(98, at)), matched.from(), matched.to(), step.basis() == Basis.PACE, step.basis() != null);
    }

    /** Bands behind the lanes, as JSON-ready lists of from, to, low, high at both ends and the quantity. */
    static List<List<Object>> bands(StepMatching.Result result) {
        List<List<Object>> bands = new ArrayList<>();
        for (Matched m : result.steps()) {
            PlannedStep s = m.step();
            if (s.basis() == null) continue;
            bands.add(List.of(s.basis().name().toLowerCase(Locale.ROOT), m.from(), m.to(), s.lowAt(0), s.highAt(0), s.lowAt(1), s.highAt(1)));
        }
        return bands;
    }
}
