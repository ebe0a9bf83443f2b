package pemblar.app.planner;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Recent;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.reading.SessionService;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.SportShares;
import pemblar.core.season.Ask;
import pemblar.core.season.Block;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Event;
import pemblar.core.season.Generator;
import pemblar.core.season.LoadPerHour;
import pemblar.core.season.Season;
import pemblar.core.season.Season.Outcome;

/**
 * Asks the core for a season with an athlete's own data: where the load trend stands, what an hour costs, what is done
 * and pinned.
 */
@Service
public class SeasonPlanner {
    private static final int DAYS_AFTER_LAST_EVENT = 14;
    private static final int DAYS_WITHOUT_EVENT = 112;
    private static final int HISTORY_DAYS = 90;
    private static final int MOST_KEPT = 100;
    private final Recent<Ask, Season> recent = new Recent<>(MOST_KEPT, Generator::plan);
    private final SessionService sessions;

    SeasonPlanner(SessionService sessions) {
        this.sessions = sessions;
    }

    /** A plan: the blocks as they would be held, the core's answer, and what it was asked. */
    public record Planned(List<Block> blocks, Season season, Ask ask) {}

    /** Blocks that have begun stay, and so do those that are pinned; the days after them are planned anew. */
    public Planned plan(Athlete athlete, Held held, Trend trend) {
        return plan(ask(athlete, held, trend), held);
    }

    static Planned plan(Ask ask, Held held) {
        Season season = Generator.plan(ask);
        List<Block> blocks = new ArrayList<>(held.blocks().stream()
                .filter(b -> b.first().isBefore(ask.first()) || b.pinned())
                .toList());
        Naming naming = new Naming(blocks, held.events());
        for (Season.Target target : season.targets())
            if (!target.pinned() && target.days() >= Block.SHORTEST) blocks.add(naming.block(target));
        return new Planned(
                blocks.stream().sorted(Comparator.comparing(Block::first)).toList(), season, ask);
    }

    /** How well the aim can be met, without changing anything: the core's answer for the days ahead. */
    public Outcome outcome(Athlete athlete, Held held, Trend trend) {
        return recent.of(ask(athlete, held, trend)).outcome();
    }

    private Ask ask(Athlete athlete, Held held, Trend trend) {
        SportShares shares = BoardFilling.shares(athlete, held, trend.today());
        return ask(athlete, held, trend, loadPerHour(athlete, shares, trend.today()));
    }

    /** @param perHour points that an hour costs */
    public static Ask ask(Athlete athlete, Held held, Trend trend, double perHour) {
        LocalDate today = trend.today();
        LocalDate first = firstAnew(held, today);
        Ask.Start start = start(athlete, trend, first);
        SeasonSettings settings = held.settings();
        List<Event> events = held.events().stream()
                .filter(e -> !e.last().isBefore(first))
                .map(e -> e.toCore(start.chronic()))
                .toList();
        List<Block> pinned = held.blocks().stream()
                .filter(b -> b.pinned() && !b.first().isBefore(first))
                .toList();
        return new Ask(
                first,
                last(held, first),
                events,
                settings.aim(),
                settings.rhythm(),
                settings.highestBuild(),
                settings.hours(held.allAway()),
                LoadPerHour.around(perHour),
                start,
                pinned,
                shape(held, first, start));
    }

    /** The first day that can be planned anew: the block that runs now stays. */
    public static LocalDate firstAnew(Held held, LocalDate today) {
        return held.blocks().stream()
                .filter(b -> b.contains(today))
                .map(b -> b.last().plusDays(1))
                .findFirst()
                .orElse(today);
    }

    /** Phases do not run backwards from the block that runs now, and the last loading block measures what follows. */
    private static Ask.Shape shape(Held held, LocalDate first, Ask.Start start) {
        Block before = held.blocks().stream()
                .filter(b -> b.last().isBefore(first) && b.last().isAfter(first.minusDays(2)))
                .findFirst()
                .orElse(null);
        boolean loading = before != null && before.phase() != Phase.TAPER && before.phase() != Phase.RECOVERY;
        double measure = loading && !before.easy() && before.targetLoad() > 0 ? before.loadPerDay() : start.chronic();
        return new Ask.Shape(
                Optional.empty(),
                loading ? Optional.of(before.phase()) : Optional.empty(),
                measure > 0 ? measure : Double.NaN);
    }

    private static LocalDate last(Held held, LocalDate first) {
        LocalDate least = first.plusDays(6);
        LocalDate wanted = held.settings().lastDay();
        if (wanted == null)
            wanted = held.events().stream()
                    .map(SeasonEvent::last)
                    .filter(d -> !d.isBefore(first))
                    .max(LocalDate::compareTo)
                    .map(d -> d.plusDays(DAYS_AFTER_LAST_EVENT))
                    .orElse(first.plusDays(DAYS_WITHOUT_EVENT));
        return wanted.isBefore(least) ? least : wanted;
    }

    /** Where the trend stands on the evening before a day; what is planned until then counts. */
    private static Ask.Start start(Athlete athlete, Trend trend, LocalDate first) {
        List<Double> week = new ArrayList<>();
        double given = Double.isNaN(athlete.trend().startChronic())
                ? 0
                : athlete.trend().startChronic();
        double before = trend.days().isEmpty() ? given : trend.days().get(0).chronic();
        for (int i = 7; i >= 1; i--) {
            LoadTrend.Day day = trend.on(first.minusDays(i));
            week.add(day == null ? before : day.chronic());
        }
        LoadTrend.Day eve = trend.on(first.minusDays(1));
        return new Ask.Start(eve == null ? before : eve.acute(), week, athlete.trend(), List.of());
    }

    /** Points that an hour costs of sports that share the time, by what such hours cost of late. */
    public double loadPerHour(Athlete athlete, SportShares shares, LocalDate today) {
        return LoadPerHour.together(sessions.spent(athlete, today.minusDays(HISTORY_DAYS)), shares.shares());
    }
}
