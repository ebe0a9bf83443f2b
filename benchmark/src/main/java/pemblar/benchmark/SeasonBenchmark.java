package pemblar.benchmark;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pemblar.core.schedule.DayPlan;
import pemblar.core.season.Aim;
import pemblar.core.season.Ask;
import pemblar.core.season.Event;
import pemblar.core.season.Generator;
import pemblar.core.season.Hours;
import pemblar.core.season.LoadPerHour;
import pemblar.core.season.Priority;
import pemblar.core.season.Rhythm;
import pemblar.core.season.Season;

/**
 * A season of 52 weeks with two A and four other events: generated with its forecast, with an aim that is met and with
 * one that is not; and the days of all its blocks.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@Fork(1)
public class SeasonBenchmark {
    private static final LocalDate FIRST = LocalDate.of(2027, 1, 4);
    private static final List<Event> EVENTS = List.of(
            new Event(FIRST.plusDays(76), Priority.B, 120),
            new Event(FIRST.plusDays(104), Priority.C, 90),
            new Event(FIRST.plusDays(167), Priority.A, 260),
            new Event(FIRST.plusDays(209), Priority.B, 120),
            new Event(FIRST.plusDays(230), Priority.C, 90),
            new Event(FIRST.plusDays(286), Priority.A, 300));
    private final Ask met = ask(66);
    private final Ask beyond = ask(120);
    private final Season season = Generator.plan(met);

    private static Ask ask(double chronic) {
        Hours hours = new Hours(10, List.of(new Hours.Exception(FIRST.plusDays(100), FIRST.plusDays(110), 2)));
        return new Ask(
                FIRST,
                FIRST.plusDays(363),
                EVENTS,
                new Aim(Aim.Kind.CHRONIC_LOAD, chronic),
                Rhythm.everyBlock(4, 7),
                5,
                hours,
                LoadPerHour.even(55),
                Ask.Start.steady(50),
                List.of(),
                Ask.Shape.FREE);
    }

    @Benchmark
    public Season generateAndForecast() {
        return Generator.plan(met);
    }

    @Benchmark
    public Season generateWithTheBindingLimit() {
        return Generator.plan(beyond);
    }

    @Benchmark
    public List<List<DayPlan.Slot>> dayPlanOfAllBlocks() {
        List<List<DayPlan.Slot>> all = new ArrayList<>();
        for (Season.Target target : season.targets()) {
            List<DayPlan.Day> days = new ArrayList<>();
            for (int i = 0; i < target.days(); i++)
                days.add(new DayPlan.Day(
                        target.first().plusDays(i),
                        new int[] {0, 75, 60, 90, 0, 120, 240}
                                [target.first().plusDays(i).getDayOfWeek().getValue() - 1],
                        1050));
            all.add(DayPlan.of(
                    days,
                    List.of(),
                    new DayPlan.Wish(
                            target.phase(), target.easy(), target.load(), DayOfWeek.SUNDAY, false, List.of())));
        }
        return all;
    }
}
