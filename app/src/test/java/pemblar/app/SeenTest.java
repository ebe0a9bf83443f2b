package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** That somebody looked is written once a minute, so that no page waits for the disk. */
@Tag("http")
class SeenTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    /** The transaction that wrote the sign-in last. */
    private String written(String mail) {
        return sql.queryForObject(
                "select string_agg(xmin::text, ' ') from spring_session where principal_name = ?", String.class, mail);
    }

    @Test
    void aLookWithinAMinuteIsNotWrittenAndALaterOneIs() {
        String mail = "seen.once@pemblar.example";
        Person person = new Person(Running.ADDRESS).signUp(mail, "ride");
        person.get("/");
        String before = written(mail);
        assertThat(before).isNotBlank();
        assertThat(person.get("/account").statusCode()).isEqualTo(200);
        assertThat(written(mail)).isEqualTo(before);
        long early = System.currentTimeMillis() - 120_000;
        sql.update("update spring_session set last_access_time = ? where principal_name = ?", early, mail);
        String moved = written(mail);
        assertThat(person.get("/account").statusCode()).isEqualTo(200);
        assertThat(written(mail)).isNotEqualTo(moved);
        assertThat(sql.queryForObject(
                        "select min(last_access_time) from spring_session where principal_name = ?", Long.class, mail))
                .isGreaterThan(early + 60_000);
    }

    /** Each sign-in has a name of its own, also within the minute: whoever knew the one before is not signed in. */
    @Test
    void aSignInIsWrittenAtOnce() {
        String mail = "seen.anew@pemblar.example";
        Person person = new Person(Running.ADDRESS).signUp(mail, "ride");
        String first = sql.queryForObject(
                "select session_id from spring_session where principal_name = ?", String.class, mail);
        person.post("/sign-out", java.util.Map.of());
        assertThat(written(mail)).isNull();
        person.signIn(mail, "a long password");
        assertThat(sql.queryForObject(
                        "select session_id from spring_session where principal_name = ?", String.class, mail))
                .isNotEqualTo(first);
    }
}
