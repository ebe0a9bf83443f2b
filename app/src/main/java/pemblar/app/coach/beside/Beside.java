package pemblar.app.coach.beside;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.load.LoadTrend;

/** Weeks and best efforts of some athletes side by side. */
@Component
class Beside {
    static final int MOST = 4;
    private static final int WEEKS = 12;
    private static final double BAR = 100;
    private final AthleteService athletes;
    private final TrendService trends;
    private final ThresholdService thresholds;
    private final Bests bests;
    private final BesideCurve curves;
    private final BesideStretches stretches;
    private final DoubtService doubts;
    private final Shown shown;

    Beside(
            AthleteService athletes,
            TrendService trends,
            ThresholdService thresholds,
            Bests bests,
            BesideCurve curves,
            BesideStretches stretches,
            DoubtService doubts,
            Shown shown) {
        this.doubts = doubts;
        this.curves = curves;
        this.stretches = stretches;
        this.athletes = athletes;
        this.trends = trends;
        this.thresholds = thresholds;
        this.bests = bests;
        this.shown = shown;
    }

    /** Who can be chosen. */
    public record Choice(long id, String name) {}

    /**
     * One athlete's column; {@code chronic} and {@code balance} of this morning.
     *
     * @param mended the balance with what is probably wrong mended; empty when nothing is
     */
    public record Column(String name, String sport, String chronic, String balance, String mended, Bests.Table bests) {}

    /** A week of one athlete. @param width of its bar, in percent of the longest week of all */
    public record Cell(String hours, String load, double width) {}

    public record Week(String name, List<Cell> cells) {}

    public record Table(List<Column> columns, List<Week> weeks) {
        public boolean isEmpty() {
            return columns.isEmpty();
        }

        /** Bests can stand in one table only where they are of the same measure and durations. */
        public boolean hasLikeBests() {
            return columns.stream()
                            .map(c -> c.bests().measure() + c.bests().sport().name())
                            .distinct()
                            .count()
                    == 1;
        }
    }

    /** All whom somebody may see, themselves first where they train. */
    @Transactional(readOnly = true)
    public List<Choice> choices(Viewer viewer) {
        return athletes.roster(viewer).stream()
                .map(a -> new Choice(a.id(), a.name()))
                .toList();
    }

    /** @param hide letters stand for names */
    @Transactional(readOnly = true)
    public Table of(Viewer viewer, List<Long> ids, boolean hide) {
        List<Athlete> all =
                ids.stream().map(id -> athletes.require(new Visit(id, viewer))).toList();
        if (all.isEmpty()) return new Table(List.of(), List.of());
        List<Trend> of = trends.of(all);
        List<Column> columns = new ArrayList<>();
        List<String> names = names(all, hide);
        for (int i = 0; i < all.size(); i++) columns.add(column(all.get(i), of.get(i), names.get(i)));
        return new Table(columns, weeks(of));
    }

    /** Best efforts as lines; nothing unless they can stand in one drawing. */
    @Transactional(readOnly = true)
    public BesideCurve.Drawing curve(Viewer viewer, List<Long> ids, boolean hide) {
        List<Athlete> all =
                ids.stream().map(id -> athletes.require(new Visit(id, viewer))).toList();
        List<Trend> of = trends.of(all);
        return curves.of(all, names(all, hide), of.get(0).today());
    }

    /** @throws IllegalArgumentException when a stretch is not one, with what to enter */
    @Transactional(readOnly = true)
    public BesideStretches.Table stretches(Viewer viewer, List<Long> ids, boolean hide, Map<String, String> asked) {
        List<Athlete> all =
                ids.stream().map(id -> athletes.require(new Visit(id, viewer))).toList();
        return stretches.of(all, names(all, hide), viewer, asked);
    }

    private static List<String> names(List<Athlete> all, boolean hide) {
        return IntStream.range(0, all.size())
                .mapToObj(i -> hide ? "Athlete " + (char) ('A' + i) : all.get(i).name())
                .toList();
    }

    private Column column(Athlete athlete, Trend trend, String name) {
        LoadTrend.Day morning = trend.on(trend.today());
        Double mended = doubts.waiting(athlete, trend).mended();
        return new Column(
                name,
                athlete.first().doing(),
                morning == null ? "–" : shown.whole(morning.chronicBefore()),
                morning == null ? "–" : shown.signed(morning.balance()),
                mended == null ? "" : shown.signed(mended),
                bests.of(athlete, athlete.first(), thresholds.of(athlete), trend.today()));
    }

    private List<Week> weeks(List<Trend> trends) {
        LocalDate monday = Units.mine().weekOf(trends.get(0).today()).minusWeeks(WEEKS - 1L);
        double longest = Math.max(
                1,
                IntStream.range(0, WEEKS)
                        .mapToDouble(w -> trends.stream()
                                .mapToDouble(t -> seconds(t, monday.plusWeeks(w)))
                                .max()
                                .orElse(0))
                        .max()
                        .orElse(1));
        List<Week> weeks = new ArrayList<>();
        for (int w = WEEKS - 1; w >= 0; w--) {
            LocalDate first = monday.plusWeeks(w);
            weeks.add(new Week(
                    "Week of " + shown.day(first),
                    trends.stream().map(t -> cell(t, first, longest)).toList()));
        }
        return weeks;
    }

    private Cell cell(Trend trend, LocalDate first, double longest) {
        double seconds = seconds(trend, first);
        double load =
                inWeek(trend, first).stream().mapToDouble(DayLoad::doneLoad).sum();
        return new Cell(
                seconds == 0 ? "–" : shown.duration(seconds),
                seconds == 0 ? "" : "load " + shown.whole(load),
                BAR * seconds / longest);
    }

    private static double seconds(Trend trend, LocalDate first) {
        return inWeek(trend, first).stream().mapToDouble(DayLoad::doneSeconds).sum();
    }

    private static List<DayLoad> inWeek(Trend trend, LocalDate first) {
        return trend.dayLoads(first, first.plusDays(6));
    }
}
