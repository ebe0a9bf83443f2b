package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Event;

/** A question about the plan that has no consequence: the changes that would be its answer. */
public sealed interface WhatIf {
    /** Nothing when the question touches nothing that is planned. */
    List<Change> changes(Situation s);

    /** The day of the next A event, were it so; empty without one. */
    default Optional<LocalDate> aimAfter(Situation s) {
        return s.nextAim().map(Event::day);
    }

    /** Nothing is trained from one day to another; what is pinned stays. */
    record DaysOff(LocalDate first, LocalDate last) implements WhatIf {
        public DaysOff {
            if (last.isBefore(first))
                throw new IllegalArgumentException("last must not be before first, was " + first + " to " + last);
        }

        @Override
        public List<Change> changes(Situation s) {
            List<Change> changes = new ArrayList<>();
            for (Session session : s.ahead())
                if (!session.pinned()
                        && !session.day().isBefore(first)
                        && !session.day().isAfter(last)) changes.add(new Change.Drop(session.id()));
            for (Target block : unplanned(s)) {
                double lost = share(block, first, last);
                if (lost > 0) changes.add(new Change.Retarget(block.first(), block.load() * (1 - lost)));
            }
            return changes;
        }
    }

    /** So many hours a week less (below zero: more) up to a day; every session gives its part. */
    record LessTime(double hoursAWeek, LocalDate until) implements WhatIf {
        public LessTime {
            if (!(Math.abs(hoursAWeek) <= 40))
                throw new IllegalArgumentException("hoursAWeek must be in -40..40, was " + hoursAWeek);
        }

        @Override
        public List<Change> changes(Situation s) {
            List<Session> touched = s.ahead().stream()
                    .filter(x -> !x.pinned() && !x.day().isAfter(until))
                    .toList();
            List<Target> blocks =
                    unplanned(s).stream().filter(b -> !b.first().isAfter(until)).toList();
            double hours = touched.stream().mapToDouble(Session::hours).sum()
                    + blocks.stream()
                            .mapToDouble(b -> b.hours() * share(b, s.today(), until))
                            .sum();
            double weeks = Math.max(1, days(s.today(), until)) / 7.0;
            if (!(hours > 0)) return List.of();
            double factor = Math.max(0, 1 - hoursAWeek * weeks / hours);
            List<Change> changes = new ArrayList<>();
            for (Session session : touched)
                changes.add(factor == 0 ? new Change.Drop(session.id()) : new Change.Scale(session.id(), factor));
            for (Target block : blocks) changes.add(at(factor, block, share(block, s.today(), until)));
            return changes;
        }
    }

    /** Everything up to a day at a share of what is planned. @param percent 0 to 200 */
    record Share(double percent, LocalDate until) implements WhatIf {
        public Share {
            if (!(percent >= 0 && percent <= 200))
                throw new IllegalArgumentException("percent must be in 0..200, was " + percent);
        }

        @Override
        public List<Change> changes(Situation s) {
            List<Change> changes = new ArrayList<>();
            for (Session session : s.ahead())
                if (!session.pinned() && !session.day().isAfter(until))
                    changes.add(
                            percent == 0
                                    ? new Change.Drop(session.id())
                                    : new Change.Scale(session.id(), percent / 100));
            for (Target block : unplanned(s))
                if (!block.first().isAfter(until))
                    changes.add(at(percent / 100, block, share(block, s.today(), until)));
            return changes;
        }
    }

    /**
     * The event that begins on a day begins on another. What is planned on its new days is let go, and for an A event
     * its taper and that of the old day are answered as when an event has been moved.
     */
    record EventMoved(LocalDate from, LocalDate to) implements WhatIf {
        @Override
        public List<Change> changes(Situation s) {
            Change.MoveEvent move = new Change.MoveEvent(from, to);
            Event event = Plan.after(s, List.of(move)).events().stream()
                    .map(Situation.Coming::event)
                    .filter(e -> e.day().equals(to))
                    .findFirst()
                    .orElseThrow();
            List<Change> changes = new ArrayList<>(List.of(move));
            for (Session session : s.ahead())
                if (!session.pinned()
                        && !session.day().isBefore(to)
                        && !session.day().isAfter(event.last())) changes.add(new Change.Drop(session.id()));
            List<String> gone =
                    changes.stream().flatMap(c -> c.touched().stream()).toList();
            Situation moved = s.withEvents(Plan.after(s, List.of(move)).events());
            Trigger trigger = new Trigger(Trigger.Kind.EVENT, List.of(), "");
            for (List<Change> answer : new Candidates(moved, List.of(trigger)).of(trigger))
                for (Change change : answer)
                    if (change.touched().filter(gone::contains).isEmpty()) changes.add(change);
            return changes;
        }

        @Override
        public Optional<LocalDate> aimAfter(Situation s) {
            return Plan.after(s, List.of(new Change.MoveEvent(from, to)))
                    .nextAim(s.today())
                    .map(Event::day);
        }
    }

    /**
     * A threshold has another value: planned sessions come to other loads, which whoever can forecast them tells.
     * Blocks without sessions keep their targets, which are loads already.
     */
    record Reckoned(List<Change.Swap> again) implements WhatIf {
        public Reckoned {
            again = List.copyOf(again);
        }

        @Override
        public List<Change> changes(Situation s) {
            List<Change> changes = new ArrayList<>();
            for (Change.Swap swap : again)
                if (s.ahead().stream().anyMatch(x -> x.id().equals(swap.session()))) changes.add(swap);
            return changes;
        }
    }

    /** Blocks ahead in which nothing is planned: they count with their target. */
    private static List<Target> unplanned(Situation s) {
        return s.blocks().stream()
                .filter(b -> !b.first().isBefore(s.today()))
                .filter(b -> s.ahead().stream().noneMatch(x -> b.contains(x.day())))
                .toList();
    }

    /** A block of which a share is done at a factor: it reaches beyond the days that are asked about. */
    private static Change at(double factor, Target block, double share) {
        return new Change.Retarget(block.first(), block.load() * (1 - share * (1 - factor)));
    }

    /** How much of a block lies on some days, 0 to 1. */
    private static double share(Target block, LocalDate first, LocalDate last) {
        return Math.max(0, (double) days(later(block.first(), first), earlier(block.last(), last)) / block.days());
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private static long days(LocalDate first, LocalDate last) {
        return last.toEpochDay() - first.toEpochDay() + 1;
    }
}
