package pemblar.app.compare;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;

/** Keeps comparisons. The caller has asked for leave. */
@Repository
public class ComparisonStore {
    private static final JsonMapper JSON = JsonMapper.shared();
    private final JdbcClient sql;

    ComparisonStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** A comparison with its name. @param version counts its changes */
    public record Held(long id, String name, Content content, int version) {}

    /** A line of the list of comparisons. */
    public record Named(long id, String name, int lines, Instant changedAt) {}

    List<Named> all(long athleteId) {
        return sql.sql("select id, name, jsonb_array_length(content -> 'lines') as lines, changed_at from "
                        + "comparison where athlete_id = ? order by changed_at desc, id desc limit 200")
                .param(athleteId)
                .query((rs, i) -> new Named(
                        rs.getLong("id"),
                        rs.getString("name"),
                        rs.getInt("lines"),
                        rs.getTimestamp("changed_at").toInstant()))
                .list();
    }

    static Content content(String json) {
        return JSON.readValue(json, Content.class);
    }

    Optional<Held> find(long athleteId, long id) {
        return sql.sql("select id, name, content::text as content, version from comparison where id = ? and "
                        + "athlete_id = ?")
                .params(id, athleteId)
                .query((rs, i) -> new Held(
                        rs.getLong("id"), rs.getString("name"), content(rs.getString("content")), rs.getInt("version")))
                .optional();
    }

    long create(long athleteId, String name, Content content, Instant now) {
        return sql.sql("insert into comparison (athlete_id, name, content, changed_at) values (?, ?, cast(? "
                        + "as jsonb), ?) returning id")
                .params(athleteId, name, JSON.writeValueAsString(content), Timestamp.from(now))
                .query(Long.class)
                .single();
    }

    /** @return false when it was changed since it was read */
    boolean save(Held read, String name, Content content, Instant now) {
        return sql.sql("update comparison set name = ?, content = cast(? as jsonb), changed_at = ?, "
                                + "version = version + 1 where id = ? and version = ?")
                        .params(name, JSON.writeValueAsString(content), Timestamp.from(now), read.id(), read.version())
                        .update()
                == 1;
    }

    /** Puts a comparison back as it was; one that was dropped gets its id again. */
    void restore(long athleteId, Held was, Instant now) {
        sql.sql("insert into comparison (id, athlete_id, name, content, changed_at, version) "
                        + "overriding system value values (?, ?, ?, cast(? as jsonb), ?, ?) "
                        + "on conflict (id) do update set name = excluded.name, content = "
                        + "excluded.content, changed_at = excluded.changed_at, version = "
                        + "comparison.version + 1 where comparison.athlete_id = excluded.athlete_id")
                .params(
                        was.id(),
                        athleteId,
                        was.name(),
                        JSON.writeValueAsString(was.content()),
                        Timestamp.from(now),
                        was.version() + 1)
                .update();
    }

    void drop(long athleteId, long id) {
        sql.sql("delete from comparison where id = ? and athlete_id = ?")
                .params(id, athleteId)
                .update();
    }
}
