package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.Routes.Parameter;
import pemblar.app.Routes.Route;

/**
 * Every address for programs that the router knows, tried without a token, of others, and with what no program sends.
 */
@Tag("http")
class ProgramRoutesTest {
    private static final List<String> HOSTILE = List.of(
            "null",
            "\"\"",
            "\"NaN\"",
            "-1",
            "-2147483649",
            "99999999999999999999",
            "1e400",
            "\"2027-02-30\"",
            "\"+200000-12-31\"",
            "\"\\u0000\"",
            "\"' or 1=1 --\"",
            "{\"a\":{}}",
            "[[[]]]",
            "true",
            "\"" + "x".repeat(9000) + "\"");
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static JdbcTemplate sql;
    private static List<Route> routes;
    private static String token;
    private static long own;
    private static long session;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        routes = Routes.all().stream()
                .filter(r -> r.ofPrograms() && !r.pattern().contains("**"))
                .toList();
        Person person = new Person(Running.ADDRESS).signUp("routes.programs@pemblar.example", "ride");
        own = Long.parseLong(person.get("/").uri().getPath().replaceAll("\\D", ""));
        token = person.token(
                "plan,log,values,call", LocalDate.now(ZoneOffset.UTC).plusDays(1));
        session = sql.queryForObject("select min(id) from session where recording_id is not null", Long.class);
    }

    private static String tomorrow() {
        return LocalDate.now(ZoneOffset.UTC).plusDays(1).toString();
    }

    private static String path(Route route, String athlete) {
        return route.pattern()
                .replace("{athleteId}", athlete)
                .replace("{day}", tomorrow())
                .replace("{first}", tomorrow())
                .replace("{topic}", "intervals")
                .replaceAll("\\{[^}]+}", String.valueOf(session));
    }

    private static HttpResponse<String> ask(Route route, String path, String body, boolean withToken) {
        sql.update("delete from rate_limit where key like 'program %' or key like 'upload %'");
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(Running.ADDRESS + path))
                .header("Content-Type", "application/json")
                .method(route.method(), body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        if (withToken) request.header("Authorization", "Bearer " + token);
        try {
            return CLIENT.send(request.build(), BodyHandlers.ofString());
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(route.toString(), e);
        }
    }

    @Test
    void thereAreSomeAndEachSaysWhatATokenMustBeAllowed() {
        assertThat(routes).hasSizeGreaterThan(20);
        for (Route route : routes)
            assertThat(ask(route, path(route, String.valueOf(own)), "{}", true).body())
                    .as(route.toString())
                    .doesNotContain("nothing at this address");
    }

    @Test
    void withoutATokenNobodyIsAnswered() {
        for (Route route : routes)
            assertThat(ask(route, path(route, String.valueOf(own)), "{}", false).statusCode())
                    .as(route.toString())
                    .isEqualTo(401);
    }

    /** The demo's first athlete with sessions of the demo, and one's own with sessions of the demo. */
    @Test
    void whatIsOfOthersIsNotThere() {
        Integer before = changes();
        for (Route route : routes) {
            if (!route.pattern().contains("{athleteId}")) continue;
            assertThat(ask(route, path(route, "1"), plausible(route), true).statusCode())
                    .as(route.toString())
                    .isIn(400, 404);
            if (route.pattern().contains("{sessionId}"))
                assertThat(ask(route, path(route, String.valueOf(own)), plausible(route), true)
                                .statusCode())
                        .as(route.toString())
                        .isIn(400, 404);
        }
        assertThat(changes()).isEqualTo(before);
    }

    private static Integer changes() {
        return sql.queryForObject(
                "select (select sum(version) from session where athlete_id = 1)::int + (select count(*) from session"
                        + " where athlete_id = 1)::int + (select count(*) from dated_value where athlete_id = 1)::int"
                        + " + (select count(*) from checkin where athlete_id = 1)::int",
                Integer.class);
    }

    private static Map<String, String> fields(Route route) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (Parameter parameter : route.parameters())
            if (!parameter.path()) fields.put(parameter.name(), "\"" + parameter.plausible() + "\"");
        return fields;
    }

    private static String plausible(Route route) {
        return json(fields(route));
    }

    private static String json(Map<String, String> fields) {
        return fields.entrySet().stream()
                .map(e -> "\"" + e.getKey() + "\":" + e.getValue())
                .collect(Collectors.joining(",", "{", "}"));
    }

    private static String query(String path, Map<String, String> fields) {
        return path + "?"
                + fields.entrySet().stream()
                        .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"));
    }

    @Test
    void nothingThatIsSentEndsInAFault() {
        List<String> faults = new ArrayList<>();
        for (Route route : routes) {
            String path = path(route, String.valueOf(own));
            for (String body : new String[] {null, "", "{", "[]", "\"x\"", "nul", "{\"unknown\":1}"})
                note(faults, route, ask(route, path, body, true), body);
            for (String field : fields(route).keySet())
                for (String value : HOSTILE) {
                    Map<String, String> fields = fields(route);
                    fields.put(field, value);
                    note(faults, route, ask(route, path, json(fields), true), field + "=" + value);
                    note(faults, route, ask(route, query(path, fields), null, true), "?" + field + "=" + value);
                }
            for (String field : fields(route).keySet())
                note(faults, route, ask(route, path + "?" + field + "=%00", null, true), field + "=%00");
            for (String strange : List.of("-1", "99999999999999999999", "x", "%00", "1e9"))
                note(faults, route, ask(route, path(route, strange), plausible(route), true), strange);
        }
        assertThat(faults).isEmpty();
    }

    private static void note(List<String> faults, Route route, HttpResponse<String> answer, String what) {
        if (answer.statusCode() >= 500)
            faults.add(route + " " + answer.statusCode() + " "
                    + String.valueOf(what)
                            .substring(0, Math.min(60, String.valueOf(what).length())));
    }
}
