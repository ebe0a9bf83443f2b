package pemblar.app.strength;

import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.app.undo.Undoable;
import tools.jackson.databind.json.JsonMapper;

/** Puts maxima and links back as they were. */
@Component
public class StrengthUndo implements Undoable {
    public static final String KIND = "strength";
    private final JdbcClient sql;
    private final InstantSource clock;

    StrengthUndo(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** Maxima and links before a change. */
    public record Before(List<MaximaService.Dated> maxima, List<MaximaService.Link> links) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        Before before = JsonMapper.shared().readValue(state, Before.class);
        sql.sql("delete from strength_maximum where athlete_id = ?")
                .param(athleteId)
                .update();
        sql.sql("delete from strength_link where athlete_id = ?")
                .param(athleteId)
                .update();
        for (MaximaService.Dated d : before.maxima())
            sql.sql("insert into strength_maximum (id, athlete_id, exercise, day, kilograms, said, "
                            + "session_id, entered_by,"
                            + " entered_at) overriding system value values (?, ?, ?, ?, ?, ?,"
                            + " (select id from session_named where id = ?), ?, ?)")
                    .params(
                            d.id(),
                            athleteId,
                            d.exercise(),
                            d.day(),
                            d.kilograms(),
                            d.said(),
                            d.sessionId(),
                            d.by(),
                            clock.instant().atOffset(ZoneOffset.UTC))
                    .update();
        for (MaximaService.Link l : before.links())
            sql.sql("insert into strength_link values (?, ?, ?, ?, ?)")
                    .params(athleteId, l.exercise(), l.of(), l.percent(), l.reportsBack())
                    .update();
    }
}
