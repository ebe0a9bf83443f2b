package pemblar.app.prediction;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.DayCurve;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.Once;
import pemblar.app.planner.Likely;
import pemblar.app.prediction.Foreseen.Made;
import pemblar.app.recording.RecordingReading;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.prediction.Prediction;
import pemblar.core.prediction.RideCourse;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Quantity;

/**
 * Predicted results: over the usual distances and times today, and for events week by week, each from what was known by
 * its day; what was predicted is kept, and held against the result when it comes.
 */
@Service
public class PredictionService implements Likely {
    private static final int MOST_AHEAD = 6;
    private static final int MOST_PAST = 8;
    private static final int DAYS_PAST = 400;
    private static final double[] METRES = {5000, 10_000, 21_097.5, 42_195};
    private static final double[] SECONDS = {1200, 3600, 10_800, 18_000};
    private final ThresholdService thresholds;
    private final EffortService efforts;
    private final RecordingReading recordings;
    private final PlanService plan;
    private final PredictedStore store;
    private final InstantSource clock;
    private final DoubtService doubts;

    PredictionService(
            ThresholdService thresholds,
            EffortService efforts,
            RecordingReading recordings,
            PlanService plan,
            PredictedStore store,
            InstantSource clock,
            DoubtService doubts) {
        this.doubts = doubts;
        this.recordings = recordings;
        this.thresholds = thresholds;
        this.efforts = efforts;
        this.plan = plan;
        this.store = store;
        this.clock = clock;
    }

    /** @param asked metres or seconds */
    public record Predicted(double asked, Prediction prediction) {}

    /** @param k the exponent, with where it comes from; {@code missing} null unless nothing can be said */
    public record Usual(List<Predicted> all, double k, Endurance.Origin origin, String missing) {}

    /** A ride over a way with the power that is held on it. */
    public record Way(Prediction prediction, double watts) {}

    private Known known(Athlete athlete, Sport sport, LocalDate from) {
        LocalDate today = athlete.dayOf(clock.instant());
        LocalDate first = from.minusDays(Known.YEAR);
        return Once.of(
                "known for predictions",
                List.of(athlete.id(), sport, from),
                () -> Known.of(
                        sport,
                        athlete.sex(),
                        thresholds.of(athlete),
                        sound(athlete, sport, new DayRange(first, today)),
                        sport.onWheels() ? recordings.rides(athlete, sport, first) : List.of()));
    }

    /** A drive home on a device left running is no result that a prediction may lean on. */
    private List<DayCurve> sound(Athlete athlete, Sport sport, DayRange days) {
        Set<Long> inDoubt = doubts.recordingsOfEfforts(athlete, sport, days);
        return efforts.curves(new Scope(athlete, sport, sport.ownMeasure(), days)).stream()
                .filter(c -> !inDoubt.contains(c.recordingId()))
                .toList();
    }

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public Usual usual(Athlete athlete, Sport sport) {
        LocalDate today = athlete.dayOf(clock.instant());
        Known known = known(athlete, sport, today);
        OptionalDouble threshold = known.thresholdOn(today);
        if (threshold.isEmpty())
            return new Usual(
                    List.of(),
                    Double.NaN,
                    Endurance.Origin.DEFAULT,
                    "no " + Known.threshold(sport).label() + " is set");
        Prediction.Basis basis = known.basisOn(today, threshold.getAsDouble());
        boolean run = sport.ownMeasure() == Measure.SPEED;
        List<Predicted> all = new ArrayList<>();
        for (double asked : run ? METRES : SECONDS)
            all.add(new Predicted(
                    asked, run ? Prediction.overMetres(basis, asked) : Prediction.overSeconds(basis, asked)));
        return new Usual(
                all,
                basis.k().value(),
                known.enduranceOn(today, threshold.getAsDouble()).origin(),
                null);
    }

    /**
     * A ride over a distance at a gradient.
     *
     * @throws IllegalArgumentException saying what is missing or out of range
     */
    @Transactional(readOnly = true)
    public Way way(Athlete athlete, Sport sport, double metres, double gradient) {
        LocalDate today = athlete.dayOf(clock.instant());
        Known known = known(athlete, sport, today);
        double threshold = known.thresholdOn(today)
                .orElseThrow(() -> new IllegalArgumentException(
                        "Set the " + Known.threshold(sport).label() + " first: a time rests on it."));
        double mass = known.values()
                .latest(Quantity.BODY_MASS, today)
                .map(d -> d.value())
                .orElseThrow(() -> new IllegalArgumentException("Set the body mass first: a climb rests on it."));
        RideCourse course = new RideCourse(
                known.roadsOn(today)
                        .orElseThrow(() -> new IllegalArgumentException(
                                "Your rides of a year do not tell yet how fast you go at a power: it takes 8 of 20 min "
                                        + "or more, at different powers.")),
                mass + RideCourse.BIKE_KILOGRAMS,
                metres,
                gradient);
        Prediction.Basis basis = known.basisOn(today, threshold);
        Prediction prediction = Prediction.overCourse(basis, course);
        if (prediction.value() < SECONDS[0])
            throw new IllegalArgumentException(
                    "Length: that is under 20 min, for which the threshold does not tell; see your best efforts.");
        return new Way(
                prediction, Prediction.overSeconds(basis, prediction.value()).value());
    }

