package pemblar.app.recording.bytes;

import static java.util.stream.Collectors.joining;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.frame.Secret;
import pemblar.app.objects.ObjectLost;
import pemblar.app.objects.ObjectStore;
import pemblar.app.objects.StoreAway;
import pemblar.app.operator.WhereRecordingsLie;
import pemblar.app.recording.bytes.RecordingDataRow.Place;

/**
 * Moves the bytes of recordings to where they are wanted while the application runs: a file comes into the database
 * with its transaction, and from there into the store of objects, or back. Each is read again and held against its hash
 * before it leaves the place where it was.
 */
@Service
public class Moving implements WhereRecordingsLie {
    private static final String STAY = "stay";
    private static final int AT_ONCE = 500;
    private static final int MOST_NAMED = 10;
    private static final int MOST_IN_A_ROW = 3;
    private final JdbcClient sql;
    private final ObjectStore objects;
    private final TransactionTemplate transaction;
    /** Null while all stay where they are. */
    private final Place wanted;

    Moving(
            JdbcClient sql,
            ObjectStore objects,
            TransactionTemplate transaction,
            @Value("${pemblar.recordings-in:database}") String wanted) {
        this.sql = sql;
        this.objects = objects;
        this.transaction = transaction;
        this.wanted = wanted(wanted.strip());
        if (this.wanted == Place.OBJECTS && !objects.isThere())
            throw new IllegalStateException("PEMBLAR_RECORDINGS_IN is objects, but PEMBLAR_OBJECTS says no store");
    }

