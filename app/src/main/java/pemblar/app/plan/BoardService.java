package pemblar.app.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Shown;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.season.KeptApart;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonSettings.Marked;
import pemblar.app.session.Slab;
import pemblar.app.session.done.StartStore;
import pemblar.app.session.reading.SessionService;
import pemblar.app.session.reading.SlabDrawing;
import pemblar.core.schedule.Rescheduling;
import pemblar.core.schedule.RollingLoad;
import pemblar.core.schedule.RollingLoad.Spell;
import pemblar.core.schedule.Spacing;
import pemblar.core.schedule.UsualStart;
import pemblar.core.season.Block;

/** Builds the board: a row for each block that touches the days asked for. */
@Service
public class BoardService {
    private static final int DAYS_AROUND = 14;
    private static final int WEEK_HOURS = 168;
    private static final int NOON = 720;
    private final SessionService sessions;
    private final PlanService plan;
    private final StartStore starts;
    private final KeptApart apart;

    BoardService(SessionService sessions, PlanService plan, StartStore starts, KeptApart apart) {
        this.apart = apart;
        this.starts = starts;
        this.sessions = sessions;
        this.plan = plan;
    }

    /** The board's rows, and the sessions that lie on unavailable days. */
    public record Board(List<BoardRow> rows, List<BoardRow.Displaced> displaced) {}

    public Board board(Athlete athlete, LocalDate from, LocalDate to, LocalDate today) {
        List<Block> planned = plan.blocks(athlete);
        List<Block> blocks = PlanService.cover(planned, from, to);
        LocalDate first = blocks.get(0).first();
        LocalDate last = blocks.get(blocks.size() - 1).last();
        Around around = new Around(
                athlete,
                today,
                sessions.between(athlete, first.minusDays(DAYS_AROUND), last.plusDays(DAYS_AROUND)),
                marks(athlete),
                new Clock(starts.of(athlete, today), apart.hoursBetweenHard(athlete)));
        int longest = around.slabs.stream()
                .filter(s -> !s.day().isBefore(first) && !s.day().isAfter(last))
                .mapToInt(Slab::longestSeconds)
                .max()
                .orElse(3600);
        List<BoardRow> rows = blocks.stream()
                .map(block -> row(block, planned.contains(block), around, longest))
                .toList();
        return new Board(rows, displaced(around, first, last));
    }

    /** The block of a day, and the sessions of the days that follow it. */
    public record Present(BoardRow row, List<Slab> next) {}

    /**
     * The block of today with its days and totals alone: no tape, gaps and rolling loads, for a page that does not show
     * them and is opened every morning.
     */
    public Present present(Athlete athlete, LocalDate today, int daysAfter) {
        List<Block> planned = plan.blocks(athlete);
        Block block = PlanService.cover(planned, today, today).stream()
                .filter(b -> b.contains(today))
                .findFirst()
                .orElseThrow();
        LocalDate until = today.plusDays(daysAfter);
        List<Slab> slabs = sessions.between(athlete, block.first(), block.last().isAfter(until) ? block.last() : until);
        Map<LocalDate, List<Slab>> byDay = slabs.stream().collect(Collectors.groupingBy(Slab::day));
        List<Slab> inside = slabs.stream().filter(s -> block.contains(s.day())).toList();
        int longest = inside.stream().mapToInt(Slab::longestSeconds).max().orElse(3600);
        Map<LocalDate, Marked> marks = marks(athlete);
        List<BoardRow.Day> days = block.first()
                .datesUntil(block.last().plusDays(1))
                .map(day -> day(new Looked(day, today, marks.get(day), byDay.getOrDefault(day, List.of())), longest, 0))
                .toList();
        BoardRow row = new BoardRow(
                block,
                planned.contains(block),
                days,
                totals(block, counted(inside, today), day -> isOff(marks.get(day)), today),
                null,
                List.of(),
                null);
        List<Slab> next = slabs.stream()
                .filter(s -> s.day().isAfter(today) && !s.day().isAfter(until))
                .toList();
        return new Present(row, next);
    }

    private static List<Slab> counted(List<Slab> inside, LocalDate today) {
        return inside.stream()
                .filter(s -> !s.draft() || !s.day().isBefore(today))
                .toList();
    }

    private Map<LocalDate, Marked> marks(Athlete athlete) {
        Map<LocalDate, Marked> marks = new HashMap<>();
        plan.marked(athlete).forEach(m -> marks.put(m.day(), m));
        return marks;
    }

    /** When somebody usually starts, and how far apart hard sessions are kept. */
    private record Clock(UsualStart usual, double hoursBetweenHard) {}

    /** What lies around the rows, looked up once for all of them. */
    private static final class Around {
        private final Athlete athlete;
        private final LocalDate today;
        private final List<Slab> slabs;
        private final Map<LocalDate, List<Slab>> byDay;
        private final Map<LocalDate, Marked> marks;
        private final List<Spell> spells;
        /** Hard sessions that count, by when they are. */
        private final Map<Spacing.Span, Slab> hard = new HashMap<>();

        private final Set<LocalDate> training;
        private final UsualStart usual;
        private final double hoursBetweenHard;

