package pemblar.app.planner;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.app.frame.page.Shown;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonEvent.After;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.SketchService.Sketch;
import pemblar.app.session.change.SketchService.Slotted;
import pemblar.app.workout.Shelved;
import pemblar.core.schedule.DayPlan;
import pemblar.core.schedule.DayPlan.Day;
import pemblar.core.schedule.DayPlan.Fixed;
import pemblar.core.schedule.Filling;
import pemblar.core.schedule.Filling.Choice;
import pemblar.core.schedule.Purpose;
import pemblar.core.schedule.SportShares;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;

/**
 * Fills one block after another from what is known of an athlete: the core says which session on which day, the library
 * which workout. It reads and writes nothing.
 */
final class BlockFilling {
    static final int MORNING = 9 * 60;
    private static final int EVENING = 17 * 60 + 30;
    private static final int SHORTEST_MINUTES = 30;
    private final Ground ground;
    private final Filling filling;
    private final List<Fixed> fixed;

    /**
     * What the filling stands on.
     *
     * @param fixed sessions that stay, those of the days before too; races are the events'
     * @param lean what to train first, by event
     * @param hoursBetweenHard what the person keeps, from the end of one to the start of the next
     */
    record Ground(
            Held held,
            LocalDate from,
            List<Fixed> fixed,
            FillingLibrary library,
            SportShares shares,
            Map<Long, List<Purpose>> lean,
            double hoursBetweenHard) {}

    /** A block with the sessions it would get. @param load of them and of what stays; {@code seconds} likewise */
    record Filled(Block block, List<Slotted> sessions, double load, int seconds) {}

    BlockFilling(Ground ground) {
        this.ground = ground;
        this.filling = new Filling(ground.library().candidates());
        this.fixed = new ArrayList<>(ground.fixed());
    }

    /** Blocks have to come in their order: each keeps its distance from the one before. */
    Filled fill(Block block) {
        List<DayPlan.Slot> slots = DayPlan.of(days(block), fixed, wish(block), ground.shares()).stream()
                .map(this::asOnTheWay)
                .toList();
        List<Fixed> kept = fixed.stream()
                .filter(f -> !f.race() && block.contains(f.date()))
                .toList();
        double load = kept.stream().mapToDouble(Fixed::load).sum();
        List<Choice> choices = filling.fill(slots, block.targetLoad() - load);
        List<Slotted> sessions =
                new ArrayList<>(choices.stream().map(this::slotted).toList());
        sessions.addAll(races(block));
        for (Choice choice : choices) {
            ground.shares().took(choice.slot().sport(), choice.seconds());
            if (isHard(choice)) fixed.add(hard(choice));
        }
        return new Filled(
                block,
                sessions,
                load + choices.stream().mapToDouble(Choice::load).sum(),
                kept.stream().mapToInt(Fixed::seconds).sum()
                        + choices.stream().mapToInt(Choice::seconds).sum());
    }

    private static boolean isHard(Choice choice) {
        return choice.slot().purpose().isHard()
                || choice.candidate()
                        .filter(c -> c.kind() == DayPlan.Kind.RACE_LIKE)
                        .isPresent();
    }

    private static Fixed hard(Choice choice) {
        DayPlan.Slot slot = choice.slot();
        return new Fixed(slot.date(), slot.startMinute(), choice.seconds(), choice.load(), true, false);
    }

    private DayPlan.Wish wish(Block block) {
        SeasonSettings settings = ground.held().settings();
        return new DayPlan.Wish(
                block.phase(),
                block.easy(),
                block.targetLoad(),
                settings.longDay(),
                settings.stacked(),
                lean(block),
                isLoading(block) && asksAfterWork(block),
                ground.held().events().stream()
                        .filter(e -> e.priority() == Priority.A)
                        .map(SeasonEvent::day)
                        .toList(),
                ground.hoursBetweenHard());
    }

    private static boolean isLoading(Block block) {
        return block.phase() == Block.Phase.BUILD || block.phase() == Block.Phase.PEAK;
    }

    private Optional<SeasonEvent> next(Block block) {
        return ground.held().events().stream()
                .filter(e -> !e.day().isBefore(block.first()))
                .min(java.util.Comparator.comparing(SeasonEvent::day));
    }

