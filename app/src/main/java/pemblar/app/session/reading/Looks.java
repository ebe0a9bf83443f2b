package pemblar.app.session.reading;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Viewer;

/** Which recorded sessions somebody has opened. */
@Repository
public class Looks {
    private final JdbcClient sql;
    private final InstantSource clock;

    Looks(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** The caller has asked for the session already. */
    @Transactional
    public void looked(Viewer viewer, long sessionId) {
        sql.sql("insert into session_look (account_id, session_id, looked_at) values (?, ?, ?) on conflict do nothing")
                .params(viewer.accountId(), sessionId, clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    /**
     * How many recorded sessions of each athlete since a day somebody has not opened; athletes without any are left
     * out.
     */
    @Transactional(readOnly = true)
    public Map<Long, Integer> unseen(Viewer viewer, List<Long> athleteIds, LocalDate since) {
        Map<Long, Integer> counts = new HashMap<>();
        if (athleteIds.isEmpty()) return counts;
        sql.sql("select s.athlete_id, count(*) from session s where s.athlete_id in (:ids) and s.day >= :since and "
                        + "s.recording_id is not null and s.deleted_at is null and not exists (select 1 from "
                        + "session_look l where l.account_id = :viewer and l.session_id = s.id) group by s.athlete_id")
                .param("ids", athleteIds)
                .param("since", since)
                .param("viewer", viewer.accountId())
                .query(rs -> {
                    counts.put(rs.getLong(1), rs.getInt(2));
                });
        return counts;
    }
}
