package pemblar.app.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
            String unit) {}

    public record Tick(double at, String text) {}

    public static Drawing of(Forecast forecast, Zones zones, Sport sport) {
        return of(forecast, List.of(), zones, sport, false);
    }

    /**
     * @param paths of each step of the forecast, for editing; empty when it is only looked at
     * @param byDistance along the axis by distance; taken by time when the distance of a step cannot be known
     */
    public static Drawing of(
            Forecast forecast, List<Editing.Path> paths, Zones zones, Sport sport, boolean byDistance) {
        boolean far = byDistance && forecast.metres().isPresent();
        double total =
                forecast.steps().stream().mapToDouble(s -> extent(s, far)).sum();
        double top = Math.max(
                1.2,
                forecast.steps().stream()
                                .mapToDouble(s -> Math.max(intensity(s.intensityFrom()), intensity(s.intensityTo())))
                                .max()
                                .orElse(1)
                        * 1.06);
        List<Shape> shapes = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < forecast.steps().size(); i++) {
            PlannedStep step = forecast.steps().get(i);
            double end = at + extent(step, far);
            shapes.add(shape(
                    step,
                    sport,
                    zone(step, zones, sport),
                    x(at, total),
                    x(end, total),
                    top,
                    paths.isEmpty() ? "" : paths.get(i).toString()));
            at = end;
        }
        List<Tick> levels = new ArrayList<>();
        for (int percent = 50; percent <= top * 100; percent += 50)
            levels.add(new Tick(y(percent / 100.0, top), percent + " %"));
        return withReserve(
                shapes,
                far ? distances(total) : times(total),
                levels,
                far ? withoutReserve(forecast) : forecast,
                zones.thresholds(),
                total,
                top);
    }

    /** Over distance a curve by seconds has no place. */
    private static Forecast withoutReserve(Forecast f) {
        return new Forecast(
                f.steps(),
                f.seconds(),
                f.metres(),
                f.intensity(),
                f.load(),
                f.lowestReserve(),
                Optional.empty(),
                f.remarks());
    }

    private static double extent(PlannedStep step, boolean far) {
        return far ? step.metres() : seconds(step);
    }

    private static Drawing withReserve(
            List<Shape> shapes,
            List<Tick> times,
            List<Tick> levels,
            Forecast forecast,
            Thresholds thresholds,
            double total,
            double top) {
        Optional<Series> reserve = forecast.reserve();
        if (reserve.isEmpty()) return new Drawing(shapes, times, levels, "", 0, 0, 0, total, top);
        double full = thresholds.require(Quantity.W_PRIME);
        double lowest = Math.min(0, forecast.lowestReserve().orElseThrow().joules());
        StringBuilder path = new StringBuilder();
        int step = Math.max(1, reserve.get().size() / 700);
        for (int i = 0; i < reserve.get().size(); i += step)
            path.append(String.format(
                    Locale.ROOT,
                    "%s%.1f %.1f",
                    path.isEmpty() ? "M" : "L",
                    x(i + 1.0, total),
                    reserveY(reserve.get().at(i), lowest, full)));
        int index = Math.max(0, forecast.lowestReserve().get().index());
        return new Drawing(
                shapes,
                times,
                levels,
                path.toString(),
                x(index + 1.0, total),
                reserveY(reserve.get().at(index), lowest, full),
                reserveY(0, lowest, full),
                total,
                top);
    }

    private static double reserveY(double joules, double lowest, double full) {
        return RESERVE_FLOOR - RESERVE_HEIGHT * (joules - lowest) / (full - lowest);
    }

    private static Shape shape(
            PlannedStep step, Sport sport, int zone, double from, double to, double top, String path) {
        double begin = y(step.intensityFrom(), top);
        double end = y(step.intensityTo(), top);
        String points = String.format(
                Locale.ROOT, "%.1f,%.1f %.1f,%.1f %.1f,%.1f %.1f,%.1f", from, FLOOR, from, begin, to, end, to, FLOOR);
        Step design = step.flat().step();
        String title = ShorthandText.length(design.length()) + " " + ShorthandText.target(design.target(), sport);
        double middle = (step.low() + step.high()) / 2;
        boolean band = !step.isRamp() && isBand(design.target());
        double low = band ? y(step.intensity() * step.low() / middle, top) : begin;
        double high = band ? y(step.intensity() * step.high() / middle, top) : begin;
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
                zone,
                Double.isNaN(step.seconds()),
                (from + to) / 2,
                FLOOR - 6,
                to - from > 16,
                title,
                path,
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

    private static double x(double seconds, double total) {
        return LEFT + (WIDTH - LEFT - 6) * seconds / Math.max(1, total);
    }

    private static double y(double value, double top) {
        return FLOOR - HEIGHT * intensity(value) / top;
    }

    private static List<Tick> distances(double total) {
        double unit = Units.mine().lengthMetres();
        double step = unit;
        while (total / step > 10) step *= step >= 5 * unit ? 2 : 5;
        List<Tick> ticks = new ArrayList<>();
        for (double metres = 0; metres <= total; metres += step)
            ticks.add(new Tick(
                    x(metres, total),
                    Math.round(metres / unit)
                            + (metres == 0 ? "" : " " + Units.mine().lengthUnit())));
        return ticks;
    }

    private static List<Tick> times(double total) {
        int step = TICK_SECONDS[TICK_SECONDS.length - 1];
        for (int candidate : TICK_SECONDS)
            if (total / candidate <= 10) {
                step = candidate;
                break;
            }
        List<Tick> ticks = new ArrayList<>();
        for (int t = 0; t <= total; t += step)
            ticks.add(new Tick(
                    x(t, total),
                    t >= 3600
                            ? t / 3600 + ":" + String.format(Locale.ROOT, "%02d", t / 60 % 60)
                            : t / 60 + (t == 0 ? "" : " min")));
        return ticks;
    }
}
