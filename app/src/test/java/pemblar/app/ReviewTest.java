package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.session.change.DeletionService;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitActivityWriter;
import pemblar.formats.fit.FitWorkouts;

/**
 * The review of a recording over HTTP: mending, what it cost, what it was, the list, and files that are not as they
 * should be.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class ReviewTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private static final Instant START = Instant.parse("2026-10-06T16:00:00Z");
    private static Person person;
    private static long athlete;
    private static long session;

    @BeforeAll
    static void aRideThatDroveHome() {
        person = new Person(Running.ADDRESS).signUp("revna@pemblar.example", "ride");
        athlete = SQL.queryForObject(
                "select a.id from athlete a join account c on c.id = a.account_id where c.email = "
                        + "'revna@pemblar.example'",
                Long.class);
        person.post(
                "/a/" + athlete + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "250",
                        "THRESHOLD_HEART_RATE",
                        "168",
                        "MAXIMUM_HEART_RATE",
                        "188",
                        "RESTING_HEART_RATE",
                        "48",
                        "BODY_MASS",
                        "68",
                        "CRITICAL_POWER",
                        "245",
                        "W_PRIME",
                        "18",
                        "from",
                        "2026-01-01"));
        Thresholds values = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250);
        byte[] plan = FitWorkouts.of(
                        "Fives",
                        Shorthand.read("10min 60%, 4 x (3min 108%, 3min 50%), 5min 45%", Sport.RIDE)
                                .workout()
                                .orElseThrow(),
                        values)
                .write(1, START);
        session = uploaded(
                "home.fit",
                HeadUnit.follow(
                        plan,
                        new Body(Sport.RIDE, 255, 26_000, 4, 48, 188, 68),
                        START,
                        new Random(4),
                        new Faults(0, 1200, true, false, 0.2)));
    }

    private static long uploaded(String name, byte[] bytes) {
        int before = count();
        person.get("/a/" + athlete + "/sessions");
        person.upload("/a/" + athlete + "/sessions/upload", Map.of(name, bytes));
        Eventually.holds(Duration.ofSeconds(60), () -> count() > before);
        Map<String, Object> file = SQL.queryForMap(
                "select state, message, session_id from import_file where athlete_id = ? order by id desc limit 1",
                athlete);
        assertThat(file.get("state")).as(name + ": " + file.get("message")).isEqualTo("DONE");
        return (Long) file.get("session_id");
    }

    private static int count() {
        return SQL.queryForObject(
                "select count(*) from import_file where athlete_id = ? and state <> 'WAITING'", Integer.class, athlete);
    }

    private static double load() {
        return SQL.queryForObject(
                "select r.load_points from recording r join session s on s.recording_id = r.id where s.id = ?",
                Double.class,
                session);
    }

    private static int seconds() {
        return SQL.queryForObject(
                "select r.timer_seconds from recording r join session s on s.recording_id = r.id where s.id = ?",
                Integer.class,
                session);
    }

    private static String base() {
        return "/a/" + athlete + "/sessions/" + session;
    }

    /** As the list has it. */
    private static String listed() {
        return "name=\"chosen\" value=\"" + session + "\"";
    }

    @Test
    @Order(1)
    void whatIsProposedIsMendedByOneActionAndEverythingFollowsAndComesBack() {
        String page = person.get(base()).body();
        assertThat(page)
                .contains("The device ran on for")
                .contains("Heart rate stands still")
                .contains("by heart rate");
        byte[] original = person.bytes(base() + "/original");
        double before = load();
        int all = seconds();
        person.post(base() + "/mend/accept", Map.of("kind", "LEFT_RUNNING"));
        assertThat(seconds()).isBetween(all - 1205, all - 1200);
        assertThat(load()).isLessThan(before);
        person.post(base() + "/mend/accept", Map.of("kind", "STUCK_HEART_RATE"));
        page = person.get(base()).body();
        assertThat(page)
                .doesNotContain("id=\"proposals\"")
                .contains("Kept 0:00")
                .contains("heart rate stood still");
        assertThat(person.bytes(base() + "/original")).isEqualTo(original);
        double mended = load();
        person.post(base() + "/undo", Map.of());
        person.post(base() + "/undo", Map.of());
        assertThat(seconds()).isEqualTo(all);
        assertThat(load()).isEqualTo(before);
        person.post(base() + "/mend/accept", Map.of("kind", "LEFT_RUNNING"));
        person.post(base() + "/mend/accept", Map.of("kind", "STUCK_HEART_RATE"));
        assertThat(load()).isEqualTo(mended);
    }

    @Test
    @Order(2)
    void aHiddenChannelIsGoneFromSummaryZonesAndBestEffortsAndATakenBackCorrectionBringsItBack() {
        int curves =
                SQL.queryForObject("select count(*) from effort_curve where athlete_id = ?", Integer.class, athlete);
        person.post(base() + "/mend", Map.of("what", "HIDE", "channel", "heartRate"));
        assertThat(SQL.queryForObject("select count(*) from effort_curve where athlete_id = ?", Integer.class, athlete))
                .isEqualTo(curves - 1);
        assertThat(person.get(base()).body()).contains("has no <b>heart rate</b>");
        long edit = SQL.queryForObject(
                "select max(e.id) from recording_edit e join session s on s.recording_id = e.recording_id "
                        + "where s.id = ?",
                Long.class,
                session);
        person.post(base() + "/mend/" + edit + "/take-back", Map.of());
        assertThat(SQL.queryForObject("select count(*) from effort_curve where athlete_id = ?", Integer.class, athlete))
                .isEqualTo(curves);
        assertThat(person.get(base()).body()).doesNotContain("has no <b>heart rate</b>");
    }

    @Test
    @Order(3)
    void aCorrectionThatCannotBeIsRefusedInWordsAndNothingChanges() {
        double before = load();
        assertThat(person.post(base() + "/mend", Map.of("what", "HIDE", "channel", "nonsense"))
                        .body())
                .contains("has no nonsense");
        assertThat(person.post(base() + "/mend", Map.of("what", "TRIM", "from", "100", "to", "102"))
                        .body())
                .contains("Nothing of the recording would be left");
        assertThat(person.post(base() + "/mend", Map.of("what", "TRIM", "from", "500", "to", "100"))
                        .body())
                .contains("start before the end");
        assertThat(person.post(base() + "/mend", Map.of("what", "BURN", "channel", "power"))
                        .body())
                .contains("not known");
        assertThat(load()).isEqualTo(before);
        Person stranger = Person.demo("sefa");
        stranger.get("/a/2/today");
        for (String path : List.of(
                "/mend",
                "/mend/accept?kind=SPIKE",
                "/load",
                "/describe",
                "/verdict?words=x",
                "/notes?body=x",
                "/delete",
                "/undo",
                "/stretches/reset",
                "/derive?name=x&left=power&operation=OVER&right=power",
                "/ranges?from=1&to=2&name=x",
                "/lanes?settings=x"))
            assertThat(stranger.post(base() + path, Map.of("what", "HIDE", "channel", "power"))
                            .statusCode())
                    .as(path)
                    .isEqualTo(404);
        for (String path : List.of("/channels", "/marks", "/range?from=0&to=9"))
            assertThat(stranger.get(base() + path).statusCode()).as(path).isEqualTo(404);
        for (String path :
                List.of("/compare", "/compare/add?session=" + session, "/compare/1", "/compare/1/comparison.csv"))
            assertThat(stranger.get("/a/" + athlete + path).statusCode())
                    .as(path)
                    .isEqualTo(404);
        assertThat(stranger.get("/a/2/compare/add?session=" + session).statusCode())
                .isEqualTo(404);
    }

    @Test
    @Order(4)
    void ownLoadNeedsAReasonCountsEverywhereAndSurvivesANewThreshold() {
        double computed = load();
        assertThat(person.post(base() + "/load", Map.of("source", "SET", "points", "140"))
                        .body())
                .contains("Reason: say why");
        assertThat(person.post(base() + "/load", Map.of("source", "SET", "points", "140", "reason", "", "effort", "7"))
                        .body())
                .as("what was typed stays")
                .contains("value=\"140\"")
                .contains("value=\"7\"");
        assertThat(person.post(base() + "/load", Map.of("source", "SET", "points", "-3", "reason", "heat"))
                        .body())
                .contains("Load:");
        assertThat(person.post(base() + "/load", Map.of("source", "PERCEIVED_EFFORT"))
                        .body())
                .contains("no load from it");
        String page = person.post(base() + "/load", Map.of("source", "SET", "points", "140", "reason", "standing"))
                .body();
        assertThat(load()).isEqualTo(140);
        assertThat(page).contains("set by hand").contains("standing · Test Person");
        assertThat(person.get("/a/" + athlete + "/sessions").body()).containsPattern("<b\\s*>140</b");
        person.post("/a/" + athlete + "/thresholds/adopt", Map.of("THRESHOLD_POWER", "260", "from", "2026-09-01"));
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> SQL.queryForObject(
                                "select count(*) from recomputation where athlete_id = ? and done < total",
                                Integer.class,
                                athlete)
                        == 0);
        assertThat(load()).isEqualTo(140);
        person.post(base() + "/load", Map.of("source", "PERCEIVED_EFFORT", "effort", "8"));
        person.post(base() + "/load", Map.of("source", "HEART_RATE", "effort", "8"));
        person.post(base() + "/load", Map.of("source", "PERCEIVED_EFFORT", "effort", "8"));
        assertThat(load()).isEqualTo(seconds() / 60.0 * 8 / 420 * 100);
        person.post(base() + "/load", Map.of("source", ""));
        assertThat(load()).isLessThan(computed); // a higher threshold, by power again
    }

    /** Who types a value of their own means it, whatever the list above it still says. */
    @Test
    @Order(3)
    void anOwnLoadCountsAlthoughTheListSaysTheFirst() {
        person.post(base() + "/load", Map.of("source", "", "points", "123", "reason", "standing"));
        assertThat(SQL.queryForObject(
                        "select set_load from recording where id = (select recording_id from session where id = ?)",
                        Double.class,
                        session))
                .isEqualTo(123);
        person.post(base() + "/load", Map.of("source", "", "points", "123", "reason", ""));
        assertThat(SQL.queryForObject(
                        "select set_load from recording where id = (select recording_id from session where id = ?)",
                        Double.class,
                        session))
                .as("the value that stood there is no wish")
                .isNull();
    }

    @Test
    @Order(5)
    void stretchesAreCutByHandInSecondsOfTheOriginalSoThatATrimDoesNotMoveThem() {
        person.get(base());
        String moved = person.post(base() + "/stretches/move", Map.of("index", "1", "from", "605", "to", "780"))
                .body();
        assertThat(moved).contains("set by hand").contains("data-from=\"605\"");
        assertThat(moved)
                .as("the line with undo follows")
                .contains("hx-swap-oob")
                .contains("Moved a boundary of");
        String split =
                person.post(base() + "/stretches/split", Map.of("at", "11:00")).body();
        assertThat(split).contains("data-from=\"605\" data-to=\"660\"").contains("data-from=\"660\" data-to=\"780\"");
        assertThat(person.post(base() + "/stretches/split", Map.of("at", "soon"))
                        .body())
                .contains("Split at")
                .contains("data-to=\"660\"");
        person.post(base() + "/undo", Map.of());
        assertThat(person.post(base() + "/stretches/move", Map.of("index", "1", "from", "605", "to", "99999"))
                        .body())
                .contains("stretch");
        person.post(base() + "/mend", Map.of("what", "TRIM", "from", "300", "to", String.valueOf(seconds())));
        assertThat(person.get(base()).body())
                .contains("data-from=\"305\"")
                .doesNotContain("data-from=\"605\" data-to=\"780\"");
        person.post(base() + "/undo", Map.of());
        assertThat(person.get(base()).body()).contains("data-from=\"605\"");
        assertThat(person.post(base() + "/stretches/reset", Map.of()).body()).doesNotContain("set by hand");
    }

    @Test
    @Order(6)
    void wordsTagsAndNotesAreFoundAgainInTheList() {
        person.post(
                base() + "/describe",
                Map.of(
                        "kind",
                        "training",
                        "equipment",
                        "grey bike",
                        "surface",
                        "gravel",
                        "weather",
                        "wet",
                        "tags",
                        "club, hill"));
        person.post(base() + "/notes", Map.of("body", "The left knee held. <b>no</b>", "second", "700"));
        person.post(base() + "/verdict", Map.of("words", "Well held to the end.", "then", "keep"));
        person.post(base() + "/verdict", Map.of("words", "Well held to the end.", "then", "send"));
        String page = person.get(base()).body();
        assertThat(page)
                .contains("grey bike")
                .contains("#hill")
                .contains("at 11:40")
                .contains("&lt;b&gt;no&lt;/b&gt;")
                .contains("in your words");
        String list = "/a/" + athlete + "/sessions";
        String found = listed();
        for (String query : List.of(
                "?text=left+knee",
                "?text=HILL",
                "?surface=gravel&equipment=grey+bike",
                "?tag=club",
                "?weather=wet&minutes=20&load=5&with=RECORDING",
                "?by=LOAD&rising=true",
                "?by=TITLE",
                "?text=100%25&from=garbage".replace("100%25", "")))
            assertThat(person.get(list + query).body()).as(query).contains(found);
        for (String query : List.of(
                "?text=right+knee",
                "?tag=clu",
                "?surface=road",
                "?minutes=900",
                "?text=%25nothing",
                "?with=PLAN",
                "?sport=RUN",
                "?from=2027-01-01"))
            assertThat(person.get(list + query).body()).as(query).doesNotContain(found);
        assertThat(person.post(base() + "/describe", Map.of("tags", "x".repeat(50)))
                        .body())
                .contains("Tags: each has at most");
    }

    @Test
    @Order(7)
    void aSessionIsExportedInEveryFormatThatItCanHave() {
        String list = "/a/" + athlete + "/sessions";
        person.get(list);
        assertThat(person.post(list + "/export", Map.of("chosen", String.valueOf(session), "as", "CSV"))
                        .body())
                .startsWith("second,time,power [W]");
        assertThat(person.post(list + "/export", Map.of("chosen", String.valueOf(session), "as", "JSON"))
                        .body())
                .startsWith("{\"version\":1");
        assertThat(person.post(list + "/export", Map.of("as", "CSV")).statusCode())
                .isEqualTo(400);
        assertThat(person.post(list + "/export", Map.of("chosen", String.valueOf(session), "as", "GPX"))
                        .body())
                .contains("no positions");
        assertThat(person.post(list + "/export", Map.of("chosen", "1", "as", "CSV"))
                        .statusCode())
                .as("another athlete's session")
                .isEqualTo(400);
    }

    @Test
    @Order(8)
    void aDeletedSessionIsGoneEverywhereAndComesBackWhole() {
        String list = "/a/" + athlete + "/sessions";
        person.get(list);
        double before = load();
        int curves =
                SQL.queryForObject("select count(*) from effort_curve where athlete_id = ?", Integer.class, athlete);
        person.post(list + "/delete", Map.of("chosen", String.valueOf(session)));
        assertThat(person.get(base()).statusCode()).isEqualTo(404);
        assertThat(person.get(list).body()).doesNotContain(listed());
        assertThat(SQL.queryForObject("select count(*) from effort_curve where athlete_id = ?", Integer.class, athlete))
                .isZero();
        person.get(list);
        person.post(list + "/undo", Map.of());
        assertThat(person.get(base()).body()).contains("grey bike").contains("left knee");
        assertThat(load()).isEqualTo(before);
        assertThat(SQL.queryForObject("select count(*) from effort_curve where athlete_id = ?", Integer.class, athlete))
                .isEqualTo(curves);
        byte[] original = person.bytes(base() + "/original");
        person.post(list + "/delete", Map.of("chosen", String.valueOf(session)));
        session = uploaded("again.fit", original);
        assertThat(person.get(base()).statusCode()).isEqualTo(200);
    }

    @Test
    @Order(9)
    void groupsAreComparedAndWhatIsEnteredByHandSaysSo() {
        person.get(base());
        String compared = person.post(
                        "/a/" + athlete + "/compare/add",
                        Map.of("session", String.valueOf(session), "name", "Before and after", "group", "before"))
                .uri()
                .getPath();
        assertThat(compared).matches("/a/\\d+/compare/\\d+");
        String id = compared.replaceAll(".*/", "");
        String page = person.post(
                        "/a/" + athlete + "/compare/add",
                        Map.of(
                                "session",
                                String.valueOf(session),
                                "comparison",
                                id,
                                "group",
                                "after",
                                "from",
                                "100",
                                "to",
                                "400"))
                .body();
        assertThat(page).contains("Too little to compare").contains("<b>after</b>");
        page = person.post(
                        compared + "/line",
                        Map.of("line", "1", "what", "enter", "column", "HEART_RATE", "value", "151"))
                .body();
        assertThat(page).contains("entered by hand").contains("151 *");
        assertThat(person.post(
                                compared + "/derive",
                                Map.of(
                                        "name",
                                        "watts a beat",
                                        "left",
                                        "WATTS",
                                        "operation",
                                        "OVER",
                                        "right",
                                        "HEART_RATE"))
                        .body())
                .contains("watts a beat");
        assertThat(person.post(
                                compared + "/derive",
                                Map.of(
                                        "name",
                                        "watts a beat",
                                        "left",
                                        "WATTS",
                                        "operation",
                                        "OVER",
                                        "right",
                                        "HEART_RATE"))
                        .body())
                .contains("already");
        person.post(compared + "/line", Map.of("line", "2", "what", "hide"));
        String csv = person.get(compared + "/comparison.csv").body();
        assertThat(csv.lines().count()).isEqualTo(6);
        assertThat(csv)
                .contains("watts a beat")
                .contains("151")
                .contains("heart_rate")
                .contains("true");
        assertThat(person.get(compared + "/overlay").body()).contains("class=\"trace group-0\"");
        person.get(compared);
        person.post(compared + "/drop", Map.of());
        assertThat(person.get(compared).statusCode()).isEqualTo(404);
        person.get("/a/" + athlete + "/compare");
        person.post("/a/" + athlete + "/compare/-1/undo", Map.of());
        assertThat(person.get(compared).body()).contains("151 *");
    }

    private static byte[] fit(
            int seconds, Map<String, double[]> channels, List<Pause> pauses, List<Lap> laps, Instant start) {
        Map<String, Series> series = new LinkedHashMap<>();
        channels.forEach((key, values) -> series.put(key, Series.of(values)));
        return FitActivityWriter.write(new Recording(Sport.RIDE, start, seconds, pauses, series, laps), 7);
    }

    private static double[] filled(int seconds, double value) {
        double[] values = new double[seconds];
        Arrays.fill(values, value);
        return values;
    }

    /** Each opens, says what is missing, and shows what there is. */
    @Test
    @Order(10)
    void recordingsThatAreNotAsTheyShouldBeOpenAndSayWhatIsMissing() {
        Instant day = Instant.parse("2026-08-01T06:00:00Z");
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("twenty seconds", fit(20, Map.of("power", filled(20, 200)), List.of(), List.of(), day));
        files.put(
                "two days",
                fit(
                        172_800,
                        Map.of("speed", filled(172_800, 3), "heartRate", filled(172_800, 100)),
                        List.of(),
                        List.of(),
                        day.plusSeconds(86_400)));
        files.put(
                "without power",
                fit(900, Map.of("speed", filled(900, 8)), List.of(), List.of(), day.plusSeconds(400_000)));
        files.put(
                "without distance",
                fit(
                        900,
                        Map.of("power", filled(900, 210), "heartRate", filled(900, 140)),
                        List.of(),
                        List.of(),
                        day.plusSeconds(500_000)));
        files.put(
                "a clock that jumps",
                fit(
                        900,
                        Map.of("power", filled(900, 210)),
                        List.of(new Pause(400, 40_000)),
                        List.of(),
                        day.plusSeconds(600_000)));
        files.put(
                "laps that disagree",
                fit(
                        900,
                        Map.of("power", filled(900, 210)),
                        List.of(),
                        List.of(new Lap(0, 500, Lap.NO_STEP), new Lap(300, 5000, Lap.NO_STEP)),
                        day.plusSeconds(700_000)));
        files.put(
                "two sports",
                FitActivityWriter.chain(List.of(
                        fit(600, Map.of("power", filled(600, 190)), List.of(), List.of(), day.plusSeconds(800_000)),
                        FitActivityWriter.write(
                                new Recording(
                                        Sport.RUN,
                                        day.plusSeconds(801_000),
                                        600,
                                        List.of(),
                                        Map.of("speed", Series.of(filled(600, 3))),
                                        List.of()),
                                8))));
        files.forEach((name, bytes) -> {
            long id = uploaded(name + ".fit", bytes);
            String page = person.get("/a/" + athlete + "/sessions/" + id).body();
            assertThat(page).as(name).contains("id=\"lanes\"");
            assertThat(person.get("/a/" + athlete + "/sessions/" + id + "/channels")
                            .statusCode())
                    .as(name)
                    .isEqualTo(200);
            assertThat(person.get("/a/" + athlete + "/sessions/" + id + "/range?from=0&to=15")
                            .body())
                    .as(name)
                    .contains("from 0:00");
            if (name.equals("without power")) assertThat(page).contains("has no <b>power, heart rate");
            if (name.equals("without distance")) assertThat(page).contains("distance");
            if (name.equals("two sports"))
                assertThat(page).as("what became of the other sport is said").containsIgnoringCase("sport");
        });
    }

    /** A best effort that was set aside stays aside when the start is trimmed, and comes back with undo. */
    @Test
    @Order(12)
    void whatWasSetAsideStaysAsideWhenTheStartIsTrimmed() {
        Instant start = Instant.parse("2026-11-20T06:00:00Z");
        double[] watts = filled(1800, 200);
        watts[1000] = 900;
        session = uploaded("spike.fit", fit(1800, Map.of("power", watts), List.of(), List.of(), start));
        long recording = SQL.queryForObject("select recording_id from session where id = ?", Long.class, session);
        assertThat(bestSecondOfTheCurve()).isEqualTo("900");
        String curve = "/a/" + athlete + "/thresholds/curve";
        String page = person.post(
                        curve + "/set-aside",
                        Map.of("recording", String.valueOf(recording), "seconds", "1", "reason", "spike"))
                .body();
        assertThat(bestSecond(recording)).isEqualTo(200);
        assertThat(bestSecondOfTheCurve()).isNotEqualTo("900");
        person.get(base());
        person.post(base() + "/mend", Map.of("what", "TRIM", "from", "400", "to", "1800"));
        assertThat(bestSecond(recording)).isEqualTo(200);
        person.post(base() + "/undo", Map.of());
        assertThat(bestSecond(recording)).isEqualTo(200);
        String aside = page.replaceAll("(?s).*name=\"id\" value=\"(\\d+)\".*", "$1");
        person.post(curve + "/bring-back", Map.of("id", aside));
        assertThat(bestSecondOfTheCurve()).isEqualTo("900");
        person.post(base() + "/delete", Map.of());
        assertThat(bestSecondOfTheCurve()).isNotEqualTo("900");
        person.post(base() + "/undo", Map.of());
        assertThat(bestSecondOfTheCurve()).isEqualTo("900");
        person.post(
                curve + "/set-aside",
                Map.of("recording", String.valueOf(recording), "seconds", "1", "reason", "spike"));
    }

    /** As the page tells it of all sessions, by a curve that may have been combined before. */
    private static String bestSecondOfTheCurve() {
        return person.get("/a/" + athlete + "/thresholds/curve")
                .body()
                .replaceAll("(?s).*?<td class=\"num\">(\\d+)</td>.*", "$1");
    }

    private static double bestSecond(long recording) {
        return java.nio.ByteBuffer.wrap(SQL.queryForObject(
                        "select means from effort_curve where recording_id = ? and measure = 'POWER'",
                        byte[].class,
                        recording))
                .getFloat();
    }

    @Test
    @Order(11)
    void anotherDevicesHeartRateTakesThePlaceOfABadOne() {
        Instant start = Instant.parse("2026-07-05T06:00:00Z");
        session = uploaded(
                "bad.fit",
                fit(
                        1200,
                        Map.of("power", filled(1200, 220), "heartRate", filled(1200, 90)),
                        List.of(),
                        List.of(),
                        start));
        uploaded(
                "strap.fit",
                fit(1190, Map.of("heartRate", filled(1190, 151)), List.of(), List.of(), start.plusSeconds(5)));
        long other = SQL.queryForObject("select max(id) from recording where athlete_id = ?", Long.class, athlete);
        assertThat(person.get(base()).body()).contains("its clock is behind by");
        person.post(
                base() + "/mend",
                Map.of("what", "REPLACE", "channel", "heartRate", "other", String.valueOf(other), "shift", "0"));
        assertThat(meanBpm()).isEqualTo(151);
        assertThat(person.post(
                                base() + "/mend",
                                Map.of(
                                        "what",
                                        "REPLACE",
                                        "channel",
                                        "cadence",
                                        "other",
                                        String.valueOf(other),
                                        "shift",
                                        "0"))
                        .body())
                .contains("no cadence at the same time");
        assertThat(meanBpm()).isEqualTo(151);
        lentAndDeleted(other);
        for (String what : List.of("trimmed", "deleted", "replaced")) {
            person.get(base());
            assertThat(person.post(base() + "/undo", Map.of()).body()).containsIgnoringCase("Taken back: " + what);
        }
        assertThat(meanBpm()).isEqualTo(90);
        assertThat(new String(person.bytes(base() + "/channels"), StandardCharsets.UTF_8))
                .contains("\"heartRate\"");
    }

    private static double meanBpm() {
        return SQL.queryForObject(
                "select r.mean_bpm from recording r join session s on s.recording_id = r.id where s.id = ?",
                Double.class,
                session);
    }

    /**
     * Whoever took the heart rate of a second device deletes its session, so that it does not count twice: what was
     * lent stays, for good.
     */
    private static void lentAndDeleted(long lender) {
        long second = SQL.queryForObject("select id from session where recording_id = ?", Long.class, lender);
        byte[] file = person.bytes("/a/" + athlete + "/sessions/" + second + "/original");
        deleteForGood(second);
        assertThat(SQL.queryForObject("select count(*) from session where id = ?", Integer.class, second))
                .isZero();
        assertThat(SQL.queryForObject("select count(*) from recording where id = ?", Integer.class, lender))
                .as("the lender stays")
                .isEqualTo(1);
        person.get(base());
        person.post(base() + "/mend", Map.of("what", "TRIM", "from", "10", "to", "1190"));
        assertThat(meanBpm()).as("computed anew from what was lent").isEqualTo(151);
        long again = uploaded("strap again.fit", file);
        assertThat(person.get("/a/" + athlete + "/sessions/" + again).statusCode())
                .isEqualTo(200);
        assertThat(meanBpm()).isEqualTo(151);
    }

    private static void deleteForGood(long id) {
        person.get("/a/" + athlete + "/sessions");
        person.post("/a/" + athlete + "/sessions/delete", Map.of("chosen", String.valueOf(id)));
        DeletionService deletion = Running.APPLICATION.getBean(DeletionService.class);
        deletion.purge();
        assertThat(SQL.queryForObject("select count(*) from session where id = ?", Integer.class, id))
                .as("within the day")
                .isEqualTo(1);
        SQL.update(
                "update recording set deleted_at = deleted_at - interval '25 hours' where id = (select "
                        + "recording_id from session where id = ?)",
                id);
        SQL.update("update session set deleted_at = deleted_at - interval '25 hours' where id = ?", id);
        deletion.purge();
    }

    @Test
    @Order(13)
    void severalAreExportedAsOneArchiveAndADerivedChannelIsALane() {
        String list = "/a/" + athlete + "/sessions";
        person.get(list);
        String two = SQL
                .queryForList(
                        "select id from session where athlete_id = ? and deleted_at is null order by id desc limit 2",
                        Long.class,
                        athlete)
                .stream()
                .map(id -> "&chosen=" + id)
                .reduce("", String::concat);
        assertThat(person.post(list + "/export?as=GPX" + two, Map.of()).body())
                .startsWith("PK")
                .contains("no positions.txt");
        person.get(base());
        Map<String, String> twice =
                Map.of("name", "twice the power", "left", "power", "operation", "PLUS", "right", "power");
        person.post(base() + "/derive", twice);
        assertThat(person.get(base() + "/channels").body())
                .contains("twice the power")
                .contains("power + power");
        assertThat(person.post(base() + "/derive", twice).body()).contains("already");
        assertThat(person.post(
                                base() + "/derive",
                                Map.of("name", "x", "left", "power", "operation", "PLUS", "right", "moon"))
                        .body())
                .contains("has no “moon”");
        long derived = SQL.queryForObject("select id from derived_channel where athlete_id = ?", Long.class, athlete);
        person.post(base() + "/derive/" + derived + "/drop", Map.of());
        assertThat(person.get(base() + "/channels").body()).doesNotContain("twice the power");
    }

    @Test
    @Order(14)
    void whatNobodyBroughtBackInADayIsDeletedForGood() {
        long recording = SQL.queryForObject("select recording_id from session where id = ?", Long.class, session);
        deleteForGood(session);
        assertThat(SQL.queryForObject("select count(*) from session where id = ?", Integer.class, session))
                .isZero();
        assertThat(SQL.queryForObject(
                        "select count(*) from recording_data where recording_id = ?", Integer.class, recording))
                .isZero();
        person.get("/a/" + athlete + "/sessions");
        person.post("/a/" + athlete + "/sessions/undo", Map.of());
        assertThat(person.get(base()).statusCode())
                .as("an undo that comes too late brings nothing back")
                .isEqualTo(404);
    }
}
