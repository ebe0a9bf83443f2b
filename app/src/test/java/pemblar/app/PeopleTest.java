package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;

/** A coach and an athlete, from the invitation in the mail to its end; nothing is seen before and after. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class PeopleTest {
    private static final String ATHLETE = "ylva.people@pemblar.example";
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person coach;
    private static Person athlete;
    private static String base;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        coach = new Person(Running.ADDRESS).signUp("bodil.people@pemblar.example", "coach");
        athlete = new Person(Running.ADDRESS).signUp(ATHLETE, "ride");
        base = athlete.get("/").uri().getPath().replaceAll("/today$", "");
    }

    private static String invited(String addresses, boolean plans) {
        coach.get("/roster/invitations");
        return coach.post(
                        "/roster/invitations",
                        Map.of("addresses", addresses, "plans", String.valueOf(plans), "word", "Shall we?"))
                .body();
    }

    /** The newest link that the tray holds for an address. */
    private static String link(String address) {
        String body = sql.queryForObject(
                "select body from mail where recipient = ? order by id desc limit 1", String.class, address);
        Matcher link = Pattern.compile("/invitation/\\S+").matcher(body);
        assertThat(link.find()).as(body).isTrue();
        return link.group();
    }

    @Test
    @Order(1)
    void pastedAddressesAreInvitedAndTheBadOnesNamed() {
        String page = invited(ATHLETE + "; not an address, someone.else@pemblar.example", false);
        assertThat(page).contains(ATHLETE).contains("someone.else@pemblar.example");
        assertThat(page).containsIgnoringCase("address");
        assertThat(coach.get(base + "/today").statusCode()).isEqualTo(404);
        assertThat(sql.queryForObject(
                        "select body from mail where recipient = ? order by id desc limit 1", String.class, ATHLETE))
                .contains("Shall we?")
                .doesNotContain("<");
    }

    @Test
    @Order(2)
    void neitherAGuessNorTheSenderCanAccept() {
        String path = link(ATHLETE);
        String guess = path.substring(0, path.length() - 2) + (path.endsWith("AA") ? "BB" : "AA");
        assertThat(athlete.get(guess).statusCode()).isEqualTo(404);
        assertThat(athlete.post(guess, Map.of("accept", "true")).statusCode()).isEqualTo(404);
        coach.get("/roster/invitations");
        coach.post(path, Map.of("accept", "true"));
        assertThat(coach.get(base + "/today").statusCode()).isEqualTo(404);
    }

    @Test
    @Order(3)
    void whoMaySeeMayNotChange() {
        String path = link(ATHLETE);
        assertThat(athlete.get(path).body()).contains("sees your training").contains("Shall we?");
        athlete.post(path, Map.of("accept", "true"));
        assertThat(coach.get(base + "/today").statusCode()).isEqualTo(200);
        assertThat(coach.get(base + "/board").statusCode()).isEqualTo(200);
        int before = sessions();
        assertThat(coach.post(
                                base + "/sketch",
                                Map.of(
                                        "day",
                                        TODAY.plusDays(2).toString(),
                                        "sport",
                                        "RIDE",
                                        "purpose",
                                        "EASY",
                                        "length",
                                        "1h"))
                        .statusCode())
                .isIn(403, 404);
        assertThat(coach.post(base + "/thresholds/adopt", Map.of("THRESHOLD_POWER", "250", "from", TODAY.toString()))
                        .statusCode())
                .isIn(403, 404);
        assertThat(coach.post(base + "/checkin", Map.of("day", TODAY.toString(), "restingHeartRate", "50"))
                        .statusCode())
                .isIn(403, 404);
        assertThat(sessions()).isEqualTo(before);
    }

    private static int sessions() {
        return sql.queryForObject(
                "select count(*) from session where athlete_id = ?",
                Integer.class,
                Long.parseLong(base.replaceAll("\\D", "")));
    }

    @Test
    @Order(4)
    void theAthleteSeesWhoLookedAndThatAgainIsNotAccepted() {
        assertThat(athlete.get(base + "/access").body()).contains("see").contains("Test Person");
        assertThat(sql.queryForObject(
                        "select sum(looks) from access_trail where athlete_id = ?",
                        Integer.class,
                        Long.parseLong(base.replaceAll("\\D", ""))))
                .isPositive();
        String path = link(ATHLETE);
        assertThat(athlete.post(path, Map.of("accept", "true")).statusCode()).isLessThan(500);
    }

    @Test
    @Order(5)
    void afterTheEndNothingIsSeenAndWhatWasMadeStays() {
        long coachId =
                sql.queryForObject("select id from account where email = 'bodil.people@pemblar.example'", Long.class);
        assertThat(coach.get("/roster").body()).contains(base.replaceAll("\\D", ""));
        athlete.get(base + "/access");
        assertThat(athlete.post(base + "/access/" + coachId + "/end", Map.of()).body())
                .contains("Ended");
        for (String path : new String[] {
            "/today", "/board", "/sessions", "/checkins", "/proposals", "/progress/fitness", "/thresholds"
        }) assertThat(coach.get(base + path).statusCode()).as(path).isEqualTo(404);
        assertThat(coach.get("/roster/" + base.replaceAll("\\D", "")).statusCode())
                .isEqualTo(404);
    }

    @Test
    @Order(6)
    void aWithdrawnInvitationOpensNothing() {
        String name = "late.people@pemblar.example";
        invited(name, true);
        String path = link(name);
        long id = sql.queryForObject("select max(id) from invitation", Long.class);
        coach.post("/invitations/" + id + "/withdraw", Map.of());
        Person late = new Person(Running.ADDRESS).signUp(name, "ride");
        String own = late.get("/").uri().getPath().replaceAll("/today$", "");
        assertThat(late.get(path).body()).doesNotContain(">Accept<");
        late.post(path, Map.of("accept", "true"));
        assertThat(coach.get(own + "/today").statusCode()).isEqualTo(404);
    }
}
