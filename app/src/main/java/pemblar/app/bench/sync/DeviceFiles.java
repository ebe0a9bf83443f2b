package pemblar.app.bench.sync;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.core.sport.Sport;

/**
 * Inbox and outbox of each athlete's bench unit, as if a device were mounted: Pemblar puts workouts and zones into the
 * inbox, the unit its activities into the outbox. Nothing else passes between the two. They lie in the database, so
 * that it does not matter which node looks.
 */
@Component
public class DeviceFiles {
    private static final String INBOX = "inbox";
    private static final String OUTBOX = "outbox";
    private final JdbcClient sql;

    DeviceFiles(JdbcClient sql) {
        this.sql = sql;
    }

    public record DeviceFile(String name, byte[] bytes) {}

    /** Puts files in the place of all that the inbox held. */
    public void load(long athleteId, List<DeviceFile> files) {
        sql.sql("delete from bench_file where athlete_id = ? and box = 'inbox'")
                .param(athleteId)
                .update();
        for (DeviceFile file : files) put(athleteId, INBOX, file);
    }

    /** Puts one beside what is there. */
    public void add(long athleteId, DeviceFile file) {
        put(athleteId, INBOX, file);
    }

    private void put(long athleteId, String box, DeviceFile file) {
        sql.sql("insert into bench_file (athlete_id, box, name, content) values (?, ?, ?, ?)"
                        + " on conflict (athlete_id, box, name) do update set content = excluded.content")
                .params(athleteId, box, file.name(), file.bytes())
                .update();
    }

    public List<DeviceFile> inbox(long athleteId) {
        return files(athleteId, INBOX);
    }

    private List<DeviceFile> files(long athleteId, String box) {
        return sql.sql("select name, content from bench_file where athlete_id = ? and box = ? order by name")
                .params(athleteId, box)
                .query((rs, i) -> new DeviceFile(rs.getString(1), rs.getBytes(2)))
                .list();
    }

    public Optional<DeviceFile> named(long athleteId, String name) {
        return sql.sql("select name, content from bench_file where athlete_id = ? and box = 'inbox' and name = ?")
                .params(athleteId, name)
                .query((rs, i) -> new DeviceFile(rs.getString(1), rs.getBytes(2)))
                .optional();
    }

    public static String workoutName(long sessionId) {
        return "workout-" + sessionId + ".fit";
    }

    public static String zonesName(Sport sport) {
        return "zones-" + sport.key() + ".fit";
    }

    /** What the unit writes when a session ends. */
    public void deliver(long athleteId, DeviceFile activity) {
        put(athleteId, OUTBOX, activity);
    }

    public List<DeviceFile> outbox(long athleteId) {
        return files(athleteId, OUTBOX);
    }

    /** Takes a file out of the outbox once it is uploaded. */
    public void collected(long athleteId, String name) {
        sql.sql("delete from bench_file where athlete_id = ? and box = 'outbox' and name = ?")
                .params(athleteId, name)
                .update();
    }
}
