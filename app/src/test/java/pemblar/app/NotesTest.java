package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;
import pemblar.app.sharing.DailyMail;

/** Athlete and coach write to each other: on anything, in threads, unread until read, in one mail a day. */
@Tag("http")
class NotesTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private Person athlete;
    private Person coach;
    private String coachEmail;
    private long id;
    private String base;

    @BeforeEach
    void twoPeople() {
        String mark = "notes" + people++ + "@pemblar.example";
        coachEmail = "c." + mark;
        athlete = new Person(Running.ADDRESS).signUp("a." + mark, "ride");
        coach = new Person(Running.ADDRESS).signUp(coachEmail, "coach");
        base = athlete.get("/").uri().getPath().replaceAll("/today$", "");
        id = Long.parseLong(base.replaceAll("\\D", ""));
        Running.APPLICATION
                .getBean(CoachingService.class)
                .begin(id, sql.queryForObject("select id from account where email = ?", Long.class, coachEmail), false);
        coach.get(base + "/notes");
        athlete.get(base + "/notes");
    }

    private long newest() {
        return sql.queryForObject("select max(id) from note where athlete_id = ?", Long.class, id);
    }

    @Test
    void aThreadIsUnreadForTheOtherSideUntilItIsRead() {
        coach.post(base + "/notes", Map.of("body", "How was the week?"));
        assertThat(coach.get(base + "/today").body()).doesNotContain("1 new");
        assertThat(athlete.get(base + "/today").body()).contains("1 new").contains("How was the week?");
        assertThat(athlete.get(base + "/notes").body()).contains("is-unread").contains("How was the week?");
        assertThat(athlete.get(base + "/today").body()).doesNotContain("1 new");
        athlete.post(base + "/notes/" + newest() + "/answer", Map.of("body", "Heavy legs."));
        assertThat(coach.get(base + "/board").body()).contains("1 new");
        String thread = coach.get(base + "/notes").body();
        assertThat(thread.indexOf("How was the week?")).isPositive().isLessThan(thread.indexOf("Heavy legs."));
        assertThat(thread.split("class=\"thread").length).as("one thread").isEqualTo(2);
    }

    @Test
    void daysAreWrittenInThePagesLanguageWhateverTheBrowserSpeaks() {
        athlete.post(base + "/notes", Map.of("body", "I slept badly"));
        String moment = "(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \\d+ [A-Z][a-z]{2} \\d\\d:\\d\\d<";
        assertThat(athlete.get(base + "/notes").body()).containsPattern(moment);
        assertThat(athlete.speaking("de").get(base + "/notes").body()).containsPattern(moment);
    }

    @Test
    void aNoteStandsOnADayOrABlockAndTheBoardShowsWhere() {
        String day = TODAY.plusDays(1).toString();
        athlete.post(base + "/notes", Map.of("about", "DAY", "day", day, "body", "Late shift until ten"));
        athlete.post(base + "/notes", Map.of("about", "BLOCK", "day", day, "body", "Exams in this one"));
        assertThat(coach.get(base + "/board").body()).contains("2 notes");
        assertThat(coach.get(base + "/notes?about=DAY&day=" + day).body())
                .contains("Late shift")
                .doesNotContain("Exams");
    }

    @Test
    void onlyTheAuthorChangesANoteAndBothLeaveATrace() {
        athlete.post(base + "/notes", Map.of("body", "I slept badly"));
        String note = base + "/notes/" + newest();
        assertThat(coach.post(note + "/edit", Map.of("body", "forged")).statusCode())
                .isEqualTo(404);
        assertThat(coach.post(note + "/take-away", Map.of()).statusCode()).isEqualTo(404);
        athlete.post(note + "/edit", Map.of("body", "I slept well"));
        assertThat(coach.get(base + "/notes").body()).contains("I slept well").contains("changed");
        coach.post(note + "/answer", Map.of("body", "Good."));
        athlete.post(note + "/take-away", Map.of());
        assertThat(coach.get(base + "/notes").body())
                .doesNotContain("I slept well")
                .contains("This note was taken away.")
                .contains("Good.");
        assertThat(sql.queryForList("select body from note where athlete_id = ? order by id", String.class, id))
                .containsExactly("", "Good.");
    }

    @Test
    void whatNobodyReadComesInOneMailADayToWhoWantsIt() {
        athlete.post(base + "/notes", Map.of("body", "One"));
        athlete.post(base + "/notes", Map.of("body", "Two"));
        assertThat(mails()).hasSize(1);
        assertThat(mails().get(0)).contains("One").contains("Two").contains(base + "/notes");
        athlete.post(base + "/notes", Map.of("body", "Three"));
        coach.get(base + "/notes");
        assertThat(mails()).as("read before the mail").hasSize(1);
        coach.post(base + "/notes/mail", Map.of("wanted", "false"));
        athlete.post(base + "/notes", Map.of("body", "Four"));
        assertThat(mails()).hasSize(1);
    }

    private List<String> mails() {
        Running.APPLICATION.getBean(DailyMail.class).send();
        return sql.queryForList("select body from mail where recipient = ?", String.class, coachEmail);
    }

    @Test
    void whatIsNoNoteIsRefusedAndKept() {
        String refused =
                athlete.post(base + "/notes", Map.of("body", "x".repeat(2001))).body();
        assertThat(refused).contains("1 to 2000 characters").contains("x".repeat(2001));
        for (Map<String, String> form : List.of(
                Map.of("body", " "),
                Map.of("about", "DAY", "body", "no day"),
                Map.of("about", "MOON", "day", TODAY.toString(), "body", "x"),
                Map.of("about", "DAY", "day", "9999-12-31", "body", "far")))
            assertThat(athlete.post(base + "/notes", form).statusCode()).isLessThan(500);
        assertThat(sql.queryForObject("select count(*) from note where athlete_id = ?", Long.class, id))
                .isZero();
    }

    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n', 0, 0};

    @Test
    void aPictureStandsBesideItsNoteForThoseWhoSeeIt() {
        athlete.upload(base + "/notes?body=My%20position", "file", Map.of("position.png", PNG));
        long file = sql.queryForObject("select max(id) from note_file where athlete_id = ?", Long.class, id);
        String address = base + "/notes/" + newest() + "/files/" + file;
        assertThat(coach.get(base + "/notes").body()).contains("My position").contains(address);
        assertThat(coach.bytes(address)).isEqualTo(PNG);
        var answer = coach.get(address);
        assertThat(answer.headers().firstValue("Content-Type")).contains("image/png");
        assertThat(answer.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(answer.headers().allValues("Content-Security-Policy"))
                .anyMatch(policy -> policy.contains("sandbox"));
        Person stranger = new Person(Running.ADDRESS).signUp("stranger" + people + ".files@pemblar.example", "ride");
        assertThat(stranger.get(address).statusCode()).isEqualTo(404);
        athlete.post(base + "/notes/" + newest() + "/take-away", Map.of());
        assertThat(athlete.get(address).statusCode()).isEqualTo(404);
        assertThat(sql.queryForObject("select count(*) from note_file where id = ?", Integer.class, file))
                .isZero();
    }

    /** What is refused leaves no note without its file. */
    @Test
    void aFileThatIsNoPictureIsRefusedWithItsNote() {
        int before = sql.queryForObject("select count(*) from note where athlete_id = ?", Integer.class, id);
        String said = athlete.upload(base + "/notes?body=Look", "file", Map.of("x.png", "<svg/>".getBytes()))
                .body();
        assertThat(said).contains("is no picture").contains("Look");
        assertThat(sql.queryForObject("select count(*) from note where athlete_id = ?", Integer.class, id))
                .isEqualTo(before);
    }

    @Test
    void aNoteStandsOnAStep() {
        long session = sql.queryForObject(
                "insert into session (athlete_id, day, sport, title, structure, planned_silhouette) select ?, ?,"
                        + " 'RIDE', 'Steps', structure, '' from session where structure is not null limit 1"
                        + " returning id",
                Long.class,
                id,
                TODAY.plusDays(1));
        String page = base + "/sessions/" + session;
        String body = athlete.get(page).body();
        String shown = body.replaceAll("(?s).*<select name=\"part\">.*?<option value=\"([^\"]+)\".*", "$1");
        String part = shown.replace("&gt;", ">").replace("&quot;", "\"");
        coach.get(page);
        coach.post(page + "/notes", Map.of("body", "Easy here", "part", part));
        assertThat(sql.queryForObject("select part from note where id = ?", String.class, newest()))
                .isNotBlank();
        assertThat(athlete.get(page).body()).contains("on " + shown);
        assertThat(athlete.get(base + "/notes").body()).contains("on " + shown);
    }
}
