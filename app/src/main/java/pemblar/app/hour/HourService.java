package pemblar.app.hour;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Memberships;
import pemblar.app.bench.BenchService;
import pemblar.app.bench.Lead;
import pemblar.app.bench.Screen;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.workout.SharedClock;

/**
 * A coach opens a workout for a group at a clock time; who joins does it on their own unit by the same clock, with
 * their own targets.
 */
@Service
public class HourService {
    private static final Duration LONGEST = Duration.ofHours(12);
    private static final Duration SEEN_BEFORE = Duration.ofHours(36);
    /** A clock time has no seconds, and the form takes some to fill in. */
    private static final Duration STILL_NOW = Duration.ofMinutes(3);

    private static final Duration FARTHEST = Duration.ofDays(60);
    private static final int LATEST = 12;
    private static final int LONGEST_CUE = 140;
    private final HourStore store;
    private final Memberships groups;
    private final AthleteService athletes;
    private final WorkoutService workouts;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final BenchService bench;
    private final InstantSource clock;

    HourService(
            HourStore store,
            Memberships groups,
            AthleteService athletes,
            WorkoutService workouts,
            SessionService sessions,
            ScheduleService schedule,
            BenchService bench,
            InstantSource clock) {
        this.store = store;
        this.groups = groups;
        this.athletes = athletes;
        this.workouts = workouts;
        this.sessions = sessions;
        this.schedule = schedule;
        this.bench = bench;
        this.clock = clock;
    }

