package pemblar.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Path;
import pemblar.app.frame.page.Shown;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.session.Slab;
import pemblar.core.schedule.RollingLoad;
import pemblar.core.schedule.RollingLoad.Spell;
import pemblar.core.schedule.UsualStart;
import pemblar.core.season.Block;

/** Draws the clock under a row, in a box of 1000 by 34. */
final class Tapes {
    private static final double WIDTH = 1000;
    private static final double FLOOR = 32;
    private static final double HEIGHT = 26;
    private static final double FULL_LOAD = 320;
    private static final Duration LONGER = Duration.ofHours(48);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private Tapes() {}

    static BoardRow.Tape of(Block block, List<Slab> slabs, List<Spell> all, Athlete athlete, UsualStart usual) {
        Clock clock = new Clock(block.first(), block.days(), athlete);
        List<Spell> spells = near(all, clock);
        double peak = 0;
        double peakPlace = 0;
        for (Instant now : RollingLoad.bends(spells, clock.start(), clock.end(), 24)) {
            double load = RollingLoad.at(spells, now, 24);
            if (load > peak + 1e-6) {
                peak = load;
                peakPlace = clock.place(now);
            }
        }
        return new BoardRow.Tape(
                bars(slabs, clock, athlete, usual),
                line(spells, clock, 24),
                line(spells, clock, 48),
                peak,
                Math.round(peak) + " points in 24 h",
                Math.min(920, peakPlace));
    }

    /** Those that the longer window sees at some time of the row. */
    private static List<Spell> near(List<Spell> spells, Clock clock) {
        Instant from = clock.start().minus(LONGER);
        Instant to = clock.end();
        return spells.stream()
                .filter(s -> s.end().isAfter(from) && s.start().isBefore(to))
                .toList();
    }

    /** Days are equally wide, also those of 23 and 25 hours, so that 17:30 stands where 17:30 stands. */
    private record Clock(LocalDate first, int days, Athlete athlete) {
        Instant start() {
            return athlete.at(first, 0);
        }

        Instant end() {
            return athlete.at(first.plusDays(days), 0);
        }

        double place(Instant at) {
            LocalDate day = athlete.dayOf(at);
            Instant begin = athlete.at(day, 0);
            double share = (double) Duration.between(begin, at).toSeconds()
                    / Duration.between(begin, athlete.at(day.plusDays(1), 0)).toSeconds();
            return WIDTH * (ChronoUnit.DAYS.between(first, day) + share) / days;
        }
    }

    /** Straight between its bends, so that nothing is left out between points. */
    private static String line(List<Spell> spells, Clock clock, int hours) {
        Path line = new Path();
        for (Instant now : RollingLoad.bends(spells, clock.start(), clock.end(), hours))
            line.on(clock.place(now), FLOOR - HEIGHT * Math.min(1, RollingLoad.at(spells, now, hours) / FULL_LOAD));
        return line.toString();
    }

    private static List<BoardRow.Bar> bars(List<Slab> slabs, Clock clock, Athlete athlete, UsualStart usual) {
        List<BoardRow.Bar> bars = new ArrayList<>();
        for (Slab slab : slabs) {
            Optional<Spell> spell = BoardService.spell(slab, athlete, usual);
            if (spell.isEmpty()) continue;
            double x = clock.place(spell.get().start());
            bars.add(new BoardRow.Bar(
                    x,
                    Math.max(2, clock.place(spell.get().end()) - x),
                    slab.done() != null,
                    slab.hard(),
                    BoardService.isUncertain(slab),
                    slab.done() == null ? slab.id() : 0,
                    slab.version(),
                    label(slab)));
        }
        return bars;
    }

    private static String label(Slab slab) {
        String when = BoardService.isUncertain(slab)
                ? ", no start time: drawn at the usual one"
                : slab.startMinute() == null
                        ? ""
                        : String.format(Locale.ROOT, " %02d:%02d", slab.startMinute() / 60, slab.startMinute() % 60);
        return slab.title() + ", " + Shown.weekday(slab.day()) + when;
    }

    static String date(LocalDate day) {
        return DATE.format(day);
    }
}
