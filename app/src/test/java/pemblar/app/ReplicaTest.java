package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import pemblar.app.replica.Replica;

/** An application of its own over a PostgreSQL with a second one that follows it. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class ReplicaTest {
    private static final String NAME = "pemblar";
    private static final List<String> PAGES = List.of(
            "today",
            "board",
            "season",
            "workouts",
            "sessions",
            "progress",
            "thresholds",
            "thresholds/evidence",
            "thresholds/curve",
            "checkins",
            "proposals",
            "strength");
    private static PrivateDatabase main;
    private static PrivateDatabase copy;
    private static ConfigurableApplicationContext application;
    private static Replica replica;
    private static String address;

    @BeforeAll
    static void begin() {
        Running.DATABASE.address(NAME); // makes the demo data
        main = new PrivateDatabase(DemoTemplate.get(null));
        copy = main.following();
        int port = PrivateDatabase.freePort();
        address = "http://127.0.0.1:" + port;
        String[] arguments = Running.arguments(main.address(NAME), port, false);
        String[] all = Stream.concat(
                        Stream.of(arguments),
                        Stream.of(
                                "--pemblar.database-to-read=" + copy.address(NAME),
                                "--pemblar.operator=oda@pemblar.example"))
                .toArray(String[]::new);
        application = new SpringApplication(PemblarApplication.class).run(all);
        replica = application.getBean(Replica.class);
        Eventually.holds(Duration.ofSeconds(30), () -> replica.figures().isAsked());
    }

    @AfterAll
    static void end() {
        application.close();
        copy.stop();
        main.stop();
    }

    private static Person person(String name) {
        return new Person(address).signIn(name + "@pemblar.example", "pemblar-demo");
    }

    private static JdbcTemplate at(PrivateDatabase database) {
        return new JdbcTemplate(new DriverManagerDataSource(database.address(NAME), NAME, ""));
    }

    /** Signing in was a change: until it is in the copy, the main one answers. */
    private static void caughtUp() {
        Eventually.holds(Duration.ofSeconds(30), () -> replica.figures().behindBytes() == 0);
    }

    @Test
    @Order(1)
    void pagesThatOnlyReadAreAnsweredByTheCopy() {
        Person rider = person("jonna");
        for (String page : PAGES) rider.get("/a/1/" + page); // what is made at a first look, is made
        caughtUp();
        long again = replica.figures().askedAgain();
        for (String page : PAGES) answeredByTheCopy(rider, "/a/1/" + page);
        assertThat(replica.figures().askedAgain()).isEqualTo(again);
    }

    /** On a busy machine the copy may be late for one of them. */
    private static void answeredByTheCopy(Person person, String page) {
        Eventually.holds(Duration.ofSeconds(30), () -> {
            long before = replica.figures().answered();
            assertThat(person.get(page).statusCode()).as(page).isEqualTo(200);
            return replica.figures().answered() == before + 1;
        });
    }

    @Test
    @Order(2)
    void whoChangedSomethingSeesItAtOnceHoweverFarTheCopyIs() {
        Person rider = person("jonna");
        rider.get("/a/1/board");
        String day = LocalDate.now(ZoneOffset.UTC).plusDays(3).toString();
        at(copy).execute("select pg_wal_replay_pause()");
        try {
            for (int i = 0; i < 5; i++) {
                String title = "Seen at once " + i;
                Map<String, String> sketch =
                        Map.of("day", day, "sport", "RIDE", "purpose", "EASY", "length", "1h", "title", title);
                rider.post("/a/1/sketch", sketch);
                assertThat(rider.get("/a/1/board").body()).contains(title);
            }
        } finally {
            at(copy).execute("select pg_wal_replay_resume()");
        }
        caughtUp();
        answeredByTheCopy(rider, "/a/1/board");
        assertThat(rider.get("/a/1/board").body()).contains("Seen at once 4");
    }

    @Test
    @Order(3)
    void aPageThatWritesIsAnsweredByTheMainOneAndSoIsARefusal() {
        long before = replica.figures().askedAgain();
        Person coach = person("oda");
        Eventually.holds(Duration.ofSeconds(30), () -> {
            at(main).execute("update morning_state set dirty = true");
            caughtUp();
            assertThat(coach.get("/roster").statusCode()).isEqualTo(200);
            return replica.figures().askedAgain() > before;
        });
        long then = replica.figures().askedAgain();
        Eventually.holds(Duration.ofSeconds(30), () -> {
            assertThat(coach.get("/a/999999/board").statusCode()).isEqualTo(404);
            return replica.figures().askedAgain() > then;
        });
    }

    @Test
    @Order(4)
    void aCoachsLookIsKeptThoughThePageIsReadElsewhere() {
        Person coach = person("oda");
        coach.get("/a/1/season");
        caughtUp();
        String looks = "select coalesce(sum(looks), 0)::int from access_trail where athlete_id = 1";
        int before = at(main).queryForObject(looks, Integer.class);
        answeredByTheCopy(coach, "/a/1/season");
        assertThat(at(main).queryForObject(looks, Integer.class)).isGreaterThan(before);
    }

    @Test
    @Order(5)
    void theOperatorSeesHowFarItIsBehind() {
        at(main).execute("analyze");
        Person operator = person("oda");
        answeredByTheCopy(operator, "/operator");
        assertThat(operator.get("/operator").body())
                .contains("bytes behind")
                .as("rows are counted in the main one alone")
                .doesNotContain(">0</td>");
        assertThat(new Person(address).get("/metrics").body())
                .contains("pemblar_copy_asked 1")
                .contains("pemblar_copy_behind_milliseconds ");
    }

    @Test
    @Order(6)
    void withoutTheCopyEveryPageIsAnsweredAsBefore() {
        Person rider = person("jonna");
        caughtUp();
        copy.stop();
        for (String page : PAGES)
            assertThat(rider.get("/a/1/" + page).statusCode()).as(page).isEqualTo(200);
        Eventually.holds(Duration.ofSeconds(10), () -> !replica.figures().isAsked());
        assertThat(rider.get("/a/1/board").statusCode()).isEqualTo(200);
    }
}