    /** The group of a coach. @throws NotFoundException when it is another's */
    Memberships.Group group(long groupId, Viewer coach) {
        return groups.kept(coach).stream()
                .filter(g -> g.id() == groupId)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("group"));
    }

    /** The zone in which a coach reads and types clock times: their own, else that of the group's first athlete. */
    ZoneId zone(Memberships.Group group, Viewer coach) {
        return athletes.own(coach)
                .map(id -> athletes.require(new Visit(id, coach)))
                .or(() -> groups.members(group.id(), coach).stream().findFirst())
                .map(a -> a.local(clock.instant()).getZone())
                .orElse(ZoneOffset.UTC);
    }

    List<Hour> latest(Memberships.Group group) {
        return store.latest(group.id(), LATEST);
    }

    /** An hour to be opened. @param minute of the day @param speed times the clock's */
    record Wanted(long workoutId, LocalDate day, int minute, int speed) {}

    /** @throws IllegalArgumentException when it cannot be done by one clock, with the reason and the way out */
    @Transactional
    long open(Memberships.Group group, Viewer coach, Wanted wanted) {
        Shelved shelved = workouts.require(wanted.workoutId(), coach);
        new SharedClock(shelved.workout());
        Instant now = clock.instant();
        Instant starts = wanted.day()
                .atStartOfDay()
                .plusMinutes(wanted.minute())
                .atZone(zone(group, coach))
                .toInstant();
        if (starts.isBefore(now.minus(STILL_NOW)))
            throw new IllegalArgumentException("Clock time: that is over already. Choose one that lies ahead.");
        if (starts.isAfter(now.plus(FARTHEST)))
            throw new IllegalArgumentException("Day: a group hour can be opened for the next 60 days.");
        return store.open(new Hour(
                0,
                group.id(),
                coach.accountId(),
                shelved.title(),
                shelved.id(),
                shelved.version(),
                shelved.workout(),
                starts,
                wanted.speed()));
    }

    /** @throws NotFoundException when it is not this coach's and group's */
    Hour require(long groupId, long hourId, Viewer coach) {
        group(groupId, coach);
        return store.find(hourId)
                .filter(h -> h.groupId() == groupId && h.accountId() == coach.accountId())
                .orElseThrow(() -> new NotFoundException("group hour"));
    }

    @Transactional
    void drop(Hour hour) {
        if (!store.riders(hour.id()).isEmpty())
            throw new IllegalArgumentException("Somebody has joined already: end it for all on its page instead.");
        store.drop(hour.id());
    }

    /** Where the whole group is. @param until seconds before it begins; 0 once it has */
    record Clock(SharedClock.At at, int until, Lead lead) {}

    Clock clock(Hour hour) {
        long millis = clock.millis();
        Lead lead = store.lead(hour, millis);
        int now = Math.max(-Integer.MAX_VALUE, lead.second(millis));
        return new Clock(lead.clock().at(Math.max(0, now), lead.events()), Math.max(0, -now), lead);
    }

    /** One of the group. @param session of who has joined, else null @param screen while the unit runs, else null */
    record Rider(Athlete athlete, Long session, Screen screen) {}

    List<Rider> riders(Hour hour, Viewer coach) {
        Map<Long, Long> joined = store.riders(hour.id());
        Map<Long, Screen> screens = bench.ofHour(hour.id()).stream()
                .collect(Collectors.toMap(Screen::athleteId, Function.identity(), (a, b) -> b));
        return groups.members(hour.groupId(), coach).stream()
                .map(a -> new Rider(a, joined.get(a.id()), screens.get(a.id())))
                .toList();
    }

    /** Does something for all; a cue has words. @throws IllegalArgumentException when it is none of these */
    @Transactional
    void press(Hour hour, String key, String text) {
        String words = text.strip().replaceAll("\\p{Cntrl}+", " ");
        if (key.equals(HourStore.CUE)) {
            if (words.isEmpty() || words.length() > LONGEST_CUE)
                throw new IllegalArgumentException("Cue: enter 1 to " + LONGEST_CUE + " characters.");
        } else if (!List.of("LONGER", "NEXT", "END_SET", "STOP").contains(key)) {
            throw new IllegalArgumentException("That is no key of a group hour.");
        } else {
            check(clock(hour), key);
        }
        if (!store.press(hour.id(), clock.millis(), key, key.equals(HourStore.CUE) ? words : ""))
            throw new IllegalArgumentException("That was a lot for one hour: no more is taken.");
    }

    /** What would do nothing is not said to have been done. */
    private static void check(Clock now, String key) {
        if (now.until() > 0) throw new IllegalArgumentException("It has not begun yet.");
        if (now.at().over()) throw new IllegalArgumentException("The hour is over.");
        SharedClock steps = now.lead().clock();
        if (key.equals("LONGER") && !steps.hasRecovery(now.at().part()))
            throw new IllegalArgumentException("No recovery lies ahead: nothing is longer.");
        if (key.equals("END_SET") && !steps.isInSet(now.at().part()))
            throw new IllegalArgumentException("No set is under way. To go on, end the step.");
    }

    /** An hour that an athlete may join. @param session of who has joined already, else null */
    public record Open(long id, String title, Instant startsAt, boolean begun, Long session) {
        /** When it is, by the athlete's clock. */
        public String when(Athlete athlete) {
            if (begun) return "with the group: it is under way";
            ZonedDateTime at = athlete.local(startsAt);
            return "with the group, " + new Shown().day(at.toLocalDate()) + " at "
                    + new Shown().timeOfDay(at.getHour() * 60 + at.getMinute());
        }
    }

    /** Hours of present coaches' groups that go on or begin within a day and a half. */
    public List<Open> open(Athlete athlete) {
        List<Long> mine = groups.groupsOf(athlete.id());
        if (mine.isEmpty()) return List.of();
        Instant now = clock.instant();
        List<Open> open = new ArrayList<>();
        for (Hour hour : store.ofGroups(mine, now.minus(LONGEST), now.plus(SEEN_BEFORE))) {
            if (clock(hour).at().over()) continue;
            open.add(new Open(
                    hour.id(),
                    hour.title(),
                    hour.startsAt(),
                    !hour.startsAt().isAfter(now),
                    store.riders(hour.id()).get(athlete.id())));
        }
        return open;
    }

    /**
     * Joins with the session of that workout on that day, else with a new one, and starts the unit.
     *
     * @return the session
     * @throws IllegalArgumentException when it is over or a threshold is missing
     */
    @Transactional
    public long join(Visit visit, long hourId) {
        Athlete athlete = athletes.require(visit);
        Hour hour = store.find(hourId)
                .filter(h -> groups.groupsOf(visit.athleteId()).contains(h.groupId()))
                .orElseThrow(() -> new NotFoundException("group hour"));
        if (clock(hour).at().over()) throw new IllegalArgumentException("The group has finished this hour.");
        LocalDate day = athlete.dayOf(hour.startsAt());
        if (day.isAfter(athlete.dayOf(clock.instant())))
            throw new IllegalArgumentException("It begins tomorrow: join on its day.");
        long session = planned(athlete, visit.viewer(), day, hour)
                .orElseGet(() -> schedule.schedule(visit, day, minute(athlete, hour), chosen(hour)));
        store.join(hourId, visit.athleteId(), session);
        bench.join(visit, session, hourId);
        return session;
    }

    /** A session of that day that was planned as just this. */
    private Optional<Long> planned(Athlete athlete, Viewer viewer, LocalDate day, Hour hour) {
        return sessions.between(athlete.seeingDrafts(false), day, day).stream()
                .filter(s -> s.planned()
                        && s.done() == null
                        && Long.valueOf(hour.workoutId()).equals(s.workoutId()))
                .map(Slab::id)
                .filter(id -> sessions.open(new Visit(athlete.id(), viewer), id)
                        .workout()
                        .filter(hour.workout()::equals)
                        .isPresent())
                .findFirst();
    }

    private static int minute(Athlete athlete, Hour hour) {
        return athlete.local(hour.startsAt()).toLocalTime().toSecondOfDay() / 60;
    }

    private static ScheduleService.Chosen chosen(Hour hour) {
        return new ScheduleService.Chosen(hour.title(), hour.workout(), hour.workoutId(), hour.workoutVersion());
    }
}
