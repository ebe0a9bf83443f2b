package pemblar.app.program.hook;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.seal.Seal;
import pemblar.app.seal.SealedColumn;
import pemblar.app.session.SessionArrived;
import pemblar.app.sharing.PlanChanged;
import tools.jackson.databind.json.JsonMapper;

/** Addresses that are called back, and the calls that wait: written in the transaction of what they tell of. */
@Service
public class Hooks {
    static final int MOST_TRIES = 10;
    private static final int MOST = 10;
    private static final Duration KEPT = Duration.ofDays(7);
    private static final Duration FIRST_RETRY = Duration.ofSeconds(10);
    private static final Duration LONGEST_RETRY = Duration.ofHours(6);
    private static final SealedColumn SECRETS = new SealedColumn("program_hook", "id", "secret");
    private final JdbcClient sql;
    private final Seal seal;
    private final InstantSource clock;
    private final CallAddress addresses;

    Hooks(JdbcClient sql, Seal seal, InstantSource clock, @Value("${pemblar.calls-to:}") List<String> allowed) {
        this.sql = sql;
        this.seal = seal;
        this.clock = clock;
        this.addresses = new CallAddress(java.util.Set.copyOf(allowed));
    }

    @EventListener(ApplicationReadyEvent.class)
    void sealAnew() {
        SECRETS.sealAnew(sql, seal);
    }

    CallAddress addresses() {
        return addresses;
    }

    /** @param lastAnswer what was answered to the latest call; empty before the first */
    public record Hook(long id, String url, String lastAnswer, int waiting) {}

    @Transactional(readOnly = true)
    public List<Hook> of(Viewer viewer) {
        return sql.sql("select h.id, h.url, h.last_answer, (select count(*) from program_call c where c.hook_id = h.id"
                        + " and c.due_at is not null) as waiting from program_hook h where h.account_id = ?"
                        + " order by h.id")
                .param(viewer.accountId())
                .query((rs, i) -> new Hook(rs.getLong(1), rs.getString(2), rs.getString(3), rs.getInt(4)))
                .list();
    }

    /** @param secret by which calls are signed; told once */
    public record Made(long id, String url, String secret) {
        @Override
        public String toString() {
            return id + ", " + url + "; the secret is not shown";
        }
    }

    /** @throws IllegalArgumentException when the address may not be called */
    @Transactional
    public Made make(Viewer viewer, String url) {
        addresses.checked(url);
        if (of(viewer).size() >= MOST)
            throw new IllegalArgumentException("url: there are " + MOST + " addresses already; end one first.");
        String secret = Secret.random();
        long id = sql.sql("insert into program_hook (account_id, url, secret, made_at) values (?, ?, '', ?)"
                        + " returning id")
                .params(viewer.accountId(), url, at(clock.instant()))
                .query(Long.class)
                .single();
        Seal.Sealed sealed = seal.close(SECRETS.whose(id), secret.getBytes(StandardCharsets.UTF_8));
        sql.sql("update program_hook set secret = ?, sealed_by = ? where id = ?")
                .params(sealed.content(), sealed.by(), id)
                .update();
        return new Made(id, url, secret);
    }

    @Transactional
    public void end(Viewer viewer, long id) {
        if (sql.sql("delete from program_hook where id = ? and account_id = ?")
                        .params(id, viewer.accountId())
                        .update()
                == 0) throw new NotFoundException("hook");
    }

    @EventListener
    @Transactional
    public void arrived(SessionArrived arrived) {
        tell("session.arrived", arrived.athleteId(), arrived.sessionId(), true);
    }

    @EventListener
    @Transactional
    public void changed(PlanChanged changed) {
        tell("plan.changed", changed.athleteId(), null, changed.shared());
    }

    /** The same that still waits for its first try is told once. @param shared false tells coaches alone */
    private void tell(String event, long athleteId, Long sessionId, boolean shared) {
        List<Long> hooks = sql.sql("select h.id from program_hook h join athlete_known a on a.id = :athlete where"
                        + " h.account_id = a.account_id and :shared or h.account_id in (select account_id from coached"
                        + " where athlete_id = :athlete)")
                .param("athlete", athleteId)
                .param("shared", shared)
                .query(Long.class)
                .list();
        if (hooks.isEmpty()) return;
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("event", event);
        body.put("athlete", athleteId);
        if (sessionId != null) body.put("session", sessionId);
        String text = JsonMapper.shared().writeValueAsString(body);
        for (long hook : hooks)
            sql.sql("insert into program_call (hook_id, event, body, made_at, due_at) select :hook, :event, :body,"
                            + " :now, :now where not exists (select 1 from program_call where hook_id = :hook and"
                            + " body = :body and tries = 0 and due_at is not null)")
                    .param("hook", hook)
                    .param("event", event)
                    .param("body", text)
                    .param("now", at(clock.instant()))
                    .update();
    }

    /**
     * A call to be made.
     *
     * @param secret null when the key by which it was sealed is not here
     * @param tries this one among them
     */
    record Call(long id, long hookId, String url, String secret, String event, String body, int tries) {
        @Override
        public String toString() {
            return id + ", " + event + " to " + url + "; the secret is not shown";
        }
    }

    /** Takes calls that are due, each for one node; a node that dies meanwhile leaves them for later. */
    @Transactional
    public List<Call> take(int most) {
        Instant now = clock.instant();
        List<Call> calls = sql.sql("with due as (select c.id from program_call c where c.due_at <= :now order by"
                        + " c.due_at, c.id limit :most for update skip locked) update program_call c set"
                        + " tries = tries + 1, due_at = :later from due, program_hook h where c.id = due.id"
                        + " and h.id = c.hook_id"
                        + " returning c.id, h.id as hook, h.url, h.secret, h.sealed_by, c.event, c.body, c.tries")
                .param("now", at(now))
                .param("later", at(now.plus(LONGEST_RETRY)))
                .param("most", most)
                .query((rs, i) -> new Call(
                        rs.getLong("id"),
                        rs.getLong("hook"),
                        rs.getString("url"),
                        secret(rs.getLong("hook"), new Seal.Sealed(rs.getBytes("secret"), rs.getString("sealed_by"))),
                        rs.getString("event"),
                        rs.getString("body"),
                        rs.getInt("tries")))
                .list();
        for (Call call : calls) due(call, call.tries() >= MOST_TRIES ? null : now.plus(retry(call.tries())));
        return calls;
    }

    private String secret(long hook, Seal.Sealed sealed) {
        return seal.open(SECRETS.whose(hook), sealed)
                .map(secret -> new String(secret, StandardCharsets.UTF_8))
                .orElse(null);
    }

    private static Duration retry(int tries) {
        Duration wait = FIRST_RETRY.multipliedBy(1L << Math.min(12, 2 * (tries - 1)));
        return wait.compareTo(LONGEST_RETRY) > 0 ? LONGEST_RETRY : wait;
    }

    private void due(Call call, Instant when) {
        sql.sql("update program_call set due_at = ? where id = ?")
                .params(when == null ? null : at(when), call.id())
                .update();
    }

    /** @param answer in a few words @param taken whether it need not be tried again */
    @Transactional
    public void answered(Call call, String answer, boolean taken) {
        if (taken) due(call, null);
        sql.sql("update program_hook set answered_at = ?, last_answer = ? where id = ?")
                .params(at(clock.instant()), answer.substring(0, Math.min(200, answer.length())), call.hookId())
                .update();
    }

    @Transactional
    public void purge() {
        sql.sql("delete from program_call where made_at < ?")
                .param(at(clock.instant().minus(KEPT)))
                .update();
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atOffset(ZoneOffset.UTC);
    }
}
