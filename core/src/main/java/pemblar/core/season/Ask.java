package pemblar.core.season;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import pemblar.core.load.LoadTrend;

/**
 * What a season is planned from.
 * @param first        first day that is planned
 * @param last         last day that is planned
 * @param highestBuild most that chronic load may rise in 7 days by training, points per day
 * @param loadPerHour  points that an hour of the athlete's training costs on average
 * @param pinned       blocks that stay as they are, in order
 */
public record Ask(LocalDate first, LocalDate last, List<Event> events, Aim aim, Rhythm rhythm, double highestBuild, Hours hours, double loadPerHour, Start start, List<Block> pinned) {
    private static final int LONGEST_DAYS = 1100;

    /**
     * Where the load trend stands on the evening before the first day.
     * @param chronicOfWeek chronic load of the seven evenings before the first day, oldest first
     */
    public record Start(double acute, List<Double> chronicOfWeek, LoadTrend.Settings settings) {
        public Start {
            chronicOfWeek = List.copyOf(chronicOfWeek);
            if (chronicOfWeek.size() != 7) throw new IllegalArgumentException("chronicOfWeek must have 7 values, has " + chronicOfWeek.size());
        }

        /** The same load every day so far. */
        public static Start steady(double loadPerDay) {
            return new Start(loadPerDay, java.util.Collections.nCopies(7, loadPerDay), LoadTrend.Settings.DEFAULT);
        }

        double chronic() {
            return chronicOfWeek.get(6);
        }
    }

    public Ask {
        if (last.isBefore(first.plusDays(Block.SHORTEST - 1L))) throw new IllegalArgumentException("last must be at least 2 days after first, was " + first + ".." + last);
        if (last.isAfter(first.plusDays(LONGEST_DAYS))) throw new IllegalArgumentException("a season must have at most " + LONGEST_DAYS + " days");
        if (!(highestBuild > 0 && highestBuild <= 30)) throw new IllegalArgumentException("highestBuild must be in 0..30, was " + highestBuild);
        if (!(loadPerHour >= 10 && loadPerHour <= 150)) throw new IllegalArgumentException("loadPerHour must be in 10..150, was " + loadPerHour);
        LocalDate begin = first;
        LocalDate end = last;
        events = events.stream().filter(e -> !e.day().isBefore(begin) && !e.day().isAfter(end)).sorted(Comparator.comparing(Event::day)).toList();
        pinned = pinned.stream().filter(b -> !b.last().isBefore(begin) && !b.first().isAfter(end)).sorted(Comparator.comparing(Block::first)).toList();
    }

    int days() {
        return (int) (last.toEpochDay() - first.toEpochDay()) + 1;
    }

    List<Event> of(Priority priority) {
        return events.stream().filter(e -> e.priority() == priority).toList();
    }

    Ask without(Limit limit) {
        return switch (limit) {
            case HOURS -> new Ask(first, last, events, aim, rhythm, highestBuild, Hours.unlimited(), loadPerHour, start, pinned);
            case BUILD_RATE -> new Ask(first, last, events, aim, rhythm, 30, hours, loadPerHour, start, pinned);
            case PINS -> new Ask(first, last, events, aim, rhythm, highestBuild, hours, loadPerHour, start, List.of());
            case TIME -> this;
        };
    }
}
