package pemblar.core.zone;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Span;
import pemblar.core.zone.Zones.Key;

/**
 * Values and zone sets over time. A set holds from its day; before the first one the usual scheme holds, unless that
 * first one was typed in absolute values: as a first threshold does, it is then the nearest thing known.
 */
public record DatedZones(DatedValues values, List<Dated> sets, OwnSpeeds speeds) {
    /** A scheme taken up for a sport, and the first day on which it holds. */
    public record Dated(Key key, LocalDate from, ZoneScheme scheme) {
        public Dated {
            if (key.measure() != scheme.measure())
                throw new IllegalArgumentException(
                        "a scheme for " + scheme.measure() + " cannot serve " + key.measure());
        }
    }

    public DatedZones {
        sets = sets.stream().sorted(Comparator.comparing(Dated::from)).toList();
    }

    /** With no speeds of one's own. */
    public DatedZones(DatedValues values, List<Dated> sets) {
        this(values, sets, OwnSpeeds.UNKNOWN);
    }

    /** What holds on a day. */
    public Zones on(LocalDate day) {
        Map<Key, ZoneScheme> chosen = new HashMap<>();
        for (Dated set : sets) {
            if (!set.from().isAfter(day)) chosen.put(set.key(), set.scheme());
            else if (holdsBackwards(set)) chosen.put(set.key(), set.scheme());
        }
        return new Zones(values.on(day), chosen, speeds);
    }

    /** Whether a set also holds on the days before it: the first of its kind, in absolute values. */
    public boolean holdsBackwards(Dated set) {
        return set.scheme().reference() == ZoneScheme.Reference.ABSOLUTE
                && sets.stream()
                        .noneMatch(s -> s.key().equals(set.key()) && s.from().isBefore(set.from()));
    }

    /**
     * The days that a set put on a day, or taken from it, changes: until the next set of the same kind; all before it
     * too, where it is the first.
     */
    public Span spanOf(Key key, LocalDate from) {
        boolean first =
                sets.stream().noneMatch(s -> s.key().equals(key) && s.from().isBefore(from));
        return new Span(
                first ? LocalDate.of(1, 1, 1) : from,
                sets.stream()
                        .filter(s -> s.key().equals(key) && s.from().isAfter(from))
                        .map(Dated::from)
                        .findFirst());
    }

    public Optional<Dated> latest(Key key, LocalDate day) {
        return sets.stream()
                .filter(s -> s.key().equals(key) && !s.from().isAfter(day))
                .reduce((a, b) -> b);
    }
}
