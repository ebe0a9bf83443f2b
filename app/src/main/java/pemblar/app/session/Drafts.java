package pemblar.app.session;

import java.time.LocalDate;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.sharing.PlanChanged;
import pemblar.app.sharing.PlanNews;

/**
 * Decides after each change of a coach which of its sessions are drafts, and tells the athlete of what was changed in
 * the plan that is shared. What an athlete plans is never a draft.
 */
@Component
class Drafts {
    private final TrainingSessionRepository sessions;
    private final PlanNews news;
    private final ApplicationEventPublisher events;

    Drafts(TrainingSessionRepository sessions, PlanNews news, ApplicationEventPublisher events) {
        this.events = events;
        this.sessions = sessions;
        this.news = news;
    }

    /** @param before what was, and what was made, once the change is done */
    void settle(Athlete athlete, Viewer viewer, String label, PlanState before) {
        events.publishEvent(
                new PlanChanged(athlete.id(), !athlete.draftsSeen() || isTold(athlete, viewer, label, before)));
    }

    /** @return whether the athlete sees something of it */
    private boolean isTold(Athlete athlete, Viewer viewer, String label, PlanState before) {
        boolean told = before.restore().stream().anyMatch(PlanState.Was::wasSharedPlan);
        for (SessionRow row : rows(athlete, before.created())) {
            row.coached = true;
            row.draft = !row.isDone() && !isShared(athlete, row.day);
            told |= !row.draft && !row.isDone();
        }
        for (SessionRow row :
                rows(athlete, before.restore().stream().map(PlanState.Was::id).toList()))
            if (row.draft && (row.isDone() || isShared(athlete, row.day))) {
                row.draft = false;
                told = true;
            }
        if (told) news.tell(athlete.id(), viewer, label);
        return told;
    }

    private List<SessionRow> rows(Athlete athlete, List<Long> ids) {
        return ids.isEmpty() ? List.of() : sessions.all(athlete.id(), ids);
    }

    private static boolean isShared(Athlete athlete, LocalDate day) {
        return athlete.sharedUntil() != null && !day.isAfter(athlete.sharedUntil());
    }
}
