package pemblar.app.session;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import pemblar.app.athlete.Athlete;
import pemblar.app.season.PlanService;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;
import pemblar.core.season.Outlook;

/** The load trend of an athlete from the first session to the end of the plan; where sessions are not planned yet, by the targets of the blocks. */
@Service
public class TrendService {
    private final SessionService sessions;
    private final PlanService plan;
    private final InstantSource clock;

    TrendService(SessionService sessions, PlanService plan, InstantSource clock) {
        this.sessions = sessions;
        this.plan = plan;
        this.clock = clock;
    }

    /** Day sums, and the trend over every day between; both empty without any session. */
    public record Trend(LocalDate today, List<DayLoad> dayLoads, List<LoadTrend.Day> days) {
        /** The trend of a day, or null when it lies outside. */
        public LoadTrend.Day on(LocalDate day) {
            if (days.isEmpty()) return null;
            long index = day.toEpochDay() - days.get(0).date().toEpochDay();
            return index < 0 || index >= days.size() ? null : days.get((int) index);
        }
    }

    public Trend of(Athlete athlete) {
        return trend(athlete, sessions.dayLoads(List.of(athlete)), plan.blocks(athlete));
    }

    /** The trends of a whole roster from two queries, in the roster's order. */
    public List<Trend> of(List<Athlete> roster) {
        Map<Long, List<DayLoad>> sums = sessions.dayLoads(roster).stream().collect(Collectors.groupingBy(DayLoad::athleteId));
        Map<Long, List<Block>> blocks = plan.blocks(roster);
        return roster.stream().map(athlete -> trend(athlete, sums.getOrDefault(athlete.id(), List.of()), blocks.getOrDefault(athlete.id(), List.of()))).toList();
    }

    private Trend trend(Athlete athlete, List<DayLoad> sums, List<Block> blocks) {
        return trend(athlete, athlete.dayOf(clock.instant()), sums, blocks);
    }

    /** The trend as it would be with other blocks; ahead of today, what is missing to a block's target lies on its days to come. */
    public static Trend trend(Athlete athlete, LocalDate today, List<DayLoad> sums, List<Block> blocks) {
        LocalDate aimed = blocks.stream().filter(b -> b.targetLoad() > 0).map(Block::last).max(LocalDate::compareTo).orElse(LocalDate.MIN);
        if (sums.isEmpty() && aimed.isBefore(today)) return new Trend(today, sums, List.of());
        LocalDate first = sums.stream().filter(d -> d.doneSeconds() > 0).map(DayLoad::day).findFirst().orElse(sums.isEmpty() || sums.get(0).day().isAfter(today) ? today : sums.get(0).day());
        LocalDate last = sums.isEmpty() ? aimed : sums.get(sums.size() - 1).day();
        if (last.isBefore(aimed)) last = aimed;
        if (last.isBefore(today)) last = today;
        double[] loads = new double[(int) (last.toEpochDay() - first.toEpochDay()) + 1];
        for (DayLoad sum : sums) if (!sum.day().isBefore(first)) loads[(int) (sum.day().toEpochDay() - first.toEpochDay())] = sum.counting(today);
        return new Trend(today, sums, LoadTrend.of(first, Outlook.of(first, loads, today, blocks), start(athlete.trend(), sums)));
    }

    /** Who has done nothing yet that is known, and gave no start value, begins at zero: what is only planned says nothing about the past. */
    private static LoadTrend.Settings start(LoadTrend.Settings own, List<DayLoad> sums) {
        boolean known = sums.stream().anyMatch(d -> d.doneSeconds() > 0) || !Double.isNaN(own.startChronic());
        return known ? own : new LoadTrend.Settings(own.acuteDays(), own.chronicDays(), 0, 0);
    }
}
