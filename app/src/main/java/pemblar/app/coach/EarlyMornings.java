package pemblar.app.coach;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Makes the coaches' mornings ready after each athlete's midnight and after changes, once for all nodes. */
@Configuration
class EarlyMornings {
    private static final Logger LOG = LoggerFactory.getLogger(EarlyMornings.class);
    private static final int MINUTES = 2;
    private static final int MOST_AT_ONCE = 2000;

    @Bean
    RecurringTask<Void> mornings(MorningService mornings) {
        return Tasks.recurring("mornings", FixedDelay.ofMinutes(MINUTES)).execute((instance, context) -> {
            long begin = System.nanoTime();
            int count = mornings.refresh(MOST_AT_ONCE);
            if (count > 0)
                LOG.info("mornings of {} athletes made in {} ms", count, (System.nanoTime() - begin) / 1_000_000);
        });
    }
}
