package pemblar.app.bench;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.bench.Ride.Pressed;
import pemblar.benchunit.Body;
import pemblar.core.model.Reserve;
import pemblar.core.sport.Sport;

/** Bench units that run, as rows. */
@Component
class RideStore {
    private static final String ALL = "select * from live_ride";
    private final JdbcClient sql;

    RideStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** @return false when one runs for this session already */
    boolean start(Ride ride) {
        Body b = ride.body();
        Double[] body = {
            b.thresholdWatts(), b.tankJoules(), b.thresholdSpeed(), b.restingBpm(), b.maximumBpm(), b.massKilograms()
        };
        return sql.sql("insert into live_ride (session_id, athlete_id, account_id, hour_id, sport, workout, body,"
                                + " critical_power, w_prime, begins_at, started_millis, looked_millis, speed)"
                                + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict do nothing")
                        .params(new ArrayList<>(java.util.Arrays.asList(
                                ride.sessionId(),
                                ride.athleteId(),
                                ride.accountId(),
                                ride.hourId(),
                                b.sport().name(),
                                ride.workout(),
                                body,
                                ride.reserve() == null ? null : ride.reserve().criticalPowerWatts(),
                                ride.reserve() == null ? null : ride.reserve().capacityJoules(),
                                ride.begins().atOffset(ZoneOffset.UTC),
                                ride.startedMillis(),
                                ride.startedMillis(),
                                ride.speed())))
                        .update()
                > 0;
    }

    int running(long athleteId) {
        return sql.sql("select count(*) from live_ride where athlete_id = ?")
                .param(athleteId)
                .query(Integer.class)
                .single();
    }

    Optional<Ride> find(long athleteId, long sessionId) {
        return sql.sql(ALL + " where session_id = ? and athlete_id = ?")
                .params(sessionId, athleteId)
                .query((rs, i) -> ride(rs))
                .optional();
    }

    List<Ride> ofAthlete(long athleteId) {
        return sql.sql(ALL + " where athlete_id = ?")
                .param(athleteId)
                .query((rs, i) -> ride(rs))
                .list();
    }

    List<Ride> ofHour(long hourId) {
        return sql.sql(ALL + " where hour_id = ?")
                .param(hourId)
                .query((rs, i) -> ride(rs))
                .list();
    }

    /** Those that nobody has looked at since a moment. */
    List<Ride> unseenSince(long millis, int most) {
        return sql.sql(ALL + " where looked_millis < ? order by looked_millis limit ?")
                .params(millis, most)
                .query((rs, i) -> ride(rs))
                .list();
    }

    void looked(long sessionId, long millis) {
        sql.sql("update live_ride set looked_millis = ? where session_id = ?")
                .params(millis, sessionId)
                .update();
    }

    /** Keys of several units, each in order. */
    Map<Long, List<Pressed>> keys(List<Long> sessions) {
        record Of(long sessionId, Pressed pressed) {}
        if (sessions.isEmpty()) return Map.of();
        return sql
                .sql("select session_id, id, at_millis, key from live_key where session_id in (:ids) order by id")
                .param("ids", sessions)
                .query((rs, i) -> new Of(rs.getLong(1), new Pressed(rs.getLong(2), rs.getLong(3), rs.getString(4))))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Of::sessionId, Collectors.mapping(Of::pressed, Collectors.toList())));
    }

    /**
     * Notes a key, never before one that is noted already, whatever the nodes' clocks say. In a transaction.
     *
     * @return false when no unit runs or too many keys were pressed
     */
    boolean press(long athleteId, long sessionId, long millis, String key, int most) {
        if (!lock(athleteId, sessionId)) return false;
        return sql.sql("insert into live_key (session_id, at_millis, key) select :session,"
                                + " greatest(:now, coalesce(max(at_millis), 0)), :key from live_key"
                                + " where session_id = :session having count(*) < :most")
                        .param("session", sessionId)
                        .param("now", millis)
                        .param("key", key)
                        .param("most", most)
                        .update()
                > 0;
    }

    /** Holds a unit until the transaction ends; false when it is gone. */
    boolean lock(long athleteId, long sessionId) {
        return sql.sql("select 1 from live_ride where session_id = ? and athlete_id = ? for update")
                .params(sessionId, athleteId)
                .query(Integer.class)
                .optional()
                .isPresent();
    }

    void putAway(long sessionId) {
        sql.sql("delete from live_ride where session_id = ?").param(sessionId).update();
    }

    private static Ride ride(ResultSet rs) throws SQLException {
        Double[] b = (Double[]) rs.getArray("body").getArray();
        Double power = rs.getObject("critical_power", Double.class);
        long hour = rs.getLong("hour_id");
        boolean alone = rs.wasNull();
        return new Ride(
                rs.getLong("session_id"),
                rs.getLong("athlete_id"),
                rs.getLong("account_id"),
                alone ? null : hour,
                rs.getBytes("workout"),
                new Body(Sport.valueOf(rs.getString("sport")), b[0], b[1], b[2], b[3], b[4], b[5]),
                power == null ? null : new Reserve(power, rs.getDouble("w_prime")),
                rs.getObject("begins_at", OffsetDateTime.class).toInstant(),
                rs.getLong("started_millis"),
                rs.getInt("speed"));
    }
}
