package pemblar.app.session;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.core.aerobic.Pieces;
import pemblar.core.sport.Sport;

/** Keeps the steady stretches of recordings, so that a year's trend decodes nothing. */
@Component
public class AerobicStore {
    private final JdbcClient sql;
    private final JdbcTemplate batch;

    AerobicStore(JdbcClient sql, JdbcTemplate batch) {
        this.sql = sql;
        this.batch = batch;
    }

    /** One stretch with the session it is of. */
    public record Stored(
            long sessionId, LocalDate day, String surface, double hours, double celsius, double bpm, double output) {}

    void store(RecordingRow row, List<Pieces.Piece> pieces) {
        sql.sql("delete from aerobic_piece where recording_id = ?")
                .param(row.id)
                .update();
        List<Object[]> rows = new java.util.ArrayList<>();
        for (Pieces.Piece p : pieces)
            rows.add(new Object[] {
                row.id,
                rows.size(),
                row.athleteId,
                row.sport.name(),
                row.day,
                p.hours(),
                Double.isNaN(p.celsius()) ? null : p.celsius(),
                p.bpm(),
                p.output()
            });
        if (!rows.isEmpty())
            batch.batchUpdate(
                    "insert into aerobic_piece (recording_id, place, athlete_id, sport, day, hours, celsius, "
                            + "bpm, output) values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
                    rows);
    }

    /** Of the sessions of a sport that were not deleted, from a day on. */
    public List<Stored> from(long athleteId, Sport sport, LocalDate from) {
        return sql.sql("select s.id, p.day, s.surface, p.hours, p.celsius, p.bpm, p.output from "
                        + "aerobic_piece p join session s on s.recording_id = p.recording_id where "
                        + "p.athlete_id = ? and p.sport = ? and p.day >= ? and s.deleted_at is null "
                        + "order by p.day, p.recording_id, p.place")
                .params(athleteId, sport.name(), from)
                .query((rs, i) -> new Stored(
                        rs.getLong(1),
                        rs.getObject(2, LocalDate.class),
                        rs.getString(3),
                        rs.getDouble(4),
                        rs.getObject(5) == null ? Double.NaN : rs.getDouble(5),
                        rs.getDouble(6),
                        rs.getDouble(7)))
                .list();
    }
}
