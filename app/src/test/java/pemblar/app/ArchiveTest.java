package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** All data of a person in one file: theirs whole, nobody else's, and no keys. */
@Tag("http")
class ArchiveTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private static String text(Map<String, byte[]> files, String name) {
        return new String(files.get(name), StandardCharsets.UTF_8);
    }

    @Test
    void aDemoAthletesYearsAreThereToTheLastRecording() throws IOException {
        Map<String, byte[]> files = Zips.archive(sql, "sefa@pemblar.example");
        int sessions = sql.queryForObject(
                "select count(*) from session where athlete_id = 2 and not draft and" + " deleted_at is null",
                Integer.class);
        int recordings = sql.queryForObject(
                "select count(*) from recording where athlete_id = 2 and deleted_at is null", Integer.class);
        assertThat(text(files, "data/session.jsonl").lines().count()).isEqualTo(sessions);
        assertThat(files.keySet().stream().filter(f -> f.startsWith("recordings/")))
                .hasSize(recordings);
        List<CSVRecord> table = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .get()
                .parse(new StringReader(text(files, "tables/session.csv")))
                .getRecords();
        assertThat(table).hasSize(sessions).allMatch(r -> r.get("athlete_id").equals("2"));
        assertThat(table.stream().map(r -> r.get("title")))
                .containsExactlyElementsOf(sql.queryForList(
                        "select title from session where athlete_id = 2 and not draft and deleted_at is null order by"
                                + " day, id",
                        String.class));
        assertThat(text(files, "index.html"))
                .contains("<h1>Sefa Myrin</h1>")
                .contains("<td>sessions, planned and done</td><td>" + sessions + "</td>")
                .contains("<td>recordings as they came</td><td>" + recordings + "</td>");
        byte[] original = sql.queryForObject(
                "select original from recording_data where recording_id = (select max(id) from recording where"
                        + " athlete_id = 2 and deleted_at is null)",
                byte[].class);
        assertThat(files.values()).anyMatch(bytes -> java.util.Arrays.equals(bytes, original));
        assertThat(text(files, "data/session.jsonl").lines()).allMatch(l -> l.contains("\"athlete_id\":2,"));
        for (String data : files.keySet())
            if (data.startsWith("data/"))
                assertThat(text(files, data)).as(data).doesNotContain("$2a$").doesNotContain("token");
    }

    @Test
    void draftsOfACoachAndPagesOfOthersAreNotInIt() throws IOException {
        Person person = new Person(Running.ADDRESS).signUp("archive@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        for (String length : new String[] {"1h", "2h"}) {
            person.get(base + "/board");
            person.post(
                    base + "/sketch",
                    Map.of(
                            "day",
                            LocalDate.now(ZoneOffset.UTC).plusDays(2).toString(),
                            "sport",
                            "RIDE",
                            "purpose",
                            "EASY",
                            "length",
                            length));
        }
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        sql.update(
                "update session set draft = true where id = (select max(id) from session where athlete_id = ?)",
                athlete);
        Map<String, byte[]> files = Zips.archive(sql, "archive@pemblar.example");
        assertThat(text(files, "data/session.jsonl").lines()).hasSize(1);
        assertThat(text(files, "data/athlete.jsonl").lines()).hasSize(1);
        Map<String, byte[]> coach = Zips.archive(sql, "oda@pemblar.example");
        assertThat(text(coach, "data/session.jsonl")).isEmpty();
        assertThat(text(coach, "data/workout.jsonl")).isNotEmpty();
    }

    @Test
    void itTakesThePassword() {
        Person person = new Person(Running.ADDRESS).signUp("archive.door@pemblar.example", "ride");
        person.get("/account");
        assertThat(person.post("/account/archive", Map.of("present", "guessed it"))
                        .body())
                .contains("it is not the one of this account");
        var answer = person.post("/account/archive", Map.of("present", "a long password"));
        assertThat(answer.headers().firstValue("Content-Type")).contains("application/zip");
        assertThat(answer.headers().firstValue("Content-Disposition").orElse(""))
                .contains("pemblar-20");
    }
}
