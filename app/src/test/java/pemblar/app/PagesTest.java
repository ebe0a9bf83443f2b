package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.github.kagkarlsson.scheduler.Scheduler;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

@Tag("http")
class PagesTest {
    private static final int MOST_STATEMENTS = 12;
    private static final int MOST_BYTES = 300_000;
    private static final int QUIET = 3;
    private static final int POLL_MILLISECONDS = 350;
    private static Person jonna;

    /** Statements are counted, so nothing else may ask meanwhile: jobs pause. */
    @BeforeAll
    static void jobsPause() throws InterruptedException {
        Scheduler jobs = Running.APPLICATION.getBean(Scheduler.class);
        jobs.pause();
        for (int quiet = 0; quiet < QUIET; quiet++) {
            Thread.sleep(POLL_MILLISECONDS);
            if (!jobs.getCurrentlyExecuting().isEmpty()) quiet = 0;
        }
    }

    @AfterAll
    static void jobsGoOn() {
        Running.APPLICATION.getBean(Scheduler.class).resume();
    }

    @BeforeAll
    static void signIn() {
        jonna = Person.demo("jonna");
    }

    /**
     * The demo rider's last ride by power that is long enough to take stretches of; a day may end with something else.
     */
    static String lastRide() {
        return new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class))
                .queryForObject(
                        "select '/a/1/sessions/' || s.id from session s join recording r on r.id = s.recording_id"
                                + " where s.athlete_id = 1 and r.mean_watts > 0 and r.timer_seconds >= 1800"
                                + " and s.deleted_at is null order by s.day desc, s.id limit 1",
                        String.class);
    }

    @Test
    void statementsDoNotGrowWithTheRowsShown() {
        Running.statistics().clear();
        jonna.get("/a/1/board?from=2026-10-01&to=2026-10-08");
        long few = Running.statistics().getPrepareStatementCount();
        Running.statistics().clear();
        jonna.get("/a/1/board?from=2026-07-01&to=2026-10-20");
        assertEquals(few, Running.statistics().getPrepareStatementCount());
    }

    /** Words that a page looks up by a name: what is not found would be an empty button. */
    @Test
    void wordsThatAreLookedUpAreThere() {
        assertThat(jonna.get(lastRide()).body())
                .contains("Channels as CSV")
                .contains("Way as GPX")
                .contains("Recording as JSON");
        assertThat(jonna.get("/a/1/progress/zones").body())
                .contains("from – to")
                .contains("28 days");
        assertThat(jonna.get("/a/1/workouts").body()).contains(">20 min<");
    }

    @Test
    void aCoachSeesTheRosterInFewStatements() {
        Person coach = Person.demo("oda");
        coach.get("/roster");
        Running.statistics().clear();
        String roster = coach.get("/roster").body();
        assertTrue(roster.contains("Jonna Thale") && roster.contains("Sefa Myrin") && roster.contains("Kasper Odell"));
        assertTrue(Running.statistics().getPrepareStatementCount() <= MOST_STATEMENTS);
        assertEquals(200, coach.get("/a/2/board").statusCode());
    }

    @Test
    void allElseAnswersAsIfItWereNotThere() {
        Person sefa = Person.demo("sefa");
        String session = lastRide();
        for (String path : new String[] {
            "/a/1/today",
            "/a/1/season",
            "/a/1/season/setup",
            "/a/1/season/compare",
            "/a/1/season/calendar",
            "/a/1/season/plan.ics",
            "/a/1/season/season.csv",
            "/a/1/season/demands/1",
            "/a/1/season/demands/from?session=1&from=0&to=60",
            "/a/1/board/print?first=2026-10-01",
            "/a/1/board",
            "/a/1/sessions",
            "/a/1/progress",
            "/a/1/thresholds",
            "/a/1/thresholds/evidence",
            "/a/1/thresholds/evidence/try",
            "/a/1/thresholds/curve",
            "/a/1/thresholds/profile",
            "/a/1/thresholds/profile/bands.csv",
            "/a/1/thresholds/zones",
            "/a/1/thresholds/zones/own.json",
            "/a/1/thresholds/adopt?BODY_MASS=66",
            "/a/1/workouts",
            "/a/1/bench",
            "/a/1/templates",
            "/a/1/bench/1",
            "/a/1/bench/1/state",
            "/a/1/workouts/-1/sheet",
            "/a/1/workouts/-1/workout.fit",
            session,
            session + "/zones.fit",
            session + "/channels",
            session + "/original",
            session + "/range?from=0&to=5",
            session + "/marks",
            "/a/1/board/menu/" + session.replaceAll(".*/", ""),
            "/a/1/compare",
            "/a/1/compare/1",
            "/a/1/compare/1/overlay",
            "/a/1/compare/1/comparison.csv",
            "/a/1/compare/add?session=1",
            "/a/2/compare/1",
            "/a/999/today"
        }) assertEquals(404, sefa.get(path).statusCode(), path);
        String own = session.replace("/a/1/", "/a/2/");
        assertEquals(404, sefa.get(own).statusCode());
        sefa.get("/a/2/board");
        assertEquals(404, sefa.post(session + "/remove", Map.of()).statusCode());
        assertEquals(404, sefa.post(own + "/remove", Map.of()).statusCode());
        assertEquals(
                404,
                sefa.post("/a/1/thresholds/adopt", Map.of("THRESHOLD_POWER", "250", "from", "2026-01-01"))
                        .statusCode());
        String day = "2027-01-01";
        Map<String, Map<String, String>> changes = Map.of(
                "/a/1/sketch",
                Map.of("day", day, "sport", "RIDE", "purpose", "EASY", "length", "1h"),
                "/a/1/days/copy",
                Map.of("first", day, "last", day, "target", day),
                "/a/1/days/mark",
                Map.of("day", day),
                "/a/1/days/shift",
                Map.of("first", day, "by", "1"),
                "/a/1/blocks",
                Map.of("kind", "JOIN", "first", day),
                "/a/1/season/block",
                Map.of("kind", "LOAD", "first", day, "value", "1"),
                "/a/1/season/preview",
                Map.of("kind", "LOAD", "first", day, "value", "1"),
                "/a/1/season/event",
                Map.of("name", "x", "day", day, "priority", "A"),
                "/a/1/season/calendar/renew",
                Map.of(),
                "/a/1/season/fill",
                Map.of());
        changes.forEach((path, form) -> assertEquals(404, sefa.post(path, form).statusCode(), path));
        for (String path : new String[] {
            "/a/1/templates/1/delete", "/a/1/bench/sync", "/a/1/bench/1/start", "/a/1/workouts/-1/copy"
        }) assertEquals(404, sefa.post(path, Map.of()).statusCode(), path);
        assertEquals(404, sefa.post("/a/1/bench/1/key", Map.of("key", "stop")).statusCode());
        assertEquals(
                404,
                sefa.post(
                                "/a/1/workouts/edit",
                                Map.of(
                                        "text",
                                        "1min 50%",
                                        "sport",
                                        "RIDE",
                                        "basis",
                                        "POWER",
                                        "edit",
                                        "split",
                                        "path",
                                        "0"))
                        .statusCode());
        assertEquals(404, sefa.post("/a/1/thresholds/adopt/undo", Map.of()).statusCode());
        assertEquals(
                404,
                sefa.post("/a/1/thresholds/evidence/set-aside", Map.of("key", "kept-1", "reason", "mine now", "of", ""))
                        .statusCode());
        assertEquals(
                404,
                sefa.post("/a/1/thresholds/curve/bring-back", Map.of("id", "1")).statusCode());
        assertEquals(
                404, sefa.post("/a/1/thresholds/profile/bands/reset", Map.of()).statusCode());
        assertEquals(
                404,
                sefa.post("/a/1/thresholds/zones/own/delete", Map.of("id", "1")).statusCode());
    }

    @Test
    void changesNeedTheTokenAndStrangersMustSignIn() {
        Person sefa = Person.demo("sefa");
        assertEquals(403, sefa.postExactly("/a/2/undo", Map.of()).statusCode());
        HttpResponse<String> stranger = new Person(Running.ADDRESS).get("/a/1/today");
        assertTrue(stranger.uri().getPath().equals("/sign-in"));
    }

    @Test
    void theContentPolicyAllowsNoInlineScript() {
        HttpResponse<String> page = jonna.get("/a/1/today");
        String policy = page.headers().firstValue("Content-Security-Policy").orElseThrow();
        assertTrue(policy.contains("script-src 'self'") && !policy.contains("unsafe"));
        for (String[] header : new String[][] {
            {"X-Content-Type-Options", "nosniff"},
            {"X-Frame-Options", "DENY"},
            {"Referrer-Policy", "same-origin"},
            {"Cross-Origin-Opener-Policy", "same-origin"},
            {"Cross-Origin-Resource-Policy", "same-origin"}
        }) assertEquals(header[1], page.headers().firstValue(header[0]).orElse(""), header[0]);
        assertTrue(page.headers().firstValue("Permissions-Policy").orElse("").contains("camera=()"));
        assertTrue(page.headers().firstValue("Cache-Control").orElse("").contains("no-store"));
        assertTrue(!page.body().contains("<script>")
                && !page.body().contains("style=\"")
                && !page.body().contains("onclick"));
        assertTrue(
                !Pattern.compile("(src|href)=\"https?://").matcher(page.body()).find());
    }

    @Test
    void guessingAPasswordIsSlowedDown() {
        Person guesser = new Person(Running.ADDRESS);
        boolean stopped = false; // tries come back with time, so that a slow machine needs a few more
        for (int i = 0; i < 40 && !stopped; i++) {
            guesser.get("/sign-in");
            stopped = guesser.post("/sign-in", Map.of("username", "guess@pemblar.example", "password", "wrong " + i))
                    .body()
                    .contains("Too many tries");
        }
        assertTrue(stopped);
    }
}
