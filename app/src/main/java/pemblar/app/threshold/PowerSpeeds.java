package pemblar.app.threshold;

import pemblar.app.athlete.Athlete;
import pemblar.core.zone.OwnSpeeds;

/** How fast athletes go at a power; whoever keeps the recordings knows. */
public interface PowerSpeeds {
    /** Looks nothing up before it is asked, and each sport once. */
    OwnSpeeds of(Athlete athlete);
}
