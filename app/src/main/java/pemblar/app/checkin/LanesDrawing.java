package pemblar.app.checkin;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.function.Predicate;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Path;
import pemblar.core.checkin.BandWords;
import pemblar.core.checkin.Bands;
import pemblar.core.checkin.Bands.Verdict;
import pemblar.core.checkin.Measure;
import pemblar.core.range.DayRange;

/**
 * Small lanes over 90 days, each 1000 by 84: the usual as a band that moves with the days, each morning's value, the
 * 7-day mean, days out of band.
 */
public record LanesDrawing(List<Lane> lanes, List<Load> loads, double mostLoad, List<Tick> months, List<Shade> shades) {
    static final double WIDTH = 1000;
    private static final double NAME = 26;
    static final double HEIGHT = 84;
    private static final double LOAD_FLOOR = 66;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    /** @param sentence where the last days stand, in words */
    public record Lane(
            Measure measure,
            String name,
            String unit,
            String sentence,
            String band,
            String mean,
            List<Dot> dots,
            List<Tick> ticks,
            int missing) {
        /** The mornings' values as elements. */
        public String mornings() {
            Markup text = new Markup();
            dots.forEach(dot -> dot.draw(text));
            return text.toString();
        }
    }

    /** A morning's value; {@code out} when the mean of that morning was out of band. */
    public record Dot(double x, double y, boolean out, boolean latest, String label) {
        private static final double REACH = 5;
        private static final double RADIUS = 2.4;

        private void draw(Markup text) {
            text.begin("g").inside().title(label);
            if (out) {
                String diamond = "M" + Path.figure(x) + " " + Path.figure(y - REACH) + "l5 5-5 5-5-5z";
                text.begin("path").with("class", latest ? "out latest" : "out").with("d", diamond);
            } else {
                text.begin("circle").with("class", latest ? "morning latest" : "morning");
                text.with("r", RADIUS).with("cx", x).with("cy", y);
            }
            text.end().close("g");
        }
    }

    public record Load(double x, double width, double height, String label) {
        private void draw(Markup text) {
            text.begin("rect").with("class", "load").with("x", x).with("width", width);
            text.with("y", LOAD_FLOOR - height).with("height", height).inside();
            text.title(label).close("rect");
        }
    }

    /** Each day's load as elements. */
    public String days() {
        Markup text = new Markup();
        loads.forEach(load -> load.draw(text));
        return text.toString();
    }

    public record Tick(double at, String text) {}

    record Shade(double x, double width, String label) {}

    /** Only the lanes of what is asked. */
    LanesDrawing only(Predicate<Measure> asked) {
        return new LanesDrawing(
                lanes.stream().filter(lane -> asked.test(lane.measure())).toList(), loads, mostLoad, months, shades);
    }

    static LanesDrawing of(
            NavigableMap<LocalDate, Checkin> days,
            NavigableMap<LocalDate, Double> loads,
            List<DaysAway.Span> spans,
            DayRange shown) {
        LocalDate from = shown.from();
        LocalDate today = shown.to();
        List<Lane> lanes = new ArrayList<>();
        for (Measure measure : Measure.values()) lanes.add(new Maker(days, measure, from, today).lane());
        double most = Math.max(
                50,
                loads.subMap(from, true, today, true).values().stream()
                        .mapToDouble(Double::doubleValue)
                        .max()
                        .orElse(50));
        List<Load> bars = new ArrayList<>();
        loads.subMap(from, true, today, true)
                .forEach((day, load) -> bars.add(new Load(
                        x(day, from, today) - 3.5,
                        7,
                        60 * load / most,
                        DAY.format(day) + ": load " + Math.round(load))));
        List<Tick> months = new ArrayList<>();
        for (LocalDate month = from.withDayOfMonth(1).plusMonths(1); !month.isAfter(today); month = month.plusMonths(1))
            months.add(tick(x(month, from, today), month));
        List<Shade> shades = spans.stream()
                .filter(s -> !s.last().isBefore(from) && !s.first().isAfter(today))
                .map(s -> {
                    double left = Math.max(0, x(s.first(), from, today) - 5);
                    return new Shade(left, Math.max(8, Math.min(WIDTH, x(s.last(), from, today) + 5) - left), s.why());
                })
                .toList();
        return new LanesDrawing(lanes, bars, most, months, shades);
    }

