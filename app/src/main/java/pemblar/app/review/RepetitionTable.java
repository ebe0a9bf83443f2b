package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pemblar.app.frame.Shown;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.repetition.FoundEfforts;
import pemblar.core.repetition.RepetitionSet;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.repetition.RepetitionSet.Repetition;
import pemblar.core.repetition.Slope;
import pemblar.core.repetition.Span;
import pemblar.core.repetition.Verdict;
import pemblar.core.repetition.Verdict.Asked;
import pemblar.core.repetition.Verdict.Statement;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;

/**
 * Repetitions as small plots with their trend, and what they say in words. Each sentence names the stretch that it
 * rests on.
 */
record RepetitionTable(String how, List<Sentence> verdict, List<Plot> plots) {
    private static final double WIDTH = 200;
    private static final double TOP = 10;
    private static final double FLOOR = 54;
    private static final double LEFT = 12;
    private static final int MOST_STATED = 40;

    /** The verdict as one text. */
    public String words() {
        return verdict.stream()
                .map(Sentence::text)
                .reduce((a, b) -> a + " " + b)
                .orElse("");
    }

    /** @param from second at which the figures begin that it rests on; {@code to} where they end */
    record Sentence(String text, int from, int to) {}

    /** Values in a box of 200 by 64. */
    record Plot(String name, String word, boolean marked, List<Dot> dots, String line, String first, String last) {}

    record Dot(double x, double y, String label, int from, int to) {}

    /**
     * From the plan where its steps were found, else from efforts that are found in the recording; empty when nothing
     * repeats.
     */
    static Optional<RepetitionTable> of(Cuts cuts, double floor, Shown shown) {
        Recording recording = cuts.recording();
        Optional<List<Matched>> planned = repeated(cuts.matched());
        List<Span> spans = spans(cuts, floor);
        if (spans.size() > MOST_STATED) return Optional.empty();
        Asked asked = planned.map(all -> asked(all.get(0).step())).orElse(Asked.NOTHING);
        String how = planned.map(all -> all.size() + " times "
                        + ShorthandText.length(all.get(0).step().flat().step().length()) + ", as planned")
                .orElse(spans.size() + " efforts of about "
                        + (spans.isEmpty() ? "" : shown.clock(spans.get(0).seconds()))
                        + (cuts.where() == StepMatching.Method.BY_HAND ? ", set by hand" : ", found in the recording"));
        return RepetitionSet.of(recording, spans)
                .map(set -> new RepetitionTable(
                        how,
                        Verdict.of(set, asked).stream()
                                .map(s -> sentence(s, set))
                                .toList(),
                        plots(set, recording.sport(), shown)));
    }

    /** The repetitions: of the plan, else cut by hand, else found. */
    static List<Span> spans(Cuts cuts, double floor) {
        return repeated(cuts.matched())
                .map(all -> all.stream().map(m -> new Span(m.from(), m.to())).toList())
                .orElseGet(() -> cuts.matched().steps().isEmpty() ? unplanned(cuts, floor) : List.of());
    }

    /** The hardest step that is repeated. */
    private static Optional<List<Matched>> repeated(StepMatching.Result result) {
        return result.steps().stream()
                .filter(m -> m.step().flat().repetition() > 0 && m.to() > m.from())
                .map(m -> m.step().flat().stepIndex())
                .distinct()
                .map(index -> result.steps().stream()
                        .filter(m -> m.step().flat().stepIndex() == index && m.to() > m.from())
                        .toList())
                .filter(all -> all.size() >= 2)
                .max(java.util.Comparator.comparingDouble(
                        all -> all.get(0).step().intensity()));
    }

    /** Without steps: what was cut by hand, else efforts that are found. */
    private static List<Span> unplanned(Cuts cuts, double floor) {
        if (cuts.where() == StepMatching.Method.BY_HAND)
            return RepetitionSet.alike(cuts.stretches().all().stream()
                    .filter(o -> !o.ignored())
                    .map(o -> new Span(o.from(), o.to()))
                    .toList());
        return found(cuts.recording(), floor);
    }

