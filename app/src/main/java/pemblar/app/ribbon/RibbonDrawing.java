package pemblar.app.ribbon;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.TreeMap;
import pemblar.app.frame.page.Path;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.SeasonEvent;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;

/** Lays the season out along one line of days. */
final class RibbonDrawing {
    private static final double GAP = 2;
    private static final double BAND_LETTER = 6.2;
    private static final double FLAG_LETTER = 6.4;
    private static final double FLAG_SPACE = 16;
    private static final double NARROWEST_BRACKET = 14;
    private final LocalDate first;
    private final LocalDate last;
    private final Trend trend;
    private final NavigableMap<LocalDate, DayLoad> byDay = new TreeMap<>();
    private final List<Block> blocks;
    private final double highest;

    RibbonDrawing(List<Block> blocks, Trend trend) {
        this.blocks = blocks;
        this.trend = trend;
        this.first = blocks.get(0).first();
        this.last = blocks.get(blocks.size() - 1).last();
        for (DayLoad d : trend.dayLoads(first, last)) byDay.put(d.day(), d);
        double most = 20;
        for (Block block : blocks) most = Math.max(most, Math.max(planned(block), done(block)) / block.days());
        for (LoadTrend.Day day : trend.days(first, last)) most = Math.max(most, day.chronic());
        this.highest = most;
    }

    Ribbon draw(List<SeasonEvent> events, LocalDate from, LocalDate to) {
        List<Ribbon.Column> columns = blocks.stream().map(this::column).toList();
        double bracketEnd = Math.max(
                NARROWEST_BRACKET,
                Math.min(
                        Ribbon.WIDTH,
                        Math.max(x(to.plusDays(1)), x(from) + NARROWEST_BRACKET))); // days outside lie at its end
        double bracket = Math.max(0, Math.min(x(from), bracketEnd - NARROWEST_BRACKET));
        return new Ribbon(
                columns,
                bands(),
                flags(events),
                line(first, min(trend.today(), last)),
                line(trend.today(), last),
                x(trend.today()) + dayWidth() / 2,
                bracket,
                bracketEnd - bracket);
    }

    private static LocalDate min(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private double dayWidth() {
        return Ribbon.WIDTH / (last.toEpochDay() - first.toEpochDay() + 1);
    }

    private double x(LocalDate day) {
        return (day.toEpochDay() - first.toEpochDay()) * dayWidth();
    }

    private double height(double loadPerDay) {
        return (Ribbon.FLOOR - Ribbon.CEILING) * loadPerDay / highest;
    }

    private double planned(Block block) {
        double sum = byDay.subMap(block.first(), true, block.last(), true).values().stream()
                .mapToDouble(DayLoad::plannedLoad)
                .sum();
        return sum > 0 ? sum : block.targetLoad();
    }

    private double done(Block block) {
        return byDay.subMap(block.first(), true, block.last(), true).values().stream()
                .mapToDouble(DayLoad::doneLoad)
                .sum();
    }

    private Ribbon.Column column(Block block) {
        double planned = height(planned(block) / block.days());
        double done = height(done(block) / block.days());
        double inside = Math.min(planned, done);
        double over = Math.max(0, done - planned);
        String label = block.name() + ", " + block.first() + ": " + Math.round(done(block)) + " of "
                + Math.round(planned(block)) + " load";
        return new Ribbon.Column(
                x(block.first()) + GAP / 2,
                Math.max(1, block.days() * dayWidth() - GAP),
                Ribbon.FLOOR - planned,
                planned,
                Ribbon.FLOOR - inside,
                inside,
                Ribbon.FLOOR - planned - over,
                over,
                block.first(),
                block.last(),
                label);
    }

    private List<Ribbon.Band> bands() {
        List<Ribbon.Band> bands = new ArrayList<>();
        int begin = 0;
        for (int i = 1; i <= blocks.size(); i++) {
            if (i < blocks.size() && blocks.get(i).phase() == blocks.get(begin).phase()) continue;
            double width = x(blocks.get(i - 1).last().plusDays(1))
                    - x(blocks.get(begin).first());
            String text = blocks.get(begin).phase().name().toLowerCase(Locale.ROOT);
            bands.add(new Ribbon.Band(
                    x(blocks.get(begin).first()), width, text.length() * BAND_LETTER > width - 6 ? "" : text));
            begin = i;
        }
        return bands;
    }

    /** A flag's text gives way to one letter where it would run into the text of a more important event. */
    private List<Ribbon.Flag> flags(List<SeasonEvent> events) {
        List<Ribbon.Flag> flags = new ArrayList<>();
        List<double[]> taken = new ArrayList<>();
        List<SeasonEvent> inside = events.stream()
                .filter(e -> !e.day().isBefore(first) && !e.day().isAfter(last))
                .sorted(java.util.Comparator.comparing(SeasonEvent::priority))
                .toList();
        for (SeasonEvent event : inside) {
            double x = x(event.day()) + dayWidth() / 2;
            String text = event.priority() + " · " + event.name();
            double width = FLAG_LETTER * text.length();
            boolean leftward = x + FLAG_SPACE + width > Ribbon.WIDTH;
            double from = leftward ? x - width : x;
            double to = leftward ? x + FLAG_SPACE : x + FLAG_SPACE + width;
            boolean free = taken.stream().noneMatch(t -> t[0] < to && t[1] > from);
            if (free) taken.add(new double[] {from, to});
            flags.add(new Ribbon.Flag(
                    x, free && leftward, free ? text : event.priority().name(), event.priority()));
        }
        return flags;
    }

    private String line(LocalDate from, LocalDate to) {
        Path path = new Path();
        for (LocalDate day = from; !day.isAfter(to); day = day.plusDays(2)) {
            LoadTrend.Day point = trend.on(day);
            if (point != null) path.on(x(day) + dayWidth() / 2, Ribbon.FLOOR - height(point.chronic()));
        }
        return path.toString();
    }
}
