package pemblar.app.account.second;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.seal.Seal;
import pemblar.app.seal.SealedColumn;

/** Secrets of authenticators, and what is left of recovery codes. */
@Repository
public class SecondFactorStore {
    private static final SealedColumn SECRETS = new SealedColumn("second_factor", "account_id", "secret");
    private final JdbcClient sql;
    private final Seal seal;

    SecondFactorStore(JdbcClient sql, Seal seal) {
        this.sql = sql;
        this.seal = seal;
    }

    @EventListener(ApplicationReadyEvent.class)
    void sealAnew() {
        SECRETS.sealAnew(sql, seal);
    }

    /**
     * @param secret empty when the key by which it was sealed is not here
     * @param on false until its first code was typed
     */
    record Held(Optional<byte[]> secret, Instant madeAt, boolean on) {}

    Optional<Held> of(long accountId) {
        return sql.sql("select secret, made_at, confirmed_at is not null, sealed_by from second_factor where"
                        + " account_id = ?")
                .param(accountId)
                .query((rs, i) -> new Held(
                        seal.open(SECRETS.whose(accountId), new Seal.Sealed(rs.getBytes(1), rs.getString(4))),
                        rs.getTimestamp(2).toInstant(),
                        rs.getBoolean(3)))
                .optional();
    }

    public boolean isOn(long accountId) {
        return sql.sql("select count(*) from second_factor where account_id = ? and confirmed_at is not null")
                        .param(accountId)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Takes the place of one that was begun; not of one that is on. @return false when one is on */
    boolean begin(long accountId, byte[] secret, Instant now) {
        Seal.Sealed sealed = seal.close(SECRETS.whose(accountId), secret);
        return sql.sql("insert into second_factor (account_id, secret, sealed_by, made_at) values (?, ?, ?, ?) on"
                                + " conflict (account_id) do update set secret = excluded.secret, sealed_by ="
                                + " excluded.sealed_by, made_at = excluded.made_at, last_step = 0"
                                + " where second_factor.confirmed_at is null")
                        .params(accountId, sealed.content(), sealed.by(), now.atOffset(ZoneOffset.UTC))
                        .update()
                > 0;
    }

    /** Of two with the same code one gets it. */
    boolean use(long accountId, long step) {
        return sql.sql("update second_factor set last_step = ? where account_id = ? and last_step < ?")
                        .params(step, accountId, step)
                        .update()
                > 0;
    }

    void confirm(long accountId, Instant now) {
        sql.sql("update second_factor set confirmed_at = ? where account_id = ?")
                .params(now.atOffset(ZoneOffset.UTC), accountId)
                .update();
    }

    void off(long accountId) {
        sql.sql("delete from second_factor where account_id = ?")
                .param(accountId)
                .update();
        sql.sql("delete from recovery_code where account_id = ?")
                .param(accountId)
                .update();
    }

    /** In the place of all that were there. */
    void keepRecovery(long accountId, List<String> hashes) {
        sql.sql("delete from recovery_code where account_id = ?")
                .param(accountId)
                .update();
        for (String hash : hashes)
            sql.sql("insert into recovery_code (account_id, code_sha256) values (?, ?)")
                    .params(accountId, hash)
                    .update();
    }

    boolean useRecovery(long accountId, String hash, Instant now) {
        return sql.sql("update recovery_code set used_at = ? where account_id = ? and code_sha256 = ? and used_at is"
                                + " null")
                        .params(now.atOffset(ZoneOffset.UTC), accountId, hash)
                        .update()
                > 0;
    }

    int recoveryLeft(long accountId) {
        return sql.sql("select count(*) from recovery_code where account_id = ? and used_at is null")
                .param(accountId)
                .query(Integer.class)
                .single();
    }
}
