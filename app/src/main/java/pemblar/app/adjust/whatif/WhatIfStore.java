package pemblar.app.adjust.whatif;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.core.threshold.Quantity;

/** Questions that somebody keeps under a name: ten days, a handful for each athlete. */
@Repository
class WhatIfStore {
    private static final int KEPT_DAYS = 10;
    private static final int MOST = 6;
    private static final int LONGEST_NAME = 60;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;

    WhatIfStore(JdbcClient sql, AthleteService athletes, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    record Kept(long id, String name, Question question, LocalDate until) {}

    @Transactional(readOnly = true)
    public List<Kept> kept(Athlete athlete, LocalDate today) {
        return sql.sql("select * from what_if where athlete_id = ? and kept_until >= ? and last_day >= ? "
                        + "order by id limit "
                        + MOST)
                .params(athlete.id(), today, today)
                .query((rs, i) -> new Kept(
                        rs.getLong("id"),
                        rs.getString("name"),
                        new Question(
                                Question.Kind.valueOf(rs.getString("kind")),
                                rs.getObject("first_day", LocalDate.class),
                                rs.getObject("last_day", LocalDate.class),
                                rs.getDouble("amount"),
                                rs.getString("quantity") == null ? null : Quantity.valueOf(rs.getString("quantity"))),
                        rs.getObject("kept_until", LocalDate.class)))
                .list();
    }

    /** @param name empty takes the question's own words */
    @Transactional
    public void keep(Visit visit, String name, Question question) {
        Athlete athlete = athletes.require(visit);
        LocalDate today = athlete.dayOf(clock.instant());
        String called = name.isBlank() ? question.words() : name.strip();
        if (called.length() > LONGEST_NAME)
            throw new IllegalArgumentException("Name: enter at most " + LONGEST_NAME + " characters.");
        sql.sql("delete from what_if where athlete_id = ? and (kept_until < ? or name = ?)")
                .params(visit.athleteId(), today, called)
                .update();
        if (kept(athlete, today).size() >= MOST)
            throw new IllegalArgumentException("At most " + MOST + " questions are kept; drop one first.");
        sql.sql("insert into what_if (athlete_id, name, kind, first_day, last_day, amount, kept_by, "
                        + "kept_until, quantity) values (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        visit.athleteId(),
                        called,
                        question.kind().name(),
                        question.first(),
                        question.last(),
                        question.amount(),
                        visit.viewer().name(),
                        today.plusDays(KEPT_DAYS),
                        question.quantity() == null ? null : question.quantity().name())
                .update();
    }

    @Transactional
    public void drop(Visit visit, long id) {
        athletes.require(visit);
        sql.sql("delete from what_if where id = ? and athlete_id = ?")
                .params(id, visit.athleteId())
                .update();
    }
}
