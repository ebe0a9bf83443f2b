package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

@Tag("http")
class TemplateTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private static final LocalDate TODAY = LocalDate.now();

    private static List<LocalDate> days(int athlete, long after) {
        return SQL.queryForList(
                "select day from session where athlete_id = ? and id > ? order by day, id",
                LocalDate.class,
                athlete,
                after);
    }

    private static long newest() {
        return SQL.queryForObject("select max(id) from session", Long.class);
    }

    @Test
    void aStretchOfOneBoardIsPutOnAnotherAndTakenBackInOneStep() {
        Person oda = Person.demo("oda");
        oda.get("/a/1/templates");
        LocalDate from = TODAY.plusDays(1);
        List<LocalDate> planned = SQL.queryForList(
                "select day from session where athlete_id = 1 and coalesce(structure::text, strength) is not null"
                        + " and day between ? and ? order by day, id",
                LocalDate.class,
                from,
                from.plusDays(8));
        assertTrue(oda.post(
                        "/a/1/templates",
                        Map.of("from", from.toString(), "to", from.plusDays(8).toString(), "title", "Nine days"))
                .body()
                .contains("Nine days"));
        long template = SQL.queryForObject("select max(id) from template", Long.class);
        long before = newest();
        LocalDate start = TODAY.plusDays(100);
        oda.post("/a/3/templates/" + template + "/put", Map.of("how", "FROM", "day", start.toString()));
        assertEquals(
                planned.stream()
                        .map(d -> start.plusDays(ChronoUnit.DAYS.between(from, d)))
                        .toList(),
                days(3, before));
        oda.get("/a/3/board");
        assertTrue(oda.post("/a/3/undo", Map.of()).body().contains("Taken back"));
        assertEquals(List.of(), days(3, before));
        oda.post("/a/3/templates/" + template + "/put", Map.of("how", "ENDING", "day", start.toString()));
        List<LocalDate> ending = days(3, before);
        assertEquals(start, ending.get(ending.size() - 1));
        oda.post("/a/3/undo", Map.of());
        oda.post(
                "/a/3/templates/" + template + "/put",
                Map.of("how", "WEEKDAYS", "day", start.toString(), "weekdays", "SUNDAY"));
        assertTrue(days(3, before).stream().allMatch(d -> d.getDayOfWeek().getValue() == 7)
                && days(3, before).size() == planned.size());
        oda.post("/a/3/undo", Map.of());
        assertTrue(oda.post("/a/3/templates/" + template + "/put", Map.of("how", "WEEKDAYS", "day", start.toString()))
                .body()
                .contains("choose at least one weekday"));
        assertEquals(
                404,
                Person.demo("sefa")
                        .post("/a/2/templates/" + template + "/put", Map.of("how", "FROM", "day", start.toString()))
                        .statusCode());
        oda.get("/a/1/templates");
        assertFalse(oda.post("/a/1/templates/" + template + "/delete", Map.of())
                .body()
                .contains("Nine days"));
    }

    @Test
    void daysWithoutAPlanMakeNoTemplate() {
        Person oda = Person.demo("oda");
        oda.get("/a/1/templates");
        assertTrue(oda.post(
                        "/a/1/templates",
                        Map.of(
                                "from",
                                TODAY.plusDays(900).toString(),
                                "to",
                                TODAY.plusDays(910).toString(),
                                "title",
                                "Nothing"))
                .body()
                .contains("Nothing is planned"));
        assertTrue(oda.post(
                        "/a/1/templates",
                        Map.of(
                                "from",
                                TODAY.toString(),
                                "to",
                                TODAY.minusDays(1).toString(),
                                "title",
                                "Backwards"))
                .body()
                .contains("last day after the first"));
    }

    /** A week with strength in it is kept whole, and its loads follow the maxima of whoever it is put for. */
    @Test
    void strengthIsPartOfATemplate() {
        Person oda = Person.demo("oda");
        oda.get("/a/1/templates");
        LocalDate day = SQL.queryForObject(
                "select min(day) from session where athlete_id = 1 and strength is not null and done_seconds is null"
                        + " and day > ?",
                LocalDate.class,
                TODAY);
        oda.post("/a/1/templates", Map.of("from", day.toString(), "to", day.toString(), "title", "Lifting day"));
        long template = SQL.queryForObject("select max(id) from template", Long.class);
        long before = newest();
        String start = TODAY.plusDays(120).toString();
        oda.post("/a/2/templates/" + template + "/put", Map.of("how", "FROM", "day", start));
        String put = "select count(*) from session where athlete_id = 2 and id > ? and strength is not null and sport ="
                + " 'STRENGTH' and planned_seconds > 0 and planned_load > 0 and planned_silhouette <> ''";
        assertEquals(1, SQL.queryForObject(put, Integer.class, before));
        assertTrue(oda.get("/a/2/board?from=" + start).body().contains("Squats, bench, rows")
                || oda.get("/a/2/board?from=" + start).body().contains("Legs, heavy"));
        oda.post("/a/2/undo", Map.of());
        assertEquals(0, SQL.queryForObject(put, Integer.class, before));
        oda.post("/a/1/templates/" + template + "/delete", Map.of());
    }
}
