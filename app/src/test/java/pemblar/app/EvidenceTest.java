package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** Evidence, calculators, the curve and the profile, over HTTP as a person without a script would use them. */
@Tag("http")
class EvidenceTest {
    private static final String TODAY = LocalDate.now().toString();
    private static Person nora;
    private static String thresholds;

    @BeforeAll
    static void signUp() {
        nora = new Person(Running.ADDRESS).signUp("nora@pemblar.example", "ride");
        thresholds = nora.get("/").uri().getPath().replaceAll("/today$", "") + "/thresholds";
    }

    private static String tried(Map<String, String> fields) {
        StringBuilder query = new StringBuilder("?calculate=1");
        fields.forEach(
                (name, value) -> query.append('&').append(name).append('=').append(value));
        return nora.get(thresholds + "/evidence/try" + query).body();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "method=TWO_EFFORTS&sport=RIDE&shortTime=3:00&shortWatts=380"
                        + "&longTime=8:00&longWatts=300"
                        + "&shortDay=2026-05-01&longDay=2026-05-01 | at least 3 times | 8:00",
                "method=RACE_BY_POWER&sport=RIDE&time=3:00&watts=320&day=2026-05-01 | 10 min or more | 3:00",
                "method=RACE_BY_POWER&sport=RIDE&time=1:00:00&watts=2000&day=2026-05-01 | Nobody holds 2000 W | 2000",
                "method=RACE_BY_POWER&sport=RIDE&time=an hour&watts=200&day=2026-05-01 | is not a time | an hour",
                "method=TWENTY_MINUTES&sport=RIDE&watts=many&factor=0.95&day=2026-05-01 | is not a number | many",
                "method=TWENTY_MINUTES&sport=RIDE&watts=280&factor=1.4&day=2026-05-01 | 0.90 to 0.97 | 1.4"
            })
    void impossibleInputIsRefusedInPlaceAndKept(String form, String reason, String kept) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String pair : form.split("&")) fields.put(pair.split("=")[0], pair.split("=")[1].replace(" ", "%20"));
        String page = tried(fields);
        assertTrue(page.contains(reason), Person.main(page));
        assertTrue(page.contains("value=\"" + kept + "\""));
        assertFalse(page.contains("Keep as evidence"));
        Map<String, String> post = new HashMap<>();
        for (String pair : form.split("&")) post.put(pair.split("=")[0], pair.split("=")[1]);
        assertTrue(nora.post(thresholds + "/evidence", post).body().contains(reason), "keeping refuses it as well");
    }

    @Test
    void tryingKeepsNothingAndKeepingJoinsTheSuggestion() {
        String page = tried(
                Map.of("method", "RACE_BY_POWER", "sport", "RIDE", "time", "5:10:00", "watts", "190", "day", TODAY));
        assertTrue(page.contains("214 W") && page.contains("range 208 to 224 W"), Person.main(page));
        assertTrue(page.contains("Exponent 0.070: the usual value")
                && page.contains("The range is wide: from 5 h 10 min to 55 min"));
        assertFalse(nora.get(thresholds + "/evidence").body().contains("Adopt …"));
        nora.post(
                thresholds + "/evidence",
                Map.of(
                        "method",
                        "TWENTY_MINUTES",
                        "sport",
                        "RIDE",
                        "watts",
                        "280",
                        "factor",
                        "0.95",
                        "day",
                        TODAY,
                        "name",
                        "hall & wind"));
        String evidence = nora.get(thresholds + "/evidence").body();
        assertTrue(
                evidence.contains("258 to 274 W, most likely 266; one piece of evidence, from today"),
                Person.main(evidence));
        assertTrue(evidence.contains("hall &amp; wind"));
        String key = first(evidence, "name=\"key\" value=\"(kept-\\d+)\"");
        String aside = nora.post(
                        thresholds + "/evidence/set-aside",
                        Map.of("key", key, "reason", "downhill", "of", "ride-power"))
                .body();
        assertTrue(aside.contains("set aside: downhill") && !aside.contains("most likely"));
        assertTrue(nora.post(thresholds + "/evidence/bring-back", Map.of("key", key, "of", "ride-power"))
                .body()
                .contains("most likely 266"));
        String id = key.substring(5);
        assertFalse(nora.post(thresholds + "/evidence/delete", Map.of("id", id, "of", "ride-power"))
                .body()
                .contains("most likely"));
    }

    @Test
    void aResultCannotLieAhead() {
        String page = nora.post(
                        thresholds + "/evidence",
                        Map.of(
                                "method",
                                "RAMP",
                                "sport",
                                "RIDE",
                                "watts",
                                "350",
                                "day",
                                LocalDate.now().plusDays(3).toString()))
                .body();
        assertTrue(page.contains("cannot lie ahead"));
    }

    private static String first(String page, String pattern) {
        Matcher matcher = Pattern.compile(pattern).matcher(page);
        assertTrue(matcher.find(), pattern + " in " + Person.main(page));
        return matcher.group(1);
    }

    @Test
    void theDemoRiderHasEvidenceOfEveryKind() {
        String page = Person.demo("jonna").get("/a/1/thresholds/evidence").body();
        for (String method : new String[] {
            "20 min test", "two efforts", "trial or race by power", "best efforts of 90 days", "reserve below zero"
        }) assertTrue(page.contains(method), method);
        assertTrue(page.contains("Critical power") && page.contains("most likely"));
        String session = PagesTest.lastRide().replaceAll(".*/", "");
        assertEquals(
                200,
                Person.demo("jonna")
                        .get("/a/1/thresholds/evidence/try?session=" + session + "&from=99999999999999&to=5")
                        .statusCode());
    }

    @Test
    void theCurveOfSessionsOnOneSurfaceIsNeverAboveTheWholeAndAnUnknownWordHasNone() {
        Person jonna = Person.demo("jonna");
        String all = jonna.get("/a/1/thresholds/curve").body();
        String gravel = jonna.get("/a/1/thresholds/curve?only=surface:gravel").body();
        int whole = Integer.parseInt(first(all, "<td class=\"num\">(\\d+)</td>"));
        assertTrue(Integer.parseInt(first(gravel, "<td class=\"num\">(\\d+)</td>")) < whole);
        assertTrue(all.contains("surface: gravel"));
        assertTrue(jonna.get("/a/1/thresholds/curve?only=surface:moon&otherFrom=2020-01-01&otherTo=2020-02-01")
                .body()
                .contains("No session of this curve is like that"));
    }

    @Test
    void aBestEffortThatIsSetAsideLeavesTheCurveAndComesBack() {
        Person jonna = Person.demo("jonna");
        String curve = "/a/1/thresholds/curve";
        String before = jonna.get(curve).body();
        String best = first(before, "<td class=\"num\">(\\d+)</td>");
        String recording = first(before, "name=\"recording\" value=\"(\\d+)\"");
        String after = jonna.post(
                        curve + "/set-aside", Map.of("recording", recording, "seconds", "1", "reason", "spike"))
                .body();
        assertTrue(Integer.parseInt(first(after, "<td class=\"num\">(\\d+)</td>")) <= Integer.parseInt(best));
        assertTrue(after.contains("1 s at") && after.contains("spike"));
        String id = first(after, "name=\"id\" value=\"(\\d+)\"");
        String restored = jonna.post(curve + "/bring-back", Map.of("id", id)).body();
        assertEquals(best, first(restored, "<td class=\"num\">(\\d+)</td>"));
        assertTrue(jonna.post(curve + "/set-aside", Map.of("recording", recording, "seconds", "1", "reason", " "))
                .body()
                .contains("Reason: say"));
        assertEquals(
                404,
                Person.demo("kasper")
                        .post(
                                "/a/3/thresholds/curve/set-aside",
                                Map.of("recording", recording, "seconds", "1", "reason", "not mine"))
                        .statusCode());
    }

    @Test
    void theProfileNamesTheWeakestAndLeadsToItsWorkouts() {
        Person jonna = Person.demo("jonna");
        String page = jonna.get("/a/1/thresholds/profile").body();
        String seconds = first(page, "workouts\\?trains=(\\d+)");
        String all = jonna.get("/a/1/workouts").body();
        String some = jonna.get("/a/1/workouts?trains=" + seconds).body();
        assertTrue(count(some) > 0 && count(some) < count(all), count(some) + " of " + count(all));
    }

    private static int count(String page) {
        return page.split("workouts/design\\?id=", -1).length - 1;
    }

    /** Who goes by pace is told by distances; a triathlete chooses the sport. */
    @Test
    void aRunnerAndASwimmerHaveAProfileByPace() {
        String runner = Person.demo("sefa").get("/a/2/thresholds/profile").body();
        assertTrue(runner.contains("Pace profile") && runner.contains("10.0 km") && runner.contains("/km"));
        assertTrue(runner.contains("1500 m") && !runner.contains("Weakest of"), "pace alone does not tell a race");
        Person kasper = Person.demo("kasper");
        assertTrue(kasper.get("/a/3/thresholds/profile?sport=swim").body().contains("/100 m"));
        assertTrue(kasper.get("/a/3/thresholds/profile?sport=ride").body().contains("W/kg"));
        assertEquals(
                200, kasper.get("/a/3/thresholds/profile?sport=moon&only=x").statusCode());
    }

    @Test
    void aCoachPutsOwnBandsInPlaceAndBack() {
        Person oda = Person.demo("oda");
        String profile = "/a/1/thresholds/profile";
        String shipped = oda.get(profile + "/bands.csv").body();
        oda.get(profile);
        String refused = oda.upload(
                        profile + "/bands",
                        "file",
                        Map.of("mine.csv", shipped.replace("3.57", "33.57").getBytes()))
                .body();
        assertTrue(
                refused.contains("mine.csv was not taken") && refused.contains("rising along the row"),
                Person.main(refused));
        String taken = oda.upload(
                        profile + "/bands",
                        "file",
                        Map.of(
                                "mine.csv",
                                shipped.replace("well trained", "strong").getBytes()))
                .body();
        assertTrue(taken.contains(">strong<") && taken.contains("your file mine.csv"));
        assertFalse(
                Person.demo("jonna").get(profile).body().contains(">strong<"), "the bands are the coach's own view");
        assertFalse(oda.post(profile + "/bands/reset", Map.of()).body().contains(">strong<"));
    }

    /** An archive from elsewhere writes into the table what it likes; a page that cannot be read would stay closed. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "{2026-05-01};{-1};{1200}",
                "{2026-05-01};{NaN};{1200}",
                "{2026-05-01};{Infinity};{1200}",
                "{2026-05-01};{NULL};{1200}",
                "{2026-05-01};{280};{0}",
                "{2026-05-01};{280};{1e9}",
                "{9999-12-31};{280};{1200}",
                "{infinity};{280};{1200}",
                "{2026-05-01};{280,270};{1200,180}"
            })
    void effortsThatNobodyCouldReadAreNotKept(String days, String levels, String seconds) {
        JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(DataSource.class));
        String set = "update evidence set effort_days = ?::date[], effort_levels = ?::double precision[],"
                + " effort_seconds = ?::double precision[] where id = (select min(id) from evidence)";
        assertThrows(DataIntegrityViolationException.class, () -> sql.update(set, days, levels, seconds));
    }
}
