package pemblar.app.undo;

import java.sql.Timestamp;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.athlete.Beginning;
import pemblar.app.athlete.PageFrame;
import pemblar.app.frame.Once;
import pemblar.app.frame.Together;
import pemblar.app.frame.Together.Answer;
import pemblar.app.frame.Visit;

/** What the foot of every page offers to take back. */
@Repository
class LatestChange implements Beginning {
    private static final String WHAT = "latest change";
    private static final String LABEL = "select label from undo_entry where athlete_id = ? and account_id = ? and"
            + " created_at > ? order by id desc limit 1";
    private final JdbcClient sql;
    private final InstantSource clock;

    LatestChange(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    Optional<String> of(Visit visit) {
        return Once.of(
                WHAT,
                List.of(visit),
                () -> sql.sql(LABEL).params(values(visit)).query(String.class).optional());
    }

    @Override
    public Runnable ask(Together all, PageFrame.Around around) {
        Visit visit = new Visit(around.athlete().id(), around.viewer());
        Answer<String> label = all.question(LABEL, (rs, i) -> rs.getString(1), values(visit));
        return () -> Once.keep(WHAT, List.of(visit), label.list().stream().findFirst());
    }

    private Object[] values(Visit visit) {
        return new Object[] {
            visit.athleteId(),
            visit.viewer().accountId(),
            Timestamp.from(clock.instant().minus(UndoService.KEPT))
        };
    }
}
