package pemblar.app.progress.range;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.page.Typed;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.core.range.RangeSummary;
import pemblar.core.range.RangeSummary.Item;
import pemblar.core.range.RangeSummary.Way;
import pemblar.core.range.SeasonSpan;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Reads which days are asked for, and what was planned and done in them and in the weeks around. */
@Component
public class RangeReader {
    private static final int WEEKS_BACK = 30;
    private static final int WEEKS_AHEAD = 10;
    private static final int MOST_WEEKS = 53;
    private static final int MOST_DAYS = 1100;
    private static final int USUAL_DAYS = 28;
    private final PlanService plan;
    private final SessionService sessions;

    RangeReader(PlanService plan, SessionService sessions) {
        this.plan = plan;
        this.sessions = sessions;
    }

    /** What is asked for. */
    record Asked(
            LocalDate from,
            LocalDate to,
            LocalDate otherFrom,
            LocalDate otherTo,
            Sport sport,
            Measure measure,
            String span) {}

    /** Everything that the page shows is counted from these. @param weeks those of the drawing, in their order */
    record Found(List<Item> items, List<RangeSummary> weeks, List<Block> blocks) {}

    Found found(Pages.Opened page, Asked asked) {
        LocalDate today = page.today();
        LocalDate chart = RangeDrawing.weekOf(today).minusWeeks(weeksBack(asked, today));
        List<Block> blocks = within(page, asked);
        LocalDate block = blocks.isEmpty() ? asked.from() : blocks.get(0).first();
        LocalDate first = earliest(asked, block.isBefore(chart) ? block : chart);
        LocalDate last = latest(asked, today.plusWeeks(WEEKS_AHEAD + 1L));
        List<Item> items = items(page.athlete(), first, last);
        int count = (int) ((today.toEpochDay() - chart.toEpochDay()) / 7) + WEEKS_AHEAD + 1;
        return new Found(
                items, RangeSummary.weeks(items, chart, count, new Way(today, asked.sport(), asked.measure())), blocks);
    }

    /** As far as both ranges reach, within a year. */
    private static int weeksBack(Asked asked, LocalDate today) {
        LocalDate first = asked.from().isBefore(asked.otherFrom()) ? asked.from() : asked.otherFrom();
        long weeks = (today.toEpochDay() - first.toEpochDay()) / 7 + 1;
        return (int) Math.max(WEEKS_BACK, Math.min(MOST_WEEKS, weeks));
    }

    private static LocalDate earliest(Asked asked, LocalDate chart) {
        LocalDate first = asked.from().isBefore(asked.otherFrom()) ? asked.from() : asked.otherFrom();
        return first.isBefore(chart) ? first : chart;
    }

    private static LocalDate latest(Asked asked, LocalDate chart) {
        LocalDate last = asked.to().isAfter(asked.otherTo()) ? asked.to() : asked.otherTo();
        return last.isAfter(chart) ? last : chart;
    }

    Asked asked(Pages.Opened page, Map<String, String> typed, Model model) {
        Athlete athlete = page.athlete();
        Sport sport = athlete.orFirst(typed.getOrDefault("sport", ""));
        Measure own = sport.measures().get(0);
        Measure measure = sport.measures().stream()
                .filter(m -> m.name().equals(typed.get("by")))
                .findFirst()
                .orElse(own);
        LocalDate today = page.today();
        String span = typed.getOrDefault("span", String.valueOf(USUAL_DAYS));
        LocalDate from = today.minusDays(USUAL_DAYS - 1L);
        LocalDate to = today;
        try {
            if (span.matches("7|14|28|90")) from = today.minusDays(Integer.parseInt(span) - 1L);
            if (span.equals("block")) {
                Block block = plan.inSight(athlete, today).stream()
                        .filter(b -> b.contains(today))
                        .findFirst()
                        .orElse(null);
                if (block == null) model.addAttribute("said", "There is no block today; the last 28 days stand here.");
                else from = block.first();
            }
            if (span.equals("season")) from = seasonFrom(page);
            if (span.equals("typed")) {
                from = Typed.day("From", typed.get("from"));
                to = Typed.day("To", typed.get("to"));
                if (to.isBefore(from) || from.plusDays(MOST_DAYS).isBefore(to))
                    throw new IllegalArgumentException(
                            "To: choose a day from " + from + " to " + from.plusDays(MOST_DAYS) + ".");
            }
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
            from = today.minusDays(USUAL_DAYS - 1L);
            to = today;
        }
        long days = to.toEpochDay() - from.toEpochDay() + 1;
        LocalDate otherFrom = Typed.dayOrNull(typed.get("otherFrom"));
        LocalDate beside = otherFrom == null ? from.minusDays(days) : otherFrom;
        return new Asked(from, to, beside, beside.plusDays(days - 1), sport, measure, span);
    }

    private LocalDate seasonFrom(Pages.Opened page) {
        List<LocalDate> ends = plan.events(page.athlete()).stream()
                .filter(e -> e.priority() == Priority.A)
                .map(SeasonEvent::last)
                .toList();
        return SeasonSpan.firstDay(plan.blocks(page.athlete()), ends, page.today());
    }

    List<Item> items(Athlete athlete, LocalDate from, LocalDate to) {
        return sessions.wholeBetween(athlete, from, to).stream()
                .map(RangeReader::item)
                .toList();
    }

    public static Item item(SessionService.Whole whole) {
        Slab slab = whole.slab();
        return new Item(
                slab.day(),
                slab.sport(),
                slab.purpose(),
                slab.done() == null ? 0 : slab.done().seconds(),
                slab.plannedSeconds() == null ? 0 : slab.plannedSeconds(),
                whole.zones());
    }

    /** Blocks that were planned and share a day with the range. */
    List<Block> within(Pages.Opened page, Asked asked) {
        return plan.blocks(page.athlete()).stream()
                .filter(b -> !b.last().isBefore(asked.from()) && !b.first().isAfter(asked.to()))
                .toList();
    }
}
