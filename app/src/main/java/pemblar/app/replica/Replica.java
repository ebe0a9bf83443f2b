package pemblar.app.replica;

import com.zaxxer.hikari.HikariDataSource;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.LongSupplier;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The copy, and whether it may be asked: it answers, follows this very database, and is at most two seconds behind.
 * Else everything goes to the main one, as if there were no copy.
 */
public final class Replica implements AutoCloseable {
    static final long MOST_BEHIND_MILLIS = 2000;
    private static final Logger LOG = LoggerFactory.getLogger(Replica.class);
    private static final int LOOK_MILLIS = 250;
    private static final String MAIN = "select pg_wal_lsn_diff(pg_current_wal_lsn(), '0/0')::bigint";
    private static final String COPY =
            "select coalesce(pg_wal_lsn_diff(pg_last_wal_replay_lsn(), '0/0'), 0)::bigint where pg_is_in_recovery()";
    private static final String WHICH = "select system_identifier from pg_control_system()";

    private final HikariDataSource pool;
    private final JdbcTemplate main;
    private final JdbcTemplate copy;
    private final LongSupplier millis;
    private final ScheduledExecutorService looking = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "replica");
        thread.setDaemon(true);
        return thread;
    });
    private final Position position = new Position();
    private final AtomicLong answered = new AtomicLong();
    private final AtomicLong askedAgain = new AtomicLong();
    private volatile boolean same;
    private volatile State state = new State(false, 0, 0, 0, 0);

    /** @param behindMillis,behindBytes as it was at the last look, {@code lookedAt} on the same clock */
    private record State(boolean answers, long bytes, long behindMillis, long behindBytes, long lookedAt) {}

    /** What an operator wants to know of it. */
    public record Figures(boolean isAsked, long behindMillis, long behindBytes, long answered, long askedAgain) {}

    Replica(HikariDataSource pool, DataSource main, LongSupplier millis) {
        this.pool = pool;
        this.main = new JdbcTemplate(main);
        this.copy = new JdbcTemplate(pool);
        this.millis = millis;
        this.main.setQueryTimeout(1);
        this.copy.setQueryTimeout(1);
    }

    void follow() {
        looking.scheduleWithFixedDelay(this::look, 0, LOOK_MILLIS, TimeUnit.MILLISECONDS);
    }

    DataSource pool() {
        return pool;
    }

    void look() {
        boolean before = state.answers();
        try {
            if (!same) same = main.queryForObject(WHICH, Long.class).equals(copy.queryForObject(WHICH, Long.class));
            long bytes = copy.query(COPY, rs -> rs.next() ? rs.getLong(1) : -1L);
            position.looked(millis.getAsLong(), mainBytes(), bytes);
            long now = millis.getAsLong();
            state = new State(same && bytes >= 0, bytes, position.behindMillis(now), position.behindBytes(), now);
        } catch (RuntimeException e) {
            same = false;
            state = new State(false, 0, 0, 0, millis.getAsLong());
            if (before) LOG.warn("The copy of the database does not answer: {}", e.toString());
        }
        if (before != state.answers())
            LOG.warn("Reading pages are answered by {}", state.answers() ? "the copy" : "the main database alone");
    }

    /** How far the main database has written. @throws DataAccessException when it cannot be reached */
    long mainBytes() {
        return main.queryForObject(MAIN, Long.class);
    }

    /** @param bytes how far the main one was when the person last changed something */
    boolean mayAnswer(long bytes) {
        State is = state;
        return isFit(is) && is.bytes() >= bytes;
    }

    private boolean isFit(State is) {
        long old = millis.getAsLong() - is.lookedAt();
        return is.answers() && is.behindMillis() + old <= MOST_BEHIND_MILLIS;
    }

    /** It failed at something: the next look says whether it may be asked. */
    void failed() {
        askedAgain.incrementAndGet();
    }

    void answered() {
        answered.incrementAndGet();
    }

    public Figures figures() {
        State is = state;
        return new Figures(isFit(is), is.behindMillis(), is.behindBytes(), answered.get(), askedAgain.get());
    }

    @Override
    public void close() {
        looking.shutdownNow();
        pool.close();
    }
}
