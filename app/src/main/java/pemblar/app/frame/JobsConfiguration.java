package pemblar.app.frame;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerBuilder;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.event.SchedulerListener;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import java.time.Duration;
import java.util.ArrayList;
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

    /** Jobs that come again and again have to be started as such: one that is only known never runs. */
    @Bean(destroyMethod = "stop")
    Scheduler jobs(DataSource database, List<Task<?>> tasks, List<SchedulerListener> listeners) {
        List<RecurringTask<?>> again = new ArrayList<>();
        List<Task<?>> queued = new ArrayList<>();
        for (Task<?> task : tasks) {
            if (task instanceof RecurringTask<?> recurring) again.add(recurring);
            else queued.add(task);
        }
        SchedulerBuilder jobs = Scheduler.create(database, queued.toArray(new Task<?>[0]))
                .startTasks(again)
                .threads(2)
                .pollingInterval(Duration.ofMillis(300))
                .heartbeatInterval(Duration.ofSeconds(5))
                .missedHeartbeatsLimit(4)
                .shutdownMaxWait(Duration.ofSeconds(10));
        listeners.forEach(jobs::addSchedulerListener);
        return jobs.build();
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
