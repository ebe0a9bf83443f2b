package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** A coach leads an hour for a group whose athletes sit at different nodes. */
@Tag("http")
class HourTest {
    private static final int OTHER_PORT = PrivateDatabase.freePort();
    private static final String OTHER = "http://127.0.0.1:" + OTHER_PORT;
    private static final String WORKOUT = "5h rpe 3, 4 x (30min rpe 7, 20min rpe 3), lap rpe 2";
    private static final Duration SOON = Duration.ofSeconds(30);
    private static final List<Person> ATHLETES = new ArrayList<>();
    private static final List<Long> IDS = new ArrayList<>();
    private static ConfigurableApplicationContext otherNode;
    private static JdbcTemplate sql;
    private static Person coach;
    private static long coachId;
    private static String hours;

    @BeforeAll
    static void twoNodesAndAGroup() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        otherNode = new SpringApplication(PemblarApplication.class)
                .run(Running.arguments(Running.DATABASE.address("pemblar"), OTHER_PORT, false));
        coach = new Person(Running.ADDRESS).signUp("lead.hour@pemblar.example", "coach");
        coachId = sql.queryForObject("select id from account where email = ?", Long.class, "lead.hour@pemblar.example");
        for (int i = 0; i < 3; i++) {
            Person athlete = new Person(i == 1 ? OTHER : Running.ADDRESS).signUp(i + ".hour@pemblar.example", "ride");
            long id = Long.parseLong(athlete.get("/").uri().getPath().replaceAll("\\D", ""));
            Running.APPLICATION.getBean(CoachingService.class).begin(id, coachId, true);
            ATHLETES.add(athlete);
            IDS.add(id);
        }
        coach.get("/roster");
        coach.post("/roster/groups", Map.of("name", "Thursday"));
        long group = sql.queryForObject("select id from coach_group where account_id = ?", Long.class, coachId);
        for (long id : IDS.subList(0, 2))
            coach.post("/roster/groups/" + group + "/members", Map.of("athleteId", "" + id, "in", "true"));
        hours = "/roster/groups/" + group + "/hours";
    }

    @AfterAll
    static void end() {
        otherNode.close();
    }

    private static String shelved(String title, String text) {
        coach.get("/a/" + IDS.get(0) + "/workouts/design");
        coach.post(
                "/a/" + IDS.get(0) + "/workouts",
                Map.of("title", title, "sport", "RIDE", "basis", "POWER", "text", text));
        return "" + sql.queryForObject("select max(id) from workout where title = ?", Long.class, title);
    }

    /** Opened for the minute that runs now, five times as fast: the first step takes an hour of the wall. */
    private static String open(String title) {
        String workout = shelved(title, WORKOUT);
        LocalDateTime now = LocalDateTime.now(ZoneOffset.UTC);
        coach.get(hours);
        Map<String, String> form = Map.of(
                "workout",
                workout,
                "day",
                now.toLocalDate().toString(),
                "time",
                now.format(DateTimeFormatter.ofPattern("HH:mm")),
                "speed",
                "5");
        return coach.post(hours, form).uri().getPath();
    }

    private static String join(int athlete, String hour) {
        String id = hour.replaceAll(".*/", "");
        ATHLETES.get(athlete).get("/a/" + IDS.get(athlete) + "/today");
        return ATHLETES.get(athlete)
                .post("/a/" + IDS.get(athlete) + "/hours/" + id + "/join", Map.of())
                .uri()
                .getPath();
    }

    private static String state(int athlete, String unit) {
        return ATHLETES.get(athlete).get(unit + "/state").body();
    }

    private static String key(String hour, String key, String text) {
        return coach.post(hour + "/key", Map.of("key", key, "text", text)).body();
    }

    private static int arrived(int athlete) {
        return sql.queryForObject(
                "select count(*) from session where athlete_id = ? and recording_id is not null"
                        + " and structure is not null",
                Integer.class,
                IDS.get(athlete));
    }

    @Test
    void ledByOneClockOnTwoNodesEachRecordingComesHome() {
        String hour = open("Thursday hour");
        assertThat(coach.get(hour).body()).contains("Nobody has joined yet").contains("0 of 2 under way");
        assertThat(ATHLETES.get(0).get("/a/" + IDS.get(0) + "/today").body()).contains("Thursday hour");
        String one = join(0, hour);
        String other = join(1, hour);
        assertThat(one).matches("/a/\\d+/bench/\\d+");
        assertThat(state(0, one)).contains("\"led\":true").contains("\"number\":\"1 of 10\"");
        assertThat(state(1, other)).contains("\"number\":\"1 of 10\"");
        assertThat(coach.get(hour + "/live").body()).contains("2 of 2 under way");
        assertThat(key(hour, "cue", "shoulders down")).contains("Said to all");
        assertThat(state(1, other)).contains("shoulders down");
        key(hour, "NEXT", "");
        assertThat(state(0, one)).contains("\"number\":\"2 of 10\"");
        assertThat(state(1, other)).contains("\"number\":\"2 of 10\"");
        key(hour, "NEXT", "");
        assertThat(key(hour, "LONGER", "")).contains("30 s longer");
        assertThat(state(1, other)).containsPattern("\"toGo\":\"20:[23]\\d\""); // of 20 min, 30 s more than was planned
        key(hour, "END_SET", "");
        assertThat(key(hour, "END_SET", "")).contains("No set is under way");
        assertThat(key(hour, "LONGER", "")).contains("No recovery lies ahead");
        assertThat(coach.get(hour + "/live").body()).contains("waits for you");
        Eventually.holds(SOON, () -> state(0, one).matches("(?s).*\"clock\":\"\\d?\\d:[1-5]\\d\".*"));
        key(hour, "STOP", "");
        assertThat(state(0, one)).contains("\"finished\":true");
        assertThat(state(1, other)).contains("\"finished\":true");
        Eventually.holds(SOON, () -> arrived(0) == 1);
        Eventually.holds(SOON, () -> arrived(1) == 1);
        assertThat(coach.get(hour).body()).contains("The hour is over");
        assertThat(key(hour, "NEXT", "")).contains("The hour is over").doesNotContain("ended for all");
        assertThat(ATHLETES.get(0).get("/a/" + IDS.get(0) + "/today").body()).doesNotContain("with the group:");
    }

    @Test
    void nobodyElseJoinsLeadsOrLooks() {
        String hour = open("Closed hour");
        String id = hour.replaceAll(".*/", "");
        Person stranger = ATHLETES.get(2); // coached by the same, but not in the group
        stranger.get("/a/" + IDS.get(2) + "/today");
        assertThat(stranger.post("/a/" + IDS.get(2) + "/hours/" + id + "/join", Map.of())
                        .statusCode())
                .isEqualTo(404);
        for (String path : List.of(hours, hour, hour + "/live"))
            assertThat(ATHLETES.get(0).get(path).statusCode()).isEqualTo(404);
        ATHLETES.get(0).get("/a/" + IDS.get(0) + "/today");
        assertThat(ATHLETES.get(0).post(hour + "/key", Map.of("key", "STOP")).statusCode())
                .isEqualTo(404);
        assertThat(coach.get(hour).body()).doesNotContain("The hour is over");
    }

    @Test
    void whatCannotBeLedByAClockSaysWhy() {
        String far = shelved("By distance", "10min rpe 3, 2km rpe 5");
        String tomorrow =
                LocalDateTime.now(ZoneOffset.UTC).plusDays(1).toLocalDate().toString();
        coach.get(hours);
        assertThat(coach.post(hours, Map.of("workout", far, "day", tomorrow, "time", "18:00"))
                        .body())
                .contains("by distance");
        assertThat(coach.post(hours, Map.of("workout", far, "day", "2020-01-01", "time", "18:00"))
                        .body())
                .contains("by distance");
        String timed = shelved("By time", "10min rpe 3");
        assertThat(coach.post(hours, Map.of("workout", timed, "day", "2020-01-01", "time", "18:00"))
                        .body())
                .contains("over already");
        assertThat(coach.post(hours, Map.of("workout", timed, "day", tomorrow, "time", "quarter past"))
                        .statusCode())
                .isEqualTo(200);
        String path = coach.post(hours, Map.of("workout", timed, "day", tomorrow, "time", "18:00"))
                .uri()
                .getPath();
        assertThat(coach.post(path + "/key", Map.of("key", "NEXT")).body()).contains("has not begun yet");
        assertThat(coach.post(path + "/key", Map.of("key", "cue")).body()).contains("Cue: enter");
        coach.post(path + "/drop", Map.of());
        assertThat(coach.get(path).statusCode()).isEqualTo(404);
    }
}
