package pemblar.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pemblar.app.athlete.Athlete;
import pemblar.app.session.Slab;
import pemblar.core.schedule.RollingLoad;
import pemblar.core.schedule.RollingLoad.Spell;
import pemblar.core.season.Block;

/** Draws the clock under a row, in a box of 1000 by 34. */
final class Tapes {
    private static final double WIDTH = 1000;
    private static final double FLOOR = 32;
    private static final double HEIGHT = 26;
    private static final double FULL_LOAD = 320;
    private static final int STEP_HOURS = 2;
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private Tapes() {}

    static BoardRow.Tape of(Block block, List<Slab> slabs, List<Spell> spells, Athlete athlete) {
        Instant start = block.first().atStartOfDay(athlete.zone()).toInstant();
        double hours = block.days() * 24.0;
        double peak = 0;
        double peakHour = 0;
        StringBuilder line24 = new StringBuilder();
        StringBuilder line48 = new StringBuilder();
        for (int hour = 0; hour <= hours; hour += STEP_HOURS) {
            Instant now = start.plus(Duration.ofHours(hour));
            double load24 = RollingLoad.at(spells, now, 24);
            point(line24, hour / hours, load24);
            point(line48, hour / hours, RollingLoad.at(spells, now, 48));
            if (load24 > peak + 1e-6) {
                peak = load24;
                peakHour = hour;
            }
        }
        return new BoardRow.Tape(bars(slabs, start, hours, athlete), line24.toString(), line48.toString(), peak, Math.round(peak) + " in 24 h", Math.min(920, WIDTH * peakHour / hours));
    }

    private static List<BoardRow.Bar> bars(List<Slab> slabs, Instant start, double hours, Athlete athlete) {
        List<BoardRow.Bar> bars = new ArrayList<>();
        for (Slab slab : slabs) {
            Optional<Spell> spell = BoardService.spell(slab, athlete);
            if (spell.isEmpty()) continue;
            double x = WIDTH * hoursBetween(start, spell.get().start()) / hours;
            bars.add(new BoardRow.Bar(x, Math.max(2, WIDTH * hoursBetween(spell.get().start(), spell.get().end()) / hours), slab.done() != null, slab.hard(), slab.done() == null ? slab.id() : 0, slab.version(),
                slab.title() + ", " + weekday(slab.day()) + (slab.startMinute() == null ? "" : String.format(Locale.ROOT, " %02d:%02d", slab.startMinute() / 60, slab.startMinute() % 60))));
        }
        return bars;
    }

    static String weekday(LocalDate day) {
        return WEEKDAY.format(day);
    }

    static String date(LocalDate day) {
        return DATE.format(day);
    }

    private static double hoursBetween(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / 3600.0;
    }

    private static void point(StringBuilder path, double share, double load) {
        path.append(path.isEmpty() ? 'M' : 'L').append(tenths(WIDTH * share)).append(' ').append(tenths(FLOOR - HEIGHT * Math.min(1, load / FULL_LOAD)));
    }

    private static String tenths(double value) {
        long tenths = Math.round(value * 10);
        return tenths / 10 + "." + Math.abs(tenths % 10);
    }
}
