package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A question to the plan changes nothing, can be kept beside others, and is nobody else's. */
@Tag("http")
class WhatIfPageTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final String WEEK_OFF =
            "?kind=OFF&first=" + TODAY.plusDays(1) + "&last=" + TODAY.plusDays(7) + "&amount=0";
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void planTwoWeeks() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("tilda.asks@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        person.get(base + "/board");
        for (int day = 0; day < 12; day += 2) {
            String on = TODAY.plusDays(day).toString();
            person.post(base + "/sketch", Map.of("day", on, "sport", "RIDE", "purpose", "EASY", "length", "1h30"));
        }
    }

    private static String plan() {
        return sql.queryForList(
                        "select id, day, scale_percent, planned_load from session where athlete_id = ? order by id",
                        athlete)
                .toString();
    }

    private static String ask(String question) {
        return person.get(base + "/what-if" + question).body();
    }

    @Test
    void aWeekOffIsAnsweredWithBothLinesAndNothingChanges() {
        String before = plan();
        String page = ask(WEEK_OFF);
        assertThat(page).contains("7 days off from").contains("Chronic load").contains("class=\"take\"");
        assertThat(page).doesNotContain("nothing would change");
        assertThat(plan()).isEqualTo(before).contains("planned_load");
    }

    @Test
    void aDayThatIsOverAnAmountThatIsNoneAndAFarDayAreRefusedWithTheirField() {
        assertThat(ask("?kind=OFF&first=" + TODAY.minusDays(3) + "&last=" + TODAY))
                .contains("what is over");
        assertThat(ask("?kind=SHARE&last=" + TODAY.plusDays(9) + "&amount=lots"))
                .contains("Percent:");
        assertThat(ask("?kind=LESS&last=9999-12-31&amount=2")).contains("Until:");
        assertThat(ask("?kind=MOON&last=" + TODAY)).contains("Question: choose one");
        assertThat(ask("?kind=OFF&first=" + TODAY.plusDays(50) + "&last=" + TODAY.plusDays(55)))
                .contains("nothing would change");
    }

    @Test
    void anotherThresholdShowsTheStepsAheadAndWhatTheyComeTo() {
        person.get(base + "/workouts/design");
        for (Map<String, String> w : java.util.List.of(
                Map.of("title", "By share", "text", "4 x (5min 100%, 3min 50%)"),
                Map.of("title", "By watts", "text", "4 x (5min 250W, 3min 120W)"))) {
            Map<String, String> form = new java.util.HashMap<>(w);
            form.putAll(Map.of("sport", "RIDE", "basis", "POWER"));
            person.post(base + "/workouts", form);
            long id = sql.queryForObject("select max(id) from workout where title = ?", Long.class, w.get("title"));
            person.post(
                    base + "/sessions",
                    Map.of("workout", "" + id, "day", TODAY.plusDays(3).toString()));
        }
        String before = plan();
        String page = ask("?kind=THRESHOLD&quantity=THRESHOLD_POWER&amount=275");
        assertThat(page).contains("threshold power 275 W").contains("What it would ask of you");
        assertThat(page).containsPattern("(?s)By share.{20,90}238 to 263 W.{20,60}261 to 289 W");
        assertThat(page)
                .containsPattern("(?s)By watts.{20,90}238 to 263 W.{20,60}238 to 263 W" + ".{20,90}>42<.{20,60}>35<");
        assertThat(plan()).isEqualTo(before);
        assertThat(ask("?kind=THRESHOLD&quantity=THRESHOLD_POWER&amount=2750")).contains("cannot be right");
        assertThat(ask("?kind=THRESHOLD&quantity=MOON&amount=27")).contains("Threshold: choose one");
        person.post(
                base + "/what-if/keep",
                Map.of("kind", "THRESHOLD", "quantity", "THRESHOLD_POWER", "amount", "275", "name", "stronger"));
        assertThat(ask("")).contains("stronger").contains("quantity=THRESHOLD_POWER");
    }

    @Test
    void aQuestionIsKeptBesideAnotherAndDropped() {
        String last = TODAY.plusDays(13).toString();
        ask("");
        person.post(
                base + "/what-if/keep",
                Map.of(
                        "kind",
                        "SHARE",
                        "first",
                        TODAY.toString(),
                        "last",
                        last,
                        "amount",
                        "80",
                        "name",
                        "four fifths"));
        assertThat(ask(WEEK_OFF)).contains("four fifths").contains("7 days off from");
        Long id = sql.queryForObject("select max(id) from what_if where athlete_id = ?", Long.class, athlete);
        person.post(base + "/what-if/drop", Map.of("id", id.toString()));
        assertThat(ask("")).doesNotContain("four fifths");
    }

    @Test
    void aStrangerFindsNothingAndDropsNothing() {
        Person stranger = new Person(Running.ADDRESS).signUp("stranger.asks@pemblar.example", "ride");
        assertThat(stranger.get(base + "/what-if" + WEEK_OFF).statusCode()).isEqualTo(404);
        assertThat(stranger.post(base + "/what-if/drop", Map.of("id", "1")).statusCode())
                .isEqualTo(404);
        assertThat(stranger.post(base + "/what-if/keep", Map.of("kind", "OFF")).statusCode())
                .isEqualTo(404);
    }

    @Test
    void anEventOnAnotherDayIsAskedAboutAndStaysWhereItIs() {
        LocalDate day = TODAY.plusDays(30);
        person.get(base + "/season");
        person.post(base + "/season/event", Map.of("name", "Short Ridge", "day", day.toString(), "priority", "A"));
        String question = "?kind=EVENT&first=" + day + "&last=" + day.minusDays(10);
        assertThat(ask("")).contains("Short Ridge (A)");
        String answer = ask(question);
        assertThat(answer).contains("on the morning of the A event (");
        assertThat(answer.split("on the morning of the A event \\(").length)
                .as("heading, drawing and table are about the same morning")
                .isGreaterThan(2);
        assertThat(answer).doesNotContain("on the morning of the A event, ");
        assertThat(ask("?kind=EVENT&first=" + day.plusDays(1) + "&last=" + day)).contains("Event: there is none");
        assertThat(ask("?kind=EVENT&first=" + day + "&last=" + day)).contains("To: choose another day");
        person.post(
                base + "/what-if/keep",
                Map.of(
                        "kind",
                        "EVENT",
                        "first",
                        day.toString(),
                        "last",
                        day.minusDays(10).toString(),
                        "name",
                        ""));
        assertThat(sql.queryForObject("select day from event where athlete_id = ?", LocalDate.class, athlete))
                .isEqualTo(day);
        sql.update("delete from event where athlete_id = ?", athlete);
        assertThat(ask("")).doesNotContain("the event of ");
    }
}
