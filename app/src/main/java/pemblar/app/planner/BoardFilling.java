package pemblar.app.planner;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Shown;
import pemblar.app.frame.Viewer;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.ScheduleService.Chosen;
import pemblar.app.session.SessionService;
import pemblar.app.session.SketchService;
import pemblar.app.session.SketchService.Sketch;
import pemblar.app.session.SketchService.Slotted;
import pemblar.app.session.Slab;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.schedule.DayPlan;
import pemblar.core.schedule.DayPlan.Day;
import pemblar.core.schedule.DayPlan.Fixed;
import pemblar.core.schedule.Filling;
import pemblar.core.schedule.Filling.Candidate;
import pemblar.core.schedule.Filling.Choice;
import pemblar.core.schedule.Purpose;
import pemblar.core.season.Block;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Forecast;
import pemblar.core.zone.Zones;

/**
 * Fills blocks with sessions: the core says which session on which day, the library which workout. What was put by hand
 * or is done stays.
 */
@Service
public class BoardFilling {
    private static final int EVENING = 17 * 60 + 30;
    private static final int MORNING = 9 * 60;
    private static final int NOON = 720;
    private static final int DAYS_AROUND = 3;
    private static final int SHORTEST_MINUTES = 30;
    private final SessionService sessions;
    private final SketchService sketches;
    private final WorkoutService workouts;
    private final ThresholdService thresholds;
    private final DemandService demands;

    BoardFilling(
            SessionService sessions,
            SketchService sketches,
            WorkoutService workouts,
            ThresholdService thresholds,
            DemandService demands) {
        this.sessions = sessions;
        this.sketches = sketches;
        this.workouts = workouts;
        this.thresholds = thresholds;
        this.demands = demands;
    }

    /** A block with the sessions it would get. */
    public record Filled(Block block, List<Slotted> sessions, double load) {}

    /** What the blocks from a day on would be filled with; blocks without a target stay empty. */
    @Transactional(readOnly = true)
    public List<Filled> proposed(Athlete athlete, Viewer viewer, Held held, LocalDate from) {
        List<Block> blocks = held.blocks().stream()
                .filter(b -> !b.last().isBefore(from) && b.targetLoad() > 0)
                .toList();
        if (blocks.isEmpty()) return List.of();
        Library library = library(athlete, viewer, held, from);
        Filling filling = new Filling(library.candidates());
        List<Fixed> fixed =
                fixed(athlete, held, from, blocks.get(blocks.size() - 1).last());
        Map<Long, List<Purpose>> lean = demands.leaning(athlete, held, from);
        List<Filled> all = new ArrayList<>();
        for (Block block : blocks) all.add(fill(block, held, from, fixed, filling, library, lean(block, held, lean)));
        return all;
    }

    /** Puts them on the board as one step. @return how many sessions */
    @Transactional
    public int put(Athlete athlete, Viewer viewer, Held held, LocalDate from) {
        List<Filled> filled = proposed(athlete, viewer, held, from);
        List<Slotted> all = new ArrayList<>(
                filled.stream().flatMap(f -> f.sessions().stream()).toList());
        if (filled.isEmpty()) return 0;
        LocalDate last = filled.get(filled.size() - 1).block().last();
        return sketches.place(athlete.id(), viewer, from, last, all, "Put " + all.size() + " sessions on the board.");
    }

    /** Build and peak lean to what the next event asks for and is missing. */
    private static List<Purpose> lean(Block block, Held held, Map<Long, List<Purpose>> lean) {
        if (block.phase() != Block.Phase.BUILD && block.phase() != Block.Phase.PEAK) return List.of();
        return held.events().stream()
                .filter(e -> !e.day().isBefore(block.first()) && lean.containsKey(e.id()))
                .findFirst()
                .map(e -> lean.get(e.id()))
                .orElse(List.of());
    }

    private Filled fill(
            Block block,
            Held held,
            LocalDate from,
            List<Fixed> fixed,
            Filling filling,
            Library library,
            List<Purpose> lean) {
        List<Day> days = new ArrayList<>();
        for (LocalDate day = block.first(); !day.isAfter(block.last()); day = day.plusDays(1))
            days.add(day(day, held, from));
        List<DayPlan.Slot> slots = DayPlan.of(
                days,
                fixed,
                new DayPlan.Wish(
                        block.phase(),
                        block.easy(),
                        block.targetLoad(),
                        held.settings().longDay(),
                        held.settings().stacked(),
                        lean));
        double kept = fixed.stream()
                .filter(f -> block.contains(f.date()))
                .mapToDouble(Fixed::load)
                .sum();
        List<Choice> choices = filling.fill(slots, block.targetLoad() - kept);
        List<Slotted> sessions =
                new ArrayList<>(choices.stream().map(c -> slotted(c, library)).toList());
        for (SeasonEvent event : held.events())
            if (block.contains(event.day())
                    && !event.day().isBefore(from)
                    && fixed.stream().noneMatch(f -> f.date().equals(event.day()) && f.load() > 0 && !f.race()))
                race(event, library.sport()).ifPresent(sessions::add);
        for (Choice choice : choices)
            if (choice.slot().purpose().isHard())
                fixed.add(new Fixed(
                        choice.slot().date(),
                        choice.slot().startMinute(),
                        choice.slot().seconds(),
                        choice.load(),
                        true,
                        false));
        return new Filled(
                block,
                sessions,
                kept + choices.stream().mapToDouble(Choice::load).sum());
    }

