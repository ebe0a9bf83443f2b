package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.core.schedule.Purpose;

/** The guided set-up of somebody who trains three sports, and of blocks that hold sessions already. */
@Tag("http")
class SetupTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("tove.three@pemblar.example", "swim,ride,run");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "230", "from", TODAY.minusDays(60).toString()));
    }

    private static Map<String, String> answers(String... more) {
        Map<String, String> form = new HashMap<>(Map.of(
                "event", "Made-up triathlon",
                "sport", "RIDE",
                "kind", "MIXED",
                "time", "2h40",
                "day", TODAY.plusDays(84).toString(),
                "presentHours", "5"));
        int[] minutes = {45, 60, 60, 60, 0, 120, 180};
        for (int i = 0; i < minutes.length; i++) form.put("minutes" + (i + 1), String.valueOf(minutes[i]));
        form.put("longDay", "7");
        for (int i = 0; i < more.length; i += 2) form.put(more[i], more[i + 1]);
        return form;
    }

    private static String setUp(String path, String... more) {
        person.get(base + "/season/setup");
        return person.post(base + path, answers(more)).body();
    }

    private static List<String> ahead(String what) {
        return sql.queryForList(
                "select " + what + " from session where athlete_id = ? and deleted_at is null order by day",
                String.class,
                athlete);
    }

    @Test
    void sharesThatAreNoWholeAreNamedWithTheirSum() {
        assertThat(setUp("/season/setup", "shareRIDE", "50", "shareRUN", "30"))
                .contains("Shares of the sports: they come to 80 %");
    }

    @Test
    void threeSportsHaveTheirSharesAndSomebodyWithoutPaceRunsAndSwimsByFeel() {
        String review = setUp("/season/setup", "shareRIDE", "45", "shareRUN", "35", "shareSWIM", "20");
        assertThat(review)
                .contains("What would be planned")
                .contains(", swim</span")
                .contains(", run</span");
        setUp("/season/setup/save", "shareRIDE", "45", "shareRUN", "35", "shareSWIM", "20");
        Map<String, Object> shares = sql.queryForMap(
                "select sum(planned_seconds) filter (where sport = 'RIDE')::float / sum(planned_seconds) as ride, "
                        + "sum(planned_seconds) filter (where sport = 'SWIM')::float / sum(planned_seconds) as swim, "
                        + "string_agg(sport || ' ' || purpose || ' ' || planned_seconds / 60, ', ') "
                        + "filter (where structure is null) as sketched "
                        + "from session where athlete_id = ? and purpose <> 'RACE'",
                athlete);
        assertThat((Double) shares.get("ride")).isBetween(0.35, 0.55);
        assertThat((Double) shares.get("swim")).isBetween(0.12, 0.28);
        assertThat(shares.get("sketched")).as("left without a workout").isNull();
        String byHand = TODAY.plusDays(1).toString();
        person.get(base + "/board");
        Map<String, String> own =
                Map.of("day", byHand, "sport", "RUN", "purpose", "EASY", "length", "50min", "title", "With a friend");
        person.post(base + "/sketch", own);
        String again = setUp("/season/setup");
        assertThat(again).contains("A session stands here already");
        String block = again.split("name=\"existing-")[1].substring(0, 10);
        setUp("/season/setup/save", "existing-" + block, "KEEP");
        assertThat(ahead("title")).contains("With a friend");
        setUp("/season/setup/save", "existing-" + block, "REPLACE");
        assertThat(ahead("title")).doesNotContain("With a friend");
        person.get(base + "/board");
        person.post(base + "/undo", Map.of());
        assertThat(ahead("title")).contains("With a friend");
        keepsItsDistance();
    }

    /** Who keeps hard sessions ninety hours apart is planned so. */
    private static void keepsItsDistance() {
        person.get(base + "/proposals/limits");
        person.post(base + "/proposals/limits", Map.of("spacingHours", "90"));
        setUp("/season/setup/save");
        List<Map<String, Object>> hard = sql
                .queryForList(
                        "select (day - date '2020-01-01') * 24 + start_minute / 60.0 as starts, purpose,"
                                + " planned_seconds / 3600.0 as lasts from session where athlete_id = ?"
                                + " and deleted_at is null and placed order by 1",
                        athlete)
                .stream()
                .filter(row -> Purpose.valueOf((String) row.get("purpose")).isHard())
                .toList();
        assertThat(hard).hasSizeGreaterThan(10);
        for (int i = 1; i < hard.size(); i++)
            assertThat(number(hard.get(i), "starts")
                            - number(hard.get(i - 1), "starts")
                            - number(hard.get(i - 1), "lasts"))
                    .as(hard.get(i - 1) + " and " + hard.get(i))
                    .isGreaterThanOrEqualTo(89.5);
        sql.update("delete from adjust_limits where athlete_id = ?", athlete);
    }

    private static double number(Map<String, Object> row, String name) {
        return ((Number) row.get(name)).doubleValue();
    }
}
