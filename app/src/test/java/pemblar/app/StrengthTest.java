package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;

/** Strength from a maximum and a line of shorthand to the sets on the floor and what they move. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class StrengthTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Dublin"));
    private static final String TEXT = "back squat 3 x 5 at 80%, rest 3min\nsplit squat 2 x 8 each at 50%\n"
            + "bench press 2 x 8 at 70%\nback squat as many as possible at 85% -> max";
    private static Person person;
    private static JdbcTemplate sql;
    private static String base;
    private static long athlete;
    private static long session;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("lifter.strength@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
    }

    private static String post(String path, Map<String, String> form) {
        return person.post(base + path, form).body();
    }

    @Test
    @Order(1)
    void maximaAndLinksAreKeptAndACircleIsRefusedWithItsChain() {
        person.get(base + "/strength/maxima");
        String day = TODAY.minusDays(30).toString();
        assertThat(post("/strength/maxima", Map.of("exercise", "Back Squat", "kilograms", "102", "day", day)))
                .contains("102 kg");
        assertThat(post(
                        "/strength/maxima/link",
                        Map.of("exercise", "split squat", "of", "back squat", "percent", "40", "reportsBack", "true")))
                .contains("40.8 kg");
        assertThat(post(
                        "/strength/maxima/link",
                        Map.of("exercise", "back squat", "of", "split squat", "percent", "250")))
                .contains("links go in a circle");
        assertThat(post("/strength/maxima", Map.of("exercise", "row", "kilograms", "0", "day", day)))
                .contains("Maximum:");
        assertThat(post("/strength/maxima", Map.of("exercise", "row", "kilograms", "1000", "day", day)))
                .contains("Maximum:");
    }

    @Test
    @Order(2)
    void aDesignShowsWhatIsOnTheBarAndWhereTheTextMakesNoSense() {
        person.get(base + "/strength/design");
        String preview = post("/strength/preview", Map.of("text", TEXT));
        assertThat(preview).contains("82.5 kg to 85 kg").contains("find out: 5 with 2 in reserve");
        assertThat(post("/strength/preview", Map.of("text", "back squat 5 x heavy")))
                .contains("line 1, column 16")
                .contains("repetitions, seconds");
    }

    @Test
    @Order(3)
    void itGoesOnTheBoardAndOneUndoTakesItBack() {
        post("/strength", Map.of("title", "Legs", "text", TEXT, "put", "1", "day", TODAY.toString()));
        session = sql.queryForObject("select max(id) from session where athlete_id = ?", Long.class, athlete);
        assertThat(person.get(base + "/board").body()).contains("Legs").contains("/floor");
        assertThat(person.get(base + "/today").body()).contains("/sessions/" + session + "/floor");
        post(
                "/strength",
                Map.of(
                        "title",
                        "Legs again",
                        "text",
                        TEXT,
                        "put",
                        "1",
                        "day",
                        TODAY.plusDays(7).toString()));
    }

    @Test
    @Order(4)
    void aMaximumIsSaidToChangeThoseSessionsAloneOnWhoseDaysItWouldHold() {
        assertThat(preview(TODAY)).contains("Legs, ").contains("Legs again, ");
        assertThat(preview(TODAY.plusDays(3))).contains("Legs again, ").doesNotContain("Legs, ");
        String nothing = "It changes the load of no session that is planned";
        assertThat(preview(TODAY.plusDays(10))).contains(nothing);
        assertThat(preview(TODAY.minusDays(60)))
                .as("the one of a month ago holds today")
                .contains(nothing);
        assertThat(preview("bench+press", TODAY))
                .as("only what changes is listed")
                .contains("bench press: find out")
                .contains("<td>bench press 97.5 kg</td>")
                .doesNotContain("back squat");
    }

    private static String preview(LocalDate from) {
        return preview("back+squat", from);
    }

    private static String preview(String exercise, LocalDate from) {
        String page = person.get(base + "/strength/maxima?ask=" + exercise + "&kilograms=140&day=" + from)
                .body();
        return page.substring(page.indexOf("class=\"asked\""), page.indexOf("Take it"));
    }

    @Test
    @Order(5)
    void aSetSentTwiceIsLoggedOnceAndALaterWordCounts() {
        String floor = "/sessions/" + session + "/floor";
        assertThat(person.get(base + floor).body()).contains("Done as planned").contains("82.5");
        Map<String, String> set = Map.of(
                "key",
                "p0-back squat",
                "place",
                "0",
                "exercise",
                "back squat",
                "load",
                "82.5",
                "repetitions",
                "5",
                "script",
                "1");
        assertThat(post(floor + "/set", set)).contains("\"words\":\"82.5 × 5\"").contains("\"would\":\"\"");
        post(floor + "/set", set);
        post(
                floor + "/set",
                Map.of(
                        "key",
                        "p0-back squat",
                        "place",
                        "0",
                        "exercise",
                        "back squat",
                        "load",
                        "85",
                        "repetitions",
                        "4"));
        assertThat(sql.queryForList(
                        "select load_kilograms from strength_set where session_id = ?", Double.class, session))
                .containsExactly(85.0);
        assertThat(post(
                        floor + "/set",
                        Map.of(
                                "key",
                                "bad",
                                "place",
                                "1",
                                "exercise",
                                "back squat",
                                "load",
                                "5000",
                                "repetitions",
                                "5",
                                "script",
                                "1")))
                .contains("Load:");
        assertThat(post(
                        floor + "/set",
                        Map.of(
                                "key",
                                "bad",
                                "place",
                                "1",
                                "exercise",
                                "back squat",
                                "load",
                                "50",
                                "repetitions",
                                "five",
                                "script",
                                "1")))
                .contains("Repetitions:");
    }

    @Test
    @Order(6)
    void asManyAsPossibleAsksBeforeItMovesTheMaximumAndSaysWhatChanges() {
        String floor = "/sessions/" + session + "/floor";
        // 8 at 87.5 kg: 87.5 x (1 + 8 / 30) = 110.8
        String answer = post(
                floor + "/set",
                Map.of(
                        "key",
                        "p7-back squat",
                        "place",
                        "7",
                        "exercise",
                        "back squat",
                        "load",
                        "87.5",
                        "repetitions",
                        "8",
                        "script",
                        "1"));
        assertThat(answer).contains("would be 110.8 kg instead of 102 kg").contains("It changes 1 session ahead");
        assertThat(sql.queryForObject(
                        "select count(*) from strength_maximum where athlete_id = ?", Integer.class, athlete))
                .isEqualTo(1);
        assertThat(person.get(base + floor).body()).contains("would be 110.8 kg");
        String later = TODAY.plusDays(1).toString();
        assertThat(post("/strength/maxima", Map.of("exercise", "back squat", "kilograms", "120", "day", later)))
                .contains("The maximum of back squat is 120 kg from ")
                .doesNotContain("from when another holds");
        String before = TODAY.minusDays(40).toString();
        assertThat(post("/strength/maxima", Map.of("exercise", "Back  Squat", "kilograms", "95", "day", before)))
                .contains("from when another holds");
        person.get(base + "/board");
        post("/sessions/undo", Map.of("here", "board"));
        assertThat(person.get(base + floor).body()).as("another holds since").doesNotContain("would be 110.8 kg");
        person.get(base + "/board");
        post("/sessions/undo", Map.of("here", "board"));
        Matcher take = Pattern.compile("name=\"set\" value=\"(\\d+)\"[^>]*> ?<button class=\"primary\"")
                .matcher(person.get(base + floor).body().replaceAll(">\\s+<", "><"));
        assertThat(take.find()).isTrue();
        assertThat(post(floor + "/take", Map.of("set", take.group(1))))
                .contains("The maximum of back squat is 110.8 kg from ");
        assertThat(person.get(base + "/strength/maxima").body())
                .contains("110.8 kg")
                .contains("44.3 kg");
        person.get(base + "/board");
        post("/sessions/undo", Map.of("here", "board"));
        assertThat(person.get(base + "/strength/maxima").body())
                .contains("102 kg")
                .doesNotContain("110.8 kg");
    }

    @Test
    @Order(7)
    void aSwapTakesTheOthersMaximumAndFinishingGivesTheLoad() {
        String floor = "/sessions/" + session + "/floor";
        post(floor + "/swap", Map.of("exercise", "bench press", "with", "push-up"));
        assertThat(person.get(base + floor).body()).contains("push-up").doesNotContain("<h2>bench press");
        assertThat(post(floor + "/finish", Map.of("minutes", "42", "effort", "7")))
                .contains("This session is finished");
        Double load = sql.queryForObject("select done_load from session where id = ?", Double.class, session);
        assertThat(load).isCloseTo(70, org.assertj.core.data.Offset.offset(1e-9)); // 42 x 7 / 4.2
    }

    @Test
    @Order(8)
    void nobodyElseSeesTheFloor() {
        Person stranger = new Person(Running.ADDRESS).signUp("stranger.strength@pemblar.example", "run");
        assertThat(stranger.get(base + "/sessions/" + session + "/floor").statusCode())
                .isEqualTo(404);
        assertThat(stranger.get(base + "/strength/maxima").statusCode()).isEqualTo(404);
        stranger.get("/");
        assertThat(stranger.post(
                                base + "/strength/maxima",
                                Map.of("exercise", "row", "kilograms", "50", "day", TODAY.toString()))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    @Order(9)
    void setsStandOverMonthsAndInAFileAndAreNobodyElses() {
        String page = person.get(base + "/strength/sets").body();
        assertThat(page)
                .contains("back squat: maximum by the sets")
                .contains("about 110.8 kg for one repetition")
                .contains("what was left was not said, so it may be more");
        String csv = person.get(base + "/strength/sets/sets.csv").body();
        assertThat(csv)
                .startsWith("day,session,exercise,kilograms,repetitions")
                .contains(TODAY + ",Legs,back squat,87.5,8,0,");
        assertThat(person.get(base + "/strength/sets?exercise=moon&weeks=9999").statusCode())
                .isEqualTo(200);
        Person stranger = new Person(Running.ADDRESS).signUp("stranger.sets@pemblar.example", "ride");
        assertThat(stranger.get(base + "/strength/sets").statusCode()).isEqualTo(404);
        assertThat(stranger.get(base + "/strength/sets/sets.csv").statusCode()).isEqualTo(404);
        String own = stranger.get("/").uri().getPath().replaceAll("/today$", "");
        assertThat(stranger.get(own + "/strength/sets").body()).contains("No set was logged");
    }

    /** What is deleted counts nowhere, and counts again when it is brought back. */
    @Test
    @Order(10)
    void setsOfADeletedSessionAreGoneWithIt() {
        String row = TODAY + ",Legs,back squat,87.5,8,0,";
        post("/sessions/delete", Map.of("chosen", String.valueOf(session)));
        assertThat(person.get(base + "/strength/sets/sets.csv").body()).doesNotContain(row);
        assertThat(person.get(base + "/strength/sets").body()).doesNotContain("back squat: maximum by the sets");
        post("/sessions/undo", Map.of());
        assertThat(person.get(base + "/strength/sets/sets.csv").body()).contains(row);
    }

    /** Sets that are logged keep to their exercise when another goes, and nothing that was lifted is lost. */
    @Test
    @Order(21)
    void exercisesComeAndGoOnTheFloor() {
        post("/strength", Map.of("title", "Gym", "text", TEXT, "put", "1", "day", TODAY.toString()));
        long gym = sql.queryForObject("select max(id) from session where athlete_id = ?", Long.class, athlete);
        String floor = "/sessions/" + gym + "/floor";
        String place = "select place || ' ' || client_key from strength_set where session_id = ?";
        post(floor + "/set", set("p5-bench press", "5", "bench press", "40"));
        assertThat(post(floor + "/drop", Map.of("exercise", "split squat"))).contains("Without split squat this time");
        assertThat(sql.queryForList(place, String.class, gym)).containsExactly("3 p3-bench press");
        assertThat(post(floor + "/drop", Map.of("exercise", "bench press"))).contains("are logged; remove them first");
        assertThat(post(floor + "/add", Map.of("line", "plank 3 x 45s"))).contains("Added at the end: plank 3 x 45s");
        assertThat(post(floor + "/add", Map.of("line", "plank 2 x 30s"))).contains("is there already");
        assertThat(post(floor + "/add", Map.of("line", "plank x heavy"))).contains("line 1");
        assertThat(person.get(base + floor).body())
                .contains(">plank</h2>")
                .doesNotContain(">split squat</h2>")
                .contains("40 × 5");
        post(floor + "/notes", Map.of("exercise", "plank", "body", "no free mat"));
        assertThat(person.get(base + floor).body()).contains("no free mat");
        assertThat(person.get(base + "/notes").body()).contains("on plank");
        String review = person.get(base + "/sessions/" + gym).body();
        assertThat(review)
                .contains("3 x 5 at 80%")
                .contains("82.5 kg × 5 (3 sets)")
                .contains("40 kg × 5")
                .doesNotContain("but no steps yet");
    }

    private static Map<String, String> set(String key, String place, String exercise, String load) {
        return Map.of("key", key, "place", place, "exercise", exercise, "load", load, "repetitions", "5");
    }
}
