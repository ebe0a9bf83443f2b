package pemblar.app.session.change;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.threshold.ThresholdsChanged;
import pemblar.core.load.SessionSummary.Part;

/**
 * Keeps the figures of what is planned true: after a changed threshold, and once for sessions of an earlier version.
 */
@Service
public class PlanForecasts {
    private static final String PURPOSES = "fill-purposes";
    private static final int BATCH = 20;
    private final ScheduleService schedule;
    private final TrainingSessionRepository sessions;
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final SchedulerClient queue;
    private final TransactionTemplate transaction;
    private final InstantSource clock;

    PlanForecasts(
            ScheduleService schedule,
            TrainingSessionRepository sessions,
            AthleteService athletes,
            ThresholdService thresholds,
            SchedulerClient queue,
            TransactionTemplate transaction,
            InstantSource clock) {
        this.schedule = schedule;
        this.sessions = sessions;
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.queue = queue;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** The reserve changes no figure of a plan. */
    @EventListener
    @Transactional
    public void thresholdsChanged(ThresholdsChanged change) {
        if (change.parts().equals(EnumSet.of(Part.RESERVE))) return;
        Athlete athlete = athletes.forJob(change.athleteId());
        LocalDate today = athlete.dayOf(clock.instant());
        schedule.forecastAgain(athlete, change.from().isAfter(today) ? change.from() : today, change.until());
    }

    /** Gives planned sessions of an earlier version their purpose, a few to a transaction. */
    void fillPurposes() {
        Long last = 0L;
        while (last != null) {
            long after = last;
            last = transaction.execute(status -> next(after));
        }
    }

    /** @return the last id that was looked at; null when none is left */
    private Long next(long after) {
        List<SessionRow> rows = sessions.withoutPurpose(after, BATCH);
        for (SessionRow row : rows)
            SessionDesk.forecast(
                    row, thresholds.zonesOf(athletes.forJob(row.athleteId())).on(row.day()));
        return rows.isEmpty() ? null : rows.get(rows.size() - 1).id();
    }

    @EventListener(ApplicationReadyEvent.class)
    void queuePurposes() {
        queue.scheduleIfNotExists(new TaskInstance<Void>(PURPOSES, "all"), clock.instant());
    }

    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> fillPurposes(ObjectProvider<PlanForecasts> service) {
            return Tasks.oneTime(PURPOSES)
                    .execute((instance, context) -> service.getObject().fillPurposes());
        }
    }
}
