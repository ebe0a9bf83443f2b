package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A range of days on paper, and what is left of efforts after hours: both from stored figures. */
@Tag("http")
class ReportTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person jonna;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void signIn() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        jonna = Person.demo("jonna");
        base = jonna.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
    }

    private static String range(LocalDate from, LocalDate to) {
        return "?from=" + from + "&to=" + to;
    }

    @Test
    void itsLoadIsThatOfTheSessionsOfItsDays() {
        LocalDate from = TODAY.minusDays(40);
        LocalDate to = TODAY.minusDays(12);
        Double done = sql.queryForObject(
                "select sum(coalesce(r.load_points, s.done_load)) from session s left join recording r on r.id = "
                        + "s.recording_id where s.athlete_id = ? and s.day between ? and ? and s.deleted_at is null",
                Double.class,
                athlete,
                from,
                to);
        String page = jonna.get(base + "/progress/report" + range(from, to)).body();
        Matcher load = Pattern.compile("<dd>(\\d+) of \\d+ points</dd>").matcher(page);
        assertThat(load.find()).isTrue();
        assertThat(Double.parseDouble(load.group(1))).isCloseTo(done, org.assertj.core.api.Assertions.within(0.51));
        assertThat(page).contains("Chronic load went from").contains("Hard and long sessions");
    }

    /** The head asks for what the kinds ask for: a session of tomorrow is not asked yet. */
    @Test
    void whatIsStillToComeIsNotCountedAsPlannedSoFar() {
        String past = jonna.get(base + "/progress/report" + range(TODAY.minusDays(20), TODAY.minusDays(1)))
                .body();
        String open = jonna.get(base + "/progress/report" + range(TODAY.minusDays(20), TODAY.plusDays(25)))
                .body();
        Pattern head = Pattern.compile("<dd>([^<]*)</dd>\\s*<dt>time done of planned so far");
        Pattern load = Pattern.compile("<dd>\\d+ of (\\d+) points</dd>");
        Matcher before = head.matcher(past);
        Matcher after = head.matcher(open);
        assertThat(before.find() && after.find()).isTrue();
        assertThat(minutes(after.group(1)) - minutes(before.group(1)))
                .as("at most what was done today")
                .isBetween(0, 180);
        Matcher points = load.matcher(open);
        assertThat(points.find()).isTrue();
        Double planned = sql.queryForObject(
                "select sum(planned_load) from session where athlete_id = ? and day between ? and ? and deleted_at is"
                        + " null and not draft and (day < ? or recording_id is not null or done_seconds is not null)",
                Double.class,
                athlete,
                TODAY.minusDays(20),
                TODAY.plusDays(25),
                java.time.LocalDate.now(java.time.ZoneId.of(
                        sql.queryForObject("select time_zone from athlete where id = ?", String.class, athlete))));
        assertThat(Double.parseDouble(points.group(1)))
                .isCloseTo(planned, org.assertj.core.api.Assertions.within(0.51));
    }

    private static int minutes(String doneOfPlanned) {
        Matcher planned = Pattern.compile("of (?:(\\d+) h)? ?(\\d+)?").matcher(doneOfPlanned);
        assertThat(planned.find()).isTrue();
        int hours = planned.group(1) == null ? 0 : Integer.parseInt(planned.group(1));
        return 60 * hours + (planned.group(2) == null ? 0 : Integer.parseInt(planned.group(2)));
    }

    @Test
    void aCoachsWordsStandAtTheHeadOfThatRangeAloneAndCanBeTakenAway() {
        Person oda = Person.demo("oda");
        LocalDate from = TODAY.minusDays(20);
        LocalDate to = TODAY.minusDays(7);
        oda.get(base + "/progress/report" + range(from, to));
        Map<String, String> said =
                Map.of("from", from.toString(), "to", to.toString(), "words", "Patient, and it shows.");
        assertThat(oda.post(base + "/progress/report", said).body()).contains("Kept with this report");
        assertThat(jonna.get(base + "/progress/report" + range(from, to)).body())
                .contains("Patient, and it shows.")
                .contains("Oda Verling");
        assertThat(jonna.get(base + "/progress/report" + range(from, to.minusDays(1)))
                        .body())
                .doesNotContain("Patient, and it shows.");
        oda.post(base + "/progress/report", Map.of("from", from.toString(), "to", to.toString(), "words", ""));
        assertThat(jonna.get(base + "/progress/report" + range(from, to)).body())
                .doesNotContain("Patient, and it shows.");
    }

    @Test
    void daysThatAreNoRangeAreSaid() {
        assertThat(jonna.get(base + "/progress/report" + range(TODAY, TODAY.minusDays(3)))
                        .body())
                .contains("To: choose a day from");
        assertThat(jonna.get(base + "/progress/report?from=soon").body()).contains("From");
        assertThat(Person.demo("sefa").get(base + "/progress/report").statusCode())
                .isEqualTo(404);
    }

    @Test
    void durabilitySaysASharesOfFreshAndNeverMoreThanAll() {
        String page = jonna.get(base + "/progress/durability").body();
        assertThat(page).contains("after 1000 kJ").contains("fresh");
        Matcher share = Pattern.compile("<small>(\\d+) %</small>").matcher(page);
        while (share.find()) assertThat(Integer.parseInt(share.group(1))).isBetween(85, 100);
        assertThat(page).as("steady rides are no efforts").contains("no effort").contains("nothing can be said yet");
        assertThat(Person.demo("sefa").get("/a/2/progress/durability").body()).contains("after 1 h");
    }

    @Test
    void whoHasNoMeterComesToWorkoutsByThreeQuestions() {
        Person rider = new Person(Running.ADDRESS).signUp("no.meter@pemblar.example", "ride");
        String own = rider.get("/").uri().getPath().replaceAll("/today$", "");
        String page = rider.get(own + "/thresholds/profile").body();
        assertThat(page).contains("three questions").contains("A guess from what you remember");
        Matcher links = Pattern.compile("href=\"([^\"]*by%20effort[^\"]*)\"").matcher(page);
        int found = 0;
        while (links.find()) {
            found++;
            assertThat(rider.get(links.group(1).replace("&amp;", "&")).body()).contains("by effort");
            assertThat(rider.get(links.group(1).replace("&amp;", "&")).body()).doesNotContain("No workout");
        }
        assertThat(found).isEqualTo(3);
    }
}
