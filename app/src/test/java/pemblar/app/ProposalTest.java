package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A proposal from the page to the plan and back, and what stands in its way. */
@Tag("http")
class ProposalTest {
    private static final Pattern TAKE = Pattern.compile(
            "action=\"/a/\\d+/proposals/take\".*?name=\"fingerprint\" value=\"([^\"]+)\"", Pattern.DOTALL);
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long athlete;

    /** An athlete with two weeks of hard sessions ahead who falls ill this morning. */
    @BeforeAll
    static void fallIll() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("mirja.ill@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        person.get(base + "/board");
        for (int day = 0; day < 12; day += 2)
            person.post(
                    base + "/sketch",
                    Map.of(
                            "day",
                            TODAY.plusDays(day).toString(),
                            "sport",
                            "RIDE",
                            "purpose",
                            day % 4 == 0 ? "INTERVALS" : "EASY",
                            "length",
                            "1h30"));
        person.get(base + "/today");
        person.post(base + "/checkin", Map.of("day", TODAY.toString(), "illness", "a cold", "restingHeartRate", "60"));
    }

    private static List<Map<String, Object>> plan() {
        return sql.queryForList(
                "select id, day, purpose, structure::text, scale_percent, planned_seconds, planned_load from "
                        + "session where athlete_id = ? order by id",
                athlete);
    }

    private static String fingerprint() {
        Matcher take = TAKE.matcher(person.get(base + "/proposals").body());
        assertThat(take.find())
                .as("illness this morning has a proposal: " + plan())
                .isTrue();
        return take.group(1);
    }