        Around(Athlete athlete, LocalDate today, List<Slab> slabs, Map<LocalDate, Marked> marks, Clock clock) {
            this.usual = clock.usual();
            this.hoursBetweenHard = clock.hoursBetweenHard();
            this.athlete = athlete;
            this.today = today;
            this.slabs = slabs;
            this.byDay = slabs.stream().collect(Collectors.groupingBy(Slab::day));
            this.marks = marks;
            this.spells = slabs.stream()
                    .filter(this::counts)
                    .flatMap(slab -> spell(slab, athlete, usual).stream())
                    .toList();
            for (Slab slab : slabs) if (slab.hard() && counts(slab)) hard.put(span(slab), slab);
            this.training = slabs.stream().filter(this::counts).map(Slab::day).collect(Collectors.toSet());
        }

        /** When a session is, in hours since the epoch; at noon when nothing is known of it. */
        Spacing.Span span(Slab slab) {
            return spell(slab, athlete, usual)
                    .map(s -> new Spacing.Span(hours(s.start()), hours(s.end())))
                    .orElseGet(() -> {
                        int minute = slab.startMinute() == null ? NOON : slab.startMinute();
                        double at = hours(athlete.at(slab.day(), minute));
                        return new Spacing.Span(at, at + slab.longestSeconds() / 3600.0);
                    });
        }

        /** Hours after midnight by the wall clock. */
        double clockHour(Slab slab) {
            return (slab.startMinute() == null ? usual.on(slab.day(), slab.sport()) : slab.startMinute()) / 60.0;
        }

        /** The same as one goes on counting from day to day, whatever the clocks do. */
        Spacing.Span onTheWall(Slab slab) {
            double at = slab.day().toEpochDay() * 24.0 + clockHour(slab);
            return new Spacing.Span(at, at + slab.longestSeconds() / 3600.0);
        }

        private static double hours(Instant at) {
            return at.getEpochSecond() / 3600.0;
        }

        /** Only what was done counts on days that are over, and on days that are marked unavailable. */
        boolean counts(Slab slab) {
            return slab.done() != null
                    || slab.hasPlan() && !slab.day().isBefore(today) && !isOff(marks.get(slab.day()));
        }
    }

    private static BoardRow row(Block block, boolean planned, Around around, int longest) {
        List<Slab> inside =
                around.slabs.stream().filter(s -> block.contains(s.day())).toList();
        List<BoardRow.Day> days = new ArrayList<>();
        for (LocalDate day = block.first(); !day.isAfter(block.last()); day = day.plusDays(1))
            days.add(day(
                    new Looked(day, around.today, around.marks.get(day), around.byDay.getOrDefault(day, List.of())),
                    longest,
                    RollingLoad.at(around.spells, around.athlete.at(day, 1440), WEEK_HOURS)));
        return new BoardRow(
                block,
                planned,
                days,
                totals(block, counted(inside, around.today), day -> isOff(around.marks.get(day)), around.today),
                Tapes.of(block, inside, around.spells, around.athlete, around.usual),
                gaps(block, around),
                run(block, around));
    }

    /** A day as it is looked up. @param mark null without one */
    private record Looked(LocalDate date, LocalDate today, Marked mark, List<Slab> slabs) {}

    /** @param longest seconds of the longest session that stands beside it @param week load of the seven days */
    private static BoardRow.Day day(Looked day, int longest, double week) {
        Marked mark = day.mark();
        return new BoardRow.Day(
                day.date(),
                day.date().equals(day.today()),
                day.date().isBefore(day.today()),
                mark != null && mark.unavailable(),
                mark == null ? "" : mark.note(),
                day.slabs().stream()
                        .map(s ->
                                new BoardRow.SlabView(s, SlabDrawing.planned(s, longest), SlabDrawing.done(s, longest)))
                        .toList(),
                week);
    }

    private static boolean isOff(Marked mark) {
        return mark != null && mark.unavailable();
    }

    private static BoardRow.Totals totals(Block block, List<Slab> slabs, Predicate<LocalDate> off, LocalDate today) {
        double plannedSeconds = slabs.stream()
                .filter(Slab::hasPlan)
                .mapToDouble(s -> s.plannedSeconds() == null ? 0 : s.plannedSeconds())
                .sum();
        double doneSeconds = slabs.stream()
                .mapToDouble(s -> s.done() == null ? 0 : s.done().seconds())
                .sum();
        double plannedLoad = slabs.stream().mapToDouble(AgainstTarget::planned).sum();
        double doneLoad = slabs.stream().mapToDouble(AgainstTarget::done).sum();
        double mostSeconds = Math.max(1, Math.max(block.targetSeconds(), Math.max(plannedSeconds, doneSeconds)));
        double mostLoad = Math.max(1, Math.max(block.targetLoad(), Math.max(plannedLoad, doneLoad)));
        return new BoardRow.Totals(
                plannedSeconds,
                doneSeconds,
                plannedLoad,
                doneLoad,
                100 * plannedSeconds / mostSeconds,
                100 * doneSeconds / mostSeconds,
                100 * plannedLoad / mostLoad,
                100 * doneLoad / mostLoad,
                (int) slabs.stream().filter(s -> s.done() != null).count(),
                against(block, slabs, off, today));
    }

