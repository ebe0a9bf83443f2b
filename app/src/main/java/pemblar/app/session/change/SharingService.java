package pemblar.app.session.change;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.SessionUndo;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.sharing.PlanChanged;
import pemblar.app.sharing.PlanNews;
import pemblar.app.undo.UndoService;

/**
 * Shares what a coach has planned, and calls it back: up to a day, some days, or one session. Only sessions that are
 * still to be done, and of a coach's making, can be called back.
 */
@Service
public class SharingService {
    private final TrainingSessionRepository sessions;
    private final SessionDesk desk;
    private final AthleteService athletes;
    private final PlanNews news;
    private final UndoService undo;
    private final ApplicationEventPublisher events;
    private final InstantSource clock;

    SharingService(
            TrainingSessionRepository sessions,
            SessionDesk desk,
            AthleteService athletes,
            PlanNews news,
            UndoService undo,
            ApplicationEventPublisher events,
            InstantSource clock) {
        this.sessions = sessions;
        this.desk = desk;
        this.athletes = athletes;
        this.news = news;
        this.undo = undo;
        this.events = events;
        this.clock = clock;
    }

    /** How many sessions an athlete was shown, and how many were called back. */
    public record Changed(int shared, int calledBack) {}

    /**
     * Moves the line: drafts up to it are shared, and what a coach put after it is a draft again. What is planned from
     * now on follows the line.
     */
    @Transactional
    public Changed shareUpTo(Visit visit, LocalDate until) {
        Athlete athlete = coached(visit);
        LocalDate today = athlete.dayOf(clock.instant());
        desk.near(athlete, until);
        if (until.isBefore(today.minusDays(1)))
            throw new IllegalArgumentException("Shared up to: choose yesterday or a later day.");
        List<SessionRow> open = sessions.openFrom(visit.athleteId(), today);
        List<SessionRow> forth =
                open.stream().filter(r -> r.draft() && !r.day().isAfter(until)).toList();
        List<SessionRow> back = open.stream()
                .filter(r -> !r.draft() && r.coached() && r.day().isAfter(until))
                .toList();
        String sentence = "The plan is shared up to " + SessionDesk.day(until) + words(forth.size(), back.size()) + ".";
        LocalDate before = athlete.sharedUntil();
        undo.asOne(visit, sentence, () -> {
            undo.remember(visit, sentence, SharedLineUndo.KIND, SharedLineUndo.Was.of(before));
            athletes.setSharedUntil(visit, until);
            set(athlete, visit.viewer(), sentence, forth, back);
        });
        return new Changed(forth.size(), back.size());
    }

    /** Shares the drafts of some days, or calls back what a coach put there. */
    @Transactional
    public Changed shareDays(Visit visit, LocalDate from, LocalDate to, boolean shared) {
        Athlete athlete = coached(visit);
        LocalDate today = athlete.dayOf(clock.instant());
        List<SessionRow> inside = sessions.openFrom(visit.athleteId(), from.isBefore(today) ? today : from).stream()
                .filter(r -> !r.day().isAfter(to) && (shared ? r.draft() : r.coached() && !r.draft()))
                .toList();
        if (inside.isEmpty())
            throw new IllegalArgumentException(
                    shared
                            ? "On these days there is no draft to share."
                            : "On these days nothing can be called back: what was done stays, and what the athlete"
                                    + " planned.");
        String sentence = (inside.size() == 1 ? "One session" : inside.size() + " sessions")
                + (shared ? " of " : " were called back, of ") + SessionDesk.day(from) + " to " + SessionDesk.day(to)
                + (shared ? ", shared." : ".");
        return one(athlete, visit.viewer(), sentence, inside, shared);
    }

    /** One session, whatever the line says. */
    @Transactional
    public Changed share(Visit visit, long sessionId, boolean shared) {
        Athlete athlete = coached(visit);
        SessionRow row = desk.open(visit, sessionId);
        if (!shared && !row.coached())
            throw new IllegalArgumentException(
                    "“" + row.title() + "” was not put there by a coach, so it stays where the athlete sees it.");
        String sentence = "“" + row.title() + "” on " + SessionDesk.day(row.day())
                + (shared ? " is shared." : " was called back: it is a draft again.");
        return one(athlete, visit.viewer(), sentence, row.draft() == shared ? List.of(row) : List.of(), shared);
    }

    private Changed one(Athlete athlete, Viewer viewer, String sentence, List<SessionRow> rows, boolean shared) {
        set(athlete, viewer, sentence, shared ? rows : List.of(), shared ? List.of() : rows);
        return new Changed(shared ? rows.size() : 0, shared ? 0 : rows.size());
    }

    private void set(Athlete athlete, Viewer viewer, String sentence, List<SessionRow> forth, List<SessionRow> back) {
        List<SessionRow> all = new ArrayList<>(forth);
        all.addAll(back);
        if (all.isEmpty()) return;
        undo.remember(
                new Visit(athlete.id(), viewer),
                sentence,
                SessionUndo.KIND,
                PlanState.changing(all).by(viewer.name()));
        for (SessionRow row : forth) row.draft(false);
        for (SessionRow row : back) row.draft(true);
        for (SessionRow row : all) row.by(viewer.name());
        news.tell(athlete.id(), viewer, sentence);
        events.publishEvent(new PlanChanged(athlete.id(), true));
    }

    private static String words(int forth, int back) {
        return (forth == 0 ? "" : ": " + forth + (forth == 1 ? " session more" : " sessions more"))
                + (back == 0 ? "" : ": " + back + (back == 1 ? " session is" : " sessions are") + " called back");
    }

    /** @throws NotFoundException for everybody who does not plan for this athlete as a coach */
    private Athlete coached(Visit visit) {
        Athlete athlete = desk.athlete(visit);
        if (!athlete.draftsSeen()) throw new NotFoundException("athlete");
        return athlete;
    }
}
