package pemblar.app.progress.range;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import pemblar.core.range.DayRange;
import pemblar.core.range.RangeSummary;
import pemblar.core.range.RangeSummary.Done;
import pemblar.core.range.RangeSummary.Item;
import pemblar.core.range.RangeSummary.Kept;
import pemblar.core.range.RangeSummary.Way;
import pemblar.core.schedule.Purpose;
import pemblar.core.season.Block;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Figures of a range for a spreadsheet: hours, sessions, planned against done, minutes in each zone of one sport. */
final class RangeCsv {
    private static final int ZONES = 7;
    private final List<Item> items;
    private final LocalDate today;
    private final Sport sport;
    private final Measure measure;

    RangeCsv(List<Item> items, LocalDate today, Sport sport, Measure measure) {
        this.items = items;
        this.today = today;
        this.sport = sport;
        this.measure = measure;
    }

    private Way way() {
        return new Way(today, sport, measure);
    }

    /** A row a week; the first and last hold only their days within the range. */
    String weeks(LocalDate from, LocalDate to) {
        Set<Sport> sports = EnumSet.of(sport);
        items.stream().filter(i -> i.doneSeconds() > 0).forEach(i -> sports.add(i.sport()));
        StringBuilder csv = new StringBuilder("week_from,week_to,hours_all,sessions_all");
        for (Sport s : sports) csv.append(",hours_" + s.key() + ",sessions_" + s.key());
        csv.append(",hours_planned,rest_days");
        for (int z = 1; z <= ZONES; z++) csv.append(",z" + z + "_min");
        csv.append('\n');
        for (LocalDate week = RangeDrawing.weekOf(from); !week.isAfter(to); week = week.plusWeeks(1)) {
            LocalDate first = week.isBefore(from) ? from : week;
            LocalDate last = week.plusDays(6).isAfter(to) ? to : week.plusDays(6);
            csv.append(week(RangeSummary.of(items, new DayRange(first, last), way()), sports));
        }
        return csv.toString();
    }

    private static String week(RangeSummary sum, Set<Sport> sports) {
        int sessions = sum.bySport().values().stream().mapToInt(Done::sessions).sum();
        StringBuilder row = new StringBuilder(sum.from() + "," + sum.to());
        row.append(done(new Done(sum.doneSeconds(), sessions)));
        for (Sport s : sports) row.append(done(sum.bySport().getOrDefault(s, new Done(0, 0))));
        row.append(hours(sum.plannedSeconds())).append(',').append(sum.restDays());
        for (int z = 0; z < ZONES; z++) {
            long seconds = z < sum.zoneSeconds().size() ? sum.zoneSeconds().get(z) : 0;
            row.append(String.format(Locale.ROOT, ",%.1f", seconds / 60.0));
        }
        return row.append('\n').toString();
    }

    private static String done(Done done) {
        return hours(done.seconds()) + "," + done.sessions();
    }

    private static String hours(long seconds) {
        return String.format(Locale.ROOT, ",%.2f", seconds / 3600.0);
    }

    /** A row for each block and kind of session: what was planned and is over, and what of it was done. */
    String blocks(List<Block> blocks) {
        StringBuilder csv = new StringBuilder(
                "block_from,block_to,phase,kind,sessions_planned,sessions_done,hours_planned,hours_done\n");
        for (Block block : blocks) {
            RangeSummary sum = RangeSummary.of(items, new DayRange(block.first(), block.last()), way());
            csv.append(block(block, "all", sum.allKept()));
            for (Purpose purpose : sum.kept().keySet())
                csv.append(block(
                        block,
                        purpose.name().toLowerCase(Locale.ROOT),
                        sum.kept().get(purpose)));
        }
        return csv.toString();
    }

    private static String block(Block block, String kind, Kept kept) {
        return block.first() + "," + block.last() + ","
                + block.phase().name().toLowerCase(Locale.ROOT) + "," + kind + "," + kept.planned() + ","
                + kept.done() + hours(kept.plannedSeconds()) + hours(kept.doneSeconds()) + "\n";
    }
}
