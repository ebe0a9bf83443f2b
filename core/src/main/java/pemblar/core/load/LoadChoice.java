package pemblar.core.load;

import java.util.Map;
import java.util.Optional;
import pemblar.core.load.SessionLoad.Source;

/**
 * Which load of a session counts: the value that was set, else the chosen source, else the first of the order of
 * preference.
 *
 * @param chosen null for the order of preference
 * @param set points set by hand; null when none is
 */
public record LoadChoice(Source chosen, Double set) {
    /** The order of preference decides. */
    public static final LoadChoice BY_ORDER = new LoadChoice(null, null);

    private static final double MOST_POINTS = 2000;

    public LoadChoice {
        if (set != null && !(set >= 0 && set <= MOST_POINTS))
            throw new IllegalArgumentException("Load: enter 0 to " + Math.round(MOST_POINTS) + " points.");
    }

    /** A load and where it comes from. */
    public record Counting(Source source, double points) {}

    /** Empty when nothing is known; a chosen source that cannot be computed gives way to the order of preference. */
    public Optional<Counting> of(Map<Source, Double> computed) {
        if (set != null) return Optional.of(new Counting(Source.SET, set));
        if (chosen != null && computed.containsKey(chosen))
            return Optional.of(new Counting(chosen, computed.get(chosen)));
        return computed.entrySet().stream()
                .min(Map.Entry.comparingByKey())
                .map(e -> new Counting(e.getKey(), e.getValue()));
    }
}
