package pemblar.app.frame;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is kept for a day goes after it. */
@Configuration
class Purging {
    private static final List<String> KEPT_FOR_A_DAY = List.of(
            "delete from undo_entry where created_at < ?",
            "delete from value_change where created_at < ?",
            "delete from request_once where at < ?",
            "delete from account_link where made_at < ?",
            "delete from rate_limit where at < ?",
            "delete from archive_in where state = 'ARRIVING' and arrived_at < ?",
            "delete from job_failure f where f.failed_at < ? and (not exists (select 1 from scheduled_tasks t where"
                    + " t.task_name = f.task_name and t.task_instance = f.task_instance and"
                    + " t.consecutive_failures > 0) or exists (select 1 from job_failure n where"
                    + " n.task_name = f.task_name and n.task_instance = f.task_instance and"
                    + " n.failed_at > f.failed_at))",
            "delete from recomputation where done >= total and created_at < ?");

    @Bean
    RecurringTask<Void> daily(JdbcClient sql, InstantSource clock) {
        return Tasks.recurring("purge", FixedDelay.of(Duration.ofHours(1)))
                .execute((instance, context) -> purge(sql, clock));
    }

    static void purge(JdbcClient sql, InstantSource clock) {
        OffsetDateTime yesterday = clock.instant().minus(Duration.ofDays(1)).atOffset(ZoneOffset.UTC);
        for (String statement : KEPT_FOR_A_DAY)
            sql.sql(statement).param(yesterday).update();
    }
}
