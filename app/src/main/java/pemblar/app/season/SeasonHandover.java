package pemblar.app.season;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;

/** A season comes over when the person has none ahead, or when they choose it; events come beside their own. */
@Component
@Order(2)
class SeasonHandover implements Handover {
    private final PlanService plan;
    private final InstantSource clock;

    SeasonHandover(PlanService plan, InstantSource clock) {
        this.plan = plan;
        this.clock = clock;
    }

    private boolean isAhead(Held held, LocalDate today) {
        return held.blocks().stream().anyMatch(b -> !b.last().isBefore(today));
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        Held theirs = plan.held(from);
        if (theirs.blocks().isEmpty() && theirs.events().isEmpty()) return List.of();
        String events = theirs.events().stream().map(e -> "“" + e.name() + "”").collect(Collectors.joining(", "));
        int blocks = theirs.blocks().size();
        List<String> said = new java.util.ArrayList<>();
        if (!events.isEmpty()) said.add("Events, beside yours: " + events + ".");
        if (blocks > 0)
            said.add("A season of " + blocks + (blocks == 1 ? " block." : " blocks.")
                    + (isAhead(plan.held(to), to.dayOf(clock.instant()))
                            ? " You have blocks ahead of your own: they stay unless you choose the coach’s."
                            : ""));
        return said;
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        Held theirs = plan.held(from);
        if (theirs.blocks().isEmpty() && theirs.events().isEmpty()) return;
        LocalDate today = to.dayOf(clock.instant());
        boolean own = isAhead(plan.held(to), today) && !seasonToo;
        boolean settingsToo = seasonToo || !plan.isSetUp(to);
        plan.change(new Visit(to.id(), person), null, "Took the season that your coach had begun.", held -> {
            Held events = held.withEvents(both(held.events(), theirs.events())).withAway(away(held, theirs));
            if (own) return events;
            List<pemblar.core.season.Block> past =
                    held.blocks().stream().filter(b -> b.last().isBefore(today)).toList();
            LocalDate free = past.stream()
                    .map(b -> b.last().plusDays(1))
                    .max(LocalDate::compareTo)
                    .orElse(LocalDate.MIN);
            List<pemblar.core.season.Block> blocks = new java.util.ArrayList<>(past);
            theirs.blocks().stream().filter(b -> !b.first().isBefore(free)).forEach(blocks::add);
            Held taken = events.withBlocks(blocks).withMarked(marks(held, theirs));
            return settingsToo ? taken.withSettings(theirs.settings()) : taken;
        });
    }

    /** An event of the same day and name is one. */
    private static List<SeasonEvent> both(List<SeasonEvent> own, List<SeasonEvent> theirs) {
        List<SeasonEvent> all = new java.util.ArrayList<>(own);
        for (SeasonEvent e : theirs)
            if (own.stream().noneMatch(o -> o.day().equals(e.day()) && o.name().equals(e.name()))) all.add(anew(e));
        return all;
    }

    private static SeasonEvent anew(SeasonEvent e) {
        return new SeasonEvent(
                0,
                e.day(),
                e.days(),
                e.name(),
                e.priority(),
                e.kind(),
                e.sport(),
                e.metres(),
                e.seconds(),
                e.demands(),
                e.parts());
    }

    /** Theirs where the person has nothing of their own. */
    private static List<SeasonSettings.Away> away(Held own, Held theirs) {
        List<SeasonSettings.Away> all = new java.util.ArrayList<>(own.away());
        for (SeasonSettings.Away a : theirs.away())
            if (own.away().stream().noneMatch(o -> !o.from().isAfter(a.to()) && !o.to().isBefore(a.from()))) all.add(a);
        return all;
    }

    private static List<SeasonSettings.Marked> marks(Held own, Held theirs) {
        List<SeasonSettings.Marked> all = new java.util.ArrayList<>(own.marked());
        for (SeasonSettings.Marked m : theirs.marked())
            if (own.marked().stream().noneMatch(o -> o.day().equals(m.day()))) all.add(m);
        return all;
    }
}
