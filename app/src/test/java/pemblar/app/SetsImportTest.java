package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Sets from a file: what is not known is asked once, the same twice is one, and a bad line refuses the whole. */
@Tag("http")
class SetsImportTest {
    private static final LocalDate DAY = LocalDate.now(ZoneOffset.UTC).minusDays(3);
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private Person person;
    private String base;
    private long athlete;

    @BeforeEach
    void signUp() {
        person = new Person(Running.ADDRESS).signUp("sets" + people++ + "@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/strength/sets");
    }

    private String upload(String text) {
        return person.upload(
                        base + "/strength/sets/file", "file", Map.of("sets.csv", text.getBytes(StandardCharsets.UTF_8)))
                .body();
    }

    private int sets() {
        return sql.queryForObject("select count(*) from strength_set where athlete_id = ?", Integer.class, athlete);
    }

    @Test
    void knownExercisesAreTakenInAndTheSameFileTwiceAddsNothing() {
        String file = "day,session,exercise,kilograms,repetitions\n" + (DAY + ",Legs,back squat,100,5\n").repeat(3)
                + DAY + ",Legs,plank,,\n" + DAY.minusDays(7) + ",,back squat,95,5\n";
        assertThat(upload(file)).contains("Taken in: 5 sets of 2 sessions.").contains("back squat");
        assertThat(sets()).isEqualTo(5);
        assertThat(upload(file)).contains("Taken in: 0 sets of 2 sessions; 5 were here already.");
        assertThat(sets()).isEqualTo(5);
        assertThat(sql.queryForList(
                        "select title || ' ' || day || ' ' || done_seconds from session where athlete_id = ?"
                                + " order by day",
                        String.class,
                        athlete))
                .containsExactly("Strength " + DAY.minusDays(7) + " 180", "Legs " + DAY + " 720");
        assertThat(sql.queryForList("select done_load from session where athlete_id = ?", Double.class, athlete))
                .as("nobody said how hard it was")
                .containsOnlyNulls();
        String out = new String(person.bytes(base + "/strength/sets/sets.csv"), StandardCharsets.UTF_8);
        assertThat(out.lines().filter(l -> l.contains("back squat")).count()).isEqualTo(4);
        Person other = new Person(Running.ADDRESS).signUp("sets.other" + people + "@pemblar.example", "ride");
        String there = other.get("/").uri().getPath().replaceAll("/today$", "");
        other.get(there + "/strength/sets");
        assertThat(other.upload(
                                there + "/strength/sets/file",
                                "file",
                                Map.of("sets.csv", out.getBytes(StandardCharsets.UTF_8)))
                        .body())
                .as("what goes out comes in")
                .contains("Taken in: 5 sets of 2 sessions.");
    }

    @Test
    void whatIsNotKnownIsAskedOnceAndRemembered() {
        String file = "day,exercise,kilograms,repetitions\n" + DAY + ",Squat low-bar,100,5\n";
        assertThat(upload(file)).contains("What are these?").contains("squat low-bar");
        assertThat(sets()).isZero();
        String answered = person.post(
                        base + "/strength/sets/file/names", Map.of("text", file, "means:squat low-bar", "back squat"))
                .body();
        assertThat(answered).contains("Taken in: 1 set of 1 session.");
        assertThat(sql.queryForObject("select exercise from strength_set where athlete_id = ?", String.class, athlete))
                .isEqualTo("back squat");
        assertThat(upload("day,exercise,kilograms,repetitions\n" + DAY.minusDays(1) + ",squat low-bar,90,5\n"))
                .contains("Taken in: 1 set of 1 session.");
        assertThat(person.post(base + "/strength/sets/file/names", Map.of("text", file, "means:x", "no such thing"))
                        .body())
                .contains("choose one of the exercises");
    }

    @Test
    void aBadLineRefusesTheWholeFileAndNamesItself() {
        String said = upload(
                "day,exercise,kilograms,repetitions\n" + DAY + ",back squat,100,5\n" + DAY + ",back squat,heavy,5\n");
        assertThat(said).contains("Nothing was taken in").contains("line 3: kilograms is &#39;heavy&#39;");
        assertThat(upload("day;exercise\n")).contains("Nothing was taken in");
        assertThat(sets()).isZero();
    }
}
