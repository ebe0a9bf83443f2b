package pemblar.app.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Path;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.core.load.LoadTrend;

/**
 * The load trend as two lanes on one axis of days, in a box of {@link #WIDTH} by {@link #HEIGHT}: day loads with acute
 * and chronic load, and balance. The part after today is the forecast.
 */
public record TrendDrawing(
        List<Bar> bars,
        String acuteDone,
        String acuteAhead,
        String chronicDone,
        String chronicAhead,
        String balanceDone,
        String balanceAhead,
        List<Tick> days,
        List<Tick> loads,
        List<Tick> balances,
        double todayX,
        double balanceZeroY,
        boolean hasForecast) {
    /** Some day's load is partly strength. */
    public boolean hasLifted() {
        return bars.stream().anyMatch(bar -> bar.liftedHeight() > 0);
    }

    /** Some day's load goes on beyond the axis. */
    public boolean hasCut() {
        return bars.stream().anyMatch(bar -> !bar.cut().isEmpty());
    }

    static final double WIDTH = 1232;
    static final double HEIGHT = 430;
    private static final double LEFT = 48;
    private static final double RIGHT = 8;
    private static final double LOAD_TOP = 10;
    private static final double LOAD_FLOOR = 250;
    private static final double BALANCE_TOP = 285;
    private static final double BALANCE_FLOOR = 405;
    /** How far the axis goes beyond what is usual: one day that nobody trained does not flatten all others. */
    private static final double TIMES_THE_MEDIAN = 4;

    /**
     * One day's load: done, or planned when still open; strength's share of both stands hatched at its foot. One that
     * the axis cuts has its figure in {@code cut}, else empty.
     */
    public record Bar(
            double x,
            double width,
            double doneY,
            double doneHeight,
            double openY,
            double openHeight,
            double liftedY,
            double liftedHeight,
            String cut) {
        private void draw(Markup text) {
            text.begin("g").inside();
            rect(text.begin("rect").with("class", "bar done"), doneY, doneHeight);
            if (openHeight > 0) rect(text.begin("rect").with("class", "bar open"), openY, openHeight);
            if (liftedHeight > 0)
                rect(
                        text.begin("rect").with("class", "bar lifted").with("fill", "url(#lifted)"),
                        liftedY,
                        liftedHeight);
            if (!cut.isEmpty()) goesOn(text);
            text.close("g");
        }

        private void rect(Markup begun, double y, double height) {
            begun.with("x", x)
                    .with("width", width)
                    .with("y", y)
                    .with("height", height)
                    .end();
        }

        private void goesOn(Markup text) {
            String wide = Path.figure(width + 6);
            text.begin("path").with("class", "cut");
            text.with("d", "M" + Path.figure(x - 3) + " 22l" + wide + " -5m0 4l-" + wide + " 5")
                    .end();
            text.begin("text").with("class", "cut").with("x", x + width + 5).with("y", 26);
            text.inside().words(cut).close("text");
        }
    }

    /** The days' bars as elements. */
    public String dayLoads() {
        Markup text = new Markup();
        bars.forEach(bar -> bar.draw(text));
        return text.toString();
    }

    public record Tick(double at, String text) {}

    static TrendDrawing of(Trend trend, LocalDate from, LocalDate to) {
        return new Maker(trend, from, to).draw();
    }

    private static final class Maker {
        private final Trend trend;
        private final LocalDate from;
        private final LocalDate to;
        private final List<LoadTrend.Day> days;
        private final double dayWidth;
        private final double highest;
        private final double balanceMost;

        Maker(Trend trend, LocalDate from, LocalDate to) {
            this.trend = trend;
            this.from = from;
            this.to = to;
            this.days = trend.days(from, to);
            this.dayWidth = (WIDTH - LEFT - RIGHT) / (to.toEpochDay() - from.toEpochDay() + 1);
            double most = days.stream()
                    .mapToDouble(d -> Math.max(d.load(), Math.max(d.acute(), d.chronic())))
                    .max()
                    .orElse(100);
            double usual = Math.max(
                    TIMES_THE_MEDIAN * median(days.stream().mapToDouble(LoadTrend.Day::load)),
                    TIMES_THE_MEDIAN / 2 * median(days.stream().mapToDouble(LoadTrend.Day::chronic)));
            this.highest = Math.max(50, Math.ceil((usual > 0 ? Math.min(most, usual) : most) / 50) * 50);
            double widest =
                    days.stream().mapToDouble(d -> Math.abs(d.balance())).max().orElse(20);
            double usualBalance = 2 * TIMES_THE_MEDIAN * median(days.stream().mapToDouble(d -> Math.abs(d.balance())));
            this.balanceMost = Math.max(20, Math.ceil(Math.min(widest, Math.max(20, usualBalance)) / 20) * 20);
        }

        /** Of what is above nothing; 0 without any. */
        private static double median(DoubleStream values) {
            double[] sorted = values.filter(v -> v > 0).sorted().toArray();
            return sorted.length == 0 ? 0 : sorted[sorted.length / 2];
        }

        TrendDrawing draw() {
            List<Bar> bars = new ArrayList<>();
            for (DayLoad sum : trend.dayLoads(from, to)) if (trend.on(sum.day()) != null) bars.add(bar(sum));
            LocalDate today = trend.today();
            return new TrendDrawing(
                    bars,
                    loadLine(LoadTrend.Day::acute, false),
                    loadLine(LoadTrend.Day::acute, true),
                    loadLine(LoadTrend.Day::chronic, false),
                    loadLine(LoadTrend.Day::chronic, true),
                    line(this::balanceY, false),
                    line(this::balanceY, true),
                    dayTicks(),
                    loadTicks(),
                    balanceTicks(),
                    x(today) + dayWidth,
                    balance(0),
                    days.stream().anyMatch(d -> d.date().isAfter(today)));
        }

        private Bar bar(DayLoad sum) {
            boolean over = sum.day().isBefore(trend.today());
            double whole = sum.doneLoad() + (over ? 0 : sum.openLoad());
            double done = height(sum.doneLoad());
            double open = height(whole) - done;
            double lifted = height(sum.liftedDone() + (over ? 0 : sum.liftedOpen()));
            return new Bar(
                    x(sum.day()) + dayWidth * 0.15,
                    Math.max(0.8, dayWidth * 0.7),
                    LOAD_FLOOR - done,
                    done,
                    LOAD_FLOOR - done - open,
                    open,
                    LOAD_FLOOR - lifted,
                    lifted,
                    whole > highest ? String.valueOf(Math.round(whole)) : "");
        }

        private double height(double load) {
            return (LOAD_FLOOR - LOAD_TOP) * Math.min(load, highest) / highest;
        }

        private double x(LocalDate day) {
            return LEFT + (day.toEpochDay() - from.toEpochDay()) * dayWidth;
        }

        private double balance(double value) {
            double within = Math.max(-balanceMost, Math.min(balanceMost, value));
            return (BALANCE_TOP + BALANCE_FLOOR) / 2 - (BALANCE_FLOOR - BALANCE_TOP) / 2 * within / balanceMost;
        }

        private double balanceY(LoadTrend.Day day) {
            return balance(day.balance());
        }

        private String loadLine(ToDoubleFunction<LoadTrend.Day> value, boolean ahead) {
            return line(day -> LOAD_FLOOR - height(value.applyAsDouble(day)), ahead);
        }

        private String line(ToDoubleFunction<LoadTrend.Day> y, boolean ahead) {
            Path path = new Path();
            for (LoadTrend.Day day : days) {
                if (ahead ? day.date().isBefore(trend.today()) : day.date().isAfter(trend.today())) continue;
                path.on(x(day.date()) + dayWidth / 2, y.applyAsDouble(day));
            }
            return path.toString();
        }

        private List<Tick> dayTicks() {
            List<Tick> ticks = new ArrayList<>();
            int step = days.size() > 400 ? 3 : 1;
            LocalDate last = from.plusDays(Math.round((WIDTH - LEFT - RIGHT) / dayWidth));
            for (LocalDate month = from.withDayOfMonth(1).plusMonths(1);
                    month.isBefore(last);
                    month = month.plusMonths(step))
                ticks.add(new Tick(
                        x(month),
                        month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH)
                                + (month.getMonthValue() == 1 ? " " + month.getYear() : "")));
            return ticks;
        }

        private List<Tick> loadTicks() {
            List<Tick> ticks = new ArrayList<>();
            double step = highest > 300 ? 100 : 50;
            for (double v = 0; v <= highest; v += step)
                ticks.add(new Tick(LOAD_FLOOR - (LOAD_FLOOR - LOAD_TOP) * v / highest, String.valueOf(Math.round(v))));
            return ticks;
        }

        private List<Tick> balanceTicks() {
            List<Tick> ticks = new ArrayList<>();
            for (double v : new double[] {-balanceMost, -balanceMost / 2, 0, balanceMost / 2, balanceMost}) {
                long whole = Math.round(v);
                ticks.add(new Tick(balance(v), whole > 0 ? "+" + whole : whole < 0 ? "−" + -whole : "0"));
            }
            return ticks;
        }
    }
}
