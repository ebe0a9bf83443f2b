package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** The stored sums of each day are those of its sessions, whatever was done to them. */
@Tag("http")
class LoadDayTest {
    private static final String SUMS = "athlete_id, day, draft, planned_load, done_load, open_load, planned_seconds,"
            + " done_seconds, without_load, lifted_done, lifted_open, lifted_planned_seconds";
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private void agrees(String after) {
        List<Map<String, Object>> differing =
                sql.queryForList("with kept as (select " + SUMS + " from load_day), true_ones as (select " + SUMS
                        + " from load_day_of_sessions) (select * from kept except select * from true_ones) union all"
                        + " (select * from true_ones except select * from kept)");
        assertThat(differing).as(after).isEmpty();
    }

    private Map<String, Object> day(long athlete, LocalDate day) {
        List<Map<String, Object>> rows = sql.queryForList(
                "select planned_load, done_load, open_load, done_seconds from load_day where athlete_id = ? and day = ?"
                        + " and not draft",
                athlete,
                day);
        return rows.isEmpty() ? Map.of() : rows.get(0);
    }

    @Test
    void theSumsFollowEverythingThatIsDoneToSessions() {
        agrees("the demo data and all that other tests did");
        Person person = new Person(Running.ADDRESS).signUp("sums.of.days@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/board");
        for (int i = 0; i < 2; i++)
            person.post(
                    base + "/sketch",
                    Map.of(
                            "day",
                            TODAY.plusDays(2).toString(),
                            "sport",
                            "RIDE",
                            "purpose",
                            "EASY",
                            "length",
                            1 + i + "h"));
        agrees("two sketches of one day");
        double one =
                sql.queryForObject("select min(planned_load) from session where athlete_id = ?", Double.class, athlete);
        double two =
                sql.queryForObject("select max(planned_load) from session where athlete_id = ?", Double.class, athlete);
        assertThat(two).isGreaterThan(one);
        assertThat((Double) day(athlete, TODAY.plusDays(2)).get("planned_load")).isEqualTo(one + two);
        long id = sql.queryForObject("select min(id) from session where athlete_id = ?", Long.class, athlete);
        person.post(
                base + "/sessions/" + id + "/move",
                Map.of("day", TODAY.plusDays(5).toString()));
        agrees("a move");
        assertThat((Double) day(athlete, TODAY.plusDays(2)).get("planned_load")).isEqualTo(two);
        assertThat((Double) day(athlete, TODAY.plusDays(5)).get("open_load")).isEqualTo(one);
        person.post(base + "/undo", Map.of());
        agrees("its undo");
        assertThat(day(athlete, TODAY.plusDays(5))).isEmpty();
        sql.update("update session set draft = true where id = ?", id);
        agrees("a draft");
        assertThat((Double) day(athlete, TODAY.plusDays(2)).get("planned_load")).isEqualTo(two);
        person.post(base + "/sessions/" + id + "/drop", Map.of());
        sql.update("delete from session where athlete_id = ?", athlete);
        agrees("all gone");
        assertThat(day(athlete, TODAY.plusDays(2))).isEmpty();
    }

    @Test
    void aRecordingsLoadItsDeletionAndItsReturnAreInTheSums() {
        long recording = sql.queryForObject(
                "select max(recording_id) from session where athlete_id = 2 and recording_id is not null and deleted_at"
                        + " is null",
                Long.class);
        LocalDate day =
                sql.queryForObject("select day from session where recording_id = ?", LocalDate.class, recording);
        double before = (Double) day(2, day).get("done_load");
        sql.update("update recording set load_points = load_points + 7 where id = ?", recording);
        assertThat((Double) day(2, day).get("done_load")).isEqualTo(before + 7);
        agrees("another load");
        sql.update("update recording set deleted_at = now() where id = ?", recording);
        agrees("a deletion");
        sql.update("update recording set deleted_at = null, load_points = load_points - 7 where id = ?", recording);
        agrees("its return");
        assertThat((Double) day(2, day).get("done_load")).isEqualTo(before);
    }
}
