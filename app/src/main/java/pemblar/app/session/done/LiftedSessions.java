package pemblar.app.session.done;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.load.SessionLoad;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;

/** Strength sessions on their days; what is in them is the shorthand that the strength area reads. */
@Service
public class LiftedSessions {
    private static final int LONGEST_TITLE = 80;
    private static final int BATCH = 200;
    private static final int STROKE_SECONDS = 40;
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;
    private final StrengthFigures figures;

    LiftedSessions(TrainingSessionRepository sessions, SessionDesk desk, StrengthFigures figures) {
        this.figures = figures;
        this.sessions = sessions;
        this.desk = desk;
    }

    /** Tells sessions of an earlier version whether they are heavy on the legs; false when none is left. */
    @Transactional
    public boolean tellNextLegs() {
        List<SessionRow> rows = sessions.withoutLegs(BATCH);
        for (SessionRow row : rows) row.heavyLegs(figures.isHeavyOnLegs(row.strength()));
        return !rows.isEmpty();
    }

    /** A strength session as it is planned. */
    public record Lifted(long id, LocalDate day, Integer startMinute, String title, String text, boolean done) {}

    /**
     * What is put on a day.
     *
     * @param strokes share of the maximum of each set, in order: the silhouette
     */
    public record Prepared(String title, String text, int seconds, double load, List<Double> strokes) {}

    @Transactional
    public long put(Visit visit, LocalDate day, Integer startMinute, Prepared prepared) {
        Athlete athlete = desk.athlete(visit);
        SessionRow row = row(athlete, day, startMinute, prepared);
        row.by(visit.viewer().name());
        sessions.save(row);
        desk.remember(
                visit,
                "Put “" + row.title() + "” on " + SessionDesk.day(day) + ".",
                PlanState.making(List.of(row.id())));
        return row.id();
    }

    /** The same without undo, for making a whole plan. */
    @Transactional
    public long add(long athleteId, LocalDate day, Integer startMinute, Prepared prepared) {
        return sessions.save(row(desk.forJob(athleteId), day, startMinute, prepared))
                .id();
    }

    /** A session that is over, with the effort it had; the load follows from both. */
    @Transactional
    public long addDone(long athleteId, LocalDate day, Integer startMinute, Prepared prepared, double effort) {
        SessionRow row = row(desk.forJob(athleteId), day, startMinute, prepared);
        double load = SessionLoad.ofPerceivedEffort(prepared.seconds(), effort);
        row.tell(SessionRow.Told.lasting(prepared.seconds(), effort), load);
        return sessions.save(row).id();
    }

    /**
     * The session of a day and title in which sets were logged: the one that is there, or a new one that is over. What
     * nobody rated has no load.
     */
    @Transactional
    public long logged(Visit visit, LocalDate day, Prepared prepared) {
        Athlete athlete = desk.athlete(visit);
        for (SessionRow there : sessions.between(visit.athleteId(), day, day))
            if (there.sport().isLifted() && there.title().equals(prepared.title()) && there.isSeenBy(athlete))
                return there.id();
        SessionRow row = row(athlete, day, null, prepared);
        if (row.strength().isEmpty()) row.lift(null, row.heavyLegs());
        row.withoutPlannedLoad();
        row.tell(SessionRow.Told.lasting(prepared.seconds(), null), null);
        row.by(visit.viewer().name());
        sessions.save(row);
        desk.remember(
                visit,
                "Took in “" + row.title() + "” of " + SessionDesk.day(day) + ".",
                PlanState.making(List.of(row.id())));
        return row.id();
    }

    /** A row that is not kept yet, with its figures by the maxima of its day. */
    public SessionRow row(Athlete athlete, LocalDate day, Integer startMinute, String title, StrengthWorkout workout) {
        return row(
                athlete,
                day,
                startMinute,
                new Prepared(
                        title,
                        StrengthText.of(workout),
                        workout.seconds(),
                        workout.load(),
                        figures.strokes(athlete, day, workout)));
    }

    private SessionRow row(Athlete athlete, LocalDate day, Integer startMinute, Prepared prepared) {
        String title = prepared.title().strip();
        if (title.isEmpty() || title.length() > LONGEST_TITLE)
            throw new IllegalArgumentException("Title: enter 1 to 80 characters.");
        SessionRow row = new SessionRow(athlete.id(), desk.near(athlete, day), Sport.STRENGTH, title);
        row.startAt(startMinute);
        row.lift(prepared.text(), figures.isHeavyOnLegs(prepared.text()));
        row.expect(Purpose.STRENGTH, prepared.seconds(), prepared.load(), silhouette(prepared));
        return row;
    }

    /** Sets as strokes, evenly over the session. */
    private static String silhouette(Prepared prepared) {
        int count = Math.max(1, prepared.strokes().size());
        int apart = Math.max(STROKE_SECONDS + 1, prepared.seconds() / count);
        StringBuilder text = new StringBuilder();
        for (double share : prepared.strokes()) {
            if (!text.isEmpty()) text.append(';');
            text.append(String.format(
                    Locale.ROOT, "%d,%.3f,%.3f;%d,0,0", STROKE_SECONDS, share, share, apart - STROKE_SECONDS));
        }
        return text.toString();
    }

    /** @throws NotFoundException when there is no such strength session for this person */
    @Transactional(readOnly = true)
    public Lifted require(Visit visit, long sessionId) {
        SessionRow row = desk.require(visit, sessionId);
        if (!row.sport().isLifted()) throw new NotFoundException("strength session");
        return lifted(row);
    }

    /** Puts another shorthand in the place of a session's own, as when an exercise is swapped on the floor. */
    @Transactional
    public void rewrite(Visit visit, long sessionId, String text, String label) {
        SessionRow row = desk.open(visit, sessionId);
        if (!row.sport().isLifted()) throw new NotFoundException("strength session");
        PlanState before = PlanState.changing(row);
        row.lift(text, figures.isHeavyOnLegs(text));
        desk.touch(row, visit.viewer());
        desk.remember(visit, label, before);
    }

    /** Planned and not done, from a day on. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Lifted> ahead(Athlete athlete, LocalDate from) {
        return sessions.openFrom(athlete.id(), from).stream()
                .filter(row -> row.strength() != null && row.isSeenBy(athlete))
                .map(LiftedSessions::lifted)
                .toList();
    }

    private static Lifted lifted(SessionRow row) {
        return new Lifted(
                row.id(),
                row.day(),
                row.startMinute(),
                row.title(),
                row.strength() == null ? "" : row.strength(),
                row.isDone());
    }
}
