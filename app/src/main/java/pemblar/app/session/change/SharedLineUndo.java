package pemblar.app.session.change;

import java.time.LocalDate;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.AthleteService;
import pemblar.app.undo.Undoable;
import tools.jackson.databind.json.JsonMapper;

/** Puts the line up to which the plan is shared back where it was. */
@Component
class SharedLineUndo implements Undoable {
    static final String KIND = "shared-line";
    private final AthleteService athletes;

    SharedLineUndo(AthleteService athletes) {
        this.athletes = athletes;
    }

    /** @param day as text; empty when there was no line */
    record Was(String day) {
        static Was of(LocalDate day) {
            return new Was(day == null ? "" : day.toString());
        }
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        Was was = JsonMapper.shared().readValue(state, Was.class);
        athletes.putSharedUntil(athleteId, was.day().isEmpty() ? null : LocalDate.parse(was.day()));
    }
}
