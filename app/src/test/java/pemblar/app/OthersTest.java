package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** A recording of somebody else tells what an event asks, and never counts among one's own. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class OthersTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final LocalDate RACED = TODAY.minusDays(200);
    private static JdbcTemplate sql;
    private static Person rider;
    private static Person coach;
    private static String base;
    private static long athlete;
    private static long event;

    private static byte[] race(Instant start) {
        Thresholds values = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 300);
        byte[] workout = FitWorkouts.of(
                        "Race",
                        Shorthand.read("40min 85%, 20min 100%", Sport.RIDE)
                                .workout()
                                .orElseThrow(),
                        values)
                .write(1, start);
        Body body = new Body(Sport.RIDE, 300, 20_000, 4, 50, 188, 80);
        return HeadUnit.follow(workout, body, start, new Random(3), Faults.NONE);
    }

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        rider = new Person(Running.ADDRESS).signUp("others.rider@pemblar.example", "ride");
        base = rider.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replace("/a/", ""));
        coach = new Person(Running.ADDRESS).signUp("others.coach@pemblar.example", "coach");
        long account =
                sql.queryForObject("select id from account where email = 'others.coach@pemblar.example'", Long.class);
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(athlete, account, true);
        rider.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "240", "BODY_MASS", "60", "from", TODAY.toString()));
        rider.get(base + "/season");
        rider.post(
                base + "/season/event",
                Map.of("name", "Mill hill", "day", TODAY.plusDays(60).toString(), "priority", "A", "days", "3"));
        event = sql.queryForObject("select id from event where athlete_id = ?", Long.class, athlete);
    }

    private static long other(String name) {
        return sql.queryForObject("select id from athlete where kept_by = ? and name = ?", Long.class, athlete, name);
    }

    private static long session(long other) {
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> !sql.queryForList("select id from session where athlete_id = ?", Long.class, other)
                        .isEmpty());
        return sql.queryForObject("select max(id) from session where athlete_id = ?", Long.class, other);
    }

    @Test
    @Order(1)
    void isKeptApart() {
        rider.get(base + "/others");
        Instant start = RACED.atTime(9, 0).toInstant(ZoneOffset.UTC);
        String said = rider.upload(
                        base + "/others?name=Runa+Alm&sport=RIDE&mass=80&threshold=300", Map.of("a.fit", race(start)))
                .body();
        assertThat(said)
                .contains("Kept.")
                .contains("Runa Alm")
                .contains("80.0 kg")
                .contains("threshold 300 W");
        long other = other("Runa Alm");
        long session = session(other);
        assertThat(rider.get(base + "/others").body()).contains("/a/" + other + "/sessions/" + session);
        assertThat(rider.get("/a/" + other + "/sessions/" + session).statusCode())
                .isEqualTo(200);
        for (String table : List.of("session", "recording", "load_day", "effort_curve"))
            assertThat(sql.queryForObject(
                            "select count(*) from " + table + " where athlete_id = ?", Integer.class, athlete))
                    .as(table)
                    .isZero();
        assertThat(coach.get("/roster").body()).doesNotContain("Runa Alm");
    }

    /** 300 W of 80 kg are 3.75 W/kg; the work before it, 612 kJ, is 459 of 60 kg: under the least that is kept. */
    @Test
    @Order(2)
    void askAsMuchForEachKilogram() {
        long other = other("Runa Alm");
        long session = session(other);
        String at = "/a/" + other + "/season/demands/from?session=" + session + "&from=2460&to=3060";
        assertThat(rider.get(at).body())
                .contains("10:00 at 3.7")
                .contains("W/kg, fresh")
                .contains("Mill hill")
                .contains("Runa Alm (80.0 kg)");
        rider.post(
                "/a/" + other + "/season/demands/from",
                Map.of("session", "" + session, "from", "2460", "to", "3060", "event", "" + event, "stage", "2"));
        Map<String, Object> demand =
                sql.queryForMap("select unit, amount, stage, source from event_demand where event_id = ?", event);
        assertThat(demand.get("unit")).isEqualTo("WATTS_PER_KG");
        assertThat((Double) demand.get("amount")).isBetween(3.6, 3.9);
        assertThat(demand.get("stage")).isEqualTo(2);
        assertThat(rider.get(base + "/season/demands/" + event).body()).contains("stage 2");
        rider.post(
                "/a/" + other + "/season/demands/from",
                Map.of("session", "" + session, "from", "2460", "to", "3060", "event", "" + event, "stage", "9"));
        assertThat(sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event))
                .isEqualTo(1);
    }

    @Test
    @Order(3)
    void ofUnknownMassWattsStayAsTheyWere() {
        Instant start = RACED.plusDays(1).atTime(9, 0).toInstant(ZoneOffset.UTC);
        rider.upload(base + "/others?name=Nobody+known&sport=RIDE", Map.of("b.fit", race(start)));
        long other = other("Nobody known");
        long session = session(other);
        assertThat(rider.get("/a/" + other + "/season/demands/from?session=" + session + "&from=2460&to=3060")
                        .body())
                .containsPattern("10:00 at (29|30)\\d W")
                .contains("after 500 kJ")
                .contains("mass not known, watts as they were");
        assertThat(rider.get(base + "/season/compare?other=" + other + "&otherFrom=" + RACED + "&otherTo="
                                + RACED.plusDays(2))
                        .body())
                .contains("load is not known")
                .contains("Nobody known");
    }

    @Test
    @Order(4)
    void theirDaysStandBesideOnesOwn() {
        String page = rider.get(base + "/season/compare?other=" + other("Runa Alm") + "&otherFrom=" + RACED
                        + "&otherTo=" + RACED)
                .body();
        assertThat(page).contains("Runa Alm, ").doesNotContain("load is not known");
        assertThat(rider.get(base + "/season/compare?other=" + athlete).statusCode())
                .isEqualTo(404);
    }

    @Test
    @Order(5)
    void seenByWhomTheAthleteIsSeenBy() {
        long other = other("Runa Alm");
        String page = "/a/" + other + "/sessions/" + session(other);
        assertThat(coach.get(page).statusCode()).isEqualTo(200);
        Person stranger = new Person(Running.ADDRESS).signUp("others.stranger@pemblar.example", "ride");
        assertThat(stranger.get(page).statusCode()).isEqualTo(404);
        assertThat(stranger.get(base + "/others").statusCode()).isEqualTo(404);
        stranger.get("/account");
        assertThat(stranger.post(base + "/others/" + other + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(404);
        assertThat(rider.get("/a/" + other + "/others").statusCode()).isEqualTo(404);
        sql.update("update coaching set ended_at = now() where athlete_id = ?", athlete);
        assertThat(coach.get(page).statusCode()).isEqualTo(404);
    }

    @Test
    @Order(6)
    void whatCannotBeIsSaidAndNothingIsKept() {
        byte[] file = race(RACED.plusDays(2).atTime(9, 0).toInstant(ZoneOffset.UTC));
        rider.get(base + "/others");
        assertThat(rider.upload(base + "/others?name=Heavy&sport=RIDE&mass=800", Map.of("c.fit", file))
                        .body())
                .contains("Body mass")
                .contains("value=\"Heavy\"");
        assertThat(rider.upload(base + "/others?name=&sport=RIDE", Map.of("c.fit", file))
                        .body())
                .contains("Name: enter");
        assertThat(rider.upload(base + "/others?name=Fast&sport=RUN&threshold=0:10", Map.of("c.fit", file))
                        .body())
                .contains("Threshold pace");
        assertThat(sql.queryForObject("select count(*) from athlete where kept_by = ?", Integer.class, athlete))
                .isEqualTo(2);
        rider.upload(base + "/others?name=Broken&sport=RIDE", Map.of("d.fit", new byte[] {1, 2, 3}));
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> rider.get(base + "/others").body().contains("d.fit")
                        && !rider.get(base + "/others").body().contains("being read"));
    }

    @Test
    @Order(7)
    void removedForGoodButTheDemandStays() {
        long other = other("Runa Alm");
        rider.get(base + "/others");
        rider.post(base + "/others/" + other + "/remove", Map.of());
        for (String table : List.of("session", "recording", "load_day", "import_file", "dated_value"))
            assertThat(sql.queryForObject(
                            "select count(*) from " + table + " where athlete_id = ?", Integer.class, other))
                    .as(table)
                    .isZero();
        assertThat(sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event))
                .isEqualTo(1);
    }
}