    /** Build and peak lean to what the next event asks for and is missing. */
    private List<Purpose> lean(Block block) {
        if (!isLoading(block)) return List.of();
        return ground.held().events().stream()
                .filter(e -> !e.day().isBefore(block.first()) && ground.lean().containsKey(e.id()))
                .findFirst()
                .map(e -> ground.lean().get(e.id()))
                .orElse(List.of());
    }

    private boolean asksAfterWork(Block block) {
        return next(block)
                .filter(e -> e.demands().stream().anyMatch(d -> d.after() != After.FRESH))
                .isPresent();
    }

    private List<Day> days(Block block) {
        return block.first().datesUntil(block.last().plusDays(1)).map(this::day).toList();
    }

    /** On days away with one sport alone it is that one. */
    private DayPlan.Slot asOnTheWay(DayPlan.Slot slot) {
        return ground.held().away().stream()
                .filter(a -> a.only() != null && a.weeklyHours() > 0 && a.contains(slot.date()))
                .findFirst()
                .map(a -> slot.in(a.only()))
                .orElse(slot);
    }

    private Day day(LocalDate date) {
        Held held = ground.held();
        boolean gone = date.isBefore(ground.from())
                || held.marked().stream()
                        .anyMatch(m -> m.unavailable() && m.day().equals(date))
                || held.events().stream().anyMatch(e -> isOn(e, date));
        SeasonSettings settings = held.settings();
        double usual = settings.dayMinutes().get(date.getDayOfWeek().getValue() - 1);
        double share = settings.weeklyHours() <= 0
                ? 0
                : Math.min(1, settings.hours(held.away()).on(date) * 7 / settings.weeklyHours());
        int minutes = (int) (usual * share / 5) * 5;
        boolean weekend = date.getDayOfWeek().getValue() >= DayOfWeek.SATURDAY.getValue();
        return new Day(date, gone || minutes < SHORTEST_MINUTES ? 0 : minutes, weekend ? MORNING : EVENING);
    }

    static boolean isOn(SeasonEvent event, LocalDate date) {
        return !date.isBefore(event.day()) && !date.isAfter(event.last());
    }

    /** Each day of an event of which a time is known, unless something stands there already. */
    private List<Slotted> races(Block block) {
        List<Slotted> races = new ArrayList<>();
        for (SeasonEvent event : ground.held().events())
            for (RaceDays.Piece piece :
                    RaceDays.of(event, ground.shares().sports().get(0))) {
                LocalDate day = piece.day();
                boolean taken = fixed.stream().anyMatch(f -> f.date().equals(day) && f.load() > 0 && !f.race());
                if (!block.contains(day) || day.isBefore(ground.from()) || taken) continue;
                races.add(new Slotted(sketch(piece), null, 100));
            }
        return races;
    }

    private static Sketch sketch(RaceDays.Piece piece) {
        return new Sketch(
                piece.day(),
                piece.startMinute(),
                piece.title(),
                piece.sport(),
                Purpose.RACE,
                piece.seconds(),
                piece.load());
    }

    private Slotted slotted(Choice choice) {
        DayPlan.Slot slot = choice.slot();
        Sport sport = slot.sport() == null ? ground.shares().sports().get(0) : slot.sport();
        Purpose purpose = slot.kind() == DayPlan.Kind.PLAIN
                ? choice.variant().map(Filling.Variant::purpose).orElse(slot.purpose())
                : slot.purpose();
        Sketch sketch = new Sketch(
                slot.date(), slot.startMinute(), Shown.titled(slot.purpose()), sport, purpose, choice.seconds());
        if (choice.candidate().isEmpty()) return new Slotted(sketch, null, 100);
        Shelved shelved = ground.library().byId().get(choice.candidate().get().id());
        Filling.Variant variant = choice.variant().orElseThrow();
        boolean whole = variant.workout().equals(shelved.workout());
        String title = whole
                ? shelved.title()
                : AdaptedTitle.of(variant.workout(), choice.candidate().get().kind(), purpose, variant.seconds());
        Chosen chosen = whole
                ? new Chosen(title, variant.workout(), shelved.id(), shelved.version())
                : new Chosen(title, variant.workout(), null, null);
        return new Slotted(sketch, chosen, 100);
    }
}
