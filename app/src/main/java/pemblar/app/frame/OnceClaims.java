package pemblar.app.frame;

import java.time.Duration;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Who does the work of a form, kept in the database for all nodes. A claim is done in the transaction of its work, so
 * that a node which dies leaves either both or neither; what was claimed and not done for some seconds may be claimed
 * by another, and then the first can no longer commit.
 */
@Repository
public class OnceClaims implements TransactionExecutionListener {
    static final Duration ABANDONED = Duration.ofSeconds(5);
    private static final String HERE = OnceClaims.class.getName();
    private final JdbcClient sql;
    private final InstantSource clock;

    OnceClaims(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** One form's work. */
    record Claim(String key, UUID by) {}

    /** Whether a form was done, is somebody's, or is for the caller to do. */
    enum State {
        MINE,
        PENDING,
        DONE
    }

    /** @param kept how long a form that was done counts as the same */
    State claim(Claim claim, Duration kept) {
        OffsetDateTime now = clock.instant().atOffset(ZoneOffset.UTC);
        boolean mine = sql.sql("insert into request_once as r (key, at, claim, done) values (:key, :now, :claim, false)"
                                + " on conflict (key) do update set at = :now, claim = :claim, done = false"
                                + " where r.at < :before or not r.done and r.at < :abandoned")
                        .param("key", claim.key())
                        .param("now", now)
                        .param("claim", claim.by())
                        .param("before", now.minus(kept))
                        .param("abandoned", now.minus(ABANDONED))
                        .update()
                > 0;
        return mine ? State.MINE : isDone(claim.key()) ? State.DONE : State.PENDING;
    }

    private boolean isDone(String key) {
        return sql.sql("select done from request_once where key = ?")
                .param(key)
                .query(Boolean.class)
                .optional()
                .orElse(false);
    }

    /** @return false when another has taken it over */
    boolean done(Claim claim) {
        return sql.sql("update request_once set done = true where key = ? and claim = ?")
                        .params(claim.key(), claim.by())
                        .update()
                > 0;
    }

    /** What failed may be sent again. */
    void release(Claim claim) {
        sql.sql("delete from request_once where key = ? and claim = ?")
                .params(claim.key(), claim.by())
                .update();
    }

    /** From here on whatever this request writes is that form's work. */
    static void carry(jakarta.servlet.ServletRequest request, Claim claim) {
        request.setAttribute(HERE, claim);
    }

    private static Claim carried() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        return request == null ? null : (Claim) request.getAttribute(HERE, RequestAttributes.SCOPE_REQUEST);
    }

    @Override
    public void beforeCommit(TransactionExecution transaction) {
        Claim claim = transaction.isReadOnly() ? null : carried();
        if (claim != null && !done(claim))
            throw new PessimisticLockingFailureException("another request has taken over this form");
    }
}
