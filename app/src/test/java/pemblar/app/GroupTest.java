package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** A coach puts one thing on a whole group; each athlete is changed alone, and whoever cannot be is named. */
@Tag("http")
class GroupTest {
    private static final LocalDate DAY = LocalDate.now(ZoneOffset.UTC).plusDays(3);
    private static int groups;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final List<Person> athletes = new ArrayList<>();
    private final List<Long> ids = new ArrayList<>();
    private Person coach;
    private long coachId;
    private long group;

    @BeforeEach
    void aGroupOfThree() {
        String mark = groups++ + ".group@pemblar.example";
        coach = new Person(Running.ADDRESS).signUp("coach" + mark, "coach");
        coachId = sql.queryForObject("select id from account where email = ?", Long.class, "coach" + mark);
        for (int i = 0; i < 3; i++) {
            Person athlete = new Person(Running.ADDRESS).signUp(i + "." + mark, "ride");
            long id = Long.parseLong(athlete.get("/").uri().getPath().replaceAll("\\D", ""));
            Running.APPLICATION.getBean(CoachingService.class).begin(id, coachId, i < 2);
            athletes.add(athlete);
            ids.add(id);
        }
        coach.get("/roster");
        coach.post("/roster/groups", Map.of("name", "Tuesday"));
        group = sql.queryForObject("select id from coach_group where account_id = ?", Long.class, coachId);
        for (long id : ids)
            coach.post("/roster/groups/" + group + "/members", Map.of("athleteId", String.valueOf(id), "in", "true"));
    }

    private Map<String, String> wish(String by) {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("what", "w:" + shipped());
        form.put("by", by);
        form.put("day", DAY.toString());
        form.put("daysBefore", "2");
        form.put("athletes", ids.get(0) + "," + ids.get(1) + "," + ids.get(2));
        return form;
    }

    /** One that every library has and that needs no threshold: by effort. */
    private String shipped() {
        coach.get("/roster/groups/" + group);
        coach.get("/a/" + ids.get(0) + "/workouts/design");
        coach.post(
                "/a/" + ids.get(0) + "/workouts",
                Map.of("title", "By feel", "sport", "RIDE", "basis", "POWER", "text", "40min rpe 4"));
        return String.valueOf(sql.queryForObject(
                "select max(id) from workout where account_id = ? and title = 'By feel'", Long.class, coachId));
    }

    private List<String> sessions(int athlete) {
        return sql.queryForList(
                "select title || ' ' || day || ' ' || draft from session where athlete_id = ? and deleted_at is null",
                String.class,
                ids.get(athlete));
    }

    @Test
    void itIsLookedAtFirstAndPutOnThoseForWhomOnePlans() {
        Map<String, String> wish = wish("FIRST_DAY");
        String query = wish.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue().replace(":", "%3A"))
                .reduce("look=1", (a, b) -> a + "&" + b);
        assertThat(coach.get("/roster/groups/" + group + "?" + query).body())
                .contains("What it would be")
                .contains("do not plan for them");
        assertThat(sessions(0)).isEmpty();
        String answer = coach.post("/roster/groups/" + group + "/put", wish).body();
        assertThat(answer).contains("Put 2 sessions of 2 athletes.").contains("do not plan for them");
        assertThat(sessions(0)).containsExactly("By feel " + DAY + " true");
        assertThat(sessions(1)).containsExactly("By feel " + DAY + " true");
        assertThat(sessions(2)).isEmpty();
    }

    @Test
    void whoHasNoEventIsNamedAndTheOthersGetTheirOwnDay() {
        sql.update(
                "insert into event (athlete_id, day, name, priority) values (?, ?, 'Mill race', 'A')",
                ids.get(0),
                DAY.plusDays(10));
        String answer =
                coach.post("/roster/groups/" + group + "/put", wish("EVENT")).body();
        assertThat(answer).contains("no event lies ahead");
        assertThat(sessions(0)).containsExactly("By feel " + DAY.plusDays(8) + " true");
        assertThat(sessions(1)).isEmpty();
    }

    @Test
    void whatWasPutIsChangedOrTakenBackForAllWhoHaveNotDoneIt() {
        coach.post("/roster/groups/" + group + "/put", wish("FIRST_DAY"));
        long put = sql.queryForObject("select max(id) from group_put where group_id = ?", Long.class, group);
        sql.update("update session set done_seconds = 2400 where athlete_id = ?", ids.get(1));
        String path = "/roster/groups/" + group + "/puts/" + put;
        assertThat(coach.post(path, Map.of("change", "MOVE", "by", "2")).body())
                .contains("Changed 1 session of 1 athlete.");
        assertThat(sessions(0)).containsExactly("By feel " + DAY.plusDays(2) + " true");
        assertThat(coach.post(path, Map.of("change", "SCALE", "by", "900")).body())
                .contains("10 to 200");
        Running.APPLICATION.getBean(CoachingService.class).begin(ids.get(0), coachId, false);
        assertThat(coach.post(path, Map.of("change", "DROP")).body()).contains("no longer coached by you");
        Running.APPLICATION.getBean(CoachingService.class).begin(ids.get(0), coachId, true);
        assertThat(coach.post(path, Map.of("change", "DROP")).body()).contains("Dropped 1 session of 1 athlete.");
        assertThat(sessions(0)).isEmpty();
        assertThat(sessions(1)).hasSize(1);
    }

    @Test
    void aGroupOfSomebodyElseIsNotThere() {
        Person other = new Person(Running.ADDRESS).signUp("x" + groups + ".group@pemblar.example", "coach");
        assertThat(other.get("/roster/groups/" + group).statusCode()).isEqualTo(404);
        assertThat(other.post("/roster/groups/" + group + "/put", Map.of("what", "w:1"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(coach.post("/roster/groups/" + group + "/put", Map.of("what", "moon"))
                        .body())
                .contains("choose a workout or a template");
    }
}
