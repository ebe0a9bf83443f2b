package pemblar.app.demo;

import java.time.InstantSource;
import java.time.LocalDate;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.change.SharingService;

/** Plans of the coach that are shared up to a day, with drafts after it. */
@Component
public class DemoDrafts {
    private final JdbcTemplate sql;
    private final SharingService sharing;
    private final InstantSource clock;

    DemoDrafts(JdbcTemplate sql, SharingService sharing, InstantSource clock) {
        this.sql = sql;
        this.sharing = sharing;
        this.clock = clock;
    }

    /** What lies ahead is the coach's, and shared for the days given. */
    public void add(Athlete athlete, Viewer coach, int days) {
        LocalDate today = athlete.dayOf(clock.instant());
        sql.update(
                "update session set coached = true, draft = true, changed_by = ? where athlete_id = ? and day >= ?"
                        + " and recording_id is null and done_seconds is null",
                coach.name(),
                athlete.id(),
                today);
        sharing.shareUpTo(new Visit(athlete.id(), coach), today.plusDays(days));
    }
}
