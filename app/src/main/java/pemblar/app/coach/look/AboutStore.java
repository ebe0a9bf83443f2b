package pemblar.app.coach.look;

import java.io.Serializable;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;

/** What an athlete wants and brings along: a short form that the athlete and a coach who plans both fill. */
@Service
public class AboutStore {
    private static final int LONGEST = 1000;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;

    AboutStore(JdbcClient sql, AthleteService athletes, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** @param changedBy empty while nobody has written anything */
    public record About(
            String goals, String history, String injuries, String wishes, String changedBy, Instant changedAt)
            implements Serializable {
        static final About NONE = new About("", "", "", "", "", null);

        public boolean isEmpty() {
            return changedBy.isEmpty();
        }
    }

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public About of(long athleteId) {
        return sql.sql("select * from athlete_about where athlete_id = ?")
                .param(athleteId)
                .query((rs, i) -> new About(
                        rs.getString("goals"),
                        rs.getString("history"),
                        rs.getString("injuries"),
                        rs.getString("wishes"),
                        rs.getString("changed_by"),
                        rs.getTimestamp("changed_at").toInstant()))
                .optional()
                .orElse(About.NONE);
    }

    /** @throws IllegalArgumentException naming the field that is too long */
    @Transactional
    public void write(Visit visit, String goals, String history, String injuries, String wishes) {
        athletes.require(visit);
        Map.of("Goals", goals, "History", history, "Injuries", injuries, "Wishes", wishes)
                .forEach(AboutStore::check);
        sql.sql("insert into athlete_about (athlete_id, goals, history, injuries, wishes, changed_by, changed_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?) on conflict (athlete_id) do update set goals = excluded.goals,"
                        + " history = excluded.history, injuries = excluded.injuries, wishes = excluded.wishes,"
                        + " changed_by = excluded.changed_by, changed_at = excluded.changed_at")
                .params(
                        visit.athleteId(),
                        goals.strip(),
                        history.strip(),
                        injuries.strip(),
                        wishes.strip(),
                        visit.viewer().name(),
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    private static void check(String field, String text) {
        if (text.length() > LONGEST)
            throw new IllegalArgumentException(field + ": write at most " + LONGEST + " characters.");
    }
}
