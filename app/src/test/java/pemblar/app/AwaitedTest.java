package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** A coach begins the pages of somebody who is asked; when they come, it is theirs, and what they had stays. */
@Tag("http")
class AwaitedTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person coach;

    @BeforeAll
    static void aCoach() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        coach = new Person(Running.ADDRESS).signUp("early.coach@pemblar.example", "coach");
    }

    /** @return the base of the pages that were begun, with a threshold, an event, a sketch and a workout on them */
    private static String begun(String address) {
        coach.get("/roster/invitations");
        coach.post("/roster/invitations", Map.of("addresses", address, "plans", "true", "word", ""));
        long id = sql.queryForObject("select max(id) from invitation where email = ?", Long.class, address);
        assertThat(coach.get("/roster/invitations").body()).contains("begin their pages");
        String path = coach.post("/invitations/" + id + "/begin", Map.of("name", "Somebody New", "sport", "RIDE"))
                .uri()
                .getPath();
        String base = path.replaceAll("/thresholds$", "");
        coach.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "260", "MAXIMUM_HEART_RATE", "188", "from", TODAY.toString()));
        coach.get(base + "/board");
        sketch(coach, base, 2, "EASY");
        sketch(coach, base, 4, "LONG");
        coach.post(
                base + "/season/event",
                Map.of("name", "Heron loop", "day", TODAY.plusDays(70).toString(), "priority", "A", "time", "3h"));
        return base;
    }

    private static void sketch(Person who, String base, int days, String purpose) {
        who.post(
                base + "/sketch",
                Map.of("day", TODAY.plusDays(days).toString(), "sport", "RIDE", "purpose", purpose, "length", "1h30"));
    }

    private static String link(String address) {
        String body = sql.queryForObject(
                "select body from mail where recipient = ? order by id desc limit 1", String.class, address);
        Matcher link = Pattern.compile("/invitation/\\S+").matcher(body);
        assertThat(link.find()).as(body).isTrue();
        return link.group();
    }

    private static long id(String base) {
        return Long.parseLong(base.replaceAll("\\D", ""));
    }

    private static List<String> sessions(String base) {
        return sql.queryForList(
                "select day || ' ' || coalesce(purpose, 'none') from session where athlete_id = ?"
                        + " and deleted_at is null order by day",
                String.class,
                id(base));
    }

    @Test
    void whoComesWithNothingGetsAllOfIt() {
        String address = "nothing.awaited@pemblar.example";
        String begun = begun(address);
        assertThat(sessions(begun)).hasSize(2);
        Person person = new Person(Running.ADDRESS).signUp(address, "ride");
        assertThat(person.get(begun + "/today").statusCode()).isEqualTo(404);
        String own = person.get("/").uri().getPath().replaceAll("/today$", "");
        assertThat(person.get(link(address)).body())
                .contains("has begun pages for you")
                .contains("threshold power 260 W")
                .contains("2 sessions, ")
                .contains("Heron loop");
        person.post(link(address), Map.of("accept", "true"));
        assertThat(sessions(own)).hasSize(2);
        assertThat(sessions(begun)).isEmpty();
        assertThat(person.get(own + "/season").body()).contains("Heron loop");
        assertThat(person.get(own + "/thresholds").body()).contains("260");
        assertThat(coach.get(begun + "/board").statusCode()).isEqualTo(404);
        assertThat(coach.get(own + "/board").statusCode()).isEqualTo(200);
        assertThat(sql.queryForObject("select count(*) from athlete where id = ?", Integer.class, id(begun)))
                .isZero();
    }

    @Test
    void whatTheyHadStaysAndBothSeasonsAreAskedAbout() {
        String address = "much.awaited@pemblar.example";
        String begun = begun(address);
        blocks(coach, begun, "Coach block");
        Person person = new Person(Running.ADDRESS).signUp(address, "ride");
        String own = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(own + "/thresholds");
        person.post(own + "/thresholds/adopt", Map.of("THRESHOLD_POWER", "231", "from", TODAY.toString()));
        person.get(own + "/board");
        sketch(person, own, 2, "TEMPO");
        blocks(person, own, "Own block");
        byte[] ride = ride();
        coach.get(begun + "/sessions");
        coach.upload(begun + "/sessions/upload", Map.of("ride.fit", ride));
        person.get(own + "/sessions");
        person.upload(own + "/sessions/upload", Map.of("mine.fit", ride));
        Eventually.holds(Duration.ofSeconds(30), () -> recordings(begun) == 1 && recordings(own) == 1);
        coach.upload(begun + "/others?name=Runa+Alm&sport=RIDE", Map.of("race.fit", ride));
        String page = person.get(link(address)).body();
        assertThat(page)
                .contains("Recordings of others: Runa Alm.")
                .contains("Your own values stay: threshold power")
                .contains("maximum heart rate 188 bpm")
                .contains("on 1 day you have something too")
                .contains("they stay unless you choose")
                .contains("1 recording");
        person.post(link(address), Map.of("accept", "true", "season", "own"));
        assertThat(sessions(own)).anyMatch(s -> s.endsWith("TEMPO")).anyMatch(s -> s.endsWith("LONG"));
        assertThat(sql.queryForList("select name from athlete where kept_by = ?", String.class, id(own)))
                .containsExactly("Runa Alm");
        assertThat(value(own, "THRESHOLD_POWER")).isEqualTo(231);
        assertThat(value(own, "MAXIMUM_HEART_RATE")).isEqualTo(188);
        assertThat(blockNames(own)).contains("Own block").doesNotContain("Coach block");
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> sql.queryForObject(
                                "select count(*) from import_file where athlete_id = ? and state = 'KNOWN'",
                                Integer.class,
                                id(own))
                        == 1);
        assertThat(recordings(own)).isEqualTo(1);
        assertThat(person.post(link(address), Map.of("accept", "true")).body()).contains("answered already");
    }

    private static double value(String base, String quantity) {
        return sql.queryForObject(
                "select amount from dated_value where athlete_id = ? and quantity = ?",
                Double.class,
                id(base),
                quantity);
    }

    private static void blocks(Person who, String base, String name) {
        who.get(base + "/board");
        sql.update(
                "insert into block (athlete_id, first_day, days, phase, name, aim, target_load,"
                        + " target_seconds) values (?, ?, 7, 'BASE', ?, '', 300, 0)",
                id(base),
                TODAY.plusDays(3),
                name);
    }

    private static List<String> blockNames(String base) {
        return sql.queryForList("select name from block where athlete_id = ?", String.class, id(base));
    }

    private static int recordings(String base) {
        return sql.queryForObject(
                "select count(*) from recording where athlete_id = ? and deleted_at is null", Integer.class, id(base));
    }

    private static byte[] ride() {
        Instant start = TODAY.minusDays(2).atTime(16, 0).toInstant(ZoneOffset.UTC);
        byte[] file = FitWorkouts.of(
                        "Ride",
                        Shorthand.read("20min 60%", Sport.RIDE).workout().orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 240))
                .write(1, start);
        return HeadUnit.follow(
                file, new Body(Sport.RIDE, 240, 18_000, 4, 50, 186, 70), start, new Random(5), Faults.NONE);
    }

    @Test
    void pagesOfWhoNeverCameAreForgotten() {
        String address = "never.awaited@pemblar.example";
        String begun = begun(address);
        long invitation = sql.queryForObject("select max(id) from invitation where email = ?", Long.class, address);
        Person stranger = new Person(Running.ADDRESS).signUp("stranger.awaited@pemblar.example", "coach");
        stranger.get("/roster/invitations");
        assertThat(stranger.post("/invitations/" + invitation + "/forget", Map.of())
                        .statusCode())
                .isEqualTo(404);
        assertThat(stranger.get(begun + "/board").statusCode()).isEqualTo(404);
        coach.get("/roster/invitations");
        coach.post("/invitations/" + invitation + "/withdraw", Map.of());
        assertThat(coach.get("/roster/invitations").body()).contains("forget them");
        coach.post("/invitations/" + invitation + "/forget", Map.of());
        assertThat(coach.get(begun + "/board").statusCode()).isEqualTo(404);
        assertThat(coach.get("/roster").statusCode()).isEqualTo(200);
    }
}
