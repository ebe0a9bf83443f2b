package pemblar.app.account;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Viewer;
import pemblar.app.mail.MailService;

/**
 * The end of an account: asked for with the password, taken back at will for fourteen days, then complete. Their own
 * pages and library go; pages of others stay, without their name and notes.
 */
@Service
public class LeavingService {
    static final Duration GRACE = Duration.ofDays(14);
    private final JdbcClient sql;
    private final DoorService door;
    private final SignIns signIns;
    private final MailService mail;
    private final InstantSource clock;

    LeavingService(JdbcClient sql, DoorService door, SignIns signIns, MailService mail, InstantSource clock) {
        this.sql = sql;
        this.door = door;
        this.signIns = signIns;
        this.mail = mail;
        this.clock = clock;
    }

    /** When the account ends; empty while nobody asked for it. */
    @Transactional(readOnly = true)
    public Optional<Instant> ends(Viewer viewer) {
        return sql.sql("select leaves_at from account where id = ? and leaves_at is not null")
                .param(viewer.accountId())
                .query((rs, i) -> rs.getTimestamp(1).toInstant())
                .optional();
    }

    /**
     * @return when it ends; asked twice, the first day counts
     * @throws IllegalArgumentException when the password is not the account's
     */
    @Transactional
    public Instant ask(Viewer viewer, String password) {
        String address = door.checkedAddress(viewer, password);
        Optional<Instant> already = ends(viewer);
        if (already.isPresent()) return already.get();
        Instant end = clock.instant().plus(GRACE);
        sql.sql("update account set leaves_at = ? where id = ?")
                .params(end.atOffset(ZoneOffset.UTC), viewer.accountId())
                .update();
        mail.send(
                address,
                "Your account ends in 14 days",
                "You asked for it: in 14 days your account ends, with your sessions, plans, notes and everything else"
                        + " in it. Until then nothing changes, and you can keep it here:\n"
                        + mail.address("/account"));
        return end;
    }

    @Transactional
    public void keep(Viewer viewer) {
        sql.sql("update account set leaves_at = null where id = ?")
                .param(viewer.accountId())
                .update();
    }

    /** Ends one account whose days are over, wholly. @return whether there was one */
    @Transactional
    public boolean endOne() {
        record Due(long id, String email, String name) {}
        Optional<Due> due = sql.sql(
                        "select id, email, name from account where leaves_at <= ? order by leaves_at limit 1"
                                + " for update skip locked")
                .param(clock.instant().atOffset(ZoneOffset.UTC))
                .query((rs, i) -> new Due(rs.getLong(1), rs.getString(2), rs.getString(3)))
                .optional();
        due.ifPresent(gone -> {
            signIns.end(gone.email(), null);
            for (String statement : Remains.STATEMENTS)
                sql.sql(statement)
                        .param("account", gone.id())
                        .param("email", gone.email())
                        .param("name", gone.name())
                        .param("nobody", Remains.NOBODY)
                        .update();
        });
        return due.isPresent();
    }
}
