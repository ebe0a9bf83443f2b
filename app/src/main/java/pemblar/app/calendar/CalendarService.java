package pemblar.app.calendar;

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
import pemblar.app.frame.Visit;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.core.season.Block;
import pemblar.formats.csv.SeasonCsv;
import pemblar.formats.ical.PlanCalendar;

/** Writes the plan for calendar programs and spreadsheets, and keeps the feed's private address as a hash. */
@Service
class CalendarService {
    private final AthleteService athletes;
    private final PlanService plan;
    private final TrendService trends;
    private final JdbcClient sql;
    private final CalendarEntries entries;
    private final InstantSource clock;

    CalendarService(
            AthleteService athletes,
            PlanService plan,
            TrendService trends,
            JdbcClient sql,
            CalendarEntries entries,
            InstantSource clock) {
        this.athletes = athletes;
        this.plan = plan;
        this.trends = trends;
        this.sql = sql;
        this.entries = entries;
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
    String renew(Visit visit) {
        athletes.require(visit);
        String token = Secret.random();
        sql.sql("insert into calendar_feed (athlete_id, token_sha256, created_at) values (?, ?, ?) on "
                        + "conflict (athlete_id) do update set token_sha256 = excluded.token_sha256, "
                        + "created_at = excluded.created_at")
                .params(visit.athleteId(), Secret.hash(token), java.sql.Timestamp.from(clock.instant()))
                .update();
        return token;
    }

    @Transactional
    void close(Visit visit) {
        athletes.require(visit);
        sql.sql("delete from calendar_feed where athlete_id = ?")
                .param(visit.athleteId())
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

    /** Events, sessions, rest and days away, as the athlete sees them. */
    @Transactional(readOnly = true)
    byte[] calendar(Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        return PlanCalendar.write("Plan of " + athlete.name(), entries.of(athlete, today), clock.instant());
    }

    @Transactional(readOnly = true)
    String season(Athlete athlete) {
        List<DayLoad> days = trends.dayLoads(List.of(athlete));
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
