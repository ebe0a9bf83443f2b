package pemblar.core.season;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;

/**
 * What a season is planned from.
 *
 * @param first first day that is planned
 * @param last last day that is planned
 * @param highestBuild most that chronic load may rise in 7 days by training, points per day
 * @param pinned blocks that stay as they are, in order
 */
public record Ask(
        LocalDate first,
        LocalDate last,
        List<Event> events,
        Aim aim,
        Rhythm rhythm,
        double highestBuild,
        Hours hours,
        LoadPerHour loadPerHour,
        Start start,
        List<Block> pinned,
        Shape shape) {
    public static final int LONGEST_DAYS = 1100;

    /**
     * Where the load trend stands on an evening before the first day.
     *
     * @param chronicOfWeek chronic load of the seven evenings up to that one, oldest first
     * @param between points of the days after that evening and before the first day, which are not planned
     */
    public record Start(double acute, List<Double> chronicOfWeek, LoadTrend.Settings settings, List<Double> between) {
        public Start {
            chronicOfWeek = List.copyOf(chronicOfWeek);
            between = List.copyOf(between);
            if (chronicOfWeek.size() != 7)
                throw new IllegalArgumentException("chronicOfWeek must have 7 values, has " + chronicOfWeek.size());
        }

        /** The same load every day so far. */
        public static Start steady(double loadPerDay) {
            return new Start(
                    loadPerDay, java.util.Collections.nCopies(7, loadPerDay), LoadTrend.Settings.DEFAULT, List.of());
        }

        public double chronic() {
            return chronicOfWeek.get(6);
        }
    }

    /**
     * What a person may choose of the layout.
     *
     * @param taperDays days of a taper before an A event, 8 to 14; empty: the plan chooses
     * @param firstPhase the earliest phase; empty: base
     * @param measure points a day of the last loading block before the first day; NaN: none
     */
    public record Shape(Optional<Integer> taperDays, Optional<Phase> firstPhase, double measure) {
        public static final Shape FREE = new Shape(Optional.empty(), Optional.empty(), Double.NaN);

        public Shape {
            if (taperDays.isPresent() && (taperDays.get() < 8 || taperDays.get() > 14))
                throw new IllegalArgumentException("taperDays must be in 8..14, was " + taperDays.get());
        }
    }

    public Ask {
        if (last.isBefore(first.plusDays(Block.SHORTEST - 1L)))
            throw new IllegalArgumentException("last must be at least 2 days after first, was " + first + ".." + last);
        if (last.isAfter(first.plusDays(LONGEST_DAYS)))
            throw new IllegalArgumentException("a season must have at most " + LONGEST_DAYS + " days");
        if (!(highestBuild > 0 && highestBuild <= 1000))
            throw new IllegalArgumentException("highestBuild must be in 0..1000, was " + highestBuild);
        LocalDate begin = first;
        LocalDate end = last;
        LocalDate eve = first.minusDays(1L + start.between().size());
        events = events.stream()
                .filter(e -> e.last().isAfter(eve) && !e.day().isAfter(end))
                .sorted(Comparator.comparing(Event::day))
                .toList();
        pinned = pinned.stream()
                .filter(b -> !b.last().isBefore(begin) && !b.first().isAfter(end))
                .sorted(Comparator.comparing(Block::first))
                .toList();
    }

    int days() {
        return (int) (last.toEpochDay() - first.toEpochDay()) + 1;
    }

    /** The events of a priority that begin within the planned days, at most one a day. */
    List<Event> of(Priority priority) {
        return events.stream()
                .filter(e -> e.priority() == priority && !e.day().isBefore(first))
                .toList();
    }

    Ask withHours(Hours other) {
        return new Ask(first, last, events, aim, rhythm, highestBuild, other, loadPerHour, start, pinned, shape);
    }

    Ask withBuild(double other) {
        return new Ask(first, last, events, aim, rhythm, other, hours, loadPerHour, start, pinned, shape);
    }

    Ask withPinned(List<Block> other) {
        return new Ask(first, last, events, aim, rhythm, highestBuild, hours, loadPerHour, start, other, shape);
    }
}
