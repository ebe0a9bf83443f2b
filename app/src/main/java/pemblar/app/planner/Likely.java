package pemblar.app.planner;

import java.util.Map;
import pemblar.app.athlete.Athlete;

/** What was last foreseen for events ahead, in words, by their ids; whoever predicts answers. */
public interface Likely {
    Map<Long, String> likely(Athlete athlete);
}
