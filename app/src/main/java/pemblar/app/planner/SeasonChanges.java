package pemblar.app.planner;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.OfAthlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.EventPart;
import pemblar.app.season.Held;
import pemblar.app.season.PlanAhead;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.session.change.DaysService;
import pemblar.app.undo.UndoService;
import pemblar.core.adjust.Change;
import pemblar.core.season.Block;
import pemblar.core.season.BlockEditing;

/** Changes of a season by hand. After each the rest is planned anew or stays, as chosen; each can be taken back. */
@Service
public class SeasonChanges {
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_DAYS = 1000;
    private static final int SHORTEST_DAYS = 3;
    private final PlanService plan;
    private final SeasonPlanner planner;
    private final TrendService trends;
    private final AthleteService athletes;
    private final DaysService days;
    private final UndoService undo;

    SeasonChanges(
            PlanService plan,
            SeasonPlanner planner,
            TrendService trends,
            AthleteService athletes,
            DaysService days,
            UndoService undo) {
        this.plan = plan;
        this.planner = planner;
        this.trends = trends;
        this.athletes = athletes;
        this.days = days;
        this.undo = undo;
    }

    /**
     * Who changes what, as the page knew it. @param revision null does not ask @param replan the blocks ahead that are
     * not pinned are planned anew
     */
    public record Asking(Visit visit, Integer revision, boolean replan) implements OfAthlete {
        @Override
        public long athleteId() {
            return visit.athleteId();
        }

        @Override
        public Viewer viewer() {
            return visit.viewer();
        }
    }

    /** A change by hand of one block; the words say which. */
    public enum Kind {
        LOAD,
        HOURS,
        EDGE,
        PIN,
        UNPIN,
        SPLIT,
        JOIN
    }

    /** @param value load, hours, or with an edge or split the epoch day that it is moved to */
    public record BlockChange(Kind kind, LocalDate first, double value) {}

    /** What would be held after a change, without saving it. */
    @Transactional(readOnly = true)
    public Held preview(Asking asking, BlockChange change) {
        Athlete athlete = athletes.require(asking.visit());
        return rest(asking, athlete, changed(athlete, change).apply(plan.held(athlete)));
    }

    @Transactional
    public void change(Asking asking, BlockChange change) {
        Athlete athlete = athletes.require(asking.visit());
        save(asking, athlete, label(athlete, change), changed(athlete, change));
    }

    /** The season's part of changes that were taken together; what is a session's is left to sessions. */
    @Transactional
    public void apply(Asking asking, List<Change> changes) {
        for (Change change : changes) {
            if (change instanceof Change.Retarget r) change(asking, new BlockChange(Kind.LOAD, r.first(), r.load()));
            if (change instanceof Change.MoveEvent m) moveEvent(asking, m.from(), m.to());
        }
    }

