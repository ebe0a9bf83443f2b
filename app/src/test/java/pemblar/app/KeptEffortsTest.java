package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
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
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final AerobicStore store = Running.APPLICATION.getBean(AerobicStore.class);
    private final TransactionTemplate transaction =
            new TransactionTemplate(Running.APPLICATION.getBean(PlatformTransactionManager.class));
    private final HttpServletRequest request = mock(HttpServletRequest.class);
    private final long rider = sql.queryForObject(
            "select athlete_id from aerobic_piece where sport = 'RIDE' group by 1 order by count(*) desc limit 1",
            Long.class);

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

    @Test
    void stretchesAreReadAnewWhenOneOfThemWasWrittenOrIsGone() {
        transaction.executeWithoutResult(status -> {
            status.setRollbackOnly();
            List<Stored> first = stretches();
            assertThat(first).isNotEmpty();
            assertThat(stretches()).isSameAs(first);
            Map<String, Object> one = sql.queryForMap(
                    "select recording_id, place from aerobic_piece where athlete_id = ? and sport = 'RIDE' limit 1",
                    rider);
            Object[] which = {one.get("recording_id"), one.get("place")};
            sql.update("update aerobic_piece set celsius = 61 where recording_id = ? and place = ?", which);
            assertThat(stretches()).hasSameSizeAs(first).anyMatch(p -> p.celsius() == 61);
            sql.update("delete from aerobic_piece where recording_id = ? and place = ?", which);
            assertThat(stretches()).hasSize(first.size() - 1).noneMatch(p -> p.celsius() == 61);
        });
        assertThat(stretches()).as("as nothing stayed").noneMatch(p -> p.celsius() == 61);
    }

    @Test
    void whoeverWritesReadsAnew() {
        when(request.getMethod()).thenReturn("POST");
        assertThat(stretches()).isEqualTo(stretches()).isNotSameAs(stretches());
    }
}
