package pemblar.app.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Units;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Editing;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Length;
import pemblar.core.workout.PlannedStep;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Target;
import pemblar.core.zone.Zones;

/**
 * A workout drawn to scale in a box of {@link #WIDTH} by 220: time along, percent of threshold up, harder is darker.
 *
 * @param reservePath the planned reserve under it; empty when it cannot be known
 */
public record Drawing(
        List<Shape> shapes,
        List<Tick> times,
        List<Tick> levels,
        String reservePath,
        double lowestX,
        double lowestY,
        double zeroY,
        double total,
        double top) {
    public static final double WIDTH = 760;
    private static final double LEFT = 44;
    static final double FLOOR = 190;
    static final double HEIGHT = 170;
    private static final double RESERVE_FLOOR = 60;
    private static final double RESERVE_HEIGHT = 52;
    private static final int UNKNOWN_SECONDS = 240;
    private static final int[] TICK_SECONDS = {60, 300, 600, 900, 1800, 3600, 7200};

    /**
     * A step; {@code open} when its length cannot be known.
     *
     * @param path where it stands in the design, and {@code kind} what its target is: band, ramp, single or none
     * @param from, to its ends along the axis; {@code beginY} and {@code endY} its height; {@code lowY} and
     *     {@code highY} the edges of a band
     * @param amount seconds, or metres for a length by distance; 0 when it has no length to drag
     */
    public record Shape(
            String points,
            int zone,
            boolean open,
            double labelX,
            double labelY,
            boolean labelled,
            String title,
            String path,
            String kind,
            double from,
            double to,
            double beginY,
            double endY,
            double lowY,
            double highY,
            double amount,
            String unit) {
        public double width() {
            return to - from;
        }

        public double height() {
            return lowY - highY;
        }
    }

    public record Tick(double at, String text) {}

    /**
     * How a workout is drawn.
     *
     * @param paths of each step of the forecast, for editing; empty when it is only looked at
     * @param byDistance along the axis by distance; taken by time when the distance of a step cannot be known
     */
    public record Way(List<Editing.Path> paths, boolean byDistance) {
        static final Way LOOKED_AT = new Way(List.of(), false);
    }

    public static Drawing of(Forecast forecast, Zones zones, Sport sport) {
        return of(forecast, zones, sport, Way.LOOKED_AT);
    }

    public static Drawing of(Forecast forecast, Zones zones, Sport sport, Way way) {
        boolean far = way.byDistance() && forecast.metres().isPresent();
        List<PlannedStep> steps = forecast.steps();
        Scale scale = new Scale(steps.stream().mapToDouble(s -> extent(s, far)).sum(), top(steps));
        List<Shape> shapes = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < steps.size(); i++) {
            PlannedStep step = steps.get(i);
            double end = at + extent(step, far);
            Place place = new Place(
                    scale.x(at),
                    scale.x(end),
                    way.paths().isEmpty() ? "" : way.paths().get(i).toString(),
                    zone(step, zones, sport));
            shapes.add(shape(step, sport, place, scale));
            at = end;
        }
        List<Tick> times = far ? distances(scale) : times(scale);
        Drawing drawn = new Drawing(shapes, times, levels(scale), "", 0, 0, 0, scale.total(), scale.top());
        // over distance a curve by seconds has no place
        return far || forecast.reserve().isEmpty() ? drawn : drawn.withReserve(forecast, zones.thresholds(), scale);
    }

    private static double top(List<PlannedStep> steps) {
        double most = steps.stream()
                .mapToDouble(s -> Math.max(intensity(s.intensityFrom()), intensity(s.intensityTo())))
                .max()
                .orElse(1);
        return Math.max(1.2, most * 1.06);
    }

    private static List<Tick> levels(Scale scale) {
        List<Tick> levels = new ArrayList<>();
        for (int percent = 50; percent <= scale.top() * 100; percent += 50)
            levels.add(new Tick(scale.y(percent / 100.0), percent + " %"));
        return levels;
    }

    /** Seconds or metres along, and the highest intensity up. */
    private record Scale(double total, double top) {
        double x(double extent) {
            return LEFT + (WIDTH - LEFT - 6) * extent / Math.max(1, total);
        }

        double y(double value) {
            return FLOOR - HEIGHT * intensity(value) / top;
        }
    }

    /** Where a step stands: its ends along the axis, its path in the design, and the zone it is drawn in. */
    private record Place(double from, double to, String path, int zone) {
        double middle() {
            return (from + to) / 2;
        }
    }

    private static double extent(PlannedStep step, boolean far) {
        return far ? step.metres() : seconds(step);
    }

    private Drawing withReserve(Forecast forecast, Thresholds thresholds, Scale scale) {
        Series reserve = forecast.reserve().orElseThrow();
        double full = thresholds.require(Quantity.W_PRIME);
        double lowest = Math.min(0, forecast.lowestReserve().orElseThrow().joules());
        StringBuilder path = new StringBuilder();
        int step = Math.max(1, reserve.size() / 700);
        for (int i = 0; i < reserve.size(); i += step)
            path.append(String.format(
                    Locale.ROOT,
                    "%s%.1f %.1f",
                    path.isEmpty() ? "M" : "L",
                    scale.x(i + 1.0),
                    reserveY(reserve.at(i), lowest, full)));
        int index = Math.max(0, forecast.lowestReserve().get().index());
        return new Drawing(
                shapes,
                times,
                levels,
                path.toString(),
                scale.x(index + 1.0),
                reserveY(reserve.at(index), lowest, full),
                reserveY(0, lowest, full),
                total,
                top);
    }

    private static double reserveY(double joules, double lowest, double full) {
        return RESERVE_FLOOR - RESERVE_HEIGHT * (joules - lowest) / (full - lowest);
    }

    private static Shape shape(PlannedStep step, Sport sport, Place place, Scale scale) {
        double from = place.from();
        double to = place.to();
        double begin = scale.y(step.intensityFrom());
        double end = scale.y(step.intensityTo());
        String points = String.format(
                Locale.ROOT, "%.1f,%.1f %.1f,%.1f %.1f,%.1f %.1f,%.1f", from, FLOOR, from, begin, to, end, to, FLOOR);
        Step design = step.flat().step();
        String title = ShorthandText.length(design.length()) + " " + ShorthandText.target(design.target(), sport);
        double middle = (step.low() + step.high()) / 2;
        boolean band = !step.isRamp() && isBand(design.target());
        double low = band ? scale.y(step.intensity() * step.low() / middle) : begin;
        double high = band ? scale.y(step.intensity() * step.high() / middle) : begin;
        String kind = step.isRamp()
                ? "ramp"
                : band
                        ? "band"
                        : design.target() instanceof Target.Open || design.target() instanceof Target.Rest
                                ? "none"
                                : "single";
        double amount = design.length() instanceof Length.Time t
                ? t.seconds()
                : design.length() instanceof Length.Distance d ? d.metres() : 0;
        return new Shape(
                points,
                place.zone(),
                Double.isNaN(step.seconds()),
                place.middle(),
                FLOOR - 6,
                to - from > 16,
                title,
                place.path(),
                kind,
                from,
                to,
                begin,
                end,
                low,
                high,
                amount,
                design.length() instanceof Length.Distance ? "m" : "s");
    }

    private static boolean isBand(Target target) {
        return target instanceof Target.Percent p && p.from() < p.to()
                || target instanceof Target.Absolute a && a.from() != a.to();
    }

    /** Zone of the step's mean target among the athlete's own zones; a step without a target by its intensity. */
    private static int zone(PlannedStep step, Zones zones, Sport sport) {
        Measure measure =
                step.basis() == null ? sport.ownMeasure() : step.basis().measure();
        double threshold = zones.thresholds()
                .forSport(sport)
                .get(Quantity.threshold(measure))
                .orElse(Double.NaN);
        double value = step.basis() == null ? intensity(step.intensity()) * threshold : step.targetAt(0.5);
        return zones.of(measure, sport)
                .map(set -> Math.max(1, set.zoneOf(value + 1e-9)))
                .orElse(1);
    }

    private static double seconds(PlannedStep step) {
        return Double.isFinite(step.seconds()) ? step.seconds() : UNKNOWN_SECONDS;
    }

    private static double intensity(double value) {
        return Double.isFinite(value) ? value : 0.5;
    }

    private static List<Tick> distances(Scale scale) {
        double total = scale.total();
        double unit = Units.mine().lengthMetres();
        double step = unit;
        while (total / step > 10) step *= step >= 5 * unit ? 2 : 5;
        List<Tick> ticks = new ArrayList<>();
        for (double metres = 0; metres <= total; metres += step)
            ticks.add(new Tick(
                    scale.x(metres),
                    Math.round(metres / unit)
                            + (metres == 0 ? "" : " " + Units.mine().lengthUnit())));
        return ticks;
    }

    private static List<Tick> times(Scale scale) {
        double total = scale.total();
        int step = TICK_SECONDS[TICK_SECONDS.length - 1];
        for (int candidate : TICK_SECONDS)
            if (total / candidate <= 10) {
                step = candidate;
                break;
            }
        List<Tick> ticks = new ArrayList<>();
        for (int t = 0; t <= total; t += step)
            ticks.add(new Tick(
                    scale.x(t),
                    t >= 3600
                            ? t / 3600 + ":" + String.format(Locale.ROOT, "%02d", t / 60 % 60)
                            : t / 60 + (t == 0 ? "" : " min")));
        return ticks;
    }
}
