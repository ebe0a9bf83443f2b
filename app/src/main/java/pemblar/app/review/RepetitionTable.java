package pemblar.app.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pemblar.app.frame.page.Shown;
import pemblar.app.review.RepetitionWords.Sentence;
import pemblar.core.matching.StepMatching;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.repetition.FoundEfforts;
import pemblar.core.repetition.Kinds;
import pemblar.core.repetition.RepetitionSet;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.repetition.RepetitionSet.Repetition;
import pemblar.core.repetition.Span;
import pemblar.core.repetition.Verdict.Asked;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Element;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;

/**
 * Repetitions by kind and set, as small plots with their trends and as figures, and what they say in words.
 *
 * @param how how many of what there are, and how they were found
 */
public record RepetitionTable(String how, List<Sentence> verdict, List<Part> parts) {
    private static final int MOST_STATED = 40;
    private static final int LONG = 8;

    /** The verdict as one text. */
    public String words() {
        return verdict.stream().map(Sentence::text).collect(Collectors.joining(" "));
    }

    /** Every plot, kind after kind. */
    public List<RepetitionPlot> plots() {
        return parts.stream().flatMap(part -> part.plots().stream()).toList();
    }

    /**
     * One kind of repetition.
     *
     * @param title empty for the only kind
     * @param columns names of the figures that some repetition has
     */
    public record Part(String title, List<RepetitionPlot> plots, List<String> columns, List<Row> rows) {
        /** So many rows that they stay folded until asked for. */
        public boolean isLong() {
            return rows.size() > LONG;
        }
    }

    /** A repetition in figures. @param set counted from 1; 0 where there is only one */
    public record Row(int set, int number, int from, int to, List<String> figures) {}

    /** What repeats. @param step null where none was planned */
    private record Kind(PlannedStep step, List<List<Span>> sets) {}

    /**
     * From the plan where its steps were found, else from efforts that are found in the recording; empty when nothing
     * repeats.
     *
     * @param restCeiling 75 % of threshold in the main quantity, above which nothing is a recovery; NaN when not known
     */
    static Optional<RepetitionTable> of(Cuts cuts, double floor, double restCeiling, Shown shown) {
        List<Kind> kinds = kinds(cuts, floor);
        if (kinds.stream().mapToInt(RepetitionTable::count).sum() > MOST_STATED) return Optional.empty();
        List<Span> hard = kinds.stream()
                .flatMap(kind -> kind.sets().stream().flatMap(List::stream))
                .sorted(Comparator.comparingInt(Span::from))
                .toList();
        List<Sentence> verdict = new ArrayList<>();
        List<Part> parts = new ArrayList<>();
        for (Kind kind : kinds) {
            List<RepetitionSet> sets = kind.sets().stream()
                    .flatMap(set -> RepetitionSet.of(cuts.recording(), set, hard, restCeiling).stream())
                    .toList();
            if (sets.isEmpty()) continue;
            String title =
                    kinds.size() == 1 ? "" : title(kind.step(), cuts.recording().sport());
            verdict.addAll(RepetitionWords.of(sets, asked(kind.step()), title));
            parts.add(part(title, sets, cuts.recording().sport(), shown));
        }
        return parts.isEmpty()
                ? Optional.empty()
                : Optional.of(new RepetitionTable(how(kinds, cuts, shown), verdict, parts));
    }

    private static int count(Kind kind) {
        return kind.sets().stream().mapToInt(List::size).sum();
    }

    /** The repetitions, set after set: of the plan's first kind, else cut by hand, else found. */
    static List<Span> spans(Cuts cuts, double floor) {
        return kinds(cuts, floor).stream()
                .findFirst()
                .map(kind -> kind.sets().stream().flatMap(List::stream).toList())
                .orElse(List.of());
    }

