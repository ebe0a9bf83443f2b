package pemblar.app.planner;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.planner.demand.DemandService;
import pemblar.app.season.EventPart;
import pemblar.app.season.Held;
import pemblar.app.season.KeptApart;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.Slab;
import pemblar.app.session.change.SketchService;
import pemblar.app.session.change.SketchService.Existing;
import pemblar.app.session.change.SketchService.Slotted;
import pemblar.app.session.change.SketchService.Stretch;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.WorkoutService;
import pemblar.core.schedule.DayPlan.Fixed;
import pemblar.core.schedule.SportShares;
import pemblar.core.season.Block;
import pemblar.core.sport.Sport;

/**
 * Fills blocks with sessions of the library. What is done stays; what was put by hand stays, gives way, or is kept
 * alone, as is said for each block.
 */
@Service
public class BoardFilling {
    private static final int NOON = 720;
    private static final int DAYS_AROUND = 3;
    private static final int LEAST_SHARE = 16;
    private final SessionService sessions;
    private final SketchService sketches;
    private final WorkoutService workouts;
    private final ThresholdService thresholds;
    private final DemandService demands;
    private final KeptApart apart;

    BoardFilling(
            SessionService sessions,
            SketchService sketches,
            WorkoutService workouts,
            ThresholdService thresholds,
            DemandService demands,
            KeptApart apart) {
        this.apart = apart;
        this.sessions = sessions;
        this.sketches = sketches;
        this.workouts = workouts;
        this.thresholds = thresholds;
        this.demands = demands;
    }

    /**
     * A block with the sessions it would get.
     *
     * @param load of them and of what stays; {@code seconds} likewise
     * @param there how many sessions stand in it already that were put by hand and are not done
     */
    public record Filled(Block block, List<Slotted> sessions, double load, int seconds, int there, Existing existing) {
        private static final double CLOSE = 0.05;

        /** What is said where load or hours of the sessions are more than 5 % from those of the block. */
        public String difference() {
            if (existing == Existing.KEEP) return ": what stands here stays, and nothing is added";
            double load = this.load / block.targetLoad() - 1;
            double hours = block.targetSeconds() > 0 ? (double) seconds / block.targetSeconds() - 1 : 0;
            if (Math.abs(load) <= CLOSE && Math.abs(hours) <= CLOSE) return "";
            if (load < -CLOSE) return ": " + percent(load) + " of the load is left out";
            if (load > CLOSE) return ": together that is " + percent(load) + " over the block’s load";
            return ": the load is met, in " + percent(hours) + (hours < 0 ? " less time" : " more time");
        }

        private static String percent(double share) {
            return Math.round(100 * Math.abs(share)) + " %";
        }
    }

    /** What is to become of sessions that blocks hold already, by their first day; else they are filled around. */
    public record Wanted(Held held, LocalDate from, Map<LocalDate, Existing> existing) {
        Existing of(Block block) {
            return existing.getOrDefault(block.first(), Existing.AROUND);
        }
    }

    /** What the blocks from a day on would be filled with; blocks without a target stay empty. */
    @Transactional(readOnly = true)
    public List<Filled> proposed(Athlete athlete, Viewer viewer, Wanted wanted) {
        Held held = wanted.held();
        LocalDate from = wanted.from();
        List<Block> blocks = held.blocks().stream()
                .filter(b -> !b.last().isBefore(from) && b.targetLoad() > 0)
                .toList();
        if (blocks.isEmpty()) return List.of();
        List<Slab> slabs = sessions.between(
                athlete,
                from.minusDays(DAYS_AROUND),
                blocks.get(blocks.size() - 1).last());
        SportShares shares = shares(athlete, held, from);
        BlockFilling filling = new BlockFilling(new BlockFilling.Ground(
                held,
                from,
                fixed(slabs, wanted, blocks),
                FillingLibrary.of(
                        workouts.library(viewer),
                        shares.sports(),
                        thresholds.zonesOf(athlete).on(from)),
                shares,
                demands.leaning(athlete, held, from),
                apart.hoursBetweenHard(athlete)));
        List<Filled> all = new ArrayList<>();
        for (Block block : blocks) all.add(filled(block, wanted, slabs, filling));
        return all;
    }

    private static Filled filled(Block block, Wanted wanted, List<Slab> slabs, BlockFilling filling) {
        List<Slab> open = slabs.stream()
                .filter(s ->
                        block.contains(s.day()) && s.done() == null && !s.day().isBefore(wanted.from()))
                .toList();
        int there = (int) open.stream().filter(s -> !s.placed()).count();
        Existing existing = wanted.of(block);
        if (existing == Existing.KEEP)
            return new Filled(
                    block,
                    List.of(),
                    slabs.stream()
                            .filter(s -> block.contains(s.day()))
                            .mapToDouble(BoardFilling::load)
                            .sum(),
                    slabs.stream()
                            .filter(s -> block.contains(s.day()))
                            .mapToInt(Slab::longestSeconds)
                            .sum(),
                    there,
                    existing);
        BlockFilling.Filled filled = filling.fill(block);
        return new Filled(block, filled.sessions(), filled.load(), filled.seconds(), there, existing);
    }