    private void moveEvent(Asking asking, LocalDate from, LocalDate to) {
        Athlete athlete = athletes.require(asking.visit());
        SeasonEvent event = plan.held(athlete).events().stream()
                .filter(e -> e.day().equals(from))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "There is no event on " + from + " any more. Look at the proposals again."));
        event(asking, event.on(to));
    }

    private void save(Asking asking, Athlete athlete, String label, UnaryOperator<Held> change) {
        plan.change(asking.visit(), asking.revision(), label, held -> rest(asking, athlete, change.apply(held)));
    }

    private Held rest(Asking asking, Athlete athlete, Held held) {
        return asking.replan()
                ? held.withBlocks(
                        planner.plan(athlete, held, trends.of(athlete)).blocks())
                : held;
    }

    private UnaryOperator<Held> changed(Athlete athlete, BlockChange change) {
        if (!(Math.abs(change.value()) <= 1e6))
            throw new IllegalArgumentException("value must be at most a million, was " + change.value());
        LocalDate first = change.first();
        return held -> held.withBlocks(
                switch (change.kind()) {
                    case LOAD -> BlockEditing.withLoad(held.blocks(), first, change.value());
                    case HOURS -> withHours(athlete, held.blocks(), first, change.value());
                    case EDGE ->
                        BlockEditing.moveEdge(held.blocks(), first, LocalDate.ofEpochDay((long) change.value()));
                    case SPLIT -> BlockEditing.split(held.blocks(), first, LocalDate.ofEpochDay((long) change.value()));
                    case JOIN -> BlockEditing.join(held.blocks(), first);
                    case PIN -> BlockEditing.withPin(held.blocks(), first, true);
                    case UNPIN -> BlockEditing.withPin(held.blocks(), first, false);
                });
    }

    private double loadPerHour(Athlete athlete) {
        LocalDate today = trends.of(athlete).today();
        return planner.loadPerHour(athlete, BoardFilling.shares(athlete, plan.held(athlete), today), today);
    }

    private List<Block> withHours(Athlete athlete, List<Block> blocks, LocalDate first, double hours) {
        if (!(hours >= 0 && hours <= 28 * 24))
            throw new IllegalArgumentException("Hours: enter 0 or more; a day has 24.");
        Block old = blocks.stream()
                .filter(b -> b.first().equals(first))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no block begins on " + first));
        double perHour = old.targetLoad() > 0 && old.targetSeconds() > 0
                ? old.targetLoad() / (old.targetSeconds() / 3600.0)
                : loadPerHour(athlete);
        return BlockEditing.withLoad(blocks, first, Math.rint(hours * perHour)).stream()
                .map(b -> !b.first().equals(first)
                        ? b
                        : new Block(
                                b.first(),
                                b.days(),
                                b.phase(),
                                b.name(),
                                b.aim(),
                                b.targetLoad(),
                                (int) Math.round(hours * 3600),
                                b.easy(),
                                true))
                .toList();
    }

    private String label(Athlete athlete, BlockChange change) {
        String name = plan.blocks(athlete).stream()
                .filter(b -> b.first().equals(change.first()))
                .map(Block::name)
                .findFirst()
                .orElse("A block");
        return "“" + name + "” of " + change.first()
                + switch (change.kind()) {
                    case LOAD -> " aims for " + Math.round(change.value()) + " load.";
                    case HOURS -> " aims for " + change.value() + " hours.";
                    case EDGE -> " ends on " + LocalDate.ofEpochDay((long) change.value()) + ".";
                    case SPLIT -> " is split on " + LocalDate.ofEpochDay((long) change.value()) + ".";
                    case JOIN -> " is joined with the next.";
                    case PIN -> " is pinned.";
                    case UNPIN -> " is no longer pinned.";
                };
    }

    /** Other ways of planning, and with them a new plan. */
    @Transactional
    public void settings(Asking asking, SeasonSettings settings) {
        Athlete athlete = athletes.require(asking.visit());
        checkRoom(settings);
        checkLastDay(settings.lastDay(), trends.of(athlete).today());
        settings.rhythm();
        settings.hours(List.of());
        save(asking, athlete, "Planned the season anew.", held -> held.withSettings(settings));
    }

    private static void checkRoom(SeasonSettings settings) {
        int least = settings.easyDays() + SHORTEST_DAYS;
        if (settings.easyInDays() && settings.easyEvery() < least)
            throw new IllegalArgumentException("Easy block every: " + settings.easyEvery()
                    + " days leave less than 3 beside an easy block of " + settings.easyDays() + "; enter at least "
                    + least + ".");
    }

    private static void checkLastDay(LocalDate last, LocalDate today) {
        if (last == null) return;
        if (last.isBefore(today.plusDays(6)))
            throw new IllegalArgumentException("Last day: " + last
                    + " lies before the season can begin; the nearest possible is " + today.plusDays(6) + ".");
        if (last.isAfter(today.plusDays(LONGEST_DAYS)))
            throw new IllegalArgumentException("Last day: a season has at most 1000 days; the nearest possible is "
                    + today.plusDays(LONGEST_DAYS) + ".");
    }

    /** Adds an event, or changes the one with its number; its demands stay. */
    @Transactional
    public void event(Asking asking, SeasonEvent event) {
        Athlete athlete = athletes.require(asking.visit());
        if (event.name().isBlank() || event.name().length() > LONGEST_NAME)
            throw new IllegalArgumentException("Name: enter 1 to 80 characters.");
        save(asking, athlete, "“" + event.name() + "” is on " + event.day() + ".", held -> {
            held.events().stream()
                    .filter(e -> e.id() != event.id() && e.day().equals(event.day()))
                    .findFirst()
                    .ifPresent(e -> {
                        throw new IllegalArgumentException("Day: on " + event.day() + " there is “" + e.name()
                                + "” already. The nearest free day is " + free(held, event) + ".");
                    });
            List<SeasonEvent> events = new ArrayList<>(held.events().stream()
                    .filter(e -> event.id() == 0 || e.id() != event.id())
                    .toList());
            SeasonEvent was = event.id() == 0
                    ? event
                    : held.events().stream()
                            .filter(e -> e.id() == event.id())
                            .findFirst()
                            .orElseThrow(() -> new NotFoundException("event"));
            events.add(event.demanding(was.demands()).madeOf(was.parts()));
            return held.withEvents(events);
        });
    }

    private static LocalDate free(Held held, SeasonEvent event) {
        for (int by = 1; by < 400; by++)
            for (int side : new int[] {1, -1}) {
                LocalDate day = event.day().plusDays((long) side * by);
                if (held.events().stream().noneMatch(e -> e.day().equals(day) && e.id() != event.id())) return day;
            }
        throw new IllegalStateException("every day of a year has an event");
    }

    @Transactional
    public void removeEvent(Asking asking, long id) {
        Athlete athlete = athletes.require(asking.visit());
        SeasonEvent event = plan.event(athlete, id).orElseThrow(() -> new NotFoundException("event"));
        save(asking, athlete, "Removed “" + event.name() + "”.", held -> held.eachEvent(e -> e.id() == id ? null : e));
    }

    @Transactional
    public void demands(Asking asking, long id, List<SeasonEvent.EventDemand> demands) {
        Athlete athlete = athletes.require(asking.visit());
        SeasonEvent event = plan.event(athlete, id).orElseThrow(() -> new NotFoundException("event"));
        save(
                asking,
                athlete,
                "Changed what “" + event.name() + "” demands.",
                held -> held.eachEvent(e -> e.id() == id ? e.demanding(demands) : e));
    }

    @Transactional
    public void parts(Asking asking, long id, List<EventPart> parts) {
        Athlete athlete = athletes.require(asking.visit());
        SeasonEvent event = plan.event(athlete, id).orElseThrow(() -> new NotFoundException("event"));
        save(
                asking,
                athlete,
                "Changed what “" + event.name() + "” is made of.",
                held -> held.eachEvent(e -> e.id() == id ? e.madeOf(parts) : e));
    }

    @Transactional
    public void away(Asking asking, Away away) {
        Athlete athlete = athletes.require(asking.visit());
        if (away.to().isBefore(away.from()))
            throw new IllegalArgumentException("To: " + away.to() + " is before " + away.from()
                    + "; choose a last day that is not before the first.");
        if (!(away.weeklyHours() >= 0 && away.weeklyHours() <= 100))
            throw new IllegalArgumentException("Hours a week: enter 0 to 100; a week has 168.");
        if (away.reason().length() > 60) throw new IllegalArgumentException("Reason: enter at most 60 characters.");
        save(asking, athlete, "Other hours from " + away.from() + " to " + away.to() + ".", held -> {
            List<Away> all = new ArrayList<>(held.away());
            all.add(away);
            return held.withAway(all);
        });
    }

    @Transactional
    public void removeAway(Asking asking, int index) {
        Athlete athlete = athletes.require(asking.visit());
        save(asking, athlete, "The usual hours hold again.", held -> {
            if (index < 0 || index >= held.away().size()) throw new NotFoundException("exception");
            List<Away> all = new ArrayList<>(held.away());
            all.remove(index);
            return held.withAway(all);
        });
    }

    /**
     * Shifts everything from a day on: open sessions, and with {@code blocks} also the blocks that begin then, in one
     * step.
     *
     * @return how many sessions moved
     */
    @Transactional
    public int shift(Asking asking, LocalDate from, int by, boolean blocks) {
        Athlete athlete = athletes.require(asking.visit());
        int[] moved = {0};
        undo.asOne(
                asking.visit(),
                "Shifted all from " + from + " on by " + by + (Math.abs(by) == 1 ? " day." : " days."),
                () -> {
                    if (blocks
                            && plan.blocks(athlete).stream()
                                    .anyMatch(b -> !b.first().isBefore(from)))
                        plan.change(
                                asking.visit(),
                                asking.revision(),
                                "Shifted.",
                                held -> held.withBlocks(BlockEditing.shift(held.blocks(), from, by)));
                    moved[0] = days.shiftAfter(asking.visit(), from, by);
                });
        return moved[0];
    }

    /** Marks a day as one that cannot be trained, or gives it a note, or with neither takes both away. */
    @Transactional
    public void mark(Asking asking, SeasonSettings.Marked mark) {
        athletes.require(asking.visit());
        if (mark.note().length() > 200) throw new IllegalArgumentException("Note: enter at most 200 characters.");
        String label = mark.unavailable()
                ? mark.day() + " is unavailable."
                : mark.note().isBlank() ? mark.day() + " is an ordinary day again." : mark.day() + " has a note.";
        plan.change(asking.visit(), asking.revision(), label, held -> {
            List<SeasonSettings.Marked> all = new ArrayList<>(held.marked().stream()
                    .filter(m -> !m.day().equals(mark.day()))
                    .toList());
            if (mark.unavailable() || !mark.note().isBlank()) all.add(mark);
            return held.withMarked(all);
        });
    }

    /** What the guided set-up came to: settings, event and blocks in one change. */
    @Transactional
    public void setUp(Asking asking, Held wanted) {
        athletes.require(asking.visit());
        plan.change(
                asking.visit(),
                asking.revision(),
                "Set up the season.",
                held -> held.withSettings(wanted.settings())
                        .withEvents(wanted.events())
                        .withBlocks(wanted.blocks()));
    }

    /** The trend with what is held, or would be. */
    @Transactional(readOnly = true)
    public Trend trend(Athlete athlete, Trend now, Held held) {
        return TrendService.trend(athlete, now.today(), now.dayLoads(), PlanAhead.of(held));
    }
}
