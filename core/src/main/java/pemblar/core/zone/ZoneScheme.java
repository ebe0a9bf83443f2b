package pemblar.core.zone;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import pemblar.core.sport.Measure;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/**
 * A way to divide a quantity, before anybody's values are known: the same scheme serves many athletes. A boundary is
 * one number shared by two zones; every edit answers a scheme whose boundaries strictly rise.
 *
 * @param boundaries in % of the reference; for {@link Reference#ABSOLUTE} in the quantity's own unit (W, bpm, m/s)
 * @param names one more than boundaries
 */
public record ZoneScheme(
        String name, Measure measure, Reference reference, List<Double> boundaries, List<String> names) {
    public static final int FEWEST_ZONES = 2;
    public static final int MOST_ZONES = 9;
    public static final int LONGEST_NAME = 40;
    private static final double MOST_PERCENT = 400;
    private static final double MOST_ABSOLUTE = 2500;

    /** What the boundaries are measured against. */
    public enum Reference {
        THRESHOLD,
        MAXIMUM,
        RESERVE,
        CRITICAL_POWER,
        ABSOLUTE;

        /** True when the reference exists for a measure. */
        public boolean serves(Measure measure) {
            return switch (this) {
                case THRESHOLD, ABSOLUTE -> true;
                case MAXIMUM, RESERVE -> measure == Measure.HEART_RATE;
                case CRITICAL_POWER -> measure == Measure.POWER;
            };
        }
    }

    public ZoneScheme {
        boundaries = List.copyOf(boundaries);
        names = List.copyOf(names);
        if (name.isBlank() || name.length() > LONGEST_NAME)
            throw new IllegalArgumentException("name must have 1 to " + LONGEST_NAME + " characters");
        if (!reference.serves(measure))
            throw new IllegalArgumentException(reference + " is no reference for " + measure);
        if (names.size() < FEWEST_ZONES || names.size() > MOST_ZONES)
            throw new IllegalArgumentException(
                    "zones must be " + FEWEST_ZONES + " to " + MOST_ZONES + ", were " + names.size());
        if (names.size() != boundaries.size() + 1)
            throw new IllegalArgumentException(
                    "names must be one more than boundaries, were " + names.size() + " for " + boundaries.size());
        for (String zone : names)
            if (zone.isBlank() || zone.length() > LONGEST_NAME)
                throw new IllegalArgumentException("each zone's name must have 1 to " + LONGEST_NAME + " characters");
        double before = 0;
        double most = reference == Reference.ABSOLUTE ? MOST_ABSOLUTE : MOST_PERCENT;
        for (double boundary : boundaries) {
            if (!(boundary > before && boundary <= most))
                throw new IllegalArgumentException("boundaries must rise from above 0 to at most " + most + ", "
                        + boundary + " follows " + before);
            before = boundary;
        }
    }

    /**
     * The same zones by other boundaries, in the quantity's own unit and in any order; with as many of them as before
     * the zones keep their names.
     *
     * @throws IllegalArgumentException when two are closer than {@link #gap} or there are too many or too few
     */
    public ZoneScheme typed(List<Double> typed) {
        List<Double> rising = typed.stream().sorted().toList();
        List<String> called = rising.size() == boundaries.size()
                ? names
                : IntStream.rangeClosed(1, rising.size() + 1)
                        .mapToObj(zone -> "zone " + zone)
                        .toList();
        ZoneScheme scheme = new ZoneScheme(name, measure, Reference.ABSOLUTE, rising, called);
        for (int i = 1; i < rising.size(); i++)
            if (rising.get(i) - rising.get(i - 1) < scheme.gap() - 1e-9)
                throw new IllegalArgumentException(rising.get(i - 1) + " and " + rising.get(i) + " are too close");
        return scheme;
    }

    /** Smallest distance that an edit leaves between two boundaries, in the unit of the boundaries. */
    public double gap() {
        return reference == Reference.ABSOLUTE && measure == Measure.SPEED ? 0.02 : 1;
    }

    /**
     * Moves one boundary. It stops a {@link #gap} short of its neighbours, so that no order of edits makes them
     * disagree.
     *
     * @param index of the boundary, from 0
     */
    public ZoneScheme moved(int index, double to) {
        double least = index == 0
                ? Math.min(boundaries.get(0), gap())
                : boundaries.get(index - 1) + Math.min(gap(), spaceBelow(index));
        double most = index == boundaries.size() - 1
                ? reference == Reference.ABSOLUTE ? MOST_ABSOLUTE : MOST_PERCENT
                : boundaries.get(index + 1) - Math.min(gap(), boundaries.get(index + 1) - boundaries.get(index));
        List<Double> changed = new ArrayList<>(boundaries);
        changed.set(index, Math.max(least, Math.min(most, to)));
        return with(changed, names);
    }

    private double spaceBelow(int index) {
        return boundaries.get(index) - boundaries.get(index - 1);
    }

    /** Divides a zone (from 1) in the middle; the last zone ends a tenth above its floor. */
    public ZoneScheme split(int zone) {
        double low = zone == 1 ? 0 : boundaries.get(zone - 2);
        double boundary = zone == names.size() ? low * 1.1 : (low + boundaries.get(zone - 1)) / 2;
        List<Double> more = new ArrayList<>(boundaries);
        more.add(zone - 1, boundary);
        List<String> called = new ArrayList<>(names);
        called.add(zone, names.get(zone - 1) + " +");
        return with(more, called);
    }

    /** Takes a boundary (from 0) away: the zone above joins the one below and loses its name. */
    public ZoneScheme joined(int index) {
        List<Double> fewer = new ArrayList<>(boundaries);
        fewer.remove(index);
        List<String> called = new ArrayList<>(names);
        called.remove(index + 1);
        return with(fewer, called);
    }

    public ZoneScheme named(String other) {
        return new ZoneScheme(other, measure, reference, boundaries, names);
    }

    /** @param zone from 1 */
    public ZoneScheme withZoneName(int zone, String called) {
        List<String> changed = new ArrayList<>(names);
        Collections.fill(changed.subList(zone - 1, zone), called);
        return with(boundaries, changed);
    }

    private ZoneScheme with(List<Double> changed, List<String> called) {
        return new ZoneScheme(name, measure, reference, changed, called);
    }

    /**
     * The zones with an athlete's values.
     *
     * @param values those of the sport ({@link Thresholds#forSport}); empty is answered when the reference is not known
     */
    public Optional<ZoneSet> with(Thresholds values) {
        return switch (reference) {
            case ABSOLUTE -> Optional.of(new ZoneSet(measure, 100, 0, boundaries, names));
            case THRESHOLD -> on(values.get(Quantity.threshold(measure)), 0);
            case MAXIMUM -> on(values.get(Quantity.MAXIMUM_HEART_RATE), 0);
            case CRITICAL_POWER -> on(values.get(Quantity.CRITICAL_POWER), 0);
            case RESERVE -> {
                double rest = values.get(Quantity.RESTING_HEART_RATE).orElse(Double.NaN);
                double reserve = values.get(Quantity.MAXIMUM_HEART_RATE).orElse(Double.NaN) - rest;
                yield on(reserve > 0 ? OptionalDouble.of(reserve) : OptionalDouble.empty(), rest);
            }
        };
    }

    private Optional<ZoneSet> on(OptionalDouble value, double offset) {
        return value.isPresent()
                ? Optional.of(new ZoneSet(measure, value.getAsDouble(), offset, boundaries, names))
                : Optional.empty();
    }
}
