package pemblar.app.adjust;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.adjust.limit.LimitStore;
import pemblar.app.adjust.limit.Limits;
import pemblar.app.athlete.Athlete;
import pemblar.app.checkin.Checkin;
import pemblar.app.checkin.CheckinService;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.Slab;
import pemblar.app.session.done.StartStore;
import pemblar.app.session.reading.SessionService;
import pemblar.app.sky.SkyService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.adjust.Session;
import pemblar.core.adjust.Situation;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.Purpose;
import pemblar.core.schedule.UsualStart;
import pemblar.core.season.Block;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** Puts a situation together from what is stored of an athlete. */
@Component
public class Situations {
    static final int DAYS_BEHIND = 8;
    private static final int DAYS_AHEAD = 180;
    private static final int DAYS_OF_CHECKINS = 36;
    private static final int DAYS_OF_NEWS = 14;
    private static final int DAYS_OF_SKY = 7;
    private static final Set<Quantity.Kind> PLANNED_BY =
            Set.of(Quantity.Kind.THRESHOLD_POWER, Quantity.Kind.THRESHOLD_HEART_RATE, Quantity.Kind.THRESHOLD_SPEED);
    /** What targets are said in, and what the reserve rests on. */
    private static final Set<Quantity.Kind> TARGETS =
            Set.of(Quantity.Kind.THRESHOLD_POWER, Quantity.Kind.CRITICAL_POWER, Quantity.Kind.THRESHOLD_SPEED);

    private static final Set<Quantity.Kind> RESERVE = Set.of(Quantity.Kind.CRITICAL_POWER, Quantity.Kind.W_PRIME);
    private static final String MISSED_WORD = "planned";
    private final SessionService sessions;
    private final PlanService plan;
    private final CheckinService checkins;
    private final LimitStore limits;
    private final SkyService sky;
    private final ThresholdService thresholds;
    private final StartStore starts;

    Situations(
            SessionService sessions,
            PlanService plan,
            CheckinService checkins,
            LimitStore limits,
            ThresholdService thresholds,
            SkyService sky,
            StartStore starts) {
        this.starts = starts;
        this.sessions = sessions;
        this.plan = plan;
        this.checkins = checkins;
        this.limits = limits;
        this.sky = sky;
        this.thresholds = thresholds;
    }

    public Situation of(Athlete athlete, Trend trend) {
        LocalDate today = trend.today();
        Held held = plan.held(athlete);
        List<Slab> slabs = sessions.between(athlete, today.minusDays(DAYS_BEHIND), today.plusDays(DAYS_AHEAD));
        LoadTrend.Day morning = trend.on(today);
        LoadTrend.Day yesterday = trend.on(today.minusDays(1));
        double start = Double.isNaN(athlete.trend().startChronic())
                ? 0
                : athlete.trend().startChronic();
        double chronic = morning == null ? start : morning.chronicBefore();
        double acute = yesterday != null
                ? yesterday.acute()
                : morning == null ? start : morning.chronicBefore() - morning.balance();
        Limits kept = limits.of(athlete.id(), held.settings());
        Clock clock = clock(athlete, slabs, today, kept);
        NavigableMap<LocalDate, Checkin> days = checkins.between(athlete, today.minusDays(DAYS_OF_CHECKINS), today);
        return new Situation(
                today,
                chronic,
                acute,
                past(trend, today, chronic),
                new LoadTrend.Settings(
                        athlete.trend().acuteDays(), athlete.trend().chronicDays(), Double.NaN, Double.NaN),
                behind(expected(slabs, held), new Values(thresholds.of(athlete), today), clock),
                ahead(slabs, today, clock),
                blocks(held, trend),
                events(held, slabs, trend, athlete),
                kept.toCore(held.settings()),
                days.values().stream().map(Situations::checkin).toList(),
                away(held),
                thresholds(athlete, today),
                weather(athlete, today));
    }

