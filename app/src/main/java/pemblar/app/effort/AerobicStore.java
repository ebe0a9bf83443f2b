package pemblar.app.effort;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.frame.Once;
import pemblar.app.frame.Recent;
import pemblar.core.aerobic.Pieces;
import pemblar.core.sport.Sport;

/** Keeps the steady stretches of recordings, so that a year's trend decodes nothing. */
@Component
public class AerobicStore {
    private static final int MOST_KEPT = 60;
    private final Recent<Asked, List<Stored>> kept = new Recent<>(MOST_KEPT, this::look);
    private final JdbcClient sql;
    private final JdbcTemplate batch;

    /**
     * A number is given once: as many stretches with the same sum of numbers are the same stretches.
     *
     * @param pieces how many there are; {@code changed} the sum of their numbers
     */
    private record Asked(long athleteId, Sport sport, LocalDate from, long pieces, long changed) {}

    AerobicStore(JdbcClient sql, JdbcTemplate batch) {
        this.sql = sql;
        this.batch = batch;
    }

    /** One stretch with the recording it is of. */
    public record Stored(
            long recordingId, LocalDate day, double hours, double celsius, boolean sky, double bpm, double output) {}

    /** @param skyCelsius the sky's temperature, for stretches without one of their own; null when nobody knows */
    public void store(EffortSource of, Double skyCelsius, List<Pieces.Piece> pieces) {
        sql.sql("delete from aerobic_piece where recording_id = ?")
                .param(of.recordingId())
                .update();
        List<Object[]> rows = new java.util.ArrayList<>();
        for (Pieces.Piece p : pieces) {
            boolean unknown = Double.isNaN(p.celsius());
            rows.add(new Object[] {
                of.recordingId(),
                rows.size(),
                of.athleteId(),
                of.sport().name(),
                of.day(),
                p.hours(),
                unknown ? skyCelsius : (Double) p.celsius(),
                p.bpm(),
                p.output(),
                unknown && skyCelsius != null
            });
        }
        if (!rows.isEmpty())
            batch.batchUpdate(
                    "insert into aerobic_piece (recording_id, place, athlete_id, sport, day, hours, celsius, "
                            + "bpm, output, sky) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                    rows);
    }

    /** Recordings of an athlete from a day on whose stretches have no temperature; any of them, when they are many. */
    public List<Long> withoutTemperature(long athleteId, LocalDate from, int most) {
        return sql.sql("select recording_id from aerobic_piece where athlete_id = ? and day >= ? and celsius is null "
                        + "group by recording_id order by random() limit ?")
                .params(athleteId, from, most)
                .query(Long.class)
                .list();
    }

    public void fromSky(long recordingId, double celsius) {
        sql.sql("update aerobic_piece set celsius = ?, sky = true where recording_id = ? and celsius is null")
                .params(celsius, recordingId)
                .update();
    }

    /**
     * Of the recordings of a sport, from a day on; a temperature that nobody knows is NaN. A page that reads has them
     * from what was read of late when none of them was written since: the numbers are asked for first, so what is
     * written in between is newer than what it is kept for, and the next who asks reads anew.
     */
    public List<Stored> from(long athleteId, Sport sport, LocalDate from) {
        if (!Once.isReading()) return look(new Asked(athleteId, sport, from, 0, 0));
        return kept.of(sql.sql("select count(*), coalesce(sum(changed), 0)::bigint from aerobic_piece where"
                        + " athlete_id = ? and sport = ? and day >= ?")
                .params(athleteId, sport.name(), from)
                .query((rs, i) -> new Asked(athleteId, sport, from, rs.getLong(1), rs.getLong(2)))
                .single());
    }

    private List<Stored> look(Asked asked) {
        return sql.sql("select recording_id, day, hours, celsius, sky, bpm, output from aerobic_piece where "
                        + "athlete_id = ? and sport = ? and day >= ? order by day, recording_id, place")
                .params(asked.athleteId(), asked.sport().name(), asked.from())
                .query((rs, i) -> new Stored(
                        rs.getLong(1),
                        rs.getObject(2, LocalDate.class),
                        rs.getDouble(3),
                        rs.getObject(4) == null ? Double.NaN : rs.getDouble(4),
                        rs.getBoolean(5),
                        rs.getDouble(6),
                        rs.getDouble(7)))
                .list();
    }
}
