package pemblar.app.load;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Once;
import pemblar.app.frame.Recent;
import pemblar.app.frame.page.Same;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Outlook;

/**
 * The load trend of an athlete from the first session to the end of the plan; where sessions are not planned yet, by
 * the targets of the blocks.
 */
@Service
public class TrendService {
    private static final int START_DAYS = 14;
    /** Nothing is ever computed for days farther away than these, whatever is stored. */
    private static final int FARTHEST_YEARS = 3;

    private static final int EARLIEST_YEARS = 30;
    private static final int MOST_KEPT = 100;
    private final Recent<Asked, Trend> recent = new Recent<>(MOST_KEPT, Asked::compute);
    private final LoadDays sums;
    private final Aims aims;
    private final InstantSource clock;

    TrendService(LoadDays sums, Aims aims, InstantSource clock) {
        this.sums = sums;
        this.aims = aims;
        this.clock = clock;
    }

    /**
     * Day sums, and the trend over every day between; both empty without any session.
     *
     * @param dayLoads in the order of their days
     * @param days one after another without a gap
     */
    public record Trend(LocalDate today, List<DayLoad> dayLoads, List<LoadTrend.Day> days) {
        /** The sums of some days, found without a look at the years before. @param to the last of them */
        public List<DayLoad> dayLoads(LocalDate from, LocalDate to) {
            return dayLoads.subList(before(from), Math.max(before(from), before(to.plusDays(1))));
        }

        /** How many sums lie before a day. */
        private int before(LocalDate day) {
            int low = 0;
            int high = dayLoads.size();
            while (low < high) {
                int middle = (low + high) / 2;
                if (dayLoads.get(middle).day().isBefore(day)) low = middle + 1;
                else high = middle;
            }
            return low;
        }

        /** The trend of some days, as far as it reaches. @param to the last of them */
        public List<LoadTrend.Day> days(LocalDate from, LocalDate to) {
            if (days.isEmpty()) return days;
            long first = days.get(0).date().toEpochDay();
            int begin = (int) Math.max(0, Math.min(days.size(), from.toEpochDay() - first));
            int end = (int) Math.max(begin, Math.min(days.size(), to.toEpochDay() - first + 1));
            return days.subList(begin, end);
        }

        /** The trend of a day, or null when it lies outside. */
        public LoadTrend.Day on(LocalDate day) {
            if (days.isEmpty()) return null;
            long index = day.toEpochDay() - days.get(0).date().toEpochDay();
            return index < 0 || index >= days.size() ? null : days.get((int) index);
        }
    }

    /** Every day that has a session, in order, for some athletes at once. */
    public List<DayLoad> dayLoads(List<Athlete> athletes) {
        List<Long> withDrafts =
                athletes.stream().filter(Athlete::draftsSeen).map(Athlete::id).toList();
        LocalDate yesterday =
                LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(1);
        if (athletes.size() == 1 && Once.isReading()) {
            Athlete one = athletes.get(0);
            return sums.of(one.id(), one.draftsSeen(), one.draftsSeen() ? yesterday : LocalDate.MIN);
        }
        return sums.of(athletes.stream().map(Athlete::id).toList(), withDrafts, yesterday);
    }

    public Trend of(Athlete athlete) {
        return Once.of(
                "trend",
                List.of(athlete),
                () -> Once.isReading() ? known(athlete) : of(List.of(athlete)).get(0));
    }

    private Trend known(Athlete athlete) {
        List<Athlete> one = List.of(athlete);
        Ahead ahead = aims.ahead(one).get(athlete.id());
        LocalDate today = athlete.dayOf(clock.instant());
        return recent.of(new Asked(athlete.trend(), today, new Same<>(dayLoads(one)), ahead));
    }

    /** All that a trend rests on. */
    private record Asked(LoadTrend.Settings settings, LocalDate today, Same<List<DayLoad>> sums, Ahead ahead) {
        Trend compute() {
            return trend(settings, today, sums.value(), ahead);
        }
    }