    /**
     * Events ahead, the next first, then those that are over, the latest first. What is said of one for the first time
     * this week is kept.
     */
    @Transactional(readOnly = true)
    public List<Foreseen> events(Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        List<Course.Asked> asked = asked(plan.events(athlete), only(athlete), today);
        if (asked.isEmpty()) return List.of();
        Map<Course, TreeMap<LocalDate, Made>> kept =
                store.from(athlete.id(), today.minusDays(DAYS_PAST + Maker.DAYS_BEFORE));
        LocalDate earliest = today.minusDays(DAYS_PAST + Maker.DAYS_BEFORE);
        Maker maker = new Maker(
                today, thresholds.of(athlete), s -> known(athlete, s, today), s -> known(athlete, s, earliest));
        List<Foreseen> all = new ArrayList<>();
        List<PredictedStore.Fresh> fresh = new ArrayList<>();
        for (Course.Asked a : asked) {
            Course course = kept.containsKey(a.course()) ? a.course() : maker.possible(a);
            if (course == null) continue;
            LocalDate day = a.event().day().plusDays(a.stage() - 1L);
            TreeMap<LocalDate, Made> made = kept.computeIfAbsent(course, c -> new TreeMap<>());
            for (Made m : maker.missing(course, day, made)) {
                fresh.add(new PredictedStore.Fresh(course, m));
                made.put(m.day(), m);
            }
            all.add(new Foreseen(a.event(), day, course, a.part(), maker.upTo(course, day, made), null));
        }
        store.keep(athlete.id(), fresh);
        return withResults(athlete, all, today);
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, Likely.Said> likely(Athlete athlete) {
        return kept(athlete).stream()
                .filter(f -> f.event().id() > 0 && !f.part() && f.latest() != null)
                .collect(Collectors.toMap(f -> f.event().id(), Foreseen::likely, (a, b) -> a));
    }

    /** What was last said of each event ahead, as it is kept; nothing is made for it. */
    @Transactional(readOnly = true)
    public List<Foreseen> kept(Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        Map<Course, TreeMap<LocalDate, Made>> kept = store.from(athlete.id(), today.minusDays(Maker.WEEK));
        List<Foreseen> all = new ArrayList<>();
        for (Course.Asked a : asked(plan.events(athlete), only(athlete), today)) {
            LocalDate day = a.event().day().plusDays(a.stage() - 1L);
            Course byTime = a.course().byTime(a.event().seconds());
            Course course = kept.containsKey(a.course()) ? a.course() : byTime;
            if (day.isAfter(today) && course != null && kept.containsKey(course))
                all.add(new Foreseen(
                        a.event(),
                        day,
                        course,
                        a.part(),
                        List.copyOf(kept.get(course).values()),
                        null));
        }
        return all;
    }

    /** The sport of an event that does not say: the only one that can be predicted, where there is one. */
    private static Sport only(Athlete athlete) {
        List<Sport> told = athlete.sports().stream()
                .filter(s -> s.onWheels() || s.hillsCost())
                .toList();
        return told.size() == 1 ? told.get(0) : Sport.OTHER;
    }

    private static List<Course.Asked> asked(List<SeasonEvent> events, Sport only, LocalDate today) {
        List<SeasonEvent> ahead = events.stream()
                .filter(e -> !e.last().isBefore(today))
                .sorted(Comparator.comparing(SeasonEvent::day))
                .limit(MOST_AHEAD)
                .toList();
        List<SeasonEvent> past = events.stream()
                .filter(e -> e.last().isBefore(today) && !e.day().isBefore(today.minusDays(DAYS_PAST)))
                .sorted(Comparator.comparing(SeasonEvent::day).reversed())
                .limit(MOST_PAST)
                .toList();
        List<Course.Asked> asked = new ArrayList<>();
        ahead.forEach(e -> asked.addAll(Course.of(e, only)));
        past.forEach(e -> asked.addAll(Course.of(e, only)));
        return asked;
    }

    /** One question for each sport and measure that an event which is over asks for. */
    private List<Foreseen> withResults(Athlete athlete, List<Foreseen> all, LocalDate today) {
        Map<String, List<Foreseen>> over = all.stream()
                .filter(f -> !f.day().isAfter(today))
                .collect(Collectors.groupingBy(PredictionService::key));
        Map<String, List<DayCurve>> curves = new HashMap<>();
        over.forEach((key, list) -> curves.put(
                key,
                efforts.curves(
                        athlete,
                        list.get(0).course().sport(),
                        measure(list.get(0).course()),
                        list.stream().map(Foreseen::day).distinct().toList())));
        return all.stream()
                .map(f -> f.day().isAfter(today) ? f : came(f, curves.get(key(f))))
                .toList();
    }

    private static String key(Foreseen f) {
        return f.course().sport() + " " + measure(f.course());
    }

    private static Measure measure(Course course) {
        return course.isDistance() ? Measure.SPEED : course.sport().ownMeasure();
    }

    private static Foreseen came(Foreseen f, List<DayCurve> curves) {
        BestCurve best = new BestCurve();
        curves.stream().filter(c -> c.day().equals(f.day())).forEach(c -> best.raise(c.recordingId(), c.means(), 1));
        int seconds = f.course().seconds();
        OptionalDouble came = f.course().isDistance()
                ? best.secondsOver(f.course().metres())
                : best.points(seconds, (int) (seconds * 1.01)).stream()
                        .mapToDouble(BestCurve.Point::value)
                        .findFirst();
        return came.isEmpty()
                ? f
                : new Foreseen(f.event(), f.day(), f.course(), f.part(), f.made(), came.getAsDouble());
    }
}
