package pemblar.app.hour;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.bench.Lead;
import pemblar.app.bench.Leads;
import pemblar.app.frame.NotFoundException;
import pemblar.core.workout.SharedClock;
import pemblar.formats.json.WorkoutJson;

/** Group hours, who rides in them, and what the coach did on the way. */
@Component
class HourStore implements Leads {
    static final String CUE = "cue";
    private static final long CUE_FRESH_MILLIS = 25_000;
    private static final int LONGER_SECONDS = 30;
    private static final int MOST_KEYS = 500;
    private final JdbcClient sql;

    HourStore(JdbcClient sql) {
        this.sql = sql;
    }

    long open(Hour hour) {
        return sql.sql("insert into group_hour (group_id, account_id, title, workout_id, workout_version, structure,"
                        + " starts_at, speed) values (?, ?, ?, ?, ?, ?, ?, ?) returning id")
                .params(
                        hour.groupId(),
                        hour.accountId(),
                        hour.title(),
                        hour.workoutId(),
                        hour.workoutVersion(),
                        WorkoutJson.write(hour.workout()),
                        hour.startsAt().atOffset(ZoneOffset.UTC),
                        hour.speed())
                .query(Long.class)
                .single();
    }

    Optional<Hour> find(long id) {
        return sql.sql("select * from group_hour where id = ?")
                .param(id)
                .query((rs, i) -> hour(rs))
                .optional();
    }

    List<Hour> ofGroups(List<Long> groups, Instant from, Instant to) {
        if (groups.isEmpty()) return List.of();
        return sql.sql("select * from group_hour where group_id in (:groups) and starts_at between :from and :to"
                        + " order by starts_at")
                .param("groups", groups)
                .param("from", from.atOffset(ZoneOffset.UTC))
                .param("to", to.atOffset(ZoneOffset.UTC))
                .query((rs, i) -> hour(rs))
                .list();
    }

    List<Hour> latest(long groupId, int most) {
        return sql.sql("select * from group_hour where group_id = ? order by starts_at desc limit ?")
                .params(groupId, most)
                .query((rs, i) -> hour(rs))
                .list();
    }

    void drop(long id) {
        sql.sql("delete from group_hour where id = ?").param(id).update();
    }

    private static Hour hour(ResultSet rs) throws SQLException {
        return new Hour(
                rs.getLong("id"),
                rs.getLong("group_id"),
                rs.getLong("account_id"),
                rs.getString("title"),
                rs.getLong("workout_id"),
                rs.getInt("workout_version"),
                WorkoutJson.read(rs.getString("structure")),
                rs.getObject("starts_at", OffsetDateTime.class).toInstant(),
                rs.getInt("speed"));
    }

    /** Who has joined, with the session that their recording belongs to. */
    Map<Long, Long> riders(long hourId) {
        record Rider(long athleteId, long sessionId) {}
        return sql
                .sql("select athlete_id, session_id from group_hour_rider where hour_id = ?")
                .param(hourId)
                .query((rs, i) -> new Rider(rs.getLong(1), rs.getLong(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Rider::athleteId, Rider::sessionId));
    }

    void join(long hourId, long athleteId, long sessionId) {
        sql.sql("insert into group_hour_rider (hour_id, athlete_id, session_id) values (?, ?, ?)"
                        + " on conflict (hour_id, athlete_id) do update set session_id = excluded.session_id")
                .params(hourId, athleteId, sessionId)
                .update();
    }

    /** @return false when too much was done in this hour already */
    boolean press(long hourId, long millis, String key, String text) {
        return sql.sql("insert into group_hour_key (hour_id, at_millis, key, text) select :hour, :now, :key, :text"
                                + " where (select count(*) from group_hour_key where hour_id = :hour) < :most")
                        .param("hour", hourId)
                        .param("now", millis)
                        .param("key", key)
                        .param("text", text)
                        .param("most", MOST_KEYS)
                        .update()
                > 0;
    }

    private record Key(long atMillis, String key, String text) {}

    private List<Key> keys(long hourId) {
        return sql.sql("select at_millis, key, text from group_hour_key where hour_id = ? order by at_millis, id")
                .param(hourId)
                .query((rs, i) -> new Key(rs.getLong(1), rs.getString(2), rs.getString(3)))
                .list();
    }

    @Override
    public Lead of(long hourId, long nowMillis) {
        return lead(find(hourId).orElseThrow(() -> new NotFoundException("group hour")), nowMillis);
    }

    Lead lead(Hour hour, long nowMillis) {
        List<Key> keys = keys(hour.id());
        List<SharedClock.Event> events = new ArrayList<>();
        String cue = "";
        long start = hour.startsAt().toEpochMilli();
        for (Key key : keys) {
            if (key.key().equals(CUE)) {
                if (nowMillis - key.atMillis() < CUE_FRESH_MILLIS) cue = key.text();
                continue;
            }
            int second = (int) Math.max(0, Math.floorDiv((key.atMillis() - start) * hour.speed(), 1000L));
            events.add(new SharedClock.Event(second, SharedClock.Kind.valueOf(key.key()), LONGER_SECONDS));
        }
        return new Lead(new SharedClock(hour.workout()), start, hour.speed(), events, cue);
    }
}
