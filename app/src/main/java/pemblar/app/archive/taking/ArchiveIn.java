package pemblar.app.archive.taking;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.archive.Shelf;
import pemblar.app.frame.Viewer;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes an archive in, into an account that holds nothing yet: first its rows at once, then its recordings one by one,
 * then what was mended in them. A node that dies leaves it where it was, and the job goes on from there.
 */
@Service
public class ArchiveIn {
    private static final Duration FIRST_RETRY = Duration.ofSeconds(1);
    private static final int MOST_TRIES = 4;
    private static final String TASK = "archive-in";
    private static final List<String> EMPTY = List.of(
            "select count(*) from workout where account_id = :account",
            "select count(*) from session where athlete_id in (select id from athlete where account_id = :account)",
            "select count(*) from recording where athlete_id in (select id from athlete where account_id = :account)",
            "select count(*) from checkin where athlete_id in (select id from athlete where account_id = :account)");

    private final ArchiveStore store;
    private final Arrival arrival;
    private final Rows rows;
    private final Recordings recordings;
    private final SchedulerClient queue;
    private final TransactionTemplate transaction;
    private final JdbcClient sql;
    private final InstantSource clock;

    ArchiveIn(
            ArchiveStore store,
            Arrival arrival,
            Rows rows,
            Recordings recordings,
            SchedulerClient queue,
            TransactionTemplate transaction,
            JdbcClient sql,
            InstantSource clock) {
        this.store = store;
        this.arrival = arrival;
        this.rows = rows;
        this.recordings = recordings;
        this.queue = queue;
        this.transaction = transaction;
        this.sql = sql;
        this.clock = clock;
    }

    /** Whether the account holds nothing yet that an archive could get mixed up with. */
    boolean isEmpty(Viewer viewer) {
        for (String count : EMPTY)
            if (sql.sql(count)
                            .param("account", viewer.accountId())
                            .query(Long.class)
                            .single()
                    > 0) return false;
        return true;
    }

    Optional<ArchiveStore.Status> latest(Viewer viewer) {
        return store.latest(viewer.accountId());
    }

    /** Stores an archive as it is sent, and queues it. @throws IllegalArgumentException with a sentence */
    void receive(Viewer viewer, InputStream body) throws IOException {
        if (!isEmpty(viewer))
            throw new IllegalArgumentException("An archive is taken in by an account that holds nothing yet, so that"
                    + " nothing is doubled. This one has data: sign up with another address, and bring it there.");
        long id = begun(viewer);
        boolean arrived = false;
        try {
            arrival.receive(id, body);
            arrived = true;
        } finally {
            if (!arrived) store.drop(id);
        }
        // both or neither: one that waits without its job would wait for ever
        transaction.executeWithoutResult(status -> {
            store.state(id, ArchiveStore.State.WAITING);
            queue.scheduleIfNotExists(new TaskInstance<Void>(TASK, String.valueOf(id)), clock.instant());
        });
    }

    private long begun(Viewer viewer) {
        try {
            return store.begin(viewer.accountId());
        } catch (DuplicateKeyException e) {
            throw new IllegalArgumentException("An archive is on its way already. Wait until it is taken in.");
        }
    }

    /** Goes on with an archive from where it is. */
    void read(long id) {
        ArchiveStore.Status archive = store.find(id).orElse(null);
        if (archive == null || !archive.isOnItsWay() || archive.state() == ArchiveStore.State.ARRIVING) return;
        if (archive.state() == ArchiveStore.State.WAITING) {
            try {
                rows.take(archive);
            } catch (IllegalArgumentException e) {
                refuse(id, e.getMessage());
                return;
            }
        }
        List<Recordings.One> all = originals(archive);
        Set<Long> there = store.numbers(id, "recording").keySet();
        for (Recordings.One one : all) if (!there.contains(one.was())) take(id, one);
        for (String strange : store.names(id, "recordings/"))
            recordings.leave(id, new Recordings.One(0, null, strange), "nothing is said of it in data/recording.jsonl");
        for (Recordings.One one : all) recordings.sky(id, one);
        mend(archive);
        each(archive, Shelf.SET_ASIDE, row -> recordings.setAside(archive, row));
        store.end(id, store.numbers(id, "recording").size() + "\trecordings, read from their files");
    }

    private void each(ArchiveStore.Status archive, Shelf shelf, Consumer<ObjectNode> work) {
        Line.each(
                shelf.path(), store.open(archive.id(), shelf.path()), work, what -> store.leftOut(archive.id(), what));
    }

    /** The recordings that the archive tells of, in the order of their days, with the file of each. */
    private List<Recordings.One> originals(ArchiveStore.Status archive) {
        Map<Long, String> files = new TreeMap<>();
        for (String name : store.names(archive.id(), "recordings/"))
            files.put(Long.valueOf(name.split(" ", 3)[1]), name);
        Map<Long, Recordings.One> all = new LinkedHashMap<>();
        each(archive, Shelf.RECORDING, row -> {
            long was = Line.number(row, "id").orElseThrow(() -> new LeftOut("no id"));
            row.retain(Recordings.TAKEN); // a row has some kB, and there may be thousands
            all.put(was, new Recordings.One(was, row, files.getOrDefault(was, "recordings/ of number " + was)));
        });
        return List.copyOf(all.values());
    }

    private void take(long id, Recordings.One one) {
        try {
            recordings.take(id, one);
        } catch (DataAccessException e) {
            if (e instanceof org.springframework.dao.TransientDataAccessException
                    || e instanceof org.springframework.dao.DataAccessResourceFailureException) throw e;
            recordings.leave(id, one, LeftOut.why(e));
        } catch (RuntimeException e) {
            recordings.leave(id, one, LeftOut.why(e));
        }
    }

    private void mend(ArchiveStore.Status archive) {
        Map<Long, List<ObjectNode>> edits = new LinkedHashMap<>();
        each(
                archive,
                Shelf.CORRECTION,
                row -> edits.computeIfAbsent(
                                Line.number(row, "recording_id").orElse(-1L), r -> new java.util.ArrayList<>())
                        .add(row));
        edits.forEach((was, of) -> {
            try {
                recordings.mend(archive, was, of);
            } catch (IllegalArgumentException | LeftOut | DataAccessException e) {
                store.leftOut(archive.id(), Shelf.CORRECTION.path() + ", recording " + was + ": " + LeftOut.why(e));
            }
        });
    }

    private void refuse(long id, String why) {
        store.leftOut(id, why);
        store.refuse(id);
    }

    /** After some tries nothing waits for it. */
    void giveUp(long id) {
        refuse(id, "The archive could not be taken in after " + MOST_TRIES + " tries. What is here already stays.");
    }

    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> archiveInTask(ObjectProvider<ArchiveIn> service) {
            FailureHandler<Void> again = new FailureHandler.ExponentialBackoffFailureHandler<>(FIRST_RETRY);
            FailureHandler<Void> atMost = new FailureHandler.MaxRetriesFailureHandler<>(
                    MOST_TRIES,
                    again,
                    (complete, operations) -> service.getObject()
                            .giveUp(Long.parseLong(
                                    complete.getExecution().taskInstance.getId())));
            return Tasks.oneTime(TASK)
                    .onFailure(atMost)
                    .execute((instance, context) -> service.getObject().read(Long.parseLong(instance.getId())));
        }
    }
}
