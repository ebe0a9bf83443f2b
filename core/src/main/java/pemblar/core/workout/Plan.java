package pemblar.core.workout;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.load.SessionLoad;
import pemblar.core.load.SteadyEquivalent;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;

/** Resolves a workout with the values of a day: every step with its watts, beats or pace. */
public final class Plan {
    /** An open step is taken as easy riding or running; the forecast says that it assumes so. */
    static final double OPEN_INTENSITY = 0.5;
    /** Half width of the band of a single value, for power and speed (computation, section 10). */
    public static final double BAND_SHARE = 0.05;

    public static final double BAND_BPM = 3;
    /** How far a first or last zone is taken to reach, as a share of its only boundary. */
    private static final double END_ZONE = 0.2;

    private final Workout workout;
    private final Zones zones;
    private final Thresholds thresholds;
    private final ReserveRun reserve;

    private Plan(Workout workout, Zones zones) {
        this.workout = workout;
        this.zones = zones;
        this.thresholds = zones.thresholds().forSport(workout.sport());
        this.reserve = ReserveRun.of(thresholds);
    }

    /**
     * @throws IllegalArgumentException when a target needs a threshold that is not known, or names a zone that is not
     *     there
     */
    public static List<PlannedStep> resolve(Workout workout, Zones zones) {
        Plan plan = new Plan(workout, zones);
        List<PlannedStep> steps = new ArrayList<>();
        for (List<Workout.Flat> part : parts(workout)) plan.add(steps, part);
        return steps;
    }

    /** The steps of each element at the top, written out. */
    private static List<List<Workout.Flat>> parts(Workout workout) {
        List<Workout.Flat> flat = workout.expanded();
        List<Editing.Path> paths = Editing.paths(workout);
        List<List<Workout.Flat>> parts = new ArrayList<>();
        for (Element ignored : workout.elements()) parts.add(new ArrayList<>());
        for (int i = 0; i < flat.size(); i++)
            parts.get(paths.get(i).indexes().get(0)).add(flat.get(i));
        return parts;
    }

    private void add(List<PlannedStep> steps, List<Workout.Flat> part) {
        double highest = reserve.hasModel()
                        && part.stream().anyMatch(f -> f.step().target() instanceof Target.Max)
                ? new HighestPower(
                                part.stream().map(f -> step(f, Double.NaN)).toList(), () -> ReserveRun.of(thresholds))
                        .watts()
                : Double.NaN;
        for (Workout.Flat flat : part) {
            PlannedStep step = step(flat, highest);
            if (flat.step().length() instanceof Length.ReserveAt end)
                step = step.taking(reserve.secondsUntil(end, step));
            reserve.live(step);
            steps.add(step);
        }
    }

    /** The same with the usual zones of the sport. */
    public static List<PlannedStep> resolve(Workout workout, Thresholds thresholds) {
        return resolve(workout, Zones.usual(thresholds));
    }

    /** @param highestWatts what max stands for here; NaN where it is sought or cannot be known */
    private PlannedStep step(Workout.Flat flat, double highestWatts) {
        Target target = flat.step().target();
        if (target instanceof Target.Max m)
            return Double.isNaN(highestWatts)
                    ? without(flat, Double.NaN)
                    : valued(
                            flat,
                            new Asked(Basis.POWER, m.from() * highestWatts / 100, m.to() * highestWatts / 100, false),
                            referenceIfKnown(Basis.POWER));
        if (target instanceof Target.Percent p) return percent(flat, p);
        if (target instanceof Target.Zone z) return zone(flat, z);
        if (target instanceof Target.Absolute a)
            return valued(flat, new Asked(a.basis(), a.from(), a.to(), a.ramp()), referenceIfKnown(a.basis()));
        if (target instanceof Target.Effort e) {
            double intensity = SessionLoad.intensityOfPerceivedEffort((e.from() + e.to()) / 2);
            return without(flat, intensity);
        }
        return without(flat, target instanceof Target.Rest ? 0 : OPEN_INTENSITY);
    }

    private PlannedStep percent(Workout.Flat flat, Target.Percent p) {
        Basis basis = p.basis() == null ? workout.basis() : p.basis();
        double reference = reference(basis);
        double onTheFlat = reference / 100 / cost(flat, basis);
        return valued(flat, new Asked(basis, p.from() * onTheFlat, p.to() * onTheFlat, p.ramp()), reference);
    }

