package pemblar.app.load;

import java.util.List;
import java.util.Map;
import pemblar.app.athlete.Athlete;

/** Tells what days without sessions are to hold; whoever keeps the plan answers. */
public interface Aims {
    /** Of each of a roster, by id. */
    Map<Long, Ahead> ahead(List<Athlete> roster);
}
