package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

@Tag("http")
class ThresholdChangeTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private static List<Map<String, Object>> loads(String where) {
        return SQL.queryForList("select id, load_points from recording where athlete_id = 3 and sport = 'RIDE' and "
                + where + " order by id");
    }

    @Test
    void exactlyTheSessionsOfTheSpanAreRecomputed() {
        Person kasper = Person.demo("kasper");
        LocalDate today = LocalDate.now();
        LocalDate from = today.minusDays(30);
        var before = loads("day < '" + from + "'");
        var inside = loads("day >= '" + from + "'");
        double planned = SQL.queryForObject(
                "select sum(planned_load) from session where athlete_id = 3 and sport = 'RIDE' and day > '" + today
                        + "'",
                Double.class);
        kasper.get("/a/3/thresholds");
        String asked = kasper.post(
                        "/a/3/thresholds/adopt", Map.of("THRESHOLD_POWER", "200", "from", from.toString(), "ask", "1"))
                .body();
        assertTrue(
                asked.replaceAll(">\\s+<", "><").contains(">" + inside.size() + "</dd><dt>sessions are recomputed"),
                "the preview counts the sessions of the span");
        assertEquals(inside, loads("day >= '" + from + "'"), "a preview saves nothing");
        kasper.post("/a/3/thresholds/adopt", Map.of("THRESHOLD_POWER", "200", "from", from.toString()));
        Eventually.holds(
                Duration.ofSeconds(60),
                () -> SQL.queryForObject("select count(*) from recomputation where done < total", Integer.class) == 0
                        && !loads("day >= '" + from + "'").equals(inside));
        assertEquals(before, loads("day < '" + from + "'"));
        var after = loads("day >= '" + from + "'");
        assertEquals(inside.size(), after.size());
        for (int i = 0; i < after.size(); i++) assertNotEquals(inside.get(i), after.get(i));
        assertEquals(
                planned,
                SQL.queryForObject(
                        "select sum(planned_load) from session where athlete_id = 3 and sport = 'RIDE' and day > '"
                                + today + "'",
                        Double.class),
                planned * 0.02);
        kasper.get("/a/3/thresholds");
        assertTrue(kasper.post("/a/3/thresholds/adopt/undo", Map.of())
                .body()
                .contains("Taken back: Threshold power is now 200 W"));
        Eventually.holds(
                Duration.ofSeconds(60),
                () -> loads("day >= '" + from + "'").toString().equals(inside.toString()));
    }

    @Test
    void anImpossibleValueIsRefusedInPlaceAndKept() {
        Person kasper = Person.demo("kasper");
        kasper.get("/a/3/thresholds");
        String page = kasper.post("/a/3/thresholds/adopt", Map.of("BODY_MASS", "720", "from", "2026-05-01", "ask", "1"))
                .body();
        assertTrue(page.contains("cannot be right") && page.contains("value=\"720\""));
        String words = kasper.post("/a/3/thresholds/adopt", Map.of("THRESHOLD_POWER", "strong", "from", "2026-05-01"))
                .body();
        assertTrue(words.contains("is not a number") && words.contains("value=\"strong\""));
    }
}
