package pemblar.app.note;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;

/** Notes come over with what they stand on. */
@Component
@Order(5)
class NoteHandover implements Handover {
    private final JdbcClient sql;

    NoteHandover(JdbcClient sql) {
        this.sql = sql;
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        int notes = sql.sql("select count(*) from note where athlete_id = ?")
                .param(from.id())
                .query(Integer.class)
                .single();
        return notes == 0 ? List.of() : List.of(notes + (notes == 1 ? " note." : " notes."));
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        for (String table : List.of("note", "note_file"))
            sql.sql("update " + table + " set athlete_id = ? where athlete_id = ?")
                    .params(to.id(), from.id())
                    .update();
    }
}
