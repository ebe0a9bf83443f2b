package pemblar.app.exchange;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.app.session.IntakeService;
import pemblar.app.session.IntakeService.Taken;

/**
 * Uploads: each file is stored and queued in one transaction, then read by a job in another. A node that dies in
 * between leaves the file waiting, and the job is done again from the start: no session is lost, none is made twice.
 */
@Service
public class ImportService {
    private static final Duration FIRST_RETRY = Duration.ofSeconds(1);
    private static final int MOST_TRIES = 4;
    private static final String TASK = "import-file";
    private final ImportFileRepository files;
    private final IntakeService recordings;
    private final AthleteService athletes;
    private final SchedulerClient queue;
    private final InstantSource clock;

    ImportService(
            ImportFileRepository files,
            IntakeService recordings,
            AthleteService athletes,
            SchedulerClient queue,
            InstantSource clock) {
        this.files = files;
        this.recordings = recordings;
        this.athletes = athletes;
        this.queue = queue;
        this.clock = clock;
    }

    /** One file on its way; {@code state} is WAITING, DONE, KNOWN or REFUSED. */
    public record Progress(long id, String fileName, String state, String message, Long sessionId) {}

    /** Stores a file and queues it. */
    @Transactional
    public long upload(Visit visit, String fileName, byte[] content) {
        athletes.require(visit);
        String name = fileName.replaceAll("[\\p{Cntrl}/\\\\]", "_");
        ImportFileRow row = files.save(new ImportFileRow(
                visit.athleteId(),
                visit.viewer().accountId(),
                name.length() > 200 ? name.substring(0, 200) : name,
                content,
                clock.instant()));
        queue.scheduleIfNotExists(new TaskInstance<Void>(TASK, row.id.toString()), clock.instant());
        return row.id;
    }

    @Transactional(readOnly = true)
    public List<Progress> latest(Athlete athlete, int count) {
        return files.latest(athlete.id(), count);
    }

    /** Files of several athletes that wait or were refused, the latest first, by athlete. */
    @Transactional(readOnly = true)
    public Map<Long, List<Progress>> notTaken(List<Athlete> athletes, int count) {
        if (athletes.isEmpty()) return Map.of();
        return files.notTaken(athletes.stream().map(Athlete::id).toList(), count).stream()
                .collect(Collectors.groupingBy(
                        row -> row.athleteId,
                        Collectors.mapping(
                                row -> new Progress(row.id, row.fileName, row.state.name(), row.message, row.sessionId),
                                Collectors.toList())));
    }

    @Transactional
    void read(long fileId) {
        ImportFileRow row = files.findById(fileId).orElse(null);
        if (row == null || row.state != ImportFileRow.State.WAITING) return;
        Taken taken = recordings.take(athletes.forJob(row.athleteId), row.fileName, row.content, Optional.empty());
        row.state = ImportFileRow.State.valueOf(taken.outcome().name());
        row.message = taken.message().length() > 1000 ? taken.message().substring(0, 1000) : taken.message();
        row.sessionId = taken.sessionId();
        row.content = null;
    }

    /** A file that cannot be taken in whatever is tried: its person is told, and nothing waits for it. */
    @Transactional
    void refuse(long fileId) {
        ImportFileRow row = files.findById(fileId).orElse(null);
        if (row == null || row.state != ImportFileRow.State.WAITING) return;
        row.state = ImportFileRow.State.REFUSED;
        row.message = "This file could not be taken in after " + MOST_TRIES
                + " tries: something in it is not understood. Keep it, and export it from the device again.";
        row.content = null;
    }

    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> importFile(ObjectProvider<ImportService> service) {
            // Two copies of a file at the same moment: the second is tried again soon, and then found to be known.
            FailureHandler<Void> again = new FailureHandler.ExponentialBackoffFailureHandler<>(FIRST_RETRY);
            FailureHandler<Void> atMost = new FailureHandler.MaxRetriesFailureHandler<>(
                    MOST_TRIES,
                    again,
                    (complete, operations) -> service.getObject()
                            .refuse(Long.parseLong(
                                    complete.getExecution().taskInstance.getId())));
            return Tasks.oneTime(TASK)
                    .onFailure(atMost)
                    .execute((instance, context) -> service.getObject().read(Long.parseLong(instance.getId())));
        }
    }
}
