package pemblar.app.season;

import pemblar.app.athlete.Athlete;

/** How far apart somebody keeps hard sessions: set among the limits of proposals, which stand above the plan. */
public interface KeptApart {
    /** Hours from the end of one to the start of the next, for an athlete whom the caller has already asked for. */
    double hoursBetweenHard(Athlete athlete);
}
