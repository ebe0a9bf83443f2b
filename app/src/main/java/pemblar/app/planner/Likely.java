package pemblar.app.planner;

import java.time.LocalDate;
import java.util.Map;
import pemblar.app.athlete.Athlete;

/** What was last foreseen for events ahead, in words, by their ids; whoever predicts answers. */
public interface Likely {
    /** @param on the day whose knowledge it rests on: a prediction is kept once a week */
    record Said(String result, LocalDate on) {}

    Map<Long, Said> likely(Athlete athlete);
}
