package pemblar.app.athlete;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import pemblar.app.frame.OfAthlete;
import pemblar.core.Sport;
import pemblar.core.load.LoadTrend;
import pemblar.core.threshold.Sex;

/** An athlete as other features see one. Days are local to {@code zone}. */
public record Athlete(long id, String name, Sport sport, Sex sex, ZoneId zone, LoadTrend.Settings trend) implements OfAthlete {
    @Override
    public long athleteId() {
        return id;
    }

    /**
     * The instant of a local day and minute: 17:30 stays 17:30 on days on which the clocks change. A time that the clocks skip is the one an hour later.
     */
    public Instant at(LocalDate day, int minute) {
        return day.plusDays(Math.floorDiv(minute, 1440)).atTime(LocalTime.ofSecondOfDay(Math.floorMod(minute, 1440) * 60L)).atZone(zone).toInstant();
    }

    public LocalDate dayOf(Instant instant) {
        return LocalDate.ofInstant(instant, zone);
    }
}
