package pemblar.app.effort;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Once;
import pemblar.core.effort.AfterWork;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.SetAside;
import pemblar.core.range.DayRange;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Best efforts over any span of days, from the curves stored with each recording; and stretches that do not count. */
@Service
public class EffortService {
    private final EffortCurveRepository curves;
    private final EffortAfterRepository afters;
    private final EffortSetAsideRepository setAsides;
    private final KnownCurves known;

    EffortService(
            EffortCurveRepository curves,
            EffortAfterRepository afters,
            EffortSetAsideRepository setAsides,
            KnownCurves known) {
        this.known = known;
        this.curves = curves;
        this.afters = afters;
        this.setAsides = setAsides;
    }

    /** Whose best efforts, in which sport, measured how, and of which days. */
    public record Scope(Athlete athlete, Sport sport, Measure measure, DayRange days) {
        public Scope on(DayRange others) {
            return new Scope(athlete, sport, measure, others);
        }
    }

    private List<EffortCurveRepository.Curve> curvesIn(Scope scope) {
        DayRange days = scope.days();
        return curves.between(scope.athlete().id(), scope.sport(), scope.measure(), days.from(), days.to());
    }

    /** The combined curve. Sources are ids of recordings. */
    @Transactional(readOnly = true)
    public BestCurve curve(Scope scope) {
        return Once.isReading() ? known.of(scope) : curve(scope, day -> 1);
    }

    /** The same over some recordings alone. @param only null for all */
    @Transactional(readOnly = true)
    public BestCurve curve(Scope scope, Set<Long> only) {
        return only == null ? curve(scope) : curve(scope, day -> 1, only);
    }

    /**
     * The same with every session's values divided by what {@code divisor} gives for its day; a day that gives NaN is
     * left out.
     */
    @Transactional(readOnly = true)
    public BestCurve curve(Scope scope, ToDoubleFunction<LocalDate> divisor) {
        return curve(scope, divisor, null);
    }

    /** The same over some recordings alone. @param only null for all */
    @Transactional(readOnly = true)
    public BestCurve curve(Scope scope, ToDoubleFunction<LocalDate> divisor, Set<Long> only) {
        BestCurve combined = new BestCurve();
        for (EffortCurveRepository.Curve curve : curvesIn(scope))
            if (only == null || only.contains(curve.recordingId()))
                combined.raise(
                        curve.recordingId(), EffortCurveRow.series(curve.means()), divisor.applyAsDouble(curve.day()));
        return combined;
    }

    /** Best means of one recording, on the grid that all curves share. */
    public record DayCurve(long recordingId, LocalDate day, Series means) {}

    /** The recordings' own curves, to be combined for many days at once. */
    @Transactional(readOnly = true)
    public List<DayCurve> curves(Scope scope) {
        return curvesIn(scope).stream().map(EffortService::dayCurve).toList();
    }

    /** The same of some days alone. */
    @Transactional(readOnly = true)
    public List<DayCurve> curves(Athlete athlete, Sport sport, Measure measure, Collection<LocalDate> days) {
        return curves.onDays(athlete.id(), sport, measure, days).stream()
                .map(EffortService::dayCurve)
                .toList();
    }

    private static DayCurve dayCurve(EffortCurveRepository.Curve curve) {
        return new DayCurve(curve.recordingId(), curve.day(), EffortCurveRow.series(curve.means()));
    }

    /**
     * Best mean over one second, in the unit of power, of the days before and of one, without one recording; NaN when
     * there is none.
     */
    @Transactional(readOnly = true)
    public double bestSecondBefore(Athlete athlete, Sport sport, DayRange days, long exceptRecordingId) {
        double best = Double.NaN;
        for (EffortCurveRepository.Curve curve : curvesIn(new Scope(athlete, sport, Measure.POWER, days))) {
            double first = EffortCurveRow.first(curve.means());
            if (curve.recordingId() != exceptRecordingId && !(first <= best) && !Double.isNaN(first)) best = first;
        }
        return best;
    }

