package pemblar.app.load;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.athlete.Beginning;
import pemblar.app.athlete.PageFrame;
import pemblar.app.frame.Once;
import pemblar.app.frame.Recent;
import pemblar.app.frame.Together;
import pemblar.app.frame.Together.Answer;

/** The sums of each day, which the database keeps as sessions are written; drafts lie in a row of their own. */
@Repository
class LoadDays implements Beginning {
    private static final String WRITTEN = "written days";
    private static final String CHANGES = "select count(*) as days, coalesce(sum(changed), 0)::bigint as changed from"
            + " load_day where athlete_id = ?";
    private static final int MOST_KEPT = 100;
    private final Recent<Asked, List<DayLoad>> kept = new Recent<>(MOST_KEPT, this::look);
    private final JdbcClient sql;

    LoadDays(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * In order of day, each athlete's day once.
     *
     * @param withDrafts of whom drafts count, from {@code draftsFrom} on: on days that are over nobody could have
     *     followed them
     */
    List<DayLoad> of(List<Long> athleteIds, List<Long> withDrafts, LocalDate draftsFrom) {
        if (athleteIds.isEmpty()) return List.of();
        return whole(sql.sql("select * from load_day where athlete_id in (:athletes)"
                        + " and (not draft or athlete_id in (:withDrafts) and day >= :from)"
                        + " order by day, athlete_id, draft")
                .param("athletes", athleteIds)
                .param("withDrafts", withDrafts.isEmpty() ? List.of(-1L) : withDrafts)
                .param("from", draftsFrom)
                .query((rs, i) -> day(rs))
                .list());
    }

    /**
     * The same of one athlete, from what was read before when nothing has changed since. The changes are asked for
     * first: days that change in between are newer than they are kept for, and the next who asks reads them anew.
     */
    List<DayLoad> of(long athleteId, boolean withDrafts, LocalDate draftsFrom) {
        Written written = Once.of(
                WRITTEN,
                List.of(athleteId),
                () -> sql.sql(CHANGES)
                        .param(athleteId)
                        .query((rs, i) -> written(rs))
                        .single());
        return kept.of(new Asked(athleteId, withDrafts, draftsFrom, written));
    }

    @Override
    public Runnable ask(Together all, PageFrame.Around around) {
        long athleteId = around.athlete().id();
        if (Once.isKnown(WRITTEN, List.of(athleteId))) return () -> {};
        Answer<Written> written = all.question(CHANGES, (rs, i) -> written(rs), athleteId);
        return () -> Once.keep(WRITTEN, List.of(athleteId), written.list().get(0));
    }

    private static Written written(ResultSet rs) throws SQLException {
        return new Written(rs.getLong("days"), rs.getLong("changed"));
    }

    private List<DayLoad> look(Asked asked) {
        List<Long> one = List.of(asked.athleteId());
        return of(one, asked.withDrafts() ? one : List.of(), asked.draftsFrom());
    }

    /**
     * A number is given once: as many days with the same sum of numbers are the same days.
     *
     * @param days how many there are; {@code changed} the sum of their numbers
     */
    private record Written(long days, long changed) {}

    private record Asked(long athleteId, boolean withDrafts, LocalDate draftsFrom, Written written) {}

    private static DayLoad day(ResultSet rs) throws SQLException {
        return new DayLoad(
                rs.getLong("athlete_id"),
                rs.getObject("day", LocalDate.class),
                rs.getDouble("planned_load"),
                rs.getDouble("done_load"),
                rs.getDouble("open_load"),
                rs.getLong("planned_seconds"),
                rs.getLong("done_seconds"),
                rs.getLong("without_load"),
                rs.getDouble("lifted_done"),
                rs.getDouble("lifted_open"),
                rs.getLong("lifted_planned_seconds"));
    }

    /** What is shared and what is a draft of one day lie next to each other. */
    private static List<DayLoad> whole(List<DayLoad> rows) {
        List<DayLoad> days = new ArrayList<>(rows.size());
        for (DayLoad row : rows) {
            DayLoad last = days.isEmpty() ? null : days.get(days.size() - 1);
            boolean same = last != null
                    && last.athleteId() == row.athleteId()
                    && last.day().equals(row.day());
            if (same) days.set(days.size() - 1, last.with(row));
            else days.add(row);
        }
        return days;
    }
}
