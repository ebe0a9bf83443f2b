package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.checkin.AskedStore;

/**
 * What the morning asks is the athlete's choice, and a reminder comes once, at the hour that was set, when it is
 * needed.
 */
@Tag("http")
class AskedTest {
    private static final ZoneId HOME = ZoneId.of("Europe/Dublin");
    private static final String MAIL = "nils.asked@pemblar.example";
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp(MAIL, "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
    }

    private static String ask(String field, String remind) {
        person.get(base + "/checkins");
        return person.post(base + "/checkins/asked", Map.of("field", field, "remind", remind))
                .body();
    }

    @Test
    void onlyWhatIsAskedIsOnTodayAndHasALane() {
        assertThat(person.get(base + "/today").body())
                .contains("name=\"rmssd\"")
                .contains("Mood");
        ask("SORENESS", "");
        assertThat(person.get(base + "/today").body())
                .doesNotContain("name=\"rmssd\"")
                .doesNotContain("Mood")
                .contains("Legs")
                .contains("Ill: what");
        person.post(base + "/checkin", Map.of("day", LocalDate.now(HOME).toString(), "mood", "4"));
        assertThat(person.get(base + "/today").body())
                .as("what was said is seen")
                .contains("Mood");
        sql.update("delete from checkin where athlete_id = ?", athlete);
        sql.update("delete from checkin_choice where athlete_id = ?", athlete);
    }

    private static int reminders() {
        Running.APPLICATION.getBean(AskedStore.class).remind();
        return sql.queryForObject(
                "select count(*) from mail where recipient = ? and subject like 'How are you%'", Integer.class, MAIL);
    }

    @Test
    void aReminderComesOnceADayWhenNothingWasNotedByThen() {
        assertThat(ask("SORENESS", "half six")).contains("Reminder: enter a time");
        assertThat(ask("SORENESS", "00:00")).contains("a mail reminds you");
        assertThat(reminders()).isEqualTo(1);
        assertThat(reminders()).as("once a day").isEqualTo(1);
        sql.update("update checkin_choice set reminded_on = reminded_on - 1 where athlete_id = ?", athlete);
        person.get(base + "/today");
        person.post(base + "/checkin", Map.of("day", LocalDate.now(HOME).toString(), "soreness", "2"));
        assertThat(reminders()).as("it was noted already").isEqualTo(1);
        sql.update("delete from checkin where athlete_id = ?", athlete);
        sql.update(
                "update checkin_choice set reminded_on = null, remind_minute = ? where athlete_id = ?",
                Math.min(1439, LocalTime.now(HOME).toSecondOfDay() / 60 + 30),
                athlete);
        if (LocalTime.now(HOME).isBefore(LocalTime.of(23, 0)))
            assertThat(reminders()).as("not before its hour").isEqualTo(1);
        sql.update("delete from checkin_choice where athlete_id = ?", athlete);
    }
}
