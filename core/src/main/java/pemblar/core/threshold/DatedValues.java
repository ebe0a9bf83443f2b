package pemblar.core.threshold;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pemblar.core.sport.Sport;

/** An athlete's values over time: each holds from its day until the next of the same quantity. */
public record DatedValues(List<Dated> values, Sex sex) {
    /** One value and the first day on which it holds. */
    public record Dated(Quantity quantity, LocalDate from, double value) {
        public Dated {
            if (!quantity.allows(value))
                throw new IllegalArgumentException(quantity.label() + " must be in " + quantity.lowest() + ".."
                        + quantity.highest() + ", was " + value);
        }
    }

    /** The days on which a change shows: from, up to but without until; until is empty when nothing follows. */
    public record Span(LocalDate from, Optional<LocalDate> until) {}

    public DatedValues {
        values = values.stream().sorted(Comparator.comparing(Dated::from)).toList();
    }

    /**
     * What holds on a day. A day before the first value of a quantity takes that first value: the nearest thing known.
     */
    public Thresholds on(LocalDate day) {
        Map<Quantity, Double> known = new EnumMap<>(Quantity.class);
        for (Dated dated : values)
            if (!dated.from().isAfter(day) || !known.containsKey(dated.quantity()))
                known.put(dated.quantity(), dated.value());
        return new Thresholds(known, sex);
    }

    /**
     * The days that a value set from a day on changes: until the next value of the quantity. The first value of a
     * quantity also serves the days before it, so there the span has no real start.
     */
    public Span spanOf(Quantity quantity, LocalDate from) {
        Optional<LocalDate> next = values.stream()
                .filter(d -> d.quantity() == quantity && d.from().isAfter(from))
                .map(Dated::from)
                .findFirst();
        boolean first = values.stream()
                .noneMatch(d -> d.quantity() == quantity && d.from().isBefore(from));
        return new Span(first ? LocalDate.of(1, 1, 1) : from, next);
    }

    /** With some values put in place of those of the same quantity and day. */
    public DatedValues with(List<Dated> put) {
        List<Dated> all = new java.util.ArrayList<>(values);
        all.removeIf(d -> put.stream()
                .anyMatch(p -> p.quantity() == d.quantity() && p.from().equals(d.from())));
        all.addAll(put);
        return new DatedValues(all, sex);
    }

    /**
     * Whether a value of some kinds took the place of another since a day: what was found on that day is of the one
     * before.
     *
     * @param until the last day that counts, inclusive
     * @param sport of which the values are; those of no sport are not looked at
     */
    public boolean replacedSince(LocalDate day, LocalDate until, Sport sport, Set<Quantity.Kind> kinds) {
        return values.stream()
                .filter(d -> kinds.contains(d.quantity().kind()) && d.quantity().sport() == sport)
                .filter(d -> d.from().isAfter(day) && !d.from().isAfter(until))
                .anyMatch(d -> latest(d.quantity(), d.from().minusDays(1)).isPresent());
    }

    public Optional<Dated> latest(Quantity quantity, LocalDate day) {
        return values.stream()
                .filter(d -> d.quantity() == quantity && !d.from().isAfter(day))
                .reduce((a, b) -> b);
    }
}
