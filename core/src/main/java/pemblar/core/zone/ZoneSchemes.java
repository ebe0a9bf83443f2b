package pemblar.core.zone;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneScheme.Reference;

/** The schemes that ship: starting points to edit (computation, section 8). */
public final class ZoneSchemes {
    private static final List<String> SEVEN =
            List.of("recovery", "endurance", "tempo", "threshold", "VO2max", "anaerobic", "sprint");
    private static final List<String> THREE =
            List.of("below the first threshold", "between the thresholds", "above the second threshold");
    public static final ZoneScheme POWER_SEVEN =
            scheme("Power, 7 zones", Measure.POWER, Reference.THRESHOLD, 55, 75, 90, 105, 120, 150);
    public static final ZoneScheme POWER_THREE =
            new ZoneScheme("Power, 3 zones", Measure.POWER, Reference.THRESHOLD, List.of(80.0, 100.0), THREE);
    public static final ZoneScheme HEART_RATE_RIDE =
            scheme("Heart rate on threshold, riding", Measure.HEART_RATE, Reference.THRESHOLD, 81, 89, 94, 100, 106);
    public static final ZoneScheme HEART_RATE_RUN =
            scheme("Heart rate on threshold, running", Measure.HEART_RATE, Reference.THRESHOLD, 85, 90, 95, 100, 106);
    public static final ZoneScheme HEART_RATE_RESERVE =
            scheme("Heart-rate reserve", Measure.HEART_RATE, Reference.RESERVE, 50, 60, 70, 80, 90);
    public static final ZoneScheme HEART_RATE_MAXIMUM =
            scheme("Maximum heart rate", Measure.HEART_RATE, Reference.MAXIMUM, 60, 70, 80, 90);
    public static final ZoneScheme SPEED_RUN =
            scheme("Pace on threshold", Measure.SPEED, Reference.THRESHOLD, 78, 88, 95, 102, 111);
    /**
     * Speeds lie closer together in water, where drag grows with the square of speed: a starting point of ours, to be
     * edited.
     */
    public static final ZoneScheme SPEED_SWIM =
            scheme("Swimming pace on threshold", Measure.SPEED, Reference.THRESHOLD, 84, 92, 97, 102, 108);

    public static final List<ZoneScheme> ALL = List.of(
            POWER_SEVEN,
            POWER_THREE,
            HEART_RATE_RIDE,
            HEART_RATE_RUN,
            HEART_RATE_RESERVE,
            HEART_RATE_MAXIMUM,
            SPEED_RUN,
            SPEED_SWIM);

    private ZoneSchemes() {}

    private static ZoneScheme scheme(String name, Measure measure, Reference reference, double... boundaries) {
        return new ZoneScheme(
                name,
                measure,
                reference,
                java.util.Arrays.stream(boundaries).boxed().toList(),
                SEVEN.subList(0, boundaries.length + 1));
    }

    /** Schemes of single sports; what stands in neither map is the usual one of its measure, and speed has none. */
    private static final Map<Sport, ZoneScheme> SPEED = Map.of(Sport.RUN, SPEED_RUN, Sport.SWIM, SPEED_SWIM);

    private static final Map<Sport, ZoneScheme> HEART_RATE =
            Map.of(Sport.RUN, HEART_RATE_RUN, Sport.WALK, HEART_RATE_RUN);

    /**
     * What holds for a sport as long as nobody chose otherwise; empty for a measure that the sport is not trained by.
     */
    public static Optional<ZoneScheme> usual(Measure measure, Sport sport) {
        if (!sport.trainsBy(measure)) return Optional.empty();
        return switch (measure) {
            case POWER -> Optional.of(POWER_SEVEN);
            case HEART_RATE -> Optional.of(HEART_RATE.getOrDefault(sport, HEART_RATE_RIDE));
            case SPEED -> Optional.ofNullable(SPEED.get(sport));
        };
    }

    /** Three zones from two thresholds found in a laboratory, in the measure's own unit. */
    public static ZoneScheme fromLaboratory(String name, Measure measure, double first, double second) {
        return new ZoneScheme(name, measure, Reference.ABSOLUTE, List.of(first, second), THREE);
    }

    /** The usual zones of a measure with the values of a day; empty when the threshold is not known. */
    public static Optional<ZoneSet> of(Measure measure, Sport sport, Thresholds thresholds) {
        return Zones.usual(thresholds).of(measure, sport);
    }
}
