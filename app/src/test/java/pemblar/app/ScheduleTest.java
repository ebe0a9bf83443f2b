package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Every change of the plan, over HTTP, and that undo brings back exactly the rows that were there. */
@Tag("http")
class ScheduleTest {
    private static final int ATHLETE = 2;
    private static final String BASE = "/a/" + ATHLETE;
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person sefa;

    @BeforeAll
    static void signIn() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        sefa = Person.demo("sefa");
        sefa.get(BASE + "/board");
    }

    private static List<Map<String, Object>> rows() {
        return sql.queryForList(
                "select id, day, start_minute, sport, title, structure::text, scale_percent, planned_seconds, "
                        + "planned_load, planned_silhouette, recording_id from session where athlete_id = ? "
                        + "order by id",
                ATHLETE);
    }

    private static long ahead() {
        return sql.queryForObject(
                "select min(id) from session where athlete_id = ? and day > ? and recording_id is null and "
                        + "structure is not null",
                Long.class,
                ATHLETE,
                TODAY.plusDays(2));
    }

    private static long done() {
        return sql.queryForObject(
                "select max(id) from session where athlete_id = ? and recording_id is not null and structure "
                        + "is not null",
                Long.class,
                ATHLETE);
    }

    private static void changesAndComesBack(String path, Map<String, String> form) {
        var before = rows();
        assertEquals(200, sefa.post(BASE + path, form).statusCode());
        assertNotEquals(before, rows(), path);
        assertTrue(sefa.post(BASE + "/undo", Map.of()).body().contains("Taken back"));
        assertEquals(before, rows(), path);
    }

    @Test
    void movingIsUndone() {
        changesAndComesBack(
                "/sessions/" + ahead() + "/move",
                Map.of("day", TODAY.plusDays(9).toString()));
    }

    @Test
    void copyingIsUndone() {
        changesAndComesBack(
                "/sessions/" + ahead() + "/copy",
                Map.of("day", TODAY.plusDays(9).toString()));
    }

    @Test
    void droppingIsUndoneUnderTheSameId() {
        changesAndComesBack("/sessions/" + ahead() + "/remove", Map.of());
    }

    @Test
    void droppingThePlanOfADoneSessionKeepsTheRecordingAndIsUndone() {
        long id = done();
        changesAndComesBack("/sessions/" + id + "/remove", Map.of());
        assertEquals(
                1,
                sql.queryForObject(
                        "select count(*) from session where id = ? and recording_id is not null", Integer.class, id));
    }

    @Test
    void scalingIsUndoneAndFollowsTheLoad() {
        long id = ahead();
        double load = load(id);
        sefa.post(BASE + "/sessions/" + id + "/scale", Map.of("percent", "50"));
        assertEquals(load * 0.5, load(id), load * 0.06);
        sefa.post(BASE + "/undo", Map.of());
        assertEquals(load, load(id), 1e-9);
        changesAndComesBack("/sessions/" + id + "/scale", Map.of("percent", "80"));
    }

    private static double load(long id) {
        return sql.queryForObject("select planned_load from session where id = ?", Double.class, id);
    }

    @Test
    void unmatchingIsUndone() {
        changesAndComesBack("/sessions/" + done() + "/unmatch", Map.of());
    }

    @Test
    void matchingByHandIsUndone() {
        long planned = done();
        var matched = rows();
        sefa.post(BASE + "/sessions/" + planned + "/unmatch", Map.of());
        long recorded = sql.queryForObject("select max(id) from session where athlete_id = ?", Long.class, ATHLETE);
        changesAndComesBack("/sessions/" + recorded + "/match", Map.of("planned", String.valueOf(planned)));
        sefa.post(BASE + "/undo", Map.of());
        assertEquals(matched, rows());
    }

    @Test
    void whatIsDoneKeepsItsDayAndImpossibleChangesSayWhy() {
        var before = rows();
        assertTrue(sefa.post(
                        BASE + "/sessions/" + done() + "/move",
                        Map.of("day", TODAY.plusDays(3).toString()))
                .body()
                .contains("already done"));
        assertTrue(sefa.post(BASE + "/sessions/" + ahead() + "/scale", Map.of("percent", "900"))
                .body()
                .contains("10 to 200"));
        assertEquals(before, rows());
    }

    @Test
    void puttingAWorkoutOnADayIsUndone() {
        long workout = sql.queryForObject(
                "select min(w.id) from workout w join athlete a on a.account_id = w.account_id where a.id = ?",
                Long.class,
                ATHLETE);
        changesAndComesBack(
                "/sessions",
                Map.of(
                        "workout",
                        String.valueOf(workout),
                        "day",
                        TODAY.plusDays(4).toString(),
                        "time",
                        "18:15"));
        long foreign = sql.queryForObject(
                "select min(w.id) from workout w join athlete a on a.account_id = w.account_id where a.id = 1",
                Long.class);
        assertEquals(
                404,
                sefa.post(BASE + "/sessions", Map.of("workout", String.valueOf(foreign), "day", TODAY.toString()))
                        .statusCode());
    }
}