    /**
     * Best efforts of a span of days after prior work or time; each session's values divided by what {@code divisor}
     * gives for its day.
     */
    @Transactional(readOnly = true)
    public AfterWork after(Scope scope, ToDoubleFunction<LocalDate> divisor) {
        AfterWork combined = new AfterWork();
        DayRange days = scope.days();
        for (EffortCurveRepository.Curve curve :
                afters.between(scope.athlete().id(), scope.sport(), scope.measure(), days.from(), days.to()))
            combined.raise(EffortCurveRow.series(curve.means()), divisor.applyAsDouble(curve.day()));
        return combined;
    }

    /** A stretch that does not count. @param from second of the original */
    public record Aside(long id, long recordingId, int from, int to, String reason) {
        private static Aside of(EffortSetAsideRow row) {
            return new Aside(row.id, row.recordingId, row.fromSecond, row.toSecond, row.reason);
        }
    }

    /** Of an athlete whom the caller has already asked for, the latest first. */
    @Transactional(readOnly = true)
    public List<Aside> setAsides(long athleteId) {
        return setAsides.findByAthleteIdOrderByIdDesc(athleteId).stream()
                .map(Aside::of)
                .toList();
    }

    /** A recording as it counts. @param trimmed seconds that corrections cut off its start */
    public record Counted(EffortSource source, Recording recording, int trimmed) {}

    /** What a person says of an effort that does not count. */
    public record Said(Measure measure, int seconds, String reason, long accountId, Instant at) {}

    /** Sets aside the best effort of a duration. @throws IllegalArgumentException when there is none so long */
    public void setAside(Counted of, Said said) {
        SetAside window = SetAside.best(counting(of, said.measure()), said.seconds());
        if (window == null) throw new IllegalArgumentException("This session has no effort of that length.");
        setAsides.save(
                new EffortSetAsideRow( // in seconds of the original, so that a later trim does not move it
                        of.source(),
                        said.measure(),
                        window.from() + of.trimmed(),
                        window.to() + of.trimmed(),
                        said.reason(),
                        said.accountId(),
                        said.at()));
        setAsides.flush();
    }

    /** Lets a stretch count again. @return the recording that it is of; empty when the athlete has no such stretch */
    public Optional<Long> takeBack(long athleteId, long setAsideId) {
        Optional<EffortSetAsideRow> aside = setAsides.findByIdAndAthleteId(setAsideId, athleteId);
        aside.ifPresent(setAsides::delete);
        setAsides.flush();
        return aside.map(row -> row.recordingId);
    }

    /** Computes and stores the curves of a recording that has none, or none any more. */
    public void store(Counted of) {
        Recording recording = of.recording();
        for (Measure measure : Measure.values()) {
            if (measure == Measure.SPEED && !recording.sport().trainsBy(Measure.SPEED))
                continue; // speed on wheels says more about wind and road
            Series values = counting(of, measure);
            if (values == null) continue;
            curves.save(new EffortCurveRow(of.source(), measure, BestCurve.onGrid(values)));
            if (measure != Measure.HEART_RATE)
                afters.save(
                        new EffortAfterRow(of.source(), measure, AfterWork.onGrid(values, measure == Measure.POWER)));
        }
    }

    /** Takes a recording out of all best efforts. */
    public void forget(long recordingId) {
        curves.deleteByRecordingId(recordingId);
        afters.deleteByRecordingId(recordingId);
    }

    private Series counting(Counted of, Measure measure) {
        Channel channel = measure == Measure.POWER
                ? Channel.POWER
                : measure == Measure.HEART_RATE ? Channel.HEART_RATE : Channel.SPEED;
        Series values = BestCurve.counted(of.recording(), channel).orElse(null);
        if (values == null) return null;
        List<SetAside> asides = setAsides.findByRecordingId(of.source().recordingId()).stream()
                .filter(a -> a.measure == measure && a.toSecond > of.trimmed())
                .map(a -> new SetAside(Math.max(0, a.fromSecond - of.trimmed()), a.toSecond - of.trimmed()))
                .toList();
        return asides.isEmpty() ? values : SetAside.without(values, asides);
    }
}
