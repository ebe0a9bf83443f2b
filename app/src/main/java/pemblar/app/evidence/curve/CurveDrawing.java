package pemblar.app.evidence.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import pemblar.app.frame.page.Path;
import pemblar.app.frame.page.Shown;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.model.Effort;
import pemblar.core.model.PowerDuration;
import pemblar.core.profile.OwnModel;

/**
 * Best efforts over their duration on a logarithmic axis, in a box of {@link #WIDTH} by {@link #HEIGHT}: two ranges of
 * days, the fitted model, the efforts it rests on, and the durations that no all-out effort has tested.
 */
public record CurveDrawing(
        String curve,
        String other,
        String model,
        List<Dot> efforts,
        List<Span> untested,
        List<Tick> values,
        List<Tick> durations,
        double criticalY) {
    static final double WIDTH = 1232;
    static final double HEIGHT = 400;
    private static final double LEFT = 54;
    private static final double RIGHT = 10;
    private static final double TOP = 14;
    private static final double FLOOR = 350;
    private static final int[] MARKS = {1, 5, 15, 30, 60, 180, 300, 720, 1200, 1800, 3600, 7200, 14_400, 28_800};
    private static final int MODEL_UNTIL = 3600;
    private static final double LEAST_ROOM = 26;

    public record Dot(double x, double y, String title) {}

    public record Span(double x, double width, String title) {}

    public record Tick(double at, String text) {}

    /**
     * What is drawn.
     *
     * @param other of the days that are held against these; may be empty
     * @param own what tells an all-out effort
     */
    record Curves(List<Point> points, List<Point> other, PowerDuration model, OwnModel own) {}

    /** @param scale watts per unit of the drawing: 1, or the body mass for W/kg */
    static CurveDrawing of(Curves curves, double scale, CurveUnits units) {
        return new Maker(curves, scale, units).draw();
    }

    private static final class Maker {
        private final List<Point> points;
        private final List<Point> other;
        private final PowerDuration model;
        private final OwnModel own;
        private final double scale;
        private final CurveUnits units;
        private final double longest;
        private final double highest;
        private final double lowest;

        Maker(Curves curves, double scale, CurveUnits units) {
            this.points = curves.points();
            this.other = curves.other();
            this.model = curves.model();
            this.own = curves.own();
            this.scale = scale;
            this.units = units;
            List<Point> both = Stream.concat(points.stream(), other.stream()).toList();
            this.longest =
                    Math.max(3600, both.stream().mapToInt(Point::seconds).max().orElse(3600));
            double most = both.stream().mapToDouble(Point::value).max().orElse(1);
            double hardest = model.critical().stream()
                    .flatMap(c -> c.efforts().stream())
                    .mapToDouble(e -> e.watts() / scale)
                    .max()
                    .orElse(0);
            this.highest = Math.max(most, hardest) * 1.05;
            this.lowest = units.isSpeed() ? slowest(both) * 0.9 : 0;
        }

        /** Speeds lie close together: an axis from 0 would leave most of the drawing empty. */
        private static double slowest(List<Point> both) {
            return both.stream()
                    .mapToDouble(Point::value)
                    .filter(v -> v > 0)
                    .min()
                    .orElse(0);
        }

        CurveDrawing draw() {
            List<Dot> dots = new ArrayList<>();
            model.critical().ifPresent(c -> c.efforts().forEach(e -> dots.add(dot(e))));
            double critical = model.critical().map(c -> y(c.watts() / scale)).orElse(0.0);
            return new CurveDrawing(
                    path(points), path(other), modelPath(), dots, untested(), valueTicks(), durationTicks(), critical);
        }

        private Dot dot(Effort e) {
            return new Dot(
                    x(e.seconds()),
                    y(e.watts() / scale),
                    CurveController.clock((int) e.seconds()) + ": " + units.withUnit(e.watts() / scale));
        }

        private String path(List<Point> curve) {
            StringBuilder path = new StringBuilder();
            double lastX = -10;
            for (Point p : curve) {
                double x = x(p.seconds());
                if (x - lastX < 1.2 && p != curve.get(curve.size() - 1)) continue;
                path.append(path.isEmpty() ? 'M' : 'L').append(Path.at(x, y(p.value())));
                lastX = x;
            }
            return path.toString();
        }

        private String modelPath() {
            StringBuilder path = new StringBuilder();
            DoubleUnaryOperator power =
                    t -> model.at(t).map(watts -> watts / scale).orElse(Double.NaN);
            for (double t = 1; t <= MODEL_UNTIL; t *= 1.06) {
                double value = power.applyAsDouble(t);
                if (Double.isNaN(value) || value > highest || value < lowest) continue;
                path.append(path.isEmpty() ? 'M' : 'L').append(Path.at(x(t), y(value)));
            }
            return path.toString();
        }

        /** Runs of neighbouring durations without an all-out effort, up to an hour and where anything tells. */
        private List<Span> untested() {
            List<Span> spans = new ArrayList<>();
            Point first = null;
            Point last = null;
            for (Point p : points) {
                if (p.seconds() > MODEL_UNTIL || own.at(p.seconds()).isEmpty()) continue;
                boolean tested = own.isTested(p.seconds(), p.value() * scale);
                if (!tested) {
                    if (first == null) first = p;
                    last = p;
                } else if (first != null) {
                    spans.add(span(first, last));
                    first = null;
                }
            }
            if (first != null) spans.add(span(first, last));
            return spans;
        }

        private Span span(Point first, Point last) {
            return new Span(
                    x(first.seconds()),
                    Math.max(2, x(last.seconds()) - x(first.seconds())),
                    "untested: " + CurveController.clock(first.seconds()) + " to "
                            + CurveController.clock(last.seconds()));
        }

        private double x(double seconds) {
            return LEFT + (WIDTH - LEFT - RIGHT) * Math.log(seconds) / Math.log(longest);
        }

        private double y(double value) {
            return FLOOR - (FLOOR - TOP) * (value - lowest) / (highest - lowest);
        }

        private List<Tick> valueTicks() {
            return units.isSpeed() ? paceTicks() : powerTicks();
        }

        /** Round paces, closer together where the drawing has room for them. */
        private List<Tick> paceTicks() {
            List<Tick> ticks = new ArrayList<>();
            double metres = Shown.unit(units.sport()).paceMetres() > 0
                    ? Shown.unit(units.sport()).paceMetres()
                    : 1000;
            double last = -LEAST_ROOM;
            for (int seconds = 5; seconds < 3600; seconds += metres < 500 ? 5 : 15) {
                double at = y(metres / seconds);
                if (metres / seconds > highest || at - last < LEAST_ROOM) continue;
                if (at > FLOOR - LEAST_ROOM / 2) break;
                ticks.add(new Tick(at, units.shown(metres / seconds)));
                last = at;
            }
            return ticks;
        }

        private List<Tick> powerTicks() {
            List<Tick> ticks = new ArrayList<>();
            double step = highest > 1000 ? 200 : highest > 400 ? 100 : highest > 20 ? 50 : highest > 10 ? 2 : 1;
            for (double v = step; v <= highest; v += step) ticks.add(new Tick(y(v), String.valueOf(Math.round(v))));
            return ticks;
        }

        private List<Tick> durationTicks() {
            List<Tick> ticks = new ArrayList<>();
            for (int mark : MARKS) if (mark <= longest) ticks.add(new Tick(x(mark), CurveController.clock(mark)));
            return ticks;
        }
    }
}
