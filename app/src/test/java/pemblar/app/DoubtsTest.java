package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** Data that mislead are said where they are read, with what they do, and mended in one click. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class DoubtsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static Person coach;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void twoRides() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("doubt@pemblar.example", "ride");
        coach = new Person(Running.ADDRESS).signUp("doubt.coach@pemblar.example", "coach");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        Running.APPLICATION
                .getBean(CoachingService.class)
                .begin(
                        athlete,
                        sql.queryForObject(
                                "select id from account where email = 'doubt.coach@pemblar.example'", Long.class),
                        true);
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "250",
                        "THRESHOLD_HEART_RATE",
                        "140",
                        "BODY_MASS",
                        "70",
                        "from",
                        TODAY.minusDays(60).toString()));
        person.get(base + "/sessions");
        person.upload(
                base + "/sessions/upload",
                Map.of("sound.gpx", ride(2, 0), "wrong.gpx", ride(1, 60), "slow.gpx", withHeart(ride(12, 0))));
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> sql.queryForObject(
                                "select count(*) from session where athlete_id = ? and recording_id is not null",
                                Integer.class,
                                athlete)
                        == 3);
    }

    /** Half an hour at 200 W, with some seconds that nobody has. */
    private static byte[] ride(int daysAgo, int spikes) {
        Instant start =
                TODAY.minusDays(daysAgo).atTime(9, 0).toInstant(ZoneOffset.UTC).truncatedTo(ChronoUnit.SECONDS);
        StringBuilder text = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"test\" "
                + "xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><type>cycling</type><trkseg>");
        for (int i = 0; i < 1800; i++)
            text.append("<trkpt lat=\"")
                    .append(50 + i * 0.00005)
                    .append("\" lon=\"7\"><ele>100</ele><time>")
                    .append(start.plusSeconds(i))
                    .append("</time><extensions><power>")
                    .append(i % 25 == 7 && i / 25 < spikes ? 2600 : 200)
                    .append("</power></extensions></trkpt>");
        return text.append("</trkseg></trk></gpx>").toString().getBytes(StandardCharsets.UTF_8);
    }

    /** With a heart rate that some hearts reach and others do not. */
    private static byte[] withHeart(byte[] ride) {
        return new String(ride, StandardCharsets.UTF_8)
                .replace("</power>", "</power><hr>178</hr>")
                .getBytes(StandardCharsets.UTF_8);
    }

    private static Map<String, Object> wrong() {
        return sql.queryForMap(
                "select s.id, r.load_points, r.mended_load, r.doubts from session s join recording r on r.id ="
                        + " s.recording_id where s.athlete_id = ? and r.file_name = 'wrong.gpx'",
                athlete);
    }

    @Test
    @Order(1)
    void itIsFoundWhenItComesInAndTheOthersAreNot() {
        assertThat((Integer) wrong().get("doubts")).isPositive();
        assertThat((Double) wrong().get("load_points")).isGreaterThan(2 * (Double) wrong().get("mended_load"));
        assertThat(sql.queryForObject(
                        "select sum(doubts) from recording where athlete_id = ? and file_name <> 'wrong.gpx'",
                        Integer.class,
                        athlete))
                .isZero();
    }

    @Test
    @Order(2)
    void itIsSaidWhereItMisleads() {
        long load = Math.round((Double) wrong().get("load_points"));
        long mended = Math.round((Double) wrong().get("mended_load"));
        String words = "Load " + load + " would be " + mended + ".";
        assertThat(person.get(base + "/sessions").body())
                .contains("Probably power that nobody has. " + words)
                .contains("id=\"mend-" + wrong().get("id") + "\"");
        for (String page : new String[] {"/today", "/progress", "/proposals", "/thresholds"})
            assertThat(person.get(base + page).body())
                    .as(page)
                    .contains(words)
                    .contains("This morning’s balance is")
                    .contains("Mend it");
        assertThat(coach.get("/roster").body()).contains("is to be mended").contains(words);
        for (String page :
                new String[] {"/thresholds/curve", "/thresholds/profile", "/thresholds/evidence", "/progress/fitness"})
            assertThat(person.get(base + page).body())
                    .as(page)
                    .contains("Probably power that nobody has.")
                    .contains("Mend it");
    }

    @Test
    @Order(3)
    void whatMendingWouldDoFollowsTheValues() {
        double before = (Double) wrong().get("mended_load");
        adopt("THRESHOLD_POWER", "275");
        Eventually.holds(
                Duration.ofSeconds(30), () -> Math.abs((Double) wrong().get("mended_load") / before - 1) > 0.1);
        assertThat((Double) wrong().get("load_points")).isGreaterThan(2 * (Double) wrong().get("mended_load"));
        assertThat(person.get(base + "/today").body())
                .contains("would be " + Math.round((Double) wrong().get("mended_load")) + ".");
    }

    @Test
    @Order(4)
    void aMaximumMakesAHeartRateWrongAndAHigherOneRightAgain() {
        adopt("MAXIMUM_HEART_RATE", "150");
        Eventually.holds(Duration.ofSeconds(30), () -> doubts("slow.gpx") > 0);
        assertThat(person.get(base + "/sessions").body()).contains("heart rate");
        adopt("MAXIMUM_HEART_RATE", "190");
        Eventually.holds(Duration.ofSeconds(30), () -> doubts("slow.gpx") == 0);
    }

    private static int doubts(String file) {
        return sql.queryForObject(
                "select doubts from recording where athlete_id = ? and file_name = ?", Integer.class, athlete, file);
    }

    private static void adopt(String quantity, String value) {
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of(quantity, value, "from", TODAY.minusDays(60).toString()));
    }

    @Test
    @Order(5)
    void oneClickMendsItAndTheForecastWasTrue() {
        String before = person.get(base + "/today").body();
        String promised = before.replaceAll("(?s).*and would be\\s*<b>([^<]+)</b>.*", "$1");
        double mended = (Double) wrong().get("mended_load");
        String today = person.post(base + "/sessions/" + wrong().get("id") + "/mend/all", Map.of("here", "today"))
                .body();
        assertThat(today).doesNotContain("Mend it").contains("Mended.");
        assertThat((Double) wrong().get("load_points")).isEqualTo(mended);
        assertThat((Integer) wrong().get("doubts")).isZero();
        assertThat(today).contains("<dd>" + promised + "</dd>");
        assertThat(coach.get("/roster").body()).doesNotContain("is to be mended");
        assertThat(person.get(base + "/thresholds/curve").body()).doesNotContain("Mend it");
    }

    @Test
    @Order(6)
    void foundRightItCountsAsRecordedAndNobodyIsAskedAgain() {
        person.post(base + "/sessions/undo", Map.of());
        assertThat((Integer) wrong().get("doubts")).isPositive();
        double load = (Double) wrong().get("load_points");
        assertThat(coach.get(base + "/first-look").body())
                .contains("in doubt")
                .contains("Probably power that nobody has.")
                .contains("It is right");
        String page = coach.post(
                        base + "/sessions/" + wrong().get("id") + "/mend/all",
                        Map.of("here", "first-look", "then", "right"))
                .body();
        assertThat(page).contains("It counts as it was recorded").doesNotContain("in doubt");
        assertThat((Integer) wrong().get("doubts")).isZero();
        assertThat((Double) wrong().get("load_points")).isEqualTo(load);
        assertThat(person.get(base + "/sessions/" + wrong().get("id")).body())
                .doesNotContain("id=\"proposals\"")
                .contains("Found right: power 0:07 to 0:08");
        assertThat(person.get(base + "/today").body()).doesNotContain("Mend it");
    }

    @Test
    @Order(7)
    void takenBackItIsInDoubtAgain() {
        coach.post(base + "/sessions/undo", Map.of());
        assertThat((Integer) wrong().get("doubts")).isPositive();
        person.post(base + "/sessions/" + wrong().get("id") + "/mend/all", Map.of());
        assertThat(person.post(base + "/sessions/" + wrong().get("id") + "/mend/all", Map.of())
                        .body())
                .contains("mended or found right already");
    }
}
