package pemblar.app.planner.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;
import pemblar.core.season.Hours;
import pemblar.core.season.WantedBalance;

/**
 * The season opened up, in a box of 1232 by {@link #HEIGHT}: blocks whose area is their load, and on the same axis of
 * days load, balance and hours.
 *
 * @param pointsPerUnit load per day that one unit of height stands for
 * @param daysPerUnit days that one unit of width stands for
 */
public record SeasonDrawing(
        List<Column> columns,
        List<Band> bands,
        List<Flag> flags,
        List<Tick> months,
        List<Tick> blockTicks,
        List<Tick> loadTicks,
        List<Tick> balanceTicks,
        List<Tick> hourTicks,
        String chronicDone,
        String chronicAhead,
        String acuteDone,
        String acuteAhead,
        String balanceDone,
        String balanceAhead,
        double balanceZero,
        List<Wanted> wanted,
        String available,
        List<Bar> hours,
        double todayX,
        LocalDate first,
        LocalDate last,
        double pointsPerUnit,
        double daysPerUnit) {
    static final double HEIGHT = 596;
    private static final double LEFT = 46;
    private static final double RIGHT = 1224;
    private static final double BLOCK_TOP = 40;
    private static final double BLOCK_FLOOR = 214;
    private static final double LOAD_TOP = 258;
    private static final double LOAD_FLOOR = 358;
    private static final double BALANCE_TOP = 384;
    private static final double BALANCE_FLOOR = 464;
    private static final double HOURS_TOP = 492;
    private static final double HOURS_FLOOR = 572;
    private static final double LETTER = 6.6;

    /** A block; the target is the outline, planned and done are fills. {@code numberY} is where its figures stand. */
    public record Column(
            Block block,
            double x,
            double width,
            double targetY,
            double targetHeight,
            double plannedY,
            double plannedHeight,
            double doneY,
            double doneHeight,
            double figure,
            String name,
            boolean movable,
            boolean edge,
            String label) {
        public double right() {
            return x + width;
        }
    }

    /** The figures beside the lanes and the months under them, with their lines. */
    public String grid() {
        SeasonElements lines = new SeasonElements();
        lines.across(blockTicks).across(loadTicks).across(balanceTicks).across(hourTicks);
        return lines.months(months).toString();
    }

    public String drawnBlocks(Shown shown) {
        return new SeasonElements()
                .blocks(columns, shown)
                .handles(columns, shown)
                .bands(bands)
                .toString();
    }

    public String drawnHours() {
        return new SeasonElements().hours(hours).toString();
    }

    public record Band(double x, double width, String text) {}

    public record Flag(double x, SeasonEvent event, String text, boolean leftward) {
        public double textX() {
            return leftward ? x - 5 : x + 13;
        }

        public String anchor() {
            return leftward ? "end" : "start";
        }
    }

    public record Tick(double at, String text) {}

    /** The balance wanted on a morning, and the one that comes out. */
    public record Wanted(double x, double y, double height, double atY, boolean inside, String label) {}

    public record Bar(
            double x,
            double width,
            double plannedY,
            double plannedHeight,
            double doneY,
            double doneHeight,
            boolean over) {}

    static SeasonDrawing of(Held held, Trend trend, LocalDate from, LocalDate to) {
        return new Maker(held, trend, from, to).draw();
    }

    private static final class Maker {
        private final Held held;
        private final Trend trend;
        private final LocalDate first;
        private final LocalDate last;
        private final List<Block> blocks;
        private final NavigableMap<LocalDate, DayLoad> byDay = new TreeMap<>();
        private final List<LoadTrend.Day> days;
        private final Hours available;
        private final double highest;
        private final double highestTrend;
        private final double balanceMost;
        private final double mostHours;

        Maker(Held held, Trend trend, LocalDate from, LocalDate to) {
            this.held = held;
            this.trend = trend;
            this.blocks = held.blocks().stream()
                    .filter(b -> !b.last().isBefore(from) && !b.first().isAfter(to))
                    .toList();
            this.first = blocks.isEmpty() || blocks.get(0).first().isAfter(from)
                    ? from
                    : blocks.get(0).first();
            this.last = to;
            LocalDate end = blocks.stream().map(Block::last).reduce(last, (a, b) -> a.isAfter(b) ? a : b);
            trend.dayLoads(first, end).forEach(d -> byDay.put(d.day(), d));
            this.days = trend.days(first, last);
            this.available = held.settings().hours(held.away());
            this.highest = rounded(
                    blocks.stream()
                                    .mapToDouble(
                                            b -> Math.max(b.targetLoad(), Math.max(planned(b), done(b))) / b.days())
                                    .max()
                                    .orElse(60)
                            * 1.12,
                    20);
            this.highestTrend = rounded(
                    days.stream()
                            .mapToDouble(d -> Math.max(d.acute(), d.chronic()))
                            .max()
                            .orElse(60),
                    20);
            this.balanceMost = rounded(
                    days.stream().mapToDouble(d -> Math.abs(d.balance())).max().orElse(20), 20);
            this.mostHours = rounded(
                    Math.max(
                            held.settings().weeklyHours(),
                            blocks.stream()
                                    .mapToDouble(b -> 7 * Math.max(plannedSeconds(b), doneSeconds(b)) / 3600 / b.days())
                                    .max()
                                    .orElse(8)),
                    4);
        }

        private static double rounded(double value, double step) {
            return Math.max(step, Math.ceil(value / step) * step);
        }

        SeasonDrawing draw() {
            return new SeasonDrawing(
                    columns(),
                    bands(),
                    flags(),
                    months(),
                    ticks(0, highest, 20, BLOCK_TOP, BLOCK_FLOOR),
                    ticks(0, highestTrend, 40, LOAD_TOP, LOAD_FLOOR),
                    balanceTicks(),
                    ticks(0, mostHours, 4, HOURS_TOP, HOURS_FLOOR),
                    trendLine(LoadTrend.Day::chronic, false),
                    trendLine(LoadTrend.Day::chronic, true),
                    trendLine(LoadTrend.Day::acute, false),
                    trendLine(LoadTrend.Day::acute, true),
                    line(d -> balance(d.balance()), false),
                    line(d -> balance(d.balance()), true),
                    balance(0),
                    wanted(),
                    availableLine(),
                    hours(),
                    x(trend.today()) + dayWidth() / 2,
                    first,
                    last,
                    highest / (BLOCK_FLOOR - BLOCK_TOP),
                    1 / dayWidth());
        }

        private double dayWidth() {
            return (RIGHT - LEFT) / (last.toEpochDay() - first.toEpochDay() + 1);
        }

        private double x(LocalDate day) {
            return LEFT + (day.toEpochDay() - first.toEpochDay()) * dayWidth();
        }

        private double sum(Block block, ToDoubleFunction<DayLoad> value) {
            return byDay.subMap(block.first(), true, block.last(), true).values().stream()
                    .mapToDouble(value)
                    .sum();
        }

        private double planned(Block block) {
            return sum(block, DayLoad::plannedLoad);
        }

        private double done(Block block) {
            return sum(block, DayLoad::doneLoad);
        }

        private double plannedSeconds(Block block) {
            return Math.max(block.targetSeconds(), sum(block, DayLoad::plannedSeconds));
        }

        private double doneSeconds(Block block) {
            return sum(block, DayLoad::doneSeconds);
        }

        private double height(double loadPerDay) {
            return (BLOCK_FLOOR - BLOCK_TOP) * Math.min(1, loadPerDay / highest);
        }

        private List<Column> columns() {
            List<Column> columns = new ArrayList<>();
            for (int i = 0; i < blocks.size(); i++) {
                Block b = blocks.get(i);
                boolean past = b.last().isBefore(trend.today());
                double figure = b.targetLoad() > 0 ? b.targetLoad() : planned(b) > 0 ? planned(b) : done(b);
                double target = height((b.targetLoad() > 0 ? b.targetLoad() : planned(b)) / b.days());
                double planned = height(planned(b) / b.days());
                double done = height(done(b) / b.days());
                double width = b.days() * dayWidth() - 1.5;
                boolean follows = i + 1 < blocks.size()
                        && blocks.get(i + 1).first().equals(b.last().plusDays(1));
                String name = b.name().length() * LETTER <= width - 4 ? b.name() : "";
                columns.add(new Column(
                        b,
                        x(b.first()) + 0.75,
                        width,
                        BLOCK_FLOOR - target,
                        target,
                        BLOCK_FLOOR - planned,
                        planned,
                        BLOCK_FLOOR - done,
                        done,
                        figure,
                        name,
                        !past,
                        !past && follows && !b.last().isBefore(trend.today()),
                        label(b, figure)));
            }
            return columns;
        }

        private String label(Block b, double figure) {
            return b.name() + ", " + b.first() + " to " + b.last() + ": target " + Math.round(figure) + ", planned "
                    + Math.round(planned(b)) + ", done " + Math.round(done(b)) + " load"
                    + (b.pinned() ? ", pinned" : "");
        }

        private List<Band> bands() {
            List<Band> bands = new ArrayList<>();
            int begin = 0;
            for (int i = 1; i <= blocks.size(); i++) {
                if (i < blocks.size()
                        && blocks.get(i).phase() == blocks.get(begin).phase()
                        && blocks.get(i).first().equals(blocks.get(i - 1).last().plusDays(1))) continue;
                double width = x(blocks.get(i - 1).last().plusDays(1))
                        - x(blocks.get(begin).first());
                String text = blocks.get(begin).phase().name().toLowerCase(Locale.ROOT);
                bands.add(
                        new Band(x(blocks.get(begin).first()), width, text.length() * LETTER > width - 4 ? "" : text));
                begin = i;
            }
            return bands;
        }

        private List<Flag> flags() {
            List<Flag> flags = new ArrayList<>();
            double taken = 0;
            for (SeasonEvent event : held.events()) {
                if (event.day().isBefore(first) || event.day().isAfter(last)) continue;
                double x = x(event.day()) + dayWidth() / 2;
                String text = event.priority() + " · " + event.name();
                double width = LETTER * text.length() + 16;
                boolean leftward = x + width > RIGHT;
                boolean free = leftward ? x - width > taken : x > taken;
                flags.add(new Flag(x, event, free ? text : event.priority().name(), free && leftward));
                taken = leftward ? x + 14 : x + (free ? width : 22);
            }
            return flags;
        }

        private List<Tick> months() {
            List<Tick> ticks = new ArrayList<>();
            for (LocalDate month = first.withDayOfMonth(1).plusMonths(1);
                    !month.isAfter(last);
                    month = month.plusMonths(1))
                ticks.add(new Tick(
                        x(month),
                        month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH)
                                + (month.getMonthValue() == 1 ? " " + month.getYear() : "")));
            return ticks;
        }

        private static List<Tick> ticks(double low, double high, double step, double top, double floor) {
            List<Tick> ticks = new ArrayList<>();
            double wide = (high - low) / step > 5 ? step * 2 : step;
            for (double v = low; v <= high + 1e-9; v += wide)
                ticks.add(new Tick(floor - (floor - top) * (v - low) / (high - low), String.valueOf(Math.round(v))));
            return ticks;
        }

        private List<Tick> balanceTicks() {
            return List.of(
                    new Tick(balance(balanceMost), "+" + Math.round(balanceMost)),
                    new Tick(balance(0), "0"),
                    new Tick(balance(-balanceMost), "−" + Math.round(balanceMost)));
        }

        private double balance(double value) {
            return (BALANCE_TOP + BALANCE_FLOOR) / 2
                    - (BALANCE_FLOOR - BALANCE_TOP) / 2 * Math.max(-1, Math.min(1, value / balanceMost));
        }

        private String trendLine(ToDoubleFunction<LoadTrend.Day> value, boolean ahead) {
            return line(d -> LOAD_FLOOR - (LOAD_FLOOR - LOAD_TOP) * value.applyAsDouble(d) / highestTrend, ahead);
        }

        private String line(ToDoubleFunction<LoadTrend.Day> y, boolean ahead) {
            StringBuilder path = new StringBuilder();
            for (LoadTrend.Day day : days) {
                if (ahead ? day.date().isBefore(trend.today()) : day.date().isAfter(trend.today())) continue;
                path.append(path.isEmpty() ? 'M' : 'L')
                        .append(tenths(x(day.date()) + dayWidth() / 2))
                        .append(' ')
                        .append(tenths(y.applyAsDouble(day)));
            }
            return path.toString();
        }

        /** With one digit; much faster than a format, of which a drawing would need two thousand. */
        private static String tenths(double value) {
            long tenths = Math.round(value * 10);
            return tenths / 10 + "." + Math.abs(tenths % 10);
        }

        private List<Wanted> wanted() {
            List<Wanted> all = new ArrayList<>();
            for (SeasonEvent event : held.events()) {
                WantedBalance wish = WantedBalance.of(event.priority());
                LoadTrend.Day day = trend.on(event.day());
                if (wish == null
                        || day == null
                        || event.day().isBefore(first)
                        || event.day().isAfter(last)) continue;
                double chronic = day.chronicBefore();
                double low = wish.low(chronic);
                double high = wish.high(chronic);
                boolean inside = day.balance() >= low && day.balance() <= high;
                all.add(new Wanted(
                        x(event.day()) + dayWidth() / 2,
                        balance(high),
                        balance(low) - balance(high),
                        balance(day.balance()),
                        inside,
                        event.name() + ": balance " + signed(day.balance()) + ", wanted " + signed(low) + " to "
                                + signed(high)));
            }
            return all;
        }

        private static String signed(double value) {
            long whole = Math.round(value);
            return whole > 0 ? "+" + whole : whole < 0 ? "−" + -whole : "0";
        }

        private double hoursY(double weekly) {
            return HOURS_FLOOR - (HOURS_FLOOR - HOURS_TOP) * Math.min(1, weekly / mostHours);
        }

        private String availableLine() {
            StringBuilder path = new StringBuilder();
            double before = Double.NaN;
            for (LocalDate day = trend.today().isAfter(first) ? trend.today() : first;
                    !day.isAfter(last);
                    day = day.plusDays(1)) {
                double weekly = 7 * available.on(day);
                if (weekly != before)
                    path.append(path.isEmpty() ? 'M' : 'L')
                            .append(tenths(x(day)))
                            .append(' ')
                            .append(tenths(hoursY(Double.isNaN(before) ? weekly : before)))
                            .append('L')
                            .append(tenths(x(day)))
                            .append(' ')
                            .append(tenths(hoursY(weekly)));
                before = weekly;
            }
            return path.isEmpty()
                    ? ""
                    : path.append('L')
                            .append(tenths(RIGHT))
                            .append(' ')
                            .append(tenths(hoursY(before)))
                            .toString();
        }

        private List<Bar> hours() {
            List<Bar> bars = new ArrayList<>();
            for (Block b : blocks) {
                double plannedY = hoursY(7 * plannedSeconds(b) / 3600 / b.days());
                double doneY = hoursY(7 * doneSeconds(b) / 3600 / b.days());
                boolean over = !b.last().isBefore(trend.today())
                        && plannedSeconds(b) / 3600 > 1.02 * available.over(b.first(), b.days());
                bars.add(new Bar(
                        x(b.first()) + 0.75,
                        b.days() * dayWidth() - 1.5,
                        plannedY,
                        HOURS_FLOOR - plannedY,
                        doneY,
                        HOURS_FLOOR - doneY,
                        over));
            }
            return bars;
        }
    }
}
