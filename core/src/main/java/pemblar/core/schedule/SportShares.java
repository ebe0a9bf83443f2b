package pemblar.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.schedule.DayPlan.Slot;
import pemblar.core.sport.Sport;

/**
 * Gives each session a sport so that the time of each comes near to its share. What one block leaves over is made up in
 * the next, so one of these goes through all blocks of a season.
 */
public final class SportShares {
    private final Map<Sport, Double> shares = new EnumMap<>(Sport.class);
    private final Map<Sport, Double> given = new EnumMap<>(Sport.class);

    /** @param percent of the time of each sport; they need not come to 100. @throws IllegalArgumentException of none */
    public SportShares(Map<Sport, Integer> percent) {
        double sum =
                percent.values().stream().filter(p -> p > 0).mapToInt(p -> p).sum();
        if (!(sum > 0)) throw new IllegalArgumentException("at least one sport must have a share");
        percent.forEach((sport, share) -> {
            if (share > 0) shares.put(sport, share / sum);
        });
    }

    public static SportShares of(Sport only) {
        return new SportShares(Map.of(only, 100));
    }

    public List<Sport> sports() {
        return List.copyOf(shares.keySet());
    }

    /** Each sport's part of the time; together they are 1. */
    public Map<Sport, Double> shares() {
        return Map.copyOf(shares);
    }

    /** The same sessions with sports; {@code usual} is how long each is likely to become. */
    List<Slot> assign(List<Slot> slots) {
        List<Slot> all = new ArrayList<>();
        Map<Sport, Double> planned = new EnumMap<>(given);
        double total = planned.values().stream().mapToDouble(s -> s).sum();
        for (Slot slot : slots) {
            double usual = Math.min(Lengths.usualSeconds(slot.purpose()), slot.mostSeconds());
            total += usual;
            Sport sport = most(slot.purpose(), planned, total);
            planned.merge(sport, usual, Double::sum);
            all.add(slot.in(sport));
        }
        return all;
    }

    /** The sport that lacks most; long sessions are on wheels or on foot where one of these is trained. */
    private Sport most(Purpose purpose, Map<Sport, Double> planned, double total) {
        Comparator<Sport> lack = Comparator.comparingDouble(s -> shares.get(s) * total - planned.getOrDefault(s, 0.0));
        Optional<Sport> best = shares.keySet().stream()
                .filter(s -> purpose != Purpose.LONG || !s.restsBetween())
                .max(lack);
        return best.orElseGet(() -> shares.keySet().stream().max(lack).orElseThrow());
    }

    /** What the sessions of a block have become. */
    public void took(Sport sport, int seconds) {
        if (sport != null) given.merge(sport, (double) seconds, Double::sum);
    }
}
