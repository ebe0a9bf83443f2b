package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Strength workouts out of the library and in again, on paper, in folders; exercises of a coach for the athletes. */
@Tag("http")
class StrengthExchangeTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Dublin"));
    private static final String TEXT = "back squat 3 x 5 at 80%, rest 3min\nplank 3 x 45s";
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;

    @BeforeAll
    static void keepAWorkout() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("gunn.exchange@pemblar.example", "run");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(base + "/strength/maxima");
        person.post(
                base + "/strength/maxima",
                Map.of("exercise", "back squat", "kilograms", "100", "day", TODAY.toString()));
        person.get(base + "/strength/design");
        Map<String, String> form = Map.of("title", "Legs", "folder", "Winter", "tags", "heavy, ,legs", "text", TEXT);
        person.post(base + "/strength", form);
    }

    private static long workout(String title) {
        return sql.queryForObject("select max(id) from strength_workout where title = ?", Long.class, title);
    }

    @Test
    void whatGoesOutAsJsonComesInTheSameAndADamagedFileDoesNotStopTheOthers() {
        String json = new String(
                person.bytes(base + "/strength/" + workout("Legs") + "/workout.json"), StandardCharsets.UTF_8);
        assertThat(json).contains("\"percent\":80.0").contains("\"heldSeconds\":45");
        person.get(base + "/strength");
        String said = person.upload(
                        base + "/strength/files",
                        Map.of(
                                "Legs-again.json", json.getBytes(StandardCharsets.UTF_8),
                                "broken.json", "{\"version\":1".getBytes(StandardCharsets.UTF_8),
                                "push.txt", "bench press 3 x 5 at 80%".getBytes(StandardCharsets.UTF_8),
                                "tool.exe", new byte[] {1}))
                .body();
        assertThat(said)
                .contains("Legs-again.json: in the library")
                .contains("broken.json: refused")
                .contains("push.txt: in the library")
                .contains("tool.exe: refused");
        assertThat(sql.queryForObject(
                        "select body from strength_workout where id = ?", String.class, workout("Legs again")))
                .isEqualTo(TEXT);
    }

    @Test
    void theSheetHasTheLoadsOfTodayAndRoomToWrite() {
        assertThat(person.get(base + "/strength/" + workout("Legs") + "/sheet").body())
                .contains("80 kg")
                .contains("45 s")
                .contains("rest 3:00")
                .contains("to-write");
        assertThat(Person.demo("sefa")
                        .get(base + "/strength/" + workout("Legs") + "/sheet")
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void foldersAndWordsFindIt() {
        String page = "/strength?folder=Winter&words=squat%20heavy";
        assertThat(person.get(base + page).body()).contains(">Legs</a>").contains("heavy, legs");
        assertThat(person.get(base + "/strength?words=deadlift").body()).contains("No workout holds these words");
    }

    @Test
    void anExerciseOfACoachIsTheAthletesTooWhenItIsShared() {
        Person coach = new Person(Running.ADDRESS).signUp("exercise.coach@pemblar.example", "coach");
        long coachId =
                sql.queryForObject("select id from account where email = 'exercise.coach@pemblar.example'", Long.class);
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(athlete, coachId, true);
        coach.get(base + "/strength/maxima");
        Map<String, String> form = Map.of("movement", "push", "loaded", "bar", "cue", "tall", "link", "");
        for (String shared : new String[] {"true", "false"}) {
            Map<String, String> own = new java.util.HashMap<>(form);
            own.put("name", shared.equals("true") ? "fence press" : "secret press");
            own.put("sharedWith", shared.equals("true") ? "all" : "");
            coach.post(base + "/strength/exercises", own);
        }
        assertThat(person.get(base + "/strength/maxima").body())
                .contains("fence press")
                .contains("“tall”")
                .doesNotContain("secret press");
        Map<String, String> bad = new java.util.HashMap<>(form);
        bad.putAll(Map.of("name", "linked press", "link", "javascript:alert(1)"));
        assertThat(coach.post(base + "/strength/exercises", bad).body()).contains("Link: enter an address");
        sql.update("delete from coaching where athlete_id = ?", athlete);
        assertThat(person.get(base + "/strength/maxima").body()).doesNotContain("fence press");
    }

    @Test
    void anExerciseCanBeForAGroupAndWordsOfOnesOwnForOneThatShips() {
        Person coach = new Person(Running.ADDRESS).signUp("group.coach@pemblar.example", "coach");
        long coachId =
                sql.queryForObject("select id from account where email = 'group.coach@pemblar.example'", Long.class);
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(athlete, coachId, true);
        for (String name : new String[] {"in it", "not in it"})
            sql.update("insert into coach_group (account_id, name) values (?, ?)", coachId, name);
        long group = sql.queryForObject("select id from coach_group where name = 'in it'", Long.class);
        long other = sql.queryForObject("select id from coach_group where name = 'not in it'", Long.class);
        sql.update("insert into group_member values (?, ?)", group, athlete);
        coach.get(base + "/strength/maxima");
        for (long with : new long[] {group, other})
            coach.post(
                    base + "/strength/exercises",
                    Map.of(
                            "name",
                            with == group ? "gate press" : "wall press",
                            "movement",
                            "push",
                            "loaded",
                            "bar",
                            "sharedWith",
                            String.valueOf(with)));
        assertThat(person.get(base + "/strength/maxima").body())
                .contains("gate press")
                .doesNotContain("wall press");
        Map<String, String> foreign =
                Map.of("name", "far press", "movement", "push", "loaded", "bar", "sharedWith", String.valueOf(group));
        assertThat(person.post(base + "/strength/exercises", foreign).body()).contains("choose one of your groups");
        Map<String, String> words =
                Map.of("name", "Back Squat", "movement", "push", "loaded", "held", "cue", "knees out");
        assertThat(person.post(base + "/strength/exercises", words).body()).contains("“knees out”");
        assertThat(sql.queryForObject(
                        "select movement || ', ' || loaded from own_exercise where name = 'back squat'", String.class))
                .isEqualTo("squat, bar");
        assertThat(person.post(base + "/strength/exercises/remove", Map.of("name", "back squat"))
                        .body())
                .contains("off your list");
        assertThat(person.post(base + "/strength/exercises/remove", Map.of("name", "gate press"))
                        .statusCode())
                .isEqualTo(404);
        sql.update("delete from coaching where athlete_id = ?", athlete);
    }
}
