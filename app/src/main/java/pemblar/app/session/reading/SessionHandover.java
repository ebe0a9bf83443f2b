package pemblar.app.session.reading;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;

/** Planned sessions come over as they stand, beside what the person has planned; drafts stay drafts. */
@Component
@Order(3)
class SessionHandover implements Handover {
    private static final LocalDate LATEST = LocalDate.of(9999, 1, 1);
    private final JdbcClient sql;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final InstantSource clock;

    SessionHandover(JdbcClient sql, SessionService sessions, ScheduleService schedule, InstantSource clock) {
        this.sql = sql;
        this.sessions = sessions;
        this.schedule = schedule;
        this.clock = clock;
    }

    private List<LocalDate> days(Athlete athlete) {
        return sql.sql("select day from session where athlete_id = ? and deleted_at is null and"
                        + " (recording_id is null or structure is not null) order by day")
                .param(athlete.id())
                .query(LocalDate.class)
                .list();
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        List<LocalDate> days = days(from);
        if (days.isEmpty()) return List.of();
        Set<LocalDate> own = sessions.between(to, days.get(0), days.get(days.size() - 1)).stream()
                .map(Slab::day)
                .collect(Collectors.toSet());
        long both = days.stream().distinct().filter(own::contains).count();
        String said = days.size()
                + (days.size() == 1 ? " session, " : " sessions, ")
                + new Shown().span(days.get(0), days.get(days.size() - 1))
                + (both == 0
                        ? "."
                        : "; on " + both + (both == 1 ? " day" : " days")
                                + " you have something too: both stand there, and you choose.");
        return List.of(said);
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        sql.sql("update session set athlete_id = ?, recording_id = null, version = version + 1 where athlete_id = ?"
                        + " and deleted_at is null and (recording_id is null or structure is not null)")
                .params(to.id(), from.id())
                .update();
        schedule.forecastAgain(to, to.dayOf(clock.instant()), LATEST);
    }
}
