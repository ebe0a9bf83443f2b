package pemblar.app.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pemblar.core.Sport;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;
import pemblar.core.zone.ZoneSet.Measure;

/**
 * A workout drawn to scale in a box of {@link #WIDTH} by 220: time along, percent of threshold up, harder is darker.
 * @param reservePath the planned reserve under it; empty when it cannot be known
 */
public record Drawing(List<Shape> shapes, List<Tick> times, List<Tick> levels, String reservePath, double lowestX, double lowestY, double zeroY) {
    public static final double WIDTH = 760;
    private static final double LEFT = 44;
    private static final double FLOOR = 190;
    private static final double HEIGHT = 170;
    private static final double RESERVE_FLOOR = 60;
    private static final double RESERVE_HEIGHT = 52;
    private static final int UNKNOWN_SECONDS = 240;
    private static final int[] TICK_SECONDS = {60, 300, 600, 900, 1800, 3600, 7200};

    /** A step; {@code open} when its length cannot be known. */
    public record Shape(String points, int zone, boolean open, double labelX, double labelY, boolean labelled, String title) {}

    public record Tick(double at, String text) {}

    public static Drawing of(Forecast forecast, Zones zones, Sport sport) {
        double total = forecast.steps().stream().mapToDouble(Drawing::seconds).sum();
        double top = Math.max(1.2, forecast.steps().stream().mapToDouble(s -> Math.max(intensity(s.intensityFrom()), intensity(s.intensityTo()))).max().orElse(1) * 1.06);
        List<Shape> shapes = new ArrayList<>();
        double at = 0;
        for (PlannedStep step : forecast.steps()) {
            double end = at + seconds(step);
            shapes.add(shape(step, zone(step, zones, sport), x(at, total), x(end, total), top));
            at = end;
        }
        List<Tick> levels = new ArrayList<>();
        for (int percent = 50; percent <= top * 100; percent += 50) levels.add(new Tick(y(percent / 100.0, top), percent + " %"));
        return withReserve(shapes, times(total), levels, forecast, zones.thresholds(), total);
    }

    private static Drawing withReserve(List<Shape> shapes, List<Tick> times, List<Tick> levels, Forecast forecast, Thresholds thresholds, double total) {
        Optional<Series> reserve = forecast.reserve();
        if (reserve.isEmpty()) return new Drawing(shapes, times, levels, "", 0, 0, 0);
        double full = thresholds.require(Quantity.W_PRIME);
        double lowest = Math.min(0, forecast.lowestReserve().orElseThrow().joules());
        StringBuilder path = new StringBuilder();
        int step = Math.max(1, reserve.get().size() / 700);
        for (int i = 0; i < reserve.get().size(); i += step)
            path.append(String.format(Locale.ROOT, "%s%.1f %.1f", path.isEmpty() ? "M" : "L", x(i + 1.0, total), reserveY(reserve.get().at(i), lowest, full)));
        int index = Math.max(0, forecast.lowestReserve().get().index());
        return new Drawing(shapes, times, levels, path.toString(), x(index + 1.0, total), reserveY(reserve.get().at(index), lowest, full), reserveY(0, lowest, full));
    }

    private static double reserveY(double joules, double lowest, double full) {
        return RESERVE_FLOOR - RESERVE_HEIGHT * (joules - lowest) / (full - lowest);
    }

    private static Shape shape(PlannedStep step, int zone, double from, double to, double top) {
        String points = String.format(Locale.ROOT, "%.1f,%.1f %.1f,%.1f %.1f,%.1f %.1f,%.1f", from, FLOOR, from, y(step.intensityFrom(), top), to, y(step.intensityTo(), top), to, FLOOR);
        String title = pemblar.core.workout.ShorthandText.length(step.flat().step().length()) + " " + pemblar.core.workout.ShorthandText.target(step.flat().step().target());
        return new Shape(points, zone, Double.isNaN(step.seconds()), (from + to) / 2, FLOOR - 6, to - from > 16, title);
    }

    /** Zone of the step's mean target among the athlete's own zones; a step without a target by its intensity. */
    private static int zone(PlannedStep step, Zones zones, Sport sport) {
        Measure measure = step.basis() == null ? sport == Sport.RUN ? Measure.SPEED : Measure.POWER : step.basis().measure();
        double threshold = zones.thresholds().forSport(sport).get(measure.threshold()).orElse(Double.NaN);
        double value = step.basis() == null ? intensity(step.intensity()) * threshold : step.targetAt(0.5);
        return zones.of(measure, sport).map(set -> Math.max(1, set.zoneOf(value + 1e-9))).orElse(1);
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

    private static List<Tick> times(double total) {
        int step = TICK_SECONDS[TICK_SECONDS.length - 1];
        for (int candidate : TICK_SECONDS)
            if (total / candidate <= 10) {
                step = candidate;
                break;
            }
        List<Tick> ticks = new ArrayList<>();
        for (int t = 0; t <= total; t += step) ticks.add(new Tick(x(t, total), t >= 3600 ? t / 3600 + ":" + String.format(Locale.ROOT, "%02d", t / 60 % 60) : t / 60 + (t == 0 ? "" : " min")));
        return ticks;
    }
}
