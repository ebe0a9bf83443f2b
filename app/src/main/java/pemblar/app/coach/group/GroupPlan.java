package pemblar.app.coach.group;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Shown;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.season.SeasonSettings.Marked;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.ScheduleService.Placed;
import pemblar.app.session.done.StrengthFigures;
import pemblar.app.session.reading.SessionService;
import pemblar.app.template.TemplateService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.design.Design;
import pemblar.core.schedule.Purpose;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Workout;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;

/** What a workout or a template would be for each athlete of a group, on each one's own dates. */
@Component
class GroupPlan {
    private static final int HARD_APART_DAYS = 1;
    private final TemplateService templates;
    private final WorkoutService workouts;
    private final SessionService sessions;
    private final PlanService plan;
    private final ThresholdService thresholds;
    private final StrengthFigures strength;
    private final InstantSource clock;

    GroupPlan(
            TemplateService templates,
            WorkoutService workouts,
            SessionService sessions,
            PlanService plan,
            ThresholdService thresholds,
            StrengthFigures strength,
            InstantSource clock) {
        this.strength = strength;
        this.templates = templates;
        this.workouts = workouts;
        this.sessions = sessions;
        this.plan = plan;
        this.thresholds = thresholds;
        this.clock = clock;
    }

    /** By which of each one's days it is put. */
    public enum By {
        FIRST_DAY,
        LAST_DAY,
        EVENT
    }

    /**
     * What is asked for.
     *
     * @param template null for a workout
     * @param workout null for a template
     * @param day the first or the last one
     * @param daysBefore each one's next event, with {@code EVENT}
     */
    record Wish(Long template, Long workout, By by, LocalDate day, int daysBefore, Integer startMinute) {}

    /** For one athlete. @param clashes in words; empty when all is well @param refused why it cannot be put */
    public record Share(Athlete athlete, List<Placed> placed, List<String> clashes, String refused) {
        public boolean isPossible() {
            return refused == null;
        }

        public LocalDate last() {
            return placed.get(placed.size() - 1).day();
        }
    }

    String title(Wish wish, Viewer coach) {
        return wish.template() != null
                ? templates.title(coach, wish.template())
                : workouts.require(wish.workout(), coach).title();
    }

    Share share(Wish wish, Athlete athlete, Viewer coach) {
        try {
            List<Placed> placed = placed(wish, athlete, coach);
            LocalDate today = athlete.dayOf(clock.instant());
            Optional<LocalDate> past = placed.stream()
                    .map(Placed::day)
                    .filter(d -> d.isBefore(today))
                    .findFirst();
            if (past.isPresent()) return refused(athlete, "it would begin on a day that is over");
            if (!athlete.draftsSeen()) return refused(athlete, "you see this athlete, but do not plan for them");
            return new Share(athlete, placed, clashes(athlete, placed), null);
        } catch (IllegalArgumentException e) {
            return refused(athlete, e.getMessage());
        }
    }

    private static Share refused(Athlete athlete, String why) {
        return new Share(athlete, List.of(), List.of(), why);
    }

    private List<Placed> placed(Wish wish, Athlete athlete, Viewer coach) {
        LocalDate day = wish.day();
        if (wish.by() == By.EVENT) {
            LocalDate today = athlete.dayOf(clock.instant());
            SeasonEvent next = plan.events(athlete).stream()
                    .filter(e -> !e.day().isBefore(today))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("no event lies ahead"));
            day = next.day().minusDays(wish.daysBefore());
        }
        if (day == null) throw new IllegalArgumentException("Day: choose one.");
        if (wish.template() != null)
            return templates.placed(
                    coach,
                    wish.template(),
                    wish.by() == By.FIRST_DAY ? TemplateService.How.FROM : TemplateService.How.ENDING,
                    day);
        Shelved kept = workouts.require(wish.workout(), coach);
        return List.of(new Placed(
                day, wish.startMinute(), new Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    private List<String> clashes(Athlete athlete, List<Placed> placed) {
        LocalDate first =
                placed.stream().map(Placed::day).min(LocalDate::compareTo).orElseThrow();
        LocalDate last =
                placed.stream().map(Placed::day).max(LocalDate::compareTo).orElseThrow();
        List<Slab> there = sessions.between(athlete, first.minusDays(HARD_APART_DAYS), last.plusDays(HARD_APART_DAYS));
        Set<LocalDate> gone = plan.marked(athlete).stream()
                .filter(Marked::unavailable)
                .map(Marked::day)
                .collect(Collectors.toSet());
        List<SeasonSettings.Away> away = plan.held(athlete).away();
        Shown shown = new Shown();
        DatedZones zones = thresholds.zonesOf(athlete);
        Map<LocalDate, List<Slab>> byDay = there.stream().collect(Collectors.groupingBy(Slab::day));
        List<String> clashes = new ArrayList<>();
        for (Placed one : placed) {
            String day = shown.day(one.day());
            if (gone.contains(one.day())) clashes.add(day + " is unavailable");
            away.stream()
                    .filter(a -> !one.day().isBefore(a.from()) && !one.day().isAfter(a.to()))
                    .findFirst()
                    .ifPresent(a -> clashes.add(day + " is away: " + a.reason()
                            + (a.weeklyHours() > 0 ? ", " + shown.plain(a.weeklyHours()) + " h a week left" : "")));
            for (Slab slab : byDay.getOrDefault(one.day(), List.of()))
                if (slab.done() == null) clashes.add(day + " holds “" + slab.title() + "”");
            Outcome outcome = outcome(one, zones.on(one.day()));
            if (outcome.missing() != null) clashes.add(outcome.missing());
            if (outcome.hard())
                there.stream()
                        .filter(s -> s.hard()
                                && Math.abs(s.day().toEpochDay() - one.day().toEpochDay()) == 1)
                        .findFirst()
                        .ifPresent(s -> clashes.add(day + " is next to “" + s.title() + "”, which is hard too"));
        }
        return clashes.stream().distinct().toList();
    }

    /** What a workout would be on its day. @param missing what it lacks to have its watts, beats or pace; null: none */
    private record Outcome(String missing, boolean hard) {}

    private Outcome outcome(Placed one, Zones zones) {
        return one.chosen().design().answer(new Design.Cases<>() {
            @Override
            public Outcome endurance(Workout workout) {
                try {
                    Purpose purpose = Purpose.of(Forecast.of(workout, zones), workout.sport());
                    return new Outcome(null, purpose != null && purpose.isHard());
                } catch (IllegalArgumentException e) {
                    return new Outcome(e.getMessage(), false);
                }
            }

            @Override
            public Outcome strength(StrengthWorkout workout) {
                return new Outcome(null, strength.isHeavyOnLegs(StrengthText.of(workout)));
            }
        });
    }
}