    private static String against(Block block, List<Slab> slabs, Predicate<LocalDate> off, LocalDate today) {
        if (block.targetLoad() <= 0) return "";
        List<Slab> ahead = slabs.stream()
                .filter(s -> s.done() == null && !s.day().isBefore(today) && !off.test(s.day()))
                .toList();
        return AgainstTarget.of(block, slabs, ahead, today).words();
    }

    /** No clock time is known. */
    static boolean isUncertain(Slab slab) {
        return slab.startMinute() == null
                && (slab.done() == null || !slab.done().recorded());
    }

    /** When a session took or will take place; one without a start time at the usual one. */
    static Optional<Spell> spell(Slab slab, Athlete athlete, UsualStart usual) {
        if (slab.done() != null && slab.done().recorded()) {
            if (slab.done().load() == null
                    || !slab.done().endedAt().isAfter(slab.done().startedAt())) return Optional.empty();
            return Optional.of(new Spell(
                    slab.done().startedAt(), slab.done().endedAt(), slab.done().load()));
        }
        Integer seconds = slab.done() != null ? (Integer) slab.done().seconds() : slab.plannedSeconds();
        Double load = slab.done() != null ? slab.done().load() : slab.plannedLoad();
        if (seconds == null || load == null || seconds == 0) return Optional.empty();
        Instant start = athlete.at(
                slab.day(), slab.startMinute() == null ? usual.on(slab.day(), slab.sport()) : slab.startMinute());
        return Optional.of(new Spell(start, start.plusSeconds(seconds), load));
    }

    /** Gaps that end in the block. */
    private static List<BoardRow.Gap> gaps(Block block, Around around) {
        Map<Spacing.Span, Slab> hard = around.hard;
        List<BoardRow.Gap> gaps = new ArrayList<>();
        for (Spacing.Gap gap : Spacing.gaps(hard.keySet(), around.hoursBetweenHard)) {
            Slab to = hard.get(gap.to());
            if (!block.contains(to.day())) continue;
            gaps.add(new BoardRow.Gap(
                    Shown.weekday(hard.get(gap.from()).day()) + " to " + Shown.weekday(to.day()) + " "
                            + Math.round(gap.hours()) + " h",
                    gap.near()));
        }
        gaps.addAll(afterLegs(block, around));
        return gaps;
    }

    /** Heavy leg work that ends less than a day before something hard of the block. */
    private static List<BoardRow.Gap> afterLegs(Block block, Around around) {
        List<BoardRow.Gap> gaps = new ArrayList<>();
        for (Slab legs : around.slabs) {
            if (!legs.heavyLegs() || !around.counts(legs)) continue;
            Spacing.Span lifted = around.span(legs);
            around.hard.forEach((at, slab) -> {
                if (block.contains(slab.day())
                        && Spacing.isTooSoonAfterLegs(lifted.start(), lifted.end() - lifted.start(), at.start()))
                    gaps.add(new BoardRow.Gap(
                            "heavy legs on " + dated(legs) + " end "
                                    + Math.max(0, Math.round(at.start() - lifted.end())) + " h before " + dated(slab),
                            true));
            });
        }
        return gaps;
    }

    /** A block may hold two Mondays. */
    private static String dated(Slab slab) {
        return Shown.weekday(slab.day()) + " " + slab.day().getDayOfMonth();
    }

    private static String run(Block block, Around around) {
        return Spacing.longRun(around.training, block.first(), block.last())
                .map(r -> r.days() + " days in a row without a rest day, " + Tapes.date(r.first()) + " to "
                        + Tapes.date(r.last()))
                .orElse(null);
    }

    /** Open sessions on unavailable days, each with other days for it. */
    private static List<BoardRow.Displaced> displaced(Around around, LocalDate first, LocalDate last) {
        Set<LocalDate> gone = around.marks.values().stream()
                .filter(Marked::unavailable)
                .map(Marked::day)
                .collect(Collectors.toSet());
        List<BoardRow.Displaced> all = new ArrayList<>();
        for (Slab slab : around.slabs) {
            if (!gone.contains(slab.day())
                    || slab.done() != null
                    || slab.day().isBefore(around.today)
                    || slab.day().isBefore(first)
                    || slab.day().isAfter(last)) continue;
            List<Rescheduling.Other> others = around.slabs.stream()
                    .filter(s -> s.id() != slab.id() && around.counts(s))
                    .map(s -> new Rescheduling.Other(s.day(), around.onTheWall(s), s.hard(), s.heavyLegs()))
                    .toList();
            all.add(new BoardRow.Displaced(
                    slab,
                    Rescheduling.of(
                            new Rescheduling.Moving(
                                    slab.day(),
                                    around.clockHour(slab),
                                    slab.longestSeconds() / 3600.0,
                                    slab.hard(),
                                    slab.heavyLegs()),
                            others,
                            new Rescheduling.Days(gone, around.today, around.hoursBetweenHard))));
        }
        return all;
    }
}
