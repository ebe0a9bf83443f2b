package pemblar.app.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;

/** Blocks and events. Where no block is planned, the weeks serve as blocks without a name. */
@Service
public class PlanService {
    private static final int WEEK = 7;
    private final BlockRepository blocks;
    private final EventRepository events;

    PlanService(BlockRepository blocks, EventRepository events) {
        this.blocks = blocks;
        this.events = events;
    }

    /** A day that the plan leads up to. */
    public record Event(LocalDate day, String name, Priority priority) {}

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Event> events(Athlete athlete) {
        return events.findByAthleteIdOrderByDay(athlete.id()).stream().map(e -> new Event(e.day, e.name, e.priority)).toList();
    }

    @Transactional
    public void addEvent(Athlete athlete, Event event) {
        events.save(new EventRow(athlete.id(), event.day(), event.name(), event.priority()));
    }

    @Transactional
    public void addBlock(Athlete athlete, Block block) {
        blocks.save(new BlockRow(athlete.id(), block));
    }

    /** Blocks that cover every day of a span: the planned ones, with weeks in between. */
    @Transactional(readOnly = true)
    public List<Block> covering(Athlete athlete, LocalDate from, LocalDate to) {
        List<Block> planned = blocks.findByAthleteIdOrderByFirstDay(athlete.id()).stream().map(BlockRow::toCore).toList();
        return cover(planned, from, to);
    }

    static List<Block> cover(List<Block> planned, LocalDate from, LocalDate to) {
        List<Block> all = new ArrayList<>();
        LocalDate day = from;
        for (Block block : planned) {
            if (block.last().isBefore(from) || block.first().isAfter(to)) continue;
            fill(all, day, block.first());
            all.add(block);
            day = block.last().plusDays(1);
        }
        fill(all, all.isEmpty() ? from.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)) : day, to.plusDays(1));
        return all;
    }

    /** Weeks from a day up to another; a rest of under three days joins the week before it. */
    private static void fill(List<Block> all, LocalDate from, LocalDate until) {
        LocalDate day = from;
        while (day.isBefore(until)) {
            LocalDate end = day.with(TemporalAdjusters.next(DayOfWeek.MONDAY));
            if (end.isBefore(day.plusDays(3))) end = end.plusDays(WEEK);
            if (end.isAfter(until) || until.isBefore(end.plusDays(3))) end = until;
            int days = (int) Math.max(3, end.toEpochDay() - day.toEpochDay());
            all.add(new Block(day, days, Block.Phase.BASE, "Week of " + day.getDayOfMonth() + " " + day.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, java.util.Locale.ENGLISH), "", 0, 0));
            day = day.plusDays(days);
        }
    }
}
