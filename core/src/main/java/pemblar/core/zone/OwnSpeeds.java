package pemblar.core.zone;

import java.util.OptionalDouble;
import pemblar.core.sport.Sport;

/** How fast an athlete goes at a power, as their own recent sessions tell; asked only where a plan rests on it. */
public interface OwnSpeeds {
    OwnSpeeds UNKNOWN = (sport, watts) -> OptionalDouble.empty();

    /** Speed, m/s, on the roads that they usually have; empty when their sessions do not tell. */
    OptionalDouble at(Sport sport, double watts);
}
