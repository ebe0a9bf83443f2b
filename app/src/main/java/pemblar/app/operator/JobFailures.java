package pemblar.app.operator;

import com.github.kagkarlsson.scheduler.event.AbstractSchedulerListener;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keeps why a job failed. */
@Component
class JobFailures extends AbstractSchedulerListener {
    private static final Logger LOG = LoggerFactory.getLogger(JobFailures.class);
    private static final int LONGEST_REASON = 500;
    private static final int LONGEST_NAME = 200;
    private static final int SHOWN = 50;
    private final JdbcClient sql;

    JobFailures(JdbcClient sql) {
        this.sql = sql;
    }

    @Override
    public void onExecutionComplete(ExecutionComplete ended) {
        if (ended.getResult() != ExecutionComplete.Result.FAILED) return;
        TaskInstance<?> job = ended.getExecution().taskInstance;
        try {
            keep(
                    job.getTaskName(),
                    job.getId(),
                    ended.getTimeDone(),
                    ended.getCause().orElse(null));
        } catch (DataAccessException e) {
            LOG.warn("why {} failed could not be kept: {}", job.getTaskName(), e.toString());
        }
    }

    void keep(String task, String instance, Instant at, Throwable cause) {
        sql.sql("insert into job_failure (task_name, task_instance, failed_at, reason) values (?, ?, ?, ?)")
                .params(task, cut(instance, LONGEST_NAME), at.atOffset(ZoneOffset.UTC), reason(cause))
                .update();
    }

    /** What it was in the end, by its own words where it has any. */
    private static String reason(Throwable cause) {
        if (cause == null) return "it was not said why";
        Throwable last = cause;
        while (last.getCause() != null && last.getCause() != last) last = last.getCause();
        String words = last.getMessage() == null ? "" : ": " + last.getMessage().replaceAll("\\s+", " ");
        return cut(last.getClass().getSimpleName() + words, LONGEST_REASON);
    }

    private static String cut(String text, int most) {
        return text.length() > most ? text.substring(0, most) : text;
    }

    /**
     * A job of the queue.
     *
     * @param failures tries in a row that failed
     * @param reason of the last failure; empty when none is kept
     */
    public record Job(String task, String instance, Instant due, boolean running, int failures, String reason) {}

    /** Those that failed at their last try, the most often failed first. */
    List<Job> failing() {
        return sql.sql("select t.task_name, t.task_instance, t.execution_time, t.picked, t.consecutive_failures,"
                        + " coalesce((select f.reason from job_failure f where f.task_name = t.task_name and"
                        + " f.task_instance = t.task_instance order by f.failed_at desc limit 1), '') as reason"
                        + " from scheduled_tasks t where t.consecutive_failures > 0"
                        + " order by t.consecutive_failures desc, t.task_name, t.task_instance limit " + SHOWN)
                .query((rs, i) -> new Job(
                        rs.getString(1),
                        rs.getString(2),
                        rs.getTimestamp(3).toInstant(),
                        rs.getBoolean(4),
                        rs.getInt(5),
                        rs.getString(6)))
                .list();
    }

    /** Makes a job due. @return false when it runs already, or is gone */
    boolean again(String task, String instance, Instant now) {
        return sql.sql("update scheduled_tasks set execution_time = ?, version = version + 1 where task_name = ? and"
                                + " task_instance = ? and not picked")
                        .params(now.atOffset(ZoneOffset.UTC), task, instance)
                        .update()
                > 0;
    }
}
