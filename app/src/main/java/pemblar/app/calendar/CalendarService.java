package pemblar.app.calendar;

import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Shown;
import pemblar.app.frame.Viewer;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.DayLoad;
import pemblar.app.session.SessionService;
import pemblar.app.session.SessionService.Whole;
import pemblar.app.session.Slab;
import pemblar.core.season.Block;
import pemblar.core.workout.ShorthandText;
import pemblar.formats.csv.SeasonCsv;
import pemblar.formats.ical.PlanCalendar;
import pemblar.formats.ical.PlanCalendar.Entry;

/** Writes the plan for calendar programs and spreadsheets, and keeps the feed's private address as a hash. */
@Service
class CalendarService {
    private static final int DAYS_BACK = 30;
    private static final int DAYS_AHEAD = 400;
    private final AthleteService athletes;
    private final PlanService plan;
    private final SessionService sessions;
    private final JdbcClient sql;
    private final Shown shown;
    private final InstantSource clock;

    CalendarService(
            AthleteService athletes,
            PlanService plan,
            SessionService sessions,
            JdbcClient sql,
            Shown shown,
            InstantSource clock) {
        this.athletes = athletes;
        this.plan = plan;
        this.sessions = sessions;
        this.sql = sql;
        this.shown = shown;
        this.clock = clock;
    }

    /** When the present address was made; empty when there is none. */
    @Transactional(readOnly = true)
    Optional<LocalDate> since(Athlete athlete) {
        return sql.sql("select created_at from calendar_feed where athlete_id = ?")
                .param(athlete.id())
                .query((rs, i) -> athlete.dayOf(rs.getTimestamp(1).toInstant()))
                .optional();
    }

    /** Makes a new address; the one before no longer works. It is told once and cannot be read again. */
    @Transactional
    String renew(long athleteId, Viewer viewer) {
        athletes.require(athleteId, viewer);
        String token = Secret.random();
        sql.sql("insert into calendar_feed (athlete_id, token_sha256, created_at) values (?, ?, ?) on "
                        + "conflict (athlete_id) do update set token_sha256 = excluded.token_sha256, "
                        + "created_at = excluded.created_at")
                .params(athleteId, Secret.hash(token), java.sql.Timestamp.from(clock.instant()))
                .update();
        return token;
    }

    @Transactional
    void close(long athleteId, Viewer viewer) {
        athletes.require(athleteId, viewer);
        sql.sql("delete from calendar_feed where athlete_id = ?")
                .param(athleteId)
                .update();
    }

    /** The calendar behind an address; empty for one that nobody has. */
    @Transactional(readOnly = true)
    Optional<byte[]> feed(String token) {
        return sql.sql("select athlete_id from calendar_feed where token_sha256 = ?")
                .param(Secret.hash(token))
                .query(Long.class)
                .optional()
                .map(athletes::forJob)
                .map(this::calendar);
    }

    /** Events, blocks and sessions that are planned, from a month back on. */
    @Transactional(readOnly = true)
    byte[] calendar(Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        LocalDate from = today.minusDays(DAYS_BACK);
        List<Entry> entries = new ArrayList<>();
        for (SeasonEvent event : plan.events(athlete))
            if (!event.day().isBefore(from))
                entries.add(new Entry(
                        "event-" + event.id() + "@pemblar",
                        event.day(),
                        null,
                        null,
                        event.priority() + " · " + event.name(),
                        ""));
        for (Whole session : sessions.wholeBetween(athlete.seeingDrafts(false), from, today.plusDays(DAYS_AHEAD)))
            if (session.slab().done() == null && session.slab().hasPlan()) entries.add(entry(athlete, session));
        return PlanCalendar.write("Plan of " + athlete.name(), entries, clock.instant());
    }

    private Entry entry(Athlete athlete, Whole session) {
        Slab slab = session.slab();
        Instant start = slab.startMinute() == null || slab.plannedSeconds() == null || slab.plannedSeconds() == 0
                ? null
                : athlete.at(slab.day(), slab.startMinute());
        String steps = session.workout().map(ShorthandText::of).orElse(shown.word(slab.purpose()));
        String load = slab.plannedLoad() == null ? "" : ", load " + shown.whole(slab.plannedLoad());
        return new Entry(
                "session-" + slab.id() + "@pemblar",
                slab.day(),
                start,
                start == null ? null : start.plusSeconds(slab.plannedSeconds()),
                slab.title(),
                shown.duration(slab.plannedSeconds()) + load + "\n" + steps);
    }

    @Transactional(readOnly = true)
    String season(Athlete athlete) {
        List<DayLoad> days = sessions.dayLoads(List.of(athlete));
        List<SeasonEvent> events = plan.events(athlete);
        List<SeasonCsv.Row> rows = new ArrayList<>();
        for (Block block : plan.blocks(athlete)) {
            List<DayLoad> inside =
                    days.stream().filter(d -> block.contains(d.day())).toList();
            rows.add(new SeasonCsv.Row(
                    block,
                    inside.stream().mapToDouble(DayLoad::plannedLoad).sum(),
                    inside.stream().mapToDouble(DayLoad::plannedSeconds).sum() / 3600,
                    inside.stream().mapToDouble(DayLoad::doneLoad).sum(),
                    inside.stream().mapToDouble(DayLoad::doneSeconds).sum() / 3600,
                    String.join(
                            "; ",
                            events.stream()
                                    .filter(e -> block.contains(e.day()))
                                    .map(e -> e.priority() + " " + e.name() + " " + e.day())
                                    .toList())));
        }
        return SeasonCsv.write(rows);
    }
}
