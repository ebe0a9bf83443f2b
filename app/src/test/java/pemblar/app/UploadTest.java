package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
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

@Tag("http")
class UploadTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private static byte[] activity(Sport sport, Instant start, int seed) {
        Thresholds values = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 240).with(Quantity.THRESHOLD_SPEED, 4);
        byte[] workout = FitWorkouts.of(
                        "Test", Shorthand.read("20min 70%", sport).workout().orElseThrow(), values)
                .write(1, start);
        return HeadUnit.follow(
                workout, new Body(sport, 240, 18_000, 4, 50, 188, 66), start, new Random(seed), Faults.NONE);
    }

    private static String gpx(Instant start) {
        StringBuilder text = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"test\" "
                + "xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><name>Mill race</name><type>ride</type><trkseg>");
        for (int i = 0; i < 300; i++)
            text.append("<trkpt lat=\"")
                    .append(50 + i * 0.00005)
                    .append("\" lon=\"7\"><ele>100</ele><time>")
                    .append(start.plusSeconds(i))
                    .append("</time><extensions><power>200</power></extensions></trkpt>");
        return text.append("</trkseg></trk></gpx>").toString();
    }

    private static List<Map<String, Object>> files(long athlete) {
        return SQL.queryForList(
                "select file_name, state, message, session_id from import_file where athlete_id = ? order by id",
                athlete);
    }

    private static long newAthlete(Person person, String email) {
        person.signUp(email, "ride");
        return SQL.queryForObject(
                "select a.id from athlete a join account c on c.id = a.account_id where c.email = ?",
                Long.class,
                email);
    }

    private static void untilRead(long athlete, int count) {
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> SQL.queryForObject(
                                "select count(*) from import_file where athlete_id = ? and state <> 'WAITING'",
                                Integer.class,
                                athlete)
                        == count);
    }

    @Test
    void eachFileOfABatchHasItsOwnEnd() {
        Person person = new Person(Running.ADDRESS);
        long athlete = newAthlete(person, "batch@pemblar.example");
        person.get("/a/" + athlete + "/sessions");
        byte[] ride = activity(Sport.RIDE, Instant.parse("2026-04-01T08:00:00Z"), 1);
        Map<String, byte[]> batch = new java.util.LinkedHashMap<>();
        batch.put("one.fit", ride);
        batch.put("walk.gpx", gpx(Instant.parse("2026-04-02T08:00:00Z")).getBytes(StandardCharsets.UTF_8));
        batch.put(
                "cut.gpx",
                gpx(Instant.parse("2026-04-03T08:00:00Z")).substring(0, 9000).getBytes(StandardCharsets.UTF_8));
        batch.put("song.mp3", "no recording".getBytes(StandardCharsets.UTF_8));
        assertEquals(
                200, person.upload("/a/" + athlete + "/sessions/upload", batch).statusCode());
        untilRead(athlete, 4);
        person.upload("/a/" + athlete + "/sessions/upload", Map.of("again.fit", ride));
        untilRead(athlete, 5);
        var files = files(athlete);
        assertEquals(
                List.of("DONE", "DONE", "DONE", "REFUSED", "KNOWN"),
                files.stream()
                        .sorted(java.util.Comparator.comparing(
                                f -> List.of("one.fit", "walk.gpx", "cut.gpx", "song.mp3", "again.fit")
                                        .indexOf(f.get("file_name"))))
                        .map(f -> f.get("state"))
                        .toList());
        assertEquals(
                3, SQL.queryForObject("select count(*) from session where athlete_id = ?", Integer.class, athlete));
        assertEquals(
                List.of("Mill race", "Mill race", "Morning ride"),
                SQL.queryForList(
                        "select title from session where athlete_id = ? order by title", String.class, athlete),
                "what a file calls it is its title");
        String list = person.get("/a/" + athlete + "/sessions").body();
        assertTrue(list.contains("already here")
                && list.contains("neither a FIT nor a GPX file")
                && list.contains("breaks off"));
        Object session = files.stream()
                .filter(f -> f.get("file_name").equals("one.fit"))
                .findFirst()
                .orElseThrow()
                .get("session_id");
        assertArrayEquals(ride, person.bytes("/a/" + athlete + "/sessions/" + session + "/original"));
    }

    @Test
    void theSameFileOfTwoAthletesIsTwoSessions() {
        byte[] ride = activity(Sport.RIDE, Instant.parse("2026-04-05T08:00:00Z"), 2);
        for (String email : List.of("first@pemblar.example", "second@pemblar.example")) {
            Person person = new Person(Running.ADDRESS);
            long athlete = newAthlete(person, email);
            person.get("/a/" + athlete + "/sessions");
            person.upload("/a/" + athlete + "/sessions/upload", Map.of("ride.fit", ride));
            untilRead(athlete, 1);
            assertEquals("DONE", files(athlete).get(0).get("state"));
        }
    }

    @Test
    void aRecordingIsMatchedToThePlanOfItsDayAndSportOnly() {
        Person person = new Person(Running.ADDRESS);
        long athlete = newAthlete(person, "match@pemblar.example");
        LocalDate day = LocalDate.of(2026, 4, 10);
        SQL.update(
                "insert into session (athlete_id, day, sport, title, structure) values (?, ?, 'RIDE', "
                        + "'Planned ride', cast(? as jsonb))",
                athlete,
                day,
                "{\"version\":1,\"sport\":\"ride\",\"quantity\":\"power\","
                        + "\"elements\":[{\"length\":{\"seconds\":1200},\"target\":{\"kind\":\"open\"}}]}");
        person.get("/a/" + athlete + "/sessions");
        person.upload(
                "/a/" + athlete + "/sessions/upload",
                Map.of("run.fit", activity(Sport.RUN, Instant.parse("2026-04-10T08:00:00Z"), 3)));
        untilRead(athlete, 1);
        assertEquals(
                0,
                SQL.queryForObject(
                        "select count(*) from session where athlete_id = ? and structure is not null and "
                                + "recording_id is not null",
                        Integer.class,
                        athlete));
        person.upload(
                "/a/" + athlete + "/sessions/upload",
                Map.of("ride.fit", activity(Sport.RIDE, Instant.parse("2026-04-10T16:00:00Z"), 4)));
        untilRead(athlete, 2);
        assertEquals(
                "Planned ride",
                SQL.queryForObject(
                        "select title from session where athlete_id = ? and structure is not null and "
                                + "recording_id is not null",
                        String.class,
                        athlete));
        assertEquals(
                2, SQL.queryForObject("select count(*) from session where athlete_id = ?", Integer.class, athlete));
    }

    @Test
    void aRecordingWithoutAnyThresholdOpensAndSaysWhatIsMissing() {
        Person person = new Person(Running.ADDRESS);
        long athlete = newAthlete(person, "bare@pemblar.example");
        person.get("/a/" + athlete + "/sessions");
        person.upload(
                "/a/" + athlete + "/sessions/upload",
                Map.of("ride.fit", activity(Sport.RIDE, Instant.parse("2026-04-11T08:00:00Z"), 5)));
        untilRead(athlete, 1);
        String page = person.get(
                        "/a/" + athlete + "/sessions/" + files(athlete).get(0).get("session_id"))
                .body();
        assertTrue(page.contains("Zones follow from a threshold") && page.contains("20:00"));
        assertTrue(person.get("/a/" + athlete + "/progress").body().contains("have no load"));
        assertTrue(person.get(
                        "/a/" + athlete + "/sessions/" + files(athlete).get(0).get("session_id") + "/channels")
                .body()
                .startsWith("{\"sport\":\"ride\",\"seconds\":1200"));
    }
}
