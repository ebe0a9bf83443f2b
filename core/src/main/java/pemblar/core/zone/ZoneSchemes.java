package pemblar.core.zone;

import java.util.List;
import java.util.Optional;
import pemblar.core.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSet.Measure;

/** The schemes that ship: starting points, in percent of threshold (computation, section 8). */
public final class ZoneSchemes {
    private static final List<String> SEVEN = List.of("recovery", "endurance", "tempo", "threshold", "VO2max", "anaerobic", "sprint");
    private static final List<String> SIX = SEVEN.subList(0, 6);
    private static final List<Double> POWER_SEVEN = List.of(55.0, 75.0, 90.0, 105.0, 120.0, 150.0);
    private static final List<Double> HEART_RATE_RIDE = List.of(81.0, 89.0, 94.0, 100.0, 106.0);
    private static final List<Double> HEART_RATE_RUN = List.of(85.0, 90.0, 95.0, 100.0, 106.0);
    private static final List<Double> SPEED_RUN = List.of(78.0, 88.0, 95.0, 102.0, 111.0);

    private ZoneSchemes() {}

    /** The zones of a measure with the values of a day; empty when the threshold is not known. */
    public static Optional<ZoneSet> of(Measure measure, Sport sport, Thresholds thresholds) {
        return switch (measure) {
            case POWER -> set(measure, thresholds, Quantity.THRESHOLD_POWER, POWER_SEVEN, SEVEN);
            case HEART_RATE -> set(measure, thresholds, Quantity.THRESHOLD_HEART_RATE, sport == Sport.RUN ? HEART_RATE_RUN : HEART_RATE_RIDE, SIX);
            case SPEED -> sport == Sport.RUN ? set(measure, thresholds, Quantity.THRESHOLD_SPEED, SPEED_RUN, SIX) : Optional.empty();
        };
    }

    private static Optional<ZoneSet> set(Measure measure, Thresholds thresholds, Quantity quantity, List<Double> percents, List<String> names) {
        var reference = thresholds.get(quantity);
        return reference.isPresent() ? Optional.of(new ZoneSet(measure, reference.getAsDouble(), 0, percents, names)) : Optional.empty();
    }
}
