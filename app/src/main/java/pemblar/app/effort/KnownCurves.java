package pemblar.app.effort;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.Recent;
import pemblar.core.effort.BestCurve;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Curves combined of late: a year of them is read and combined anew only when one of its days was written since. */
@Component
class KnownCurves {
    private static final int MOST_KEPT = 400;
    private final Recent<Asked, BestCurve> kept = new Recent<>(MOST_KEPT, this::combined);
    private final JdbcClient sql;
    private final EffortCurveRepository curves;

    KnownCurves(JdbcClient sql, EffortCurveRepository curves) {
        this.sql = sql;
        this.curves = curves;
    }

    /**
     * A number is given once: as many curves of the same days with the same sum of numbers are the same curves.
     *
     * @param curves how many there are; {@code changed} the sum of their numbers
     */
    private record Asked(long athleteId, Sport sport, Measure measure, DayRange days, long curves, long changed) {}

    /**
     * Only for a page that reads: who writes sees what nobody else may ever see. The numbers are asked for first: a
     * curve that is written in between is newer than what it is kept for, and the next who asks combines anew.
     */
    BestCurve of(Scope scope) {
        long athleteId = scope.athlete().id();
        DayRange days = scope.days();
        return kept.of(
                sql.sql("select count(*), coalesce(sum(changed), 0)::bigint from effort_curve where athlete_id = ?"
                                + " and sport = ? and measure = ? and day between ? and ?")
                        .params(athleteId, scope.sport().name(), scope.measure().name(), days.from(), days.to())
                        .query((rs, i) -> new Asked(
                                athleteId, scope.sport(), scope.measure(), days, rs.getLong(1), rs.getLong(2)))
                        .single());
    }

    private BestCurve combined(Asked asked) {
        BestCurve combined = new BestCurve();
        DayRange days = asked.days();
        for (EffortCurveRepository.Curve curve :
                curves.between(asked.athleteId(), asked.sport(), asked.measure(), days.from(), days.to()))
            combined.raise(curve.recordingId(), EffortCurveRow.series(curve.means()), 1);
        return combined;
    }
}
