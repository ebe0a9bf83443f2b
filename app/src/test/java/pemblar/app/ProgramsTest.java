package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.apache.commons.codec.digest.HmacAlgorithms;
import org.apache.commons.codec.digest.HmacUtils;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a program with a token can do, and what it cannot. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class ProgramsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static JdbcTemplate sql;
    private static Person person;
    private static Person coach;
    private static long athlete;
    private static String whole;
    private static String reading;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("own.programs@pemblar.example", "ride");
        coach = new Person(Running.ADDRESS).signUp("coach.programs@pemblar.example", "coach");
        athlete = Long.parseLong(person.get("/").uri().getPath().replaceAll("\\D", ""));
        Running.APPLICATION
                .getBean(CoachingService.class)
                .begin(
                        athlete,
                        sql.queryForObject(
                                "select id from account where email = 'coach.programs@pemblar.example'", Long.class),
                        false);
        whole = person.token("plan,log,values,call", TODAY.plusDays(3));
        reading = person.token("", TODAY.plusDays(3));
    }

    private static HttpResponse<String> ask(String token, String method, String path, String body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(Running.ADDRESS + "/api/v1" + path))
                .header("Content-Type", "application/json")
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        if (token != null) request.header("Authorization", "Bearer " + token);
        if (headers.length > 0) request.headers(headers);
        try {
            return CLIENT.send(request.build(), BodyHandlers.ofString());
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static HttpResponse<String> get(String path) {
        return ask(whole, "GET", path, null);
    }

    private static JsonNode json(HttpResponse<String> answer) {
        return JsonMapper.shared().readTree(answer.body());
    }

    private static String own(String rest) {
        return "/athletes/" + athlete + rest;
    }

    private static void refused(HttpResponse<String> answer, int status, String words) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
        assertThat(answer.headers().firstValue("Content-Type"))
                .hasValueSatisfying(type -> assertThat(type).startsWith("application/problem+json"));
        assertThat(json(answer).get("status").asInt()).isEqualTo(status);
        assertThat(json(answer).get("detail").asString()).contains(words);
    }

    @Test
    @Order(5)
    void eventsAndDaysAwayAreAddedChangedAndRemovedAtTheRevisionThatWasRead() {
        String plan = own("/plan");
        int read = json(get(plan)).get("revision").asInt();
        LocalDate day = TODAY.plusDays(60);
        HttpResponse<String> added = ask(
                whole,
                "POST",
                plan + "/events",
                "{\"day\":\"" + day + "\",\"name\":\"Lake round\",\"priority\":\"a\",\"sport\":\"ride\","
                        + "\"distanceMetres\":120000}",
                "If-Match",
                "\"" + read + "\"");
        assertThat(added.statusCode()).as(added.body()).isEqualTo(201);
        JsonNode event = json(added).get("events").get(0);
        assertThat(event.get("name").asString()).isEqualTo("Lake round");
        assertThat(event.get("priority").asString()).isEqualTo("A");
        String one = plan + "/events/" + event.get("id").asLong();
        String moved = "{\"day\":\"" + day.plusDays(7) + "\",\"name\":\"Lake round\",\"priority\":\"b\"}";
        refused(ask(whole, "PUT", one, moved, "If-Match", "\"" + read + "\""), 412, "Read it again");
        assertThat(json(ask(whole, "PUT", one, moved))
                        .get("events")
                        .get(0)
                        .get("from")
                        .asString())
                .isEqualTo(day.plusDays(7).toString());
        refused(ask(whole, "POST", plan + "/events", moved.replace("Lake", "Hill")), 400, "nearest free day");
        refused(ask(whole, "POST", plan + "/events", "{\"name\":\"x\"}"), 400, "day: is missing");
        refused(ask(whole, "POST", plan + "/events", moved.replace("\"b\"", "\"z\"")), 400, "priority: send one of a");
        refused(ask(whole, "PUT", plan + "/events/0", moved), 404, "event");
        refused(ask(reading, "DELETE", one, null), 403, "change what is planned");

        String away = "{\"from\":\"" + day + "\",\"to\":\"" + day.plusDays(3)
                + "\",\"weeklyHours\":0,\"kind\":\"travel\",\"reason\":\"at sea\"}";
        JsonNode is = json(ask(whole, "POST", plan + "/away", away));
        assertThat(is.get("away").get(0).get("reason").asString()).isEqualTo("at sea");
        refused(ask(whole, "POST", plan + "/away", away.replace("travel", "holiday")), 400, "kind: send one of travel");
        refused(ask(whole, "DELETE", plan + "/away/0", null), 400, "If-Match");
        String revision = "\"" + is.get("revision").asInt() + "\"";
        assertThat(json(ask(whole, "DELETE", plan + "/away/0", null, "If-Match", revision))
                        .get("away"))
                .isEmpty();
        refused(ask(whole, "DELETE", plan + "/away/0", null, "If-Match", revision), 412, "Read it again");
        assertThat(json(ask(whole, "DELETE", one, null)).get("events")).isEmpty();
        assertThat(person.post("/a/" + athlete + "/season/undo", Map.of()).body())
                .as("what a program did can be taken back")
                .contains("Lake round");
    }

    @Test
    @Order(5)
    void theSeasonIsPlannedAndItsBlocksChangedByHand() {
        String plan = own("/plan");
        String wanted = "{\"lastDay\":\"" + TODAY.plusDays(83) + "\",\"aim\":\"weekly_hours\",\"aimValue\":6,"
                + "\"blockDays\":7,\"easyEvery\":4,\"easyUnit\":\"blocks\",\"easyDays\":7,"
                + "\"highestBuildPoints\":5,\"weeklyHours\":8}";
        refused(ask(reading, "PUT", plan + "/settings", wanted), 403, "change what is planned");
        refused(ask(whole, "PUT", plan + "/settings", wanted.replace(":7,", ":40,")), 400, "blockDays: send 3 to 28.");
        refused(ask(whole, "PUT", plan + "/settings", wanted.replace("blocks", "weeks")), 400, "easyUnit: send one of");
        JsonNode planned = json(ask(whole, "PUT", plan + "/settings", wanted));
        assertThat(planned.get("blocks").size()).isGreaterThanOrEqualTo(11);
        assertThat(json(get(plan + "/settings")).get("aimValue").asDouble()).isEqualTo(6);
        assertThat(hours(planned)).as("hours a week").isBetween(5.5, 6.5);

        String third =
                plan + "/blocks/" + planned.get("blocks").get(2).get("from").asString();
        String seen = "\"" + planned.get("revision").asInt() + "\"";
        JsonNode loaded = json(ask(whole, "PATCH", third, "{\"targetLoadPoints\":123}", "If-Match", seen))
                .get("blocks")
                .get(2);
        assertThat(loaded.get("targetLoadPoints").asDouble()).isEqualTo(123);
        assertThat(loaded.get("pinned").asBoolean()).isTrue();
        refused(ask(whole, "PATCH", third, "{\"pinned\":false}", "If-Match", seen), 412, "Read it again");
        JsonNode anew = json(ask(whole, "PUT", plan + "/settings", wanted.replace(":6,", ":5,")));
        assertThat(anew.get("blocks").get(2).get("targetLoadPoints").asDouble())
                .as("pinned stays")
                .isEqualTo(123);
        JsonNode split = json(ask(
                whole, "PATCH", third, "{\"splitOn\":\"" + day(loaded, "from").plusDays(3) + "\"}"));
        assertThat(split.get("blocks").size()).isEqualTo(anew.get("blocks").size() + 1);
        assertThat(json(ask(whole, "PATCH", third, "{\"joinNext\":true}"))
                        .get("blocks")
                        .size())
                .isEqualTo(anew.get("blocks").size());
        refused(ask(whole, "PATCH", third, "{\"pinned\":true,\"hours\":3}"), 400, "Send one of targetLoadPoints");
        refused(ask(whole, "PATCH", plan + "/blocks/" + TODAY.plusDays(300), "{\"pinned\":true}"), 404, "block");
        assertThat(ask(whole, "PATCH", third, "{\"to\":\"+200000-12-31\"}").statusCode())
                .isEqualTo(400);
    }

    private static LocalDate day(JsonNode block, String field) {
        return LocalDate.parse(block.get(field).asString());
    }

    private static double hours(JsonNode plan) {
        double seconds = 0;
        for (JsonNode block : plan.get("blocks"))
            seconds += block.get("targetSeconds").asDouble();
        return seconds / 3600 / 12;
    }

    @Test
    @Order(5)
    void strengthIsPutLoggedSetBySetAndItsMaximaSet() {
        assertThat(ask(
                                whole,
                                "POST",
                                own("/strength/maxima"),
                                "{\"exercise\":\"back squat\",\"day\":\"" + TODAY + "\",\"kilograms\":100}")
                        .statusCode())
                .isEqualTo(201);
        HttpResponse<String> put = ask(
                whole,
                "POST",
                own("/sessions"),
                "{\"day\":\"" + TODAY + "\",\"sport\":\"strength\",\"title\":\"Legs\","
                        + "\"workout\":\"back squat 3 x 5 at 80%\"}");
        assertThat(put.statusCode()).as(put.body()).isEqualTo(201);
        String set = own("/strength/sessions/" + json(put).get("id").asLong() + "/sets/first");
        String told = "{\"place\":0,\"exercise\":\"back squat\",\"kilograms\":80,\"repetitions\":5,\"inReserve\":2}";
        for (int twice = 0; twice < 2; twice++)
            assertThat(json(ask(whole, "PUT", set, told)).get("kilograms").asDouble())
                    .isEqualTo(80);
        JsonNode sets = json(get(own("/strength/sets?from=" + TODAY + "&to=" + TODAY)));
        assertThat(sets.get("items")).hasSize(1);
        assertThat(sets.get("items").get(0).get("inReserve").asInt()).isEqualTo(2);
        refused(ask(whole, "PUT", set, told.replace(":5", ":5000")), 400, "Repetitions");
        refused(ask(whole, "PUT", set, "{}"), 400, "place: is missing");
        refused(ask(whole, "PUT", own("/strength/sessions/1/sets/a"), told), 404, "session");
        refused(ask(reading, "PUT", set, told), 403, "sets");
        refused(
                ask(
                        whole,
                        "POST",
                        own("/sessions"),
                        "{\"day\":\"" + TODAY + "\",\"sport\":\"strength\",\"workout\":\"?\"}"),
                400,
                "workout:");
    }

    @Test
    @Order(1)
    void withoutATokenNothingIsAnsweredButTheDescription() {
        refused(ask(null, "GET", "/me", null), 401, "Authorization");
        refused(ask("nobodys", "GET", "/me", null), 401, "Authorization");
        refused(ask("x".repeat(3000), "GET", "/me", null), 401, "Authorization");
        refused(ask(null, "GET", "/nowhere", null), 401, "Authorization");
        assertThat(person.get("/api/v1/me").statusCode())
                .as("a cookie is no token")
                .isEqualTo(401);
        JsonNode description = json(ask(null, "GET", "/openapi.json", null));
        assertThat(description.get("paths").propertyNames())
                .contains("/api/v1/me", "/api/v1/athletes/{athleteId}/sessions/{sessionId}");
        assertThat(description.get("servers").get(0).get("url").asString()).startsWith("http://127.0.0.1");
    }

    @Test
    @Order(2)
    void aTokenDoesWhatItMayAndNothingElse() {
        assertThat(json(get("/me")).get("athlete").asLong()).isEqualTo(athlete);
        assertThat(json(ask(reading, "GET", "/me", null)).get("may").toString()).isEqualTo("[\"read\"]");
        refused(ask(reading, "POST", own("/sessions"), "{}"), 403, "change what is planned");
        refused(ask(reading, "PUT", own("/checkins/" + TODAY), "{}"), 403, "check-ins");
        refused(ask(reading, "PUT", own("/thresholds"), "{}"), 403, "thresholds");
        refused(ask(reading, "POST", own("/recordings"), "x"), 403, "recordings");
        refused(ask(reading, "GET", "/hooks", null), 403, "called back");
        refused(get("/athletes/1/sessions"), 404, "athlete");
        refused(get("/nowhere"), 404, "address");
        assertThat(ask(whole, "PATCH", "/me", "{}").statusCode()).isIn(404, 405);
    }

    @Test
    @Order(3)
    void asCoachWhoOnlySeesOneChangesNothing() {
        String seeing = coach.token("plan,log,values", TODAY.plusDays(1));
        assertThat(ask(seeing, "GET", own("/sessions"), null).statusCode()).isEqualTo(200);
        refused(ask(seeing, "POST", own("/sessions"), sketch(TODAY.plusDays(1))), 404, "athlete");
        refused(ask(seeing, "PUT", own("/checkins/" + TODAY), "{\"mood\":3}"), 404, "athlete");
    }

    private static String sketch(LocalDate day) {
        return "{\"day\":\"" + day + "\",\"sport\":\"ride\",\"purpose\":\"easy\",\"minutes\":60}";
    }

    @Test
    @Order(7)
    void aSessionIsPutMovedScaledAndDroppedOnlyAsItWasRead() {
        String put = "{\"day\":\"" + TODAY.plusDays(2) + "\",\"start\":\"17:30\",\"sport\":\"ride\",\"title\":\"Long\","
                + "\"workout\":\"10min 60%, 20min 90%\"}";
        HttpResponse<String> made = ask(whole, "POST", own("/sessions"), put);
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        JsonNode session = json(made);
        String at = own("/sessions/" + session.get("id").asLong());
        assertThat(made.headers().firstValue("Location")).hasValue("/api/v1" + at);
        assertThat(session.get("plannedSeconds").asInt()).isEqualTo(1800);
        assertThat(session.get("workout").asString()).isEqualTo("10min 60%, 20min 90%");
        String version = "\"" + session.get("version").asInt() + "\"";
        HttpResponse<String> moved =
                ask(whole, "PATCH", at, "{\"day\":\"" + TODAY.plusDays(4) + "\"}", "If-Match", version);
        assertThat(json(moved).get("day").asString())
                .isEqualTo(TODAY.plusDays(4).toString());
        refused(ask(whole, "PATCH", at, "{\"scalePercent\":80}", "If-Match", version), 412, "version");
        refused(ask(whole, "DELETE", at, null, "If-Match", version), 412, "version");
        refused(ask(whole, "DELETE", at, null, "If-Match", "yesterday"), 400, "If-Match");
        assertThat(json(ask(whole, "PATCH", at, "{\"scalePercent\":80}"))
                        .get("scalePercent")
                        .asInt())
                .isEqualTo(80);
        assertThat(person.get("/a/" + athlete + "/board").body()).contains("Long");
        assertThat(ask(whole, "DELETE", at, null).statusCode()).isEqualTo(204);
        refused(get(at), 404, "session");
    }

    @Test
    @Order(5)
    void whatCannotBeIsNamedAndNothingIsChanged() {
        int before = sessions();
        refused(ask(whole, "POST", own("/sessions"), "{"), 400, "JSON");
        refused(ask(whole, "POST", own("/sessions"), "[]"), 400, "JSON");
        refused(ask(whole, "POST", own("/sessions"), null), 400, "JSON");
        refused(ask(whole, "POST", own("/sessions"), "{\"sport\":\"ride\"}"), 400, "day:");
        refused(ask(whole, "POST", own("/sessions"), "{\"sport\":\"flying\"}"), 400, "sport:");
        refused(ask(whole, "POST", own("/sessions"), sketch(TODAY.plusYears(9))), 400, "Day");
        refused(ask(whole, "POST", own("/sessions"), sketch(TODAY).replace("60", "-1")), 400, "minutes:");
        refused(ask(whole, "POST", own("/sessions"), sketch(TODAY).replace("easy", "moon")), 400, "purpose:");
        refused(
                ask(
                        whole,
                        "POST",
                        own("/sessions"),
                        "{\"day\":\"" + TODAY + "\",\"sport\":\"ride\",\"workout\":\"3 x (((\"}"),
                400,
                "workout: line 1");
        refused(get(own("/sessions?from=yesterday")), 400, "from:");
        refused(get(own("/sessions?limit=0")), 400, "limit:");
        refused(get(own("/sessions?state=moved")), 400, "state:");
        refused(get(own("/sessions?from=2020-01-01&to=2026-01-01")), 400, "to:");
        refused(get("/athletes/99999999999999999999/sessions"), 400, "athleteId:");
        assertThat(sessions()).isEqualTo(before);
    }

    private static int sessions() {
        return sql.queryForObject("select count(*) from session where athlete_id = ?", Integer.class, athlete);
    }

    @Test
    @Order(6)
    void whatDidNotChangeIsNotSentAgain() {
        HttpResponse<String> first = get(own("/plan"));
        String mark = first.headers().firstValue("ETag").orElseThrow();
        HttpResponse<String> again = ask(whole, "GET", own("/plan"), null, "If-None-Match", mark);
        assertThat(again.statusCode()).isEqualTo(304);
        assertThat(again.body()).isEmpty();
    }

    @Test
    @Order(4)
    void thresholdsAndMorningsAreKeptAndRefusedByTheirNames() {
        String values = "{\"from\":\"" + TODAY.minusDays(1) + "\",\"values\":{\"threshold_power\":250}}";
        JsonNode held = json(ask(whole, "PUT", own("/thresholds"), values));
        assertThat(held.get("threshold_power").get("value").asDouble()).isEqualTo(250);
        assertThat(held.get("threshold_power").get("unit").asString()).isEqualTo("W");
        refused(ask(whole, "PUT", own("/thresholds"), values.replace("250", "9000")), 400, "40");
        refused(ask(whole, "PUT", own("/thresholds"), values.replace("threshold_power", "luck")), 400, "luck");
        JsonNode morning =
                json(ask(whole, "PUT", own("/checkins/" + TODAY), "{\"restingHeartRateBpm\":51,\"mood\":4}"));
        assertThat(morning.get("restingHeartRateBpm").asDouble()).isEqualTo(51);
        assertThat(morning.has("soreness")).as("what nobody said is left out").isFalse();
        assertThat(json(get(own("/checkins"))).get("items")).hasSize(1);
        refused(ask(whole, "PUT", own("/checkins/" + TODAY), "{\"mood\":9}"), 400, "mood:");
        refused(
                ask(whole, "PUT", own("/checkins/" + TODAY), "{\"restingHeartRateBpm\":\"NaN\"}"),
                400,
                "restingHeartRateBpm:");
        refused(ask(whole, "PUT", own("/checkins/" + TODAY.plusDays(3)), "{\"mood\":3}"), 400, "still to come");
    }

    private static String gpx(LocalDate day) {
        StringBuilder text = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"test\" "
                + "xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><type>ride</type><trkseg>");
        for (int i = 0; i < 300; i++)
            text.append("<trkpt lat=\"")
                    .append(50 + i * 0.00005)
                    .append("\" lon=\"7\"><ele>100</ele><time>")
                    .append(day.atTime(8, 0).toInstant(ZoneOffset.UTC).plusSeconds(i))
                    .append("</time><extensions><power>200</power></extensions></trkpt>");
        return text.append("</trkseg></trk></gpx>").toString();
    }

    /** From the file to its summary, its channels and itself; and the address that is told of it. */
    @Test
    @Order(8)
    void aRecordingArrivesAndWhoWantsToKnowIsCalled() throws IOException {
        List<String[]> calls = new CopyOnWriteArrayList<>();
        HttpServer listener =
                HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), Running.CALLED), 0);
        listener.createContext("/", exchange -> {
            String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
            var head = exchange.getRequestHeaders();
            calls.add(new String[] {body, head.getFirst("Pemblar-Sent"), head.getFirst("Pemblar-Signature")});
            exchange.sendResponseHeaders(calls.size() == 1 ? 503 : 204, -1);
            exchange.close();
        });
        listener.start();
        try {
            refused(ask(whole, "POST", "/hooks", "{\"url\":\"http://127.0.0.1:1/\"}"), 400, "https");
            String hook = "{\"url\":\"http://127.0.0.1:" + Running.CALLED + "/told\"}";
            String secret =
                    json(ask(whole, "POST", "/hooks", hook)).get("secret").asString();
            assertThat(new String(
                            sql.queryForObject("select secret from program_hook", byte[].class),
                            StandardCharsets.ISO_8859_1))
                    .as("what signs does not lie in the table as it is")
                    .hasSize(12 + 43 + 16)
                    .doesNotContain(secret);
            HttpResponse<String> sent = ask(whole, "POST", own("/recordings?name=ride.gpx"), gpx(TODAY.minusDays(3)));
            assertThat(sent.statusCode()).as(sent.body()).isEqualTo(202);
            Eventually.holds(
                    Duration.ofSeconds(60),
                    () -> json(get(own("/recordings")))
                            .get("items")
                            .get(0)
                            .get("state")
                            .asString()
                            .equals("done"));
            long id = json(get(own("/recordings")))
                    .get("items")
                    .get(0)
                    .get("session")
                    .asLong();
            JsonNode summary = json(get(own("/sessions/" + id + "/recording")));
            assertThat(summary.get("meanPowerWatts").asDouble()).isEqualTo(200);
            assertThat(json(get(own("/sessions/" + id + "/recording/channels"))).isObject())
                    .isTrue();
            assertThat(get(own("/sessions/" + id + "/recording/original")).body())
                    .isEqualTo(gpx(TODAY.minusDays(3)));
            Eventually.holds(
                    Duration.ofSeconds(60),
                    () -> calls.stream()
                                    .filter(call -> call[0].contains("session.arrived"))
                                    .count()
                            >= 1);
            Eventually.holds(Duration.ofSeconds(60), () -> calls.size() >= 2);
            for (String[] call : calls)
                assertThat(new HmacUtils(HmacAlgorithms.HMAC_SHA_256, secret).hmacHex(call[1] + "." + call[0]))
                        .isEqualTo(call[2]);
            assertThat(calls.get(0)[0]).isEqualTo(calls.get(1)[0]).contains("\"session\":" + id);
        } finally {
            listener.stop(0);
        }
    }

    @Test
    @Order(9)
    void theCoreIsAskedAndSaysWhatItDoesNotUnderstand() {
        refused(ask(whole, "POST", "/ask/moon", "{}"), 404, "topic");
        refused(ask(whole, "POST", "/ask/intervals", "{}"), 400, "");
    }

    @Test
    @Order(10)
    void tooMuchIsNotReadAndTooOftenIsTurnedAway() {
        refused(ask(whole, "POST", own("/sessions"), " ".repeat(5_100_000)), 413, "bytes");
        sql.update(
                "update program_token set until = ? where may not like '%plan%' and account_id ="
                        + " (select account_id from athlete where id = ?)",
                TODAY.minusDays(1), athlete);
        refused(ask(reading, "GET", "/me", null), 401, "over");
        sql.update(
                "update rate_limit set level = 600, at = now() where key = 'program ' || (select max(id) from"
                        + " program_token where may like '%plan%' and account_id = (select account_id from athlete"
                        + " where id = ?))",
                athlete);
        HttpResponse<String> often = get("/me");
        refused(often, 429, "minute");
        assertThat(often.headers().firstValue("Retry-After")).isPresent();
    }

    @Test
    @Order(11)
    void aTokenThatWasEndedIsOneNoMore() {
        String brief = person.token("", TODAY.plusDays(1));
        assertThat(ask(brief, "GET", "/me", null).statusCode()).isEqualTo(200);
        long id = sql.queryForObject("select max(id) from program_token", Long.class);
        coach.get("/account/programs");
        assertThat(coach.post("/account/programs/" + id + "/end", Map.of()).statusCode())
                .as("nobody ends another's")
                .isEqualTo(404);
        person.get("/account/programs");
        assertThat(person.post("/account/programs/" + id + "/end", Map.of()).body())
                .contains("Ended.");
        refused(ask(brief, "GET", "/me", null), 401, "token");
    }
}
