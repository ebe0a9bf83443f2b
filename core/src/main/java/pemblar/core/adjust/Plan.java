package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pemblar.core.adjust.Situation.Coming;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Event;
import pemblar.core.season.Priority;

/** The sessions, targets and events ahead, as they are or after some changes. */
record Plan(List<Session> sessions, List<Target> blocks, List<Coming> events, Set<String> recovered) {
    Plan {
        sessions = sessions.stream()
                .sorted(Comparator.comparing(Session::start).thenComparing(Session::id))
                .toList();
        blocks = List.copyOf(blocks);
        events = List.copyOf(events);
        recovered = Set.copyOf(recovered);
    }

    static Plan of(Situation s) {
        return new Plan(s.ahead(), s.blocks(), s.events(), Set.of());
    }

    /** @throws IllegalArgumentException when a change names a session, block or event that is not there */
    static Plan after(Situation s, List<Change> changes) {
        PlanUnderChange plan = new PlanUnderChange(s);
        for (Change change : changes) change.answer(plan);
        return plan.changed();
    }

    /** The next A event that has not begun; empty without one. */
    Optional<Event> nextAim(LocalDate today) {
        return events.stream()
                .map(Coming::event)
                .filter(e -> e.priority() == Priority.A && e.day().isAfter(today))
                .min(Comparator.comparing(Event::day));
    }

    boolean isEventDay(LocalDate day) {
        return events.stream().map(Coming::event).anyMatch(e -> !day.isBefore(e.day()) && !day.isAfter(e.last()));
    }
}
