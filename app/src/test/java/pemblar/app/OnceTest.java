package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.frame.Secret;

/** A form with a key does its work once, also when the node that began it died. */
@Tag("http")
class OnceTest {
    private static final String MAIL = "once.key@pemblar.example";
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static int days = 3;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp(MAIL, "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(base + "/board");
    }

    private static Map<String, String> form(LocalDate day, String once) {
        return Map.of("day", day.toString(), "sport", "RIDE", "purpose", "EASY", "length", "1h", "once", once);
    }

    private static LocalDate day() {
        return LocalDate.now(ZoneOffset.UTC).plusDays(days++);
    }

    private static int sketches(LocalDate day) {
        return sql.queryForObject(
                "select count(*) from session where athlete_id = ? and day = ?",
                Integer.class,
                Long.parseLong(base.replaceAll("\\D", "")),
                day);
    }

    /** As a node leaves it that dies before its work is committed. */
    private static void begun(String once, int secondsAgo) {
        sql.update(
                "insert into request_once (key, at, claim, done) values"
                        + " (?, now() - make_interval(secs => ?), ?, false)",
                Secret.hash(MAIL + "\n" + base + "/sketch\n" + once),
                secondsAgo,
                UUID.randomUUID());
    }

    @Test
    void theSameKeyDoesItsWorkOnce() {
        LocalDate day = day();
        String once = UUID.randomUUID().toString();
        for (int i = 0; i < 3; i++) person.post(base + "/sketch", form(day, once));
        assertThat(sketches(day)).isEqualTo(1);
        assertThat(sql.queryForObject(
                        "select done from request_once where key = ?",
                        Boolean.class,
                        Secret.hash(MAIL + "\n" + base + "/sketch\n" + once)))
                .isTrue();
    }

    /** What is older is taken over at once; what may still be at work is waited for. */
    @ParameterizedTest
    @ValueSource(ints = {30, 3})
    void whatADeadNodeBeganIsDoneByWhoeverIsAskedNext(int secondsAgo) {
        LocalDate day = day();
        String once = UUID.randomUUID().toString();
        begun(once, secondsAgo);
        person.post(base + "/sketch", form(day, once));
        assertThat(sketches(day)).isEqualTo(1);
    }

    @Test
    void manyWithOneKeyAtOnceMakeOne() {
        LocalDate day = day();
        String once = UUID.randomUUID().toString();
        Stream.generate(() -> CompletableFuture.supplyAsync(
                        () -> person.post(base + "/sketch", form(day, once)).statusCode()))
                .limit(6)
                .toList()
                .forEach(answer -> assertThat(answer.join()).isLessThan(500));
        assertThat(sketches(day)).isEqualTo(1);
    }

    @Test
    void whatIsRefusedMayBeSentAgain() {
        LocalDate day = day();
        String once = UUID.randomUUID().toString();
        person.post(base + "/sketch", Map.of("day", "no day", "once", once));
        person.post(base + "/sketch", form(day, once));
        assertThat(sketches(day)).isEqualTo(1);
    }
}