    @Test
    void whatIsTakenChangesThePlanAndUndoBringsBackExactlyWhatWasThere() {
        var before = plan();
        assertThat(person.get(base + "/proposals").body()).contains("Illness was noted");
        person.post(base + "/proposals/take", Map.of("fingerprint", fingerprint()));
        assertThat(plan()).isNotEqualTo(before);
        assertThat(person.post(base + "/proposals/undo", Map.of()).statusCode()).isEqualTo(200);
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void whatCameOfAnAnswerStandsBesideItsForecastAWeekLater() {
        person.post(base + "/proposals/leave", Map.of("fingerprint", fingerprint(), "reason", "only a sniffle"));
        assertThat(person.get(base + "/proposals").body())
                .contains("only a sniffle")
                .doesNotContain("a week later forecast");
        Map<String, Object> kept = sql.queryForMap(
                "select (effect->>'leaveWeek')::float as left_week, (effect->>'takenWeek')::float as taken_week from"
                        + " proposal_answer where athlete_id = ? and answer = 'LEFT' order by id desc limit 1",
                athlete);
        assertThat((Double) kept.get("left_week")).isGreaterThan((Double) kept.get("taken_week"));
        sql.update("update proposal_answer set day = day - 7 where athlete_id = ?", athlete);
        assertThat(person.get(base + "/proposals").body())
                .contains("a week later forecast")
                .contains("of 1 that were left");
        sql.update("delete from proposal_answer where athlete_id = ?", athlete);
    }

    @Test
    void askingTheCoachNeedsOneAndArrivesAsANote() {
        assertThat(person.post(base + "/proposals/ask", Map.of("fingerprint", fingerprint()))
                        .body())
                .contains("nobody to ask");
        Person coach = new Person(Running.ADDRESS).signUp("asked.coach@pemblar.example", "coach");
        long coachId =
                sql.queryForObject("select id from account where email = 'asked.coach@pemblar.example'", Long.class);
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(athlete, coachId, true);
        var before = plan();
        assertThat(person.post(base + "/proposals/ask", Map.of("fingerprint", fingerprint()))
                        .body())
                .contains("Asked.")
                .contains("id=\"ask\"");
        assertThat(plan()).isEqualTo(before);
        assertThat(coach.get(base + "/notes").body()).contains("Shall I take this proposal?");
        sql.update("update coaching set ended_at = now() where athlete_id = ?", athlete);
        sql.update("delete from proposal_answer where athlete_id = ?", athlete);
    }

    @Test
    void aProposalOfAnEarlierPlanIsNotTaken() {
        var before = plan();
        person.get(base + "/proposals");
        String page = person.post(base + "/proposals/take", Map.of("fingerprint", "0123456789abcdef"))
                .body();
        assertThat(page).contains("class=\"problem\"");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void nobodyElseTakesIt() {
        String fingerprint = fingerprint();
        var before = plan();
        Person sefa = Person.demo("sefa");
        sefa.get("/a/2/board");
        assertThat(sefa.get(base + "/proposals").statusCode()).isEqualTo(404);
        assertThat(sefa.post(base + "/proposals/take", Map.of("fingerprint", fingerprint))
                        .statusCode())
                .isEqualTo(404);
        assertThat(plan()).isEqualTo(before);
    }

    /**
     * With a coach who may plan, an athlete who left the decision to them is told so; without one nothing stands in the
     * way.
     */
    @Test
    void whoLeftItToTheCoachDoesNotTakeIt() {
        Map<String, String> coachDecides =
                Map.of("balanceFloor", "-30", "spacingHours", "36", "hoursPerDay", "4", "decides", "COACH");
        person.get(base + "/proposals");
        person.post(base + "/proposals/limits", coachDecides);
        long coach = sql.queryForObject("select id from account where email = 'oda@pemblar.example'", Long.class);
        sql.update(
                "insert into coaching (athlete_id, coach_account_id, plans, accepted_at) values (?, ?, true, now())",
                athlete,
                coach);
        try {
            var before = plan();
            assertThat(person.post(base + "/proposals/take", Map.of("fingerprint", fingerprint()))
                            .body())
                    .contains("Your coach decides");
            assertThat(plan()).isEqualTo(before);
        } finally {
            sql.update("delete from coaching where athlete_id = ?", athlete);
            sql.update("delete from adjust_limits where athlete_id = ?", athlete);
        }
    }

    @Test
    void limitsThatCannotBeAreNamed() {
        person.get(base + "/proposals");
        String page = person.post(
                        base + "/proposals/limits",
                        Map.of("balanceFloor", "-30", "spacingHours", "36", "hoursPerDay", "99", "decides", "ATHLETE"))
                .body();
        assertThat(page).contains("Hours a day");
    }

    @Test
    void whatIsCarriedToTheBoardIsOutlinedThereAndOneUndoTakesItBack() {
        var before = plan();
        String board = person.post(base + "/proposals/board", Map.of("fingerprint", fingerprint()))
                .body();
        assertThat(board).contains("Here is the plan with it").contains("is-carried");
        assertThat(plan()).isNotEqualTo(before);
        person.get(base + "/proposals");
        assertThat(person.get(base + "/proposals").body()).contains("changed on the board");
        person.post(base + "/proposals/undo", Map.of());
        assertThat(plan()).isEqualTo(before);
        assertThat(person.get(base + "/proposals").body()).doesNotContain("changed on the board");
    }

    @Test
    void whereTheCoachSuggestsFirstTheAthleteTakesOnlyWhatWasSuggested() {
        Person coach = new Person(Running.ADDRESS).signUp("suggesting.coach@pemblar.example", "coach");
        long coachId = sql.queryForObject(
                "select id from account where email = 'suggesting.coach@pemblar.example'", Long.class);
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(athlete, coachId, true);
        Map<String, String> limits =
                Map.of("balanceFloor", "-30", "spacingHours", "36", "hoursPerDay", "4", "decides", "BOTH");
        person.post(base + "/proposals/limits", limits);
        var before = plan();
        assertThat(person.post(base + "/proposals/take", Map.of("fingerprint", fingerprint()))
                        .body())
                .contains("has not suggested this one yet");
        assertThat(plan()).isEqualTo(before);
        String seen = coach.get(base + "/proposals").body();
        assertThat(seen).contains("id=\"suggest\"");
        assertThat(coach.post(base + "/proposals/suggest", Map.of("fingerprint", fingerprint()))
                        .body())
                .contains("Suggested");
        assertThat(person.post(base + "/proposals/take", Map.of("fingerprint", fingerprint()))
                        .body())
                .contains("Taken: ");
        person.post(base + "/proposals/undo", Map.of());
        assertThat(plan()).isEqualTo(before);
        sql.update("delete from adjust_limits where athlete_id = ?", athlete);
        sql.update("delete from coaching where athlete_id = ?", athlete);
    }

    @Test
    void anEventThatIsMovedIsAnsweredAndNoLongerOnceItIsMovedBack() {
        LocalDate day = TODAY.plusDays(40);
        person.get(base + "/season");
        Map<String, String> event = Map.of("name", "Long Ridge", "day", day.toString(), "priority", "A");
        person.post(base + "/season/event", event);
        long id = sql.queryForObject("select id from event where athlete_id = ?", Long.class, athlete);
        sql.update("delete from event_news where athlete_id = ?", athlete);
        Map<String, String> earlier = new java.util.HashMap<>(event);
        earlier.put("id", String.valueOf(id));
        earlier.put("day", day.minusDays(14).toString());
        person.post(base + "/season/event", earlier);
        assertThat(person.get(base + "/proposals").body())
                .contains("The event of ")
                .contains(" is now on ");
        earlier.put("day", day.toString());
        person.post(base + "/season/event", earlier);
        assertThat(person.get(base + "/proposals").body()).doesNotContain(" is now on ");
        person.post(base + "/season/event/" + id + "/remove", Map.of());
    }

    @Test
    void aThresholdThatCameIntoForceThisWeekIsSaid() {
        person.post(
                base + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "258",
                        "THRESHOLD_HEART_RATE",
                        "171",
                        "from",
                        TODAY.minusDays(1).toString()));
        assertThat(person.get(base + "/proposals").body()).contains("A new threshold power holds from");
        sql.update("delete from dated_value where athlete_id = ? and amount in (258, 171)", athlete);
    }
}
