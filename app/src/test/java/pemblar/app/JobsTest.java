package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Every job that is to come again and again is in the queue of the database, once for all nodes. */
@Tag("http")
class JobsTest {
    @Test
    void whatRecursIsScheduled() {
        JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        List<String> recurring = Running.APPLICATION.getBeansOfType(RecurringTask.class).values().stream()
                .map(RecurringTask::getName)
                .toList();
        assertThat(recurring).contains("mornings", "daily-mail", "remind-of-checkins", "purge");
        assertThat(sql.queryForList("select task_name from scheduled_tasks", String.class))
                .containsAll(recurring);
    }
}
