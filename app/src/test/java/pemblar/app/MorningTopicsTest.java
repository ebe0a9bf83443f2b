package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A coach says what puts an athlete up the list, and what was looked at is not said again. */
@Tag("http")
class MorningTopicsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person coach;
    private static long session;
    private static long athlete;

    /** The demo rider has recordings of the last days; this coach is new. */
    @BeforeAll
    static void beginCoaching() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        coach = new Person(Running.ADDRESS).signUp("topics.coach@pemblar.example", "coach");
        long account =
                sql.queryForObject("select id from account where email = 'topics.coach@pemblar.example'", Long.class);
        athlete = sql.queryForObject("select id from athlete where name = 'Jonna Thale'", Long.class);
        Running.APPLICATION.getBean(pemblar.app.athlete.CoachingService.class).begin(athlete, account, true);
        session = sql.queryForObject(
                "select max(id) from session where athlete_id = ? and recording_id is not null and day >= ?",
                Long.class,
                athlete,
                TODAY.minusDays(6));
    }

    private static int unseen() {
        var said = java.util.regex.Pattern.compile("(A|\\d+) recordings? of the last 7 days")
                .matcher(coach.get("/roster").body());
        if (!said.find()) return 0;
        return said.group(1).equals("A") ? 1 : Integer.parseInt(said.group(1));
    }

    private static void choose(String... topics) {
        coach.get("/roster");
        String csrf = "";
        StringBuilder form = new StringBuilder();
        for (String topic : topics) form.append(topic).append(' ');
        coach.post(
                "/roster/topics",
                topics.length == 0 ? Map.of() : Map.of("on", form.toString().strip() + csrf));
    }

    @Test
    void aRecordingThatWasOpenedIsLookedAt() {
        sql.update("delete from session_look");
        int before = Math.max(unseen(), 1);
        coach.get("/a/" + athlete + "/sessions/" + session);
        assertThat(sql.queryForObject(
                        "select count(*) from session_look l join account a on a.id = l.account_id where "
                                + "a.email = 'topics.coach@pemblar.example' and l.session_id = ?",
                        Integer.class,
                        session))
                .isEqualTo(1);
        sql.update(
                "insert into session_look select a.id, s.id, now() from account a, session s where a.email = "
                        + "'topics.coach@pemblar.example' and s.athlete_id = ? on conflict do nothing",
                athlete);
        assertThat(unseen()).isZero().isLessThan(before);
    }

    @Test
    void whatIsSwitchedOffIsNotSaidAndComesBack() {
        sql.update("update morning_state set dirty = true");
        String all = coach.get("/roster").body();
        assertThat(all).contains("What puts an athlete on this list");
        choose("SILENCE");
        assertThat(Person.main(coach.get("/roster").body()))
                .contains("Nothing stands out.")
                .contains("Nobody needs you");
        sql.update("delete from morning_topic_off");
        assertThat(coach.get("/roster").body()).doesNotContain("Nobody needs you");
    }
}
