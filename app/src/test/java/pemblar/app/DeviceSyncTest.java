package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.formats.fit.FitWorkout;
import pemblar.formats.fit.FitZones;

/** A device with a token: fetches its files, sends what it recorded, and hears why when its token is revoked. */
@Tag("http")
class DeviceSyncTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final HttpClient client = HttpClient.newHttpClient();

    private HttpResponse<byte[]> ask(String token, String path, byte[] body) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(Running.ADDRESS + "/device" + path))
                .header("Authorization", "Bearer " + token);
        if (body != null)
            request.header("Content-Type", "application/octet-stream").POST(BodyPublishers.ofByteArray(body));
        return client.send(request.build(), BodyHandlers.ofByteArray());
    }

    @Test
    void aDeviceSyncsUntilItsTokenIsRevokedAndAgainWhenItIsAllowed() throws IOException, InterruptedException {
        Person person = new Person(Running.ADDRESS).signUp("ivar@pemblar.example", "ride");
        String athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        long id = Long.parseLong(athlete.substring(3));
        person.post(
                athlete + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "240", "from", LocalDate.now().toString()));
        person.post(
                athlete + "/sessions",
                Map.of(
                        "workout",
                        "-11",
                        "day",
                        LocalDate.now(java.time.ZoneId.of("Europe/Dublin")).toString()));
        person.get(athlete + "/bench");
        Matcher token = Pattern.compile("<code>([^<]+)</code>")
                .matcher(person.post(athlete + "/bench/devices", Map.of("name", "handlebar"))
                        .body());
        assertTrue(token.find());
        assertEquals(
                0,
                SQL.queryForObject("select count(*) from device where token_sha256 = ?", Integer.class, token.group(1)),
                "the token itself is not kept");

        String names = new String(ask(token.group(1), "/files", null).body());
        Matcher workout = Pattern.compile("workout-\\d+\\.fit").matcher(names);
        assertTrue(workout.find() && names.contains("zones-ride.fit"), names);
        byte[] file = ask(token.group(1), "/files/" + workout.group(), null).body();
        assertEquals("Four by ten", FitWorkout.read(file).workout().name());
        assertEquals(
                240,
                FitZones.read(ask(token.group(1), "/files/zones-ride.fit", null).body())
                        .zones()
                        .orElseThrow()
                        .thresholdWatts());
        assertEquals(404, ask(token.group(1), "/files/other.fit", null).statusCode());
        byte[] activity = HeadUnit.follow(
                file,
                new Body(Sport.RIDE, 245, 20_000, 4, 50, 188, 70),
                java.time.Instant.now().minusSeconds(8000),
                new Random(4),
                Faults.NONE);

        long device = SQL.queryForObject("select max(id) from device", Long.class);
        person.get(athlete + "/bench");
        person.post(athlete + "/bench/devices/" + device + "/revoke", Map.of("revoked", "true"));
        HttpResponse<byte[]> refused = ask(token.group(1), "/activities", activity);
        assertEquals(403, refused.statusCode());
        assertTrue(new String(refused.body()).contains("Nothing is lost"));
        person.post(athlete + "/bench/devices/" + device + "/revoke", Map.of("revoked", "false"));
        assertEquals(202, ask(token.group(1), "/activities", activity).statusCode());
        assertEquals(202, ask(token.group(1), "/activities", activity).statusCode());
        Eventually.holds(
                Duration.ofSeconds(60),
                () -> SQL.queryForObject(
                                "select count(*) from import_file where athlete_id = ? and state <> 'WAITING'",
                                Integer.class,
                                id)
                        == 2);
        assertEquals(
                1,
                SQL.queryForObject("select count(*) from recording where athlete_id = ?", Integer.class, id),
                "the same file twice is one recording");
        assertEquals(401, ask("nonsense", "/files", null).statusCode());
    }

    @Test
    void zonesThatChangedMakeTheDeviceOutOfDateUntilItSyncs() {
        Person person = new Person(Running.ADDRESS).signUp("runa.bench@pemblar.example", "ride");
        String athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.post(
                athlete + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "240",
                        "from",
                        LocalDate.now().minusDays(3).toString()));
        String synced = person.post(athlete + "/bench/sync", Map.of()).body();
        assertTrue(synced.contains("files are on the device"), synced);
        assertTrue(!person.get(athlete + "/bench").body().contains("out of date"));
        person.post(
                athlete + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "252",
                        "from",
                        LocalDate.now().minusDays(1).toString()));
        assertTrue(person.get(athlete + "/bench").body().contains("The zones on the device are out of date"));
        person.post(athlete + "/bench/sync", Map.of());
        assertTrue(!person.get(athlete + "/bench").body().contains("out of date"));
    }
}
