package pemblar.app.session.done;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.core.season.LoadPerHour;
import pemblar.core.sport.Sport;

/** What an hour of each sport weighed of late. */
@Repository
public class SpentHours {
    private final JdbcClient sql;

    SpentHours(JdbcClient sql) {
        this.sql = sql;
    }

    /** Hours and load of each sport from a day on, of sessions that are done and have a load. */
    public Map<Sport, LoadPerHour.Spent> from(long athleteId, LocalDate from) {
        Map<Sport, LoadPerHour.Spent> all = new EnumMap<>(Sport.class);
        sql.sql("select s.sport, sum(coalesce(r.timer_seconds, s.done_seconds)) / 3600.0 as hours,"
                        + " sum(coalesce(r.load_points, s.done_load)) as load from session s left join recorded r"
                        + " on r.id = s.recording_id where s.athlete_id = ? and s.day > ?"
                        + " and s.deleted_at is null and coalesce(r.timer_seconds, s.done_seconds) > 0"
                        + " and coalesce(r.load_points, s.done_load) is not null group by s.sport")
                .params(athleteId, from)
                .query(rs -> {
                    all.put(
                            Sport.valueOf(rs.getString("sport")),
                            new LoadPerHour.Spent(rs.getDouble("hours"), rs.getDouble("load")));
                });
        return all;
    }
}
