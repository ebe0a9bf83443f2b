package pemblar.app.planner;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.Spacing;
import pemblar.core.season.Block;
import pemblar.core.season.Hours;
import pemblar.core.season.Swing;

/** What a season asks that is worth a word: loads that jump or drop from block to block, and days without rest. */
public final class SeasonRemarks {
    private static final int FARTHEST_DAYS = 60;
    private static final double LEAST_RISE = 0.05;

    private SeasonRemarks() {}

    /** Of what lies ahead, in sentences; empty when all is even. */
    public static List<String> of(Held held, Trend trend) {
        List<String> remarks = new ArrayList<>();
        Hours hours = held.settings().hours(held.allAway());
        for (Swing swing : Swing.of(held.blocks(), day -> hours.on(day) > 0))
            if (!swing.to().last().isBefore(trend.today())) remarks.add(swing(swing, held, trend));
        run(trend).ifPresent(remarks::add);
        return remarks;
    }

    private static String swing(Swing swing, Held held, Trend trend) {
        String more = Math.round(Math.abs(swing.change()) * 100) + " % " + (swing.change() > 0 ? "more" : "less");
        boolean alike = swing.to().name().equals(swing.from().name());
        String said = named(swing.to(), alike) + " asks " + more + " for each day that can be trained than "
                + named(swing.from(), alike)
                + ": "
                + Math.round(swing.after()) + " against " + Math.round(swing.before()) + ".";
        return said + follows(swing, hasEvent(swing, held) ? 0 : held.settings().highestBuild(), trend);
    }

    /** Blocks of one name are told apart by their days. */
    private static String named(Block block, boolean alike) {
        return alike ? block.name() + " (" + new Shown().span(block.first(), block.last()) + ")" : block.name();
    }

    /** The limit is of training alone, so a rise that an event is part of is not held against it. */
    private static boolean hasEvent(Swing swing, Held held) {
        LocalDate from = swing.to().first().minusDays(7);
        return held.events().stream()
                .anyMatch(e ->
                        !e.last().isBefore(from) && !e.day().isAfter(swing.to().last()));
    }

    /** What the plan as it stands makes of it. @param limit 0 when none is said */
    private static String follows(Swing swing, double limit, Trend trend) {
        double most = Double.NEGATIVE_INFINITY;
        for (LocalDate day = swing.to().first(); !day.isAfter(swing.to().last()); day = day.plusDays(1)) {
            LoadTrend.Day now = trend.on(day);
            LoadTrend.Day before = trend.on(day.minusDays(7));
            if (now != null && before != null) most = Math.max(most, now.chronic() - before.chronic());
        }
        LoadTrend.Day first = trend.on(swing.to().first());
        LoadTrend.Day last = trend.on(swing.to().last());
        if (swing.change() < 0)
            return first == null || last == null
                    ? ""
                    : " Chronic load goes from " + Math.round(first.chronicBefore()) + " to "
                            + Math.round(last.chronic()) + " in it.";
        if (most == Double.NEGATIVE_INFINITY) return "";
        if (most < LEAST_RISE) return " Chronic load does not rise in it.";
        String rise = " Chronic load rises by up to " + new Shown().decimal(most, 1) + " in 7 days that end in it";
        return limit <= 0
                ? rise + "."
                : rise + (most > limit ? ", over your limit of " : ", within your limit of ") + new Shown().plain(limit)
                        + ".";
    }

    private static java.util.Optional<String> run(Trend trend) {
        LocalDate today = trend.today();
        List<LocalDate> training =
                trend.dayLoads(today.minusDays(FARTHEST_DAYS - 1), today.plusDays(FARTHEST_DAYS - 1)).stream()
                        .filter(d -> d.doneSeconds() > 0 || d.openLoad() > 0)
                        .map(DayLoad::day)
                        .collect(Collectors.toList());
        Shown shown = new Shown();
        return Spacing.longRun(training, today, today.plusDays(FARTHEST_DAYS))
                .map(r -> r.days() + " days in a row without a rest day, " + shown.span(r.first(), r.last()) + ".");
    }
}
