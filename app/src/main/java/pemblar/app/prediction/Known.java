package pemblar.app.prediction;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import pemblar.app.effort.EffortService.DayCurve;
import pemblar.app.recording.DayRide;
import pemblar.core.effort.BestCurve;
import pemblar.core.prediction.Prediction;
import pemblar.core.prediction.Result;
import pemblar.core.prediction.RideCourse;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.workout.SpeedOfPower;

/**
 * What of an athlete's sport is known by any day: nothing that is dated later counts for it.
 *
 * @param curves of the recordings of the sport in its own measure; they reach a year before the first day asked for
 * @param endurances what was found for a day already, as several results are predicted from it; {@code recent} likewise
 */
record Known(
        Sport sport,
        Sex sex,
        DatedValues values,
        List<DayCurve> curves,
        List<DayRide> rides,
        Map<LocalDate, Endurance> endurances,
        Map<LocalDate, List<Result>> recent) {
    static final int YEAR = 365;
    private static final int RECENT_DAYS = 90;
    private static final int[] RESULT_SECONDS = {1200, 1800, 2400, 3000, 3600, 5400, 7200, 10_800, 14_400};
    private static final double TEN_KM = 10_000;
    /** On roads as usual no climb is asked for, and the mass does not count. */
    private static final double ANY_KILOGRAMS = 80;

    static Known of(Sport sport, Sex sex, DatedValues values, List<DayCurve> curves, List<DayRide> rides) {
        return new Known(sport, sex, values, curves, rides, new HashMap<>(), new HashMap<>());
    }

    static Quantity threshold(Sport sport) {
        return Quantity.of(Quantity.threshold(sport.ownMeasure()).kind(), sport);
    }

    private boolean isByPace() {
        return sport.ownMeasure() == Measure.SPEED;
    }

    OptionalDouble thresholdOn(LocalDate day) {
        return values.latest(threshold(sport), day)
                .map(d -> OptionalDouble.of(d.value()))
                .orElse(OptionalDouble.empty());
    }

    /** @param threshold that of the day */
    Endurance enduranceOn(LocalDate day, double threshold) {
        return endurances.computeIfAbsent(day, d -> endurance(d, threshold));
    }

    private Endurance endurance(LocalDate day, double threshold) {
        List<BestCurve.Point> bests = Endurance.maybeAllOut(
                best(day.minusDays(YEAR), day).points(1200, 14_400), sport, sport.ownMeasure(), threshold);
        return isByPace() ? Endurance.ofRunning(bests, TEN_KM, TEN_KM / threshold, sex) : Endurance.ofPower(bests);
    }

    Prediction.Basis basisOn(LocalDate day, double threshold) {
        Endurance endurance = enduranceOn(day, threshold);
        List<Result> carrying = Prediction.carrying(results(day), threshold, endurance.k(), sport.ownMeasure());
        return Prediction.usual(day, threshold, endurance, carrying);
    }

    private BestCurve best(LocalDate from, LocalDate to) {
        BestCurve best = new BestCurve();
        for (DayCurve c : curves)
            if (!c.day().isBefore(from) && !c.day().isAfter(to)) best.raise(c.recordingId(), c.means(), 1);
        return best;
    }

    /** Best efforts of the 90 days before, each with the day of its session. */
    private List<Result> results(LocalDate day) {
        return recent.computeIfAbsent(day, this::resultsBefore);
    }

    private List<Result> resultsBefore(LocalDate day) {
        BestCurve best = best(day.minusDays(RECENT_DAYS), day);
        List<Result> results = new ArrayList<>();
        for (int seconds : RESULT_SECONDS)
            best.points(seconds, (int) (seconds * 1.01)).stream()
                    .limit(1)
                    .filter(p -> p.value() > 0)
                    .forEach(p -> results.add(new Result(dayOf(p.source()), p.seconds(), p.value())));
        return results;
    }

    private LocalDate dayOf(long recording) {
        return curves.stream()
                .filter(c -> c.recordingId() == recording)
                .findFirst()
                .orElseThrow()
                .day();
    }

    /** How fast the rides of the year up to a day were at their power. */
    Optional<SpeedOfPower> roadsOn(LocalDate day) {
        return SpeedOfPower.of(
                rides.stream()
                        .filter(r -> !r.day().isAfter(day) && r.day().isAfter(day.minusDays(YEAR)))
                        .map(r -> new SpeedOfPower.Ride(r.watts(), r.metresPerSecond()))
                        .toList(),
                sport);
    }

    /** Empty without a threshold by then, or for a ride over a distance without rides that tell how fast it goes. */
    Optional<Prediction> predict(Course course, LocalDate day) {
        OptionalDouble threshold = thresholdOn(day);
        if (threshold.isEmpty()) return Optional.empty();
        Prediction.Basis basis = basisOn(day, threshold.getAsDouble());
        if (!course.isDistance()) return Optional.of(Prediction.overSeconds(basis, course.seconds()));
        if (isByPace()) return Optional.of(Prediction.overMetres(basis, course.metres()));
        return roadsOn(day)
                .map(roads -> Prediction.overCourse(basis, new RideCourse(roads, ANY_KILOGRAMS, course.metres(), 0)));
    }
}
