package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.kagkarlsson.scheduler.event.AbstractSchedulerListener;
import com.github.kagkarlsson.scheduler.task.Execution;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

@Tag("http")
class OperatorTest {
    private static final String PURGE = "purge";
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final Person person = Person.demo("oda");

    private static ExecutionComplete failed(String task, Throwable cause) {
        Instant now = Instant.now();
        return ExecutionComplete.failure(new Execution(now, new TaskInstance<>(task, "recurring")), now, now, cause);
    }

    @Test
    void whyAJobFailedStandsThereUntilItIsTriedAgainWithSuccess() {
        String why = "the disk <is> full " + System.nanoTime();
        Running.APPLICATION
                .getBean(AbstractSchedulerListener.class)
                .onExecutionComplete(failed(PURGE, new RuntimeException(new IllegalStateException(why))));
        sql.update(
                "update scheduled_tasks set consecutive_failures = 3, execution_time = now() + interval '1 day' where"
                        + " task_name = 'purge'");
        String page = person.get("/operator").body();
        assertThat(page)
                .contains("purge recurring")
                .contains("IllegalStateException: " + why.replace("<is>", "&lt;is&gt;"))
                .contains("MB in all")
                .contains("Sealed before they go into the database")
                .containsPattern(
                        "Each where it came to lie: \\d+ in the store of objects, the others in the database\\.");
        assertThat(person.post("/operator/jobs/again", Map.of("task", PURGE, "instance", "recurring"))
                        .body())
                .contains("is tried again now");
        Eventually.holds(
                Duration.ofSeconds(30),
                () -> sql.queryForObject(
                                "select consecutive_failures from scheduled_tasks where task_name = 'purge'",
                                Integer.class)
                        == 0);
        assertThat(person.get("/operator").body()).doesNotContain(why);
    }

    @Test
    void aJobThatIsNotThereIsNotTried() {
        person.get("/operator");
        assertThat(person.post("/operator/jobs/again", Map.of("task", "none", "instance", "x"))
                        .body())
                .contains("That job runs already, or is gone.");
    }

    @Test
    void eachRequestHasANumberOfItsOwn() {
        HttpResponse<String> one = person.get("/operator");
        HttpResponse<String> other = person.get("/operator");
        String number = one.headers().firstValue("X-Request-Id").orElseThrow();
        assertThat(number)
                .matches("[0-9a-f]{8}")
                .isNotEqualTo(other.headers().firstValue("X-Request-Id").orElseThrow());
    }
}
