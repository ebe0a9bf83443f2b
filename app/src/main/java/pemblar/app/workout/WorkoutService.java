package pemblar.app.workout;

import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.workout.Shelved.Origin;
import pemblar.core.workout.Workout;
import pemblar.formats.json.WorkoutJson;

/** The library: a person's own workouts, those a coach shares with them, and those that ship. */
@Service
public class WorkoutService {
    private static final int LONGEST_FOLDER = 60;
    private static final int LONGEST_TAGS = 200;
    private final WorkoutRepository workouts;
    private final AthleteService athletes;
    private final InstantSource clock;

    WorkoutService(WorkoutRepository workouts, AthleteService athletes, InstantSource clock) {
        this.workouts = workouts;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** What a person says about a workout beside its steps. Tags are separated by commas. */
    public record Label(String title, String folder, String tags, boolean shared) {
        public static Label titled(String title) {
            return new Label(title, "", "", false);
        }

        Label checked() {
            if (title.isBlank() || title.length() > 80)
                throw new IllegalArgumentException("Title: enter 1 to 80 characters.");
            if (folder.length() > LONGEST_FOLDER)
                throw new IllegalArgumentException("Folder: enter at most " + LONGEST_FOLDER + " characters.");
            if (tags.length() > LONGEST_TAGS)
                throw new IllegalArgumentException("Tags: enter at most " + LONGEST_TAGS + " characters.");
            return new Label(title.strip(), folder.strip(), String.join(", ", split(tags)), shared);
        }
    }

    /** Own ones first, archived ones too, then those of coaches, then those that ship. */
    @Transactional(readOnly = true)
    public List<Shelved> everything(Viewer viewer) {
        List<Shelved> all = new ArrayList<>();
        List<Shelved> stored = workouts.seenBy(viewer.accountId(), coaches(viewer)).stream()
                .map(row -> shelved(row, viewer))
                .toList();
        for (Origin origin : new Origin[] {Origin.OWN, Origin.COACH})
            stored.stream().filter(w -> w.origin() == origin).forEach(all::add);
        all.addAll(ShippedWorkouts.ALL);
        return all;
    }

    /** All that can be put on a day. */
    @Transactional(readOnly = true)
    public List<Shelved> library(Viewer viewer) {
        return everything(viewer).stream().filter(w -> !w.archived()).toList();
    }

    @Transactional(readOnly = true)
    public Shelved require(long id, Viewer viewer) {
        if (id < 0)
            return ShippedWorkouts.ALL.stream()
                    .filter(w -> w.id() == id)
                    .findFirst()
                    .orElseThrow(() -> new NotFoundException("workout"));
        return workouts.seen(id, viewer.accountId(), coaches(viewer))
                .map(row -> shelved(row, viewer))
                .orElseThrow(() -> new NotFoundException("workout"));
    }

    /** Nobody has the account 0: a list for a query must not be empty. */
    private List<Long> coaches(Viewer viewer) {
        List<Long> coaches = athletes.coachesOf(viewer);
        return coaches.isEmpty() ? List.of(0L) : coaches;
    }

    /** Saves a new workout, or a changed one of one's own under its id; changed steps make a new version. */
    @Transactional
    public long save(Long id, Viewer viewer, Label label, Workout workout) {
        Label checked = label.checked();
        WorkoutRow row = id == null ? new WorkoutRow(viewer.accountId(), clock.instant()) : own(id, viewer);
        if (id != null && !WorkoutJson.read(row.structure).equals(workout)) row.version++;
        row.title = checked.title();
        row.folder = checked.folder();
        row.tags = checked.tags();
        row.shared = checked.shared();
        row.structure = WorkoutJson.write(workout);
        return workouts.save(row).id;
    }

    /** A copy of one's own, of any workout that one sees. */
    @Transactional
    public long copy(long id, Viewer viewer) {
        Shelved from = require(id, viewer);
        String title =
                from.isOwn() ? from.title().substring(0, Math.min(from.title().length(), 73)) + ", copy" : from.title();
        return save(
                null, viewer, new Label(title, from.folder(), String.join(", ", from.tags()), false), from.workout());
    }

    /** An archived workout is no longer offered; what was scheduled from it stays. */
    @Transactional
    public void archive(long id, Viewer viewer, boolean archived) {
        own(id, viewer).archived = archived;
    }

    private WorkoutRow own(long id, Viewer viewer) {
        return workouts.findByIdAndAccountId(id, viewer.accountId())
                .orElseThrow(() -> new NotFoundException("workout"));
    }

    private static List<String> split(String tags) {
        return Arrays.stream(tags.split(","))
                .map(String::strip)
                .filter(tag -> !tag.isEmpty())
                .distinct()
                .toList();
    }

    private static Shelved shelved(WorkoutRow row, Viewer viewer) {
        Origin origin = row.accountId == viewer.accountId() ? Origin.OWN : Origin.COACH;
        return new Shelved(
                row.id,
                row.title,
                WorkoutJson.read(row.structure),
                row.folder,
                split(row.tags),
                origin,
                row.shared,
                row.archived,
                row.version);
    }
}
