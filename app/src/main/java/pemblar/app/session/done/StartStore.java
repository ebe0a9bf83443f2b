package pemblar.app.session.done;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.core.schedule.UsualStart;
import pemblar.core.schedule.UsualStart.Started;
import pemblar.core.sport.Sport;

/** When an athlete's sessions of late started, as planned or as recorded. */
@Component
public class StartStore {
    private static final int MOST = 200;
    private final JdbcClient sql;

    StartStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** From the newest sessions up to a day that say when they started. */
    public UsualStart of(Athlete athlete, LocalDate today) {
        return new UsualStart(sql.sql("select s.day, s.sport, s.start_minute, r.started_at from (select day, sport, "
                        + "start_minute, recording_id from session where athlete_id = ? and deleted_at is null "
                        + "and day <= ? and (start_minute is not null or recording_id is not null) "
                        + "order by day desc limit " + MOST + ") s left join recorded r on r.id = s.recording_id")
                .params(athlete.id(), today)
                .query((rs, i) -> {
                    ZonedDateTime recorded = rs.getTimestamp(4) == null
                            ? null
                            : athlete.local(rs.getTimestamp(4).toInstant());
                    int minute = recorded == null ? rs.getInt(3) : recorded.getHour() * 60 + recorded.getMinute();
                    return new Started(rs.getObject(1, LocalDate.class), Sport.valueOf(rs.getString(2)), minute);
                })
                .list());
    }
}
