package pemblar.app.session;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.recording.outline.Silhouettes;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.undo.UndoService;
import pemblar.core.schedule.Purpose;
import pemblar.core.workout.Forecast;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;

/** What every change of sessions needs: finding the session for a person, its figures, and keeping what was before. */
@Component
public class SessionDesk {
    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private final TrainingSessionRepository sessions;
    private final UndoService undo;
    private final InstantSource clock;
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final Drafts drafts;

    SessionDesk(
            TrainingSessionRepository sessions,
            UndoService undo,
            AthleteService athletes,
            ThresholdService thresholds,
            Drafts drafts,
            InstantSource clock) {
        this.drafts = drafts;
        this.clock = clock;
        this.sessions = sessions;
        this.undo = undo;
        this.athletes = athletes;
        this.thresholds = thresholds;
    }

    public Athlete athlete(Visit visit) {
        return athletes.require(visit);
    }

    /** For work that is not a person's request. */
    public Athlete forJob(long athleteId) {
        return athletes.forJob(athleteId);
    }

    public DatedZones zones(Athlete athlete) {
        return thresholds.zonesOf(athlete);
    }

    public SessionRow require(Visit visit, long sessionId) {
        Athlete athlete = athletes.require(visit);
        return sessions.find(sessionId, visit.athleteId())
                .filter(row -> row.isSeenBy(athlete))
                .orElseThrow(() -> new NotFoundException("session"));
    }

    /** A session with a recording. @throws NotFoundException when there is none */
    public SessionRow recorded(Visit visit, long sessionId) {
        SessionRow row = require(visit, sessionId);
        if (row.recording == null) throw new NotFoundException("recording");
        return row;
    }

    /** A session that is still to be done. @throws IllegalArgumentException when it is done */
    public SessionRow open(Visit visit, long sessionId) {
        SessionRow row = require(visit, sessionId);
        if (row.isDone())
            throw new IllegalArgumentException("“" + row.title + "” is already done; what was done keeps its day.");
        return row;
    }

    /**
     * @param version of the session on the page that the change comes from; null does not ask. @throws ChangedMeanwhile
     *     when it is another by now
     */
    public void expect(SessionRow row, Integer version) {
        if (version != null && version != row.version) throw new ChangedMeanwhile(Slab.of(row));
    }

    /** A day on the plan. @throws IllegalArgumentException when it is farther than any plan reaches */
    public LocalDate near(Athlete athlete, LocalDate day) {
        return Typed.near("Day", day, athlete.dayOf(clock.instant()));
    }

    public LocalDate near(Visit visit, LocalDate day) {
        return near(athletes.require(visit), day);
    }

    /** The person's hand is on it from now on. */
    public void touch(SessionRow row, Viewer viewer) {
        row.changedBy = viewer.name();
        row.placed = false;
    }

    /** To be called once the change is made: then it is known which of it are drafts. */
    public void remember(Visit visit, String label, PlanState before) {
        drafts.settle(athletes.require(visit), visit.viewer(), label, before);
        undo.remember(visit, label, SessionUndo.KIND, before.by(visit.viewer().name()));
    }

    /**
     * Length, load, silhouette and purpose from the workout with the values of a day; a session without steps keeps its
     * own.
     */
    public static void forecast(SessionRow row, Zones values) {
        if (!row.isPlanned()) return;
        try {
            Forecast forecast = Forecast.of(row.workout(), values);
            row.plannedSeconds = forecast.seconds();
            row.plannedLoad =
                    forecast.load().isPresent() ? (Double) forecast.load().getAsDouble() : null;
            row.plannedSilhouette = Silhouettes.planned(forecast);
            row.purpose = Purpose.of(forecast, row.sport);
        } catch (IllegalArgumentException e) {
            row.plannedSeconds = null; // a threshold is missing: the page says so where the plan is shown
            row.plannedLoad = null;
            row.plannedSilhouette = "";
        }
    }

    public static String day(LocalDate day) {
        return DAY.format(day);
    }
}