    private static List<Span> found(Recording recording, double floor) {
        if (!recording.has(Channel.POWER) && recording.sport().onWheels())
            return List.of(); // speed on wheels says more about wind and road
        return recording
                .channel(recording.has(Channel.POWER) ? Channel.POWER : Channel.SPEED)
                .map(values ->
                        RepetitionSet.alike(FoundEfforts.of(values, recording.has(Channel.POWER) ? floor : Double.NaN)))
                .orElse(List.of());
    }

    private static Asked asked(PlannedStep step) {
        var cadence = step.flat().step().cadence();
        boolean main = step.basis() == Basis.POWER || step.basis() == Basis.PACE;
        return new Asked(
                main ? step.lowAt(0.5) : Double.NaN,
                main ? step.highAt(0.5) : Double.NaN,
                cadence == null ? Double.NaN : cadence.low(),
                cadence == null ? Double.NaN : cadence.high() == 0 ? 1e9 : cadence.high());
    }

    private static Sentence sentence(Statement s, RepetitionSet set) {
        String main = set.main() == Channel.POWER ? "power" : "speed";
        String text = switch (s.kind()) {
            case TARGET_MET -> "Target met in " + s.count() + " of " + s.of() + ".";
            case HELD ->
                Character.toUpperCase(main.charAt(0)) + main.substring(1) + " held (" + percent(s.value())
                        + " per repetition" + (set.slopes().get(Quantity.MAIN).isTrend() ? "" : ", within noise")
                        + ").";
            case ROSE ->
                Character.toUpperCase(main.charAt(0)) + main.substring(1) + " rose (" + percent(s.value())
                        + " per repetition, more than noise).";
            case FELL ->
                Character.toUpperCase(main.charAt(0)) + main.substring(1) + " fell (" + percent(s.value())
                        + " per repetition, more than noise).";
            case CADENCE_IN_BAND ->
                s.count() == s.of()
                        ? "Cadence stayed in its band."
                        : "Cadence was in its band in " + s.count() + " of " + s.of() + ".";
            case CADENCE_LEFT_BAND ->
                s.count() == 1
                        ? "Cadence was outside its band throughout."
                        : "Cadence left its band from the " + ordinal(s.count()) + ".";
            case RECOVERED_TO -> "Heart rate came down to " + Math.round(s.value()) + " or below each time.";
            case RECOVERS_LESS ->
                "Heart rate came down less each time (+" + String.format(Locale.ROOT, "%.1f", s.value())
                        + " bpm per repetition).";
            case FORM_FADES -> "Form fades from the " + ordinal(s.count()) + ".";
            case COLD_START ->
                "The first peak of heart rate, " + Math.round(s.value())
                        + ", lies far below the others: the warm-up was short.";
        };
        boolean later = s.kind() == Verdict.Kind.CADENCE_LEFT_BAND || s.kind() == Verdict.Kind.FORM_FADES;
        List<Repetition> all = set.repetitions();
        int first = later ? s.count() - 1 : 0;
        int last = s.kind() == Verdict.Kind.COLD_START ? 0 : all.size() - 1;
        return new Sentence(
                text, all.get(first).span().from(), all.get(last).span().to());
    }

    private static String percent(double fraction) {
        String digits = String.format(Locale.ROOT, "%.1f %%", Math.abs(100 * fraction));
        return digits.startsWith("0.0") ? digits : (fraction < 0 ? "−" : "+") + digits;
    }

    private static String ordinal(int number) {
        String ending = number % 100 / 10 == 1
                ? "th"
                : number % 10 == 1 ? "st" : number % 10 == 2 ? "nd" : number % 10 == 3 ? "rd" : "th";
        return number + ending;
    }

