package pemblar.app.planner.setup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.planner.BoardFilling;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonPlanner;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.change.SketchService.Existing;
import pemblar.app.undo.UndoService;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.SportShares;
import pemblar.core.season.Aim;
import pemblar.core.season.Block;
import pemblar.core.season.BlockEditing;
import pemblar.core.season.Generator;
import pemblar.core.season.Priority;
import pemblar.core.season.Season;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;

/** Turns the answers of the guided set-up into a season and its sessions. */
@Service
class SetupService {
    /**
     * Share of what the given hours can carry that chronic load comes to on the event's morning, with easy blocks, a
     * taper and lost days.
     */
    private static final double AIMED_SHARE = 0.72;

    private static final int FEWEST_WEEKS = 10;
    private static final int MOST_WEEKS = 30;
    private static final double LOAD_PER_HOUR_WITHOUT_DATA = 50;
    private static final double HIGHEST_BUILD = 5;
    private final PlanService plan;
    private final SeasonPlanner planner;
    private final SeasonChanges changes;
    private final BoardFilling filling;
    private final AthleteService athletes;
    private final UndoService undo;

    SetupService(
            PlanService plan,
            SeasonPlanner planner,
            SeasonChanges changes,
            BoardFilling filling,
            AthleteService athletes,
            UndoService undo) {
        this.plan = plan;
        this.planner = planner;
        this.changes = changes;
        this.filling = filling;
        this.athletes = athletes;
        this.undo = undo;
    }

    /**
     * What would be planned.
     *
     * @param suggested the day was suggested, as it was left open
     * @param expected time that the recent result suggests for the event, s; null without a result or a distance
     * @param filled the blocks with their sessions
     */
    public record Review(
            Held held,
            Season.Outcome outcome,
            SeasonEvent event,
            boolean suggested,
            Double expected,
            List<BoardFilling.Filled> filled,
            double aim) {
        /** What is asked beyond what the recent result suggests counts as more from here on. */
        private static final double WORTH_SAYING = 0.97;

        /** The share of speed that the wanted time asks for beyond what the result suggests; null when it does not. */
        public Double asksMore() {
            if (expected == null || event.seconds() == null || event.seconds() >= WORTH_SAYING * expected) return null;
            return expected / event.seconds() - 1;
        }

        public List<Block> blocks() {
            return held.blocks().stream()
                    .filter(b -> b.last()
                            .isAfter(
                                    filled.isEmpty()
                                            ? LocalDate.MIN
                                            : filled.get(0).block().first().minusDays(1)))
                    .toList();
        }
    }

    @Transactional(readOnly = true)
    Review review(Athlete asked, Viewer viewer, Trend trend, SetupAnswers answers) {
        Athlete athlete = starting(asked, trend, answers);
        Held held = plan.held(athlete);
        double perHour = loadPerHour(athlete, trend, answers);
        LocalDate day = answers.day() == null ? suggested(athlete, held, trend, answers, perHour) : answers.day();
        Held wanted = wanted(held, trend, answers, day, perHour);
        SeasonPlanner.Planned planned = planner.plan(athlete, wanted, trend);
        Held full = changed(wanted.withBlocks(planned.blocks()), answers.loads());
        List<BoardFilling.Filled> filled =
                filling.proposed(athlete, viewer, new BoardFilling.Wanted(full, trend.today(), answers.existing()));
        SeasonEvent event = full.events().stream()
                .filter(e -> e.day().equals(day))
                .findFirst()
                .orElseThrow();
        return new Review(
                full,
                planned.season().outcome(),
                event,
                answers.day() == null,
                expected(answers),
                filled,
                wanted.settings().aimValue());
    }

    /** Without any data the present hours say where the load trend begins. */
    private static Athlete starting(Athlete athlete, Trend trend, SetupAnswers answers) {
        if (!trend.days().isEmpty()) return athlete;
        double perDay = answers.presentHours() * LOAD_PER_HOUR_WITHOUT_DATA / 7;
        LoadTrend.Settings settings = athlete.trend();
        return athlete.trending(new LoadTrend.Settings(settings.acuteDays(), settings.chronicDays(), perDay, perDay));
    }

    private double loadPerHour(Athlete athlete, Trend trend, SetupAnswers answers) {
        Sport sport = athlete.trains(answers.sport()) ? answers.sport() : athlete.first();
        boolean chosen = answers.shares().values().stream().anyMatch(share -> share > 0);
        SportShares shares = chosen ? new SportShares(answers.shares()) : SportShares.of(sport);
        return planner.loadPerHour(athlete, shares, trend.today());
    }

