package pemblar.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.core.schedule.DayPlan.Slot;

/**
 * Gives sessions lengths in steps of five minutes, in the proportions of their purposes, so that together they come to
 * a load.
 */
final class Lengths {
    private static final int STEP_SECONDS = 300;
    private static final int HALVINGS = 40;
    private static final double MOST_FACTOR = 8;
    private static final double CLOSE = 0.02;

    private Lengths() {}

    /** Usual, shortest and longest minutes of a purpose. */
    private record Span(int usual, int shortest, int longest) {}

    private static Span span(Purpose purpose) {
        return switch (purpose) {
            case RECOVERY -> new Span(45, 30, 75);
            case TEMPO, THRESHOLD -> new Span(75, 45, 120);
            case INTERVALS, SPRINTS -> new Span(65, 45, 95);
            case LONG -> new Span(150, 75, 420);
            case RACE -> new Span(120, 10, 1440);
            default -> new Span(65, 30, 240);
        };
    }

    /** The same sessions with lengths; when even the shortest are too much, the least important ones are left out. */
    static List<Slot> fit(List<Slot> slots, double load) {
        List<Slot> kept = new ArrayList<>(slots);
        while (!kept.isEmpty() && sum(at(kept, 0)) > Math.max(load, 0) * (1 + CLOSE)) {
            Optional<Slot> least = kept.stream()
                    .filter(s -> !s.purpose().isHard())
                    .min(Comparator.comparingInt(
                            s -> s.purpose() == Purpose.LONG ? 2 : s.purpose() == Purpose.RECOVERY ? 0 : 1));
            kept.remove(least.orElse(kept.get(kept.size() - 1)));
        }
        return tuned(at(kept, factor(kept, load)), load);
    }

    private static double factor(List<Slot> slots, double load) {
        double low = 0;
        double high = MOST_FACTOR;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (sum(at(slots, middle)) < load) low = middle;
            else high = middle;
        }
        return high;
    }

    private static List<Slot> at(List<Slot> slots, double factor) {
        return slots.stream().map(s -> s.lasting(seconds(s, factor))).toList();
    }

    private static int seconds(Slot slot, double factor) {
        Span span = span(slot.purpose());
        double grown = slot.purpose().isHard() ? Math.sqrt(Math.max(0, factor)) : factor;
        double minutes = Math.max(span.shortest(), Math.min(span.longest(), span.usual() * grown));
        int whole = (int) Math.round(minutes * 60 / STEP_SECONDS) * STEP_SECONDS;
        return Math.max(Math.min(slot.mostSeconds(), STEP_SECONDS), Math.min(whole, slot.mostSeconds()));
    }

    static double sum(List<Slot> slots) {
        return slots.stream().mapToDouble(Slot::load).sum();
    }

    /** Five minutes more or less on one session after another while that comes nearer. */
    private static List<Slot> tuned(List<Slot> slots, double load) {
        List<Slot> all = new ArrayList<>(slots);
        for (int round = 0; round < 3 * all.size(); round++) {
            double missing = load - sum(all);
            int step = missing > 0 ? STEP_SECONDS : -STEP_SECONDS;
            int index = nearest(all, missing, step);
            if (index < 0) return all;
            all.set(index, all.get(index).lasting(all.get(index).seconds() + step));
        }
        return all;
    }

    private static int nearest(List<Slot> slots, double missing, int step) {
        int best = -1;
        double left = Math.abs(missing) - 1e-9;
        for (int i = 0; i < slots.size(); i++) {
            Slot slot = slots.get(i);
            Span span = span(slot.purpose());
            int seconds = slot.seconds() + step;
            if (seconds > Math.min(slot.mostSeconds(), span.longest() * 60)
                    || seconds < Math.min(slot.mostSeconds(), span.shortest() * 60)) continue;
            double after = Math.abs(missing - slot.purpose().load(seconds) + slot.load());
            if (after < left) {
                left = after;
                best = i;
            }
        }
        return best;
    }
}
