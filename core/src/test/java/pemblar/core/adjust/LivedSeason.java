package pemblar.core.adjust;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Function;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Aim;
import pemblar.core.season.Ask;
import pemblar.core.season.Event;
import pemblar.core.season.Generator;
import pemblar.core.season.Hours;
import pemblar.core.season.LoadPerHour;
import pemblar.core.season.Priority;
import pemblar.core.season.Rhythm;
import pemblar.core.season.Season;

/** Twenty weeks before an A event, lived day by day; each morning somebody may change what is planned. */
final class LivedSeason {
    static final int DAYS = 140;
    static final LocalDate FIRST = LocalDate.of(2027, 1, 4);
    private static final LocalDate RACE = FIRST.plusDays(DAYS);
    private static final double POINTS_AN_HOUR = 55;
    /** What nobody sees is not counted as broken: a tenth of chronic load in a week, half a point of balance. */
    private static final double SLIGHT = 0.1;

    private static final Event EVENT = new Event(RACE, 1, Priority.A, 220);
    private static final Map<DayOfWeek, Share> WEEK = Map.of(
            DayOfWeek.TUESDAY, new Share(0.18, true, false, 18),
            DayOfWeek.WEDNESDAY, new Share(0.12, false, false, 18),
            DayOfWeek.THURSDAY, new Share(0.18, true, false, 18),
            DayOfWeek.SATURDAY, new Share(0.17, false, false, 9),
            DayOfWeek.SUNDAY, new Share(0.35, false, true, 9));
    private final Life life;
    private final Function<Situation, List<Change>> morning;
    private final Situation.Limits limits;
    private final Map<String, Session> planned = new LinkedHashMap<>();
    private final List<Situation.Behind> behind = new ArrayList<>();
    private List<Situation.Target> blocks;
    private final double[] chronic = new double[DAYS + 8];
    private final double[] acute = new double[DAYS + 8];
    private int changes;

    private record Share(double share, boolean hard, boolean isLong, int hour) {}

    /** What a season came to. @param aim what the plan came to on its first day */
    record Outcome(
            double aim,
            double chronic,
            double balance,
            int overBuilt,
            int hardPairs,
            int underFloor,
            int tooEarly,
            int changes) {
        int broken() {
            return overBuilt + hardPairs + underFloor + tooEarly;
        }
    }

    LivedSeason(long seed, Function<Situation, List<Change>> morning) {
        Random r = new Random(seed);
        this.life = new Life(seed, DAYS);
        this.morning = morning;
        double start = 30 + r.nextInt(35);
        int build = 4 + r.nextInt(4);
        this.limits = new Situation.Limits(build, 6, 36, -30, Double.NaN, true);
        Season season = Generator.plan(new Ask(
                FIRST,
                RACE,
                List.of(EVENT),
                new Aim(Aim.Kind.CHRONIC_LOAD, start * (1.1 + 0.25 * r.nextDouble())),
                Rhythm.everyBlock(4, 7),
                build,
                new Hours(16, List.of()),
                LoadPerHour.even(POINTS_AN_HOUR),
                Ask.Start.steady(start),
                List.of(),
                Ask.Shape.FREE));
        for (int i = 0; i < 8; i++) chronic[i] = acute[i] = start;
        for (Season.Target block : season.targets()) fill(block);
        this.blocks = season.targets().stream()
                .map(t -> new Situation.Target(
                        t.first(), t.days(), t.phase(), t.load(), t.hours(), OptionalDouble.empty()))
                .toList();
    }

    private void fill(Season.Target block) {
        List<LocalDate> days = block.first()
                .datesUntil(block.last().plusDays(1))
                .filter(d -> WEEK.containsKey(d.getDayOfWeek()) && d.isBefore(RACE.minusDays(1)))
                .toList();
        double shares = days.stream()
                .mapToDouble(d -> WEEK.get(d.getDayOfWeek()).share())
                .sum();
        for (LocalDate day : days) {
            Share s = WEEK.get(day.getDayOfWeek());
            double load = block.load() * s.share() / shares;
            boolean hard = s.hard() && !(block.easy() && day.getDayOfWeek() == DayOfWeek.THURSDAY);
            String id = "p" + day;
            planned.put(
                    id,
                    new Session(
                            id,
                            day,
                            s.hour() * 60,
                            "ride",
                            hard ? "threshold" : "easy",
                            load,
                            load / POINTS_AN_HOUR,
                            hard,
                            s.isLong(),
                            false,
                            false));
        }
    }

    Outcome live() {
        double aim = new Foresight(situation(0), Plan.of(situation(0))).effect().chronic();
        for (int day = 0; day < DAYS; day++) {
            Situation s = situation(day);
            List<Change> taken = morning.apply(s);
            if (!taken.isEmpty()) apply(s, taken);
            double load = train(day);
            LoadTrend.Settings t = LoadTrend.Settings.DEFAULT;
            double keepChronic = Math.exp(-1 / t.chronicDays());
            double keepAcute = Math.exp(-1 / t.acuteDays());
            chronic[day + 8] = chronic[day + 7] * keepChronic + load * (1 - keepChronic);
            acute[day + 8] = acute[day + 7] * keepAcute + load * (1 - keepAcute);
        }
        return outcome(aim);
    }

