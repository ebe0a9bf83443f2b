package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Units are the person's on every page and in every form; the days are where they were lived. */
@Tag("http")
class PreferencesTest {
    private static final Map<String, String> MILES = Map.of(
            "length", "MILES",
            "mass", "POUNDS",
            "temperature", "FAHRENHEIT",
            "decimal", "COMMA",
            "weekStart", "SUNDAY",
            "theme", "DARK");
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final LocalDate today = LocalDate.now(ZoneOffset.UTC);
    private Person person;
    private String base;
    private long id;

    @BeforeEach
    void signUp() {
        person = new Person(Running.ADDRESS).signUp("units" + people++ + "@pemblar.example", "run");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        id = Long.parseLong(base.replaceAll("\\D", ""));
        person.get("/account");
        assertThat(person.post("/account/units", MILES).body()).contains("From now on, pages read like this");
    }

    @Test
    void aThresholdPaceAndABodyMassAreTypedAndReadInMilesAndPounds() {
        person.get(base + "/thresholds");
        String day = today.toString();
        person.post(base + "/thresholds/adopt", Map.of("THRESHOLD_SPEED", "8:00", "from", day));
        person.post(base + "/thresholds/adopt", Map.of("BODY_MASS", "154,3", "from", day));
        assertThat(sql.queryForList(
                        "select amount from dated_value where athlete_id = ? order by quantity", Double.class, id))
                .satisfiesExactly(
                        mass -> assertThat(mass).isBetween(69.98, 70.0),
                        speed -> assertThat(speed).isBetween(3.3527, 3.3529));
        assertThat(person.get(base + "/thresholds").body())
                .contains("8:00")
                .contains("/mi")
                .contains("154,3")
                .contains("media=\"all\"");
    }

    @Test
    void aLoadIsTypedInPoundsAndKeptInKilograms() {
        person.get(base + "/strength/maxima");
        String day = today.toString();
        assertThat(person.post(
                                base + "/strength/maxima",
                                Map.of("exercise", "back squat", "kilograms", "225", "day", day))
                        .body())
                .contains("225 lb");
        assertThat(sql.queryForObject("select kilograms from strength_maximum where athlete_id = ?", Double.class, id))
                .isCloseTo(102.058, within(0.001));
        Map<String, String> room = Map.of("bar", "45", "plate", "2,5", "step", "5");
        assertThat(person.post(base + "/strength/maxima/loadable", room).body())
                .contains("Loads with a bar are now 45 lb and more");
        person.get(base + "/strength/design");
        assertThat(person.post(base + "/strength/preview", Map.of("text", "back squat 3 x 5 at 80%"))
                        .body())
                .contains("180 lb")
                .doesNotContain(" kg");
    }

    @Test
    void theCheckInTakesPounds() {
        person.get(base + "/checkins");
        person.post(base + "/checkin", Map.of("day", today.toString(), "bodyMass", "150"));
        assertThat(sql.queryForObject("select body_mass from checkin where athlete_id = ?", Double.class, id))
                .isCloseTo(68.039, within(0.001));
    }

    @Test
    void nonsenseIsRefusedAndNothingChanges() {
        for (String[] wrong : new String[][] {{"weekStart", "TUESDAY"}, {"length", "PARSECS"}, {"theme", ""}}) {
            Map<String, String> form = new HashMap<>(MILES);
            form.put(wrong[0], wrong[1]);
            assertThat(person.post("/account/units", form).statusCode()).isLessThan(500);
        }
        assertThat(person.get("/account").body()).containsPattern("value=\"MILES\"\\s+selected");
    }

    @Test
    void daysFromTheJourneyOnAreThoseOfTheOtherZone() {
        person.get("/account");
        String from = today.minusDays(3).toString();
        assertThat(person.post("/account/zone", Map.of("zone", "Asia/Tokyo", "from", from))
                        .body())
                .contains("Asia/Tokyo from");
        assertThat(person.post("/account/zone", Map.of("zone", "Mars/Olympus", "from", from))
                        .body())
                .contains("Time zone: choose one of the list");
        assertThat(person.post("/account/zone", Map.of("zone", "Asia/Tokyo", "from", "9999-12-31"))
                        .body())
                .contains("is too far");
        assertThat(sql.queryForObject("select zones_since from athlete where id = ?", String.class, id))
                .isEqualTo(from + "=Asia/Tokyo");
        for (String page : new String[] {"/today", "/board", "/season", "/sessions", "/progress"})
            assertThat(person.get(base + page).statusCode()).isEqualTo(200);
    }

    @Test
    void aCoachReadsInTheirOwnUnits() {
        Person coach = new Person(Running.ADDRESS).signUp("coach.units" + people + "@pemblar.example", "coach");
        long coachId = sql.queryForObject("select max(id) from account", Long.class);
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(id, coachId, true);
        person.get(base + "/thresholds");
        person.post(base + "/thresholds/adopt", Map.of("BODY_MASS", "154,3", "from", today.toString()));
        assertThat(coach.get(base + "/thresholds").body()).contains("70.0").doesNotContain("154,3");
    }

    /** The order is the person's; a place left empty and a sport said twice are nothing. */
    @Test
    void sportsStandInTheOrderThatThePersonGives() {
        person.get(base + "/thresholds");
        person.post(base + "/thresholds/sports?sports=SWIM&sports=&sports=RIDE&sports=SWIM", Map.of());
        assertThat(sql.queryForObject("select sports from athlete where id = ?", String.class, id))
                .isEqualTo("SWIM,RIDE");
        assertThat(person.post(base + "/thresholds/sports?sports=", Map.of()).body())
                .contains("Sports: choose at least one");
        assertThat(sql.queryForObject("select sports from athlete where id = ?", String.class, id))
                .isEqualTo("SWIM,RIDE");
    }
}
