package pemblar.app.note;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Beginning;
import pemblar.app.athlete.PageFrame;
import pemblar.app.frame.Once;
import pemblar.app.frame.Together;
import pemblar.app.frame.Together.Answer;
import pemblar.app.frame.Viewer;

/** How many notes of others a person has not read, which every page's frame says. */
@Repository
class UnreadNotes implements Beginning {
    private static final String WHAT = "unread notes";
    private static final String COUNT = """
        select count(*) from note n left join session_named s on s.id = n.session_id
        where n.athlete_id = ? and n.taken_away_at is null and n.author_id <> ?
        and not exists (select 1 from note_read r where r.note_id = n.id and r.account_id = ?)
        and (n.session_id is null or s.id is not null and (not s.draft or ?))""";
    private final JdbcClient sql;

    UnreadNotes(JdbcClient sql) {
        this.sql = sql;
    }

    /** For an athlete whom the caller has asked for. */
    long of(Athlete athlete, Viewer viewer) {
        return Once.of(
                WHAT,
                List.of(athlete, viewer),
                () -> sql.sql(COUNT)
                        .params(values(athlete, viewer))
                        .query(Long.class)
                        .single());
    }

    @Override
    public Runnable ask(Together all, PageFrame.Around around) {
        Athlete athlete = around.athlete();
        Viewer viewer = around.viewer();
        Answer<Long> unread = all.question(COUNT, (rs, i) -> rs.getLong(1), values(athlete, viewer));
        return () -> Once.keep(WHAT, List.of(athlete, viewer), unread.list().get(0));
    }

    private static Object[] values(Athlete athlete, Viewer viewer) {
        return new Object[] {athlete.id(), viewer.accountId(), viewer.accountId(), athlete.draftsSeen()};
    }
}