    private static Place wanted(String word) {
        if (word.equalsIgnoreCase(STAY)) return null;
        return Arrays.stream(Place.values())
                .filter(p -> p.name().equalsIgnoreCase(word))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(
                        "PEMBLAR_RECORDINGS_IN is database, objects or stay, not “" + word + "”"));
    }

    private record Bytes(byte[] original, byte[] channels) {}

    /**
     * One after the other, each once. One that the store has no more, has otherwise or does not take keeps none of the
     * others waiting.
     *
     * @param out into the store of objects, or back from it
     * @param goOn asked before each
     * @throws ObjectLost at the end, when some are lost
     * @throws StoreAway at the end for one that could not be moved, at once when so many in a row could not
     */
    public void moveAll(boolean out, BooleanSupplier goOn) {
        Place from = out ? Place.DATABASE : Place.OBJECTS;
        Failures failures = new Failures();
        long after = 0;
        for (List<Long> some = some(from, after); !some.isEmpty(); some = some(from, after)) {
            for (long id : some) {
                if (!goOn.getAsBoolean()) return;
                failures.count(id, () -> move(id, out));
                after = id;
            }
        }
        failures.tell();
    }

    /** What could not be moved in a round. */
    static final class Failures {
        private final List<Long> lost = new ArrayList<>();
        private StoreAway away;
        private int inARow;

        void count(long id, Runnable move) {
            try {
                move.run();
                inARow = 0;
            } catch (ObjectLost e) {
                lost.add(id);
            } catch (StoreAway e) {
                away = e;
                if (++inARow == MOST_IN_A_ROW) throw e;
            }
        }

        void tell() {
            if (!lost.isEmpty()) throw new ObjectLost(sentence(lost));
            if (away != null) throw away;
        }
    }

    /** As {@link #moveAll}, to where they are wanted. */
    private void move(BooleanSupplier goOn) {
        if (objects.isThere() && wanted != null) moveAll(wanted == Place.OBJECTS, goOn);
    }

    private List<Long> some(Place from, long after) {
        return sql.sql("select recording_id from recording_data where place = ? and recording_id > ?"
                        + " order by recording_id limit " + AT_ONCE)
                .params(from.name(), after)
                .query(Long.class)
                .list();
    }

    private static String sentence(List<Long> lost) {
        String named = lost.stream().limit(MOST_NAMED).map(String::valueOf).collect(joining(", "));
        return (lost.size() == 1 ? "1 recording does" : lost.size() + " recordings do")
                + " not lie in the store as put there, and could not be moved: " + named
                + (lost.size() > MOST_NAMED ? " and others" : "");
    }

    private static Place elsewhere(Place wanted) {
        return wanted == Place.OBJECTS ? Place.DATABASE : Place.OBJECTS;
    }

    @Override
    public Optional<Lying> lying() {
        if (!objects.isThere()) {
            int outOfReach = in(Place.OBJECTS);
            return outOfReach == 0 ? Optional.empty() : Optional.of(new Lying(Where.OUT_OF_REACH, outOfReach));
        }
        if (wanted == null) return Optional.of(new Lying(Where.EACH_WHERE_IT_LIES, in(Place.OBJECTS)));
        return Optional.of(
                new Lying(wanted == Place.OBJECTS ? Where.STORE_OF_OBJECTS : Where.DATABASE, in(elsewhere(wanted))));
    }

    /** Counted to {@link #MOST_COUNTED}. */
    private int in(Place place) {
        return sql.sql("select count(*) from (select 1 from recording_data where place = ? limit " + MOST_COUNTED
                        + ") as counted")
                .param(place.name())
                .query(Integer.class)
                .single();
    }

    /** Moves one; without effect when it is there already, or somebody else is moving it. */
    public void move(long recordingId, boolean out) {
        transaction.executeWithoutResult(status -> {
            if (out) out(recordingId);
            else in(recordingId);
        });
    }

    private void out(long id) {
        Optional<Bytes> held = sql.sql(
                        "select original, channels from recording_data where recording_id = ? and place ="
                                + " 'DATABASE' for update skip locked")
                .param(id)
                .query((rs, i) -> new Bytes(rs.getBytes(1), rs.getBytes(2)))
                .optional();
        if (held.isEmpty()) return;
        put(RecordingBytes.originalKey(id), held.get().original());
        put(RecordingBytes.channelsKey(id), held.get().channels());
        sql.sql("update recording_data set place = 'OBJECTS', original = null, channels = null, original_sha256 = ?,"
                        + " channels_sha256 = ? where recording_id = ?")
                .params(
                        Secret.hash(held.get().original()),
                        Secret.hash(held.get().channels()),
                        id)
                .update();
    }

    private void put(String key, byte[] content) {
        objects.put(key, content);
        if (!Arrays.equals(objects.get(key).orElse(null), content))
            throw new ObjectLost(key + " came back from the store other than it went there");
    }

    private void in(long id) {
        record Hashes(String original, String channels) {}
        Optional<Hashes> held = sql.sql("select original_sha256, channels_sha256 from recording_data where recording_id"
                        + " = ? and place = 'OBJECTS' for update skip locked")
                .param(id)
                .query((rs, i) -> new Hashes(rs.getString(1), rs.getString(2)))
                .optional();
        if (held.isEmpty()) return;
        byte[] original = get(RecordingBytes.originalKey(id), held.get().original());
        byte[] channels = get(RecordingBytes.channelsKey(id), held.get().channels());
        sql.sql("update recording_data set place = 'DATABASE', original = ?, channels = ? where recording_id = ?")
                .params(original, channels, id)
                .update();
        sql.sql("insert into object_going (recording_id) values (?) on conflict do nothing")
                .param(id)
                .update();
    }

    private byte[] get(String key, String sha256) {
        byte[] content = objects.get(key).orElse(new byte[0]);
        if (!Secret.hash(content).equals(sha256)) throw new ObjectLost(key + " in the store is not what was put there");
        return content;
    }

    /** Deletes objects that nothing names any more; not within the minute in which somebody may still be reading. */
    public int clear() {
        if (!objects.isThere()) return 0;
        List<Long> going = sql.sql("select recording_id from object_going g where since <= now() - interval '1 minute'"
                        + " and not exists (select 1 from recording_data d where d.recording_id = g.recording_id and"
                        + " d.place = 'OBJECTS') order by recording_id limit " + AT_ONCE)
                .query(Long.class)
                .list();
        for (long id : going) {
            objects.delete(RecordingBytes.originalKey(id));
            objects.delete(RecordingBytes.channelsKey(id));
            sql.sql("delete from object_going where recording_id = ?").param(id).update();
        }
        return going.size();
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> moveRecordings(Moving moving) {
            return Tasks.recurring("move-recordings", FixedDelay.of(Duration.ofSeconds(20)))
                    .execute((instance, context) -> {
                        BooleanSupplier goOn =
                                () -> !context.getSchedulerState().isShuttingDown();
                        while (moving.clear() >= AT_ONCE && goOn.getAsBoolean()) {}
                        moving.move(goOn);
                    });
        }
    }
}
