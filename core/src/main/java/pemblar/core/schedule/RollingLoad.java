package pemblar.core.schedule;

import java.time.Instant;
import java.util.List;
import java.util.TreeSet;

/** Load over a moving window of clock time; a session counts in proportion to the part of it inside the window. */
public final class RollingLoad {
    /** A session from start to end with its load, points. */
    public record Spell(Instant start, Instant end, double load) {
        public Spell {
            if (!end.isAfter(start))
                throw new IllegalArgumentException("end must be after start, was " + start + ".." + end);
            if (!(load >= 0 && load < 1e6)) throw new IllegalArgumentException("load must be at least 0, was " + load);
        }
    }

    private RollingLoad() {}

    /** Load, points, in the hours that end at an instant. */
    public static double at(List<Spell> spells, Instant end, double hours) {
        double to = seconds(end);
        double from = to - hours * 3600;
        double sum = 0;
        for (Spell spell : spells) {
            double start = seconds(spell.start());
            double stop = seconds(spell.end());
            double inside = Math.min(stop, to) - Math.max(start, from);
            if (inside > 0) sum += spell.load() * inside / (stop - start);
        }
        return sum;
    }

    /**
     * Ends of windows between two instants at which the load over so many hours can bend: where a session comes in or
     * goes out at its start or end. Between two neighbours the load is a straight line, so that its highest value is at
     * one of them. With both instants, in order.
     */
    public static List<Instant> bends(List<Spell> spells, Instant from, Instant to, int hours) {
        TreeSet<Instant> bends = new TreeSet<>(List.of(from, to));
        for (Spell spell : spells)
            for (Instant bend : List.of(
                    spell.start(),
                    spell.end(),
                    spell.start().plusSeconds(hours * 3600L),
                    spell.end().plusSeconds(hours * 3600L)))
                if (bend.isAfter(from) && bend.isBefore(to)) bends.add(bend);
        return List.copyOf(bends);
    }

    private static double seconds(Instant instant) {
        return instant.getEpochSecond() + instant.getNano() / 1e9;
    }
}
