package pemblar.app.adjust;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService.Trend;

/** What somebody answered to proposals. */
@Repository
class AnswerStore {
    private static final int SHOWN = 60;
    private static final int LONGEST_WHAT = 400;
    private static final int LONGEST_WHY = 1000;
    private final JdbcClient sql;

    AnswerStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** How a proposal was answered. */
    enum Kind {
        TAKEN,
        /** Taken to the board, to be changed there. */
        CARRIED,
        LEFT,
        ASKED,
        /** A coach has put it before the athlete, who decides after that. */
        SUGGESTED
    }

    /** @param effect what was forecast, as JSON */
    record Given(Shown shown, Kind kind, String reason, String effect) {}

    void keep(Athlete athlete, Viewer viewer, Given given, Instant now) {
        sql.sql("insert into proposal_answer (athlete_id, account_id, trigger, fingerprint, answer, "
                        + "what, why, reason, effect, day, answered_at) values (?, ?, ?, ?, ?, ?, ?, "
                        + "?, ?::jsonb, ?, ?)")
                .params(
                        athlete.id(),
                        viewer.accountId(),
                        given.shown().proposal().trigger().key(),
                        given.shown().fingerprint(),
                        given.kind().name(),
                        cut(given.shown().title(), LONGEST_WHAT),
                        cut(given.shown().why(), LONGEST_WHY),
                        given.reason(),
                        given.effect(),
                        athlete.dayOf(now),
                        now.atOffset(ZoneOffset.UTC))
                .update();
    }

    private static String cut(String text, int most) {
        return text.length() > most ? text.substring(0, most) : text;
    }

    /** Fingerprints that were answered so since a day. */
    Set<String> fingerprints(long athleteId, Kind kind, LocalDate after) {
        return new HashSet<>(
                sql.sql("select fingerprint from proposal_answer where athlete_id = ? and answer = ? and day > ?")
                        .params(athleteId, kind.name(), after)
                        .query(String.class)
                        .list());
    }

    /** The latest that somebody took, as when it is taken back at once. */
    void forgetTaken(Visit visit) {
        sql.sql("delete from proposal_answer where id = (select max(id) from proposal_answer where athlete_id = ? and"
                        + " account_id = ? and answer in ('TAKEN', 'CARRIED'))")
                .params(visit.athleteId(), visit.viewer().accountId())
                .update();
    }

    /** The latest first. */
    List<Learning.Answered> latest(long athleteId, Trend trend) {
        return sql.sql("select p.*, k.name from proposal_answer p join person k on k.id = p.account_id "
                        + "where p.athlete_id = ? order by p.id desc limit ?")
                .params(athleteId, SHOWN)
                .query((rs, i) -> Learning.Answered.of(
                        new Learning.Answered.Given(
                                rs.getString("answer"),
                                rs.getString("what"),
                                rs.getString("reason"),
                                rs.getString("name"),
                                rs.getObject("day", LocalDate.class),
                                rs.getString("effect")),
                        trend))
                .list();
    }
}
