package pemblar.app.strength.sets;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pemblar.app.frame.page.Units;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.range.DayRange;

/**
 * One exercise over weeks, in a box of {@link #WIDTH} by 300: estimates of each day as dots, the maximum in use as
 * steps, volume of each week as columns below.
 */
public record SetsDrawing(
        List<Dot> dots, String steps, List<Column> columns, List<Tick> values, List<Tick> volumes, List<Tick> months) {
    static final double WIDTH = 760;
    private static final double LEFT = 44;
    private static final double TOP = 12;
    private static final double FLOOR = 170;
    private static final double VOLUME_TOP = 206;
    private static final double VOLUME_FLOOR = 270;

    public record Dot(double x, double y, String title) {}

    public record Column(double x, double y, double width, double height, String title) {}

    public record Tick(double at, String text) {}

    /** @param maxima in use, by the day they hold from; a value before the range holds at its begin */
    static SetsDrawing of(
            DayRange days,
            Map<LocalDate, Double> estimates,
            List<MaximaService.Dated> maxima,
            Map<LocalDate, Double> volume) {
        return new Maker(days.from(), days.to(), estimates, maxima, volume).draw();
    }

    private record Maker(
            LocalDate from,
            LocalDate to,
            Map<LocalDate, Double> estimates,
            List<MaximaService.Dated> maxima,
            Map<LocalDate, Double> volume) {

        SetsDrawing draw() {
            double low = low();
            double high = high(low);
            List<Dot> dots = new ArrayList<>();
            estimates.forEach((day, kilograms) ->
                    dots.add(new Dot(x(day), y(kilograms, low, high), day + ": " + Kilograms.rounded(kilograms))));
            return new SetsDrawing(dots, steps(low, high), columns(), values(low, high), volumes(), months());
        }

        private List<Double> all() {
            List<Double> all = new ArrayList<>(estimates.values());
            maxima.stream().filter(m -> !m.day().isAfter(to)).forEach(m -> all.add(m.kilograms()));
            return all;
        }

        private double low() {
            return all().isEmpty() ? 0 : Math.floor(Collections.min(all()) * 0.95 / 5) * 5;
        }

        private double high(double low) {
            double most = all().isEmpty() ? 10 : Collections.max(all());
            return Math.max(low + 10, Math.ceil(most * 1.02 / 5) * 5);
        }

        private double x(LocalDate day) {
            double days = Math.max(1, ChronoUnit.DAYS.between(from, to));
            return LEFT + (WIDTH - LEFT - 6) * Math.max(0, ChronoUnit.DAYS.between(from, day)) / days;
        }

        private static double y(double kilograms, double low, double high) {
            return FLOOR - (FLOOR - TOP) * (kilograms - low) / (high - low);
        }

        private String steps(double low, double high) {
            StringBuilder path = new StringBuilder();
            for (MaximaService.Dated m : maxima) {
                if (m.day().isAfter(to)) continue;
                String at = String.format(Locale.ROOT, "%.1f", y(m.kilograms(), low, high));
                if (path.isEmpty()) path.append(String.format(Locale.ROOT, "M%.1f %s", x(m.day()), at));
                else path.append(String.format(Locale.ROOT, "H%.1fV%s", x(m.day()), at));
            }
            if (!path.isEmpty()) path.append(String.format(Locale.ROOT, "H%.1f", x(to)));
            return path.toString();
        }

        private double mostVolume() {
            return volume.isEmpty() ? 1 : Math.max(1, Collections.max(volume.values()));
        }

        private List<Column> columns() {
            List<Column> columns = new ArrayList<>();
            volume.forEach((monday, kilograms) -> {
                double height = (VOLUME_FLOOR - VOLUME_TOP) * kilograms / mostVolume();
                double x = x(monday);
                columns.add(new Column(
                        x,
                        VOLUME_FLOOR - height,
                        Math.max(2, Math.min(WIDTH, x(monday.plusDays(6))) - x),
                        height,
                        "week of " + monday + ": " + Kilograms.sum(kilograms)));
            });
            return columns;
        }

        private List<Tick> values(double low, double high) {
            double unit = Units.mine().massKilograms();
            double range = (high - low) / unit;
            double step = unit * (range > 120 ? 50 : range > 60 ? 20 : range > 25 ? 10 : 5);
            List<Tick> ticks = new ArrayList<>();
            for (double v = Math.ceil(low / step) * step; v <= high; v += step)
                ticks.add(new Tick(y(v, low, high), Kilograms.sum(v)));
            return ticks;
        }

        private List<Tick> volumes() {
            return volume.isEmpty()
                    ? List.of()
                    : List.of(new Tick(VOLUME_TOP, Kilograms.sum(mostVolume())), new Tick(VOLUME_FLOOR, "0"));
        }

        private List<Tick> months() {
            List<Tick> ticks = new ArrayList<>();
            for (LocalDate m = from.withDayOfMonth(1).plusMonths(1); !m.isAfter(to); m = m.plusMonths(1))
                ticks.add(new Tick(x(m), m.getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH)));
            return ticks;
        }

        private static double round(double kilograms) {
            return Math.rint(kilograms * 10) / 10;
        }
    }
}
