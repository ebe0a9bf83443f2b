package pemblar.app.frame;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.Task;
import java.time.Duration;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;

/**
 * Long work runs as jobs in the database: a node that dies is noticed within half a minute and another does its jobs.
 */
@Configuration
class JobsConfiguration {
    /** Queues a job in the transaction of the caller. */
    @Bean
    @Primary
    SchedulerClient jobQueue(DataSource database) {
        return SchedulerClient.Builder.create(new TransactionAwareDataSourceProxy(database))
                .build();
    }

    @Bean(destroyMethod = "stop")
    Scheduler jobs(DataSource database, List<Task<?>> tasks) {
        return Scheduler.create(database, tasks.toArray(new Task<?>[0]))
                .threads(2)
                .pollingInterval(Duration.ofMillis(300))
                .heartbeatInterval(Duration.ofSeconds(5))
                .missedHeartbeatsLimit(4)
                .shutdownMaxWait(Duration.ofSeconds(10))
                .build();
    }

    @Bean
    Starter jobStarter(Scheduler jobs) {
        return new Starter(jobs);
    }

    /** Starts the jobs once the application answers. */
    record Starter(Scheduler jobs) {
        @EventListener(ApplicationReadyEvent.class)
        void start() {
            jobs.start();
        }
    }
}
