package pemblar.app.people;

import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who looked at an athlete's pages and who changed something, a line a person and day; the person themselves leaves
 * none.
 */
@Service
public class TrailService {
    private static final int SHOWN = 60;
    private final JdbcClient sql;

    TrailService(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
    }

    /** @param changes how many changes; 0 for only looking */
    public record Line(java.time.LocalDate day, String who, int looks, int changes) {}

    @Transactional(readOnly = true)
    public List<Line> latest(long athleteId) {
        return sql.sql("select t.day, k.name, t.looks, t.changes from access_trail t join account k on k.id "
                        + "= t.account_id where t.athlete_id = ? order by t.day desc, k.name limit ?")
                .params(athleteId, SHOWN)
                .query((rs, i) -> new Line(
                        rs.getObject("day", java.time.LocalDate.class),
                        rs.getString("name"),
                        rs.getInt("looks"),
                        rs.getInt("changes")))
                .list();
    }

    static java.time.LocalDate day(InstantSource clock) {
        return java.time.LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }
}
