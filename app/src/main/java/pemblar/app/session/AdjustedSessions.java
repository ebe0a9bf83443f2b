package pemblar.app.session;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.core.adjust.Change;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;

/**
 * Applies changes of the plan, given as values, to an athlete's sessions: all of them or none, as one step that can be
 * taken back.
 */
@Service
public class AdjustedSessions {
    private static final int LEAST_PERCENT = 10;
    private static final int MOST_PERCENT = 200;
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;

    AdjustedSessions(TrainingSessionRepository sessions, SessionDesk desk) {
        this.sessions = sessions;
        this.desk = desk;
    }

    /** @throws IllegalArgumentException when a session has been done or dropped meanwhile: nothing is changed then */
    @Transactional
    public void apply(long athleteId, Viewer viewer, List<Change> changes, String label) {
        Athlete athlete = desk.athlete(athleteId, viewer);
        List<PlanState.Was> before = new ArrayList<>();
        List<Long> made = new ArrayList<>();
        for (Change change : changes) {
            if (change instanceof Change.Rest rest) {
                for (SessionRow row : sessions.openFrom(athleteId, rest.day()))
                    if (row.day.equals(rest.day()) && row.isSeenBy(athlete)) remove(row, before);
            } else if (change instanceof Change.Add add) {
                made.add(add(athlete, viewer, add));
            } else if (!(change instanceof Change.Retarget)) {
                SessionRow row = row(athleteId, viewer, change);
                if (change instanceof Change.Drop) remove(row, before);
                else {
                    before.add(PlanState.Was.of(row));
                    alter(athlete, row, change);
                    desk.touch(row, viewer);
                }
            }
        }
        desk.remember(athleteId, viewer, label, new PlanState(before, made));
    }

    private void remove(SessionRow row, List<PlanState.Was> before) {
        before.add(PlanState.Was.of(row));
        sessions.delete(row);
    }

    private SessionRow row(long athleteId, Viewer viewer, Change change) {
        String id = change instanceof Change.Move m
                ? m.session()
                : change instanceof Change.Scale s
                        ? s.session()
                        : change instanceof Change.Swap s ? s.session() : ((Change.Drop) change).session();
        try {
            return desk.open(athleteId, viewer, Long.parseLong(id));
        } catch (NotFoundException e) {
            throw new IllegalArgumentException(
                    "A session of this proposal is gone meanwhile. Look at the proposals again: they are made anew.");
        }
    }

    private void alter(Athlete athlete, SessionRow row, Change change) {
        if (change instanceof Change.Move move) {
            row.day = desk.near(athlete, move.to());
            if (move.startMinute().isPresent())
                row.startMinute = move.startMinute().getAsInt();
            SessionDesk.forecast(row, desk.zones(athlete).on(row.day));
        } else if (change instanceof Change.Scale scale) {
            scale(athlete, row, scale.factor());
        } else if (change instanceof Change.Swap swap) {
            sketch(
                    row,
                    swap.title(),
                    swap.hard() ? Purpose.TEMPO : Purpose.RECOVERY,
                    (int) Math.round(swap.hours() * 3600),
                    swap.load());
        }
    }

    private void scale(Athlete athlete, SessionRow row, double factor) {
        if (row.isPlanned()) {
            row.scalePercent =
                    (int) Math.max(LEAST_PERCENT, Math.min(MOST_PERCENT, Math.round(row.scalePercent * factor)));
            SessionDesk.forecast(row, desk.zones(athlete).on(row.day));
        } else {
            sketch(
                    row,
                    row.title,
                    row.purpose,
                    (int) Math.round(row.plannedSeconds * factor),
                    row.plannedLoad == null ? 0 : row.plannedLoad * factor);
        }
    }

    private static void sketch(SessionRow row, String title, Purpose purpose, int seconds, double load) {
        row.title = title;
        row.structure = null;
        row.workoutId = null;
        row.workoutVersion = null;
        row.scalePercent = 100;
        row.purpose = purpose;
        row.plannedSeconds = Math.max(300, seconds);
        row.plannedLoad = load;
        row.plannedSilhouette = String.format(
                Locale.ROOT, "%d,%.3f,%.3f", row.plannedSeconds, purpose.intensity(), purpose.intensity());
    }

    private long add(Athlete athlete, Viewer viewer, Change.Add add) {
        LocalDate day = desk.near(athlete, add.day());
        SessionRow row = new SessionRow(athlete.id(), day, Sport.ofKey(add.sport()), add.title());
        row.startMinute = add.startMinute();
        sketch(
                row,
                add.title(),
                add.hard() ? Purpose.TEMPO : Purpose.EASY,
                (int) Math.round(add.hours() * 3600),
                add.load());
        row.changedBy = viewer.name();
        return sessions.save(row).id;
    }
}
