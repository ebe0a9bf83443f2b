package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A template is opened, changed and kept; what an athlete lacks for it is said before it is put. */
@Tag("http")
class TemplateEditingTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long workout;

    @BeforeAll
    static void planTwoSessions() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("tess.plates@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        person.get(base + "/workouts/design");
        person.post(
                base + "/workouts",
                Map.of(
                        "title",
                        "Five of five",
                        "text",
                        "5 x (5min 100%, 3min 50%)",
                        "sport",
                        "RIDE",
                        "basis",
                        "POWER"));
        workout = sql.queryForObject("select max(id) from workout where title = 'Five of five'", Long.class);
        for (int day : new int[] {1, 4})
            person.post(
                    base + "/sessions",
                    Map.of("workout", "" + workout, "day", TODAY.plusDays(day).toString()));
    }

    private static long template(String title) {
        person.get(base + "/templates");
        person.post(
                base + "/templates",
                Map.of(
                        "from",
                        TODAY.plusDays(1).toString(),
                        "to",
                        TODAY.plusDays(7).toString(),
                        "title",
                        title));
        return sql.queryForObject("select max(id) from template where title = ?", Long.class, title);
    }

    private static Map<String, String> form(long template) {
        String page = person.get(base + "/templates/" + template).body();
        Matcher version = Pattern.compile("name=\"version\" value=\"([^\"]+)\"").matcher(page);
        assertThat(version.find()).isTrue();
        Map<String, String> form = new HashMap<>();
        form.put("version", version.group(1));
        Matcher title = Pattern.compile("name=\"title\"[^>]*value=\"([^\"]*)\"").matcher(page);
        assertThat(title.find()).isTrue();
        form.put("title", title.group(1));
        return form;
    }

    private static String entries(long template) {
        return sql.queryForObject("select entries::text from template where id = ?", String.class, template);
    }

    @Test
    void daysTimesTitleAreChangedASessionGoesAndAnotherComes() {
        long id = template("Two and four");
        String page = person.get(base + "/templates/" + id).body();
        assertThat(page)
                .contains("Five of five")
                .contains("5 x (5min 100%, 3min 50%)")
                .contains("40 min");
        Map<String, String> form = form(id);
        form.put("title", "Two and six");
        form.put("day.0", "1");
        form.put("time.0", "17:30");
        form.put("day.1", "6");
        assertThat(person.post(base + "/templates/" + id, form).body())
                .contains("Kept.")
                .contains("Two and six");
        assertThat(entries(id)).contains("\"offset\": 5").contains("\"startMinute\": 1050");

        form = form(id);
        form.put("out", "0");
        form.put("add", "" + workout);
        form.put("addDay", "9");
        person.post(base + "/templates/" + id, form);
        assertThat(entries(id))
                .as("the first session that is left lies on the first day")
                .contains("\"offset\": 0")
                .contains("\"offset\": 3")
                .doesNotContain("1050");
    }

    @Test
    void whatCannotBeIsNamedAndNothingIsLost() {
        long id = template("Stays as it is");
        String before = entries(id);
        Map<String, String> form = form(id);
        form.put("day.1", "900");
        assertThat(person.post(base + "/templates/" + id, form).body())
                .contains("Day of “Five of five”: 900 is not possible")
                .contains("value=\"900\"");
        form = form(id);
        form.put("time.0", "dawn");
        assertThat(person.post(base + "/templates/" + id, form).body()).contains("Time of “Five of five”");
        form = form(id);
        form.put("out", "0,1");
        assertThat(person.post(base + "/templates/" + id, form).body()).contains("keep one at least");
        form = form(id);
        form.put("add", "x");
        assertThat(person.post(base + "/templates/" + id, form).body()).contains("Workout: choose one");
        form = form(id);
        form.put("version", "0");
        assertThat(person.post(base + "/templates/" + id, form).body()).contains("changed meanwhile");
        assertThat(entries(id)).isEqualTo(before);
    }

    @Test
    void whatAnAthleteLacksIsSaidBeforeItIsPut() {
        long id = template("For riders");
        assertThat(person.get(base + "/templates").body()).doesNotContain("lacks something for it");
        sql.update("delete from dated_value where athlete_id = ?", Long.parseLong(base.replaceAll("\\D", "")));
        try {
            assertThat(person.get(base + "/templates").body()).contains("lacks something for it");
            assertThat(person.get(base + "/templates/" + id).body()).containsIgnoringCase("threshold");
        } finally {
            person.get(base + "/thresholds");
            person.post(
                    base + "/thresholds/adopt",
                    Map.of("THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        }
    }

    @Test
    void nobodyElseOpensOrChangesIt() {
        long id = template("Mine alone");
        Person stranger = new Person(Running.ADDRESS).signUp("plates.stranger@pemblar.example", "ride");
        String own = stranger.get("/").uri().getPath().replaceAll("/today$", "");
        assertThat(stranger.get(own + "/templates/" + id).statusCode()).isEqualTo(404);
        stranger.get(own + "/templates");
        assertThat(stranger.post(own + "/templates/" + id, Map.of("title", "theirs"))
                        .statusCode())
                .isEqualTo(404);
    }
}
