package pemblar.app.coach;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;
import pemblar.app.coach.MorningService.Line;
import pemblar.app.frame.Path;
import pemblar.app.frame.Svg;

/**
 * A strand as it is drawn in a box of 660 by 44, one scale for the whole list. What looks alike is one path over all
 * its days, so that a hundred athletes make no page of ten thousand elements.
 *
 * @param cuts where a bar is higher than the scale; its figure is in the words of its day
 */
record MorningView(
        Line line,
        String days,
        String planned,
        String drafts,
        String done,
        String cuts,
        String ticks,
        String flags,
        String first,
        String second,
        int more,
        double todayX) {
    private static final double WIDTH = 660;
    private static final double BOX = 44;
    private static final double FLOOR = 38;
    private static final double HEIGHT = 26;

    static MorningView of(Line line, double scale, LocalDate today) {
        List<Strand.Day> days = line.strand().days();
        Drawn drawn = new Drawn(days, WIDTH / Math.max(1, days.size()), scale);
        List<Strand.Reason> reasons = line.strand().reasons();
        double at = days.isEmpty() ? 0 : (today.toEpochDay() - days.get(0).day().toEpochDay()) * drawn.width();
        return new MorningView(
                line,
                drawn.touches(),
                drawn.bars(days.stream().map(Strand.Day::planned).toList()),
                drawn.bars(days.stream().map(Strand.Day::drafts).toList()),
                drawn.bars(days.stream().map(Strand.Day::done).toList()),
                drawn.marks(d -> Math.max(d.planned(), d.done()) > scale, 2, "16l" + one(drawn.width() - 4) + " -4"),
                drawn.marks(Strand.Day::checkin, drawn.width() / 2, "1v4"),
                drawn.marks(d -> !d.event().isEmpty(), drawn.width() / 2, "0h9l-2.5 4 2.5 4h-9z"),
                reasons.isEmpty() ? "" : reasons.get(0).text(),
                reasons.size() > 1 ? reasons.get(1).text() : "",
                Math.max(0, reasons.size() - 2),
                at);
    }

    private static String one(double value) {
        return Path.figure(value);
    }

    /** @param width of a day */
    private record Drawn(List<Strand.Day> days, double width, double scale) {
        /** A day each to point at. */
        String touches() {
            Svg svg = new Svg();
            for (int i = 0; i < days.size(); i++) {
                svg.begin("rect").with("class", "touch").with("y", 0).with("height", BOX);
                svg.with("x", i * width + 2).with("width", width - 4).inside();
                svg.title(days.get(i).label()).close("rect");
            }
            return svg.toString();
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