    private static List<Double> past(Trend trend, LocalDate today, double chronic) {
        List<Double> past = new ArrayList<>();
        for (int i = 7; i >= 1; i--) {
            LoadTrend.Day day = trend.on(today.minusDays(i));
            past.add(i == 1 || day == null ? chronic : day.chronic());
        }
        return past;
    }

    /** When sessions are, and from when on they are long. */
    private record Clock(Athlete athlete, UsualStart usual, Limits limits) {
        /** Minutes after midnight: as recorded, else as planned, else as usual. */
        int minute(Slab slab) {
            if (slab.done() != null && slab.done().recorded()) {
                ZonedDateTime started = athlete.local(slab.done().startedAt());
                if (started.toLocalDate().equals(slab.day())) return 60 * started.getHour() + started.getMinute();
            }
            return slab.startMinute() == null ? usual.on(slab.day(), slab.sport()) : slab.startMinute();
        }
    }

    private Clock clock(Athlete athlete, List<Slab> slabs, LocalDate today, Limits limits) {
        boolean known = slabs.stream()
                .allMatch(s ->
                        s.startMinute() != null || s.done() != null && s.done().recorded());
        return new Clock(athlete, known ? new UsualStart(List.of()) : starts.of(athlete, today), limits);
    }

    private static Session session(Slab slab, Clock clock) {
        int seconds = slab.plannedSeconds() == null ? 0 : slab.plannedSeconds();
        String purpose = slab.purpose() == null
                ? MISSED_WORD
                : slab.purpose().name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return new Session(
                String.valueOf(slab.id()),
                slab.day(),
                clock.minute(slab),
                slab.purpose() == Purpose.STRENGTH ? "strength" : slab.sport().key(),
                purpose,
                slab.plannedLoad() == null ? 0 : slab.plannedLoad(),
                seconds / 3600.0,
                slab.hard(),
                !slab.hard() && clock.limits().isLong(seconds),
                false,
                slab.heavyLegs());
    }

    /** Without what was planned for days on which nobody could train, as of an illness: it was not missed. */
    private static List<Slab> expected(List<Slab> slabs, Held held) {
        return slabs.stream()
                .filter(s -> s.done() != null || held.excuse(s.day(), s.sport()).isEmpty())
                .toList();
    }

    /** What holds today: what a session says of a value that another has replaced since says nothing of that one. */
    private record Values(DatedValues dated, LocalDate today) {
        boolean are(Slab slab, Set<Quantity.Kind> kinds) {
            return !dated.replacedSince(slab.day(), today, slab.sport(), kinds);
        }
    }

    private static List<Situation.Behind> behind(List<Slab> slabs, Values values, Clock clock) {
        return slabs.stream()
                .filter(s -> s.day().isBefore(values.today()) && (s.hasPlan() && !s.draft() || s.done() != null))
                .map(s -> new Situation.Behind(
                        session(s, clock),
                        s.done() == null
                                ? Optional.empty()
                                : Optional.of(new Situation.Done(
                                        s.done().load() == null ? 0 : s.done().load(),
                                        s.done().seconds() / 3600.0)),
                        values.are(s, RESERVE) ? lowestReserve(s) : OptionalDouble.empty(),
                        s.done() != null && s.done().targetsBeaten() && values.are(s, TARGETS),
                        !s.hasPlan()))
                .toList();
    }

    private static OptionalDouble lowestReserve(Slab slab) {
        Double joules = slab.done() == null ? null : slab.done().lowestReserveJoules();
        return joules == null ? OptionalDouble.empty() : OptionalDouble.of(joules);
    }

    /** What was done today counts as it was done, and nothing moves it. */
    private static List<Session> ahead(List<Slab> slabs, LocalDate today, Clock clock) {
        List<Session> all = new ArrayList<>();
        for (Slab slab : slabs) {
            if (slab.day().isBefore(today)) continue;
            Session s = session(slab, clock);
            if (slab.done() == null && slab.hasPlan()) all.add(s);
            else if (slab.done() != null)
                all.add(new Session(
                        s.id(),
                        s.day(),
                        s.startMinute(),
                        s.sport(),
                        s.purpose(),
                        slab.done().load() == null ? 0 : slab.done().load(),
                        slab.done().seconds() / 3600.0,
                        s.hard(),
                        s.isLong(),
                        true,
                        s.legs()));
        }
        return all;
    }