    /** Puts them on the board as one step. @return how many sessions */
    @Transactional
    public int put(Athlete athlete, Viewer viewer, Wanted wanted) {
        List<Filled> filled = proposed(athlete, viewer, wanted);
        List<Slotted> all = new ArrayList<>(
                filled.stream().flatMap(f -> f.sessions().stream()).toList());
        if (filled.isEmpty()) return 0;
        List<Stretch> stretches = filled.stream()
                .map(f -> new Stretch(
                        later(f.block().first(), wanted.from()), f.block().last(), f.existing()))
                .toList();
        return sketches.place(
                new Visit(athlete.id(), viewer), stretches, all, "Put " + all.size() + " sessions on the board.");
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    /** As they were chosen; else all is of the sports of the next event, or of the first. */
    static SportShares shares(Athlete athlete, Held held, LocalDate day) {
        Map<Sport, Integer> chosen = held.settings().shares();
        return chosen.values().stream().anyMatch(share -> share > 0)
                ? new SportShares(chosen)
                : next(held, day).map(event -> shares(athlete, event)).orElse(SportShares.of(athlete.first()));
    }

    private static Optional<SeasonEvent> next(Held held, LocalDate day) {
        return held.events().stream()
                .filter(e -> !e.day().isBefore(day))
                .min(Comparator.comparing(SeasonEvent::priority).thenComparing(SeasonEvent::day));
    }

    /** By the time of each sport in it, none less than a sixth; the athlete's first when none of them is trained. */
    private static SportShares shares(Athlete athlete, SeasonEvent event) {
        List<Sport> trained = event.sports().stream().filter(athlete::trains).toList();
        if (trained.isEmpty()) return SportShares.of(athlete.first());
        Map<Sport, Integer> shares = new EnumMap<>(Sport.class);
        double all = event.parts().stream().mapToDouble(BoardFilling::seconds).sum();
        for (Sport sport : trained) {
            double own = event.parts().stream()
                    .filter(p -> p.sport() == sport)
                    .mapToDouble(BoardFilling::seconds)
                    .sum();
            shares.put(sport, (int) Math.max(LEAST_SHARE, all > 0 ? Math.round(100 * own / all) : LEAST_SHARE));
        }
        return new SportShares(shares);
    }

    private static double seconds(EventPart part) {
        return part.seconds() == null ? 0 : part.seconds();
    }

    private static double load(Slab slab) {
        if (slab.done() != null && slab.done().load() != null)
            return slab.done().load();
        return slab.plannedLoad() == null ? 0 : slab.plannedLoad();
    }

    /** Sessions that stay, those of the days before too, and the events. */
    private static List<Fixed> fixed(List<Slab> slabs, Wanted wanted, List<Block> blocks) {
        List<SeasonEvent> events = wanted.held().events();
        List<Fixed> fixed = new ArrayList<>();
        for (Slab slab : slabs) {
            boolean open = slab.done() == null;
            boolean over = slab.day().isBefore(wanted.from());
            if (open && (over || givesWay(slab, wanted, blocks))) continue;
            boolean race = slab.hard() && events.stream().anyMatch(e -> BlockFilling.isOn(e, slab.day()));
            fixed.add(new Fixed(
                    slab.day(),
                    slab.startMinute() == null ? NOON : slab.startMinute(),
                    slab.longestSeconds(),
                    load(slab),
                    slab.hard(),
                    race,
                    slab.heavyLegs()));
        }
        for (SeasonEvent event : events) fixed.addAll(races(event, fixed));
        return fixed;
    }

    private static boolean givesWay(Slab slab, Wanted wanted, List<Block> blocks) {
        Existing existing = blocks.stream()
                .filter(b -> b.contains(slab.day()))
                .findFirst()
                .map(wanted::of)
                .orElse(Existing.AROUND);
        return existing == Existing.REPLACE || existing == Existing.AROUND && slab.placed();
    }

    /** What each day of an event is; nothing of days of which nothing is known, or on which something stands. */
    static List<Fixed> races(SeasonEvent event, List<Fixed> fixed) {
        return RaceDays.of(event, event.sport()).stream()
                .filter(piece -> fixed.stream().noneMatch(f -> f.date().equals(piece.day())))
                .map(piece -> new Fixed(piece.day(), piece.startMinute(), piece.seconds(), piece.load(), true, true))
                .toList();
    }
}
