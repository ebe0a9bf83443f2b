package pemblar.app.progress.range;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.app.frame.page.Shown;
import pemblar.app.season.SeasonSettings.Away;
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

/** The figures that the drawings of a range show, as tables: by week and by block. */
final class RangeTables {
    private final Shown shown;
    private final LocalDate today;

    RangeTables(Shown shown, LocalDate today) {
        this.shown = shown;
        this.today = today;
    }

    /** Column heads and rows of cells; {@code first} is the head of each row. */
    public record Table(List<String> heads, List<Row> rows) {
        public int size() {
            return rows.size();
        }
    }

    public record Row(String first, List<String> cells) {}

    /** The latest week first; weeks ahead are left to the drawing. */
    Table weeks(List<RangeSummary> weeks, String zonesOf) {
        List<RangeSummary> past =
                weeks.stream().filter(w -> !w.from().isAfter(today)).toList();
        Set<Sport> sports = EnumSet.noneOf(Sport.class);
        past.forEach(w -> sports.addAll(w.bySport().keySet()));
        int zones = past.stream().mapToInt(w -> w.zoneSeconds().size()).max().orElse(0);
        List<String> heads = new ArrayList<>(List.of("Week", "all", "planned"));
        for (Sport sport : sports) heads.add(sport.doing());
        heads.add("rest days");
        for (int z = 0; z < zones; z++)
            heads.add((z == 0 ? zonesOf.toLowerCase(Locale.ROOT) + " zone " : "") + (z + 1));
        List<Row> rows = new ArrayList<>();
        for (int i = past.size() - 1; i >= 0; i--) rows.add(week(past.get(i), sports, zones));
        return new Table(heads, rows);
    }

    private Row week(RangeSummary week, Set<Sport> sports, int zones) {
        List<String> cells = new ArrayList<>();
        cells.add(time(week.doneSeconds()));
        cells.add(time(week.plannedSeconds()));
        for (Sport sport : sports) {
            Done done = week.bySport().getOrDefault(sport, new Done(0, 0));
            cells.add(done.sessions() == 0 ? Shown.NONE : shown.duration(done.seconds()) + " in " + done.sessions());
        }
        cells.add(week.daysOver() == 0 ? Shown.NONE : String.valueOf(week.restDays()));
        for (int z = 0; z < zones; z++)
            cells.add(z < week.zoneSeconds().size() ? time(week.zoneSeconds().get(z)) : Shown.NONE);
        return new Row(shown.span(week.from(), week.to()), cells);
    }

    private String time(long seconds) {
        return seconds == 0 ? Shown.NONE : shown.duration(seconds);
    }

    /** Plan and done by block and kind of session; what is still to come is not in it. */
    Table blocks(List<Block> blocks, List<Item> items) {
        List<RangeSummary> sums = new ArrayList<>();
        Set<Purpose> kinds = EnumSet.noneOf(Purpose.class);
        for (Block block : blocks) {
            // sport and measure matter to zones alone, which are not shown here
            sums.add(RangeSummary.of(
                    items, new DayRange(block.first(), block.last()), new Way(today, Sport.RIDE, Measure.HEART_RATE)));
            kinds.addAll(sums.get(sums.size() - 1).kept().keySet());
        }
        List<String> heads = new ArrayList<>(List.of("Block", "sessions", "time", "of the time"));
        for (Purpose kind : kinds) heads.add(Shown.word(kind));
        List<Row> rows = new ArrayList<>();
        for (int i = blocks.size() - 1; i >= 0; i--) rows.add(block(blocks.get(i), sums.get(i), kinds));
        return new Table(heads, rows);
    }

    private Row block(Block block, RangeSummary sum, Set<Purpose> kinds) {
        Kept all = sum.allKept();
        List<String> cells = new ArrayList<>();
        cells.add(sessions(all));
        cells.add(
                all.planned() == 0
                        ? Shown.NONE
                        : shown.duration(all.doneSeconds()) + " of " + shown.duration(all.plannedSeconds()));
        cells.add(
                all.planned() == 0 ? Shown.NONE : Math.round(100.0 * all.doneSeconds() / all.plannedSeconds()) + " %");
        for (Purpose kind : kinds) cells.add(sessions(sum.kept().getOrDefault(kind, new Kept(0, 0, 0, 0))));
        return new Row(Shown.titled(block.phase()) + ", " + shown.span(block.first(), block.last()), cells);
    }

    private static String sessions(Kept kept) {
        return kept.planned() == 0 ? Shown.NONE : kept.done() + " of " + kept.planned();
    }

    /** As “The 28 days before held 7 days away: illness.”; empty when there was nothing of the kind. */
    String away(List<Away> away, RangeSummary now, RangeSummary other) {
        return (held("These days", away, now) + " " + held("Those beside them", away, other)).trim();
    }

    private String held(String which, List<Away> away, RangeSummary range) {
        LocalDate last = range.to().isAfter(today) ? today : range.to();
        Set<LocalDate> days = away.stream()
                .flatMap(a -> a.from().isAfter(last) || a.to().isBefore(range.from())
                        ? java.util.stream.Stream.<LocalDate>empty()
                        : later(a.from(), range.from())
                                .datesUntil(earlier(a.to(), last).plusDays(1)))
                .collect(Collectors.toSet());
        if (days.isEmpty()) return "";
        String reasons = away.stream()
                .filter(a -> days.stream().anyMatch(a::contains))
                .map(a -> a.reason().isBlank() ? Shown.word(a.kind()) : a.reason())
                .distinct()
                .limit(3)
                .collect(Collectors.joining(", "));
        return which + " held " + days.size() + (days.size() == 1 ? " day away: " : " days away: ") + reasons + ".";
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }
}