    /** The trends of a whole roster from a few queries, in the roster's order. */
    public List<Trend> of(List<Athlete> roster) {
        Map<Long, List<DayLoad>> sums = dayLoads(roster).stream().collect(Collectors.groupingBy(DayLoad::athleteId));
        Map<Long, Ahead> ahead = aims.ahead(roster);
        return roster.stream()
                .map(athlete -> trend(
                        athlete,
                        athlete.dayOf(clock.instant()),
                        sums.getOrDefault(athlete.id(), List.of()),
                        ahead.get(athlete.id())))
                .toList();
    }

    /** The trend as it would be had some days had other loads: points to add to what was done. */
    public Trend with(Athlete athlete, Trend trend, Map<LocalDate, Double> changes) {
        List<DayLoad> sums = trend.dayLoads().stream()
                .map(d -> changes.containsKey(d.day()) ? d.plus(changes.get(d.day())) : d)
                .toList();
        return trend(athlete, trend.today(), sums, aims.ahead(List.of(athlete)).get(athlete.id()));
    }

    /** The trend as it would be with another plan. The past rests on what was done alone, up to today. */
    public static Trend trend(Athlete athlete, LocalDate today, List<DayLoad> sums, Ahead ahead) {
        return trend(athlete.trend(), today, sums, ahead);
    }

    private static Trend trend(LoadTrend.Settings own, LocalDate today, List<DayLoad> sums, Ahead ahead) {
        LoadTrend.Settings settings = start(own, today, sums);
        Outlook.Plan plan = ahead.toCore(settings.startChronic());
        LocalDate aimed = plan.last().orElse(LocalDate.MIN);
        if (sums.isEmpty() && aimed.isBefore(today)) return new Trend(today, sums, List.of());
        LocalDate first = sums.stream()
                .filter(d -> d.doneSeconds() > 0)
                .map(DayLoad::day)
                .findFirst()
                .orElse(
                        sums.isEmpty() || sums.get(0).day().isAfter(today)
                                ? today
                                : sums.get(0).day());
        LocalDate last = sums.isEmpty() ? aimed : sums.get(sums.size() - 1).day();
        if (last.isBefore(aimed)) last = aimed;
        if (last.isBefore(today)) last = today;
        if (last.isAfter(today.plusYears(FARTHEST_YEARS))) last = today.plusYears(FARTHEST_YEARS);
        if (first.isBefore(today.minusYears(EARLIEST_YEARS))) first = today.minusYears(EARLIEST_YEARS);
        double[] loads = new double[(int) (last.toEpochDay() - first.toEpochDay()) + 1];
        for (DayLoad sum : sums)
            if (!sum.day().isBefore(first) && !sum.day().isAfter(last))
                loads[(int) (sum.day().toEpochDay() - first.toEpochDay())] = sum.counting(today);
        Set<LocalDate> planned = sums.stream()
                .filter(d -> d.plannedSeconds() > 0 || d.plannedLoad() > 0)
                .map(DayLoad::day)
                .collect(Collectors.toSet());
        return new Trend(today, sums, LoadTrend.of(first, Outlook.of(first, loads, today, plan, planned), settings));
    }

    /** Points of a day as it usually is: they stand for each day of an event whose time nobody gave. */
    public static double usual(Athlete athlete, Trend trend) {
        return start(athlete.trend(), trend.today(), trend.dayLoads()).startChronic();
    }

    /**
     * The mean done load of the first 14 days from the first recording, up to today. Who has done nothing yet that is
     * known, and gave no start value, begins at zero: what is only planned says nothing about the past.
     */
    private static LoadTrend.Settings start(LoadTrend.Settings own, LocalDate today, List<DayLoad> sums) {
        if (!Double.isNaN(own.startChronic())) return own;
        LocalDate first = sums.stream()
                .filter(d -> d.doneSeconds() > 0 && !d.day().isAfter(today))
                .map(DayLoad::day)
                .findFirst()
                .orElse(null);
        if (first == null) return new LoadTrend.Settings(own.acuteDays(), own.chronicDays(), 0, 0);
        double[] done = new double[(int) Math.min(START_DAYS, today.toEpochDay() - first.toEpochDay() + 1)];
        for (DayLoad sum : sums) {
            long index = sum.day().toEpochDay() - first.toEpochDay();
            if (index >= 0 && index < done.length) done[(int) index] += sum.doneLoad();
        }
        double mean = LoadTrend.startOf(done);
        return new LoadTrend.Settings(own.acuteDays(), own.chronicDays(), mean, mean);
    }
}
