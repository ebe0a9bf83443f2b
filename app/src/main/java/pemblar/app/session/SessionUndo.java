package pemblar.app.session;

import java.time.LocalDate;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.AthleteService;
import pemblar.app.recording.RecordingService;
import pemblar.app.session.done.StrengthFigures;
import pemblar.app.sharing.PlanChanged;
import pemblar.app.undo.Undoable;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import tools.jackson.databind.json.JsonMapper;

/** Puts sessions back as they were, with their very ids. */
@Component
public class SessionUndo implements Undoable {
    public static final String KIND = "sessions";
    private final TrainingSessionRepository sessions;
    private final StrengthFigures figures;
    private final RecordedRepository recorded;
    private final RecordingService recordings;
    private final AthleteService athletes;
    private final ApplicationEventPublisher events;

    SessionUndo(
            TrainingSessionRepository sessions,
            RecordedRepository recorded,
            RecordingService recordings,
            AthleteService athletes,
            ApplicationEventPublisher events,
            StrengthFigures figures) {
        this.figures = figures;
        this.sessions = sessions;
        this.recorded = recorded;
        this.recordings = recordings;
        this.athletes = athletes;
        this.events = events;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        PlanState before = JsonMapper.shared().readValue(state, PlanState.class);
        for (PlanState.Was was : before.restore())
            sessions.find(was.id(), athleteId).ifPresent(row -> unlessOthers(row, before.who()));
        for (long id : before.created()) sessions.find(id, athleteId).ifPresent(row -> unlessOthers(row, before.who()));
        for (long id : before.created()) sessions.find(id, athleteId).ifPresent(this::takeAway);
        sessions.flush();
        for (PlanState.Was was : before.restore())
            sessions.find(was.id(), athleteId).ifPresent(row -> row.recording = null);
        sessions.flush();
        for (PlanState.Was was : before.restore()) restore(athleteId, was);
        events.publishEvent(
                new PlanChanged(athleteId, before.restore().stream().anyMatch(PlanState.Was::wasSharedPlan)));
    }

    /** A session on which somebody else's hand has been since stays as it is. */
    private static void unlessOthers(SessionRow row, String who) {
        if (who != null && !row.changedBy.isEmpty() && !row.changedBy.equals(who))
            throw new IllegalArgumentException("“" + row.title + "” was changed by " + row.changedBy
                    + " since; taking this back would undo theirs too. Change it by hand.");
    }

    private void takeAway(SessionRow row) {
        row.recording = null;
        sessions.delete(row);
    }

    private void restore(long athleteId, PlanState.Was was) {
        if (sessions.find(was.id(), athleteId).isEmpty())
            sessions.insert(was.id(), athleteId, LocalDate.parse(was.day()), was.sport(), was.title());
        sessions.find(was.id(), athleteId)
                .ifPresent(row -> fill(row, was)); // one that somebody else deleted meanwhile waits with its own undo
    }

    private void fill(SessionRow row, PlanState.Was was) {
        row.day = LocalDate.parse(was.day());
        row.startMinute = was.startMinute();
        row.sport = Sport.valueOf(was.sport());
        row.title = was.title();
        row.structure = was.structure();
        row.strength = was.strength();
        row.heavyLegs = was.strength() == null ? null : (Boolean) figures.isHeavyOnLegs(was.strength());
        row.scalePercent = was.scalePercent();
        row.plannedSeconds = was.plannedSeconds();
        row.plannedLoad = was.plannedLoad();
        row.plannedSilhouette = was.silhouette();
        row.workoutId = was.workoutId();
        row.workoutVersion = was.workoutVersion();
        row.purpose = was.purpose() == null ? null : Purpose.valueOf(was.purpose());
        row.doneSeconds = was.doneSeconds();
        row.doneMetres = was.doneMetres();
        row.doneEffort = was.doneEffort();
        row.doneNote = was.doneNote();
        row.doneLoad = was.doneLoad();
        row.placed = was.placed();
        if (was.draft() != null) row.draft = was.draft();
        if (was.coached() != null) row.coached = was.coached();
        describe(row, was);
        row.recording = was.recordingId() == null
                ? null
                : recorded.findById(was.recordingId()).orElse(null);
        if (row.recording != null) recordings.follow(athletes.forJob(row.athleteId), row.recording.id);
    }

    private static void describe(SessionRow row, PlanState.Was was) {
        if (was.kind() == null) return; // kept by an earlier version
        row.kind = was.kind();
        row.equipment = was.equipment();
        row.surface = was.surface();
        row.weather = was.weather();
        row.tags = was.tags();
        row.stretches = was.stretches();
        row.verdict = was.verdict();
    }
}
