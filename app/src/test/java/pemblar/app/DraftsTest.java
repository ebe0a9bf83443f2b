package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/**
 * What a coach plans is a draft until it is shared; the athlete's pages, feed, device and forecast know nothing of it.
 */
@Tag("http")
class DraftsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static int people;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private Person athlete;
    private Person coach;
    private Person reader;
    private long id;
    private String base;

    @BeforeEach
    void threePeople() {
        String mark = "drafts" + people++ + "@pemblar.example";
        athlete = new Person(Running.ADDRESS).signUp("a." + mark, "ride");
        coach = new Person(Running.ADDRESS).signUp("c." + mark, "coach");
        reader = new Person(Running.ADDRESS).signUp("r." + mark, "coach");
        base = athlete.get("/").uri().getPath().replaceAll("/today$", "");
        id = Long.parseLong(base.replaceAll("\\D", ""));
        CoachingService coachings = Running.APPLICATION.getBean(CoachingService.class);
        coachings.begin(id, account("c." + mark), true);
        coachings.begin(id, account("r." + mark), false);
        coach.get(base + "/board");
        athlete.get(base + "/board");
        reader.get(base + "/board");
    }

    private long account(String email) {
        return sql.queryForObject("select id from account where email = ?", Long.class, email);
    }

    private long sketched(Person who, String title, int inDays) {
        Map<String, String> form = new HashMap<>(Map.of("sport", "RIDE", "purpose", "LONG", "length", "2h"));
        form.put("title", title);
        form.put("day", TODAY.plusDays(inDays).toString());
        assertThat(who.post(base + "/sketch", form).statusCode()).isEqualTo(200);
        return sql.queryForObject("select id from session where athlete_id = ? and title = ?", Long.class, id, title);
    }

    private String feed() {
        String page = athlete.post(base + "/season/calendar/renew", Map.of()).body();
        var address =
                java.util.regex.Pattern.compile("/calendar/[^\"<\\s]+\\.ics").matcher(page);
        assertThat(address.find()).isTrue();
        return new String(athlete.bytes(address.group()), java.nio.charset.StandardCharsets.UTF_8);
    }

    private boolean isDraft(long session) {
        return sql.queryForObject("select draft from session where id = ?", Boolean.class, session);
    }

    private List<String> news() {
        return sql.queryForList(
                "select sentence from plan_news where athlete_id = ? and seen_at is null order by id",
                String.class,
                id);
    }

    @Test
    void aDraftIsOnNoPageOfTheAthleteAndOfNobodyWhoOnlySees() {
        long session = sketched(coach, "Hidden hills", 2);
        assertThat(coach.get(base + "/board").body()).contains("Hidden hills").contains("is-draft");
        for (Person who : List.of(athlete, reader))
            for (String path : List.of(
                    "/today",
                    "/board",
                    "/season",
                    "/sessions",
                    "/progress",
                    "/progress/zones",
                    "/proposals",
                    "/what-if",
                    "/bench",
                    "/season/plan.ics",
                    "/board/print?first=" + TODAY.plusDays(2)))
                assertThat(who.get(base + path).body()).as(path).doesNotContain("Hidden hills");
        for (Person who : List.of(athlete, reader))
            for (String path : List.of("/sessions/" + session, "/board/menu/" + session))
                assertThat(who.get(base + path).statusCode()).as(path).isEqualTo(404);
        assertThat(athlete.post(
                                base + "/sessions/" + session + "/move",
                                Map.of("day", TODAY.plusDays(3).toString()))
                        .statusCode())
                .isEqualTo(404);
        assertThat(feed()).doesNotContain("Hidden hills");
        assertThat(news()).isEmpty();
    }

    @Test
    void theForecastOfTheAthleteKnowsOnlyWhatIsShared() {
        sketched(athlete, "Own ride", 1);
        String own = trend(athlete);
        long session = sketched(coach, "Long one", 5);
        assertThat(trend(athlete)).isEqualTo(own);
        assertThat(trend(coach)).isNotEqualTo(own);
        coach.post(base + "/sessions/" + session + "/share", Map.of("shared", "true"));
        assertThat(trend(athlete)).isEqualTo(trend(coach)).isNotEqualTo(own);
    }

    /** The figures of the trend page, day by day. */
    private String trend(Person who) {
        String page = who.get(base + "/progress").body();
        return Person.main(page).replaceAll("name=\"_csrf\"[^>]*", "").replaceAll("(?s)<form.*?</form>", "");
    }

    @Test
    void theLineSharesWhatLiesBeforeItAndCallsBackWhatLiesBehind() {
        long near = sketched(coach, "Near", 2);
        long far = sketched(coach, "Far", 9);
        long own = sketched(athlete, "Own", 9);
        coach.post(base + "/share", Map.of("until", TODAY.plusDays(4).toString()));
        assertThat(List.of(isDraft(near), isDraft(far), isDraft(own))).containsExactly(false, true, false);
        assertThat(athlete.get(base + "/today").body())
                .contains("Your plan changed")
                .contains("1 session more");
        long within = sketched(coach, "Within", 3);
        assertThat(isDraft(within)).isFalse();
        coach.post(base + "/share", Map.of("until", TODAY.plusDays(1).toString()));
        assertThat(List.of(isDraft(near), isDraft(far), isDraft(within), isDraft(own)))
                .containsExactly(true, true, true, false);
        assertThat(coach.post(base + "/undo", Map.of()).body()).contains("Taken back");
        assertThat(List.of(isDraft(near), isDraft(within))).containsExactly(false, false);
        assertThat(sql.queryForObject("select shared_until from athlete where id = ?", LocalDate.class, id))
                .isEqualTo(TODAY.plusDays(4));
    }

    @Test
    void aChangeOfSomethingSharedIsToldUntilSeenAndMailedOnce() {
        long session = sketched(coach, "Told", 3);
        coach.post(base + "/sessions/" + session + "/share", Map.of("shared", "true"));
        coach.post(
                base + "/sessions/" + session + "/move",
                Map.of("day", TODAY.plusDays(4).toString()));
        assertThat(news()).hasSize(2);
        assertThat(news().get(1)).startsWith("Moved “Told” to");
        coach.post(base + "/undo", Map.of());
        assertThat(news()).as("taken back before anybody saw it").hasSize(1);
        assertThat(mailed()).isEqualTo(1);
        assertThat(mailed()).as("not mailed again").isEqualTo(1);
        assertThat(coach.post(base + "/news/seen", Map.of()).statusCode()).isEqualTo(404);
        athlete.get(base + "/today");
        assertThat(athlete.post(base + "/news/seen", Map.of()).body()).doesNotContain("Your plan changed");
    }

    private long mailed() {
        Running.APPLICATION.getBean(pemblar.app.sharing.DailyMail.class).send();
        return sql.queryForObject(
                "select count(*) from mail m join athlete t on t.id = ? join account a on a.id = t.account_id where"
                        + " m.recipient = a.email and m.subject like '%new in your training'",
                Long.class, id);
    }

    @Test
    void onlyACoachWhoPlansMovesTheLine() {
        Map<String, String> until = Map.of("until", TODAY.plusDays(4).toString());
        for (Person who : List.of(athlete, reader, new Person(Running.ADDRESS)))
            assertThat(who.post(base + "/share", until).body()).doesNotContain("shared-handle");
        assertThat(sql.queryForList("select shared_until from athlete where id = ?", LocalDate.class, id))
                .containsOnlyNulls();
        assertThat(coach.post(base + "/share", Map.of("until", "9999-12-31")).statusCode())
                .isLessThan(500);
        assertThat(sql.queryForList("select shared_until from athlete where id = ?", LocalDate.class, id))
                .containsOnlyNulls();
        assertThat(coach.post(
                                base + "/days/share",
                                Map.of("first", TODAY.toString(), "last", TODAY.toString(), "shared", "true"))
                        .body())
                .contains("no draft to share");
    }

    @Test
    void whatTheAthletePlannedCannotBeCalledBack() {
        long own = sketched(athlete, "Mine", 3);
        String answer = coach.post(base + "/sessions/" + own + "/share", Map.of("shared", "false"))
                .body();
        assertThat(answer).contains("was not put there by a coach");
        assertThat(isDraft(own)).isFalse();
    }

    /** The board begins with the athlete before its frame does: that is one look all the same. */
    @Test
    void aBoardThatACoachOpensOrChangesIsLookedAtOnce() {
        int before = looks();
        coach.get(base + "/board");
        assertThat(looks()).isEqualTo(before + 1);
        coach.post(
                base + "/sketch",
                Map.of("day", TODAY.plusDays(4).toString(), "sport", "RIDE", "purpose", "EASY", "length", "1h"));
        assertThat(looks()).isEqualTo(before + 2);
    }

    private int looks() {
        return sql.queryForObject("select sum(looks) from access_trail where athlete_id = ?", Integer.class, id);
    }
}
