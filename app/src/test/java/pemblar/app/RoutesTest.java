package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.Routes.Parameter;
import pemblar.app.Routes.Route;
import pemblar.app.athlete.CoachingService;

/** Every route that the router knows, tried by those who may not, and with what no form would send. */
@Tag("http")
class RoutesTest {
    /** Below no athlete; a new one fails the test until somebody has said here whom it is for. */
    private static final Map<String, String> OTHERS = Map.ofEntries(
            Map.entry("GET /", "signed in"),
            Map.entry("GET /sign-in", "everybody"),
            Map.entry("GET /sign-up", "everybody"),
            Map.entry("GET /sign-in/code", "who gave the password"),
            Map.entry("POST /sign-in/code", "who gave the password"),
            Map.entry("GET /account/second", "oneself"),
            Map.entry("POST /account/second/begin", "oneself, with the password"),
            Map.entry("POST /account/second/confirm", "oneself, with the code"),
            Map.entry("POST /account/second/codes", "oneself, with password and code"),
            Map.entry("POST /account/second/off", "oneself, with password and code"),
            Map.entry("POST /sign-up", "everybody"),
            Map.entry("GET /alive", "everybody"),
            Map.entry("GET /sky/hours", "everybody: simulated weather, nobody's data"),
            Map.entry("GET /ready", "everybody"),
            Map.entry("GET /operator", "who runs it; in the demo everybody"),
            Map.entry("POST /operator/jobs/again", "who runs it; in the demo everybody"),
            Map.entry("GET /metrics", "this machine"),
            Map.entry("GET /account", "oneself"),
            Map.entry("POST /account/password", "oneself, with the password"),
            Map.entry("POST /account/address", "oneself, with the password"),
            Map.entry("GET /account/address/{token}", "oneself, with the link"),
            Map.entry("POST /account/address/{token}", "oneself, with the link"),
            Map.entry("POST /account/sign-ins/end", "oneself"),
            Map.entry("POST /account/sign-ins/end-one", "oneself"),
            Map.entry("POST /account/archive", "oneself, with the password"),
            Map.entry("GET /account/archive/in", "oneself"),
            Map.entry("POST /account/archive/in", "oneself, into an account that holds nothing"),
            Map.entry("GET /account/programs", "oneself"),
            Map.entry("POST /account/programs", "oneself, with the password"),
            Map.entry("POST /account/programs/{id}/end", "oneself"),
            Map.entry("POST /account/programs/hooks/{id}/end", "oneself"),
            Map.entry("POST /account/leave", "oneself, with the password"),
            Map.entry("POST /account/keep", "oneself"),
            Map.entry("POST /account/units", "oneself"),
            Map.entry("POST /account/zone", "oneself, one's own athlete"),
            Map.entry("GET /forgot", "everybody"),
            Map.entry("POST /forgot", "everybody"),
            Map.entry("GET /reset/{token}", "who has the link"),
            Map.entry("POST /reset/{token}", "who has the link"),
            Map.entry("GET /roster", "signed in"),
            Map.entry("GET /roster/{athleteId}", "coach"),
            Map.entry("GET /roster/{athleteId}/groups", "coach"),
            Map.entry("POST /roster/groups", "coach"),
            Map.entry("POST /roster/topics", "coach, their own list"),
            Map.entry("GET /roster/further", "coach, their own list"),
            Map.entry("GET /roster/beside", "whom one may see: BesideTest"),
            Map.entry("GET /roster/groups/{id}", "coach"),
            Map.entry("POST /roster/groups/{id}/put", "coach"),
            Map.entry("POST /roster/groups/{id}/puts/{putId}", "coach"),
            Map.entry("GET /roster/groups/{id}/hours", "coach"),
            Map.entry("GET /roster/groups/{id}/limits", "coach"),
            Map.entry("POST /roster/groups/{id}/limits", "coach"),
            Map.entry("POST /roster/groups/{id}/hours", "coach"),
            Map.entry("POST /roster/groups/{id}/hours/{hourId}/drop", "coach"),
            Map.entry("GET /roster/groups/{id}/hours/{hourId}", "coach"),
            Map.entry("GET /roster/groups/{id}/hours/{hourId}/live", "coach"),
            Map.entry("POST /roster/groups/{id}/hours/{hourId}/key", "coach"),
            Map.entry("POST /roster/groups/{id}/members", "coach"),
            Map.entry("POST /roster/groups/{id}/remove", "coach"),
            Map.entry("POST /roster/{athleteId}/dealt", "coach"),
            Map.entry("POST /roster/{athleteId}/reply", "coach"),
            Map.entry("GET /roster/invitations", "coach"),
            Map.entry("POST /roster/invitations", "coach"),
            Map.entry("POST /roster/requests/{athleteId}", "coach"),
            Map.entry("POST /invitations/{id}/again", "sender"),
            Map.entry("POST /invitations/{id}/begin", "sender"),
            Map.entry("POST /invitations/{id}/forget", "sender"),
            Map.entry("POST /invitations/{id}/withdraw", "sender"),
            Map.entry("GET /invitation/{token}", "who has the link"),
            Map.entry("POST /invitation/{token}", "who has the link"),
            Map.entry("GET /mail-tray", "signed in, without a mail server"),
            Map.entry("GET /calendar/{token}.ics", "who has the address"),
            Map.entry("GET /device/files", "a device"),
            Map.entry("GET /device/files/{name}", "a device"),
            Map.entry("POST /device/activities", "a device"));

