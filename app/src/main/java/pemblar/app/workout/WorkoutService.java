package pemblar.app.workout;

import java.time.InstantSource;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.core.workout.Workout;
import pemblar.formats.json.WorkoutJson;

/** The library: a person's own workouts. */
@Service
public class WorkoutService {
    private final WorkoutRepository workouts;
    private final InstantSource clock;

    WorkoutService(WorkoutRepository workouts, InstantSource clock) {
        this.workouts = workouts;
        this.clock = clock;
    }

    /** A workout of the library. */
    public record Kept(long id, String title, Workout workout) {}

    @Transactional(readOnly = true)
    public List<Kept> library(Viewer viewer) {
        return workouts.findByAccountIdOrderByTitle(viewer.accountId()).stream().map(WorkoutService::kept).toList();
    }

    @Transactional(readOnly = true)
    public Kept require(long id, Viewer viewer) {
        return workouts.findByIdAndAccountId(id, viewer.accountId()).map(WorkoutService::kept).orElseThrow(() -> new NotFoundException("workout"));
    }

    /** Saves a new workout, or a changed one under its id. */
    @Transactional
    public long save(Long id, Viewer viewer, String title, Workout workout) {
        if (title.isBlank() || title.length() > 80) throw new IllegalArgumentException("Title: enter 1 to 80 characters.");
        if (id == null) return workouts.save(new WorkoutRow(viewer.accountId(), title.strip(), WorkoutJson.write(workout), clock.instant())).id;
        WorkoutRow row = workouts.findByIdAndAccountId(id, viewer.accountId()).orElseThrow(() -> new NotFoundException("workout"));
        row.title = title.strip();
        row.structure = WorkoutJson.write(workout);
        return id;
    }

    private static Kept kept(WorkoutRow row) {
        return new Kept(row.id, row.title, WorkoutJson.read(row.structure));
    }
}
