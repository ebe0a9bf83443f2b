package pemblar.app.progress.report;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.adjust.limit.LimitService;
import pemblar.app.adjust.limit.Limits;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.checkin.Checkin;
import pemblar.app.checkin.CheckinService;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.progress.range.RangeReader;
import pemblar.app.progress.report.Report.Key;
import pemblar.app.progress.report.Report.Line;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.core.checkin.BandWords;
import pemblar.core.checkin.Bands;
import pemblar.core.load.LoadTrend;
import pemblar.core.range.DayRange;
import pemblar.core.range.RangeSummary;
import pemblar.core.range.RangeSummary.Way;
import pemblar.core.season.Block;

/** Puts a report together from what is stored, and keeps a coach's words beside it. */
@Service
class ReportService {
    private static final int DAYS_OF_CHECKINS = 36;
    private static final int DAYS_AHEAD = 14;
    private static final int EVENTS_AHEAD_DAYS = 120;
    private static final int MOST_KEY = 40;
    private static final int MOST_NEXT = 6;
    private static final int LONGEST_WORDS = 4000;
    private final SessionService sessions;
    private final CheckinService checkins;
    private final AthleteService athletes;
    private final LimitService limits;
    private final JdbcClient sql;
    private final Shown shown;
    private final TrendService trends;
    private final PlanService plan;

    ReportService(
            SessionService sessions,
            CheckinService checkins,
            AthleteService athletes,
            LimitService limits,
            JdbcClient sql,
            Shown shown,
            TrendService trends,
            PlanService plan) {
        this.plan = plan;
        this.trends = trends;
        this.limits = limits;
        this.sessions = sessions;
        this.checkins = checkins;
        this.athletes = athletes;
        this.sql = sql;
        this.shown = shown;
    }

    private record Words(String body, String author) {}

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    Report of(Pages.Opened page, LocalDate from, LocalDate to) {
        Athlete athlete = page.athlete();
        List<SessionService.Whole> all = sessions.wholeBetween(athlete, from, to);
        RangeSummary summary = RangeSummary.of(
                all.stream().map(RangeReader::item).toList(),
                new DayRange(from, to),
                new Way(
                        page.today(),
                        athlete.first(),
                        athlete.first().measures().get(0)));
        Words words = words(athlete.id(), from, to).orElse(new Words("", ""));
        Trend trend = trends.of(athlete);
        return new Report(
                from,
                to,
                load(trend, from, to),
                hours(all, page.today()),
                trend(trend, from, to),
                summary.restDays() == 1 ? "1 day of rest" : summary.restDays() + " days of rest",
                sports(summary),
                kinds(summary),
                key(all, athlete, page.today()),
                body(athlete, from, to, page.today()),
                next(page, to),
                words.body(),
                words.author());
    }

    private static String load(Trend trend, LocalDate from, LocalDate to) {
        List<DayLoad> days = trend.dayLoads(from, to);
        long done = Math.round(days.stream().mapToDouble(DayLoad::doneLoad).sum());
        long planned =
                Math.round(days.stream().mapToDouble(d -> due(d, trend.today())).sum());
        return done + (planned > 0 ? " of " + planned : "") + " points";
    }

    /** What is open from today on is not asked yet. */
    private static double due(DayLoad day, LocalDate today) {
        return day.day().isBefore(today) ? day.plannedLoad() : day.plannedLoad() - day.openLoad();
    }

    private String hours(List<SessionService.Whole> all, LocalDate today) {
        long done = all.stream()
                .map(SessionService.Whole::slab)
                .filter(s -> s.done() != null)
                .mapToLong(s -> s.done().seconds())
                .sum();
        long planned = all.stream()
                .map(SessionService.Whole::slab)
                .filter(s -> s.plannedSeconds() != null && (s.day().isBefore(today) || s.done() != null))
                .mapToLong(Slab::plannedSeconds)
                .sum();
        return shown.duration(done) + (planned > 0 ? " of " + shown.duration(planned) : "");
    }

    private String trend(Trend trend, LocalDate from, LocalDate to) {
        LoadTrend.Day first = trend.on(from);
        boolean over = to.isBefore(trend.today());
        LoadTrend.Day last = trend.on(over ? to : trend.today());
        if (first == null || last == null) return "";
        return "Chronic load went from " + shown.whole(first.chronicBefore()) + " to "
                + shown.whole(over ? last.chronic() : last.chronicBefore())
                + ", balance from " + shown.signed(first.balance()) + " to " + shown.signed(last.balance()) + ".";
    }

    private List<Line> sports(RangeSummary summary) {
        List<Line> lines = new ArrayList<>();
        summary.bySport()
                .forEach((sport, done) -> lines.add(new Line(
                        sport.doing(),
                        shown.duration(done.seconds()) + " in " + done.sessions()
                                + (done.sessions() == 1 ? " session" : " sessions"))));
        return lines;
    }

    private List<Line> kinds(RangeSummary summary) {
        List<Line> lines = new ArrayList<>();
        summary.kept()
                .forEach((purpose, kept) -> lines.add(new Line(
                        Shown.word(purpose),
                        shown.duration(kept.doneSeconds()) + " of " + shown.duration(kept.plannedSeconds()))));
        return lines;
    }

