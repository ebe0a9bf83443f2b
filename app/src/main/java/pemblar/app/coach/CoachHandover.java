package pemblar.app.coach;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.coach.look.AboutStore;
import pemblar.app.frame.Viewer;

/**
 * The athlete stays in the coach's groups, and keeps what was written about aims and history when they wrote nothing.
 */
@Component
@Order(7)
class CoachHandover implements Handover {
    private final JdbcClient sql;
    private final AboutStore about;

    CoachHandover(JdbcClient sql, AboutStore about) {
        this.sql = sql;
        this.about = about;
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        return about.of(from.id()).isEmpty() || !about.of(to.id()).isEmpty()
                ? List.of()
                : List.of("What is written about your aims and history.");
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        for (String table : List.of("group_member", "group_put_session", "athlete_about")) {
            String own = table.equals("group_member")
                    ? "o.group_id = t.group_id"
                    : table.equals("athlete_about") ? "true" : "o.put_id = t.put_id and o.session_id = t.session_id";
            sql.sql("update " + table
                            + " t set athlete_id = :to where athlete_id = :from and not exists (select 1 from " + table
                            + " o where o.athlete_id = :to and " + own + ")")
                    .param("to", to.id())
                    .param("from", from.id())
                    .update();
        }
    }
}
