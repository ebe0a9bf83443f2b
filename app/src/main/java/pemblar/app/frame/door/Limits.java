package pemblar.app.frame.door;

import java.time.Duration;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.frame.Viewer;

/**
 * How often something may be tried, counted in the database so that it holds on several nodes: each key is a bucket
 * that leaks evenly, and a try that would make it run over is refused. One statement, so that two at once never both
 * take the last place.
 */
@Component
public class Limits {
    private static final String TAKE = """
        insert into rate_limit as l (key, level, at) values (:key, 1, :now)
        on conflict (key) do update set level = greatest(0, l.level - :rate * extract(epoch from (:now - l.at))) + 1,
            at = :now
        where greatest(0, l.level - :rate * extract(epoch from (:now - l.at))) + 1 <= :most""";
    private static final int SIGN_INS_PER_NAME = 10;
    private static final int SIGN_INS_PER_ADDRESS = 60;
    private static final int SIGN_UPS_PER_ADDRESS = 30;
    private static final int RESETS_PER_NAME = 5;
    private static final int RESETS_PER_ADDRESS = 60;
    private static final int CODES = 8;
    private static final int UPLOADS_PER_MINUTE = 60;
    public static final int PROGRAM_PER_MINUTE = 600;
    private static final int INVITATIONS_PER_HOUR = 200;
    private final JdbcClient sql;
    private final InstantSource clock;

    Limits(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** By name and by address: many names from one place are guessing as well. */
    public boolean allowSignIn(String name, String address) {
        return take("sign-in name " + normal(name), SIGN_INS_PER_NAME, Duration.ofMinutes(1))
                && take("sign-in from " + address, SIGN_INS_PER_ADDRESS, Duration.ofMinutes(1));
    }

    public boolean allowSignUp(String address) {
        return take("sign-up from " + address, SIGN_UPS_PER_ADDRESS, Duration.ofMinutes(1));
    }

    /** Mails with a link for a new password, by name and by address. */
    public boolean allowReset(String name, String address) {
        return take("reset name " + normal(name), RESETS_PER_NAME, Duration.ofHours(1))
                && take("reset from " + address, RESETS_PER_ADDRESS, Duration.ofHours(1));
    }

    /** Codes of a second factor: few, as six digits are soon guessed. */
    public boolean allowCode(long accountId) {
        return take("code " + accountId, CODES, Duration.ofMinutes(15));
    }

    /** The same for who is signed in. @throws IllegalArgumentException with a sentence when it was too often */
    public void takeCode(Viewer viewer) {
        if (!allowCode(viewer.accountId()))
            throw new IllegalArgumentException("Too many tries. Wait a quarter of an hour, then try again.");
    }

    /** Before a password is asked for once more. @throws IllegalArgumentException with a sentence, as above */
    public void takePassword(Viewer viewer, String address) {
        if (!allowSignIn("change " + viewer.accountId(), address))
            throw new IllegalArgumentException("Too many tries. Wait a minute, then try again.");
    }

    public boolean allowUpload(long accountId) {
        return take("upload " + accountId, UPLOADS_PER_MINUTE, Duration.ofMinutes(1));
    }

    /** Requests of one token of a program. */
    public boolean allowProgram(long tokenId) {
        return take("program " + tokenId, PROGRAM_PER_MINUTE, Duration.ofMinutes(1));
    }

    public boolean allowInvitation(long accountId) {
        return take("invite " + accountId, INVITATIONS_PER_HOUR, Duration.ofHours(1));
    }

    /** As the account is looked up: what is trimmed later must not count as another name. */
    static String normal(String name) {
        String normal = String.valueOf(name).strip().toLowerCase(Locale.ROOT);
        return normal.length() > 200 ? normal.substring(0, 200) : normal;
    }

    private boolean take(String key, int most, Duration in) {
        OffsetDateTime now = clock.instant().atOffset(ZoneOffset.UTC);
        return sql.sql(TAKE)
                        .param("key", key)
                        .param("now", now)
                        .param("rate", (double) most / in.toSeconds())
                        .param("most", most)
                        .update()
                > 0;
    }
}
