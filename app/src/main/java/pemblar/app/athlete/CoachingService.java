package pemblar.app.athlete;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;

/** Who coaches whom: it stands once both sides have said so, and either side ends it at any time. */
@Service
public class CoachingService {
    private static final String ALL = """
        select c.*, a.name as athlete, k.name as coach from coaching c
        join athlete a on a.id = c.athlete_id join account k on k.id = c.coach_account_id""";
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;

    CoachingService(JdbcClient sql, AthleteService athletes, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** The athlete asks a coach; nothing is seen until the coach accepts. What was ended can be asked for again. */
    @Transactional
    public void ask(long athleteId, Viewer athlete, long coachAccountId, boolean plans) {
        if (athletes.own(athlete).filter(id -> id == athleteId).isEmpty()) throw new NotFoundException("athlete");
        if (coachAccountId == athlete.accountId())
            throw new IllegalArgumentException("E-mail: this is your own address; enter your coach's.");
        sql.sql("""
            insert into coaching (athlete_id, coach_account_id, plans, asked_at) values (?, ?, ?, ?)
            on conflict (athlete_id, coach_account_id) do update set ended_at = null, plans = excluded.plans,
            accepted_at = case when coaching.ended_at is null then coaching.accepted_at end,
            asked_at = excluded.asked_at""").params(athleteId, coachAccountId, plans, now()).update();
    }

    /** Both have agreed already, as by an invitation. */
    @Transactional
    public void begin(long athleteId, long coachAccountId, boolean plans) {
        sql.sql("""
            insert into coaching (athlete_id, coach_account_id, plans, asked_at, accepted_at) values (?, ?, ?, ?, ?)
            on conflict (athlete_id, coach_account_id) do update
            set ended_at = null, plans = excluded.plans,
            accepted_at = excluded.accepted_at""").params(athleteId, coachAccountId, plans, now(), now()).update();
    }

    /** The coach accepts what an athlete asked for. */
    @Transactional
    public void accept(long athleteId, Viewer coach) {
        int accepted = sql.sql("update coaching set accepted_at = ? where athlete_id = ? and coach_account_id = ? "
                        + "and accepted_at is null and ended_at is null")
                .params(now(), athleteId, coach.accountId())
                .update();
        if (accepted == 0) throw new NotFoundException("coaching");
    }

    /** Either side ends it, or declines what was asked for. */
    @Transactional
    public void end(long athleteId, Viewer who, long coachAccountId) {
        boolean own = athletes.own(who).filter(id -> id == athleteId).isPresent();
        if (!own && who.accountId() != coachAccountId) throw new NotFoundException("coaching");
        int ended = sql.sql("update coaching set ended_at = ? where athlete_id = ? and coach_account_id = ? and "
                        + "ended_at is null")
                .params(now(), athleteId, coachAccountId)
                .update();
        if (ended == 0) throw new NotFoundException("coaching");
    }

    /** All who have, had or were asked for access to an athlete. */
    @Transactional(readOnly = true)
    public List<Coaching> ofAthlete(long athleteId) {
        return sql.sql(ALL + " where c.athlete_id = ? order by c.asked_at")
                .param(athleteId)
                .query((rs, i) -> coaching(rs))
                .list();
    }

    /** Athletes who asked this person and wait for an answer. */
    @Transactional(readOnly = true)
    public List<Coaching> open(Viewer coach) {
        return sql.sql(ALL
                        + " where c.coach_account_id = ? and c.accepted_at is null and c.ended_at is "
                        + "null order by c.asked_at")
                .param(coach.accountId())
                .query((rs, i) -> coaching(rs))
                .list();
    }

    private static Coaching coaching(ResultSet rs) throws SQLException {
        return new Coaching(
                rs.getLong("athlete_id"),
                rs.getString("athlete"),
                rs.getLong("coach_account_id"),
                rs.getString("coach"),
                rs.getBoolean("plans"),
                instant(rs, "asked_at"),
                instant(rs, "accepted_at"),
                instant(rs, "ended_at"));
    }

    private static Instant instant(ResultSet rs, String column) throws SQLException {
        Timestamp time = rs.getTimestamp(column);
        return time == null ? null : time.toInstant();
    }

    private java.time.OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }
}
