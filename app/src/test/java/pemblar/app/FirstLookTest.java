package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** The page on which a coach gets to know an athlete: words of both, and figures that agree with the other pages. */
@Tag("http")
class FirstLookTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    @Test
    void itsFiguresAreThoseOfTheOtherPages() {
        Person coach = Person.demo("oda");
        String look = coach.get("/a/1/first-look").body();
        assertThat(look).contains("Best efforts").contains("W/kg").contains("Hours, last 12 weeks");
        // the athlete's own day, which is another than the machine's for some hours of every night
        String today = sql.queryForObject(
                "select (now() at time zone time_zone)::date from athlete where id = 1", String.class);
        double watts = sql.queryForObject(
                "select amount from dated_value where athlete_id = 1 and quantity = 'THRESHOLD_POWER' and valid_from <="
                        + " ?::date order by valid_from desc limit 1",
                Double.class,
                today);
        assertThat(look).contains(Math.round(watts) + " W");
        long recordings = sql.queryForObject(
                "select count(*) from session where athlete_id = 1 and recording_id is not null and day between"
                        + " ?::date - 90 and ?::date and deleted_at is null",
                Long.class,
                today,
                today);
        assertThat(look).contains("<b>" + recordings + "</b> recordings");
        double hours = sql.queryForObject(
                "select sum(r.timer_seconds) / 3600.0 from session s join recording r on r.id = s.recording_id where"
                        + " s.athlete_id = 1 and s.sport = 'RIDE' and s.deleted_at is null and s.day between"
                        + " date_trunc('week', ?::date - 77)::date and ?::date",
                Double.class,
                today,
                today);
        assertThat(look).contains(String.format(java.util.Locale.ROOT, "%.1f h a week", hours / 12));
    }

    @Test
    void bothWriteTheFormAndWhoOnlySeesReadsIt() {
        Person athlete = new Person(Running.ADDRESS).signUp("look@pemblar.example", "ride");
        Person reader = new Person(Running.ADDRESS).signUp("look.reader@pemblar.example", "coach");
        String base = athlete.get("/").uri().getPath().replaceAll("/today$", "");
        long id = Long.parseLong(base.replaceAll("\\D", ""));
        long readerId =
                sql.queryForObject("select id from account where email = 'look.reader@pemblar.example'", Long.class);
        Running.APPLICATION.getBean(CoachingService.class).begin(id, readerId, false);
        athlete.get(base + "/first-look");
        athlete.post(base + "/first-look", Map.of("goals", "Ride the pass in one go", "injuries", "none"));
        String seen = reader.get(base + "/first-look").body();
        assertThat(seen)
                .contains("Ride the pass in one go")
                .contains("changes are for the athlete")
                .doesNotContain("name=\"goals\"");
        assertThat(athlete.get(base + "/first-look").body()).doesNotContain("changes are for the athlete");
        assertThat(reader.post(base + "/first-look", Map.of("goals", "forged")).statusCode())
                .isEqualTo(404);
        String refused = athlete.post(base + "/first-look", Map.of("goals", "x".repeat(1001)))
                .body();
        assertThat(refused).contains("Goals: write at most 1000").contains("x".repeat(1001));
        assertThat(sql.queryForObject("select goals from athlete_about where athlete_id = ?", String.class, id))
                .isEqualTo("Ride the pass in one go");
    }

    @Test
    void anEmptyAthleteHasAPageThatSaysWhatWillBeThere() {
        Person athlete = new Person(Running.ADDRESS).signUp("look.empty@pemblar.example", "run");
        String base = athlete.get("/").uri().getPath().replaceAll("/today$", "");
        assertThat(athlete.get(base + "/first-look").body())
                .contains("No recordings yet")
                .contains("Nothing done in these weeks")
                .contains("not known");
    }

    @Test
    void aTestIsPutOnADay() {
        Person coach = Person.demo("oda");
        String look = coach.get("/a/1/first-look").body();
        String test = look.replaceAll("(?s).*aria-label=\"Test\">\\s*<option value=\"(-?\\d+)\".*", "$1");
        LocalDate day = LocalDate.now(ZoneOffset.UTC).plusDays(25);
        assertThat(coach.post("/a/1/first-look/test", Map.of("workout", test, "day", day.toString()))
                        .body())
                .contains("is on the board");
        assertThat(sql.queryForObject(
                        "select count(*) from session where athlete_id = 1 and day = ? and draft and coached",
                        Integer.class,
                        day))
                .isEqualTo(1);
        coach.post("/a/1/undo", Map.of());
        assertThat(coach.post("/a/1/first-look/test", Map.of("workout", test, "day", ""))
                        .body())
                .contains("choose one for the test");
    }
}
