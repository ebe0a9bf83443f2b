package pemblar.app.athlete;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import pemblar.app.frame.OfAthlete;
import pemblar.core.load.LoadTrend;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/**
 * An athlete as other features see one. Days are local to the zone in which they are lived.
 *
 * @param sports what is trained, the first one first; never empty
 * @param draftsSeen whether the person who asks sees what a coach has not shared yet: another who may plan
 * @param sharedUntil what a coach plans up to this day is shared at once; null when there is no such day
 * @param keptBy the athlete for whom recordings of this other one are kept; null for somebody who has pages of their
 *     own
 */
public record Athlete(
        long id,
        String name,
        List<Sport> sports,
        Sex sex,
        LivedZones zones,
        LoadTrend.Settings trend,
        boolean draftsSeen,
        LocalDate sharedUntil,
        Long keptBy)
        implements OfAthlete {
    /** As the athlete sees the plan. */
    public Athlete(long id, String name, List<Sport> sports, Sex sex, ZoneId zone, LoadTrend.Settings trend) {
        this(id, name, sports, sex, LivedZones.in(zone), trend, false, null, null);
    }

    public Athlete {
        sports = List.copyOf(sports);
        if (sports.isEmpty()) throw new IllegalArgumentException("an athlete must train at least one sport");
    }

    /** What is trained first, second or third; null beyond the last. */
    public Sport sportAt(int place) {
        return sports.size() >= place ? sports.get(place - 1) : null;
    }

    /** The same for somebody who sees drafts, or does not. */
    public Athlete seeingDrafts(boolean seen) {
        return new Athlete(id, name, sports, sex, zones, trend, seen, sharedUntil, keptBy);
    }

    /** The same with another load trend. */
    public Athlete trending(LoadTrend.Settings other) {
        return new Athlete(id, name, sports, sex, zones, other, draftsSeen, sharedUntil, keptBy);
    }

    /** What the athlete trains first: the sport that stands where nobody chose one. */
    public Sport first() {
        return sports.get(0);
    }

    public boolean trains(Sport sport) {
        return sports.contains(sport);
    }

    /** The sport asked for when the athlete trains it, else the first. */
    public Sport orFirst(String key) {
        return sports.stream()
                .filter(s -> s.key().equalsIgnoreCase(key))
                .findFirst()
                .orElse(first());
    }

    @Override
    public long athleteId() {
        return id;
    }

    /** The zone in which a day is lived. */
    public ZoneId zoneOn(LocalDate day) {
        return zones.on(day);
    }

    /** A moment by the clock that the athlete lived by then. */
    public ZonedDateTime local(Instant instant) {
        return instant.atZone(zones.at(instant));
    }

    /**
     * The instant of a local day and minute: 17:30 stays 17:30 on days on which the clocks change. A time that the
     * clocks skip is the one an hour later.
     */
    public Instant at(LocalDate day, int minute) {
        LocalDate on = day.plusDays(Math.floorDiv(minute, 1440));
        return on.atTime(LocalTime.ofSecondOfDay(Math.floorMod(minute, 1440) * 60L))
                .atZone(zones.on(on))
                .toInstant();
    }

    public LocalDate dayOf(Instant instant) {
        return local(instant).toLocalDate();
    }
}
