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
            long sessionId,
            LocalDate day,
            String surface,
            double hours,
            double celsius,
            boolean sky,
            double bpm,
            double output) {}

    void store(RecordingRow row, List<Pieces.Piece> pieces) {
        sql.sql("delete from aerobic_piece where recording_id = ?")
                .param(row.id)
                .update();
        List<Object[]> rows = new java.util.ArrayList<>();
        for (Pieces.Piece p : pieces) {
            boolean unknown = Double.isNaN(p.celsius());
            rows.add(new Object[] {
                row.id,
                rows.size(),
                row.athleteId,
                row.sport.name(),
                row.day,
                p.hours(),
                unknown ? row.skyCelsius : (Double) p.celsius(),
                p.bpm(),
                p.output(),
                unknown && row.skyCelsius != null
            });
        }
        if (!rows.isEmpty())
            batch.batchUpdate(
                    "insert into aerobic_piece (recording_id, place, athlete_id, sport, day, hours, celsius, "
                            + "bpm, output, sky) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                    rows);
    }

    /** Recordings of an athlete from a day on whose stretches have no temperature; any of them, when they are many. */
    List<Long> withoutTemperature(long athleteId, LocalDate from, int most) {
        return sql.sql("select recording_id from aerobic_piece where athlete_id = ? and day >= ? and celsius is null "
                        + "group by recording_id order by random() limit ?")
                .params(athleteId, from, most)
                .query(Long.class)
                .list();
    }

    void fromSky(long recordingId, double celsius) {
        sql.sql("update aerobic_piece set celsius = ?, sky = true where recording_id = ? and celsius is null")
                .params(celsius, recordingId)
                .update();
    }

    /** Recordings of a sport: all, those without a heart rate, and of the others those without output. */
    public record Counted(int recordings, int withoutHeartRate, int withoutOutput) {}

    public Counted counted(long athleteId, Sport sport, LocalDate from) {
        String output = sport.onWheels() ? "r.mean_watts" : "r.mean_speed";
        return sql.sql("select count(*), count(*) filter (where r.mean_bpm is null), "
                        + "count(*) filter (where r.mean_bpm is not null and " + output + " is null) from session s "
                        + "join recording r on r.id = s.recording_id where s.athlete_id = ? and s.day >= ? and "
                        + "r.sport = ? and s.deleted_at is null")
                .params(athleteId, from, sport.name())
                .query((rs, i) -> new Counted(rs.getInt(1), rs.getInt(2), rs.getInt(3)))
                .single();
    }

    /** Of the sessions of a sport that were not deleted, from a day on. */
    public List<Stored> from(long athleteId, Sport sport, LocalDate from) {
        return sql.sql("select s.id, p.day, s.surface, p.hours, "
                        + "case when p.sky and s.surface ilike '%indoor%' then null "
                        + "else p.celsius end, p.sky, p.bpm, p.output from "
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
                        rs.getBoolean(6),
                        rs.getDouble(7),
                        rs.getDouble(8)))
                .list();
    }
}
