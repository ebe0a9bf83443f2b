package pemblar.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.List;
import pemblar.core.season.Block.Phase;

/**
 * The phase of every day, and where blocks must begin. Towards each A event base, build, peak and a taper of 8 to 14
 * days, after it recovery; A events closer than 21 days share one taper and keep load between them. B events have an
 * easy stretch of 3 or 4 days of their own. Where the way to an event is short, base goes first, then peak, then build.
 */
final class Phases {
    static final int TAPER_MOST = 14;
    static final int TAPER_LEAST = 8;
    private static final int TAPER_USUAL = 10;
    private static final int TAPER_ALONE = 11;
    private static final int SHARED_DAYS = 21;
    private static final int B_TAPER = 3;
    private static final int BUILD_MOST = 63;
    private static final int PEAK_MOST = 21;
    private static final int NEXT_IS_NEAR = 42;
    /** Without an event there is a build only after a base of four weeks. */
    private static final int ROOM_FOR_BUILD = 56;

    private final Ask ask;
    private final Phase[] phases;
    /** True where a block must begin. */
    private final boolean[] cuts;

    private Phases(Ask ask) {
        this.ask = ask;
        this.phases = new Phase[ask.days()];
        this.cuts = new boolean[ask.days() + 1];
        Arrays.fill(phases, Phase.BASE);
    }

    static Phases of(Ask ask) {
        Phases all = new Phases(ask);
        all.aims(ask.of(Priority.A));
        for (Event event : ask.of(Priority.B)) all.easyDaysBefore(event);
        all.ask.shape().firstPhase().ifPresent(all::notBefore);
        return all;
    }

    Phase at(int day) {
        return phases[day];
    }

    /** A block must begin here, by phase or by an event. */
    boolean isCut(int day) {
        return cuts[day] || day > 0 && day < phases.length && phases[day] != phases[day - 1];
    }

    int days() {
        return phases.length;
    }

    /**
     * Index of the first day of the last A event's taper, or of the one that it shares; the number of days without an A
     * event.
     */
    int lastTaper() {
        List<Event> aims = ask.of(Priority.A);
        if (aims.isEmpty()) return phases.length;
        int at = aims.size() - 1;
        while (at > 0 && isShared(aims.get(at - 1), aims.get(at))) at--;
        int begin = index(aims.get(at).day());
        while (begin > 0 && phases[begin - 1] == Phase.TAPER && !isCut(begin)) begin--;
        return begin;
    }

    private void aims(List<Event> aims) {
        if (aims.isEmpty() && phases.length >= ROOM_FOR_BUILD) fill(phases.length / 2, phases.length, Phase.BUILD);
        int from = 0;
        for (int i = 0; i < aims.size(); i++) {
            Event event = aims.get(i);
            int day = index(event.day());
            int after = Math.min(phases.length, index(event.last()) + 1);
            if (i > 0 && isShared(aims.get(i - 1), event)) between(from, day, after);
            else if (day >= from) towards(from, day, after, i > 0);
            from = Math.max(from, after);
            boolean sharedNext = i + 1 < aims.size() && isShared(event, aims.get(i + 1));
            if (!sharedNext)
                from += recover(
                        from, i + 1 < aims.size() ? index(aims.get(i + 1).day()) : Integer.MAX_VALUE);
        }
    }

