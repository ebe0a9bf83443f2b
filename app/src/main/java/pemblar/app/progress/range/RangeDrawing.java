package pemblar.app.progress.range;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Units;
import pemblar.core.range.RangeSummary;

/**
 * Hours week by week: zones of one sport stacked, other sports above them, the plan as an outline; both ranges
 * bracketed.
 */
public record RangeDrawing(List<Week> weeks, List<Tick> hours, List<Tick> months, Bracket now, Bracket other) {
    static final double WIDTH = 1232;
    static final double LEFT = 4;
    static final double RIGHT = 40;
    static final double TOP = 40;
    static final double FLOOR = 190;
    private static final double GAP = 0.16;
    private static final double REST_AT = 200;
    private static final double REST_STEP = 3.4;

    /** A part of a week's column. @param kind z1 to z9, or rest for other sports */
    record Part(double y, double height, String kind) {}

    record Week(
            double x,
            double width,
            List<Part> parts,
            double plannedY,
            double plannedHeight,
            int restDays,
            String title) {}

    public record Tick(double at, String text) {}

    public record Bracket(double from, double to) {
        public double width() {
            return to - from;
        }

        /** As a path that begins at a height. */
        public String path(double top) {
            return String.format(
                    Locale.ROOT,
                    "M%.1f %.0fH%.1fV194H%.1fM%.1f %.0fH%.1fV194H%.1f",
                    from + 5,
                    top,
                    from,
                    from + 5,
                    to - 5,
                    top,
                    to,
                    to - 5);
        }
    }

    /** All columns as marks of a drawing, as they are too many for the template to make one by one. */
    public String marks() {
        Markup svg = new Markup();
        for (Week w : weeks) {
            svg.begin("g").inside().title(w.title());
            for (Part p : w.parts())
                column(svg, "part " + p.kind(), w)
                        .with("y", p.y())
                        .with("height", p.height())
                        .end();
            column(svg, "plan", w)
                    .with("y", w.plannedY())
                    .with("height", w.plannedHeight())
                    .end();
            for (int r = 1; r <= w.restDays(); r++)
                svg.begin("circle")
                        .with("class", "rest-dot")
                        .with("cy", REST_AT)
                        .with("r", 1.6)
                        .with("cx", w.x() + REST_STEP * r)
                        .end();
            svg.close("g");
        }
        return svg.toString();
    }

    private static Markup column(Markup svg, String kind, Week w) {
        return svg.begin("rect").with("class", kind).with("x", w.x()).with("width", w.width());
    }

    static LocalDate weekOf(LocalDate day) {
        return Units.mine().weekOf(day);
    }

    /** @param sums week after week */
    static RangeDrawing of(List<RangeSummary> sums, RangeSummary now, RangeSummary other) {
        LocalDate first = sums.get(0).from();
        double wide = (WIDTH - LEFT - RIGHT) / sums.size();
        double most = 3600;
        for (RangeSummary sum : sums) most = Math.max(most, Math.max(sum.plannedSeconds(), sum.doneSeconds()));
        double scale = (FLOOR - TOP) / (most * 1.05);
        List<Week> weeks = new ArrayList<>();
        for (int i = 0; i < sums.size(); i++) weeks.add(week(LEFT + i * wide, wide, sums.get(i), scale));
        return new RangeDrawing(
                weeks,
                hours(most, scale),
                months(first, sums.size(), wide),
                bracket(now, first, wide),
                bracket(other, first, wide));
    }

    private static Week week(double x, double wide, RangeSummary sum, double scale) {
        double planned = sum.plannedSeconds();
        List<Part> parts = new ArrayList<>();
        double y = FLOOR;
        long zoned = 0;
        for (int zone = 0; zone < sum.zoneSeconds().size(); zone++) {
            double height = sum.zoneSeconds().get(zone) * scale;
            zoned += sum.zoneSeconds().get(zone);
            if (height < 0.2) continue;
            parts.add(new Part(y - height, height, "z" + (zone + 1)));
            y -= height;
        }
        double rest = Math.max(0, sum.doneSeconds() - zoned) * scale;
        if (rest > 0.2) parts.add(new Part(y - rest, rest, "rest"));
        String title = "Week of " + sum.from() + ": " + Math.round(sum.doneSeconds() / 360.0) / 10.0 + " h done, "
                + Math.round(planned / 360) / 10.0 + " h planned";
        return new Week(
                x + wide * GAP / 2,
                wide * (1 - GAP),
                parts,
                FLOOR - planned * scale,
                planned * scale,
                sum.daysOver() == 0 ? 0 : sum.restDays(),
                title);
    }

    private static List<Tick> hours(double most, double scale) {
        List<Tick> ticks = new ArrayList<>();
        int step = most > 60_000 ? 8 : most > 24_000 ? 4 : 2;
        for (int h = 0; h * 3600 <= most * 1.05; h += step)
            ticks.add(new Tick(FLOOR - h * 3600 * scale, h == 0 ? "0" : h + " h"));
        return ticks;
    }

    private static List<Tick> months(LocalDate first, int weeks, double wide) {
        List<Tick> ticks = new ArrayList<>();
        LocalDate last = first.plusWeeks(weeks);
        for (LocalDate month = first.withDayOfMonth(1).plusMonths(1);
                month.isBefore(last.minusDays(10));
                month = month.plusMonths(1))
            ticks.add(new Tick(
                    x(month, first, wide),
                    month.getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH)
                            + (month.getMonthValue() == 1 ? " " + month.getYear() : "")));
        return ticks;
    }

    private static Bracket bracket(RangeSummary range, LocalDate first, double wide) {
        return new Bracket(
                Math.max(1, x(range.from(), first, wide)),
                Math.max(2, x(range.to().plusDays(1), first, wide)));
    }

    private static double x(LocalDate day, LocalDate first, double wide) {
        return LEFT + (day.toEpochDay() - first.toEpochDay()) / 7.0 * wide;
    }
}
