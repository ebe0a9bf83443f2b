package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import pemblar.app.effort.AerobicStore;
import pemblar.app.effort.AerobicStore.Stored;
import pemblar.core.sport.Sport;

/** What a page reads of a year is kept for the next page, until something of it is written; all is rolled back. */
@Tag("http")
class KeptEffortsTest {
    private static final LocalDate FROM = LocalDate.of(2000, 1, 1);
    private static final int BEYOND = 100_000;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final AerobicStore store = Running.APPLICATION.getBean(AerobicStore.class);
    private final TransactionTemplate transaction =
            new TransactionTemplate(Running.APPLICATION.getBean(PlatformTransactionManager.class));
    private final HttpServletRequest request = mock(HttpServletRequest.class);
    private long rider;

    @BeforeEach
    void aPageIsRead() {
        when(request.getMethod()).thenReturn("GET");
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
    }

    @AfterEach
    void andDone() {
        RequestContextHolder.resetRequestAttributes();
    }

    private List<Stored> stretches() {
        return store.from(rider, Sport.RIDE, FROM);
    }

    /** The demo's riders are ridden by other tests and by jobs meanwhile: this one nobody else can see. */
    private void rolledBack(Runnable check) {
        transaction.executeWithoutResult(status -> {
            status.setRollbackOnly();
            rider = sql.queryForObject(
                    "insert into athlete (name, sex, time_zone, acute_days, chronic_days, sports)"
                            + " values ('Unseen', 'NOT_GIVEN', 'UTC', 7, 42, 'RIDE') returning id",
                    Long.class);
            long recording = sql.queryForObject("select min(id) from recording", Long.class);
            for (int place = 0; place < 3; place++)
                sql.update(
                        "insert into aerobic_piece (recording_id, place, athlete_id, sport, day, hours, bpm, output)"
                                + " values (?, ?, ?, 'RIDE', current_date, 0.5, 140, 200)",
                        recording,
                        BEYOND + place,
                        rider);
            check.run();
        });
    }

    @Test
    void stretchesAreReadAnewWhenOneOfThemWasWrittenOrIsGone() {
        rolledBack(() -> {
            List<Stored> first = stretches();
            assertThat(first).hasSize(3);
            assertThat(stretches()).isSameAs(first);
            sql.update("update aerobic_piece set celsius = 61 where athlete_id = ? and place = ?", rider, BEYOND);
            assertThat(stretches()).hasSize(3).anyMatch(p -> p.celsius() == 61);
            sql.update("delete from aerobic_piece where athlete_id = ? and place = ?", rider, BEYOND);
            assertThat(stretches()).hasSize(2).noneMatch(p -> p.celsius() == 61);
        });
        assertThat(stretches()).as("as nothing stayed").isEmpty();
    }

    @Test
    void whoeverWritesReadsAnew() {
        when(request.getMethod()).thenReturn("POST");
        rolledBack(
                () -> assertThat(stretches()).hasSize(3).isEqualTo(stretches()).isNotSameAs(stretches()));
    }
}
