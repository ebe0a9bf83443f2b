package pemblar.app.session.change;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
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
    public void apply(Visit visit, List<Change> changes, String label) {
        Applying applying = new Applying(desk.athlete(visit), visit.viewer());
        for (Change change : changes) change.answer(applying);
        desk.remember(visit, label, new PlanState(applying.before, applying.made));
    }

    /** Applies one change after another; what belongs to the season is the season's to apply. */
    private final class Applying implements Change.Cases<Void> {
        private final Athlete athlete;
        private final Viewer viewer;
        private final List<PlanState.Was> before = new ArrayList<>();
        private final List<Long> made = new ArrayList<>();

        Applying(Athlete athlete, Viewer viewer) {
            this.athlete = athlete;
            this.viewer = viewer;
        }

        @Override
        public Void move(Change.Move move) {
            SessionRow row = changing(move.session());
            row.moveTo(desk.near(athlete, move.to()));
            if (move.startMinute().isPresent()) row.startAt(move.startMinute().getAsInt());
            SessionDesk.forecast(row, desk.zones(athlete).on(row.day()));
            desk.touch(row, viewer);
            return null;
        }

        @Override
        public Void scale(Change.Scale scale) {
            SessionRow row = changing(scale.session());
            scaled(athlete, row, scale.factor());
            desk.touch(row, viewer);
            return null;
        }

        @Override
        public Void swap(Change.Swap swap) {
            SessionRow row = changing(swap.session());
            Purpose purpose = swap.hard() ? Purpose.TEMPO : Purpose.RECOVERY;
            sketch(row, swap.title(), purpose, (int) Math.round(swap.hours() * 3600), swap.load());
            desk.touch(row, viewer);
            return null;
        }

        @Override
        public Void drop(Change.Drop drop) {
            remove(row(drop.session()));
            return null;
        }

        @Override
        public Void add(Change.Add add) {
            SessionRow row =
                    new SessionRow(athlete.id(), desk.near(athlete, add.day()), Sport.ofKey(add.sport()), add.title());
            row.startAt(add.startMinute());
            Purpose purpose = add.hard() ? Purpose.TEMPO : Purpose.EASY;
            sketch(row, add.title(), purpose, (int) Math.round(add.hours() * 3600), add.load());
            row.by(viewer.name());
            made.add(sessions.save(row).id());
            return null;
        }

        @Override
        public Void rest(Change.Rest rest) {
            for (SessionRow row : sessions.openFrom(athlete.id(), rest.day()))
                if (row.day().equals(rest.day()) && row.isSeenBy(athlete)) remove(row);
            return null;
        }

        @Override
        public Void retarget(Change.Retarget retarget) {
            return null;
        }

        @Override
        public Void moveEvent(Change.MoveEvent move) {
            return null;
        }

        private void remove(SessionRow row) {
            before.add(PlanState.Was.of(row));
            sessions.delete(row);
        }

        private SessionRow changing(String id) {
            SessionRow row = row(id);
            before.add(PlanState.Was.of(row));
            return row;
        }

        private SessionRow row(String id) {
            try {
                return desk.open(new Visit(athlete.id(), viewer), Long.parseLong(id));
            } catch (NotFoundException e) {
                throw new IllegalArgumentException("A session of this proposal is gone meanwhile. Look at the "
                        + "proposals again: they are made anew.");
            }
        }
    }

    private void scaled(Athlete athlete, SessionRow row, double factor) {
        if (row.isPlanned()) {
            row.scale((int) Math.max(LEAST_PERCENT, Math.min(MOST_PERCENT, Math.round(row.scalePercent() * factor))));
            SessionDesk.forecast(row, desk.zones(athlete).on(row.day()));
        } else {
            sketch(
                    row,
                    row.title(),
                    row.purpose(),
                    (int) Math.round(row.plannedSeconds() * factor),
                    row.plannedLoad() == null ? 0 : row.plannedLoad() * factor);
        }
    }

    private static void sketch(SessionRow row, String title, Purpose purpose, int seconds, double load) {
        row.call(title, row.sport());
        row.clearSteps();
        row.sketch(purpose, Math.max(300, seconds), load);
    }
}
