package pemblar.app.review;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.core.recording.Derived;

/** Named ranges, derived channels, and how a person likes the lanes. The caller has asked for leave. */
@Repository
public class ReviewStore {
    private final JdbcClient sql;

    ReviewStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** A range that was kept, in seconds of the original. */
    public record Named(long id, int from, int to, String name) {}

    List<Named> ranges(long sessionId) {
        return sql.sql("select id, from_second, to_second, name from named_range where session_id = ? order "
                        + "by from_second, id")
                .param(sessionId)
                .query((rs, i) -> new Named(rs.getLong(1), rs.getInt(2), rs.getInt(3), rs.getString(4)))
                .list();
    }

    public void keep(long sessionId, int from, int to, String name) {
        sql.sql("insert into named_range (session_id, from_second, to_second, name) values (?, ?, ?, ?)")
                .params(sessionId, from, to, name)
                .update();
    }

    public void forget(long sessionId, long id) {
        sql.sql("delete from named_range where id = ? and session_id = ?")
                .params(id, sessionId)
                .update();
    }

    /** A derived channel with its id. */
    public record DerivedRow(long id, Derived derived) {}

    public List<DerivedRow> derived(long athleteId) {
        return sql.sql("select id, name, left_key, operation, right_key from derived_channel where "
                        + "athlete_id = ? order by name")
                .param(athleteId)
                .query((rs, i) -> new DerivedRow(
                        rs.getLong(1),
                        new Derived(
                                rs.getString(2),
                                rs.getString(3),
                                Derived.Operation.valueOf(rs.getString(4)),
                                rs.getString(5))))
                .list();
    }

    /** @return false when the athlete has one of that name */
    public boolean derive(long athleteId, Derived d) {
        return sql.sql("insert into derived_channel (athlete_id, name, left_key, operation, "
                                + "right_key) values (?, ?, ?, ?, ?) on conflict do nothing")
                        .params(athleteId, d.name(), d.left(), d.operation().name(), d.right())
                        .update()
                == 1;
    }

    public void dropDerived(long athleteId, long id) {
        sql.sql("delete from derived_channel where id = ? and athlete_id = ?")
                .params(id, athleteId)
                .update();
    }

    public Optional<String> view(long accountId, String sport) {
        return sql.sql("select settings::text from lane_view where account_id = ? and sport = ?")
                .params(accountId, sport)
                .query(String.class)
                .optional();
    }

    public void keepView(long accountId, String sport, String settings) {
        sql.sql("insert into lane_view (account_id, sport, settings) values (?, ?, cast(? as jsonb)) "
                        + "on conflict (account_id, sport) do update set settings = excluded.settings")
                .params(accountId, sport, settings)
                .update();
    }
}
