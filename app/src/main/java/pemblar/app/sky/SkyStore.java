package pemblar.app.sky;

import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Places of athletes, and the weather that was told of them. */
@Repository
class SkyStore {
    /** Weather that is longer past is asked for again when a recording needs it. */
    private static final Duration KEPT = Duration.ofDays(3);

    private final JdbcClient sql;
    private final JdbcTemplate batch;

    SkyStore(JdbcClient sql, JdbcTemplate batch) {
        this.sql = sql;
        this.batch = batch;
    }

    Optional<Place> place(long athleteId) {
        return sql.sql("select name, latitude, longitude from athlete_place where athlete_id = ?")
                .param(athleteId)
                .query((rs, i) -> new Place(rs.getString(1), rs.getDouble(2), rs.getDouble(3)))
                .optional();
    }

    List<Long> athletes() {
        return sql.sql("select athlete_id from athlete_place order by athlete_id")
                .query(Long.class)
                .list();
    }

    void keep(long athleteId, Place place) {
        sql.sql("insert into athlete_place (athlete_id, name, latitude, longitude) values (?, ?, ?, ?) "
                        + "on conflict (athlete_id) do update set name = excluded.name, "
                        + "latitude = excluded.latitude, longitude = excluded.longitude")
                .params(athleteId, place.name(), place.latitude(), place.longitude())
                .update();
    }

    void forget(long athleteId) {
        sql.sql("delete from athlete_place where athlete_id = ?")
                .param(athleteId)
                .update();
    }

    /** Each square once, those asked longest ago first. */
    List<Place> stale(Instant before, int most) {
        return sql.sql("select min(p.name), p.latitude, p.longitude from athlete_place p where not exists (select 1 "
                        + "from sky_hour h where h.latitude = p.latitude and h.longitude = p.longitude "
                        + "and h.told_at >= ?) group by p.latitude, p.longitude limit ?")
                .params(before.atOffset(ZoneOffset.UTC), most)
                .query((rs, i) -> new Place(rs.getString(1), rs.getDouble(2), rs.getDouble(3)))
                .list();
    }

    void keep(Place place, List<SkyHour> hours, Instant now) {
        sql.sql("delete from sky_hour where latitude = ? and longitude = ? and at < ?")
                .params(place.latitude(), place.longitude(), now.minus(KEPT).atOffset(ZoneOffset.UTC))
                .update();
        List<Object[]> rows = hours.stream()
                .map(h -> new Object[] {
                    place.latitude(),
                    place.longitude(),
                    Timestamp.from(h.at()),
                    h.celsius(),
                    h.rainMillimetres(),
                    h.windMetresPerSecond(),
                    h.ice(),
                    Timestamp.from(now)
                })
                .toList();
        batch.batchUpdate(
                "insert into sky_hour (latitude, longitude, at, celsius, rain_millimetres, wind_metres_per_second, "
                        + "ice, told_at) values (?, ?, ?, ?, ?, ?, ?, ?) on conflict (latitude, longitude, at) do "
                        + "update set celsius = excluded.celsius, rain_millimetres = excluded.rain_millimetres, "
                        + "wind_metres_per_second = excluded.wind_metres_per_second, ice = excluded.ice, "
                        + "told_at = excluded.told_at",
                rows);
    }

    List<SkyHour> hours(long athleteId, Instant from, Instant to) {
        return sql.sql("select h.at, h.celsius, h.rain_millimetres, h.wind_metres_per_second, h.ice from sky_hour h "
                        + "join athlete_place p on p.latitude = h.latitude and p.longitude = h.longitude "
                        + "where p.athlete_id = ? and h.at between ? and ? order by h.at")
                .params(athleteId, from.atOffset(ZoneOffset.UTC), to.atOffset(ZoneOffset.UTC))
                .query((rs, i) -> new SkyHour(
                        rs.getTimestamp(1).toInstant(),
                        rs.getDouble(2),
                        rs.getDouble(3),
                        rs.getDouble(4),
                        rs.getBoolean(5)))
                .list();
    }
}