    private static List<Kind> kinds(Cuts cuts, double floor) {
        List<Kinds.Kind> planned = Kinds.of(cuts.matched().steps());
        if (!planned.isEmpty())
            return planned.stream().map(k -> new Kind(k.step(), k.sets())).toList();
        List<Span> spans = cuts.matched().steps().isEmpty() ? unplanned(cuts, floor) : List.of();
        return spans.isEmpty() ? List.of() : List.of(new Kind(null, List.of(spans)));
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

    private static String how(List<Kind> kinds, Cuts cuts, Shown shown) {
        if (kinds.get(0).step() != null)
            return kinds.stream().map(RepetitionTable::planned).collect(Collectors.joining(", ")) + ", as planned";
        List<Span> spans = kinds.get(0).sets().get(0);
        return spans.size() + " efforts of about " + shown.clock(spans.get(0).seconds())
                + (cuts.where() == StepMatching.Method.BY_HAND ? ", set by hand" : ", found in the recording");
    }

    private static String planned(Kind kind) {
        String length = ShorthandText.length(kind.step().flat().step().length());
        boolean even = kind.sets().stream().map(List::size).distinct().count() == 1;
        if (kind.sets().size() == 1) return count(kind) + " times " + length;
        return even
                ? kind.sets().size() + " sets of " + kind.sets().get(0).size() + " times " + length
                : count(kind) + " times " + length + " in " + kind.sets().size() + " sets";
    }

    /** Name, or length and target, with the posture where one is asked. */
    private static String title(PlannedStep step, Sport sport) {
        Element.Step design = step.flat().step();
        String name = design.name().isEmpty()
                ? ShorthandText.length(design.length()) + " at " + ShorthandText.target(design.target(), sport)
                : Character.toUpperCase(design.name().charAt(0)) + design.name().substring(1);
        return design.posture() == Element.Posture.ANY ? name : name + " " + Shown.word(design.posture());
    }

    private static Asked asked(PlannedStep step) {
        if (step == null) return Asked.NOTHING;
        var cadence = step.flat().step().cadence();
        boolean main = step.basis() == Basis.POWER || step.basis() == Basis.PACE;
        return new Asked(
                main ? step.lowAt(0.5) : Double.NaN,
                main ? step.highAt(0.5) : Double.NaN,
                cadence == null ? Double.NaN : cadence.low(),
                cadence == null ? Double.NaN : cadence.high() == 0 ? 1e9 : cadence.high());
    }

    private static Part part(String title, List<RepetitionSet> sets, Sport sport, Shown shown) {
        List<Repetition> all =
                sets.stream().flatMap(set -> set.repetitions().stream()).toList();
        List<Quantity> quantities = new ArrayList<>();
        for (Quantity quantity : Quantity.values())
            if (java.util.Arrays.stream(RepetitionSet.values(all, quantity)).anyMatch(v -> !Double.isNaN(v)))
                quantities.add(quantity);
        boolean hills = all.stream().anyMatch(r -> Math.abs(r.gradient()) >= 0.01);
        List<String> columns = new ArrayList<>(quantities.stream()
                .map(q -> RepetitionPlot.name(q, sets.get(0).main(), sport))
                .toList());
        if (hills) columns.add("gradient");
        List<Row> rows = new ArrayList<>();
        for (int s = 0; s < sets.size(); s++)
            for (Repetition r : sets.get(s).repetitions()) {
                List<String> figures = new ArrayList<>();
                for (Quantity q : quantities)
                    figures.add(RepetitionPlot.text(
                            q, sets.get(s).main(), sport, RepetitionSet.values(List.of(r), q)[0], shown));
                if (hills) figures.add(Double.isNaN(r.gradient()) ? "–" : RepetitionWords.percent(r.gradient()));
                rows.add(new Row(
                        sets.size() == 1 ? 0 : s + 1,
                        rows.size() + 1,
                        r.span().from(),
                        r.span().to(),
                        figures));
            }
        return new Part(title, RepetitionPlot.of(sets, sport, shown), columns, rows);
    }
}
