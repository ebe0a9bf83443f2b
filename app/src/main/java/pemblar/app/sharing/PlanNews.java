package pemblar.app.sharing;

import java.time.Instant;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;

/** Changes of the shared plan that the athlete has not seen yet. */
@Service
public class PlanNews {
    private static final int LONGEST = 300;
    private static final int MOST_SHOWN = 20;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;

    PlanNews(JdbcClient sql, AthleteService athletes, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** One change, in the words in which the coach could take it back. */
    public record News(String author, String sentence, Instant madeAt) {}

    /** Tells an athlete of a change; for a coach for whom the caller has already asked. */
    @Transactional
    public void tell(long athleteId, Viewer coach, String sentence) {
        sql.sql("insert into plan_news (athlete_id, author, sentence, made_at) values (?, ?, ?, ?)")
                .params(
                        athleteId,
                        coach.name(),
                        sentence.length() > LONGEST ? sentence.substring(0, LONGEST - 1) + "…" : sentence,
                        now())
                .update();
    }

    /**
     * A change was taken back by who made it: the athlete is not told of it any more, or told that it is no longer so
     * when the word was out.
     */
    @Transactional
    public void takenBack(long athleteId, Viewer author, String sentence) {
        String cut = sentence.length() > LONGEST ? sentence.substring(0, LONGEST - 1) + "…" : sentence;
        int quietly = sql.sql("delete from plan_news where athlete_id = ? and author = ? and sentence = ? and"
                        + " seen_at is null and mailed_at is null")
                .params(athleteId, author.name(), cut)
                .update();
        boolean out = quietly == 0
                && sql.sql("select count(*) from plan_news where athlete_id = ? and author = ? and sentence = ?")
                                .params(athleteId, author.name(), cut)
                                .query(Long.class)
                                .single()
                        > 0;
        if (out) tell(athleteId, author, "Taken back: " + sentence);
    }

    /** The newest first. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<News> unseen(long athleteId) {
        return sql.sql("select author, sentence, made_at from plan_news where athlete_id = ? and seen_at is null"
                        + " order by id desc limit ?")
                .params(athleteId, MOST_SHOWN)
                .query((rs, i) -> new News(
                        rs.getString(1), rs.getString(2), rs.getTimestamp(3).toInstant()))
                .list();
    }

    /** The athlete has read them. @throws NotFoundException for anybody else */
    @Transactional
    public void seen(Visit visit) {
        if (!athletes.own(visit.viewer())
                .filter(own -> own == visit.athleteId())
                .isPresent()) throw new NotFoundException("athlete");
        sql.sql("update plan_news set seen_at = ? where athlete_id = ? and seen_at is null")
                .params(now(), visit.athleteId())
                .update();
    }

    /** Marks what nobody has mailed or seen as mailed, and gives it in order. */
    @Transactional
    public List<Mailed> takeUnmailed(int most) {
        return sql.sql("update plan_news n set mailed_at = ? from athlete t join account k on k.id = t.account_id where"
                        + " t.id = n.athlete_id and n.id in (select id from plan_news where mailed_at is null and"
                        + " seen_at is null order by id limit ?) returning k.id, k.email,"
                        + " n.author || ': ' || n.sentence, n.athlete_id")
                .params(now(), most)
                .query((rs, i) ->
                        new Mailed(rs.getLong(1), rs.getString(2), rs.getString(3), "/a/" + rs.getLong(4) + "/board"))
                .list();
    }

    /** What was seen long ago goes. */
    @Transactional
    public void purge(Instant before) {
        sql.sql("delete from plan_news where seen_at < ?")
                .param(before.atOffset(ZoneOffset.UTC))
                .update();
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }
}
