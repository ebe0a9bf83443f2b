package pemblar.app.compare.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import pemblar.app.compare.Content;
import pemblar.app.compare.Content.Line;
import pemblar.app.compare.FigureUnits;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.core.comparison.ComparisonWords;
import pemblar.core.comparison.ComparisonWords.Compared;
import pemblar.core.comparison.ComparisonWords.Groups;
import pemblar.core.comparison.Figure;
import pemblar.core.comparison.GroupDifference;
import pemblar.core.comparison.GroupDifference.Point;
import pemblar.core.comparison.SessionComparison;
import pemblar.core.comparison.SessionComparison.Repetition;
import pemblar.core.repetition.Slope;

/**
 * A comparison as its page shows it.
 *
 * @param difference what the first two groups differ by, in a sentence; empty with one group
 * @param trends what the compared quantity does from session to session, a sentence for each surface
 */
public record ComparisonView(
        List<Column> columns,
        List<Row> rows,
        List<Group> groups,
        Scatter scatter,
        String difference,
        List<String> trends) {
    private static final int SHAPES = 4;
    private static final double LEFT = 62;
    private static final double RIGHT = 620;
    private static final double TOP = 14;
    private static final double FLOOR = 272;
    private static final int FEWEST_REPETITIONS = 2;
    /** Groups that are further apart than this share are compared by a line beyond their points. */
    private static final double LIKE = 0.1;

    private static final int FEWEST_SESSIONS = 3;

    public record Column(String key, String name, String unit, boolean derived) {
        public String head() {
            return name + ", " + unit;
        }
    }

    /** A value; entered by hand when it says so. */
    public record Cell(String key, String text, boolean entered, boolean canEnter) {}

    public record Row(Line line, int shape, List<Cell> cells) {}

    /** A group with the mean of every column. */
    public record Group(String name, int shape, int count, List<String> means) {}

    /** Points in a box of 640 by 310 with its axes. */
    public record Scatter(
            String xName, String yName, List<Mark> marks, List<Tick> xTicks, List<Tick> yTicks, List<String> lines) {}

    public record Mark(double x, double y, int shape, String label) {}

    public record Tick(double at, String text) {}

    /** @param sort key of the column that rows are sorted by; anything else leaves their order */
    static ComparisonView of(Content content, String sort, boolean falling) {
        return of(content, new Cut(content, 0), sort, falling);
    }

    /**
     * A comparison with every repetition measured over its first {@code seconds}, when they differ in length.
     *
     * @param seconds 0 when they are compared whole
     */
    record Cut(Content content, int seconds) {}

    static ComparisonView of(Content content, Cut cut, String sort, boolean falling) {
        List<Column> columns =
                content.columns().stream().map(key -> column(content, key)).toList();
        List<String> groups = content.groups();
        List<Line> lines = new ArrayList<>(content.lines());
        if (content.isColumn(sort)) {
            Comparator<Line> by = Comparator.comparingDouble(l -> content.value(l, sort));
            lines.sort(falling ? by.reversed() : by);
        }
        List<Row> rows = lines.stream()
                .map(l -> new Row(l, groups.indexOf(l.group()) % SHAPES, cells(content, l)))
                .toList();
        List<Group> shown = groups.stream()
                .map(g -> group(content, g, groups.indexOf(g) % SHAPES))
                .toList();
        return new ComparisonView(
                columns,
                rows,
                shown,
                scatter(content, groups),
                difference(cut.content(), cut.seconds(), groups),
                trends(content));
    }

    static Column column(Content content, String key) {
        return Figure.named(key)
                .map(f -> new Column(key, f.word(), FigureUnits.unit(f), false))
                .orElseGet(() -> content.derived().stream()
                        .filter(d -> d.name().equals(key))
                        .findFirst()
                        .map(d -> new Column(
                                key,
                                d.name(),
                                Figure.valueOf(d.left()).word() + " "
                                        + pemblar.core.recording.Derived.Operation.valueOf(d.operation())
                                                .sign() + " "
                                        + Figure.valueOf(d.right()).word(),
                                true))
                        .orElseThrow());
    }

    private static List<Cell> cells(Content content, Line line) {
        return content.columns().stream()
                .map(key -> new Cell(
                        key,
                        text(key, content.value(line, key)),
                        line.entered().containsKey(key),
                        Figure.named(key).isPresent()))
                .toList();
    }

    public static String text(String key, double value) {
        if (!Double.isFinite(value)) return "–";
        if (key.equals("SECONDS")) return Shown.clock(value);
        double size = Math.abs(value);
        int digits = size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3;
        return Units.mine().decimal(value, digits).replace('-', '−');
    }

    private static List<Line> counting(Content content) {
        return content.lines().stream().filter(l -> !l.hidden()).toList();
    }

    private static Group group(Content content, String name, int shape) {
        List<Line> mine =
                counting(content).stream().filter(l -> l.group().equals(name)).toList();
        return new Group(
                name,
                shape,
                mine.size(),
                content.columns().stream()
                        .map(key -> text(
                                key,
                                mine.stream()
                                        .mapToDouble(l -> content.value(l, key))
                                        .filter(Double::isFinite)
                                        .average()
                                        .orElse(Double.NaN)))
                        .toList());
    }

    /** The first two groups that count, session by session: repetitions of one day have that day in common. */
    private static String difference(Content content, int cutTo, List<String> groups) {
        List<String> two = groups.stream()
                .filter(g -> counting(content).stream().anyMatch(l -> l.group().equals(g)))
                .limit(2)
                .toList();
        if (two.size() < 2) return "";
        Column x = column(content, content.x());
        Column y = column(content, content.y());
        List<Line> lines = counting(content).stream()
                .filter(l -> two.contains(l.group()))
                .sorted(Comparator.comparing(Line::day)
                        .thenComparing(Line::session)
                        .thenComparing(Line::from))
                .toList();
        boolean byDay = severalOnADay(lines);
        List<Repetition> repetitions = new ArrayList<>();
        for (Line l : lines)
            repetitions.add(new Repetition(
                    l.group().equals(two.get(1)),
                    byDay ? String.valueOf(l.day()) : String.valueOf(l.session()),
                    repetitions.size(),
                    new double[] {content.value(l, content.x())},
                    new double[] {content.value(l, content.y())}));
        if (two.stream().anyMatch(g -> repetitionsOf(content, g) < FEWEST_REPETITIONS))
            return tooLittle(two, x, y, "at least " + FEWEST_REPETITIONS + " repetitions");
        if (apart(content, two))
            return "“" + two.get(0) + "” and “" + two.get(1) + "” have no " + x.name()
                    + " in common: their repetitions can’t be compared at equal " + x.name() + ".";
        try {
            SessionComparison found = SessionComparison.of(repetitions);
            SessionComparison said = cutTo == 0 ? found : found.cutTo(cutTo);
            Groups named = new Groups("“" + two.get(0) + "”", "“" + two.get(1) + "”");
            Compared compared = new Compared(y.name(), y.derived() ? "" : " " + y.unit(), x.name());
            return ComparisonWords.of(said, named, byDay ? compared.byDay() : compared);
        } catch (IllegalArgumentException e) {
            return tooLittle(two, x, y, "repetitions");
        }
    }

    /** Sessions of one day share that day, so that days are counted where one holds several. */
    private static boolean severalOnADay(List<Line> lines) {
        return lines.stream().map(Line::day).distinct().count()
                < lines.stream().map(Line::session).distinct().count();
    }

    private static String tooLittle(List<String> two, Column x, Column y, String needed) {
        return "Too little to compare “" + two.get(0) + "” with “" + two.get(1) + "”: both need " + needed + " with "
                + x.name() + " and " + y.name() + ".";
    }

    private static long repetitionsOf(Content content, String group) {
        return along(content, group).count();
    }

    private static DoubleStream along(Content content, String group) {
        return counting(content).stream()
                .filter(l -> l.group().equals(group) && Double.isFinite(content.value(l, content.y())))
                .mapToDouble(l -> content.value(l, content.x()))
                .filter(Double::isFinite);
    }

    /**
     * Whether one group lies wholly above the other: a difference at equal power would then be read off a line beyond
     * its points.
     */
    private static boolean apart(Content content, List<String> two) {
        DoubleSummaryStatistics first = along(content, two.get(0)).summaryStatistics();
        DoubleSummaryStatistics second = along(content, two.get(1)).summaryStatistics();
        double margin = LIKE * Math.max(Math.abs(first.getAverage()), Math.abs(second.getAverage()));
        return first.getMax() + margin < second.getMin() || second.getMax() + margin < first.getMin();
    }

    /** From session to session, unlike surfaces apart. */
    private static List<String> trends(Content content) {
        Map<String, Map<String, List<Line>>> bySurface = counting(content).stream()
                .sorted(Comparator.comparing(Line::day))
                .collect(Collectors.groupingBy(
                        Line::surface,
                        LinkedHashMap::new,
                        Collectors.groupingBy(
                                l -> l.day() + " " + l.session(), LinkedHashMap::new, Collectors.toList())));
        List<String> all = new ArrayList<>();
        Column y = column(content, content.y());
        bySurface.forEach((surface, sessions) -> {
            double[] means = sessions.values().stream()
                    .mapToDouble(lines -> lines.stream()
                            .mapToDouble(l -> content.value(l, content.y()))
                            .filter(Double::isFinite)
                            .average()
                            .orElse(Double.NaN))
                    .toArray();
            Slope slope = Slope.of(means);
            if (slope.count() < FEWEST_SESSIONS) return;
            String where = bySurface.size() > 1
                    ? (surface.isEmpty()
                            ? "Surface not said: "
                            : Character.toUpperCase(surface.charAt(0)) + surface.substring(1) + ": ")
                    : "";
            String change = perSession(slope) + (y.derived() ? "" : " " + y.unit()) + " per session";
            all.add(where + y.name() + " as measured, over " + slope.count() + " sessions: " + change
                    + (slope.isBeyondNoise() ? ", more than noise." : ", within noise."));
        });
        return all;
    }

    /** No finer than its error: a figure of it is what the data tell. */
    private static String perSession(Slope slope) {
        double size = Math.max(slope.standardError(), Math.abs(slope.perRepetition()) / 100);
        int digits = size > 0 ? (int) Math.max(0, Math.min(4, -Math.floor(Math.log10(size)))) : 0;
        return (slope.perRepetition() < 0 ? "−" : "+") + Units.mine().decimal(Math.abs(slope.perRepetition()), digits);
    }

    private static Scatter scatter(Content content, List<String> groups) {
        List<Line> lines = counting(content).stream()
                .filter(l -> Double.isFinite(content.value(l, content.x()))
                        && Double.isFinite(content.value(l, content.y())))
                .toList();
        Column x = column(content, content.x());
        Column y = column(content, content.y());
        Axis along = Axis.of(
                lines.stream().mapToDouble(l -> content.value(l, content.x())).toArray(), LEFT, RIGHT);
        Axis up = Axis.of(
                lines.stream().mapToDouble(l -> content.value(l, content.y())).toArray(), FLOOR, TOP);
        List<Mark> marks = lines.stream()
                .map(l -> new Mark(
                        along.at(content.value(l, content.x())),
                        up.at(content.value(l, content.y())),
                        groups.indexOf(l.group()) % SHAPES,
                        l.label() + ", " + l.day() + ": " + text(content.x(), content.value(l, content.x())) + ", "
                                + text(content.y(), content.value(l, content.y()))))
                .toList();
        return new Scatter(
                x.head(),
                y.head(),
                marks,
                along.ticks(content.x()),
                up.ticks(content.y()),
                fitted(content, lines, groups, along, up));
    }

    /** The two parallel lines of the difference, as paths. */
    private static List<String> fitted(Content content, List<Line> lines, List<String> groups, Axis along, Axis up) {
        if (groups.size() < 2) return List.of();
        List<Line> two =
                lines.stream().filter(l -> groups.indexOf(l.group()) < 2).toList();
        Optional<GroupDifference> found = GroupDifference.of(two.stream()
                .map(l -> new Point(
                        content.value(l, content.x()), content.value(l, content.y()), groups.indexOf(l.group()) == 1))
                .toList());
        if (found.isEmpty()) return List.of();
        List<String> paths = new ArrayList<>();
        for (int g = 0; g < 2; g++) {
            int group = g;
            List<Line> mine =
                    two.stream().filter(l -> groups.indexOf(l.group()) == group).toList();
            double meanX = mine.stream()
                    .mapToDouble(l -> content.value(l, content.x()))
                    .average()
                    .orElse(0);
            double meanY = mine.stream()
                    .mapToDouble(l -> content.value(l, content.y()))
                    .average()
                    .orElse(0);
            double from = mine.stream()
                    .mapToDouble(l -> content.value(l, content.x()))
                    .min()
                    .orElse(0);
            double to = mine.stream()
                    .mapToDouble(l -> content.value(l, content.x()))
                    .max()
                    .orElse(0);
            paths.add(String.format(
                    Locale.ROOT,
                    "M%.1f %.1fL%.1f %.1f",
                    along.at(from),
                    up.at(meanY + found.get().perX() * (from - meanX)),
                    along.at(to),
                    up.at(meanY + found.get().perX() * (to - meanX))));
        }
        return paths;
    }

    /** One, two or five times a power of ten, at least as much as wanted. */
    static double step(double least) {
        double power = Math.pow(10, Math.floor(Math.log10(least)));
        return least <= power ? power : least <= 2 * power ? 2 * power : least <= 5 * power ? 5 * power : 10 * power;
    }

    static String plain(double value) {
        return new java.math.BigDecimal(value)
                .round(new java.math.MathContext(6))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** A scale from the least to the most value with some room. */
    private record Axis(double low, double high, double from, double to) {
        static Axis of(double[] values, double from, double to) {
            double low = java.util.Arrays.stream(values).min().orElse(0);
            double high = java.util.Arrays.stream(values).max().orElse(1);
            double room = Math.max((high - low) * 0.08, Math.max(Math.abs(high) * 0.01, 1e-6));
            return new Axis(low - room, high + room, from, to);
        }

        double at(double value) {
            return from + (to - from) * (value - low) / (high - low);
        }

        List<Tick> ticks(String key) {
            double step = step((high - low) / 5);
            List<Tick> ticks = new ArrayList<>();
            for (double v = Math.ceil(low / step) * step; v <= high; v += step)
                ticks.add(new Tick(at(v), key.equals("SECONDS") ? Shown.clock(v) : plain(v)));
            return ticks;
        }
    }
}
