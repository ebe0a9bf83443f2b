package pemblar.core.zone;

import java.util.Map;
import java.util.Optional;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;

/**
 * An athlete's values of one day together with the schemes chosen by then: all that zones, intensity and load need.
 *
 * @param chosen by sport and measure; what is not chosen is the usual scheme of the sport
 * @param speeds for distances that are planned by power
 */
public record Zones(Thresholds thresholds, Map<Key, ZoneScheme> chosen, OwnSpeeds speeds) {
    /** What a set of zones is for. */
    public record Key(Sport sport, Measure measure) {}

    public Zones {
        chosen = Map.copyOf(chosen);
    }

    /** With no speeds of one's own. */
    public Zones(Thresholds thresholds, Map<Key, ZoneScheme> chosen) {
        this(thresholds, chosen, OwnSpeeds.UNKNOWN);
    }

    /** The values with the usual schemes. */
    public static Zones usual(Thresholds thresholds) {
        return new Zones(thresholds, Map.of());
    }

    public Optional<ZoneScheme> scheme(Measure measure, Sport sport) {
        return Optional.ofNullable(chosen.get(new Key(sport, measure))).or(() -> ZoneSchemes.usual(measure, sport));
    }

    /**
     * True when riding was given heart-rate zones on threshold that are those of running, and no threshold of its own
     * tells them apart.
     */
    public boolean ridesWithRunningZones() {
        ZoneScheme ride = chosen.get(new Key(Sport.RIDE, pemblar.core.sport.Measure.HEART_RATE));
        Optional<ZoneScheme> run = scheme(pemblar.core.sport.Measure.HEART_RATE, Sport.RUN);
        if (ride == null
                || run.isEmpty()
                || ride.reference() != ZoneScheme.Reference.THRESHOLD
                        && ride.reference() != ZoneScheme.Reference.ABSOLUTE) return false;
        boolean apart = ride.reference() == ZoneScheme.Reference.THRESHOLD
                && thresholds.knows(pemblar.core.threshold.Quantity.RUNNING_THRESHOLD_HEART_RATE);
        return !apart
                && (ride.boundaries().equals(run.get().boundaries())
                        || ride.boundaries().equals(ZoneSchemes.HEART_RATE_RUN.boundaries()));
    }

    /** The zones of a measure; empty when there is no scheme for the sport or its reference is not known. */
    public Optional<ZoneSet> of(Measure measure, Sport sport) {
        return scheme(measure, sport).flatMap(scheme -> scheme.with(thresholds.forSport(sport)));
    }
}
