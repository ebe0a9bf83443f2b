package pemblar.app.coach.beside;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.SessionEfforts;
import pemblar.app.session.reading.SessionEfforts.Named;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.model.PowerDuration;
import pemblar.core.profile.OwnModel;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** Best efforts of the last 90 days beside the same days a year before, over a few durations. */
@Component
public class Bests {
    public static final int DAYS = 90;
    private static final int YEAR = 365;
    private static final List<Integer> POWER_SECONDS = List.of(5, 60, 300, 1200, 3600);
    private static final List<Integer> SPEED_SECONDS = List.of(60, 300, 1200, 3600);
    private final EffortService efforts;
    private final SessionEfforts sessions;
    private final DoubtService doubts;
    private final Shown shown;

    Bests(EffortService efforts, SessionEfforts sessions, DoubtService doubts, Shown shown) {
        this.sessions = sessions;
        this.doubts = doubts;
        this.efforts = efforts;
        this.shown = shown;
    }

    /**
     * One duration.
     *
     * @param perKilogram empty without a body mass, or by speed
     * @param tested whether an effort of the 90 days comes near the model
     * @param from the session of the best; null when there is none
     * @param inDoubt its recording is probably wrong somewhere, and nobody has looked yet
     */
    public record Row(
            int seconds,
            String duration,
            String now,
            String perKilogram,
            String before,
            boolean tested,
            Named from,
            boolean inDoubt) {
        /** What is to be known beside the figure; empty when nothing is. */
        public String caution() {
            return from == null ? "" : inDoubt ? " in doubt" : tested ? "" : " untested";
        }
    }

    public record Table(Sport sport, Measure measure, List<Row> rows) {
        /** Durations without an effort near the model in the last 90 days, in words. */
        public List<String> untested() {
            return rows.stream().filter(r -> !r.tested()).map(Row::duration).toList();
        }

        public boolean isEmpty() {
            return rows.stream().allMatch(r -> r.from() == null && r.before().equals("–"));
        }
    }

    public Table of(Athlete athlete, Sport sport, DatedValues values, LocalDate today) {
        DayRange recent = DayRange.upTo(today, DAYS);
        BestCurve power = efforts.curve(new Scope(athlete, sport, Measure.POWER, recent));
        boolean byPower = !power.points().isEmpty();
        Scope scope = new Scope(athlete, sport, byPower ? Measure.POWER : Measure.SPEED, recent);
        BestCurve now = byPower ? power : efforts.curve(scope);
        BestCurve before = efforts.curve(scope.on(DayRange.upTo(today.minusDays(YEAR), DAYS)));
        List<Integer> durations = byPower ? POWER_SECONDS : SPEED_SECONDS;
        Map<Long, Named> named = named(athlete, now, durations);
        OwnModel model = OwnModel.of(
                sport,
                scope.measure(),
                values.on(today).forSport(sport),
                byPower ? PowerDuration.of(now) : PowerDuration.ofSpeed(now));
        Set<Long> inDoubt = doubts.recordingsOfEfforts(athlete, sport, recent);
        Held held = new Held(now, before, values, model, named, inDoubt);
        List<Row> rows = new ArrayList<>();
        for (int seconds : durations) rows.add(row(seconds, scope, held));
        return new Table(sport, scope.measure(), rows);
    }

    private Map<Long, Named> named(Athlete athlete, BestCurve curve, List<Integer> durations) {
        List<Long> ids = durations.stream()
                .flatMap(s -> point(curve, s))
                .map(Point::source)
                .distinct()
                .toList();
        return sessions.named(athlete, ids).stream().collect(Collectors.toMap(Named::recordingId, Function.identity()));
    }

    private static Stream<Point> point(BestCurve curve, int seconds) {
        return curve.points(seconds, seconds).stream();
    }

    /** What the rows are read from. */
    private record Held(
            BestCurve now,
            BestCurve before,
            DatedValues values,
            OwnModel model,
            Map<Long, Named> named,
            Set<Long> inDoubt) {
        Named from(int seconds) {
            return point(now, seconds)
                    .map(p -> named.get(p.source()))
                    .findFirst()
                    .orElse(null);
        }
    }

    private Row row(int seconds, Scope scope, Held held) {
        double value = held.now().at(seconds);
        boolean there = value > 0;
        Named from = held.from(seconds);
        double mass = from == null
                ? Double.NaN
                : held.values().on(from.day()).get(Quantity.BODY_MASS).orElse(Double.NaN);
        String perKilogram = scope.measure() == Measure.POWER && there && mass > 0
                ? String.format(Locale.ROOT, "%.2f W/kg", value / mass)
                : "";
        boolean tested = there && !held.model().isShownUntested(seconds, value);
        return new Row(
                seconds,
                pemblar.core.workout.Pace.clock(seconds),
                figure(value, scope),
                perKilogram,
                figure(held.before().at(seconds), scope),
                tested,
                from,
                from != null && held.inDoubt().contains(from.recordingId()));
    }

    private String figure(double value, Scope scope) {
        if (!(value > 0)) return "–";
        return scope.measure() == Measure.POWER ? shown.watts(value) : shown.speed(scope.sport(), value);
    }
}
