package pemblar.app.session.done;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Units;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.load.SessionLoad;

/** Sessions that were done without a recording. */
@Service
public class DoneService {
    private static final int LONGEST_NOTE = 500;
    private static final int LONGEST_SECONDS = 864_000;
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;

    DoneService(TrainingSessionRepository sessions, SessionDesk desk) {
        this.sessions = sessions;
        this.desk = desk;
    }

    /**
     * What a person tells of a session; all may be null, then it was done as planned. @param effort perceived, 0 to 10
     */
    public record Told(Integer seconds, Double metres, Double effort, String note) {
        public static final Told AS_PLANNED = new Told(null, null, null, "");
    }

    /** @throws IllegalArgumentException naming the field that cannot be */
    @Transactional
    public void done(Visit visit, long sessionId, Integer version, Told told) {
        SessionRow row = desk.require(visit, sessionId);
        desk.expect(row, version);
        if (row.recording() != null)
            throw new IllegalArgumentException("“" + row.title() + "” has a recording, which says what was done.");
        PlanState before = PlanState.changing(row);
        tell(row, told);
        row.by(visit.viewer().name());
        desk.remember(
                visit,
                "“" + row.title() + "” on " + SessionDesk.day(row.day()) + " is done, without a recording.",
                before);
    }

    /** All planned sessions of some days that are not done yet, as planned. @return how many */
    @Transactional
    public int doneAsPlanned(Visit visit, LocalDate from, LocalDate to) {
        Athlete athlete = desk.athlete(visit);
        List<SessionRow> open = sessions.openFrom(visit.athleteId(), from).stream()
                .filter(r -> r.isSeenBy(athlete)
                        && !r.day().isAfter(to)
                        && r.hasPlan()
                        && r.plannedSeconds() != null
                        && r.plannedSeconds() >= 60)
                .toList();
        if (open.isEmpty())
            throw new IllegalArgumentException("On these days nothing is planned that is not done already.");
        PlanState before = PlanState.changing(open);
        for (SessionRow row : open) {
            tell(row, Told.AS_PLANNED);
            row.by(visit.viewer().name());
        }
        desk.remember(
                visit,
                open.size() + (open.size() == 1 ? " session is" : " sessions are")
                        + " done as planned, without a recording.",
                before);
        return open.size();
    }

    @Transactional
    public void notDone(Visit visit, long sessionId) {
        SessionRow row = desk.require(visit, sessionId);
        if (row.doneSeconds() == null) return;
        PlanState before = PlanState.changing(row);
        row.untell();
        row.by(visit.viewer().name());
        desk.remember(visit, "“" + row.title() + "” on " + SessionDesk.day(row.day()) + " is open again.", before);
    }

    /** The load comes from the perceived effort when it is told, else from the plan in the part that was done. */
    private static void tell(SessionRow row, Told told) {
        Integer seconds = told.seconds() == null ? row.plannedSeconds() : told.seconds();
        if (seconds == null || seconds < 60 || seconds > LONGEST_SECONDS)
            throw new IllegalArgumentException(
                    "Time: enter how long it was, as 1h20 or 45min; the plan does not say it.");
        if (told.metres() != null && !(told.metres() >= 0 && told.metres() < 2_000_000))
            throw new IllegalArgumentException(
                    "Distance: enter 0 to " + Units.mine().distance(2_000_000, 0) + ".");
        if (told.effort() != null && !(told.effort() >= 0 && told.effort() <= 10))
            throw new IllegalArgumentException("Effort: enter 0 (rest) to 10 (all-out).");
        if (told.note() != null && told.note().length() > LONGEST_NOTE)
            throw new IllegalArgumentException("Note: enter at most 500 characters.");
        row.tell(
                new SessionRow.Told(seconds, told.metres(), told.effort(), told.note()),
                load(row, told.effort(), seconds));
    }

    private static Double load(SessionRow row, Double effort, int seconds) {
        if (effort != null) return SessionLoad.ofPerceivedEffort(seconds, effort);
        return row.plannedLoad() == null || row.plannedSeconds() == null || row.plannedSeconds() == 0
                ? null
                : (Double) SessionLoad.ofPlan(row.plannedLoad(), row.plannedSeconds(), seconds);
    }
}
