package pemblar.app.bench;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A unit whose page was closed still brings its recording home. */
@Configuration
class BringingIn {
    @Bean
    RecurringTask<Void> bringInRides(ObjectProvider<BenchService> bench) {
        return Tasks.recurring("bench-units", FixedDelay.ofSeconds(30))
                .execute((instance, context) -> bench.getObject().bringIn());
    }
}
