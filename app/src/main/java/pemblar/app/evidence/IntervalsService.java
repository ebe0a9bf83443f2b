package pemblar.app.evidence;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.session.EffortService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.model.CriticalPower;
import pemblar.core.model.IntervalTarget;
import pemblar.core.model.PowerDuration;
import pemblar.core.model.Reserve;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/** The highest power for a set of repetitions, from the values that hold today. */
@Service
class IntervalsService {
    private final ThresholdService thresholds;
    private final EffortService efforts;

    IntervalsService(ThresholdService thresholds, EffortService efforts) {
        this.thresholds = thresholds;
        this.efforts = efforts;
    }

    /** @param restShare of threshold power; {@code left} share of W' at the lowest point */
    record Question(int repeats, int seconds, int restSeconds, double restShare, double left) {}

    /**
     * One athlete's answer.
     *
     * @param watts empty when something is missing, which {@code words} then says
     * @param reach half the width of the 95 % range, W; empty when the fit of the last 90 days does not carry one
     * @param words where it comes from, or what is missing
     */
    record Answer(
            Athlete athlete,
            Optional<Double> watts,
            Optional<Double> reach,
            Double ofThreshold,
            Double lowestJoules,
            String words) {}

    @Transactional(readOnly = true)
    Answer of(Athlete athlete, Question q, LocalDate today) {
        Thresholds values = thresholds.of(athlete).on(today).forSport(Sport.RIDE);
        if (!values.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME))
            return missing(athlete, "Critical power and W′ are not known: adopt them from two efforts or a curve.");
        if (q.repeats() > 1 && q.restShare() > 0 && !values.knows(Quantity.THRESHOLD_POWER))
            return missing(athlete, "The threshold power is not known, of which the rest is a share.");
        double threshold = values.get(Quantity.THRESHOLD_POWER).orElse(Double.NaN);
        Reserve model = new Reserve(values.require(Quantity.CRITICAL_POWER), values.require(Quantity.W_PRIME));
        IntervalTarget.Set set = new IntervalTarget.Set(
                q.repeats(),
                q.seconds(),
                q.restSeconds(),
                q.repeats() == 1 || q.restShare() == 0 ? 0 : q.restShare() * threshold,
                q.left());
        IntervalTarget target = IntervalTarget.of(model, set);
        BestCurve curve =
                efforts.curve(athlete, Sport.RIDE, Measure.POWER, today.minusDays(EvidenceService.RECENT_DAYS), today);
        double best = curve.at(q.seconds());
        if (q.repeats() == 1 && isTested(curve, q.seconds(), best) && best < target.watts())
            return answer(
                    athlete,
                    best,
                    Optional.empty(),
                    threshold,
                    IntervalTarget.lowest(model, set, best),
                    "Your best over this time in the last 90 days, which is lower than the model’s "
                            + Math.round(target.watts()) + " W.");
        Optional<Double> reach = PowerDuration.of(curve)
                .critical()
                .filter(CriticalPower::isEnough)
                .map(fit -> IntervalTarget.reach(
                        model, set, new IntervalTarget.Errors(fit.wattsError(), fit.reserveError(), fit.covariance())));
        String words = reach.isPresent()
                ? "From critical power and W′ that hold today; the range from the errors of the last 90 days’ efforts."
                : "From critical power and W′ that hold today. No range: the efforts of the last 90 days carry none.";
        return answer(athlete, target.watts(), reach, threshold, target.lowestReserveJoules(), words);
    }

    private static boolean isTested(BestCurve curve, int seconds, double best) {
        return best > 0 && PowerDuration.of(curve).isTested(new BestCurve.Point(seconds, best, 0));
    }

    private static Answer missing(Athlete athlete, String what) {
        return new Answer(athlete, Optional.empty(), Optional.empty(), null, null, what);
    }

    private static Answer answer(
            Athlete athlete, double watts, Optional<Double> reach, double threshold, double lowest, String words) {
        return new Answer(
                athlete,
                Optional.of(watts),
                reach,
                Double.isNaN(threshold) ? null : (Double) (watts / threshold),
                lowest,
                words);
    }
}
