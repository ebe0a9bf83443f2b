package pemblar.core.workout;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/**
 * One clock for several who do the same workout together: where all of them are at a second, with what whoever leads
 * changed on the way. Nothing here rests on a body, so that whoever comes late or goes away for a while comes back to
 * the same place as the others.
 */
public final class SharedClock {
    /** A step that only whoever leads ends. */
    public static final int OPEN = Integer.MAX_VALUE;

    private static final int MOST_SECONDS = 12 * 3600;

    /** A step as it is done. @param setEnd index after the outermost repeat in which it stands; -1 outside any */
    private record Part(Step step, int seconds, int setEnd, boolean recovery) {}

    /** What whoever leads can do for all. */
    public enum Kind {
        /** Makes the recovery under way, else the next one, longer by some seconds. */
        LONGER,
        NEXT,
        END_SET,
        STOP
    }

    /** @param second of the clock @param seconds only of {@link Kind#LONGER} */
    public record Event(int second, Kind kind, int seconds) {}

    /**
     * Where all are.
     *
     * @param part index into the steps with repeats written out, as of {@link Workout#expanded()}
     * @param elapsed seconds since it began
     * @param length of the step, s, with what was added; {@link #OPEN} when only the lead ends it
     */
    public record At(int part, int elapsed, int length, boolean over) {}

    private final List<Part> parts = new ArrayList<>();

    /**
     * @throws IllegalArgumentException naming the first step that a body ends, not a clock: a distance, a heart rate or
     *     the reserve
     */
    public SharedClock(Workout workout) {
        for (Element element : workout.elements()) add(element, -1, null);
    }

    private void add(Element element, int setEnd, Step before) {
        if (element instanceof Step step) {
            parts.add(new Part(step, seconds(step), setEnd, setEnd >= 0 && isEasier(step.target(), before)));
            return;
        }
        Repeat repeat = (Repeat) element;
        int end = setEnd >= 0 ? setEnd : parts.size() + repeat.times() * size(repeat.elements());
        for (int i = 0; i < repeat.times(); i++) {
            Step last = null;
            for (Element inner : repeat.elements()) {
                add(inner, end, last);
                last = parts.get(parts.size() - 1).step();
            }
        }
    }

    private static int size(List<Element> elements) {
        return elements.stream()
                .mapToInt(e -> e instanceof Repeat r ? r.times() * size(r.elements()) : 1)
                .sum();
    }

    private static int seconds(Step step) {
        if (step.length() instanceof Length.Time time) return time.seconds();
        if (step.length() instanceof Length.LapKey) return OPEN;
        String what = step.length() instanceof Length.Distance
                ? "by distance"
                : step.length() instanceof Length.ReserveAt ? "by the reserve" : "by heart rate";
        throw new IllegalArgumentException("A step " + (step.name().isEmpty() ? "" : "(“" + step.name() + "”) ")
                + "ends " + what + ", at another moment for each. Give every step a time, or let the lap key end it:"
                + " then you end it for all.");
    }

    /** Whether a target asks for less than the step before it in the same repeat. */
    private static boolean isEasier(Target target, Step before) {
        if (before == null) return false;
        if (target instanceof Target.Rest || target instanceof Target.Open)
            return !(before.target() instanceof Target.Rest || before.target() instanceof Target.Open);
        return target.getClass() == before.target().getClass() && top(target) < top(before.target());
    }

    private static double top(Target target) {
        if (target instanceof Target.Percent p) return Math.max(p.from(), p.to());
        if (target instanceof Target.Zone z) return z.to();
        if (target instanceof Target.Absolute a) return Math.max(a.from(), a.to());
        if (target instanceof Target.Effort e) return e.to();
        return target instanceof Target.Max m ? m.to() : 0;
    }

    public int parts() {
        return parts.size();
    }

    public Step step(int part) {
        return parts.get(part).step();
    }

    /** Whether the step or one after it is a recovery. */
    public boolean hasRecovery(int part) {
        return parts.stream().skip(part).anyMatch(Part::recovery);
    }

    public boolean isInSet(int part) {
        return parts.get(part).setEnd() >= 0;
    }

    /** @param events in the order of their seconds; those after {@code second} do not count */
    public At at(int second, List<Event> events) {
        return new Run(events).at(second);
    }

    /** The second at which all is over; {@link #OPEN} when an open step is still to be ended by the lead. */
    public int end(List<Event> events) {
        Run run = new Run(events);
        run.at(MOST_SECONDS - 1);
        return run.over ? run.from : OPEN;
    }

    /** The clock on its way from change to change. */
    private final class Run {
        private final List<Event> events;
        private final int[] longer = new int[parts.size()];
        private int part;
        private int from;
        private boolean over;

        Run(List<Event> events) {
            this.events = events;
        }

        At at(int second) {
            for (Event event : events) {
                if (event.second() > second) break;
                to(event.second());
                if (!over) apply(event);
            }
            to(Math.min(second, MOST_SECONDS));
            if (second >= MOST_SECONDS) over = true;
            return over ? new At(parts.size(), 0, 0, true) : new At(part, second - from, length(), false);
        }

        private int length() {
            int seconds = parts.get(part).seconds();
            return seconds == OPEN ? OPEN : seconds + longer[part];
        }

        /** Passes over every step that has ended by itself. */
        void to(int second) {
            while (!over && length() != OPEN && from + length() <= second) begin(part + 1, from + length());
        }

        private void begin(int next, int second) {
            part = next;
            from = second;
            over = next >= parts.size();
        }

        private void apply(Event event) {
            switch (event.kind()) {
                case LONGER -> lengthen(event.seconds());
                case NEXT -> begin(part + 1, event.second());
                case END_SET ->
                    begin(
                            parts.get(part).setEnd() < 0
                                    ? part + 1
                                    : parts.get(part).setEnd(),
                            event.second());
                case STOP -> begin(parts.size(), event.second());
            }
        }

        private void lengthen(int seconds) {
            int recovery = part;
            while (recovery < parts.size() && !parts.get(recovery).recovery()) recovery++;
            if (recovery < parts.size()) longer[recovery] += seconds;
        }
    }
}
