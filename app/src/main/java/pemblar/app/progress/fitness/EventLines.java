package pemblar.app.progress.fitness;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import pemblar.app.frame.page.Path;
import pemblar.app.frame.page.Shown;
import pemblar.app.prediction.Course;
import pemblar.app.prediction.Foreseen;
import pemblar.app.prediction.Foreseen.Made;

/** Events with what was predicted for them and what came, as the page shows them. */
final class EventLines {
    private static final double WIDE = 240;
    private static final double HIGH = 46;
    private static final double MARGIN = 4;
    private final Shown shown;
    private final LocalDate today;

    EventLines(Shown shown, LocalDate today) {
        this.shown = shown;
        this.today = today;
    }

    /**
     * @param what distance or time, with its day
     * @param likely the latest prediction; {@code moved} how it came to it, empty with fewer than two
     * @param came in words; empty while it is ahead
     * @param band and {@code line} paths in a box of 240 by 46, better upwards; empty with fewer than two
     */
    public record Line(
            String name,
            String what,
            String likely,
            String range,
            String moved,
            String came,
            String band,
            String line,
            String from,
            String to,
            double dotX,
            double dotY) {}

    List<Line> of(List<Foreseen> all) {
        return all.stream().filter(f -> f.latest() != null).map(this::line).toList();
    }

    /** As “The range held 3 of 4 results.”; empty before the first. */
    static String score(List<Foreseen> all) {
        List<Boolean> told =
                all.stream().map(Foreseen::held).filter(Objects::nonNull).toList();
        if (told.isEmpty()) return "";
        long held = told.stream().filter(h -> h).count();
        return "Of " + told.size() + (told.size() == 1 ? " result" : " results") + " that came, the range of the day "
                + "before held " + (held == told.size() ? (held == 1 ? "it" : "all") : held == 0 ? "none" : held) + ".";
    }

    private Line line(Foreseen f) {
        Made last = f.latest();
        Scale scale = Scale.of(f);
        boolean drawn = f.made().size() > 1;
        return new Line(
                f.event().name(),
                what(f),
                f.words(last.value()),
                f.words(last.low()) + " to " + f.words(last.high()),
                drawn ? moved(f) : "",
                came(f),
                drawn ? scale.band(f.made()) : "",
                drawn ? scale.line(f.made()) : "",
                shown.day(f.first().day()),
                shown.day(f.day()),
                f.came() == null ? Double.NaN : scale.x(f.day()),
                f.came() == null ? Double.NaN : scale.y(f.came()));
    }

    private String what(Foreseen f) {
        Course c = f.course();
        String asked = c.isDistance() ? shown.kilometres(c.metres()) : shown.duration(c.seconds());
        String year = f.day().getYear() == today.getYear() ? "" : " " + f.day().getYear();
        return (f.part() ? c.sport().doing() + " alone, " : "") + asked + ", " + shown.day(f.day()) + year;
    }

    private String moved(Foreseen f) {
        Made first = f.first();
        Made last = f.latest();
        double change = last.value() - first.value();
        boolean distance = f.course().isDistance();
        String from = f.words(first.value()) + " on " + shown.day(first.day());
        String to = f.words(last.value());
        if (f.words(first.value()).equals(to)) return "As on " + shown.day(first.day()) + ".";
        String much = distance ? Shown.clock(Math.abs(change)) : Math.round(Math.abs(change)) + " W";
        String less = distance ? (change < 0 ? " faster" : " slower") : change < 0 ? " less" : " more";
        return "It was " + from + "; " + (f.day().isAfter(today) ? "now it is " : "on the day before it was ") + much
                + less + ".";
    }

    private String came(Foreseen f) {
        if (f.day().isAfter(today)) return "";
        if (f.came() == null && f.day().equals(today)) return ""; // it may still be raced, or not yet uploaded
        if (f.came() == null)
            return "No recording of that day holds " + (f.course().isDistance() ? "the distance" : "the time") + ".";
        boolean held = Boolean.TRUE.equals(f.held());
        boolean better = f.course().isDistance()
                ? f.came() < f.latest().low()
                : f.came() > f.latest().high();
        return f.words(f.came()) + " came: "
                + (held ? "inside the range." : better ? "better than the range." : "not as good as the range.");
    }

    /** Days across, results upwards: less time or more power is higher. */
    private record Scale(LocalDate from, double days, double low, double high, boolean distance) {
        static Scale of(Foreseen f) {
            double low = f.made().stream().mapToDouble(Made::low).min().orElse(0);
            double high = f.made().stream().mapToDouble(Made::high).max().orElse(1);
            if (f.came() != null) {
                low = Math.min(low, f.came());
                high = Math.max(high, f.came());
            }
            LocalDate from = f.first() == null ? f.day() : f.first().day();
            double days = Math.max(1, f.day().toEpochDay() - from.toEpochDay());
            return new Scale(from, days, low, high, f.course().isDistance());
        }

        double x(LocalDate day) {
            return MARGIN + (WIDE - 2 * MARGIN) * (day.toEpochDay() - from.toEpochDay()) / days;
        }

        double y(double value) {
            double share = (value - low) / Math.max(1e-9, high - low);
            return MARGIN + (HIGH - 2 * MARGIN) * (distance ? share : 1 - share);
        }

        String line(List<Made> made) {
            StringBuilder path = new StringBuilder();
            for (Made m : made) point(path, m.day(), m.value());
            return path.toString();
        }

        String band(List<Made> made) {
            StringBuilder path = new StringBuilder();
            for (Made m : made) point(path, m.day(), m.high());
            for (int i = made.size() - 1; i >= 0; i--)
                point(path, made.get(i).day(), made.get(i).low());
            return path.append('Z').toString();
        }

        private void point(StringBuilder path, LocalDate day, double value) {
            path.append(path.isEmpty() ? 'M' : 'L').append(Path.at(x(day), y(value)));
        }
    }
}
