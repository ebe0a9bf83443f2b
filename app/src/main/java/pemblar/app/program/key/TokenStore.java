package pemblar.app.program.key;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;

/** Tokens of programs; of the token itself only its hash is kept. */
@Service
public class TokenStore {
    private static final int MOST = 20;
    private static final int MOST_DAYS = 366;
    private static final int LONGEST_NAME = 60;
    private final JdbcClient sql;
    private final InstantSource clock;

    TokenStore(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    public LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    @Transactional(readOnly = true)
    public List<ProgramToken> of(Viewer viewer) {
        return sql.sql("select id, name, may, until, used_on from program_token where account_id = ? order by id")
                .param(viewer.accountId())
                .query(TokenStore::token)
                .list();
    }

    private static ProgramToken token(ResultSet rs, int row) throws SQLException {
        return new ProgramToken(
                rs.getLong("id"),
                rs.getString("name"),
                Scope.read(rs.getString("may")),
                rs.getObject("until", LocalDate.class),
                rs.getObject("used_on", LocalDate.class));
    }

    /** @return the token, which is told once @throws IllegalArgumentException naming the field that cannot be */
    @Transactional
    public String make(Viewer viewer, String name, Set<Scope> may, LocalDate until) {
        if (name.isBlank() || name.length() > LONGEST_NAME)
            throw new IllegalArgumentException("Name: enter 1 to " + LONGEST_NAME + " characters.");
        if (until == null || until.isBefore(today()) || until.isAfter(today().plusDays(MOST_DAYS)))
            throw new IllegalArgumentException("Until: choose a day within a year from today.");
        if (of(viewer).size() >= MOST)
            throw new IllegalArgumentException("There are " + MOST + " tokens already; end one first.");
        String token = Secret.random();
        sql.sql("insert into program_token (account_id, name, token_sha256, may, until, made_at)"
                        + " values (?, ?, ?, ?, ?, ?)")
                .params(
                        viewer.accountId(),
                        name.strip(),
                        Secret.hash(token),
                        Scope.stored(may),
                        until,
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        return token;
    }

    @Transactional
    public void end(Viewer viewer, long id) {
        if (sql.sql("delete from program_token where id = ? and account_id = ?")
                        .params(id, viewer.accountId())
                        .update()
                == 0) throw new NotFoundException("token");
    }

    /** Empty for a token that nobody gave out, that was ended, or whose last day is over. */
    @Transactional
    public Optional<Program> asking(String token) {
        Optional<Program> program = sql.sql("select t.id, t.may, p.id as account, p.name from program_token t"
                        + " join person p on p.id = t.account_id where t.token_sha256 = ? and t.until >= ?")
                .params(Secret.hash(token), today())
                .query((rs, i) -> new Program(
                        rs.getLong("id"),
                        new Viewer(rs.getLong("account"), rs.getString("name")),
                        Scope.read(rs.getString("may"))))
                .optional();
        program.ifPresent(
                p -> sql.sql("update program_token set used_on = ? where id = ? and used_on is distinct from ?")
                        .params(today(), p.tokenId(), today())
                        .update());
        return program;
    }
}
