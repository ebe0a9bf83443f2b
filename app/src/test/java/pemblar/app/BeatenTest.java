package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.session.change.ScheduleService;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.fit.FitWorkouts;

/** Targets that were beaten say something of the value that they were said in, and nothing of the one that followed. */
@Tag("http")
class BeatenTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final String SAID = "Key targets were beaten twice";
    private static final Workout WORKOUT = Shorthand.read(
                    "10min 50%, 3 x (8min 95-100%, 3min 50%), 5min 50%", Sport.RIDE)
            .workout()
            .orElseThrow();
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long athlete;

    /** Two key sessions of the last days, ridden as somebody would whose threshold is a tenth higher. */
    @BeforeAll
    static void rideOverTheTargets() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("beaten@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        adopt(250, 60);
        Map<String, byte[]> files = new LinkedHashMap<>();
        byte[] stronger = FitWorkouts.of("Threes", WORKOUT, Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 280))
                .write(1, Instant.EPOCH.plusSeconds(1_750_000_000L));
        Body body = new Body(Sport.RIDE, 285, 20_000, 4, 50, 185, 70);
        for (int ago : new int[] {2, 4}) {
            Running.APPLICATION
                    .getBean(ScheduleService.class)
                    .add(athlete, TODAY.minusDays(ago), null, "Threes", WORKOUT);
            files.put(
                    "ride-" + ago + ".fit",
                    HeadUnit.follow(
                            stronger,
                            body,
                            TODAY.minusDays(ago).atTime(7, 0).toInstant(ZoneOffset.UTC),
                            new Random(ago),
                            Faults.NONE));
        }
        person.get(base + "/sessions");
        person.upload(base + "/sessions/upload", files);
        Eventually.holds(Duration.ofSeconds(30), () -> beaten() == 2);
    }

    private static void adopt(int watts, int daysAgo) {
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        String.valueOf(watts),
                        "from",
                        TODAY.minusDays(daysAgo).toString()));
    }

    private static int beaten() {
        return sql.queryForObject(
                "select count(*) from recording where athlete_id = ? and targets_beaten", Integer.class, athlete);
    }

    @Test
    void theyAreBeatenUntilAValueFollowsThatTheyWereNotSaidIn() {
        assertThat(person.get(base + "/proposals").body()).contains(SAID);
        adopt(280, 0);
        assertThat(person.get(base + "/proposals").body())
                .as("the value that they were beaten by holds no longer")
                .doesNotContain(SAID);
        assertThat(beaten()).as("on their days they were").isEqualTo(2);
        sql.update("delete from dated_value where athlete_id = ? and amount = 280", athlete);
        assertThat(person.get(base + "/proposals").body()).contains(SAID);
        adopt(285, 30);
        Eventually.holds(Duration.ofSeconds(30), () -> beaten() == 0);
        assertThat(person.get(base + "/proposals").body()).doesNotContain(SAID);
    }
}
