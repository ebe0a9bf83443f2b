package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.formats.fit.FitWorkout;

/**
 * The library over HTTP: what ships, what a coach shares, search, versions, files in and out, and edits of the drawing.
 */
@Tag("http")
class LibraryTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private static Person sefa;
    private static Person jonna;

    @BeforeAll
    static void signIn() {
        sefa = Person.demo("sefa");
        jonna = Person.demo("jonna");
    }

    private static String main(String page) {
        return Person.main(page);
    }

    private static long save(Person person, int athlete, String title, String text, String... more) {
        Map<String, String> form = new LinkedHashMap<>(Map.of(
                "title",
                title,
                "text",
                text,
                "sport",
                athlete == 2 ? "RUN" : "RIDE",
                "basis",
                athlete == 2 ? "PACE" : "POWER"));
        for (int i = 0; i < more.length; i += 2) form.put(more[i], more[i + 1]);
        person.get("/a/" + athlete + "/workouts/design");
        assertEquals(200, person.post("/a/" + athlete + "/workouts", form).statusCode());
        return SQL.queryForObject("select max(id) from workout where title = ?", Long.class, title);
    }

    @Test
    void everyShippedWorkoutCanBeDoneByTheDemoAthletes() {
        String rides = jonna.get("/a/1/workouts?whose=shipped&sport=ride").body();
        String runs = sefa.get("/a/2/workouts?whose=shipped&sport=run").body();
        assertFalse(main(rides).contains("set the threshold") || main(runs).contains("set the threshold"));
        int count = rides.split("design\\?id=-", -1).length + runs.split("design\\?id=-", -1).length - 2;
        assertTrue(count >= 40, count + " ship");
    }

    @Test
    void searchFindsByWordSportTimeLoadAndWhatItTrains() {
        assertTrue(main(jonna.get("/a/1/workouts?q=standing+hands").body()).contains("Seated, then standing"));
        assertTrue(main(jonna.get("/a/1/workouts?q=nothing+like+it").body()).contains("Nothing fits"));
        String brief = main(jonna.get("/a/1/workouts?from=20&to=40&sport=ride").body());
        assertTrue(brief.contains("Legs loose") && !brief.contains("Two hours even"));
        assertTrue(main(jonna.get("/a/1/workouts?load=30").body()).contains("Legs loose"));
        String sprints = main(jonna.get("/a/1/workouts?trains=5&sport=ride").body());
        assertTrue(sprints.contains("Standing starts") && !sprints.contains("Four by ten"));
        assertTrue(main(jonna.get("/a/1/workouts?tag=posture").body()).contains("Steep ramps"));
        assertEquals(400, jonna.get("/a/1/workouts?from=many").statusCode());
    }

    @Test
    void aCoachSharesAndOnlyOwnAthletesSeeIt() {
        Person oda = Person.demo("oda");
        long shared = save(oda, 1, "Shared by Oda", "20min 60%", "shared", "true");
        long kept = save(oda, 1, "Kept by Oda", "20min 60%");
        assertTrue(main(jonna.get("/a/1/workouts").body()).contains("Shared by Oda"));
        assertFalse(main(jonna.get("/a/1/workouts").body()).contains("Kept by Oda"));
        assertEquals(404, jonna.get("/a/1/workouts/" + kept + "/workout.json").statusCode());
        assertEquals(
                404,
                jonna.post("/a/1/workouts/" + shared + "/archive", Map.of("archived", "true"))
                        .statusCode());
        Person stranger = new Person(Running.ADDRESS).signUp("stranger@pemblar.example", "ride");
        String own = stranger.get("/").uri().getPath().replaceAll("/today$", "");
        assertEquals(
                404, stranger.get(own + "/workouts/" + shared + "/workout.json").statusCode());
    }

    @Test
    void aScheduledWorkoutKeepsItsVersionUntilToldToFollow() {
        long id = save(jonna, 1, "Growing", "20min 60%");
        jonna.get("/a/1/board");
        jonna.post(
                "/a/1/sessions",
                Map.of(
                        "workout",
                        String.valueOf(id),
                        "day",
                        LocalDate.now().plusDays(20).toString()));
        long session = SQL.queryForObject("select max(id) from session where workout_id = ?", Long.class, id);
        save(jonna, 1, "Growing", "30min 60%", "id", String.valueOf(id));
        assertEquals(
                1200, SQL.queryForObject("select planned_seconds from session where id = ?", Integer.class, session));
        assertTrue(jonna.get("/a/1/sessions/" + session).body().contains("newer version (2)"));
        jonna.post("/a/1/sessions/" + session + "/follow", Map.of());
        assertEquals(
                1800, SQL.queryForObject("select planned_seconds from session where id = ?", Integer.class, session));
        jonna.get("/a/1/board");
        jonna.post("/a/1/undo", Map.of());
        assertEquals(
                1200, SQL.queryForObject("select planned_seconds from session where id = ?", Integer.class, session));
        save(jonna, 1, "Growing", "30min 60%", "id", String.valueOf(id), "tags", "only a tag");
        assertEquals(
                2,
                SQL.queryForObject("select version from workout where id = ?", Integer.class, id),
                "a tag is no new version");
        jonna.get("/a/1/workouts");
        jonna.post("/a/1/workouts/" + id + "/archive", Map.of("archived", "true"));
        assertFalse(main(jonna.get("/a/1/workouts").body()).contains("Growing"));
        assertTrue(main(jonna.get("/a/1/workouts?whose=archived").body()).contains("Growing"));
    }

    @Test
    void filesGoOutAndComeInAndADamagedOneDoesNotStopTheRest() {
        byte[] fit = jonna.bytes("/a/1/workouts/-19/workout.fit");
        assertEquals("Six by three", FitWorkout.read(fit).workout().name());
        byte[] json = jonna.bytes("/a/1/workouts/-19/workout.json");
        byte[] text = jonna.bytes("/a/1/workouts/-19/workout.txt");
        assertTrue(new String(text, StandardCharsets.UTF_8).startsWith("15min 45>75%, 6 x (3min 110-115%"));
        jonna.get("/a/1/workouts");
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("one.fit", fit);
        files.put("cut.fit", Arrays.copyOf(fit, fit.length / 2));
        files.put("in-json.json", json);
        files.put("bad.json", "{\"version\":1}".getBytes());
        files.put("my words.txt", text);
        files.put("picture.png", new byte[] {1, 2});
        String page = main(jonna.upload("/a/1/workouts/import", files).body());
        assertTrue(page.contains("one.fit: in the library as “Six by three”"), page);
        assertTrue(page.contains("cut.fit: refused: ")
                && page.contains("bad.json: refused: ")
                && page.contains("picture.png: refused: "));
        assertTrue(page.contains("in-json.json: in the library") && page.contains("my words.txt: in the library"));
        long imported = SQL.queryForObject("select max(id) from workout where title = 'in json'", Long.class);
        assertArrayEquals(json, jonna.bytes("/a/1/workouts/" + imported + "/workout.json"));
    }

    @Test
    void theSheetHasTheWattsOfToday() {
        String sheet = main(jonna.get("/a/1/workouts/-16/sheet").body());
        assertTrue(
                sheet.contains("6 times")
                        && sheet.contains("“hands light”")
                        && Pattern.compile("\\d+ to \\d+ W").matcher(sheet).find(),
                sheet);
    }

    private static String edited(String text, String edit, String path, String... more) {
        Map<String, String> form = new LinkedHashMap<>(
                Map.of("text", text, "sport", "RIDE", "basis", "POWER", "edit", edit, "path", path));
        for (int i = 0; i < more.length; i += 2) form.put(more[i], more[i + 1]);
        return jonna.post("/a/1/workouts/edit", form).body();
    }

    private static String text(String answer) {
        Matcher matcher = Pattern.compile("data-text=\"([^\"]*)\"").matcher(answer);
        assertTrue(matcher.find(), answer);
        return org.springframework.web.util.HtmlUtils.htmlUnescape(matcher.group(1));
    }

    @Test
    void anEditOfTheDrawingAnswersWithTheTextAndTheFigures() {
        jonna.get("/a/1/workouts/design");
        assertEquals(
                "10min 50%, 3 x (5min 100%, 2min 50%)",
                text(edited("10min 50%, 3 x (4min 100%, 2min 50%)", "length", "1.0", "amount", "300")));
        String refused = edited("10min open", "raise", "0", "amount", "5");
        assertTrue(refused.contains("That does not go: an open step has no target to move")
                && text(refused).equals("10min open"));
        assertTrue(edited("10min 50%", "delete", "0").contains("at least one step"));
        assertTrue(edited("10min 50%", "explode", "0").contains("no edit called"));
        assertTrue(edited("10min 50%", "raise", "9", "amount", "3").contains("there is no step 9"));
        assertTrue(edited("10min 50%, 6 x (3min 130%, 1min 50%)", "raise", "0", "amount", "1")
                .contains("s more rest each time makes it possible"));
    }

    @Test
    void whatNobodyCouldRideIsRefusedAtItsPlace() {
        for (String text : new String[] {
            "", "0s 50%", "10min 400%", "10000 x (1min 50%)", "48h 50%", "2 x (2 x (2 x (1min 50%)))", "10min z9"
        }) {
            String answer = jonna.post(
                            "/a/1/workouts/forecast", Map.of("text", text, "sport", "RIDE", "basis", "POWER"))
                    .body();
            assertTrue(
                    answer.contains("Accepted here") || answer.contains("zone must be z1 to z7"),
                    text + " -> " + answer);
        }
    }
}
