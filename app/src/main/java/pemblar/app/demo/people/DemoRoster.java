package pemblar.app.demo.people;

import java.time.DayOfWeek;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.springframework.stereotype.Component;
import pemblar.app.account.AccountService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.checkin.Checkin;
import pemblar.app.checkin.CheckinService;
import pemblar.app.coach.MorningService;
import pemblar.app.demo.DemoDrafts;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.Slab;
import pemblar.app.session.change.SketchService;
import pemblar.app.session.done.DoneService;
import pemblar.app.session.reading.SessionService;
import pemblar.benchunit.NightSensor;
import pemblar.core.schedule.Purpose;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;

/**
 * The rest of the coach's athletes: five weeks of sketched sessions, told by hand, in three groups; two need something
 * now, four something small.
 */
@Component
public class DemoRoster {
    private static final List<String> NAMES = List.of(
            "Runa Velm",
            "Ilko Dars",
            "Mette Orsin",
            "Tavi Kolder",
            "Sanne Brook",
            "Edo Marrin",
            "Lioba Fenn",
            "Yannic Stoel",
            "Peri Adler",
            "Nuno Calder",
            "Greta Holm",
            "Arvid Sunn",
            "Malou Terres",
            "Bento Rask",
            "Ines Varga",
            "Oskar Lind",
            "Tilde Moor",
            "Rafe Quill",
            "Sunniva Dahl",
            "Jory Pike",
            "Wanda Kell");
    private static final String[] GROUPS = {"Monday riders", "Club runners", "Masters"};
    private static final int DAYS_BEHIND = 35;
    private static final int DAYS_AHEAD = 21;
    private static final int ILL = 3;
    private static final int GONE = 8;
    private static final int EVENT_SOON = 5;
    private static final int RUNS_OUT = 11;
    private static final int SLIPPED = 14;
    private static final int SLIPPED_TOO = 17;
    private static final int UNSHARED = 5;
    private static final int UNSHARED_TOO = 16;
    private final AccountService accounts;
    private final AthleteService athletes;
    private final CoachingService coachings;
    private final SketchService sketches;
    private final DoneService done;
    private final SessionService sessions;
    private final CheckinService checkins;
    private final PlanService plan;
    private final MorningService morning;
    private final DemoDrafts drafts;
    private final InstantSource clock;

    DemoRoster(
            AccountService accounts,
            AthleteService athletes,
            CoachingService coachings,
            SketchService sketches,
            DoneService done,
            SessionService sessions,
            CheckinService checkins,
            PlanService plan,
            MorningService morning,
            DemoDrafts drafts,
            InstantSource clock) {
        this.drafts = drafts;
        this.accounts = accounts;
        this.athletes = athletes;
        this.coachings = coachings;
        this.sketches = sketches;
        this.done = done;
        this.sessions = sessions;
        this.checkins = checkins;
        this.plan = plan;
        this.morning = morning;
        this.clock = clock;
    }

    public void add(Viewer coach, String password) {
        for (String group : GROUPS) morning.addGroup(coach, group);
        List<Long> groups =
                morning.groups(coach).stream().map(MorningService.Group::id).toList();
        for (int i = 0; i < NAMES.size(); i++) {
            String name = NAMES.get(i);
            Viewer viewer = accounts.create(
                    name.split(" ")[0].toLowerCase(java.util.Locale.ROOT) + "@pemblar.example", name, password);
            Athlete athlete =
                    athletes.create(viewer, java.util.List.of(i % 3 == 1 ? Sport.RUN : Sport.RIDE), "Europe/Dublin");
            coachings.begin(athlete.id(), coach.accountId(), true);
            morning.member(coach, groups.get(i % groups.size()), athlete.id(), true);
            weeks(i, athlete, viewer);
            mornings(i, athlete);
            if (i == UNSHARED || i == UNSHARED_TOO) drafts.add(athlete, coach, 2);
        }
        athletes.roster(coach).stream()
                .filter(a -> !NAMES.contains(a.name()) && a.trains(Sport.RIDE))
                .forEach(a -> morning.member(coach, groups.get(0), a.id(), true));
    }

