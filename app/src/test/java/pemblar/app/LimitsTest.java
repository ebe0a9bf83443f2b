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
import pemblar.app.athlete.CoachingService;

/** What proposals keep to: set by the person, by a coach for one or for a group, with what each means. */
@Tag("http")
class LimitsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final List<String> NAMES = List.of("kept.one", "kept.two", "kept.seen");
    private static final Map<String, Person> PEOPLE = new HashMap<>();
    private static final Map<String, Long> IDS = new HashMap<>();
    private static JdbcTemplate sql;
    private static Person coach;
    private static long group;

    @BeforeAll
    static void coachThreeOfWhomOneIsOnlySeen() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        coach = new Person(Running.ADDRESS).signUp("limits.coach@pemblar.example", "coach");
        long coachId =
                sql.queryForObject("select id from account where email = 'limits.coach@pemblar.example'", Long.class);
        for (String name : NAMES) {
            Person person = new Person(Running.ADDRESS).signUp(name + "@pemblar.example", "ride");
            PEOPLE.put(name, person);
            IDS.put(name, Long.parseLong(person.get("/").uri().getPath().replaceAll("\\D", "")));
            Running.APPLICATION.getBean(CoachingService.class).begin(IDS.get(name), coachId, !name.equals("kept.seen"));
        }
        coach.get("/roster");
        coach.post("/roster/groups", Map.of("name", "Evening riders"));
        group = sql.queryForObject("select id from coach_group where account_id = ?", Long.class, coachId);
        for (long id : IDS.values())
            coach.post("/roster/groups/" + group + "/members", Map.of("athleteId", String.valueOf(id), "in", "true"));
    }

    private static String page(String name) {
        return "/a/" + IDS.get(name) + "/proposals/limits";
    }

    private static Map<String, Object> row(String name) {
        List<Map<String, Object>> rows =
                sql.queryForList("select * from adjust_limits where athlete_id = ?", IDS.get(name));
        return rows.isEmpty() ? Map.of() : rows.get(0);
    }

    private static String setForAll(Map<String, String> form, String... names) {
        coach.get("/roster/groups/" + group + "/limits");
        Map<String, String> all = new HashMap<>(form);
        for (String name : names) all.put("athletes", String.valueOf(IDS.get(name)));
        return coach.post("/roster/groups/" + group + "/limits", all).body();
    }

    @Test
    void eachLimitStandsWithWhatItMeansAndWhatIsUsualAndOneUndoTakesItBack() {
        Person person = PEOPLE.get("kept.one");
        sql.update("delete from adjust_limits where athlete_id = ?", IDS.get("kept.one"));
        String page = person.get(page("kept.one")).body();
        assertThat(page)
                .contains("Balance never below")
                .contains("−30")
                .contains("From the end of one to the start of the next")
                .contains("hard, or from 105 min")
                .contains("A rule of ours");
        String set = person.post(
                        page("kept.one"),
                        Map.of("balanceFloor", "−20", "longMinutes", "", "highestCelsius", "28", "returnPercent", "40"))
                .body();
        assertThat(set).contains("The limits hold from now on.");
        assertThat(row("kept.one"))
                .containsEntry("balance_floor", -20.0)
                .containsEntry("long_minutes", null)
                .containsEntry("highest_celsius", 28.0)
                .containsEntry("return_percent", 40.0)
                .containsEntry("spacing_hours", 36.0);
        person.post("/a/" + IDS.get("kept.one") + "/proposals/undo", Map.of());
        assertThat(row("kept.one")).isEmpty();
    }

    @Test
    void whatCannotBeIsNamedAndWhatWasTypedStays() {
        Person person = PEOPLE.get("kept.one");
        person.get(page("kept.one"));
        Map<String, Object> before = row("kept.one");
        assertThat(person.post(page("kept.one"), Map.of("balanceFloor", "-15", "spacingHours", "200"))
                        .body())
                .contains("Hours between hard sessions: 200 is not possible")
                .contains("value=\"-15\"");
        assertThat(person.post(page("kept.one"), Map.of("longMinutes", "soon")).body())
                .contains("Key from: “soon” is not a number");
        assertThat(person.post(page("kept.one"), Map.of("ice", "perhaps")).body())
                .contains("Ice: choose");
        assertThat(person.post(page("kept.one"), Map.of("decides", "NOBODY")).body())
                .contains("Who decides: choose");
        assertThat(row("kept.one")).isEqualTo(before);
    }

    /** Three quarters of an hour of endurance is no key session, unless somebody says so. */
    @Test
    void whatCountsAsKeyIsThePersonsOwn() {
        Person person = PEOPLE.get("kept.two");
        long id = IDS.get("kept.two");
        sql.update("delete from adjust_limits where athlete_id = ?", id);
        person.get("/a/" + id + "/board");
        for (int day : new int[] {0, 6, 8})
            person.post(
                    "/a/" + id + "/sketch",
                    Map.of(
                            "day", TODAY.plusDays(day).toString(),
                            "sport", "RIDE",
                            "purpose", "EASY",
                            "length", "1h15",
                            "title", "Round the lake"));
        sql.update("update session set day = day - 2 where athlete_id = ? and day = ?", id, TODAY);
        String path = "/a/" + id + "/proposals";
        assertThat(person.get(path).body()).contains("missed").doesNotContain("Move “Round the lake”");
        person.get(page("kept.two"));
        person.post(page("kept.two"), Map.of("longMinutes", "60"));
        assertThat(person.get(path).body()).contains("Move “Round the lake”");
        String report = "/a/" + id + "/progress/report?from=" + TODAY.minusDays(6) + "&to=" + TODAY;
        assertThat(person.get(report).body()).contains("missed, 1 h 15 planned");
        person.get("/a/" + id + "/season");
        person.post(
                "/a/" + id + "/season/away",
                Map.of(
                        "awayFrom", TODAY.minusDays(3).toString(),
                        "awayTo", TODAY.minusDays(1).toString(),
                        "hours", "0",
                        "reason", "fever",
                        "awayKind", "ILLNESS",
                        "replan", "false"));
        assertThat(person.get(path).body()).as("who was ill missed nothing").doesNotContain("was missed");
        assertThat(person.get(report).body())
                .contains("not done for illness, 1 h 15 planned")
                .doesNotContain("missed, 1 h 15 planned");
        sql.update("delete from session where athlete_id = ?", id);
        sql.update("delete from adjust_limits where athlete_id = ?", id);
    }

    @Test
    void aGroupIsSetAtOnceEmptyFieldsStayAndWhoIsOnlySeenIsNot() {
        sql.update("delete from adjust_limits");
        PEOPLE.get("kept.two").get(page("kept.two"));
        PEOPLE.get("kept.two").post(page("kept.two"), Map.of("spacingHours", "48", "highestCelsius", "30"));
        String one = setForAll(Map.of("balanceFloor", "-18", "spacingHours", "", "highestCelsius", ""), "kept.two");
        assertThat(one).contains("Set for 1 athlete.");
        assertThat(row("kept.two"))
                .containsEntry("balance_floor", -18.0)
                .containsEntry("spacing_hours", 48.0)
                .containsEntry("highest_celsius", 30.0);
        assertThat(row("kept.one")).isEmpty();
        assertThat(setForAll(Map.of("highestCelsius", "none"), "kept.two")).contains("Set for 1 athlete.");
        assertThat(row("kept.two")).containsEntry("highest_celsius", null);
        assertThat(setForAll(Map.of("balanceFloor", "-18"), "kept.seen")).contains("you may not plan for them");
        assertThat(row("kept.seen")).isEmpty();
        Person athlete = PEOPLE.get("kept.two");
        assertThat(athlete.post("/a/" + IDS.get("kept.two") + "/proposals/undo", Map.of())
                        .body())
                .contains("changed since");
        assertThat(row("kept.two"))
                .as("an athlete's undo does not write over what the coach set since")
                .containsEntry("balance_floor", -18.0);
    }

    @Test
    void nothingIsSetWithoutALimitOrAnAthleteAndNobodyElseFindsTheGroup() {
        assertThat(setForAll(Map.of("balanceFloor", ""), "kept.one")).contains("Limits: fill in at least one");
        assertThat(setForAll(Map.of("balanceFloor", "-18"))).contains("Athletes: tick at least one");
        assertThat(setForAll(Map.of("balanceFloor", "5"), "kept.one")).contains("Balance floor: 5 is not possible");
        Person stranger = new Person(Running.ADDRESS).signUp("limits.stranger@pemblar.example", "coach");
        assertThat(stranger.get("/roster/groups/" + group + "/limits").statusCode())
                .isEqualTo(404);
        stranger.get("/roster");
        assertThat(stranger.post("/roster/groups/" + group + "/limits", Map.of("balanceFloor", "-5"))
                        .statusCode())
                .isEqualTo(404);
    }
}
