package pemblar.app.session;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.core.aerobic.Pieces;
import pemblar.core.effort.AfterWork;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.SetAside;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.workout.SpeedOfPower;

/** Best efforts over any span of days, from the curves stored with each recording; and stretches that do not count. */
@Service
public class EffortService {
    static final int CURVES_VERSION = 4;
    private static final int LONGEST_REASON = 200;
    private final AerobicStore aerobic;
    private final EffortCurveRepository curves;
    private final EffortAfterRepository afters;
    private final EffortSetAsideRepository setAsides;
    private final RecordingRepository recordings;
    private final MendedRecordings mended;
    private final TrainingSessionRepository sessions;
    private final AthleteService athletes;
    private final InstantSource clock;

    EffortService(
            EffortCurveRepository curves,
            EffortAfterRepository afters,
            EffortSetAsideRepository setAsides,
            RecordingRepository recordings,
            MendedRecordings mended,
            TrainingSessionRepository sessions,
            AthleteService athletes,
            InstantSource clock,
            AerobicStore aerobic) {
        this.aerobic = aerobic;
        this.curves = curves;
        this.afters = afters;
        this.setAsides = setAsides;
        this.recordings = recordings;
        this.mended = mended;
        this.sessions = sessions;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** The combined curve of a span of days, both ends included. Sources are ids of recordings. */
    @Transactional(readOnly = true)
    public BestCurve curve(Athlete athlete, Sport sport, Measure measure, LocalDate from, LocalDate to) {
        return curve(athlete, sport, measure, from, to, day -> 1);
    }

    /**
     * The same with every session's values divided by what {@code divisor} gives for its day; a day that gives NaN is
     * left out.
     */
    @Transactional(readOnly = true)
    public BestCurve curve(
            Athlete athlete,
            Sport sport,
            Measure measure,
            LocalDate from,
            LocalDate to,
            ToDoubleFunction<LocalDate> divisor) {
        return curve(athlete, sport, measure, from, to, divisor, null);
    }

    /** The same over some recordings alone. @param only null for all */
    @Transactional(readOnly = true)
    public BestCurve curve(
            Athlete athlete,
            Sport sport,
            Measure measure,
            LocalDate from,
            LocalDate to,
            ToDoubleFunction<LocalDate> divisor,
            Set<Long> only) {
        BestCurve combined = new BestCurve();
        for (EffortCurveRepository.Curve curve : curves.between(athlete.id(), sport, measure, from, to))
            if (only == null || only.contains(curve.recordingId()))
                combined.raise(
                        curve.recordingId(), EffortCurveRow.series(curve.means()), divisor.applyAsDouble(curve.day()));
        return combined;
    }

    /** Best means of one recording, on the grid that all curves share. */
    public record DayCurve(long recordingId, LocalDate day, Series means) {}

    /** The recordings' own curves of a span of days, both ends included, to be combined for many days at once. */
    @Transactional(readOnly = true)
    public List<DayCurve> curves(Athlete athlete, Sport sport, Measure measure, LocalDate from, LocalDate to) {
        return curves.between(athlete.id(), sport, measure, from, to).stream()
                .map(EffortService::dayCurve)
                .toList();
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
    public double bestSecondBefore(Athlete athlete, Sport sport, LocalDate from, LocalDate to, long exceptRecordingId) {
        double best = Double.NaN;
        for (EffortCurveRepository.Curve curve : curves.between(athlete.id(), sport, Measure.POWER, from, to)) {
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
    public AfterWork after(
            Athlete athlete,
            Sport sport,
            Measure measure,
            LocalDate from,
            LocalDate to,
            ToDoubleFunction<LocalDate> divisor) {
        AfterWork combined = new AfterWork();
        for (EffortCurveRepository.Curve curve : afters.between(athlete.id(), sport, measure, from, to))
            combined.raise(EffortCurveRow.series(curve.means()), divisor.applyAsDouble(curve.day()));
        return combined;
    }

    /**
     * A session that drove the reserve below zero: the lowest critical power that keeps it at zero, and the second at
     * which it was lowest.
     */
    public record BelowZero(
            long recordingId,
            long sessionId,
            LocalDate day,
            String title,
            double leastCriticalWatts,
            Integer second,
            List<Double> floorWatts) {}

    @Transactional(readOnly = true)
    public List<BelowZero> belowZero(Athlete athlete, LocalDate from) {
        return sessions.belowZero(athlete.id(), from).stream()
                .map(s -> new BelowZero(
                        s.recording.id,
                        s.id,
                        s.day,
                        s.title,
                        s.recording.leastCriticalWatts,
                        s.recording.lowestReserveSecond,
                        s.recording.floorWatts == null ? List.of() : List.of(s.recording.floorWatts)))
                .toList();
    }

    /** How fast the athlete rides at a power, from the rides since a day; empty when they do not tell. */
    @Transactional(readOnly = true)
    public Optional<SpeedOfPower> speedOfPower(Athlete athlete, LocalDate from) {
        return SpeedOfPower.of(recordings.rides(athlete.id(), Sport.RIDE, from));
    }

    /** A ride of 20 min or more, with its day. */
    public record DayRide(LocalDate day, double watts, double metresPerSecond) {}

    /** Rides that tell how fast the athlete is at a power, from a day on. */
    @Transactional(readOnly = true)
    public List<DayRide> rides(Athlete athlete, Sport sport, LocalDate from) {
        return recordings.dayRides(athlete.id(), sport, from);
    }

    /** A stretch that was set aside, with the session it is in. */
    public record Aside(long id, long sessionId, LocalDate day, String title, int from, int to, String reason) {}

    @Transactional(readOnly = true)
    public List<Aside> setAsides(Athlete athlete) {
        List<EffortSetAsideRow> rows = setAsides.findByAthleteIdOrderByIdDesc(athlete.id());
        if (rows.isEmpty()) return List.of();
        var titles = sessions.ofRecordings(rows.stream().map(r -> r.recordingId).toList());
        var trimmed =
                mended.trimmed(rows.stream().map(r -> r.recordingId).distinct().toList());
        return rows.stream()
                .flatMap(row -> titles.stream()
                        .filter(s -> s.recording.id.equals(row.recordingId))
                        .limit(1)
                        .map(session -> {
                            int start = trimmed.getOrDefault(row.recordingId, 0);
                            return new Aside(
                                    row.id,
                                    session.id,
                                    session.day,
                                    session.title,
                                    Math.max(0, row.fromSecond - start),
                                    Math.max(1, row.toSecond - start),
                                    row.reason);
                        }))
                .toList(); // those of a deleted session wait with it
    }

    /** What a session is called, for points of a curve that know only its recording. */
    public record Named(long recordingId, long sessionId, LocalDate day, String title) {}

    @Transactional(readOnly = true)
    public List<Named> named(Athlete athlete, List<Long> recordingIds) {
        if (recordingIds.isEmpty()) return List.of();
        return sessions.ofRecordings(recordingIds).stream()
                .filter(s -> s.athleteId == athlete.id())
                .map(s -> new Named(s.recording.id, s.id, s.day, s.title))
                .toList();
    }

    /** Sets aside the session's best effort of a duration: it no longer counts, and the curve follows at once. */
    @Transactional
    public void setAside(long athleteId, Viewer viewer, long recordingId, Measure measure, int seconds, String reason) {
        athletes.require(athleteId, viewer);
        if (reason.isBlank() || reason.length() > LONGEST_REASON)
            throw new IllegalArgumentException(
                    "Reason: say in up to " + LONGEST_REASON + " characters why it does not count, such as “spike”.");
        RecordingRow row = recordings
                .findById(recordingId)
                .filter(r -> r.athleteId == athleteId)
                .orElseThrow(() -> new NotFoundException("recording"));
        Recording recording = mended.read(recordingId);
        SetAside window = SetAside.best(counting(row, recording, measure), seconds);
        if (window == null) throw new IllegalArgumentException("This session has no effort of that length.");
        int trimmed = trimmed(recordingId); // kept in seconds of the original, so that a later trim does not move it
        setAsides.save(new EffortSetAsideRow(
                row,
                measure,
                window.from() + trimmed,
                window.to() + trimmed,
                reason.strip(),
                viewer.accountId(),
                clock.instant()));
        setAsides.flush();
        store(row, recording);
    }

    @Transactional
    public void takeBack(long athleteId, Viewer viewer, long setAsideId) {
        athletes.require(athleteId, viewer);
        EffortSetAsideRow aside = setAsides
                .findByIdAndAthleteId(setAsideId, athleteId)
                .orElseThrow(() -> new NotFoundException("stretch"));
        setAsides.delete(aside);
        setAsides.flush();
        store(recordings.findById(aside.recordingId).orElseThrow(), mended.read(aside.recordingId));
    }

    /** Computes and stores the curves of a recording. */
    void store(RecordingRow row, Recording recording) {
        if (row.curvesVersion > 0) forget(row.id);
        for (Measure measure : Measure.values()) {
            if (measure == Measure.SPEED && !recording.sport().trainsBy(Measure.SPEED))
                continue; // speed on wheels says more about wind and road
            Series values = counting(row, recording, measure);
            if (values == null) continue;
            curves.save(new EffortCurveRow(row, measure, BestCurve.onGrid(values)));
            if (measure != Measure.HEART_RATE)
                afters.save(new EffortAfterRow(row, measure, AfterWork.onGrid(values, measure == Measure.POWER)));
        }
        aerobic.store(row, Pieces.of(recording));
        row.floor(recording);
        row.curvesVersion = CURVES_VERSION;
    }

    /** Takes a recording out of all best efforts. */
    void forget(long recordingId) {
        curves.deleteByRecordingId(recordingId);
        afters.deleteByRecordingId(recordingId);
    }

    private Series counting(RecordingRow row, Recording recording, Measure measure) {
        Channel channel = measure == Measure.POWER
                ? Channel.POWER
                : measure == Measure.HEART_RATE ? Channel.HEART_RATE : Channel.SPEED;
        Series values = BestCurve.counted(recording, channel).orElse(null);
        if (values == null) return null;
        List<EffortSetAsideRow> rows = setAsides.findByRecordingId(row.id).stream()
                .filter(a -> a.measure == measure)
                .toList();
        if (rows.isEmpty()) return values;
        int trimmed = trimmed(row.id);
        return SetAside.without(
                values,
                rows.stream()
                        .filter(a -> a.toSecond > trimmed)
                        .map(a -> new SetAside(Math.max(0, a.fromSecond - trimmed), a.toSecond - trimmed))
                        .toList());
    }

    private int trimmed(long recordingId) {
        return mended.trimmed(List.of(recordingId)).getOrDefault(recordingId, 0);
    }
}
