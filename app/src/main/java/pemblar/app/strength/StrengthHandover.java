package pemblar.app.strength;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;

/** Sets go with their sessions; a maximum fills what the person has none of. */
@Component
@Order(4)
class StrengthHandover implements Handover {
    private static final String MISSING =
            " from strength_maximum m where m.athlete_id = :from and not exists (select 1 from strength_maximum o where"
                    + " o.athlete_id = :to and o.exercise = m.exercise)";
    private final JdbcClient sql;

    StrengthHandover(JdbcClient sql) {
        this.sql = sql;
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        List<String> exercises = sql.sql("select distinct m.exercise" + MISSING + " order by 1")
                .param("from", from.id())
                .param("to", to.id())
                .query(String.class)
                .list();
        return exercises.isEmpty() ? List.of() : List.of("Maxima of " + String.join(", ", exercises) + ".");
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        sql.sql("update strength_maximum set athlete_id = :to where id in (select m.id" + MISSING + ")")
                .param("from", from.id())
                .param("to", to.id())
                .update();
        sql.sql("update strength_set set athlete_id = ? where athlete_id = ?")
                .params(to.id(), from.id())
                .update();
    }
}
