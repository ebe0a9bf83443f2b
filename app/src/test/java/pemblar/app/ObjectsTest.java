package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.robothy.s3.rest.LocalS3;
import com.robothy.s3.rest.bootstrap.LocalS3Mode;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.objects.ObjectLost;
import pemblar.app.objects.ObjectStore;
import pemblar.app.recording.bytes.Moving;
import software.amazon.awssdk.auth.credentials.AwsBasicCredentials;
import software.amazon.awssdk.auth.credentials.StaticCredentialsProvider;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;

/** Recordings in a store of objects behave as those in the database; while it is away, all else goes on. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class ObjectsTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private static final Moving MOVING = Running.APPLICATION.getBean(Moving.class);
    private static final ObjectStore STORE = Running.APPLICATION.getBean(ObjectStore.class);
    private static LocalS3 server;
    private static Person person;
    private static long athlete;
    private static List<Long> recordings;

    @BeforeAll
    static void begin() {
        server = LocalS3.builder()
                .port(Running.OBJECTS)
                .mode(LocalS3Mode.IN_MEMORY)
                .build();
        server.start();
        try (S3Client client = S3Client.builder()
                .endpointOverride(URI.create("http://127.0.0.1:" + Running.OBJECTS))
                .region(Region.US_EAST_1)
                .forcePathStyle(true)
                .credentialsProvider(
                        StaticCredentialsProvider.create(AwsBasicCredentials.create("test", "secret of a test")))
                .httpClient(UrlConnectionHttpClient.create())
                .build()) {
            client.createBucket(r -> r.bucket("pemblar"));
        }
        person = new Person(Running.ADDRESS).signUp("objects@pemblar.example", "ride");
        athlete = Long.parseLong(person.get("/").uri().getPath().replaceAll("\\D", ""));
        person.get("/a/" + athlete + "/sessions");
        List<byte[]> files = SQL.queryForList(
                "select original from recording_data join recording r on r.id = recording_id where r.athlete_id = 1 and"
                        + " mean_watts is not null and deleted_at is null order by day desc limit 3",
                byte[].class);
        for (byte[] file : files)
            person.upload("/a/" + athlete + "/sessions/upload", Map.of("ride" + file.length + ".fit", file));
        Eventually.holds(Duration.ofSeconds(30), () -> ids().size() == 3);
        recordings = ids();
    }

    private static List<Long> ids() {
        return SQL.queryForList("select id from recording where athlete_id = ? order by id", Long.class, athlete);
    }

    private static Map<String, Object> row(long recording) {
        return SQL.queryForMap(
                "select place, original is null as without, loads::text, bests::text, load_points, mean_watts from"
                        + " recording_data join recording r on r.id = recording_id where r.id = ?",
                recording);
    }

    private static String session(long recording) {
        return "/a/" + athlete + "/sessions/"
                + SQL.queryForObject("select id from session where recording_id = ?", Long.class, recording);
    }

    private static byte[] original(long recording) {
        return SQL.queryForObject(
                "select original from recording_data where recording_id = ?", byte[].class, recording);
    }

    private static String problems(long recording) {
        return SQL.queryForObject("select problems from recording where id = ?", String.class, recording);
    }

    private static void adopt(String watts) {
        person.get("/a/" + athlete + "/thresholds");
        person.post("/a/" + athlete + "/thresholds/adopt", Map.of("THRESHOLD_POWER", watts, "from", "2020-01-01"));
        Eventually.holds(
                Duration.ofSeconds(90),
                () -> SQL.queryForObject(
                                "select count(*) from recomputation where athlete_id = ? and done < total",
                                Integer.class,
                                athlete)
                        == 0);
    }

    @Test
    @Order(1)
    void whatIsMovedOutIsReadComputedAndMendedAsBeforeAndComesBackWhole() {
        long one = recordings.get(0);
        byte[] file = original(one);
        adopt("250");
        Map<String, Object> computed = row(one);
        assertThat(computed.get("load_points")).isNotNull();
        MOVING.move(one, true);
        assertThat(row(one)).containsEntry("place", "OBJECTS").containsEntry("without", true);
        assertThat(STORE.get("recordings/" + one + "/original")).hasValue(file);
        assertThat(person.get(session(one)).statusCode()).isEqualTo(200);
        assertThat(person.bytes(session(one) + "/original")).isEqualTo(file);
        adopt("300");
        assertThat(row(one).get("load_points")).isNotEqualTo(computed.get("load_points"));
        adopt("250");
        assertThat(row(one).get("load_points")).isEqualTo(computed.get("load_points"));
        person.get(session(one));
        person.post(session(one) + "/mend", Map.of("what", "TRIM", "from", "0", "to", "600", "reason", "left on"));
        assertThat(row(one).get("mean_watts")).isNotEqualTo(computed.get("mean_watts"));
        person.post(session(one) + "/undo", Map.of());
        assertThat(row(one).get("mean_watts")).isEqualTo(computed.get("mean_watts"));
        assertThat(row(one)).as("nothing wrote the bytes back").containsEntry("place", "OBJECTS");

        MOVING.move(one, false);
        assertThat(row(one)).containsEntry("place", "DATABASE").containsEntry("without", false);
        assertThat(original(one)).isEqualTo(file);
        cleared(one);
    }

    /** Nobody reads it any more after a minute. */
    private static void cleared(long recording) {
        SQL.update("update object_going set since = since - interval '2 minutes' where recording_id = ?", recording);
        MOVING.clear();
        assertThat(STORE.get("recordings/" + recording + "/original")).isEmpty();
        assertThat(STORE.get("recordings/" + recording + "/channels")).isEmpty();
        assertThat(SQL.queryForObject(
                        "select count(*) from object_going where recording_id = ?", Integer.class, recording))
                .isZero();
    }

    @Test
    @Order(2)
    void whatGoesForGoodGoesFromTheStoreToo() {
        long two = recordings.get(1);
        MOVING.move(two, true);
        MOVING.move(two, true);
        SQL.update("update session set recording_id = null where recording_id = ?", two);
        SQL.update("delete from recording where id = ?", two);
        cleared(two);
    }

    @Test
    @Order(3)
    void oneThatIsLostKeepsNoOtherFromComingBack() throws IOException {
        long lost = recordings.get(0);
        long whole = recordings.get(2);
        MOVING.move(lost, true);
        MOVING.move(whole, true);
        String original = "recordings/" + lost + "/original";
        byte[] content = STORE.get(original).orElseThrow();
        STORE.delete(original);
        assertThatThrownBy(() -> MOVING.moveAll(false, () -> true))
                .isInstanceOf(ObjectLost.class)
                .hasMessage("1 recording does not lie in the store as put there, and could not be moved: " + lost);
        assertThat(row(lost)).containsEntry("place", "OBJECTS");
        assertThat(row(whole)).containsEntry("place", "DATABASE");
        Map<String, byte[]> archive = Zips.archive(SQL, "objects@pemblar.example");
        assertThat(archive.keySet().stream().filter(f -> f.startsWith("recordings/")))
                .as("the archive of a person comes all the same")
                .hasSize(1);
        assertThat(new String(archive.get("index.html"), StandardCharsets.UTF_8))
                .containsPattern("Lost, and not in it: \\S+ " + lost + " ");
        STORE.put(original, content);
        MOVING.moveAll(false, () -> true);
        assertThat(row(lost)).containsEntry("place", "DATABASE");
        assertThat(original(lost)).isEqualTo(content);
    }

    /** Loads come from the heart rate alone, or as they were. */
    private static void byHeart(boolean alone) {
        SQL.update(
                "update recording set chosen_source = ?, load_source = ? where athlete_id = ?",
                alone ? "HEART_RATE" : null,
                alone ? "HEART_RATE" : "POWER",
                athlete);
    }

    @Test
    @Order(4)
    void whatIsNotWhatItWasIsSaidAndNeitherShownNorTakenBack() {
        long three = recordings.get(2);
        MOVING.move(three, true);
        String channels = "recordings/" + three + "/channels";
        byte[] whole = STORE.get(channels).orElseThrow();
        STORE.put(channels, new byte[] {1, 2, 3});
        assertThat(person.get(session(three)).statusCode()).isEqualTo(503);
        assertThatThrownBy(() -> MOVING.move(three, false)).isInstanceOf(DataAccessException.class);
        assertThat(row(three)).containsEntry("place", "OBJECTS");
        Object before = row(three).get("load_points");
        Object other = row(recordings.get(0)).get("load_points");
        adopt("330");
        assertThat(row(recordings.get(0)).get("load_points"))
                .as("one that is lost keeps no other from counting anew")
                .isNotEqualTo(other);
        assertThat(row(three).get("load_points")).isEqualTo(before);
        assertThat(problems(three)).contains("could not be computed anew when a threshold changed");
        String heart = "/a/" + athlete + "/thresholds/adopt?from=2020-01-01&THRESHOLD_HEART_RATE=";
        byHeart(true);
        assertThat(Person.main(person.get(heart + 151).body()))
                .as("what is asked of the heart rate is told of all that can be read")
                .contains("The data of 1 more session are lost: it keeps its load.");
        byHeart(false);
        byte[] damaged = STORE.get(channels).orElseThrow();
        STORE.put(channels, whole);
        adopt("340");
        assertThat(row(three).get("load_points")).isNotEqualTo(before);
        assertThat(problems(three)).as("it counts by the new values now").isEmpty();
        STORE.put(channels, damaged);
        server.shutdown();
        long begun = System.nanoTime();
        assertThat(person.get(session(three)).body()).contains("reach");
        assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(30));
        for (String page : List.of("today", "board", "sessions", "progress"))
            assertThat(person.get("/a/" + athlete + "/" + page).statusCode())
                    .as(page)
                    .isEqualTo(200);
    }
}
