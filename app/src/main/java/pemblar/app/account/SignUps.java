package pemblar.app.account;

import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.frame.Secret;

/** Who may make an account here: everybody, who was invited, or nobody. The very first one may always be made. */
@Component
class SignUps {
    private final Open open;
    private final AccountService accounts;
    private final JdbcClient sql;
    private final InstantSource clock;

    /** As the setting says. */
    enum Open {
        OPEN,
        INVITATION,
        CLOSED
    }

    SignUps(@Value("${pemblar.sign-up}") String setting, AccountService accounts, JdbcClient sql, InstantSource clock) {
        this.open = open(setting);
        this.accounts = accounts;
        this.sql = sql;
        this.clock = clock;
    }

    private static Open open(String setting) {
        try {
            return Open.valueOf(setting.strip().toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("PEMBLAR_SIGN_UP must be open, invitation or closed, was " + setting, e);
        }
    }

    /** Whether the page of signing up says more than why not. */
    boolean isOpenToAll() {
        return open == Open.OPEN || accounts.isEmpty();
    }

    /**
     * @param invitation the secret part of the link by which somebody came; empty without one
     * @return why no account can be made; null when it can
     */
    String refused(String invitation) {
        if (isOpenToAll()) return null;
        if (open == Open.CLOSED) return "No accounts are made here. Ask who runs this Pemblar for one.";
        return isInvited(invitation)
                ? null
                : "Accounts are made here by invitation: open the link of yours, and come here from it.";
    }

    private boolean isInvited(String token) {
        return !token.isEmpty()
                && sql.sql("select count(*) from invitation where token_sha256 = ? and state = 'OPEN'"
                                        + " and expires_at > ?")
                                .params(Secret.hash(token), clock.instant().atOffset(ZoneOffset.UTC))
                                .query(Integer.class)
                                .single()
                        > 0;
    }
}