    private void weeks(int i, Athlete athlete, Viewer viewer) {
        Random random = new Random(900 + i);
        LocalDate today = athlete.dayOf(clock.instant());
        int until = i == RUNS_OUT ? 3 : DAYS_AHEAD;
        List<SketchService.Slotted> all = new ArrayList<>();
        for (int day = -DAYS_BEHIND; day <= until; day++)
            sketch(athlete, today.plusDays(day), 0.9 + 0.2 * random.nextDouble())
                    .ifPresent(s -> all.add(new SketchService.Slotted(s, null, 100)));
        SketchService.Stretch stretch = new SketchService.Stretch(
                today.minusDays(DAYS_BEHIND), today.plusDays(until), SketchService.Existing.AROUND);
        sketches.place(new Visit(athlete.id(), viewer), List.of(stretch), all, "Demo");
        Set<Integer> missed = new HashSet<>();
        if (i == GONE) for (int day = -6; day < 0; day++) missed.add(day);
        for (Slab slab : sessions.between(athlete, today.minusDays(DAYS_BEHIND), today.minusDays(1))) {
            int day = (int) (slab.day().toEpochDay() - today.toEpochDay());
            boolean slipped = (i == SLIPPED || i == SLIPPED_TOO) && slab.hard() && day >= -4;
            if (missed.contains(day) || slipped || day < -8 && random.nextDouble() < 0.05) continue;
            done.done(
                    new Visit(athlete.id(), viewer),
                    slab.id(),
                    null,
                    new DoneService.Told(slab.plannedSeconds(), null, slab.hard() ? 6.0 : 3.0, ""));
        }
        Block block =
                new Block(today.minusDays(5), 14, Block.Phase.BUILD, "Build 1", "longer time near threshold", 0, 0);
        LocalDate race = today.plusDays(i == EVENT_SOON ? 6 : 40 + i);
        plan.make(
                athlete,
                held -> held.withBlocks(List.of(block))
                        .withEvents(List.of(
                                new SeasonEvent(race, "Heather hills day", i % 2 == 0 ? Priority.A : Priority.B))));
    }

    private static java.util.Optional<SketchService.Sketch> sketch(Athlete athlete, LocalDate day, double share) {
        DayOfWeek weekday = day.getDayOfWeek();
        Purpose purpose = switch (weekday) {
            case TUESDAY -> Purpose.INTERVALS;
            case THURSDAY -> Purpose.THRESHOLD;
            case WEDNESDAY, SATURDAY -> Purpose.EASY;
            case SUNDAY -> Purpose.LONG;
            default -> null;
        };
        if (purpose == null) return java.util.Optional.empty();
        int minutes = (int) Math.round((purpose == Purpose.LONG ? 130 : purpose.isHard() ? 65 : 55) * share / 5) * 5;
        String title = switch (purpose) {
            case INTERVALS -> "Short and hard";
            case THRESHOLD -> "Long and firm";
            case LONG -> "Long one";
            default -> "Easy hour";
        };
        return java.util.Optional.of(
                new SketchService.Sketch(day, 17 * 60 + 30, title, athlete.first(), purpose, minutes * 60));
    }

    private void mornings(int i, Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        NightSensor sensor = new NightSensor(44 + i % 11, 48 + i, 60, new Random(500 + i));
        List<Checkin> all = new ArrayList<>();
        for (int day = -45; day <= (i == GONE ? -7 : 0); day++) {
            NightSensor.Night night = sensor.next(60, i == ILL && day >= -1);
            if (!night.isMissing())
                all.add(new Checkin(
                        today.plusDays(day),
                        night.restingBpm(),
                        night.rmssd(),
                        night.sleepMinutes(),
                        null,
                        null,
                        null,
                        null,
                        null,
                        i == ILL && day == 0 ? "fever" : "",
                        "",
                        ""));
        }
        checkins.make(athlete, CheckinService.Source.SENSOR, all);
    }
}
