package pemblar.app.session.done;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.athlete.Athlete;
import pemblar.core.strength.StrengthWorkout;

/** What a plan wants to know of strength sessions; the strength area knows exercises and maxima. */
public interface StrengthFigures {
    /** @param shorthand of the session; what cannot be read is not heavy */
    boolean isHeavyOnLegs(String shorthand);

    /** Share of the maximum of each set, in order, by the maxima of a day. */
    List<Double> strokes(Athlete athlete, LocalDate day, StrengthWorkout workout);
}