    private static Optional<Slotted> race(SeasonEvent event, Sport sport) {
        if (event.seconds() == null) return Optional.empty();
        Sport of = event.sport().isNamed() ? event.sport() : sport;
        return Optional.of(new Slotted(
                new Sketch(event.day(), MORNING, event.name(), of, Purpose.RACE, event.seconds()), null, 100));
    }

    private static Day day(LocalDate date, Held held, LocalDate from) {
        boolean gone = date.isBefore(from)
                || held.marked().stream()
                        .anyMatch(m -> m.unavailable() && m.day().equals(date))
                || held.events().stream().anyMatch(e -> e.day().equals(date) && e.seconds() != null);
        SeasonSettings settings = held.settings();
        double usual = settings.dayMinutes().get(date.getDayOfWeek().getValue() - 1);
        double share = settings.weeklyHours() <= 0
                ? 0
                : Math.min(1, settings.hours(held.away()).on(date) * 7 / settings.weeklyHours());
        int minutes = (int) (usual * share / 5) * 5;
        return new Day(
                date,
                gone || minutes < SHORTEST_MINUTES ? 0 : minutes,
                date.getDayOfWeek().getValue() >= DayOfWeek.SATURDAY.getValue() ? MORNING : EVENING);
    }

    /** Sessions that stay, those of the days before too, and the events. */
    private List<Fixed> fixed(Athlete athlete, Held held, LocalDate from, LocalDate to) {
        Set<LocalDate> races = held.events().stream().map(SeasonEvent::day).collect(Collectors.toSet());
        List<Fixed> fixed = new ArrayList<>();
        for (Slab slab : sessions.between(athlete, from.minusDays(DAYS_AROUND), to)) {
            if (slab.placed() && slab.done() == null && !slab.day().isBefore(from)) continue;
            double load = slab.done() != null && slab.done().load() != null
                    ? slab.done().load()
                    : slab.plannedLoad() == null ? 0 : slab.plannedLoad();
            boolean missed = slab.done() == null && slab.day().isBefore(from);
            if (!missed)
                fixed.add(new Fixed(
                        slab.day(),
                        slab.startMinute() == null ? NOON : slab.startMinute(),
                        slab.longestSeconds(),
                        load,
                        slab.hard(),
                        races.contains(slab.day()) && slab.hard(),
                        slab.heavyLegs()));
        }
        for (SeasonEvent event : held.events())
            if (event.seconds() != null
                    && fixed.stream().noneMatch(f -> f.date().equals(event.day())))
                fixed.add(new Fixed(
                        event.day(), MORNING, event.seconds(), Purpose.RACE.load(event.seconds()), true, true));
        return fixed;
    }

    /** Workouts that suit the athlete's sport, with what each takes. */
    private record Library(List<Candidate> candidates, Map<Long, Shelved> byId, Sport sport) {}

    /** The sport of the next event when the athlete trains it, else the first. */
    private static Sport sport(Athlete athlete, Held held, LocalDate day) {
        return held.events().stream()
                .filter(e -> !e.day().isBefore(day))
                .min(Comparator.comparing(SeasonEvent::priority).thenComparing(SeasonEvent::day))
                .map(SeasonEvent::sport)
                .filter(athlete::trains)
                .orElse(athlete.first());
    }

    private Library library(Athlete athlete, Viewer viewer, Held held, LocalDate day) {
        Sport sport = sport(athlete, held, day);
        Zones zones = thresholds.zonesOf(athlete).on(day);
        List<Candidate> candidates = new ArrayList<>();
        List<Shelved> all = workouts.library(viewer).stream()
                .filter(w -> w.workout().sport() == sport
                        && !w.folder().equals("Tests")
                        && !w.folder().equals("Pre-race")
                        && !w.tags().contains("test"))
                .toList();
        for (Shelved shelved : all) {
            try {
                Forecast forecast = Forecast.of(shelved.workout(), zones);
                if (forecast.load().isPresent()
                                && forecast.intensity().isPresent()
                                && forecast.remarks().isEmpty()
                        || forecast.load().isPresent() && sport.onWheels())
                    candidates.add(new Candidate(
                            shelved.id(),
                            Purpose.of(forecast, sport),
                            forecast.seconds(),
                            forecast.load().getAsDouble()));
            } catch (IllegalArgumentException e) {
                continue; // a threshold that this workout needs is missing: others will do
            }
        }
        return new Library(candidates, all.stream().collect(Collectors.toMap(Shelved::id, s -> s)), sport);
    }

    private static Slotted slotted(Choice choice, Library library) {
        DayPlan.Slot slot = choice.slot();
        Sketch sketch = new Sketch(
                slot.date(),
                slot.startMinute(),
                Shown.titled(slot.purpose()),
                library.sport(),
                slot.purpose(),
                slot.seconds());
        return choice.candidate()
                .map(c -> library.byId().get(c.id()))
                .map(w -> new Slotted(
                        sketch, new Chosen(w.title(), w.workout(), w.id(), w.version()), choice.scalePercent()))
                .orElse(new Slotted(sketch, null, 100));
    }
}