    private static final List<String> HOSTILE = List.of(
            "",
            " ",
            "NaN",
            "-1",
            "-2147483649",
            "99999999999999999999",
            "1e400",
            "2027-02-30",
            "+200000-12-31",
            "\u0000",
            "' or 1=1 --",
            "<script>alert(1)</script>",
            "{\"a\":[",
            "../../../etc/passwd",
            "x".repeat(9000));

    private static JdbcTemplate sql;
    private static List<Route> routes;
    private static Person owner;
    private static Person stranger;
    private static Person reader;
    private static Person ended;
    private static long victim;
    private static long session;

    @BeforeAll
    static void people() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        routes = Routes.all().stream().filter(r -> !r.ofPrograms()).toList(); // those: ProgramRoutesTest
        owner = new Person(Running.ADDRESS).signUp("owner.routes@pemblar.example", "ride");
        stranger = new Person(Running.ADDRESS).signUp("stranger.routes@pemblar.example", "ride");
        reader = new Person(Running.ADDRESS).signUp("reader.routes@pemblar.example", "coach");
        ended = new Person(Running.ADDRESS).signUp("ended.routes@pemblar.example", "coach");
        victim = Long.parseLong(owner.get("/").uri().getPath().replaceAll("\\D", ""));
        owner.get("/a/" + victim + "/board");
        owner.post(
                "/a/" + victim + "/sketch",
                Map.of("day", day(), "sport", "RIDE", "purpose", "EASY", "length", "1h", "title", "Untouched"));
        session = sql.queryForObject("select id from session where athlete_id = ?", Long.class, victim);
        CoachingService coachings = Running.APPLICATION.getBean(CoachingService.class);
        coachings.begin(victim, account("reader.routes"), false);
        coachings.begin(victim, account("ended.routes"), true);
        sql.update("update coaching set ended_at = now() where coach_account_id = ?", account("ended.routes"));
        for (Person person : List.of(stranger, reader, ended)) person.get("/sign-up");
    }

    private static String day() {
        return java.time.LocalDate.now(java.time.ZoneOffset.UTC).plusDays(2).toString();
    }

    private static long account(String name) {
        return sql.queryForObject("select id from account where email = ?", Long.class, name + "@pemblar.example");
    }

    /** The address with every id in it, those of the victim by default. */
    private static String path(Route route, String athlete, String other) {
        return route.pattern().replace("{athleteId}", athlete).replaceAll("\\{[^}]+}", other);
    }

    private static Map<String, String> plausible(Route route) {
        Map<String, String> form = new LinkedHashMap<>();
        for (Parameter parameter : route.parameters())
            if (!parameter.path()) form.put(parameter.name(), parameter.plausible());
        return form;
    }

    private static int status(Person who, Route route, String path, Map<String, String> form) {
        return route.changes()
                ? who.post(path, form).statusCode()
                : who.get(query(path, form)).statusCode();
    }

    private static String query(String path, Map<String, String> form) {
        return path
                + (form.isEmpty() ? "" : "?")
                + form.entrySet().stream()
                        .map(e -> e.getKey() + "="
                                + java.net.URLEncoder.encode(e.getValue(), java.nio.charset.StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"));
    }

    @Test
    void everyRouteIsAnAthletesOrIsKnownHere() {
        assertThat(routes.stream()
                        .filter(r -> !r.ofAthlete())
                        .map(Route::toString)
                        .toList())
                .as("say in OTHERS whom a new address is for")
                .isSubsetOf(OTHERS.keySet());
    }

    @Test
    void nobodyElseReachesAnAthletesRoute() {
        TreeSet<String> open = new TreeSet<>();
        for (Route route : routes)
            if (route.ofAthlete())
                for (Person who : List.of(stranger, ended)) {
                    int status = status(
                            who, route, path(route, String.valueOf(victim), String.valueOf(session)), plausible(route));
                    if (status != 404 && status != 400) open.add(route + " answers " + status);
                }
        assertThat(open).isEmpty();
        assertUntouched();
    }

    @Test
    void whoIsNotSignedInSeesNothing() {
        Person nobody = new Person(Running.ADDRESS);
        nobody.get("/sign-in");
        TreeSet<String> open = new TreeSet<>();
        for (Route route : routes)
            if (route.ofAthlete()) {
                String path = path(route, String.valueOf(victim), String.valueOf(session));
                var answer = route.changes() ? nobody.post(path, plausible(route)) : nobody.get(path);
                boolean signIn = answer.uri().getPath().equals("/sign-in") || answer.statusCode() == 403;
                if (!signIn) open.add(route + " answers " + answer.statusCode());
            }
        assertThat(open).isEmpty();
    }

    @Test
    void whoStillOwesTheCodeSeesNothingOfTheirOwn() {
        Person owing = new Person(Running.ADDRESS).signUp("owing.routes@pemblar.example", "ride");
        String own = owing.get("/").uri().getPath().replaceAll("\\D", "");
        sql.update(
                "insert into second_factor (account_id, secret, made_at, confirmed_at) values (?, 'x', now(), now())",
                account("owing.routes"));
        owing = new Person(Running.ADDRESS).signIn("owing.routes@pemblar.example", "a long password");
        TreeSet<String> open = new TreeSet<>();
        for (Route route : routes) {
            if (!route.ofAthlete() && !OTHERS.get(route.toString()).startsWith("oneself")) continue;
            String path = path(route, own, String.valueOf(session));
            var answer = route.changes() ? owing.post(path, plausible(route)) : owing.get(path);
            boolean refused = answer.uri().getPath().equals("/sign-in/code") || answer.statusCode() == 403;
            if (!refused) open.add(route + " answers " + answer.statusCode());
        }
        assertThat(open).isEmpty();
    }

    @Test
    void whoOnlySeesChangesNothing() {
        for (Route route : routes)
            if (route.ofAthlete() && route.changes() && !route.pattern().contains("/notes"))
                status(reader, route, path(route, String.valueOf(victim), String.valueOf(session)), plausible(route));
        assertUntouched();
        assertThat(reader.get("/a/" + victim + "/board").statusCode()).isEqualTo(200);
    }

    private static void assertUntouched() {
        assertThat(sql.queryForList(
                        "select title || ' ' || day || ' ' || version from session where athlete_id = ?",
                        String.class,
                        victim))
                .containsExactly("Untouched " + day() + " 0");
        for (String table : List.of("note", "checkin", "event", "block", "dated_value"))
            assertThat(sql.queryForObject(
                            "select count(*) from " + table + " where athlete_id = " + victim, Long.class))
                    .as(table)
                    .isZero();
        for (String table : List.of("workout", "template", "own_exercise"))
            assertThat(sql.queryForObject(
                            "select count(*) from " + table + " where account_id = " + account("owner.routes"),
                            Long.class))
                    .as(table)
                    .isZero();
    }

    /** One's own athlete with somebody else's sessions, notes, workouts in every place where an id can stand. */
    @Test
    void idsOfOthersAreNotThereWhereverTheyStand() {
        String own = stranger.get("/").uri().getPath().replaceAll("\\D", "");
        for (Route route : routes) {
            if (!route.ofAthlete()) continue;
            Map<String, String> form = plausible(route);
            for (Parameter parameter : route.parameters())
                if (parameter.isId() && !parameter.path()) form.put(parameter.name(), String.valueOf(session));
            for (String name : List.of("ids", "id", "sessions")) form.putIfAbsent(name, String.valueOf(session));
            String path = path(route, own, String.valueOf(session));
            var answer = route.changes() ? stranger.post(path, form) : stranger.get(query(path, form));
            assertThat(answer.body()).as(route.toString()).doesNotContain("Untouched");
            assertThat(answer.statusCode()).as(route.toString()).isLessThan(500);
        }
        assertUntouched();
    }

    @Test
    void nothingThatIsSentEndsInAFault() {
        Random random = new Random(20271127);
        Person person = new Person(Running.ADDRESS).signUp("fuzz.routes@pemblar.example", "ride");
        String own = person.get("/").uri().getPath().replaceAll("\\D", "");
        person.get("/a/" + own + "/board");
        person.post(
                "/a/" + own + "/sketch",
                Map.of("day", day(), "sport", "RIDE", "purpose", "EASY", "length", "1h", "title", "Mine"));
        long mine = sql.queryForObject("select id from session where athlete_id = ?", Long.class, Long.parseLong(own));
        List<String> faults = new ArrayList<>();
        for (Route route : routes) {
            if (route.pattern().contains("sign-")) continue; // they count against the limit of this machine
            String path = path(route, own, String.valueOf(mine));
            List<Map<String, String>> tries = new ArrayList<>(List.of(Map.of(), plausible(route)));
            for (Parameter parameter : route.parameters())
                for (int i = 0; i < 2 && !parameter.path(); i++) {
                    Map<String, String> form = plausible(route);
                    form.put(parameter.name(), HOSTILE.get(random.nextInt(HOSTILE.size())));
                    tries.add(form);
                }
            for (Map<String, String> form : tries) {
                int status = status(person, route, path, form);
                if (status >= 500) faults.add(route + " " + status + " with " + brief(form));
            }
            String strange = path(route, own, HOSTILE.get(3 + random.nextInt(3)));
            if (status(person, route, strange, plausible(route)) >= 500) faults.add(route + " at " + strange);
        }
        assertThat(faults).isEmpty();
    }

    private static String brief(Map<String, String> form) {
        String text = form.toString();
        return text.length() > 200 ? text.substring(0, 200) : text;
    }
}
