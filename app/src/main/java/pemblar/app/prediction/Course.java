package pemblar.app.prediction;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.season.EventPart;
import pemblar.app.season.SeasonEvent;
import pemblar.core.sport.Sport;

/**
 * What a result is predicted for: a distance, whose result is a time, or a time, whose result is a power.
 *
 * @param metres 0 for a time; {@code seconds} 0 for a distance
 */
public record Course(Sport sport, double metres, int seconds) {
    private static final double SHORTEST_METRES = 800;
    private static final int SHORTEST_SECONDS = 1200;

    public boolean isDistance() {
        return metres > 0;
    }

    /** A course of an event: the event itself, or one of its parts, on the day of its stage from 1. */
    record Asked(SeasonEvent event, int stage, Course course, boolean part) {}

    /**
     * What of an event can be predicted. On foot that takes its distance; on wheels its distance, or its time where it
     * climbs or no distance is said.
     *
     * @param only its sport where the event does not say
     */
    static List<Asked> of(SeasonEvent event, Sport only) {
        List<Asked> all = new ArrayList<>();
        if (event.parts().isEmpty()) {
            Sport sport = event.sport().isNamed() ? event.sport() : only;
            boolean climbs = event.kind() == SeasonEvent.Kind.HILL_CLIMB;
            Course course = course(sport, climbs ? null : event.metres(), event.seconds());
            if (course != null && event.days() == 1) all.add(new Asked(event, 1, course, false));
        }
        for (EventPart part : event.parts()) {
            Course course = course(part.sport(), part.metres(), part.seconds());
            if (course != null) all.add(new Asked(event, part.stage(), course, true));
        }
        return all;
    }

    private static Course course(Sport sport, Double metres, Integer seconds) {
        if (!sport.hillsCost() && !sport.onWheels()) return null;
        if (metres != null && metres >= SHORTEST_METRES) return new Course(sport, metres, 0);
        boolean byTime = sport.onWheels() && seconds != null && seconds >= SHORTEST_SECONDS;
        return byTime ? new Course(sport, 0, seconds) : null;
    }

    /** The same by time, for who has no road to tell it by. */
    Course byTime(Integer expected) {
        return expected == null || !sport.onWheels() || expected < SHORTEST_SECONDS
                ? null
                : new Course(sport, 0, expected);
    }
}
