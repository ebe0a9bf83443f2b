package pemblar.app.adjust.instead;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.adjust.AdjustService;
import pemblar.app.adjust.Shown;
import pemblar.app.adjust.Situations;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.undo.UndoService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.adjust.Instead;
import pemblar.core.adjust.Instead.Feeling;
import pemblar.core.adjust.Instead.Option;
import pemblar.core.adjust.Session;
import pemblar.core.adjust.Situation;
import pemblar.core.schedule.Purpose;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** Other workouts for today out of the library, and one of them in place of what is planned. */
@Service
public class InsteadService {
    static final int LEAST_MINUTES = 15;
    static final int MOST_MINUTES = 480;
    private final Situations situations;
    private final TrendService trends;
    private final WorkoutService workouts;
    private final ThresholdService thresholds;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final AthleteService athletes;
    private final UndoService undo;
    private final InstantSource clock;

    InsteadService(
            Situations situations,
            TrendService trends,
            WorkoutService workouts,
            ThresholdService thresholds,
            SessionService sessions,
            ScheduleService schedule,
            AthleteService athletes,
            UndoService undo,
            InstantSource clock) {
        this.situations = situations;
        this.trends = trends;
        this.workouts = workouts;
        this.thresholds = thresholds;
        this.sessions = sessions;
        this.schedule = schedule;
        this.athletes = athletes;
        this.undo = undo;
        this.clock = clock;
    }

    /** One workout as a page shows it. @param steps in shorthand, at its scale */
    public record Shown(
            long workout,
            String title,
            int percent,
            Purpose purpose,
            int seconds,
            double load,
            String steps,
            double chronic,
            double weekLoad) {}

    /**
     * @param replaced title of the session it would stand for; null on a day without one @param morning which one
     *     chronic load is of, in words
     */
    public record Offers(
            String replaced,
            double plannedChronic,
            double plannedWeek,
            boolean strained,
            String morning,
            List<Shown> shown) {}

    /** What is left for today. */
    public record Left(int minutes, Feeling feeling) {}

    @Transactional(readOnly = true)
    public Offers of(Athlete athlete, Viewer viewer, Trend trend, Left left) {
        int minutes = left.minutes();
        Feeling feeling = left.feeling();
        Zones zones = thresholds.zonesOf(athlete).on(trend.today());
        Map<Long, Shelved> byId = new HashMap<>();
        List<Option> options = new ArrayList<>();
        for (Shelved shelved : workouts.library(viewer)) {
            if (!suits(shelved, athlete)) continue;
            option(shelved, zones, minutes).ifPresent(option -> {
                byId.put(shelved.id(), shelved);
                options.add(option);
            });
        }
        Situation situation = situations.of(athlete, trend);
        Instead.Answer answer = Instead.of(situation, options, feeling);
        String replaced = answer.replaced()
                .map(r -> sessions.slab(new Visit(athlete.id(), viewer), Long.parseLong(r.id()))
                        .title())
                .orElse(null);
        return new Offers(
                replaced,
                answer.planned().chronic(),
                answer.plannedWeek(),
                answer.strained(),
                AdjustService.morning(situation),
                answer.choices().stream()
                        .map(c -> shown(c, byId.get(c.option().id())))
                        .toList());
    }

    private static Shown shown(Instead.Choice choice, Shelved shelved) {
        Option o = choice.option();
        return new Shown(
                o.id(),
                shelved.title(),
                o.percent(),
                o.purpose(),
                o.seconds(),
                o.load(),
                ShorthandText.of(shelved.workout().scaled(o.percent() / 100.0)),
                choice.effect().chronic(),
                choice.weekLoad());
    }

    private static boolean suits(Shelved shelved, Athlete athlete) {
        return athlete.trains(shelved.workout().sport())
                && !shelved.folder().equals("Tests")
                && !shelved.folder().equals("Pre-race")
                && !shelved.tags().contains("test");
    }

    /** A workout at the scale at which it takes the minutes; nothing when it cannot, or when its load is not known. */
    private static Optional<Option> option(Shelved shelved, Zones zones, int minutes) {
        try {
            OptionalInt percent =
                    Instead.percent(Forecast.of(shelved.workout(), zones).seconds(), minutes);
            if (percent.isEmpty()) return Optional.empty();
            Workout scaled = shelved.workout().scaled(percent.getAsInt() / 100.0);
            Forecast forecast = Forecast.of(scaled, zones);
            if (forecast.load().isEmpty()) return Optional.empty();
            OptionalDouble lowest = forecast.lowestReserve()
                    .map(l -> OptionalDouble.of(l.joules()))
                    .orElse(OptionalDouble.empty());
            return Optional.of(new Option(
                    shelved.id(),
                    percent.getAsInt(),
                    Purpose.of(forecast, shelved.workout().sport()),
                    forecast.seconds(),
                    forecast.load().getAsDouble(),
                    lowest));
        } catch (IllegalArgumentException e) {
            return Optional.empty(); // a threshold that this workout needs is missing: others will do
        }
    }

    /** Puts a workout in the place of today's session, or on the free day, as one step. @return what to say */
    @Transactional
    public String put(Visit visit, long workout, int percent) {
        Athlete athlete = athletes.require(visit);
        LocalDate today = athlete.dayOf(clock.instant());
        if (percent < Instead.LEAST_PERCENT || percent > Instead.MOST_PERCENT)
            throw new IllegalArgumentException("Scale: choose 70 to 130 %.");
        Shelved shelved = workouts.require(workout, visit.viewer());
        Slab replaced = Instead.of(situations.of(athlete, trends.of(athlete)), List.of(), Feeling.AS_USUAL)
                .replaced()
                .map(Session::id)
                .map(id -> sessions.slab(visit, Long.parseLong(id)))
                .orElse(null);
        String label = replaced == null
                ? "Put “" + shelved.title() + "” on today."
                : "Put “" + shelved.title() + "” in place of “" + replaced.title() + "”.";
        undo.asOne(visit, label, () -> {
            if (replaced != null) schedule.remove(visit, replaced.id(), null);
            long id = schedule.schedule(
                    visit,
                    today,
                    replaced == null ? null : replaced.startMinute(),
                    new ScheduleService.Chosen(shelved.title(), shelved.workout(), shelved.id(), shelved.version()));
            if (percent != 100) schedule.scale(visit, id, null, percent);
        });
        return label;
    }
}
