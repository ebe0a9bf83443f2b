package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;
import pemblar.app.coach.MorningService;

/** Before a coach looks, what each of their athletes needs has been computed for the athlete's own day. */
@Tag("http")
class EarlyMorningsTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final MorningService mornings = Running.APPLICATION.getBean(MorningService.class);

    private Map<String, Object> state(long athlete) {
        return sql.queryForMap("select day, dirty from morning_state where athlete_id = ?", athlete);
    }

    private long signUp(String name) {
        Person person = new Person(Running.ADDRESS).signUp(name + "@pemblar.example", "ride");
        return Long.parseLong(person.get("/").uri().getPath().replaceAll("\\D", ""));
    }

    @Test
    void whoIsCoachedIsMadeReadyAfterMidnightAndAfterAChangeAndNobodyElse() {
        new Person(Running.ADDRESS).signUp("early.coach@pemblar.example", "coach");
        long coach =
                sql.queryForObject("select id from account where email = 'early.coach@pemblar.example'", Long.class);
        long coached = signUp("early.rider");
        long alone = signUp("early.alone");
        Running.APPLICATION.getBean(CoachingService.class).begin(coached, coach, true);

        mornings.refresh(1000);
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        assertThat(state(coached)).containsEntry("dirty", false);
        assertThat(sql.queryForObject("select count(*) from morning_state where athlete_id = ?", Integer.class, alone))
                .isZero();

        sql.update("update morning_state set day = ? where athlete_id = ?", today.minusDays(3), coached);
        mornings.refresh(1000);
        assertThat(sql.queryForObject("select day from morning_state where athlete_id = ?", LocalDate.class, coached))
                .isBetween(today.minusDays(1), today.plusDays(1));

        sql.update("update morning_state set dirty = true where athlete_id = ?", coached);
        mornings.refresh(1000);
        assertThat(state(coached)).containsEntry("dirty", false);
        assertThat(mornings.refresh(0)).as("no more at once than is asked for").isZero();
    }
}