    /** A month that begins at the right edge has no room for its name. */
    private static Tick tick(double at, LocalDate month) {
        String name = month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH);
        return new Tick(at, at > WIDTH - NAME ? "" : name);
    }

    private static double x(LocalDate day, LocalDate from, LocalDate today) {
        return 6
                + (WIDTH - 12)
                        * (day.toEpochDay() - from.toEpochDay())
                        / Math.max(1.0, today.toEpochDay() - from.toEpochDay());
    }

    /** One measure's lane. */
    private static final class Maker {
        private final Measure measure;
        private final LocalDate from;
        private final LocalDate today;
        private final NavigableMap<LocalDate, Double> values;
        private final List<Bands> bands = new ArrayList<>();
        private final double low;
        private final double high;

        Maker(NavigableMap<LocalDate, Checkin> days, Measure measure, LocalDate from, LocalDate today) {
            this.measure = measure;
            this.from = from;
            this.today = today;
            this.values = CheckinService.values(days, CheckinService.value(measure));
            for (LocalDate day = from; !day.isAfter(today); day = day.plusDays(1))
                bands.add(Bands.of(measure, values, day));
            double least = values.tailMap(from, true).values().stream()
                    .mapToDouble(Double::doubleValue)
                    .min()
                    .orElse(0);
            double most = values.tailMap(from, true).values().stream()
                    .mapToDouble(Double::doubleValue)
                    .max()
                    .orElse(1);
            double bandLow = bands.stream()
                    .mapToDouble(Bands::bandLow)
                    .filter(Double::isFinite)
                    .min()
                    .orElse(least);
            double bandHigh = bands.stream()
                    .mapToDouble(Bands::bandHigh)
                    .filter(Double::isFinite)
                    .max()
                    .orElse(most);
            double room = Math.max(1, (Math.max(most, bandHigh) - Math.min(least, bandLow)) * 0.08);
            this.low = Math.min(least, bandLow) - room;
            this.high = Math.max(most, bandHigh) + room;
        }

        Lane lane() {
            Bands last = bands.get(bands.size() - 1);
            return new Lane(
                    measure,
                    measure.words(),
                    measure == Measure.SLEEP ? "h" : measure.unit(),
                    BandWords.of(last),
                    band(),
                    mean(),
                    dots(),
                    ticks(),
                    values.isEmpty() ? 18 : last.missing());
        }

        private double y(double value) {
            return HEIGHT - 6 - (HEIGHT - 12) * (value - low) / (high - low);
        }

        private double at(int index) {
            return x(from.plusDays(index), from, today);
        }

        private String band() {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i < bands.size(); i++) {
                if (!Double.isFinite(bands.get(i).limit())) continue;
                int end = i;
                while (end + 1 < bands.size()
                        && Double.isFinite(bands.get(end + 1).limit())) end++;
                for (int k = i; k <= end; k++)
                    path.append(k == i ? 'M' : 'L').append(point(k, bands.get(k).bandHigh()));
                for (int k = end; k >= i; k--)
                    path.append('L').append(point(k, bands.get(k).bandLow()));
                path.append('Z');
                i = end;
            }
            return path.toString();
        }

        private String point(int index, double value) {
            return Path.at(at(index), y(value));
        }

        /** The 7-day mean; it breaks where fewer than four values are there. */
        private String mean() {
            StringBuilder path = new StringBuilder();
            boolean broken = true;
            for (int i = 0; i < bands.size(); i++) {
                double recent = bands.get(i).recent();
                if (Double.isFinite(recent)) path.append(broken ? 'M' : 'L').append(point(i, recent));
                broken = !Double.isFinite(recent);
            }
            return path.toString();
        }

        private List<Dot> dots() {
            List<Dot> dots = new ArrayList<>();
            values.subMap(from, true, today, true).forEach((day, value) -> {
                Bands of = bands.get((int) (day.toEpochDay() - from.toEpochDay()));
                dots.add(new Dot(
                        x(day, from, today),
                        y(value),
                        of.verdict() == Verdict.OUT_OF_BAND || of.sharp(),
                        day.equals(today),
                        DAY.format(day) + ": " + figure(value)));
            });
            return dots;
        }

        private String figure(double value) {
            if (measure == Measure.SLEEP)
                return (int) value / 60 + " h " + String.format(Locale.ROOT, "%02d", (int) value % 60);
            return Math.round(value) + " " + measure.unit();
        }

        private List<Tick> ticks() {
            if (values.isEmpty()) return List.of();
            double step = measure == Measure.SLEEP ? 60 : high - low > 40 ? 20 : high - low > 16 ? 10 : 5;
            List<Tick> ticks = new ArrayList<>();
            for (double v = Math.ceil(low / step) * step; v <= high; v += step)
                ticks.add(new Tick(
                        y(v),
                        measure == Measure.SLEEP ? String.valueOf(Math.round(v / 60)) : String.valueOf(Math.round(v))));
            return ticks;
        }
    }
}
