package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.reading.SessionService;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.StepMatching.Done;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.matching.Stretches.One;
import pemblar.core.recording.Channel;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Element;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;

/** Planned against done, a line for each step. */
public record StepTable(String how, String unit, boolean planned, List<Line> lines) {
    /** How far left and right of its band a mean is drawn, in widths of the band. */
    private static final double BAND_FROM = 30;

    private static final double BAND_TO = 70;
    private static final String NONE = "–";

    /**
     * One stretch. {@code markX} is the mean on a strip of 100 in which the band runs from 30 to 70; NaN figures show
     * as a dash.
     *
     * @param mean of the quantity of its target, without unit; {@code band} likewise
     * @param step its step in the plan, -1 without one
     */
    public record Line(
            int number,
            String name,
            String target,
            double plannedSeconds,
            Done done,
            String mean,
            String band,
            double markX,
            int from,
            int to,
            boolean hasBand,
            int step,
            boolean ignored) {
        public boolean hasMark() {
            return !Double.isNaN(markX);
        }

        /** Where it is split unless another second is typed. */
        public int middle() {
            return (from + to) / 2;
        }
    }

    private static final int LONG = 16;

    /** So many lines that they stay folded until asked for. */
    public boolean isLong() {
        return lines.size() > LONG;
    }

    /** What stands over the cadences: where any is in a band, the shares of time in it stand beside them. */
    public String cadenceHead() {
        return lines.stream().allMatch(l -> Double.isNaN(l.done().shareCadence()))
                ? "cadence, /min"
                : "cadence (in band)";
    }

    /** A planned step that a stretch can be. */
    public record Choice(int step, String name) {}

    static StepTable of(Cuts cuts, SessionService.Opened opened) {
        List<Line> lines = new ArrayList<>();
        for (One one : cuts.stretches().all()) lines.add(line(lines.size(), one, cuts));
        boolean planned = opened.workout().isPresent();
        String how = switch (cuts.where()) {
            case LAPS_WITH_STEP_INDEX -> "The device marked its laps with the steps of the workout.";
            case LAPS_IN_ORDER -> "Laps were taken in order: their number and lengths fit the plan.";
            case PATTERN ->
                "There are no laps that fit: the steps were found by their pattern. Check the boundaries "
                        + "where it matters.";
            case BY_HAND -> "The stretches were set by hand.";
            case NONE ->
                lines.isEmpty()
                        ? planned
                                ? "Neither laps nor the pattern of the steps fit this recording. Select a "
                                        + "stretch above and add it as a step."
                                : "The recording has no laps. Select a stretch above and add it here."
                        : planned
                                ? "The laps do not fit the plan, so each is shown for itself. Say which step "
                                        + "a lap is, or add stretches by selection."
                                : "The recording's laps.";
        };
        List<Basis> bases = lines.stream()
                .filter(l -> l.step() >= 0)
                .map(l -> cuts.plan().get(l.step()).basis())
                .toList();
        boolean pace = bases.contains(Basis.PACE)
                || bases.isEmpty() && !cuts.recording().has(Channel.POWER);
        return new StepTable(
                how,
                pace ? Shown.speedUnit(cuts.recording().sport()) : bases.contains(Basis.HEART_RATE) ? "bpm" : "W",
                planned && !cuts.plan().isEmpty(),
                lines);
    }

    static List<Choice> choices(Cuts cuts) {
        List<Choice> choices = new ArrayList<>();
        for (PlannedStep step : cuts.plan())
            choices.add(new Choice(
                    choices.size(),
                    name(step) + ", "
                            + ShorthandText.target(
                                    step.flat().step().target(),
                                    cuts.recording().sport())));
        return choices;
    }

    /** What a stretch is called: its step, or its number. */
    public static String name(Cuts cuts, One one, int index) {
        return one.step() >= 0 ? name(cuts.plan().get(one.step())) : "stretch " + (index + 1);
    }

    private static String name(PlannedStep step) {
        var design = step.flat().step();
        String length = design.name().isEmpty() ? ShorthandText.length(design.length()) : design.name();
        String name = design.posture() == Element.Posture.ANY ? length : length + ", " + Shown.word(design.posture());
        return step.flat().repetition() > 0 ? name + " · " + step.flat().repetition() : name;
    }

    private static Line line(int index, One one, Cuts cuts) {
        PlannedStep step = one.step() >= 0 ? cuts.plan().get(one.step()) : null;
        Done done = StepMatching.done(step, one.from(), one.to(), cuts.recording());
        boolean speed = step == null || step.basis() == null
                ? !cuts.recording().has(Channel.POWER)
                : step.basis() == Basis.PACE;
        String mean = figure(cuts.recording().sport(), speed, done.mean());
        if (step == null)
            return new Line(
                    index,
                    name(cuts, one, index),
                    "",
                    Double.NaN,
                    done,
                    mean,
                    NONE,
                    Double.NaN,
                    one.from(),
                    one.to(),
                    false,
                    -1,
                    one.ignored());
        double low = step.isRamp() ? Math.min(step.from(), step.to()) : step.low();
        double high = step.isRamp() ? Math.max(step.from(), step.to()) : step.high();
        double at = BAND_FROM + (BAND_TO - BAND_FROM) * (done.mean() - low) / (high - low);
        boolean fastFirst = speed && Shown.unit(cuts.recording().sport()).isPace(); // the shorter time of a pace
        String band = step.basis() == null
                ? NONE
                : figure(cuts.recording().sport(), speed, fastFirst ? high : low) + "–"
                        + figure(cuts.recording().sport(), speed, fastFirst ? low : high);
        return new Line(
                index,
                name(step),
                ShorthandText.target(
                        step.flat().step().target(), cuts.recording().sport()),
                step.seconds(),
                done,
                mean,
                band,
                Double.isNaN(at) ? Double.NaN : Math.max(2, Math.min(98, at)),
                one.from(),
                one.to(),
                step.basis() != null,
                one.step(),
                one.ignored());
    }

    /** Without its unit; a speed as pace when running, else in km/h. */
    private static String figure(Sport sport, boolean speed, double value) {
        if (!Double.isFinite(value)) return NONE;
        return speed ? Shown.speedFigure(sport, value) : String.valueOf(Math.round(value));
    }

    /** Bands behind the lanes, as JSON-ready lists of from, to, low, high at both ends and the quantity. */
    public static List<List<Object>> bands(StepMatching.Result result) {
        List<List<Object>> bands = new ArrayList<>();
        for (Matched m : result.steps()) {
            PlannedStep s = m.step();
            if (s.basis() == null) continue;
            bands.add(List.of(
                    s.basis().name().toLowerCase(Locale.ROOT),
                    m.from(),
                    m.to(),
                    s.lowAt(0),
                    s.highAt(0),
                    s.lowAt(1),
                    s.highAt(1)));
        }
        return bands;
    }
}