    private void apply(Situation s, List<Change> taken) {
        changes += taken.size();
        Plan after = Plan.after(s, taken);
        planned.clear();
        for (Session p : after.sessions()) planned.put(p.id(), p);
        blocks = after.blocks();
        behind.removeIf(b -> after.recovered().contains(b.planned().id()));
    }

    private double train(int day) {
        LocalDate today = FIRST.plusDays(day);
        double load = 0;
        for (Session p : List.copyOf(planned.values())) {
            if (!p.day().equals(today)) continue;
            planned.remove(p.id());
            Optional<Situation.Done> done =
                    life.isLost(day) ? Optional.empty() : Optional.of(new Situation.Done(p.load(), p.hours()));
            behind.add(new Situation.Behind(p, done, OptionalDouble.empty(), false));
            load += done.map(Situation.Done::load).orElse(0.0);
        }
        return load;
    }

    private Situation situation(int day) {
        LocalDate today = FIRST.plusDays(day);
        List<Double> past = new ArrayList<>();
        for (int i = 1; i <= 7; i++) past.add(chronic[day + i]);
        List<Situation.Checkin> checkins = new ArrayList<>();
        for (int i = Math.max(0, day - 36); i <= day; i++)
            checkins.add(new Situation.Checkin(
                    FIRST.plusDays(i),
                    life.restingHeartRate(i),
                    Double.NaN,
                    Double.NaN,
                    life.isIll(i) ? "ill" : "",
                    ""));
        return new Situation(
                today,
                chronic[day + 7],
                acute[day + 7],
                past,
                LoadTrend.Settings.DEFAULT,
                behind.stream()
                        .filter(b -> b.planned().day().isAfter(today.minusDays(9)))
                        .toList(),
                List.copyOf(planned.values()),
                blocks.stream().map(t -> target(t, today)).toList(),
                List.of(new Situation.Coming(EVENT, Optional.empty(), false)),
                limits,
                checkins,
                life.known(day).stream()
                        .map(g ->
                                new Situation.Away(FIRST.plusDays(g.first()), FIRST.plusDays(g.last()), g.reason(), 0))
                        .toList(),
                List.of(),
                List.of());
    }

    private Situation.Target target(Situation.Target t, LocalDate today) {
        double done = behind.stream()
                .filter(b -> !b.planned().day().isBefore(t.first())
                        && !b.planned().day().isAfter(t.last()))
                .mapToDouble(b -> b.done().map(Situation.Done::load).orElse(0.0))
                .sum();
        return new Situation.Target(
                t.first(),
                t.days(),
                t.phase(),
                t.load(),
                t.hours(),
                t.first().isAfter(today) ? OptionalDouble.empty() : OptionalDouble.of(done));
    }

    private Outcome outcome(double aim) {
        int over = 0;
        int under = 0;
        for (int day = 0; day < DAYS; day++) {
            if (chronic[day + 8] - chronic[day + 1] > limits.buildRate() + SLIGHT) over++;
            if (chronic[day + 8] - acute[day + 8] < limits.balanceFloor() - 5 * SLIGHT) under++;
        }
        double last = chronic[DAYS + 7];
        return new Outcome(aim, last, last - acute[DAYS + 7], over, hardPairs(), under, tooEarly(), changes);
    }

    private int hardPairs() {
        List<Session> hard = behind.stream()
                .filter(b -> b.done().isPresent() && b.planned().hard())
                .map(Situation.Behind::planned)
                .sorted(Comparator.comparing(Session::start))
                .toList();
        int pairs = 0;
        for (int i = 1; i < hard.size(); i++)
            if (java.time.Duration.between(hard.get(i - 1).end(), hard.get(i).start())
                            .toMinutes()
                    < limits.spacingHours() * 60 - 1) pairs++;
        return pairs;
    }

    /** Days of a return after illness that were hard before its time or held more than it allows. */
    private int tooEarly() {
        int days = 0;
        for (Life.Gone g : life.gone()) {
            if (!g.reason().easesReturn()) continue;
            for (int i = 1; i <= g.days(); i++) {
                int day = g.last() + i;
                if (day >= DAYS) continue;
                List<Session> done = behind.stream()
                        .filter(b -> b.done().isPresent() && b.planned().day().equals(FIRST.plusDays(day)))
                        .map(Situation.Behind::planned)
                        .toList();
                double load = done.stream().mapToDouble(Session::load).sum();
                double most = chronic[g.last() + 8] * (0.5 + 0.5 * i / g.days());
                boolean hard = done.stream().anyMatch(Session::hard) && i < Math.max(2, g.days() / 2.0);
                if (hard || load > most * 1.03) days++;
            }
        }
        return days;
    }
}