    /** @param perHour points that an hour of what is trained costs */
    private static Held wanted(Held held, Trend trend, SetupAnswers answers, LocalDate day, double perHour) {
        double hours = answers.weeklyMinutes() / 60.0;
        double aim = Math.max(10, Math.rint(AIMED_SHARE * hours * perHour / 7));
        SeasonSettings old = held.settings();
        SeasonSettings settings = new SeasonSettings(
                null,
                Aim.Kind.CHRONIC_LOAD,
                aim,
                old.blockDays(),
                old.easyEvery(),
                old.easyInDays(),
                old.easyDays(),
                HIGHEST_BUILD,
                Math.min(100, hours),
                answers.minutes(),
                answers.longDay(),
                answers.stacked(),
                answers.shares());
        SeasonEvent same = held.events().stream()
                .filter(e ->
                        e.name().equalsIgnoreCase(answers.event()) && !e.day().isBefore(trend.today()))
                .findFirst()
                .orElse(null);
        SeasonEvent taken = held.events().stream()
                .filter(e -> e != same && e.day().equals(day))
                .findFirst()
                .orElse(null);
        if (taken != null)
            throw new IllegalArgumentException("Day: on " + day + " there is “" + taken.name()
                    + "” already; choose another day, such as " + day.plusDays(1) + ".");
        Integer seconds = answers.seconds() != null
                ? answers.seconds()
                : expected(answers) == null ? null : (Integer) (int) Math.round(expected(answers));
        SeasonEvent event = new SeasonEvent(
                same == null ? 0 : same.id(),
                day,
                same == null ? 1 : same.days(),
                answers.event(),
                Priority.A,
                answers.kind(),
                answers.sport(),
                answers.metres(),
                seconds,
                same == null ? List.of() : same.demands());
        List<SeasonEvent> events =
                new ArrayList<>(held.events().stream().filter(e -> e != same).toList());
        events.add(event);
        return held.withSettings(settings).withEvents(events);
    }

    private static Double expected(SetupAnswers answers) {
        if (answers.result() == null || answers.metres() == null) return null;
        return Endurance.usual(answers.sport())
                .secondsFor(
                        answers.metres(),
                        answers.result().metres(),
                        answers.result().seconds());
    }

    /** The first Sunday by which the plan reaches what the hours can carry. */
    private static LocalDate suggested(Athlete athlete, Held held, Trend trend, SetupAnswers answers, double perHour) {
        LocalDate sunday = trend.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
        for (int weeks = FEWEST_WEEKS; weeks < MOST_WEEKS; weeks++) {
            LocalDate day = sunday.plusWeeks(weeks);
            if (held.events().stream().anyMatch(e -> e.day().equals(day))) continue;
            Held wanted = wanted(held, trend, answers, day, perHour);
            if (Generator.plan(SeasonPlanner.ask(athlete, wanted, trend, perHour))
                    .outcome()
                    .met()) return day;
        }
        return sunday.plusWeeks(MOST_WEEKS);
    }

    private static Held changed(Held held, Map<LocalDate, Double> loads) {
        List<Block> blocks = held.blocks();
        for (Map.Entry<LocalDate, Double> load : loads.entrySet())
            if (blocks.stream().anyMatch(b -> b.first().equals(load.getKey())))
                blocks = BlockEditing.withLoad(blocks, load.getKey(), load.getValue());
        return held.withBlocks(blocks);
    }

    /** Saves what the review showed, as one step. @return how many sessions are on the board */
    @Transactional
    int save(Athlete athlete, Viewer viewer, Trend trend, SetupAnswers answers, Integer revision) {
        Review review = review(athlete, viewer, trend, answers);
        if (trend.days().isEmpty())
            athletes.setStartLoad(
                    new Visit(athlete.id(), viewer), answers.presentHours() * LOAD_PER_HOUR_WITHOUT_DATA / 7);
        int[] sessions = {0};
        undo.asOne(new Visit(athlete.id(), viewer), "Set up the season towards “" + answers.event() + "”.", () -> {
            changes.setUp(new SeasonChanges.Asking(new Visit(athlete.id(), viewer), revision, false), review.held());
            sessions[0] = fill(athlete, viewer, trend.today(), answers.existing());
        });
        return sessions[0];
    }

    @Transactional
    int fill(Athlete athlete, Viewer viewer, LocalDate today, Map<LocalDate, Existing> existing) {
        return filling.put(athlete, viewer, new BoardFilling.Wanted(plan.held(athlete), today, existing));
    }
}
