package pemblar.app.evidence.interval;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.frame.page.Shown;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.model.CriticalPower;
import pemblar.core.model.IntervalTarget;
import pemblar.core.model.PowerDuration;
import pemblar.core.model.Reserve;
import pemblar.core.profile.OwnModel;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/**
 * The highest power, or the fastest pace, for a set of repetitions: power from the values that hold today, pace from
 * critical speed and D′ of the last 90 days' efforts.
 */
@Service
class IntervalsService {
    private static final String FROM_FIT = "; the range from the errors of the last 90 days’ efforts.";
    private final ThresholdService thresholds;
    private final EffortService efforts;

    IntervalsService(ThresholdService thresholds, EffortService efforts) {
        this.thresholds = thresholds;
        this.efforts = efforts;
    }

    /** @param restShare of threshold; {@code left} share of W′ or D′ at the lowest point */
    record Question(Sport sport, int repeats, int seconds, int restSeconds, double restShare, double left) {
        boolean byPace() {
            return sport.ownMeasure() == Measure.SPEED;
        }
    }

    /**
     * One athlete's answer as it is shown.
     *
     * @param held as 306 W or 4:05 /km; null when something is missing, which {@code words} then says
     * @param range the 95 % range, empty where the efforts carry none
     * @param left of W′ in kJ or of D′ in m, at the lowest point
     * @param words where it comes from, or what is missing
     */
    public record Answer(Athlete athlete, String held, String range, Double ofThreshold, String left, String words) {}

    /**
     * What a set is computed by, W and J or m/s and m.
     *
     * @param fit of the last 90 days, for the range; null without one
     */
    private record Basis(Reserve model, double threshold, BestCurve curve, CriticalPower fit, String words) {}

    @Transactional(readOnly = true)
    Answer of(Athlete athlete, Question q, LocalDate today) {
        BestCurve curve = efforts.curve(new Scope(
                athlete, q.sport(), q.sport().ownMeasure(), DayRange.upTo(today, EvidenceService.RECENT_DAYS)));
        Thresholds values = thresholds.of(athlete).on(today).forSport(q.sport());
        Optional<Basis> basis = q.byPace() ? pace(values, curve) : power(values, curve);
        if (basis.isEmpty())
            return missing(
                    athlete,
                    q.byPace()
                            ? "Critical speed and D′ are not known: it takes three all-out efforts of 2 to 20 min in"
                                    + " 90 days, the longest three times the shortest."
                            : "Critical power and W′ are not known: adopt them from two efforts or a curve.");
        boolean rests = q.repeats() > 1 && q.restShare() > 0;
        if (rests && Double.isNaN(basis.get().threshold()))
            return missing(
                    athlete,
                    "The threshold " + (q.byPace() ? "pace" : "power")
                            + " is not known, of which the rest is a share.");
        double rest = rests ? q.restShare() * basis.get().threshold() : 0;
        return held(
                athlete,
                q,
                basis.get(),
                new IntervalTarget.Set(q.repeats(), q.seconds(), q.restSeconds(), rest, q.left()));
    }

    private static Optional<Basis> power(Thresholds values, BestCurve curve) {
        if (!values.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)) return Optional.empty();
        Optional<CriticalPower> fit = PowerDuration.of(curve).critical().filter(CriticalPower::isEnough);
        return Optional.of(new Basis(
                new Reserve(values.require(Quantity.CRITICAL_POWER), values.require(Quantity.W_PRIME)),
                values.get(Quantity.THRESHOLD_POWER).orElse(Double.NaN),
                curve,
                fit.orElse(null),
                "From critical power and W′ that hold today"
                        + (fit.isPresent() ? FROM_FIT : ". No range: the efforts of the last 90 days carry none.")));
    }

    private static Optional<Basis> pace(Thresholds values, BestCurve curve) {
        return PowerDuration.ofSpeed(curve)
                .critical()
                .filter(CriticalPower::isEnough)
                .map(fit -> new Basis(
                        new Reserve(fit.watts(), fit.reserveJoules()),
                        values.get(Quantity.THRESHOLD_SPEED).orElse(Double.NaN),
                        curve,
                        fit,
                        "From critical speed and D′ of the last 90 days’ efforts; the range from their errors."));
    }

    private static Answer held(Athlete athlete, Question q, Basis basis, IntervalTarget.Set set) {
        IntervalTarget target = IntervalTarget.of(basis.model(), set);
        double best = basis.curve().at(q.seconds());
        if (q.repeats() == 1 && best < target.watts() && isTested(q, basis, best))
            return answer(
                    athlete,
                    q,
                    basis.threshold(),
                    new Solved(
                            best,
                            Double.NaN,
                            IntervalTarget.lowest(basis.model(), set, best),
                            "Your best over this time in the last 90 days, which is lower than the model’s "
                                    + figure(q, target.watts()) + "."));
        double reach = basis.fit() == null
                ? Double.NaN
                : IntervalTarget.reach(
                        basis.model(),
                        set,
                        new IntervalTarget.Errors(
                                basis.fit().wattsError(),
                                basis.fit().reserveError(),
                                basis.fit().covariance()));
        return answer(
                athlete,
                q,
                basis.threshold(),
                new Solved(target.watts(), reach, target.lowestReserveJoules(), basis.words()));
    }

    private static boolean isTested(Question q, Basis basis, double best) {
        boolean byPace = q.byPace();
        return new OwnModel(
                        q.sport(),
                        q.sport().ownMeasure(),
                        byPace ? Double.NaN : basis.model().criticalPowerWatts(),
                        byPace ? Double.NaN : basis.model().capacityJoules(),
                        basis.threshold(),
                        byPace ? PowerDuration.ofSpeed(basis.curve()) : PowerDuration.of(basis.curve()))
                .isTested(q.seconds(), best);
    }

    private static Answer missing(Athlete athlete, String what) {
        return new Answer(athlete, null, "", null, null, what);
    }

    /** What was found, W and J or m/s and m. @param reach to either side with 95 %; NaN without a fit */
    private record Solved(double value, double reach, double left, String words) {}

    private static Answer answer(Athlete athlete, Question q, double threshold, Solved solved) {
        double value = solved.value();
        double reach = solved.reach();
        double left = solved.left();
        String range = Double.isNaN(reach)
                ? ""
                : q.byPace()
                        ? figure(q, value - reach) + " to " + figure(q, value + reach)
                        : "± " + Math.round(reach) + " W";
        String lowest = q.byPace()
                ? Math.round(left) + " m of D′"
                : String.format(java.util.Locale.ROOT, "%.1f kJ of W′", left / 1000);
        Double ofThreshold = Double.isNaN(threshold) ? null : (Double) (value / threshold);
        return new Answer(athlete, figure(q, value), range, ofThreshold, lowest, solved.words());
    }

    private static String figure(Question q, double value) {
        return q.byPace()
                ? Shown.speedFigure(q.sport(), value) + " " + Shown.speedUnit(q.sport())
                : Math.round(value) + " W";
    }
}
