package pemblar.app.progress.fitness;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.DoubleStream;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Path;
import pemblar.app.frame.page.Shown;
import pemblar.core.aerobic.AerobicTrend;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Pace;

/**
 * The aerobic trend in a box of 1000 by 260: its line with the 95 % band, sessions as measured (open) and adjusted
 * (filled).
 */
public record FitnessDrawing(String line, String band, List<Dot> dots, List<Tick> values, List<Tick> months) {
    private static final double WIDTH = 1000;
    private static final double HEIGHT = 260;
    /** Room that a month's name needs on its right. */
    private static final double MONTH_NAME = 30;

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    record Dot(double x, double measuredY, double adjustedY, String label) {}

    public record Tick(double at, String text) {}

    /** All dots as marks of a drawing, as they are too many for the template to make one by one. */
    public String marks() {
        Markup svg = new Markup();
        for (Dot d : dots) {
            svg.begin("g").inside().title(d.label());
            svg.begin("circle").with("class", "measured").with("r", 3);
            svg.with("cx", d.x()).with("cy", d.measuredY()).end();
            svg.begin("circle").with("class", "adjusted").with("r", 2.6);
            svg.with("cx", d.x()).with("cy", d.adjustedY()).end().close("g");
        }
        return svg.toString();
    }

    static FitnessDrawing of(AerobicTrend trend, boolean run) {
        LocalDate first = trend.weeks().get(0).day();
        LocalDate last = trend.weeks().get(trend.weeks().size() - 1).day();
        for (AerobicTrend.Adjusted a : trend.adjusted()) if (a.day().isAfter(last)) last = a.day();
        double[] all = trend.adjusted().stream()
                .flatMapToDouble(a -> DoubleStream.of(a.adjusted(), a.measured()))
                .sorted()
                .toArray();
        double low = Math.min(
                        all[all.length / 50],
                        trend.weeks().stream()
                                .mapToDouble(AerobicTrend.Week::low)
                                .min()
                                .orElse(0))
                * 0.98;
        double high = Math.max(
                        all[all.length - 1 - all.length / 50],
                        trend.weeks().stream()
                                .mapToDouble(AerobicTrend.Week::high)
                                .max()
                                .orElse(1))
                * 1.02;
        Scale scale = new Scale(first, last, low, high);
        StringBuilder line = new StringBuilder();
        StringBuilder band = new StringBuilder();
        for (AerobicTrend.Week w : trend.weeks())
            line.append(line.isEmpty() ? 'M' : 'L').append(scale.point(w.day(), w.value()));
        for (AerobicTrend.Week w : trend.weeks())
            band.append(band.isEmpty() ? 'M' : 'L').append(scale.point(w.day(), w.high()));
        for (int i = trend.weeks().size() - 1; i >= 0; i--)
            band.append('L')
                    .append(scale.point(
                            trend.weeks().get(i).day(), trend.weeks().get(i).low()));
        List<Dot> dots = trend.adjusted().stream()
                .map(a -> new Dot(
                        scale.x(a.day()),
                        scale.y(a.measured()),
                        scale.y(a.adjusted()),
                        a.day().format(DAY) + ": measured " + shown(a.measured(), run) + ", in like conditions "
                                + shown(a.adjusted(), run)))
                .toList();
        return new FitnessDrawing(
                line.toString(), band.append('Z').toString(), dots, ticks(scale, run), months(scale, first, last));
    }

    static String shown(double value, boolean run) {
        return run ? Shown.speedFigure(Sport.RUN, value) + " " + Shown.speedUnit(Sport.RUN) : Math.round(value) + " W";
    }

    private record Scale(LocalDate first, LocalDate last, double low, double high) {
        double x(LocalDate day) {
            return WIDTH
                    * (day.toEpochDay() - first.toEpochDay())
                    / Math.max(1.0, last.toEpochDay() - first.toEpochDay());
        }

        double y(double value) {
            return Math.max(0, Math.min(HEIGHT, HEIGHT - HEIGHT * (value - low) / (high - low)));
        }

        String point(LocalDate day, double value) {
            return Path.at(x(day), y(value));
        }
    }

    private static List<Tick> ticks(Scale scale, boolean run) {
        List<Tick> ticks = new ArrayList<>();
        if (run) {
            double metres = Shown.unit(Sport.RUN).paceMetres();
            for (int pace = 120; pace < 1500; pace += 15)
                if (metres / pace > scale.low() && metres / pace < scale.high())
                    ticks.add(new Tick(scale.y(metres / pace), Pace.clock(pace)));
            return ticks;
        }
        double span = scale.high() - scale.low();
        double step = span > 150 ? 50 : span > 60 ? 20 : span > 30 ? 10 : 5;
        for (double v = Math.ceil(scale.low() / step) * step; v < scale.high(); v += step)
            ticks.add(new Tick(scale.y(v), String.valueOf(Math.round(v))));
        return ticks;
    }

    private static List<Tick> months(Scale scale, LocalDate first, LocalDate last) {
        List<Tick> months = new ArrayList<>();
        for (LocalDate month = first.withDayOfMonth(1).plusMonths(1); !month.isAfter(last); month = month.plusMonths(1))
            if (scale.x(month) < WIDTH - MONTH_NAME)
                months.add(new Tick(
                        scale.x(month),
                        month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH)));
        return months;
    }
}
