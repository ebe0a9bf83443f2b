package pemblar.app.session.done;

import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Visit;
import pemblar.app.recording.LoadChoices;
import pemblar.app.recording.LoadChoices.Chosen;
import pemblar.app.recording.LoadChoices.Wanted;
import pemblar.app.recording.LoadChoices.Was;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import tools.jackson.databind.json.JsonMapper;

/** Which load of a session counts, under the session's name for undo. */
@Service
public class CostService implements Undoable {
    private static final String KIND = "load-choice";
    private final SessionDesk desk;
    private final LoadChoices choices;
    private final UndoService undo;

    CostService(SessionDesk desk, LoadChoices choices, UndoService undo) {
        this.desk = desk;
        this.choices = choices;
        this.undo = undo;
    }

    /** @throws IllegalArgumentException naming the field that cannot be */
    @Transactional
    public void choose(Visit visit, long sessionId, Wanted wanted) {
        SessionRow session = desk.recorded(visit, sessionId);
        Chosen chosen = choices.choose(visit, session.recording().id(), wanted);
        String now = chosen.points() == null ? "not known" : String.valueOf(Math.round(chosen.points()));
        undo.remember(visit, "The load of “" + session.title() + "” is now " + now + ".", KIND, chosen.before());
    }

    /** How hard it felt, 0 to 10; which load counts stays as it was chosen. */
    @Transactional
    public void felt(Visit visit, long sessionId, double effort) {
        SessionRow session = desk.recorded(visit, sessionId);
        Chosen chosen = choices.felt(visit.athleteId(), session.recording().id(), effort);
        undo.remember(
                visit, "“" + session.title() + "” felt like " + Math.round(effort) + " of 10.", KIND, chosen.before());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        choices.putBack(athleteId, JsonMapper.shared().readValue(state, Was.class));
    }
}
