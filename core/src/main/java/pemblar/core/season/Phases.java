package pemblar.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.List;
import pemblar.core.season.Block.Phase;

/**
 * The phase of every day: towards each A event base, build, peak and a taper of 8 to 14 days, after it recovery. Where the
 * way to the event is short, base goes first, then peak, then build.
 */
final class Phases {
    private static final int TAPER_MOST = 14;
    private static final int TAPER_LEAST = 8;
    private static final int TAPER_ALONE = 12;
    private static final int BUILD_MOST = 63;
    private static final int PEAK_MOST = 21;
    private static final int NEXT_IS_NEAR = 42;
    private final LocalDate first;
    private final boolean weekly;
    private final Phase[] phases;

    private Phases(LocalDate first, int days, boolean weekly) {
        this.first = first;
        this.weekly = weekly;
        this.phases = new Phase[days];
        Arrays.fill(phases, Phase.BASE);
    }

    static Phase[] of(Ask ask) {
        Phases all = new Phases(ask.first(), ask.days(), ask.rhythm().isWeekly());
        List<Event> aims = ask.of(Priority.A);
        int from = 0;
        boolean later = false;
        for (Event event : aims) {
            int day = all.index(event.day());
            if (day < from) {
                all.fill(Math.max(0, day - 2), Math.min(day + 1, all.phases.length), Phase.TAPER);
                from = day + 1;
                continue;
            }
            all.towards(from, day, later);
            from = day + 1 + all.recover(day + 1, next(aims, event, all));
            later = true;
        }
        if (aims.isEmpty()) all.fill(all.phases.length / 2, all.phases.length, Phase.BUILD);
        return all.phases;
    }

    private static int next(List<Event> aims, Event event, Phases all) {
        int index = aims.indexOf(event) + 1;
        return index < aims.size() ? all.index(aims.get(index).day()) : Integer.MAX_VALUE;
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - first.toEpochDay());
    }

    /** Days of recovery after an event; fewer when the next one is near, none when it is nearer than a taper. */
    private int recover(int from, int next) {
        int gap = next == Integer.MAX_VALUE ? phases.length - from : next - from;
        int days = next == Integer.MAX_VALUE ? 14 : gap <= TAPER_ALONE ? 0 : gap <= NEXT_IS_NEAR ? 5 : 10;
        days = Math.min(days, phases.length - from);
        fill(from, from + days, Phase.RECOVERY);
        return days;
    }

    private void towards(int from, int event, boolean later) {
        int span = event - from + 1;
        int taper = span <= TAPER_ALONE ? span : taper(event, span);
        int begin = event - taper + 1;
        fill(begin, event + 1, Phase.TAPER);
        int rest = begin - from;
        int peak = rest >= 56 ? Math.min(PEAK_MOST, rest * 15 / 100) : rest >= 28 ? 7 : 0;
        int peakFrom = begin - aligned(begin, peak, rest);
        fill(peakFrom, begin, Phase.PEAK);
        int room = peakFrom - from;
        int build = later && room <= NEXT_IS_NEAR ? room : Math.min(BUILD_MOST, (room + 1) / 2);
        int buildFrom = peakFrom - aligned(peakFrom, build, room);
        fill(buildFrom, peakFrom, Phase.BUILD);
        fill(from, buildFrom, Phase.BASE);
    }

    /** Among 8 to 14 days one begins on a Monday, which weekly blocks like. */
    private int taper(int event, int span) {
        int most = Math.min(TAPER_MOST, span - Block.SHORTEST);
        int wanted = Math.max(TAPER_LEAST, Math.min(most, 10));
        if (!weekly) return wanted;
        for (int days = TAPER_LEAST; days <= most; days++) if (first.plusDays(event - days + 1L).getDayOfWeek() == DayOfWeek.MONDAY) return days;
        return wanted;
    }

    /** Days before {@code end} so that weekly blocks begin on a Monday, unless too little would be left before. */
    private int aligned(int end, int days, int room) {
        if (!weekly || days == 0 || days == room) return days;
        LocalDate begin = first.plusDays(end - days);
        int shift = (int) (begin.with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY)).toEpochDay() - begin.toEpochDay());
        int aligned = days - shift;
        return aligned >= Block.SHORTEST ? aligned : Math.min(room, aligned + 7);
    }

    private void fill(int from, int to, Phase phase) {
        Arrays.fill(phases, Math.max(0, from), Math.max(Math.max(0, from), to), phase);
    }
}
