package pemblar.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import pemblar.app.athlete.Athlete;
import pemblar.app.season.PlanService;
import pemblar.app.session.SessionService;
import pemblar.app.session.Slab;
import pemblar.app.session.SlabDrawing;
import pemblar.core.schedule.RollingLoad;
import pemblar.core.schedule.RollingLoad.Spell;
import pemblar.core.season.Block;

/** Builds the board: a row for each block that touches the days asked for. */
@Service
public class BoardService {
    private static final double TAPE_WIDTH = 1000;
    private static final double TAPE_FLOOR = 32;
    private static final double TAPE_HEIGHT = 26;
    private static final double TAPE_FULL_LOAD = 320;
    private static final int TAPE_STEP_HOURS = 2;
    private final SessionService sessions;
    private final PlanService plan;

    BoardService(SessionService sessions, PlanService plan) {
        this.sessions = sessions;
        this.plan = plan;
    }

    public List<BoardRow> rows(Athlete athlete, LocalDate from, LocalDate to, LocalDate today) {
        List<Block> blocks = plan.covering(athlete, from, to);
        LocalDate first = blocks.get(0).first();
        LocalDate last = blocks.get(blocks.size() - 1).last();
        List<Slab> slabs = sessions.between(athlete, first.minusDays(2), last);
        int longest = slabs.stream().mapToInt(Slab::longestSeconds).max().orElse(3600);
        List<Spell> spells = slabs.stream().flatMap(slab -> spell(slab, athlete).stream()).toList();
        return blocks.stream().map(block -> row(block, slabs, spells, longest, athlete, today)).toList();
    }

    private BoardRow row(Block block, List<Slab> slabs, List<Spell> spells, int longest, Athlete athlete, LocalDate today) {
        List<Slab> inside = slabs.stream().filter(s -> block.contains(s.day())).toList();
        List<BoardRow.Day> days = new ArrayList<>();
        for (LocalDate day = block.first(); !day.isAfter(block.last()); day = day.plusDays(1)) {
            LocalDate date = day;
            days.add(new BoardRow.Day(date, date.equals(today), date.isBefore(today),
                inside.stream().filter(s -> s.day().equals(date)).map(s -> view(s, longest)).toList()));
        }
        return new BoardRow(block, days, totals(block, inside), tape(block, inside, spells, athlete));
    }

    private static BoardRow.SlabView view(Slab slab, int longest) {
        return new BoardRow.SlabView(slab, SlabDrawing.planned(slab, longest), SlabDrawing.done(slab, longest));
    }

    private static BoardRow.Totals totals(Block block, List<Slab> slabs) {
        double plannedSeconds = slabs.stream().mapToDouble(s -> s.plannedSeconds() == null ? 0 : s.plannedSeconds()).sum();
        double doneSeconds = slabs.stream().mapToDouble(s -> s.done() == null ? 0 : s.done().seconds()).sum();
        double plannedLoad = slabs.stream().mapToDouble(s -> s.plannedLoad() == null ? 0 : s.plannedLoad()).sum();
        double doneLoad = slabs.stream().mapToDouble(s -> s.done() == null || s.done().load() == null ? 0 : s.done().load()).sum();
        double mostSeconds = Math.max(1, Math.max(block.targetSeconds(), Math.max(plannedSeconds, doneSeconds)));
        double mostLoad = Math.max(1, Math.max(block.targetLoad(), Math.max(plannedLoad, doneLoad)));
        return new BoardRow.Totals(plannedSeconds, doneSeconds, plannedLoad, doneLoad, 100 * plannedSeconds / mostSeconds, 100 * doneSeconds / mostSeconds,
            100 * plannedLoad / mostLoad, 100 * doneLoad / mostLoad, (int) slabs.stream().filter(s -> s.done() != null).count());
    }

    /** When a session took or will take place; nothing for a planned one without a clock time. */
    private static java.util.Optional<Spell> spell(Slab slab, Athlete athlete) {
        if (slab.done() != null) {
            if (slab.done().load() == null || !slab.done().endedAt().isAfter(slab.done().startedAt())) return java.util.Optional.empty();
            return java.util.Optional.of(new Spell(slab.done().startedAt(), slab.done().endedAt(), slab.done().load()));
        }
        if (slab.startMinute() == null || slab.plannedSeconds() == null || slab.plannedLoad() == null || slab.plannedSeconds() == 0) return java.util.Optional.empty();
        Instant start = slab.day().atStartOfDay(athlete.zone()).plusMinutes(slab.startMinute()).toInstant();
        return java.util.Optional.of(new Spell(start, start.plusSeconds(slab.plannedSeconds()), slab.plannedLoad()));
    }

    private static BoardRow.Tape tape(Block block, List<Slab> slabs, List<Spell> spells, Athlete athlete) {
        Instant start = block.first().atStartOfDay(athlete.zone()).toInstant();
        double hours = block.days() * 24.0;
        List<BoardRow.Bar> bars = new ArrayList<>();
        for (Slab slab : slabs) spell(slab, athlete).ifPresent(s -> bars.add(new BoardRow.Bar(TAPE_WIDTH * hoursBetween(start, s.start()) / hours,
            Math.max(2, TAPE_WIDTH * hoursBetween(s.start(), s.end()) / hours), slab.done() != null)));
        double peak = 0;
        double peakHour = 0;
        StringBuilder line24 = new StringBuilder();
        StringBuilder line48 = new StringBuilder();
        for (int hour = 0; hour <= hours; hour += TAPE_STEP_HOURS) {
            Instant now = start.plus(Duration.ofHours(hour));
            double load24 = RollingLoad.at(spells, now, 24);
            point(line24, hour / hours, load24);
            point(line48, hour / hours, RollingLoad.at(spells, now, 48));
            if (load24 > peak + 1e-6) {
                peak = load24;
                peakHour = hour;
            }
        }
        return new BoardRow.Tape(bars, line24.toString(), line48.toString(), peak, Math.round(peak) + " in 24 h", Math.min(920, TAPE_WIDTH * peakHour / hours));
    }

    private static double hoursBetween(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / 3600.0;
    }

    private static void point(StringBuilder path, double share, double load) {
        path.append(String.format(Locale.ROOT, "%s%.1f %.1f", path.isEmpty() ? "M" : "L", TAPE_WIDTH * share, TAPE_FLOOR - TAPE_HEIGHT * Math.min(1, load / TAPE_FULL_LOAD)));
    }
}
