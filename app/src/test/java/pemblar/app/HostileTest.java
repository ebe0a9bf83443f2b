package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;

/** What somebody sends who means no good, or mistypes: a sentence, never a fault of ours, and nothing is lost. */
@Tag("http")
class HostileTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String athlete;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("hilde.host@pemblar.example", "ride");
        athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(athlete + "/board");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "9999-12-31",
                "+200000-12-31",
                "-0001-01-01",
                "1200-01-01",
                "2027-02-30",
                "tomorrow",
                "",
                "\u0000"
            })
    void aDayThatCannotBeIsRefusedEverywhere(String day) {
        Map<String, Map<String, String>> changes = Map.of(
                "/sketch",
                Map.of("day", day, "sport", "RIDE", "purpose", "EASY", "length", "1h"),
                "/days/mark",
                Map.of("day", day, "kind", "REST"),
                "/days/shift",
                Map.of("first", day, "by", "1"),
                "/checkin",
                Map.of("day", day, "restingHeartRate", "50"),
                "/proposals/away",
                Map.of("first", day, "last", day, "kind", "ILLNESS"),
                "/season/event",
                Map.of("name", "x", "day", day, "priority", "A"));
        changes.forEach(
                (path, form) -> assertThat(person.post(athlete + path, form).statusCode())
                        .as(path + " " + day)
                        .isLessThan(500));
        assertThat(person.get(athlete + "/today").statusCode()).isEqualTo(200);
        assertThat(person.get(athlete + "/board").statusCode()).isEqualTo(200);
        assertThat(sql.queryForObject(
                        "select count(*) from checkin where athlete_id = ? and day not between ? and ?",
                        Integer.class,
                        Long.parseLong(athlete.replaceAll("\\D", "")),
                        TODAY.minusYears(3),
                        TODAY.plusDays(1)))
                .isZero();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/sign-in?x=%00",
                "/%00",
                "/a/1/../../etc",
                "/a/99999999999999999999/today",
                "/a/1/sessions/-5",
                "/invitation/x",
                "/invitation/%F0%9F%9A%B4",
                "/a/1/board?from=x&to=y",
                "/roster?group=99999999999999999999",
                "/a/1/checkins?day=9999-99-99"
            })
    void addressesThatMeanNothingAreNoFault(String path) {
        assertThat(answer("GET " + path + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n"))
                .isBetween(200, 499);
        if (!path.contains("%00") && !path.contains(".."))
            assertThat(person.get(path).statusCode()).isLessThan(500);
    }

    /** The server refuses these before the application sees them; its own page has another look and no protection. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /%zz HTTP/1.1\r\nHost: localhost",
                "GET /%00 HTTP/1.1\r\nHost: localhost",
                "GET /a/%c0%af/today HTTP/1.1\r\nHost: localhost",
                "GET /x HTTP/1.1\r\nHost: a b"
            })
    void whatTheServerRefusesIsAPageOfOurs(String head) {
        String told = told(head + "\r\nConnection: close\r\n\r\n");
        assertThat(told).startsWith("HTTP/1.1 400");
        assertThat(told).contains("This request can’t be read", "nosniff", "default-src 'none'", "href=\"/\"");
        assertThat(told).doesNotContain("HTTP Status", "Tahoma");
    }

    /** Somebody who is not signed in is turned away before his gigabyte is read. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/device/activities|application/octet-stream",
                "/a/1/sessions/upload|multipart/form-data; boundary=x",
                "/a/1/checkins/file|multipart/form-data; boundary=x",
                "/sign-in|application/x-www-form-urlencoded"
            })
    void aBigBodyFromNobodyIsNotRead(String what) {
        String[] parts = what.split("\\|");
        int code = answer("POST " + parts[0] + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: "
                + parts[1] + "\r\nContent-Length: 1000000000\r\n\r\n");
        assertThat(code).isIn(302, 303, 400, 401, 403, 413);
    }

    private static int answer(String head) {
        return Integer.parseInt(read(head, 12).substring(9, 12));
    }

    private static String told(String head) {
        return read(head, 100_000);
    }

    private static String read(String head, int most) {
        try (Socket socket = new Socket("127.0.0.1", Running.PORT)) {
            socket.setSoTimeout(20_000);
            OutputStream out = socket.getOutputStream();
            out.write(head.getBytes(StandardCharsets.ISO_8859_1));
            out.flush();
            return new String(socket.getInputStream().readNBytes(most), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void textWithANulIsRefusedWithASentence() {
        Person stranger = new Person(Running.ADDRESS);
        stranger.get("/sign-up");
        assertThat(stranger.post(
                                "/sign-up",
                                Map.of(
                                        "email",
                                        "n\u0000@pemblar.example",
                                        "name",
                                        "N\u0000",
                                        "password",
                                        "a long password",
                                        "role",
                                        "ride",
                                        "zone",
                                        "Europe/Dublin"))
                        .statusCode())
                .isLessThan(500);
    }

    @Test
    void aBlankAroundTheAddressDoesNotEscapeTheSignInLimit() {
        String last = "";
        for (int i = 0; i < 14; i++) {
            Person guesser = new Person(Running.ADDRESS);
            guesser.get("/sign-in");
            last = guesser.post(
                            "/sign-in",
                            Map.of(
                                    "username",
                                    " ".repeat(i % 3) + (i % 2 == 0 ? "Blank" : "blank") + ".guess@pemblar.example"
                                            + " ".repeat(i),
                                    "password",
                                    "wrong"))
                    .uri()
                    .toString();
        }
        assertThat(last).endsWith("later");
    }

    @Test
    void aCheckInThatCannotBeNamesTheFieldAndKeepsWhatWasTyped() {
        String page = person.post(
                        athlete + "/checkin", Map.of("day", TODAY.toString(), "restingHeartRate", "512", "mood", "4"))
                .body();
        assertThat(page).contains("Resting heart rate").contains("512");
        assertThat(person.post(
                                athlete + "/checkin",
                                Map.of("day", TODAY.plusDays(3).toString(), "restingHeartRate", "50"))
                        .body())
                .containsIgnoringCase("day");
        assertThat(sql.queryForObject(
                        "select count(*) from checkin where athlete_id = ?",
                        Integer.class,
                        Long.parseLong(athlete.replaceAll("\\D", ""))))
                .isZero();
    }

    @Test
    void aFileOfMorningsWithOneBadLineIsRefusedWholeAndNamesTheLine() {
        person.get(athlete + "/checkins");
        byte[] bad =
                "day,restingHeartRate,rmssd\n2026-11-01,52,60\n2026-11-02,999,60\n".getBytes(StandardCharsets.UTF_8);
        assertThat(person.upload(athlete + "/checkins/file", "file", Map.of("mornings.csv", bad))
                        .body())
                .contains("line 3");
        assertThat(person.upload(
                                athlete + "/checkins/file", "file", Map.of("noise.csv", new byte[] {0, 1, 2, (byte) 0xff
                                }))
                        .statusCode())
                .isLessThan(500);
        assertThat(sql.queryForObject(
                        "select count(*) from checkin where athlete_id = ?",
                        Integer.class,
                        Long.parseLong(athlete.replaceAll("\\D", ""))))
                .isZero();
    }
}
