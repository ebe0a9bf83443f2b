package pemblar.app.demo;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import pemblar.app.account.AccountService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.demo.people.DemoMornings;
import pemblar.app.demo.people.DemoOthers;
import pemblar.app.demo.people.DemoRoster;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.IntakeService;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.WorkoutService;
import pemblar.benchunit.HeadUnit;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.workout.Workout;
import pemblar.core.zone.DatedZones;
import pemblar.formats.fit.FitWorkouts;

/**
 * Loads the demo scenario into an empty database: planned by the ordinary services, done by the bench unit, read by the
 * ordinary import.
 */
@Component
@ConditionalOnProperty("pemblar.demo")
class DemoLoader implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);
    /** Printed on loading; the demo is for a machine of one's own. */
    static final String PASSWORD = "pemblar-demo";

    private static final long SERIAL = 4711;
    /**
     * A little under what the simulated bodies have, so that an all-out effort is evidence that it was set too low,
     * whatever the day.
     */
    private static final double SET_RESERVE_JOULES = 18_800;

    private static final List<DemoAthlete> ATHLETES = List.of(
            new DemoAthlete(
                    "Jonna Thale",
                    "jonna@pemblar.example",
                    List.of(Sport.RIDE),
                    "Europe/Helsinki",
                    268,
                    3.6,
                    47,
                    188,
                    66,
                    9,
                    2,
                    5,
                    "Saltmarsh circuit",
                    "Quarry hill trial",
                    "Lantern coast tour",
                    11),
            new DemoAthlete(
                    "Sefa Myrin",
                    "sefa@pemblar.example",
                    List.of(Sport.RUN),
                    "Europe/Dublin",
                    230,
                    4.25,
                    50,
                    192,
                    57,
                    7,
                    3,
                    7,
                    "Alder ridge ten",
                    "Mill town twenty",
                    "Three bridges run",
                    22),
            new DemoAthlete(
                    "Kasper Odell",
                    "kasper@pemblar.example",
                    List.of(Sport.RIDE, Sport.RUN, Sport.SWIM),
                    "Europe/Athens",
                    245,
                    3.85,
                    52,
                    184,
                    74,
                    10,
                    2,
                    4,
                    "Heron lake triathlon",
                    "Fen loop",
                    "Juniper bay triathlon",
                    33));

    /** The script that waits shows them. */
    private static final int SAID_EVERY = 100;

    private static final int SHORTEST_BLOCK = 3;

    private final AtomicInteger taken = new AtomicInteger();
    private final AccountService accounts;
    private final AthleteService athletes;
    private static final int DAYS_SHARED = 10;
    private final DemoDrafts drafts;
    private final CoachingService coachings;
    private final DemoMornings mornings;
    private final DemoRoster roster;
    private final DemoSky sky;
    private final DemoOthers others;
    private final ThresholdService thresholds;
    private final WorkoutService workouts;
    private final ScheduleService schedule;
    private final IntakeService recordings;
    private final PlanService plan;
    private final TrendService trends;
    private final DemoTests tests;
    private final DemoWords words;
    private final DemoStrength strength;
    private final InstantSource clock;

    DemoLoader(
            AccountService accounts,
            AthleteService athletes,
            ThresholdService thresholds,
            WorkoutService workouts,
            ScheduleService schedule,
            IntakeService recordings,
            PlanService plan,
            TrendService trends,
            DemoTests tests,
            DemoWords words,
            DemoStrength strength,
            InstantSource clock,
            CoachingService coachings,
            DemoMornings mornings,
            DemoDrafts drafts,
            DemoSky sky,
            DemoOthers others,
            DemoRoster roster) {
        this.others = others;
        this.drafts = drafts;
        this.sky = sky;
        this.roster = roster;
        this.mornings = mornings;
        this.coachings = coachings;
        this.accounts = accounts;
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.workouts = workouts;
        this.schedule = schedule;
        this.recordings = recordings;
        this.plan = plan;
        this.trends = trends;
        this.tests = tests;
        this.words = words;
        this.strength = strength;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) throws InterruptedException, ExecutionException {
        if (!accounts.isEmpty()) return;
        long begin = clock.millis();
        Viewer coach = accounts.create("oda@pemblar.example", "Oda Verling", PASSWORD);
        library(coach, List.of(Sport.RIDE, Sport.RUN, Sport.SWIM), true);
        ExecutorService workers = Executors.newFixedThreadPool(2);
        List<Future<Integer>> loads = new ArrayList<>();
        for (DemoAthlete demo : ATHLETES) {
            Viewer viewer = accounts.create(demo.email(), demo.name(), PASSWORD);
            Athlete athlete = athletes.create(viewer, demo.sports(), demo.zone());
            coachings.begin(athlete.id(), coach.accountId(), true);
            library(viewer, demo.sports(), false);
            values(demo, athlete, viewer);
            season(demo, athlete);
            sky.add(athlete, viewer);
            loads.add(workers.submit(() -> {
                int count = sessions(demo, athlete);
                strength.add(demo, athlete, viewer, today(athlete));
                targets(athlete);
                tests.add(demo, athlete, viewer, today(athlete));
                words.add(demo, athlete, viewer, coach);
                mornings.add(demo, athlete, today(athlete));
                if (demo.name().startsWith("Jonna"))
                    others.add(
                            athlete,
                            viewer,
                            today(athlete).plusDays(DemoAthlete.NEXT_A).minusYears(1));
                if (demo.sports().get(0) == Sport.RUN) drafts.add(athlete, coach, DAYS_SHARED);
                return count;
            }));
        }
        strength.keep(coach);
        roster.add(coach, PASSWORD);
        int count = 0;
        for (Future<Integer> load : loads) count += load.get();
        workers.shutdown();
        LOG.info("demo data: {} recordings in {} s", count, (clock.millis() - begin) / 1000);
    }

    /** Tests are the coach's, and shared; the rest everybody has as their own. */
    private void library(Viewer viewer, List<Sport> sports, boolean coach) {
        for (Sport sport : sports) shelve(viewer, DemoWorkouts.of(sport), coach);
    }

    private void shelve(Viewer viewer, Map<String, Workout> shelf, boolean coach) {
        shelf.forEach((title, workout) -> {
            boolean test = DemoWorkouts.folder(title).equals("Tests");
            if (test == coach)
                workouts.save(
                        null,
                        viewer,
                        new WorkoutService.Label(title, DemoWorkouts.folder(title), test ? "test" : "", coach),
                        workout);
        });
    }

    private LocalDate today(Athlete athlete) {
        return athlete.dayOf(clock.instant());
    }

    private void values(DemoAthlete demo, Athlete athlete, Viewer viewer) {
        LocalDate today = today(athlete);
        set(
                athlete,
                viewer,
                Quantity.THRESHOLD_HEART_RATE,
                today.plusDays(DemoAthlete.FIRST_DAY),
                demo.maximumBpm() - 18);
        set(athlete, viewer, Quantity.MAXIMUM_HEART_RATE, today.plusDays(DemoAthlete.FIRST_DAY), demo.maximumBpm());
        set(athlete, viewer, Quantity.RESTING_HEART_RATE, today.plusDays(DemoAthlete.FIRST_DAY), demo.restingBpm());
        set(athlete, viewer, Quantity.BODY_MASS, today.plusDays(DemoAthlete.FIRST_DAY), demo.kilograms() + 1.5);
        set(athlete, viewer, Quantity.BODY_MASS, today.minusDays(60), demo.kilograms());
        for (int day = DemoAthlete.FIRST_DAY; day < 0; day += DemoAthlete.DAYS_BETWEEN_TESTS) {
            LocalDate date = today.plusDays(day);
            double fit = demo.ability(day);
            if (demo.rides()) {
                set(athlete, viewer, Quantity.THRESHOLD_POWER, date, Math.round(demo.watts() * fit));
                set(athlete, viewer, Quantity.CRITICAL_POWER, date, Math.round(demo.watts() * fit * 1.01));
                set(athlete, viewer, Quantity.W_PRIME, date, Math.round(SET_RESERVE_JOULES * fit / 100) * 100.0);
            }
            if (demo.swims())
                set(
                        athlete,
                        viewer,
                        Quantity.SWIMMING_THRESHOLD_SPEED,
                        date,
                        Math.rint(DemoAthlete.SWIM_SPEED * fit * 100) / 100);
            if (demo.runs())
                set(
                        athlete,
                        viewer,
                        Quantity.THRESHOLD_SPEED,
                        date,
                        Math.rint(demo.metresPerSecond() * fit * 100) / 100);
        }
    }

    private void set(Athlete athlete, Viewer viewer, Quantity quantity, LocalDate from, double value) {
        thresholds.set(new Visit(athlete.id(), viewer), quantity, from, value);
    }

    private void season(DemoAthlete demo, Athlete athlete) {
        LocalDate today = today(athlete);
        List<SeasonEvent> events = List.of(
                demo.race(today.plusDays(DemoAthlete.LAST_A), demo.lastEvent(), Priority.A),
                demo.race(today.plusDays(DemoAthlete.CLUB_RACE), "Harbour club race", Priority.C),
                new SeasonEvent(
                        0,
                        today.plusDays(DemoAthlete.NEXT_B),
                        1,
                        demo.bEvent(),
                        Priority.B,
                        SeasonEvent.Kind.TIME_TRIAL,
                        demo.raceSport(),
                        demo.rides() ? null : (Double) 20_000.0,
                        5400,
                        List.of()),
                new SeasonEvent(
                        0,
                        today.plusDays(DemoAthlete.NEXT_A),
                        1,
                        demo.aEvent(),
                        Priority.A,
                        SeasonEvent.Kind.RACE,
                        demo.eventSport(),
                        demo.rides() ? (Double) 95_000.0 : (Double) 42_195.0,
                        3 * 3600,
                        demo.demands(),
                        demo.parts()));
        List<Block> planned =
                blocks(demo).stream().map(block -> block.at(today)).toList();
        plan.make(
                athlete,
                held -> held.withEvents(events)
                        .withBlocks(planned)
                        .withSettings(demo.settings())
                        .withAway(List.of(demo.away(today))));
    }

    /** A block by day numbers. */
    private record DemoBlock(int from, int days, boolean easy, String name, String aim) {
        Block at(LocalDate today) {
            return new Block(
                    today.plusDays(from), days, DemoAthlete.phase(from + days / 2), name, aim, 0, 0, easy, false);
        }

        DemoBlock longer(int by) {
            return new DemoBlock(from, days + by, easy, name, aim);
        }
    }

    /** None reaches beyond the A event: what follows it is recovery. */
    private static List<DemoBlock> blocks(DemoAthlete demo) {
        List<DemoBlock> blocks = new ArrayList<>();
        int day = DemoAthlete.FIRST_DAY;
        int number = 0;
        while (day < DemoAthlete.NEXT_A + 14) {
            boolean easy = ++number % (demo.blocksBetweenEasy() + 1) == 0;
            int days = easy ? demo.easyDays() : demo.blockDays();
            int left = DemoAthlete.NEXT_A + 1 - day;
            if (left > 0 && left < SHORTEST_BLOCK) {
                blocks.add(blocks.remove(blocks.size() - 1).longer(left));
                day += left;
                continue;
            }
            if (left > 0) days = Math.min(days, left);
            Block.Phase phase = DemoAthlete.phase(day + days / 2);
            String name = Character.toUpperCase(phase.name().charAt(0))
                    + phase.name().substring(1).toLowerCase(java.util.Locale.ROOT);
            blocks.add(new DemoBlock(day, days, easy, easy ? name + ", easy" : name, aim(phase, easy)));
            day += days;
        }
        return blocks;
    }

    private static String aim(Block.Phase phase, boolean easy) {
        if (easy) return "absorb, come back fresh";
        return switch (phase) {
            case BASE -> "hours, and force at low cadence";
            case BUILD -> "longer time near threshold";
            case PEAK -> "the event's own efforts";
            case TAPER -> "less of it, as sharp as before";
            case RECOVERY -> "whatever is fun";
        };
    }

    /** Blocks aim for what was planned in them. */
    private void targets(Athlete athlete) {
        List<DayLoad> days = trends.dayLoads(List.of(athlete));
        plan.make(
                athlete,
                held -> held.withBlocks(held.blocks().stream()
                        .map(b -> {
                            List<DayLoad> inside = days.stream()
                                    .filter(d -> b.contains(d.day()))
                                    .toList();
                            double load = 10
                                    * Math.rint(inside.stream()
                                                    .mapToDouble(DayLoad::plannedLoad)
                                                    .sum()
                                            / 10);
                            long seconds = 1800
                                    * Math.round(inside.stream()
                                                    .mapToLong(DayLoad::plannedSeconds)
                                                    .sum()
                                            / 1800.0);
                            return new Block(
                                    b.first(),
                                    b.days(),
                                    b.phase(),
                                    b.name(),
                                    b.aim(),
                                    load,
                                    (int) seconds,
                                    b.easy(),
                                    false);
                        })
                        .toList()));
    }

    private int sessions(DemoAthlete demo, Athlete athlete) {
        Random random = new Random(demo.seed());
        LocalDate today = today(athlete);
        DatedZones values = thresholds.zonesOf(athlete);
        int count = 0;
        for (DemoBlock block : blocks(demo)) {
            for (int day = block.from(); day < block.from() + block.days(); day++) {
                LocalDate date = today.plusDays(day);
                String title = day > DemoAthlete.NEXT_A ? "" : demo.planned(date, day, block.easy());
                if (title.isEmpty()) continue;
                Workout workout = title.startsWith("Race") || title.contains("all-out") || title.contains("trial")
                        ? workout(title)
                        : workout(title)
                                .scaled(Math.max(
                                        0.4,
                                        Math.min(1.3, Math.rint(20 * DemoAthlete.amount(day, block.easy())) / 20)));
                long id = schedule.add(athlete.id(), date, demo.startMinute(date), title, workout);
                if (day >= 0 || demo.isMissed(day, random)) continue;
                byte[] file = FitWorkouts.of(title, workout, values.on(date)).write(SERIAL, clock.instant());
                perform(demo, athlete, new Planned(day, date, id, workout.sport(), file), random);
                count++;
            }
        }
        return count;
    }

    private static Workout workout(String title) {
        return DemoWorkouts.named(title);
    }

    /** @param day of the demo, 0 today @param file the workout, for a device */
    private record Planned(int day, LocalDate date, long id, Sport sport, byte[] file) {}

    private void perform(DemoAthlete demo, Athlete athlete, Planned planned, Random random) {
        LocalDate date = planned.date();
        int late = random.nextInt(25);
        var start = athlete.at(date, demo.startMinute(date) + late);
        byte[] activity = HeadUnit.follow(
                planned.file(),
                demo.body(planned.sport(), planned.day()),
                start,
                random,
                DemoAthlete.faults(planned.day(), date, random));
        recordings.take(athlete, "bench-unit-" + date + ".fit", activity, Optional.of(planned.id()));
        int count = taken.incrementAndGet();
        if (count % SAID_EVERY == 0) LOG.info("demo data: {} of at most {} recordings", count, planned(today(athlete)));
    }

    /** Days behind that hold a session; some of them are missed. */
    private static int planned(LocalDate today) {
        int days = 0;
        for (DemoAthlete demo : ATHLETES)
            for (DemoBlock block : blocks(demo))
                for (int day = block.from(); day < Math.min(0, block.from() + block.days()); day++)
                    if (!demo.planned(today.plusDays(day), day, block.easy()).isEmpty()) days++;
        return days;
    }
}