    private static boolean isShared(Event event, Event next) {
        return next.day().toEpochDay() - event.last().toEpochDay() < SHARED_DAYS;
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - ask.first().toEpochDay());
    }

    /** Load is kept between two events that share a taper. */
    private void between(int from, int day, int after) {
        if (day - from >= Block.SHORTEST) {
            fill(from, after, Phase.PEAK);
            cuts[from] = true;
        } else {
            fill(from, after, Phase.TAPER);
        }
        cuts[after] = true;
    }

    /** Days of recovery after an event; fewer when the next one is near. */
    private int recover(int from, int next) {
        int gap = next == Integer.MAX_VALUE ? phases.length - from : next - from;
        int days = next == Integer.MAX_VALUE ? 14 : gap <= NEXT_IS_NEAR ? 5 : 10;
        days = Math.min(days, phases.length - from);
        if (phases.length - from - days < Block.SHORTEST) days = phases.length - from;
        if (days < 0) return 0;
        fill(from, from + days, Phase.RECOVERY);
        cuts[from] = true;
        return days;
    }

    private void towards(int from, int event, int after, boolean later) {
        int span = event - from;
        int taper = span <= TAPER_ALONE ? span : taper(event, span);
        int begin = event - taper;
        fill(begin, after, Phase.TAPER);
        cuts[begin] = true;
        cuts[after] = true;
        if (after - begin > Block.LONGEST) cuts[event] = true;
        int rest = begin - from;
        int peak = rest >= 56 ? Math.min(PEAK_MOST, rest * 15 / 100) : rest >= 28 ? 7 : 0;
        int peakFrom = begin - aligned(begin, peak, rest);
        fill(peakFrom, begin, Phase.PEAK);
        int room = peakFrom - from;
        int build = later && room <= NEXT_IS_NEAR ? room : Math.min(BUILD_MOST, (room + 1) / 2);
        build = build < Block.SHORTEST ? room : room - build < Block.SHORTEST ? room : build;
        int buildFrom = peakFrom - aligned(peakFrom, build, room);
        fill(buildFrom, peakFrom, Phase.BUILD);
        fill(from, buildFrom, Phase.BASE);
    }

    /** What was chosen; else, among 8 to 14 days, one that begins on a Monday, which weekly blocks like. */
    private int taper(int event, int span) {
        int most = Math.min(TAPER_MOST, span - Block.SHORTEST);
        int wanted =
                Math.max(TAPER_LEAST, Math.min(most, ask.shape().taperDays().orElse(TAPER_USUAL)));
        if (!ask.rhythm().isWeekly() || ask.shape().taperDays().isPresent()) return wanted;
        for (int days = TAPER_LEAST; days <= most; days++)
            if (ask.first().plusDays(event - (long) days).getDayOfWeek() == DayOfWeek.MONDAY) return days;
        return wanted;
    }

    /** Days before {@code end} so that weekly blocks begin on a Monday, unless too little would be left before. */
    private int aligned(int end, int days, int room) {
        if (!ask.rhythm().isWeekly() || days == 0 || days == room) return days;
        LocalDate begin = ask.first().plusDays(end - (long) days);
        int shift = (int)
                (begin.with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY)).toEpochDay() - begin.toEpochDay());
        int aligned = days - shift >= Block.SHORTEST ? days - shift : Math.min(room, days - shift + 7);
        return room - aligned < Block.SHORTEST ? room : aligned;
    }

    /** Three days, or four when three would leave too little before, in a block of their own with the event. */
    private void easyDaysBefore(Event event) {
        int day = index(event.day());
        int after = Math.min(phases.length, index(event.last()) + 1);
        for (int taper = B_TAPER; taper <= B_TAPER + 1; taper++) {
            int begin = day - taper;
            if (begin < 0 || !isFree(begin, after)) continue;
            int before = begin;
            while (before > 0 && !isCut(before)) before--;
            if (begin - before > 0 && begin - before < Block.SHORTEST) continue;
            fill(begin, after, Phase.TAPER);
            cuts[begin] = true;
            cuts[after] = true;
            return;
        }
    }

    private boolean isFree(int from, int to) {
        for (int i = from; i < to; i++) if (phases[i] == Phase.TAPER || phases[i] == Phase.RECOVERY) return false;
        return true;
    }

    /** Phases never run backwards from the one that has begun. */
    private void notBefore(Phase earliest) {
        for (int i = 0; i < phases.length && phases[i] != Phase.RECOVERY; i++)
            if (phases[i] != Phase.TAPER
                    && phases[i].ordinal() < earliest.ordinal()
                    && earliest.ordinal() <= Phase.PEAK.ordinal()) phases[i] = earliest;
    }

    private void fill(int from, int to, Phase phase) {
        Arrays.fill(phases, Math.max(0, from), Math.max(Math.max(0, from), Math.min(to, phases.length)), phase);
    }
}
