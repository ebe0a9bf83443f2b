package pemblar.app.strength.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pemblar.core.strength.Prescription.Row;

/** A strength workout drawn: a stroke for each set, its height the share of the maximum, the figure its repetitions. */
public record Strokes(List<Stroke> strokes, List<Brace> braces) {
    static final double WIDTH = 780;
    static final double LEFT = 40;
    static final double FLOOR = 200;
    static final double HEIGHT = 160;
    private static final double UNKNOWN = 0.5;
    private static final double HELD = 0.2;
    private static final double TOP = 1.1;
    private static final List<Integer> LEVELS = List.of(25, 50, 75, 100);

    /** @param kind warm, set, free, held or unknown; {@code index} of its line */
    public record Stroke(double x, double y, double height, double width, String kind, String figure, int index) {
        public double left() {
            return x - width / 2;
        }
    }

    /** A line at a share of the maximum. */
    public record Level(String text, double y) {}

    public List<Level> levels() {
        return LEVELS.stream()
                .map(percent -> new Level(percent + " %", FLOOR - HEIGHT * percent / 100))
                .toList();
    }

    public record Brace(double from, double to, String name, String asked) {}

    public static Strokes of(List<Row> rows) {
        List<Stroke> strokes = new ArrayList<>();
        Map<Integer, double[]> spans = new LinkedHashMap<>();
        Map<Integer, Row> firsts = new LinkedHashMap<>();
        double apart = Math.min(46, (WIDTH - LEFT - 20) / Math.max(1, rows.size()));
        int line = -1;
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            if (i == 0 || rows.get(i - 1).lift() != row.lift()) line++;
            double x = LEFT + apart * (i + 0.5);
            double share = Math.min(TOP, height(row));
            strokes.add(new Stroke(
                    x,
                    FLOOR - HEIGHT * share,
                    HEIGHT * share,
                    row.warmUp() ? 2 : Math.min(8, apart * 0.3),
                    kind(row),
                    figure(row),
                    line));
            double[] span = spans.computeIfAbsent(line, l -> new double[] {x, x});
            span[1] = x;
            firsts.putIfAbsent(line, row);
            if (firsts.get(line).warmUp()) firsts.put(line, row);
        }
        List<Brace> braces = new ArrayList<>();
        spans.forEach((l, span) -> braces.add(
                new Brace(span[0] - apart * 0.35, span[1] + apart * 0.35, name(firsts.get(l)), asked(firsts.get(l)))));
        return new Strokes(strokes, braces);
    }

    private static String name(Row row) {
        return (row.lift().letter().isEmpty() ? "" : row.lift().letter() + " ")
                + row.lift().exercise();
    }

    private static String asked(Row row) {
        if (row.set().heldSeconds() > 0) return row.set().heldSeconds() + " s held";
        return row.share().isPresent()
                ? Math.round(100 * row.share().getAsDouble()) + " %"
                : row.set().load().text();
    }

    private static double height(Row row) {
        return row.set().heldSeconds() > 0 ? HELD : row.share().orElse(UNKNOWN);
    }

    private static String kind(Row row) {
        if (row.warmUp()) return "warm";
        if (row.set().heldSeconds() > 0) return "held";
        if (row.findOut() || row.share().isEmpty()) return "unknown";
        return row.set().asManyAsPossible() ? "free" : "set";
    }

    private static String figure(Row row) {
        if (row.set().heldSeconds() > 0) return String.valueOf(row.set().heldSeconds());
        if (row.set().repetitions() == 0) return "max";
        return row.set().repetitions() + (row.set().asManyAsPossible() ? "+" : "");
    }

    /** Shares of all working sets, as the board's silhouette needs them. */
    public static List<Double> shares(List<Row> rows) {
        return rows.stream().filter(r -> !r.warmUp()).map(Strokes::height).toList();
    }

    /** True when the legs carry hard sets: kept away from hard sessions. */
}
