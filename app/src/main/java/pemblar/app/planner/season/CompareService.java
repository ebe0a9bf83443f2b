package pemblar.app.planner.season;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.planner.setup.ZoneTimes;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.session.reading.SessionService.Whole;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.load.LoadTrend;
import pemblar.core.load.Swap;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Sport;
import pemblar.core.zone.DatedZones;

/** Sets two stretches of days side by side: done where they are over, planned where they are ahead. */
@Service
class CompareService {
    private static final int[] EFFORTS = {60, 300, 1200, 3600};
    private final SessionService sessions;
    private final EffortService efforts;
    private final ThresholdService thresholds;

    CompareService(SessionService sessions, EffortService efforts, ThresholdService thresholds) {
        this.sessions = sessions;
        this.efforts = efforts;
        this.thresholds = thresholds;
    }

    /** A best effort of the days that are over; NaN when there is none. */
    public record Best(int seconds, double value) {}

    /**
     * One stretch.
     *
     * @param chronicAtEvent on the morning of the next A event, if the first stretch's days are trained like this one;
     *     NaN without an event
     */
    public record Side(
            DayRange stretch,
            double hours,
            double load,
            int sessionCount,
            int hard,
            int restDays,
            ZoneTimes zones,
            List<Best> bests,
            double chronicAfter,
            double balanceAfter,
            double chronicAtEvent,
            double balanceAtEvent) {
        public double loadPerDay() {
            return load / stretch.days();
        }
    }

    /** Whose days a stretch is made of. */
    record Whose(Athlete athlete, Trend trend) {
        /** Something was done in a stretch of which no load is known. */
        boolean lacksLoad(DayRange stretch) {
            return trend.dayLoads(stretch.from(), stretch.to()).stream().anyMatch(d -> d.withoutLoad() > 0);
        }
    }

    /** A stretch of days, and whose it is. */
    record Days(Whose whose, DayRange days) {
        boolean lacksLoad() {
            return whose.lacksLoad(days);
        }
    }

    /** @param other of the athlete themselves or of one whose recordings they keep */
    @Transactional(readOnly = true)
    public List<Side> compare(Days own, Days other, Optional<SeasonEvent> event) {
        return List.of(side(own, own, event), side(own, other, event));
    }

    private Side side(Days own, Days of, Optional<SeasonEvent> event) {
        Athlete athlete = of.whose().athlete();
        Trend trend = of.whose().trend();
        DayRange stretch = of.days();
        DayRange replaced = own.days();
        DatedZones values = thresholds.zonesOf(athlete);
        List<Whole> whole = sessions.wholeBetween(athlete, stretch.from(), stretch.to());
        List<Slab> slabs = whole.stream()
                .map(Whole::slab)
                .filter(s -> s.done() != null || s.hasPlan() && !s.day().isBefore(trend.today()))
                .toList();
        double seconds = slabs.stream()
                .mapToDouble(s ->
                        s.done() != null ? s.done().seconds() : s.plannedSeconds() == null ? 0 : s.plannedSeconds())
                .sum();
        List<LoadTrend.Day> as = swapped(own, of);
        LoadTrend.Day end = on(as, replaced.to());
        LoadTrend.Day after = on(as, replaced.to().plusDays(1));
        LoadTrend.Day morning = event.map(e -> on(as, e.day())).orElse(null);
        LoadTrend.Day eve = event.map(e -> on(as, e.day().minusDays(1))).orElse(null);
        return new Side(
                stretch,
                seconds / 3600,
                load(trend, stretch),
                slabs.size(),
                (int) slabs.stream().filter(Slab::hard).count(),
                stretch.days() - (int) slabs.stream().map(Slab::day).distinct().count(),
                ZoneTimes.of(whole, trend.today(), values),
                bests(athlete, own.whose().athlete().first(), stretch),
                end == null ? Double.NaN : end.chronic(),
                after == null ? Double.NaN : after.balance(),
                eve == null ? Double.NaN : eve.chronic(),
                morning == null ? Double.NaN : morning.balance());
    }

    private static double load(Trend trend, DayRange stretch) {
        return trend.days(stretch.from(), stretch.to()).stream()
                .mapToDouble(LoadTrend.Day::load)
                .sum();
    }

    private static LoadTrend.Day on(List<LoadTrend.Day> days, LocalDate day) {
        if (days.isEmpty()) return null;
        long index = day.toEpochDay() - days.get(0).date().toEpochDay();
        return index < 0 || index >= days.size() ? null : days.get((int) index);
    }

    /** One's own trend with the days of a stretch trained like those of another, whoever's they are. */
    private static List<LoadTrend.Day> swapped(Days replaced, Days like) {
        Whose own = replaced.whose();
        Trend of = like.whose().trend();
        if (own.trend().days().isEmpty()) return List.of();
        LocalDate first = own.trend().days().get(0).date();
        double[] loads =
                own.trend().days().stream().mapToDouble(LoadTrend.Day::load).toArray();
        double[] liked = like.days()
                .from()
                .datesUntil(like.days().to().plusDays(1))
                .mapToDouble(day -> of.on(day) == null ? 0 : of.on(day).load())
                .toArray();
        int index = (int) ChronoUnit.DAYS.between(first, replaced.days().from());
        return LoadTrend.of(
                first,
                Swap.like(loads, index, replaced.days().days(), liked),
                own.athlete().trend());
    }

    private List<Best> bests(Athlete athlete, Sport sport, DayRange stretch) {
        BestCurve curve = efforts.curve(new Scope(athlete, sport, sport.ownMeasure(), stretch));
        List<Best> bests = new ArrayList<>();
        for (int seconds : EFFORTS) bests.add(new Best(seconds, curve.at(seconds)));
        return bests;
    }
}
