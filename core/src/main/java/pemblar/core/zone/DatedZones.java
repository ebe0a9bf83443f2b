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

/** Values and zone sets over time. A set holds from its day; before the first one the usual scheme holds. */
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
        for (Dated set : sets) if (!set.from().isAfter(day)) chosen.put(set.key(), set.scheme());
        return new Zones(values.on(day), chosen, speeds);
    }

    /** The days that a set put on a day changes: until the next set of the same kind. */
    public Span spanOf(Key key, LocalDate from) {
        return new Span(
                from,
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
