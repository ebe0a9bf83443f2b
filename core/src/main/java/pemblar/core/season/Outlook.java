package pemblar.core.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;

/**
 * Day loads ahead (computation, section 4): a block in which nothing is planned counts with its target, evenly on its
 * days that can be trained; one in which anything is planned counts with just that. An event's load lies on its own
 * days, unless something is planned there.
 */
public final class Outlook {
    /**
     * What is ahead besides sessions.
     *
     * @param hours what can be trained on a day: on one with none no load lies
     */
    public record Plan(List<Block> blocks, List<Event> events, Hours hours) {
        public static final Plan NONE = new Plan(List.of(), List.of(), new Hours(Hours.MOST, List.of()));

        public Plan {
            blocks = List.copyOf(blocks);
            events = List.copyOf(events);
        }

        /** The last day on which this plan puts load; empty without any. */
        public java.util.Optional<LocalDate> last() {
            LocalDate byBlocks = blocks.stream()
                    .filter(b -> b.targetLoad() > 0)
                    .map(Block::last)
                    .max(LocalDate::compareTo)
                    .orElse(LocalDate.MIN);
            LocalDate byEvents =
                    events.stream().map(Event::last).max(LocalDate::compareTo).orElse(LocalDate.MIN);
            LocalDate last = byBlocks.isAfter(byEvents) ? byBlocks : byEvents;
            return last.equals(LocalDate.MIN) ? java.util.Optional.empty() : java.util.Optional.of(last);
        }

        boolean isTrainable(LocalDate day) {
            return hours.on(day) > 0
                    && events.stream().noneMatch(e -> !day.isBefore(e.day()) && !day.isAfter(e.last()));
        }
    }

    private Outlook() {}

    /**
     * @param loads points of each day from {@code first}: done up to today, done and planned from today on; long enough
     *     for the plan
     * @param planned days on which a session is planned, done or not
     */
    public static double[] of(LocalDate first, double[] loads, LocalDate today, Plan plan, Set<LocalDate> planned) {
        double[] all = loads.clone();
        for (Block block : plan.blocks())
            if (block.last().isAfter(today) && block.targetLoad() > 0 && isEmpty(block, planned))
                fill(all, first, block, today, plan);
        for (Event event : plan.events())
            for (LocalDate day = event.day(); !day.isAfter(event.last()); day = day.plusDays(1)) {
                int index = index(first, day);
                boolean open = !day.isBefore(today)
                        && !planned.contains(day)
                        && index >= 0
                        && index < all.length
                        && loads[index] == 0;
                if (open) all[index] += event.loadOn(day);
            }
        return all;
    }

    private static boolean isEmpty(Block block, Set<LocalDate> planned) {
        for (int i = 0; i < block.days(); i++)
            if (planned.contains(block.first().plusDays(i))) return false;
        return true;
    }

    /** The target's share of each trainable day lies on those that are still to come. */
    private static void fill(double[] all, LocalDate first, Block block, LocalDate today, Plan plan) {
        List<LocalDate> days = block.first()
                .datesUntil(block.last().plusDays(1))
                .filter(plan::isTrainable)
                .toList();
        for (LocalDate day : days) {
            int index = index(first, day);
            if (day.isAfter(today) && index >= 0 && index < all.length) all[index] += block.targetLoad() / days.size();
        }
    }

    private static int index(LocalDate first, LocalDate day) {
        return (int) (day.toEpochDay() - first.toEpochDay());
    }
}
