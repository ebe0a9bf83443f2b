package pemblar.app.account;

import java.time.Duration;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.frame.Secret;

/** Links in mails that serve once and for an hour. */
@Component
class LinkStore {
    static final Duration VALID = Duration.ofHours(1);
    private final JdbcClient sql;
    private final InstantSource clock;

    LinkStore(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** What a link is for. @param email to be confirmed; null for a new password */
    record Link(long accountId, String email) {
        boolean isForPassword() {
            return email == null;
        }
    }

    /** Makes a link; older ones of the same kind no longer serve. @return the secret part, told once */
    String make(Link link) {
        sql.sql("delete from account_link where account_id = ? and (email is null) = ?")
                .params(link.accountId(), link.isForPassword())
                .update();
        String token = Secret.random();
        sql.sql("insert into account_link (token_sha256, account_id, email, made_at) values (?, ?, ?, ?)")
                .params(Secret.hash(token), link.accountId(), link.email(), now())
                .update();
        return token;
    }

    /** Empty when it was never made, has been used, or is too old. */
    Optional<Link> valid(String token) {
        return sql.sql("select account_id, email from account_link where token_sha256 = ? and used_at is null and"
                        + " made_at > ?")
                .params(Secret.hash(token), now().minus(VALID))
                .query((rs, i) -> new Link(rs.getLong(1), rs.getString(2)))
                .optional();
    }

    /** Uses a link up: of two at once one gets it. */
    Optional<Link> use(String token) {
        return sql.sql("update account_link set used_at = ? where token_sha256 = ? and used_at is null and made_at > ?"
                        + " returning account_id, email")
                .params(now(), Secret.hash(token), now().minus(VALID))
                .query((rs, i) -> new Link(rs.getLong(1), rs.getString(2)))
                .optional();
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }
}
