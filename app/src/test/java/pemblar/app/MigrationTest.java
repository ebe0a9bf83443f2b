package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * From the schema before the ground was laid and from one halfway since, each with demo data that the application of
 * then wrote into it, to the one of today: nothing is lost, every figure stays, everybody can sign in and every page
 * opens.
 */
@Tag("http")
class MigrationTest {
    private static final String DUMP = "/migration/demo-of-schema-%d.sql.gz";
    /** What must come out as it went in, of tables that were there in both. */
    private static final List<String> KEPT = List.of(
            "select count(*), sum(timer_seconds), sum(distance_metres), sum(load_points) from recording",
            "select count(*), sum(octet_length(original)) from recording_data",
            "select count(*), count(recording_id), sum(planned_seconds), sum(planned_load), min(day), max(day) from "
                    + "session",
            "select count(*), sum(amount) from dated_value",
            "select count(*), min(first_day), sum(days) from block",
            "select count(*), min(day), max(day) from event",
            "select count(*) from event_demand",
            "select count(*) from evidence",
            "select count(*) from zone_set",
            "select count(*), count(distinct email) from account",
            "select count(*) from note",
            "select count(*) from season_exception");
    /** The same of what came between the two. */
    private static final List<String> KEPT_SINCE = List.of(
            "select count(*), sum(resting_heart_rate), sum(soreness), min(day), max(day) from checkin",
            "select count(*), sum(repetitions), sum(load_kilograms) from strength_set",
            "select count(*), min(day), max(day) from effort_after",
            "select count(*), round(sum(planned_load)), round(sum(done_load)) from load_day");

    private static final List<String> PAGES = List.of(
            "/today",
            "/checkins",
            "/proposals",
            "/season",
            "/season/compare",
            "/board",
            "/workouts",
            "/sessions",
            "/progress",
            "/progress/zones",
            "/progress/fitness",
            "/progress/durability",
            "/progress/report",
            "/thresholds",
            "/thresholds/evidence",
            "/thresholds/curve",
            "/thresholds/profile",
            "/thresholds/zones",
            "/strength",
            "/compare",
            "/notes");

    @TempDir
    static Path folder;

    private static Path dump(int schema) throws IOException {
        Path file = folder.resolve(schema + ".sql");
        try (InputStream packed = MigrationTest.class.getResourceAsStream(DUMP.formatted(schema))) {
            Files.copy(new GZIPInputStream(packed), file);
        }
        file.toFile().setReadable(true, false);
        folder.toFile().setExecutable(true, false);
        return file;
    }

    private static Map<String, Object> kept(JdbcTemplate sql, int schema) {
        Map<String, Object> kept = new LinkedHashMap<>();
        List<String> queries = new ArrayList<>(KEPT);
        if (schema >= 40) queries.addAll(KEPT_SINCE);
        for (String query : queries) kept.put(query, sql.queryForMap(query).toString());
        return kept;
    }

    @ParameterizedTest
    @ValueSource(ints = {8, 40})
    void everythingOfThenIsThereAndOpensToday(int schema) throws IOException {
        String database = Running.DATABASE.load("then" + schema, dump(schema));
        JdbcTemplate sql = new JdbcTemplate(new DriverManagerDataSource(database, "pemblar", ""));
        assertThat(version(sql)).isEqualTo(schema);
        Map<String, Object> before = kept(sql, schema);
        int port = PrivateDatabase.freePort();
        try (ConfigurableApplicationContext application =
                new SpringApplication(PemblarApplication.class).run(Running.arguments(database, port, false))) {
            assertThat(version(sql)).isGreaterThan(45);
            assertThat(kept(sql, schema)).isEqualTo(before);
            String[] names = {"jonna", "sefa", "kasper"};
            for (int athlete = 1; athlete <= names.length; athlete++)
                opens(new Person("http://127.0.0.1:" + port), names[athlete - 1], athlete, sql);
            Person coach = new Person("http://127.0.0.1:" + port).signIn("oda@pemblar.example", "pemblar-demo");
            assertThat(coach.get("/roster").body())
                    .as("links of then stand")
                    .contains("Jonna Thale")
                    .contains("Kasper Odell");
            assertThat(coach.get("/a/1/board").statusCode()).isEqualTo(200);
            for (long draft : sql.queryForList("select id from session where draft and athlete_id = 2", Long.class))
                assertThat(coach.get("/a/2/sessions/" + draft).statusCode())
                        .as("a draft is the coach's to see")
                        .isEqualTo(200);
        }
    }

    private static void opens(Person person, String name, int athlete, JdbcTemplate sql) {
        person.signIn(name + "@pemblar.example", "pemblar-demo");
        for (String page : PAGES) {
            var answer = person.get("/a/" + athlete + page);
            assertThat(answer.statusCode()).as(name + page).isEqualTo(200);
            assertThat(answer.uri().getPath()).as("signed in").endsWith(page);
        }
        for (long session : sql.queryForList(
                "select id from session where athlete_id = ? and deleted_at is null and not draft"
                        + " order by recording_id nulls last, day desc limit 8",
                Long.class,
                athlete))
            assertThat(person.get("/a/" + athlete + "/sessions/" + session).statusCode())
                    .as("session " + session)
                    .isEqualTo(200);
    }

    private static int version(JdbcTemplate sql) {
        return sql.queryForObject(
                "select max(version::int) from flyway_schema_history where success and version is not null",
                Integer.class);
    }
}
