package pemblar.app.note;

import java.time.Duration;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.sharing.DayLines;
import pemblar.app.sharing.Mailed;

/** Notes that a person has neither read nor been told of by mail. */
@Component
class NoteMail implements DayLines {
    private static final Duration LATELY = Duration.ofDays(3);
    private static final int LONGEST = 200;
    private static final String WAITING = """
        select k.id, k.email, n.id as note, n.author, n.body, n.athlete_id, t.name from note n
        join athlete_known t on t.id = n.athlete_id
        join person k on k.id <> n.author_id and (k.id = t.account_id or exists (
            select 1 from coached c where c.athlete_id = t.id and c.account_id = k.id))
        left join note_mailed m on m.account_id = k.id
        left join session_named s on s.id = n.session_id
        where n.written_at > ? and n.taken_away_at is null and n.id > coalesce(m.note_id, 0)
        and (n.session_id is null or not s.draft) and not exists (
            select 1 from note_read r where r.note_id = n.id and r.account_id = k.id)
        order by n.id limit ?""";
    private final JdbcClient sql;
    private final InstantSource clock;

    NoteMail(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** Gives what waits and marks it as told; who wants no mail is asked by the caller. */
    @Override
    @Transactional
    public List<Mailed> take(int most) {
        return sql.sql(WAITING)
                .params(clock.instant().minus(LATELY).atOffset(ZoneOffset.UTC), most)
                .query((rs, i) -> {
                    mark(rs.getLong("id"), rs.getLong("note"));
                    String body = rs.getString("body");
                    return new Mailed(
                            rs.getLong("id"),
                            rs.getString("email"),
                            rs.getString("author") + ", a note with " + rs.getString("name") + ": “"
                                    + (body.length() > LONGEST ? body.substring(0, LONGEST) + "…" : body) + "”",
                            "/a/" + rs.getLong("athlete_id") + "/notes");
                })
                .list();
    }

    private void mark(long accountId, long noteId) {
        sql.sql("insert into note_mailed (account_id, note_id) values (?, ?) on conflict (account_id) do update set"
                        + " note_id = excluded.note_id")
                .params(accountId, noteId)
                .update();
    }
}