    private static List<Situation.Target> blocks(Held held, Trend trend) {
        List<Situation.Target> all = new ArrayList<>();
        for (Block b : held.blocks()) {
            if (b.targetLoad() <= 0 || b.last().isBefore(trend.today().minusDays(DAYS_BEHIND))) continue;
            LocalDate last = b.last().isAfter(trend.today()) ? trend.today() : b.last();
            double done = trend.dayLoads(b.first(), last).stream()
                    .mapToDouble(DayLoad::doneLoad)
                    .sum();
            all.add(new Situation.Target(
                    b.first(),
                    b.days(),
                    b.phase(),
                    b.targetLoad(),
                    b.targetSeconds() / 3600.0,
                    OptionalDouble.of(done)));
        }
        return all;
    }

    /** An event's load lies on its days, unless something is planned or done there: as the season's forecast has it. */
    private List<Situation.Coming> events(Held held, List<Slab> slabs, Trend trend, Athlete athlete) {
        LocalDate today = trend.today();
        double usual = TrendService.usual(athlete, trend);
        Map<Long, Optional<LocalDate>> news = plan.eventNews(athlete, today.minusDays(DAYS_OF_NEWS));
        Set<LocalDate> taken = slabs.stream()
                .filter(slab -> slab.done() != null || slab.hasPlan())
                .map(Slab::day)
                .collect(Collectors.toSet());
        return held.events().stream()
                .filter(e -> !e.last().isBefore(today))
                .map(e -> new Situation.Coming(
                        e.toCore(usual).without(taken),
                        news.getOrDefault(e.id(), Optional.empty()),
                        news.containsKey(e.id()) && news.get(e.id()).isEmpty()))
                .toList();
    }

    private List<Situation.Weather> weather(Athlete athlete, LocalDate today) {
        return sky.days(athlete, today, today.plusDays(DAYS_OF_SKY)).stream()
                .map(d -> new Situation.Weather(d.day(), d.highestCelsius(), d.ice()))
                .toList();
    }

    /** The values that came into force of late, and those before them. */
    private List<Situation.Threshold> thresholds(Athlete athlete, LocalDate today) {
        return thresholds.of(athlete).values().stream()
                .filter(v -> !v.from().isAfter(today)
                        && PLANNED_BY.contains(v.quantity().kind()))
                .map(v -> new Situation.Threshold(
                        v.quantity().sport() == null ? "" : v.quantity().sport().key(),
                        v.quantity().label().toLowerCase(Locale.ROOT),
                        v.from(),
                        v.value()))
                .toList();
    }

    private static Situation.Checkin checkin(Checkin c) {
        return new Situation.Checkin(
                c.day(),
                c.restingHeartRate() == null ? Double.NaN : c.restingHeartRate(),
                c.rmssd() == null ? Double.NaN : c.rmssd(),
                c.soreness() == null ? Double.NaN : c.soreness(),
                c.illness(),
                c.injury());
    }

    /** Only days with less than an ordinary week's hours are away; a camp is not. */
    private static List<Situation.Away> away(Held held) {
        List<Situation.Away> all = new ArrayList<>();
        for (SeasonSettings.Away a : held.allAway()) {
            if (a.weeklyHours() > held.settings().weeklyHours()
                    || a.kind() == SeasonSettings.Away.Kind.OTHER && a.weeklyHours() > 0) continue;
            Situation.Reason reason = switch (a.kind()) {
                case ILLNESS -> Situation.Reason.ILLNESS;
                case INJURY -> Situation.Reason.INJURY;
                case WORK -> Situation.Reason.WORK;
                case TRAVEL, OTHER -> Situation.Reason.TRAVEL;
            };
            all.add(new Situation.Away(
                    a.from(),
                    a.to(),
                    reason,
                    a.weeklyHours(),
                    a.only() == null ? "" : a.only().key()));
        }
        return all;
    }
}
