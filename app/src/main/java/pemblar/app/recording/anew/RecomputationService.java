package pemblar.app.recording.anew;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.DatabaseAway;
import pemblar.app.objects.ObjectLost;
import pemblar.app.recording.RecordingService;
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
    private static final int TRIES_TOGETHER = 3;
    private static final Logger LOG = LoggerFactory.getLogger(RecomputationService.class);
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

    /**
     * @param oneByOne once some together failed again and again: each by itself, and one whose data cannot be read is
     *     left as it is and says so, so that no other one goes on counting by values of before
     */
    void run(long id, boolean oneByOne) {
        boolean more;
        do more = oneByOne ? nextAlone(id) : some(id, BATCH);
        while (more);
        do more = recordings.noteNextDoubts();
        while (more);
    }

    private boolean nextAlone(long id) {
        try {
            return some(id, 1);
        } catch (RuntimeException e) {
            if (isAway(e) || e instanceof ConcurrencyFailureException) throw e;
            LOG.error("recomputation {}: a recording is left as it was", id, e);
            transaction.executeWithoutResult(status -> leave(id));
            return true;
        }
    }

    /** What will be there again is waited for; an object that is lost will not be. */
    private static boolean isAway(Throwable e) {
        return DatabaseAway.isAway(e) && !(e instanceof ObjectLost);
    }

    private boolean some(long id, int most) {
        return Boolean.TRUE.equals(transaction.execute(status -> next(id, most)));
    }

    private void leave(long id) {
        RecomputationRow row = recomputations.findById(id).orElseThrow();
        long recording = recordings
                .idsIn(row.athleteId, row.fromDay, row.untilDay, row.sports(), row.lastRecordingId)
                .get(0);
        recordings.leftAsItWas(recording);
        row.lastRecordingId = recording;
        row.done = Math.min(row.total - 1, row.done + 1);
    }

    /** Recomputes the next few recordings; false when none is left. */
    private boolean next(long id, int most) {
        RecomputationRow row = recomputations.findById(id).orElse(null);
        if (row == null) return false;
        List<Long> left = recordings.idsIn(row.athleteId, row.fromDay, row.untilDay, row.sports(), row.lastRecordingId);
        if (left.isEmpty()) {
            row.done = row.total;
            return false;
        }
        List<Long> batch = left.subList(0, Math.min(most, left.size()));
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
        do more = recordings.noteNextDoubts();
        while (more);
    }

    @EventListener(ApplicationReadyEvent.class)
    void queueCurves() {
        queue.scheduleIfNotExists(new TaskInstance<Void>(CURVES, "all"), clock.instant());
    }

    /** A database or a store that is away is waited for however long; for a fault that stays a few tries are enough. */
    private static void again(ExecutionComplete done, ExecutionOperations<Void> operations) {
        FailureHandler<Void> later = new FailureHandler.ExponentialBackoffFailureHandler<>(Duration.ofSeconds(2));
        FailureHandler<Void> fewTimes = new FailureHandler.MaxRetriesFailureHandler<>(MOST_TRIES, later);
        boolean away = done.getCause().map(RecomputationService::isAway).orElse(false);
        (away ? later : fewTimes).onFailure(done, operations);
    }

    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> recompute(org.springframework.beans.factory.ObjectProvider<RecomputationService> service) {
            return Tasks.oneTime(TASK)
                    .onFailure(RecomputationService::again)
                    .execute((instance, context) -> service.getObject()
                            .run(
                                    Long.parseLong(instance.getId()),
                                    context.getExecution().consecutiveFailures >= TRIES_TOGETHER));
        }

        @Bean
        OneTimeTask<Void> fillCurves(org.springframework.beans.factory.ObjectProvider<RecomputationService> service) {
            return Tasks.oneTime(CURVES)
                    .execute((instance, context) -> service.getObject().fillCurves());
        }
    }
}
