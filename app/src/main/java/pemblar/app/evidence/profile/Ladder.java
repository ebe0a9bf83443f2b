package pemblar.app.evidence.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import pemblar.app.evidence.profile.ProfileController.Row;
import pemblar.app.frame.page.Path;

/** The profile as it is drawn: bands side by side, and over them a bar for each duration or distance. */
public record Ladder(List<Band> bands, List<Rung> rungs) {
    private static final double LEFT = 100;
    private static final double WIDTH = 1040;
    private static final double TOP = 62;
    private static final double STEP = 70;
    private static final double HALF_BAR = 7;
    private static final double BEFORE_ABOVE = 13;
    private static final double BESIDE = 8;
    /** A value stands left of the end of a bar that leaves no room for it on the right. */
    private static final double NO_ROOM = 0.86;

    /** @param style which of two grounds it has */
    public record Band(String name, double x, double width, double middle, String style) {}

    public record Floor(String text, double x) {}

    /** @param d the outline of the bar */
    public record Bar(String d, String style) {}

    /** The mark of the year before. */
    public record Mark(String d, String title) {}

    public record Value(String text, double x, String anchor) {}

    /** @param bar null without an effort, as is {@code value}; {@code before} null where there was none */
    public record Rung(String duration, double y, List<Floor> floors, Bar bar, Mark before, Value value) {}

    /** @param unit with a blank before it */
    static Ladder of(List<String> names, List<Row> rows, String unit) {
        double width = WIDTH / names.size();
        List<Band> bands = IntStream.range(0, names.size())
                .mapToObj(i -> new Band(
                        names.get(i),
                        LEFT + i * width,
                        width,
                        LEFT + (i + 0.5) * width,
                        i % 2 == 0 ? "ladder ladder-0" : "ladder ladder-1"))
                .toList();
        List<Rung> rungs = new ArrayList<>();
        for (Row row : rows) rungs.add(rung(row, TOP + rungs.size() * STEP, width, unit));
        return new Ladder(bands, rungs);
    }

    private static Rung rung(Row row, double y, double width, String unit) {
        List<Floor> floors = IntStream.range(0, row.floors().size())
                .mapToObj(i -> new Floor(row.floors().get(i), LEFT + (i + 1) * width))
                .toList();
        return new Rung(row.duration(), y, floors, bar(row, y), before(row, y, unit), value(row, unit));
    }

    private static Bar bar(Row row, double y) {
        if (row.nowAt() == null) return null;
        Path outline = new Path()
                .from(LEFT, y - HALF_BAR)
                .across(LEFT + row.nowAt() * WIDTH)
                .upTo(y + HALF_BAR)
                .across(LEFT)
                .closed();
        return new Bar(outline.toString(), row.weakest() ? "bar weakest" : row.tested() ? "bar" : "bar not-tested");
    }

    private static Mark before(Row row, double y, String unit) {
        if (row.beforeAt() == null) return null;
        double x = LEFT + row.beforeAt() * WIDTH;
        return new Mark(
                new Path().from(x, y - BEFORE_ABOVE).upTo(y + BEFORE_ABOVE).toString(),
                "the year before: " + row.before() + unit);
    }

    private static Value value(Row row, String unit) {
        if (row.nowAt() == null) return null;
        double end = LEFT + row.nowAt() * WIDTH;
        boolean before = row.nowAt() > NO_ROOM;
        return new Value(
                row.now() + unit + (row.tested() ? "" : ", untested"),
                before ? end - BESIDE : end + BESIDE,
                before ? "end" : "start");
    }
}