    private PlannedStep zone(Workout.Flat flat, Target.Zone z) {
        Basis basis = z.basis() == null ? workout.basis() : z.basis();
        ZoneSet set = zones.of(basis.measure(), workout.sport()).orElseThrow(() -> noZones(basis));
        if (z.to() > set.count())
            throw new IllegalArgumentException("zone must be z1 to z" + set.count() + ", was z" + z.to());
        double low = z.from() == 1 ? set.ceilingOf(1) * (1 - END_ZONE) : set.floorOf(z.from());
        double high = z.to() == set.count() ? set.floorOf(z.to()) * (1 + END_ZONE) : set.ceilingOf(z.to());
        double cost = cost(flat, basis);
        return valued(flat, new Asked(basis, low / cost, high / cost, false), referenceIfKnown(basis));
    }

    /**
     * What a metre of the step's gradient costs against one on the flat. Percent and zones are of the effort, so that
     * the pace to run uphill is slower by as much; a pace that was written is the pace to run.
     */
    private double cost(Workout.Flat flat, Basis basis) {
        double gradient = flat.step().gradientPercent();
        return basis == Basis.PACE && gradient != 0 && workout.sport().hillsCost()
                ? SteadyEquivalent.costOfGradient(gradient / 100)
                : 1;
    }

    private IllegalArgumentException noZones(Basis basis) {
        boolean unknown =
                zones.scheme(basis.measure(), workout.sport()).isPresent() && !thresholds.knows(basis.threshold());
        return new IllegalArgumentException(
                unknown ? unknown(basis) : "there are no " + basis.key() + " zones for this sport");
    }

    private static String unknown(Basis basis) {
        return "the " + basis.threshold().label() + " is not known: set it, or use absolute targets";
    }

    /** A target in W, bpm or m/s. */
    private record Asked(Basis basis, double from, double to, boolean ramp) {}

    private PlannedStep valued(Workout.Flat flat, Asked asked, double reference) {
        Basis basis = asked.basis();
        double from = asked.from();
        double to = asked.to();
        boolean ramp = asked.ramp();
        double middle = (from + to) / 2;
        double half = from != to ? Math.abs(to - from) / 2 : basis == Basis.HEART_RATE ? BAND_BPM : middle * BAND_SHARE;
        double begin = ramp ? from : middle;
        double end = ramp ? to : middle;
        double speed = basis == Basis.PACE ? middle : basis == Basis.POWER ? ownSpeed(flat, middle) : Double.NaN;
        return new PlannedStep(
                flat,
                seconds(flat, speed),
                metres(flat, speed),
                basis,
                begin,
                end,
                middle - half,
                middle + half,
                intensity(basis, begin * cost(flat, basis), reference),
                intensity(basis, end * cost(flat, basis), reference));
    }

    /** Of a distance by power on usual roads, from the athlete's own sessions; NaN when they do not tell. */
    private double ownSpeed(Workout.Flat flat, double watts) {
        boolean asked =
                flat.step().length() instanceof Length.Distance && flat.step().gradientPercent() == 0;
        return asked ? zones.speeds().at(workout.sport(), watts).orElse(Double.NaN) : Double.NaN;
    }

    private PlannedStep without(Workout.Flat flat, double intensity) {
        return new PlannedStep(
                flat,
                seconds(flat, Double.NaN),
                metres(flat, Double.NaN),
                null,
                Double.NaN,
                Double.NaN,
                Double.NaN,
                Double.NaN,
                intensity,
                intensity);
    }

    /**
     * For heart rate the steady intensity that gives the same load, where the values allow; else beats over threshold.
     */
    private double intensity(Basis basis, double value, double reference) {
        if (basis != Basis.HEART_RATE || !SessionLoad.canUseHeartRate(thresholds)) return value / reference;
        return Math.sqrt(SessionLoad.ofHeartRate(Series.of(value), thresholds) * 36);
    }

    private static double seconds(Workout.Flat flat, double speed) {
        if (flat.step().length() instanceof Length.Time time) return time.seconds();
        return flat.step().length() instanceof Length.Distance distance ? distance.metres() / speed : Double.NaN;
    }

    private static double metres(Workout.Flat flat, double speed) {
        if (flat.step().target() instanceof Target.Rest) return 0; // standing, or at the wall
        if (flat.step().length() instanceof Length.Distance distance) return distance.metres();
        return flat.step().length() instanceof Length.Time time ? time.seconds() * speed : Double.NaN;
    }

    private double reference(Basis basis) {
        return thresholds.get(basis.threshold()).orElseThrow(() -> new IllegalArgumentException(unknown(basis)));
    }

    private double referenceIfKnown(Basis basis) {
        return thresholds.get(basis.threshold()).orElse(Double.NaN);
    }
}
