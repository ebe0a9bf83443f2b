package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.account.LeavingService;
import pemblar.app.athlete.CoachingService;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** An account ends fourteen days after it was asked for: not a day before, and then with every trace. */
@Tag("http")
class LeavingTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final String PASSWORD = "a long password";
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final LeavingService leaving = Running.APPLICATION.getBean(LeavingService.class);
    private String email;
    private String name;
    private Person leaver;
    private String base;
    private long account;
    private long own;

    @BeforeEach
    void signUp() {
        email = "leaver" + people + "@pemblar.example";
        name = "Wilda Quorrn " + people++;
        leaver = new Person(Running.ADDRESS).signUp(email, "ride");
        sql.update("update account set name = ? where email = ?", name, email);
        sql.update(
                "update athlete set name = ? where account_id = (select id from account where email = ?)", name, email);
        leaver = new Person(Running.ADDRESS).signIn(email, PASSWORD);
        base = leaver.get("/").uri().getPath().replaceAll("/today$", "");
        own = Long.parseLong(base.replaceAll("\\D", ""));
        account = sql.queryForObject("select id from account where email = ?", Long.class, email);
    }

    private void leave() {
        leaver.get("/account");
        leaver.post("/account/leave", Map.of("present", PASSWORD));
    }

    private void daysPass(int days) {
        sql.update("update account set leaves_at = leaves_at - make_interval(days => ?) where id = ?", days, account);
        boolean more = true;
        while (more) more = leaving.endOne();
    }

    private int accounts() {
        return sql.queryForObject("select count(*) from account where id = ?", Integer.class, account);
    }

    @Test
    void itTakesThePasswordAndFourteenDaysAndCanBeTakenBack() {
        leaver.get("/account");
        assertThat(leaver.post("/account/leave", Map.of("present", "not the password"))
                        .body())
                .contains("it is not the one of this account")
                .contains("End my account in 14 days");
        leave();
        assertThat(leaver.get("/account").body())
                .contains("Your account ends on")
                .contains("Keep my account");
        Instant first =
                leaving.ends(new pemblar.app.frame.Viewer(account, name)).orElseThrow();
        assertThat(Duration.between(Instant.now(), first)).isBetween(Duration.ofDays(13), Duration.ofDays(14));
        daysPass(13);
        assertThat(accounts()).isEqualTo(1);
        assertThat(leaver.get(base + "/today").statusCode()).isEqualTo(200);
        leaver.get("/account");
        assertThat(leaver.post("/account/keep", Map.of()).body()).contains("stays as it is");
        daysPass(20);
        assertThat(accounts()).isEqualTo(1);
        assertThat(sql.queryForList("select subject from mail where recipient = ?", String.class, email))
                .contains("Your account ends in 14 days");
    }

    @Test
    void nothingOfThePersonIsInAnyTableAfterwards() {
        Person other = new Person(Running.ADDRESS).signUp("stays" + people + "@pemblar.example", "run");
        String others = other.get("/").uri().getPath().replaceAll("/today$", "");
        long coached = Long.parseLong(others.replaceAll("\\D", ""));
        Running.APPLICATION.getBean(CoachingService.class).begin(coached, account, true);
        Running.APPLICATION.getBean(CoachingService.class).begin(2, account, true);
        liveOn(base);
        planFor(others);
        other.get(others + "/notes");
        long note = sql.queryForObject("select max(id) from note where athlete_id = ?", Long.class, coached);
        other.post(others + "/notes/" + note + "/answer", Map.of("body", "Thank you."));
        signEverything();
        leave();
        assertThat(found())
                .as("the search finds the person while they are there")
                .hasSizeGreaterThan(8);
        daysPass(14);
        assertThat(accounts()).isZero();
        assertThat(found()).isEmpty();
        assertThat(leaver.get("/account").uri().getPath()).isEqualTo("/sign-in");
        assertThat(sql.queryForList("select body from note where athlete_id = ?", String.class, coached))
                .containsExactly("Thank you.");
        assertThat(other.get(others + "/board").statusCode()).isEqualTo(200);
        assertThat(sql.queryForObject(
                        "select changed_by from session where athlete_id = ? limit 1", String.class, coached))
                .isEqualTo("somebody who left");
    }

    /** A ride, a plan, a check-in, thresholds and a note on one's own pages. */
    private void liveOn(String pages) {
        leaver.get(pages + "/thresholds");
        leaver.post(pages + "/thresholds/adopt", Map.of("THRESHOLD_POWER", "240", "from", TODAY.toString()));
        leaver.upload(pages + "/sessions/upload", Map.of("mine.fit", ride()));
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> sql.queryForObject("select count(*) from recording where athlete_id = ?", Integer.class, own)
                        == 1);
        planFor(pages);
    }

    private void planFor(String pages) {
        leaver.get(pages + "/board");
        leaver.post(
                pages + "/sketch",
                Map.of("day", TODAY.plusDays(2).toString(), "sport", "RUN", "purpose", "EASY", "length", "1h"));
        leaver.get(pages + "/notes");
        leaver.post(pages + "/notes", Map.of("body", "Written by " + name));
    }

    private static byte[] ride() {
        Instant start = TODAY.minusDays(3).atTime(9, 0).toInstant(ZoneOffset.UTC);
        byte[] workout = FitWorkouts.of(
                        "Ride",
                        Shorthand.read("20min 60%", Sport.RIDE).workout().orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 240))
                .write(1, start);
        return HeadUnit.follow(
                workout,
                new Body(Sport.RIDE, 240, 18_000, 4, 50, 188, 70 + people),
                start,
                new Random(people),
                Faults.NONE);
    }

    /** A row of the demo athlete signed by the person, in each table that is signed. */
    private void signEverything() {
        for (String column :
                List.of("session.changed_by", "season.changed_by", "recording.load_by", "checkin.entered_by")) {
            String[] of = column.split("\\.");
            sql.update(
                    "update " + of[0] + " set " + of[1] + " = ? where ctid = (select ctid from " + of[0]
                            + " where athlete_id = 2 limit 1)",
                    name);
        }
        sql.update(
                "update recording_edit set made_by = ? where recording_id in (select id from recording where"
                        + " athlete_id = 2)",
                name);
    }

    /** Tables with the person's name, address or number, also inside binary columns. */
    private List<String> found() {
        List<String> found = new ArrayList<>();
        for (String table : sql.queryForList(
                "select table_name from information_schema.tables where table_schema = 'public' and table_type ="
                        + " 'BASE TABLE'",
                String.class)) {
            for (String word : List.of(name, email, hex(name), hex(email)))
                if (sql.queryForObject(
                                "select count(*) from " + table + " t where position(? in t::text) > 0",
                                Integer.class,
                                word)
                        > 0) found.add(table + " has " + word);
            for (Map<String, Object> column : sql.queryForList(
                    "select column_name, case when column_name = 'athlete_id' then ? else ? end as id from"
                            + " information_schema.columns where table_name = ? and column_name in ('athlete_id',"
                            + " 'account_id', 'coach_account_id', 'sender_id', 'answered_by', 'author_id')",
                    own,
                    account,
                    table))
                if (sql.queryForObject(
                                "select count(*) from " + table + " where " + column.get("column_name") + " = "
                                        + column.get("id"),
                                Integer.class)
                        > 0) found.add(table + " by " + column.get("column_name"));
        }
        return found;
    }

    private static String hex(String word) {
        return HexFormat.of().formatHex(word.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }
}
