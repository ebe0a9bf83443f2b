package pemblar.app.archive.taking;

import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.time.Duration;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/** Archives on their way in, in the database: any node can go on with one. */
@Component
class ArchiveStore {
    private static final int LONGEST = 4000;
    /** What has had no piece for so long is not coming: the node that took it in has died. */
    private static final Duration CUT_OFF = Duration.ofHours(1);

    private final JdbcClient sql;
    private final InstantSource clock;
    private final long room;

    ArchiveStore(JdbcClient sql, InstantSource clock, @Value("${pemblar.archives-room}") DataSize room) {
        this.sql = sql;
        this.clock = clock;
        this.room = room.toBytes();
    }

    /** How far it is. */
    public enum State {
        ARRIVING,
        WAITING,
        READING,
        DONE,
        REFUSED
    }

    /**
     * @param taken how many of what, one a line, the number before a tab
     * @param leftOut the first of what was not taken in and why, one a line
     */
    public record Status(
            long id, long accountId, State state, int total, int done, String taken, String leftOut, int leftCount) {
        boolean isOnItsWay() {
            return state != State.DONE && state != State.REFUSED;
        }
    }

    /** @throws org.springframework.dao.DuplicateKeyException when one is on its way already */
    long begin(long accountId) {
        sql.sql("delete from archive_in where state = 'ARRIVING' and arrived_at < ?")
                .param(clock.instant().minus(CUT_OFF).atOffset(ZoneOffset.UTC))
                .update();
        return sql.sql("insert into archive_in (account_id, state, arrived_at) values (?, 'ARRIVING', ?) returning id")
                .params(accountId, clock.instant().atOffset(ZoneOffset.UTC))
                .query(Long.class)
                .single();
    }

    void drop(long id) {
        sql.sql("delete from archive_in where id = ?").param(id).update();
    }

    /**
     * Writes down that it is still coming, and how much of it is here.
     *
     * @throws IllegalArgumentException with a sentence when all archives together have no room for it
     */
    void count(long id, long bytes) {
        sql.sql("update archive_in set bytes = ?, arrived_at = ? where id = ?")
                .params(bytes, clock.instant().atOffset(ZoneOffset.UTC), id)
                .update();
        long all = sql.sql("select coalesce(sum(bytes), 0) from archive_in where state in ('ARRIVING', 'WAITING',"
                        + " 'READING')")
                .query(Long.class)
                .single();
        if (all > room)
            throw new IllegalArgumentException("So many archives are being taken in that there is no room for this one"
                    + " now. Send it again in an hour; should there be none then either, ask who runs this Pemblar.");
    }

    void piece(long id, String name, int place, byte[] content) {
        sql.sql("insert into archive_in_piece values (?, ?, ?, ?)")
                .params(id, name, place, content)
                .update();
    }

    Optional<Status> latest(long accountId) {
        return status("account_id = ? order by id desc limit 1", accountId);
    }

    Optional<Status> find(long id) {
        return status("id = ?", id);
    }

    private Optional<Status> status(String where, long value) {
        return sql.sql("select id, account_id, state, total, done, taken, left_out, left_count from archive_in where "
                        + where)
                .param(value)
                .query((rs, i) -> new Status(
                        rs.getLong(1),
                        rs.getLong(2),
                        State.valueOf(rs.getString(3)),
                        rs.getInt(4),
                        rs.getInt(5),
                        rs.getString(6),
                        rs.getString(7),
                        rs.getInt(8)))
                .optional();
    }

    void state(long id, State state) {
        sql.sql("update archive_in set state = ? where id = ?")
                .params(state.name(), id)
                .update();
    }

    void total(long id, int total) {
        sql.sql("update archive_in set total = ? where id = ?")
                .params(total, id)
                .update();
    }

    void oneDone(long id) {
        sql.sql("update archive_in set done = done + 1 where id = ?").param(id).update();
    }

    void taken(long id, String text) {
        sql.sql("update archive_in set taken = ? where id = ?")
                .params(cut(text), id)
                .update();
    }

    /** What is not taken in is counted, and said as far as there is room. */
    void leftOut(long id, String what) {
        sql.sql("update archive_in set left_count = left_count + 1, left_out = left(left_out || :what || chr(10), "
                        + LONGEST + ") where id = :id")
                .param("what", cut(what.replace('\0', ' ').replaceAll("\\s+", " ")))
                .param("id", id)
                .update();
    }

    private static String cut(String text) {
        return text.length() > LONGEST - 1 ? text.substring(0, LONGEST - 1) : text;
    }

    List<String> names(long id, String beginning) {
        return sql.sql("select distinct name from archive_in_piece where archive_id = ? and starts_with(name, ?) order"
                        + " by name")
                .params(id, beginning)
                .query(String.class)
                .list();
    }

    /** A file of the archive, whole; empty when it is not there. */
    Optional<byte[]> file(long id, String name) {
        List<byte[]> pieces = sql.sql(
                        "select content from archive_in_piece where archive_id = ? and name = ? order by place")
                .params(id, name)
                .query(byte[].class)
                .list();
        if (pieces.isEmpty()) return Optional.empty();
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        pieces.forEach(whole::writeBytes);
        return Optional.of(whole.toByteArray());
    }

    /** A file of the archive, read as it is needed; nothing when it is not there. */
    InputStream open(long id, String name) {
        return new Pieces(
                place -> sql.sql("select content from archive_in_piece where archive_id = ? and name = ? and place = ?")
                        .params(id, name, place)
                        .query(byte[].class)
                        .optional()
                        .orElse(null));
    }

    void forget(long id, String name) {
        sql.sql("delete from archive_in_piece where archive_id = ? and name = ?")
                .params(id, name)
                .update();
    }

    /** @param more what was taken in at last */
    void end(long id, String more) {
        sql.sql("update archive_in set taken = left(taken || chr(10) || ?, 4000), state = 'DONE' where id = ?")
                .params(more, id)
                .update();
        forgetAll(id);
    }

    void refuse(long id) {
        state(id, State.REFUSED);
        forgetAll(id);
    }

    /** Nothing but what is told of it stays. */
    private void forgetAll(long id) {
        sql.sql("delete from archive_in_piece where archive_id = ?").param(id).update();
        sql.sql("delete from archive_in_number where archive_id = ?").param(id).update();
    }

    void number(long id, String shelf, long was, long isNow) {
        sql.sql("insert into archive_in_number values (?, ?, ?, ?) on conflict do nothing")
                .params(id, shelf, was, isNow)
                .update();
    }

    /** Which number one row of a shelf got here. */
    Optional<Long> number(long id, String shelf, long was) {
        return sql.sql("select is_now from archive_in_number where archive_id = ? and shelf = ? and was = ?")
                .params(id, shelf, was)
                .query(Long.class)
                .optional();
    }

    /** Which number each row of a shelf got here. */
    Map<Long, Long> numbers(long id, String shelf) {
        Map<Long, Long> numbers = new HashMap<>();
        sql.sql("select was, is_now from archive_in_number where archive_id = ? and shelf = ?")
                .params(id, shelf)
                .query((rs, i) -> numbers.put(rs.getLong(1), rs.getLong(2)))
                .list();
        return numbers;
    }
}
