package pemblar.app.recording;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.threshold.ThresholdsChanged;

/**
 * After a changed threshold: exactly the sessions of its span, a few to a transaction, so that a killed job goes on.
 */
@Service
public class RecomputationService {
    private static final String TASK = "recompute";
    private static final String CURVES = "fill-curves";
    private static final int BATCH = 40;
    private static final int MOST_TRIES = 8;
    private final RecomputationRepository recomputations;
    private final RecordingService recordings;
    private final AthleteService athletes;
    private final SchedulerClient queue;
    private final TransactionTemplate transaction;
    private final InstantSource clock;

    RecomputationService(
            RecomputationRepository recomputations,
            RecordingService recordings,
            AthleteService athletes,
            SchedulerClient queue,
            TransactionTemplate transaction,
            InstantSource clock) {
        this.recomputations = recomputations;
        this.recordings = recordings;
        this.athletes = athletes;
        this.queue = queue;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** How far the latest recomputation is. */
    public record Progress(int done, int total) {
        public boolean isRunning() {
            return done < total;
        }
    }

    @EventListener
    @Transactional
    public void thresholdsChanged(ThresholdsChanged change) {
        Athlete athlete = athletes.forJob(change.athleteId());
        int total = recordings
                .idsIn(athlete.id(), change.from(), change.until(), change.sports(), 0)
                .size();
        if (total == 0) return;
        RecomputationRow row = recomputations.save(new RecomputationRow(
                athlete.id(), change.from(), change.until(), total, change.sports(), change.parts()));
        queue.scheduleIfNotExists(new TaskInstance<Void>(TASK, row.id.toString()), clock.instant());
    }

    @Transactional(readOnly = true)
    public Optional<Progress> latest(Athlete athlete) {
        return recomputations.latest(athlete.id()).map(row -> new Progress(row.done, row.total));
    }

    void run(long id) {
        boolean more;
        do more = Boolean.TRUE.equals(transaction.execute(status -> next(id)));
        while (more);
        do more = recordings.noteNextDoubts();
        while (more);
    }

    /** Recomputes the next few recordings; false when none is left. */
    private boolean next(long id) {
        RecomputationRow row = recomputations.findById(id).orElse(null);
        if (row == null) return false;
        List<Long> left = recordings.idsIn(row.athleteId, row.fromDay, row.untilDay, row.sports(), row.lastRecordingId);
        if (left.isEmpty()) {
            row.done = row.total;
            return false;
        }
        List<Long> batch = left.subList(0, Math.min(BATCH, left.size()));
        recordings.recompute(athletes.forJob(row.athleteId), batch, row.parts());
        row.lastRecordingId = batch.get(batch.size() - 1);
        row.done = Math.min(row.total - 1, row.done + batch.size());
        return true;
    }

    /** Brings recordings of an earlier version up to date: once at every start, at once done when there are none. */
    void fillCurves() {
        boolean more;
        do more = recordings.storeNextCurves();
        while (more);
    }

    @EventListener(ApplicationReadyEvent.class)
    void queueCurves() {
        queue.scheduleIfNotExists(new TaskInstance<Void>(CURVES, "all"), clock.instant());
    }

    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> recompute(org.springframework.beans.factory.ObjectProvider<RecomputationService> service) {
            return Tasks.oneTime(TASK)
                    .onFailure(new FailureHandler.MaxRetriesFailureHandler<>(
                            MOST_TRIES, new FailureHandler.ExponentialBackoffFailureHandler<>(Duration.ofSeconds(2))))
                    .execute((instance, context) -> service.getObject().run(Long.parseLong(instance.getId())));
        }

        @Bean
        OneTimeTask<Void> fillCurves(org.springframework.beans.factory.ObjectProvider<RecomputationService> service) {
            return Tasks.oneTime(CURVES)
                    .execute((instance, context) -> service.getObject().fillCurves());
        }
    }
}
