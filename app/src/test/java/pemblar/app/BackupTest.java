package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A backup of the running application, brought into an empty machine by the script that ships. */
@Tag("http")
class BackupTest {
    private static final Path HOME = home();
    private static Path work;
    private static Path file;
    private static Path empty;
    private static int port;
    private static Map<String, Long> before;
    private static Map<String, Long> after;

    private static Path home() {
        Path here = Path.of("").toAbsolutePath();
        while (!Files.exists(here.resolve("pemblar"))) here = here.getParent();
        return here;
    }

    private record Ran(int code, String said) {}

    @BeforeAll
    static void backUp() throws IOException, InterruptedException {
        assertThat(Running.APPLICATION.isRunning()).isTrue();
        work = Files.createTempDirectory("pemblar-backup");
        Files.setPosixFilePermissions(work, PosixFilePermissions.fromString("rwxr-xr-x")); // PostgreSQL is not root
        file = work.resolve("all.tar.gz");
        empty = work.resolve("empty");
        port = PrivateDatabase.freePort();
        before = rows(here());
        Ran ran = run(
                Map.of(
                        "PEMBLAR_DATABASE",
                        "jdbc:postgresql://127.0.0.1:" + Running.DATABASE.port + "/pemblar",
                        "PEMBLAR_DATABASE_USER",
                        "pemblar",
                        "PEMBLAR_KEY",
                        Running.KEY,
                        "PEMBLAR_DATA",
                        work.resolve("own").toString()),
                "backup",
                file.toString());
        after = rows(here());
        assertThat(ran.code()).as(ran.said()).isZero();
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .as("it holds the key")
                .isEqualTo("rw-------");
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        run(onEmpty(), "stop");
    }

    private static Map<String, String> onEmpty() {
        return Map.of("PEMBLAR_DATA", empty.toString(), "PEMBLAR_DATABASE_PORT", String.valueOf(port));
    }

    private static Ran run(Map<String, String> settings, String... words) throws IOException, InterruptedException {
        List<String> command =
                new ArrayList<>(List.of("bash", HOME.resolve("pemblar").toString()));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        Path said = Files.createTempFile("said", ".txt");
        builder.redirectOutput(said.toFile()); // a server that stays would hold a pipe open
        builder.environment().putAll(settings);
        Process process = builder.start();
        assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
        return new Ran(process.exitValue(), Files.readString(said));
    }

    private static JdbcTemplate here() {
        return new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    }

    /** The application goes on while it is backed up, and may write its daily mail just then. */
    private static void isBetween(Map<String, Long> rows) {
        assertThat(rows.keySet()).isEqualTo(before.keySet());
        rows.forEach((table, count) -> {
            long one = before.get(table);
            long other = after.get(table);
            assertThat(count).as(table).isBetween(Math.min(one, other), Math.max(one, other));
        });
    }

    private static Map<String, Long> rows(JdbcTemplate sql) {
        Map<String, Long> rows = new TreeMap<>();
        for (String table : sql.queryForList(
                "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE"
                        + " TABLE' and table_name not like 'spring_session%' and table_name not in ('scheduled_tasks',"
                        + " 'rate_limit', 'morning_state')",
                String.class)) rows.put(table, sql.queryForObject("select count(*) from " + table, Long.class));
        return rows;
    }

    @Test
    void everythingIsThereAgainAndNothingIsWrittenOver() throws IOException, InterruptedException {
        Ran first = run(onEmpty(), "restore", file.toString());
        assertThat(first.code()).as(first.said()).isZero();
        JdbcTemplate there = new JdbcTemplate(
                new DriverManagerDataSource("jdbc:postgresql://127.0.0.1:" + port + "/pemblar", "pemblar", ""));
        isBetween(rows(there));
        String originals = "select md5(string_agg(md5(original), '' order by recording_id)) from recording_data";
        assertThat(there.queryForObject(originals, String.class))
                .isEqualTo(here().queryForObject(originals, String.class));

        List<String> keys =
                List.of(Files.readString(empty.resolve("key")).strip().split(","));
        assertThat(keys).as("the key that came, and the one that was there").hasSize(2);
        assertThat(keys.get(0)).isEqualTo(Running.KEY);

        Ran again = run(onEmpty(), "restore", file.toString());
        assertThat(again.code()).isEqualTo(1);
        assertThat(again.said()).contains("accounts are here already").contains("--replace");
        assertThat(run(onEmpty(), "restore", file.toString(), "--replace").code())
                .isZero();
        assertThat(Files.readString(empty.resolve("key")).strip().split(","))
                .as("once more")
                .containsExactlyElementsOf(keys);
        assertThat(there.queryForList("select datname from pg_database", String.class))
                .contains("pemblar", "pemblar_before");

        Path broken = work.resolve("broken.tar.gz");
        Files.write(broken, new byte[] {1, 2, 3});
        assertThat(run(onEmpty(), "restore", broken.toString()).said()).contains("is no backup of Pemblar");
        assertThat(run(onEmpty(), "backup", file.toString()).said()).contains("is there already");
    }

    @Test
    void itSaysHowItIs() {
        Person nobody = new Person(Running.ADDRESS);
        assertThat(nobody.get("/alive").body()).isEqualTo("alive");
        assertThat(nobody.get("/ready").body()).isEqualTo("ready");
        assertThat(nobody.get("/metrics").body())
                .containsPattern("(?m)^pemblar_jobs_waiting\\{kind=\"purge\"} \\d+$")
                .containsPattern("(?m)^pemblar_job_oldest_seconds\\{kind=\"mornings\"} \\d+$")
                .containsPattern("(?m)^pemblar_requests_total\\{answer=\"2xx\"} [1-9]\\d*$")
                .containsPattern("(?m)^pemblar_request_seconds_bucket\\{le=\"0.1\"} \\d+$")
                .containsPattern("(?m)^pemblar_database_connections\\{state=\"used\"} \\d+$")
                .containsPattern("(?m)^pemblar_uploads_waiting \\d+$")
                .containsPattern("(?m)^pemblar_mails_waiting \\d+$")
                .containsPattern("(?m)^pemblar_memory_used_bytes \\d+$")
                .doesNotContain("@");
    }
}