    private List<Key> key(List<SessionService.Whole> all, Athlete athlete, LocalDate today) {
        Limits kept = limits.of(athlete);
        Held held = plan.held(athlete);
        return all.stream()
                .filter(w -> w.slab().hard() || kept.isLong(w.slab().longestSeconds()))
                .filter(w -> w.slab().done() != null || w.slab().day().isBefore(today))
                .limit(MOST_KEY)
                .map(w -> new Key(
                        w.slab().day(),
                        w.slab().title(),
                        how(w.slab(), held),
                        w.described().verdict().orElse("")))
                .toList();
    }

    private String how(Slab slab, Held held) {
        if (slab.done() == null)
            return held.excuse(slab.day(), slab.sport())
                            .map(ReportService::excuse)
                            .orElse("missed") + ", " + shown.duration(slab.plannedSeconds()) + " planned";
        return shown.duration(slab.done().seconds())
                + (slab.plannedSeconds() == null ? "" : " of " + shown.duration(slab.plannedSeconds()))
                + ", load " + shown.whole(slab.done().load());
    }

    private static String excuse(Away away) {
        return switch (away.kind()) {
            case ILLNESS -> "not done for illness";
            case INJURY -> "not done for injury";
            default -> "not done, as nothing could be";
        };
    }

    /** Days of illness and injury, and where the mornings stood on the last day. */
    private List<String> body(Athlete athlete, LocalDate from, LocalDate to, LocalDate today) {
        LocalDate last = to.isAfter(today) ? today : to;
        if (last.isBefore(from)) return List.of();
        NavigableMap<LocalDate, Checkin> days = checkins.between(athlete, last.minusDays(DAYS_OF_CHECKINS), last);
        NavigableMap<LocalDate, Checkin> inside = checkins.between(athlete, from, last);
        List<String> said = new ArrayList<>();
        long ill = inside.values().stream().filter(c -> !c.illness().isEmpty()).count();
        long hurt = inside.values().stream().filter(c -> !c.injury().isEmpty()).count();
        if (ill > 0) said.add(ill == 1 ? "Ill on 1 day." : "Ill on " + ill + " days.");
        if (hurt > 0) said.add(hurt == 1 ? "Hurt on 1 day." : "Hurt on " + hurt + " days.");
        for (Bands bands : checkins.bands(days, last))
            if (bands.verdict() != Bands.Verdict.NO_VERDICT) said.add(BandWords.of(bands));
        return said;
    }

    private List<Line> next(Pages.Opened page, LocalDate to) {
        List<Line> next = new ArrayList<>();
        LocalDate from = to.isBefore(page.today()) ? page.today() : to.plusDays(1);
        for (SeasonEvent event : plan.events(page.athlete()))
            if (!event.day().isBefore(from) && event.day().isBefore(from.plusDays(EVENTS_AHEAD_DAYS)))
                next.add(new Line(event.name() + " (" + event.priority() + ")", shown.day(event.day())));
        plan.inSight(page.athlete(), page.today()).stream()
                .filter(b -> !b.last().isBefore(from))
                .findFirst()
                .ifPresent(b -> next.add(new Line(
                        b.name() + (b.aim().isEmpty() ? "" : ": " + b.aim()), shown.span(b.first(), b.last()))));
        sessions.between(page.athlete(), from, from.plusDays(DAYS_AHEAD)).stream()
                .filter(s -> s.done() == null && s.hasPlan())
                .limit(MOST_NEXT)
                .forEach(s ->
                        next.add(new Line(s.title(), shown.day(s.day()) + ", " + shown.duration(s.plannedSeconds()))));
        return next;
    }

    private Optional<Words> words(long athleteId, LocalDate from, LocalDate to) {
        return sql.sql("select body, author from report_word where athlete_id = ? and from_day = ? and to_day = ?")
                .params(athleteId, from, to)
                .query((rs, i) -> new Words(rs.getString(1), rs.getString(2)))
                .optional();
    }

    /** Keeps words for a range; empty takes them away. @throws IllegalArgumentException when they are too long */
    @Transactional
    void say(Visit visit, LocalDate from, LocalDate to, String body) {
        athletes.require(visit);
        if (body.length() > LONGEST_WORDS)
            throw new IllegalArgumentException("Words: enter at most " + LONGEST_WORDS + " characters.");
        sql.sql("delete from report_word where athlete_id = ? and from_day = ? and to_day = ?")
                .params(visit.athleteId(), from, to)
                .update();
        if (!body.isBlank())
            sql.sql("insert into report_word (athlete_id, from_day, to_day, body, author) values (?, ?, ?, ?, ?)"
                            + " on conflict (athlete_id, from_day, to_day) do update set body = excluded.body, "
                            + "author = excluded.author")
                    .params(
                            visit.athleteId(),
                            from,
                            to,
                            body.strip(),
                            visit.viewer().name())
                    .update();
    }

    /** The block of today as far as it goes, else the last 28 days. */
    LocalDate usualFrom(Pages.Opened page) {
        return plan.inSight(page.athlete(), page.today()).stream()
                .filter(b -> b.contains(page.today()))
                .findFirst()
                .map(Block::first)
                .orElse(page.today().minusDays(27));
    }
}