    private static List<Plot> plots(RepetitionSet set, Sport sport, Shown shown) {
        List<Plot> plots = new ArrayList<>();
        for (Quantity quantity : Quantity.values())
            if (set.slopes().containsKey(quantity)) plots.add(plot(quantity, set, sport, shown));
        return plots;
    }

    private static Plot plot(Quantity quantity, RepetitionSet set, Sport sport, Shown shown) {
        double[] values = RepetitionSet.values(set.repetitions(), quantity);
        Slope slope = set.slopes().get(quantity);
        double least = java.util.Arrays.stream(values)
                .filter(v -> !Double.isNaN(v))
                .min()
                .orElse(0);
        double most = java.util.Arrays.stream(values)
                .filter(v -> !Double.isNaN(v))
                .max()
                .orElse(1);
        double room = Math.max(most - least, 0.02 * Math.abs(slope.level()));
        List<Dot> dots = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            if (Double.isNaN(values[i])) continue;
            Repetition r = set.repetitions().get(i);
            dots.add(new Dot(
                    x(i, values.length),
                    y(values[i], (least + most) / 2, room),
                    (i + 1) + ": " + shown(quantity, set.main(), sport, values[i], shown),
                    r.span().from(),
                    r.span().to()));
        }
        String line = slope.count() < 3
                ? ""
                : String.format(
                        Locale.ROOT,
                        "M%.1f %.1fL%.1f %.1f",
                        x(0, values.length),
                        y(at(slope, values, 0), (least + most) / 2, room),
                        x(values.length - 1, values.length),
                        y(at(slope, values, values.length - 1), (least + most) / 2, room));
        return new Plot(
                name(quantity, set.main(), sport),
                slope.count() < 3
                        ? "too few for a trend"
                        : slope.isTrend() ? percent(slope.relative()) + " per repetition" : "no trend",
                slope.isTrend(),
                dots,
                line,
                shown(quantity, set.main(), sport, values[0], shown),
                shown(
                        quantity,
                        set.main(),
                        sport,
                        values[Double.isNaN(values[values.length - 1]) ? values.length - 2 : values.length - 1],
                        shown));
    }

    /** The fitted line at a repetition. */
    private static double at(Slope slope, double[] values, int index) {
        double mean = 0;
        int count = 0;
        for (int i = 0; i < values.length; i++) {
            if (Double.isNaN(values[i])) continue;
            mean += i;
            count++;
        }
        return slope.level() + slope.perRepetition() * (index - mean / count);
    }

    private static double x(int index, int count) {
        return LEFT + (WIDTH - 2 * LEFT) * index / Math.max(1, count - 1);
    }

    private static double y(double value, double middle, double room) {
        return (TOP + FLOOR) / 2 - (FLOOR - TOP) * (value - middle) / room;
    }

    private static String name(Quantity quantity, Channel main, Sport sport) {
        return switch (quantity) {
            case MAIN ->
                main == Channel.POWER
                        ? "mean power"
                        : "mean " + (Shown.unit(sport).isPace() ? "pace" : "speed");
            case CADENCE -> "cadence";
            case STEP_LENGTH -> "step length";
            case CONTACT_TIME -> "contact time";
            case PEAK_HEART_RATE -> "peak heart rate";
            case VALLEY_HEART_RATE -> "heart rate after recovery";
            case SPREAD -> "spread";
        };
    }

    private static String shown(Quantity quantity, Channel main, Sport sport, double value, Shown shown) {
        if (Double.isNaN(value)) return "–";
        return switch (quantity) {
            case MAIN -> main == Channel.POWER ? shown.watts(value) : shown.speed(sport, value);
            case CADENCE -> shown.whole(value);
            case STEP_LENGTH -> shown.decimal(value, 2) + " m";
            case CONTACT_TIME -> shown.whole(1000 * value) + " ms";
            case PEAK_HEART_RATE, VALLEY_HEART_RATE -> shown.whole(value) + " bpm";
            case SPREAD -> shown.decimal(100 * value, 1) + " %";
        };
    }
}
