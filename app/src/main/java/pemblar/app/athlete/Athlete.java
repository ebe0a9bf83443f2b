package pemblar.app.athlete;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import pemblar.core.Sport;
import pemblar.core.load.LoadTrend;
import pemblar.core.threshold.Sex;

/** An athlete as other features see one. Days are local to {@code zone}. */
public record Athlete(long id, String name, Sport sport, Sex sex, ZoneId zone, LoadTrend.Settings trend) {
    public LocalDate dayOf(Instant instant) {
        return LocalDate.ofInstant(instant, zone);
    }
}
