package pemblar.app.coach;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;
import pemblar.app.coach.MorningService.Line;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Path;

/**
 * A strand as it is drawn in a box of 660 by 44, one scale for the whole list. What looks alike is one path over all
 * its days, so that a hundred athletes make no page of ten thousand elements.
 */
public record MorningView(Line line, String drawing) {
    private static final double WIDTH = 660;
    private static final double BOX = 44;
    private static final double FLOOR = 38;
    private static final double HEIGHT = 26;

    static MorningView of(Line line, double scale, LocalDate today) {
        List<Strand.Day> days = line.strand().days();
        return new MorningView(line, new Drawn(days, WIDTH / Math.max(1, days.size()), scale).all(today));
    }

    public long id() {
        return line.athlete().id();
    }

    public String name() {
        return line.athlete().name();
    }

    public boolean dealt() {
        return line.dealt();
    }

    public String first() {
        return line.strand().reasons().isEmpty()
                ? "Nothing stands out."
                : line.strand().reasons().get(0).text();
    }

    /** The next reason, and how many there are besides; empty without one. */
    public String second() {
        List<Strand.Reason> reasons = line.strand().reasons();
        if (reasons.size() < 2) return "";
        return reasons.get(1).text() + (reasons.size() > 2 ? " + " + (reasons.size() - 2) + " more" : "");
    }

    private static String one(double value) {
        return Path.figure(value);
    }

    /** @param width of a day */
    private record Drawn(List<Strand.Day> days, double width, double scale) {
        String all(LocalDate today) {
            Markup svg = new Markup();
            path(svg, "done", bars(days.stream().map(Strand.Day::done).toList()));
            path(svg, "planned", bars(days.stream().map(Strand.Day::planned).toList()));
            path(svg, "drafts", bars(days.stream().map(Strand.Day::drafts).toList()));
            // where a bar is higher than the scale; its figure is in the words of its day
            path(svg, "cut", marks(d -> Math.max(d.planned(), d.done()) > scale, 2, "16l" + one(width - 4) + " -4"));
            path(svg, "tick", marks(Strand.Day::checkin, width / 2, "1v4"));
            path(svg, "flag", marks(d -> !d.event().isEmpty(), width / 2, "0h9l-2.5 4 2.5 4h-9z"));
            touches(svg);
            line(svg, "axis", new Line(0, FLOOR, WIDTH, FLOOR));
            double at =
                    days.isEmpty() ? 0 : (today.toEpochDay() - days.get(0).day().toEpochDay()) * width;
            line(svg, "now", new Line(at, 0, at, BOX));
            return svg.toString();
        }

        private static void path(Markup svg, String kind, String drawn) {
            if (!drawn.isEmpty())
                svg.begin("path").with("class", kind).with("d", drawn).end();
        }

        private record Line(double x1, double y1, double x2, double y2) {}

        private static void line(Markup svg, String kind, Line line) {
            svg.begin("line").with("class", kind).with("x1", line.x1()).with("x2", line.x2());
            svg.with("y1", line.y1()).with("y2", line.y2()).end();
        }

        /** A day each to point at. */
        private void touches(Markup svg) {
            for (int i = 0; i < days.size(); i++) {
                svg.begin("rect").with("class", "touch").with("y", 0).with("height", BOX);
                svg.with("x", i * width + 2).with("width", width - 4).inside();
                svg.title(days.get(i).label()).close("rect");
            }
        }

        /** Columns of one kind from the floor up. */
        String bars(List<Double> loads) {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i < loads.size(); i++) {
                double height = HEIGHT * Math.min(1, loads.get(i) / scale);
                if (height <= 0) continue;
                path.append('M').append(one(i * width + 2)).append(' ').append(one(FLOOR - height));
                path.append('h').append(one(width - 4)).append('v').append(one(height));
                path.append('h').append(one(4 - width)).append('z');
            }
            return path.toString();
        }

        /** A mark on the days that are like that. @param from of the day's left edge */
        String marks(Predicate<Strand.Day> like, double from, String mark) {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i < days.size(); i++)
                if (like.test(days.get(i)))
                    path.append('M').append(one(i * width + from)).append(' ').append(mark);
            return path.toString();
        }
    }
}
