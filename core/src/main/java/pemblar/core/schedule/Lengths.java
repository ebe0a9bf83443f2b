package pemblar.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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
    private static final Span OPENER = new Span(35, 35, 35);
    private static final Span LONG_ON_FOOT = new Span(95, 75, 165);
    private static final Span EASY_ON_FOOT = new Span(50, 30, 90);
    private static final Span HARD_ON_FOOT = new Span(50, 40, 70);
    private static final Span LONG_IN_WATER = new Span(70, 50, 90);
    private static final Span EASY_IN_WATER = new Span(35, 25, 60);
    private static final Span HARD_IN_WATER = new Span(35, 25, 60);
    private static final int SHARP = 50;
    private static final int SHORTEST_SHARP = 35;

    private Lengths() {}

    /** Usual, shortest and longest minutes of a purpose. */
    private record Span(int usual, int shortest, int longest) {}

    /** How long a session of a purpose mostly is, s. */
    static int usualSeconds(Purpose purpose) {
        return span(purpose).usual() * 60;
    }

    /** On foot and in water sessions are shorter than on wheels. */
    private static Span span(Slot slot) {
        Span span = span(slot.purpose());
        if (slot.kind() == DayPlan.Kind.OPENER) return OPENER;
        if (slot.sport() == null || slot.sport().onWheels()) return slot.sharp() ? sharp(span) : span;
        boolean water = slot.sport().restsBetween();
        Span most = slot.purpose() == Purpose.LONG
                ? water ? LONG_IN_WATER : LONG_ON_FOOT
                : slot.purpose().isHard() || slot.purpose() == Purpose.SPRINTS
                        ? water ? HARD_IN_WATER : HARD_ON_FOOT
                        : water ? EASY_IN_WATER : EASY_ON_FOOT;
        Span shorter = new Span(
                Math.min(span.usual(), most.usual()),
                Math.min(span.shortest(), most.shortest()),
                Math.min(span.longest(), most.longest()));
        return slot.sharp() ? sharp(shorter) : shorter;
    }

    /** In a taper what is hard keeps its edge and loses its length. */
    private static Span sharp(Span span) {
        return new Span(Math.min(span.usual(), SHARP), Math.min(span.shortest(), SHORTEST_SHARP), SHARP + 10);
    }

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
            Slot out = leftOut(kept, load);
            if (missing(without(kept, out), load) > sum(at(kept, 0)) - load) break; // a little much is nearer
            kept.remove(out);
        }
        return tuned(at(kept, factor(kept, load)), load);
    }

    /** The one without which the others come nearest to the load; of equals the least important. */
    private static Slot leftOut(List<Slot> slots, double load) {
        return slots.stream()
                .filter(s -> s.kind() != DayPlan.Kind.OPENER || slots.size() == 1)
                .min(Comparator.comparingDouble((Slot s) -> Math.rint(missing(without(slots, s), load)))
                        .thenComparingInt(Lengths::importance))
                .orElseThrow();
    }

    private static List<Slot> without(List<Slot> slots, Slot one) {
        return slots.stream().filter(s -> s != one).toList();
    }

    /** What is missing to the load at their longest, or too much at their shortest. */
    private static double missing(List<Slot> slots, double load) {
        return Math.max(0, Math.max(load - sum(at(slots, MOST_FACTOR)), sum(at(slots, 0)) - load));
    }

    /** What goes last when all is too much. */
    static int importance(Slot slot) {
        return switch (slot.purpose()) {
            case RECOVERY -> 0;
            case EASY -> 1;
            case LONG -> 3;
            default -> slot.purpose().isHard() ? 4 : 2;
        };
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
        Span span = span(slot);
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
            Span span = span(slot);
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
