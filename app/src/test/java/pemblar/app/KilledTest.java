package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/**
 * A second application is killed, hard, at a seeded moment while files come in, thresholds change, sessions are deleted
 * and mails are written; then it is started again. What was answered is there once, the rest wholly or not at all, and
 * what follows from it is computed. {@code -Dkills=100} kills more often than CI does.
 */
@Tag("http")
class KilledTest {
    private static final int KILLS = Integer.getInteger("kills", 1);
    private static final long SEED = Long.getLong("killsSeed", 0);
    private static final int FILES = 8;
    private static final int LATEST_MILLIS = 4000;
    private static final LocalDate FIRST = LocalDate.of(2025, 1, 1);
    private static final String ADDRESS = "kill@pemblar.example";

    /** What the application has said that it did. */
    private static final class Answered {
        private final Map<String, Boolean> files = new ConcurrentHashMap<>();
        private final Map<Long, Boolean> deleted = new ConcurrentHashMap<>();
        private int mails;
        private int mailsAsked;
    }

    private final Answered answered = new Answered();
    private JdbcTemplate sql;
    private Person person;

    private static Process start(String database, int port) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                System.getProperty("java.home") + "/bin/java",
                "-Xmx512m",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                PemblarApplication.class.getName()));
        command.addAll(Arrays.asList(Running.arguments(database, port, false)));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.to(new File("target/killed.log")))
                .start();
        Person visitor = new Person("http://127.0.0.1:" + port);
        Eventually.holds(Duration.ofMinutes(5), () -> {
            try {
                return visitor.get("/sign-in").statusCode() == 200;
            } catch (RuntimeException e) {
                return false;
            }
        });
        return process;
    }

    private static Map<String, byte[]> rides(int round) {
        byte[] workout = FitWorkouts.of(
                        "Test",
                        Shorthand.read("12min 60%", Sport.RIDE).workout().orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250))
                .write(1, Instant.EPOCH.plusSeconds(1_750_000_000L));
        Body body = new Body(Sport.RIDE, 250, 20_000, 4, 50, 185, 70);
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (int i = 0; i < FILES; i++) {
            int number = round * FILES + i;
            Instant begun = FIRST.plusDays(number % 500).atTime(6, 0).toInstant(java.time.ZoneOffset.UTC);
            files.put(
                    "ride-" + number + ".fit",
                    HeadUnit.follow(
                            workout, body, begun.plusSeconds(7200L * (number / 500)), new Random(number), Faults.NONE));
        }
        return files;
    }

    @Test
    void whatWasAnsweredIsThereOnceAndTheRestWhollyOrNot() throws Exception {
        String database = Running.DATABASE.create("killed");
        int port = PrivateDatabase.freePort();
        Process running = start(database, port);
        sql = new JdbcTemplate(new DriverManagerDataSource(database, "pemblar", ""));
        person = new Person("http://127.0.0.1:" + port).signUp(ADDRESS, "ride");
        try {
            for (int round = 0; round < KILLS; round++) {
                Random random = new Random(SEED + round);
                Thread working = work(round, random);
                await(round, random);
                running.destroyForcibly().waitFor();
                working.join();
                running = start(database, port);
                settled();
                asItWasAnswered(round);
            }
        } finally {
            running.destroyForcibly().waitFor();
        }
    }

    /** The first kill comes in the middle of an import; for the others the moment itself is what is tried. */
    private void await(int round, Random random) throws InterruptedException {
        if (round > 0) Thread.sleep(random.nextInt(LATEST_MILLIS));
        else Eventually.holds(Duration.ofMinutes(2), () -> count("select count(*) from recording") >= 1);
    }

    /** Somebody who uses it, until it does not answer any more. */
    private Thread work(int round, Random random) {
        Map<String, byte[]> files = rides(round);
        List<Long> sessions = sql.queryForList(
                "select id from session where deleted_at is null and recording_id is not null order by id", Long.class);
        Thread thread = new Thread(() -> {
            try {
                person.get("/a/1/sessions");
                upload(files);
                adopt(200 + round % 100);
                if (!sessions.isEmpty()) delete(sessions.get(random.nextInt(sessions.size())));
                mail();
                adopt(201 + round % 100);
            } catch (RuntimeException e) {
                // it was killed: what was not answered may be there or not
            }
        });
        thread.start();
        return thread;
    }

    private void upload(Map<String, byte[]> files) {
        for (String name : files.keySet()) answered.files.put(name, false);
        if (person.upload("/a/1/sessions/upload", files).statusCode() == 200)
            for (String name : files.keySet()) answered.files.put(name, true);
    }

    private void adopt(int watts) {
        person.get("/a/1/thresholds");
        person.post(
                "/a/1/thresholds/adopt", Map.of("THRESHOLD_POWER", String.valueOf(watts), "from", FIRST.toString()));
    }

    private void delete(long session) {
        answered.deleted.put(session, false);
        if (person.post("/a/1/sessions/delete", Map.of("chosen", String.valueOf(session)))
                        .statusCode()
                == 200) answered.deleted.put(session, true);
    }

    private void mail() {
        sql.update("delete from rate_limit");
        person.get("/forgot");
        answered.mailsAsked++;
        if (person.post("/forgot", Map.of("email", ADDRESS)).body().contains("on its way")) answered.mails++;
    }

    private void settled() {
        Eventually.holds(
                Duration.ofMinutes(5),
                () -> count("select (select count(*) from import_file where state = 'WAITING') + (select count(*) from"
                                + " recomputation where done < total)")
                        == 0);
    }

    private void asItWasAnswered(int round) {
        String which = "kill " + round + ", seed " + (SEED + round);
        assertThat(count("select count(*) from import_file where state <> 'DONE'"))
                .as(which)
                .isZero();
        files(which);
        assertThat(count("select count(*) - count(distinct sha256) from recording"))
                .as(which)
                .isZero();
        assertThat(count("select count(*) from recording r where deleted_at is null and (select count(*) from session"
                        + " s where s.recording_id = r.id and s.deleted_at is null) <> 1"))
                .as("%s: each recording has its session", which)
                .isZero();
        assertThat(count("select count(*) from recording r where deleted_at is not null and exists (select 1 from"
                        + " session s where s.recording_id = r.id and s.deleted_at is null)"))
                .as("%s: what is deleted is wholly deleted", which)
                .isZero();
        answered.deleted.forEach((session, said) -> {
            if (said)
                assertThat(count("select count(*) from session where deleted_at is null and id = " + session))
                        .as("%s: deleted stays deleted", which)
                        .isZero();
        });
        computed(which);
        assertThat(count(
                        "select count(*) from mail where recipient = '" + ADDRESS + "' and subject ilike '%password%'"))
                .as("%s: mails", which)
                .isBetween(answered.mails, answered.mailsAsked);
    }

    private void files(String which) {
        Map<String, Integer> kept = new HashMap<>();
        for (String name : sql.queryForList("select file_name from recording", String.class))
            kept.merge(name, 1, Integer::sum);
        TreeSet<String> wrong = new TreeSet<>();
        answered.files.forEach((name, said) -> {
            int times = kept.getOrDefault(name, 0);
            if (times > 1 || said && times == 0) wrong.add(name + " " + times + " times");
        });
        assertThat(wrong).as(which).isEmpty();
    }

    /** Every ride of the span counts by the threshold that holds, and has its curves. */
    private void computed(String which) {
        assertThat(count("select count(*) from recording r join dated_value v on v.athlete_id = r.athlete_id and"
                        + " v.quantity = 'THRESHOLD_POWER' where r.deleted_at is null and (r.intensity is null or"
                        + " abs(r.intensity - r.equivalent_watts / v.amount) > 1e-9)"))
                .as("%s: computed by the threshold that holds", which)
                .isZero();
        assertThat(count("select count(*) from recording r where deleted_at is null and not exists (select 1 from"
                        + " effort_curve c where c.recording_id = r.id)"))
                .as("%s: with curves", which)
                .isZero();
    }

    private int count(String query) {
        return sql.queryForObject(query, Integer.class);
    }
}
