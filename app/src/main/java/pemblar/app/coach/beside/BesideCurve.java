package pemblar.app.coach.beside;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.evidence.curve.CurveUnits;
import pemblar.app.frame.page.Path;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** Best efforts of some athletes of one sport over all durations, as lines in one drawing. */
@Component
class BesideCurve {
    static final double WIDTH = 1000;
    static final double HEIGHT = 260;
    private static final int SHORTEST = 5;
    private static final double NAME_HEIGHT = 17;
    private static final int[] TIMES = {5, 15, 60, 300, 1200, 3600, 10_800};
    private final EffortService efforts;
    private final ThresholdService thresholds;
    private final DoubtService doubts;
    private final Shown shown;

    BesideCurve(EffortService efforts, ThresholdService thresholds, DoubtService doubts, Shown shown) {
        this.doubts = doubts;
        this.efforts = efforts;
        this.thresholds = thresholds;
        this.shown = shown;
    }

    /** @param dash of the line: no colour tells them apart @param endY where its name stands */
    public record Line(String name, String path, String dash, double endX, double endY) {}

    public record Tick(double at, String text) {}

    /**
     * @param unit of the values; {@code sentence} says in words which line lies where
     * @param inDoubt whose line is led by a recording that is probably wrong; then no sentence says who is ahead
     */
    public record Drawing(
            List<Line> lines, List<Tick> values, List<Tick> times, String unit, String sentence, List<String> inDoubt) {
        public boolean isEmpty() {
            return lines.isEmpty();
        }
    }

    private static final Drawing NONE = new Drawing(List.of(), List.of(), List.of(), "", "", List.of());
    private static final String[] DASHES = {"", "9 5", "2 4", "14 4 2 4"};

    /** Empty unless all are of one sport and have efforts by one measure in the last 90 days. */
    Drawing of(List<Athlete> athletes, List<String> names, LocalDate today) {
        Sport sport = athletes.get(0).first();
        if (athletes.stream().anyMatch(a -> a.first() != sport)) return NONE;
        List<DatedValues> values = athletes.stream().map(thresholds::of).toList();
        boolean perKilogram = values.stream()
                .allMatch(v -> v.on(today).get(Quantity.BODY_MASS).isPresent());
        CurveUnits units = new CurveUnits(Measure.POWER, sport, perKilogram);
        List<List<Point>> curves = curves(athletes, values, units, today);
        if (curves.stream().anyMatch(List::isEmpty)) {
            units = new CurveUnits(Measure.SPEED, sport, false);
            curves = curves(athletes, values, units, today);
        }
        if (curves.stream().anyMatch(List::isEmpty)) return NONE;
        List<String> inDoubt = new ArrayList<>();
        for (int i = 0; i < curves.size(); i++)
            if (isLedByDoubt(athletes.get(i), sport, curves.get(i), today)) inDoubt.add(names.get(i));
        return drawn(curves, names, units, inDoubt);
    }

    private boolean isLedByDoubt(Athlete athlete, Sport sport, List<Point> curve, LocalDate today) {
        Set<Long> doubted = doubts.recordingsOfEfforts(athlete, sport, DayRange.upTo(today, Bests.DAYS));
        return curve.stream().anyMatch(p -> doubted.contains(p.source()));
    }

    private List<List<Point>> curves(
            List<Athlete> athletes, List<DatedValues> values, CurveUnits units, LocalDate today) {
        List<List<Point>> curves = new ArrayList<>();
        for (int i = 0; i < athletes.size(); i++) {
            DatedValues own = values.get(i);
            Scope scope = new Scope(athletes.get(i), units.sport(), units.measure(), DayRange.upTo(today, Bests.DAYS));
            curves.add(efforts.curve(scope, day -> units.perKilogram() ? mass(own, day) : 1).points().stream()
                    .filter(p -> p.seconds() >= SHORTEST)
                    .toList());
        }
        return curves;
    }

    private static double mass(DatedValues values, LocalDate day) {
        return values.on(day).get(Quantity.BODY_MASS).orElse(Double.NaN);
    }

    private Drawing drawn(List<List<Point>> curves, List<String> names, CurveUnits units, List<String> inDoubt) {
        int longest = curves.stream()
                .flatMap(List::stream)
                .mapToInt(Point::seconds)
                .max()
                .orElseThrow();
        double most = curves.stream()
                .flatMap(List::stream)
                .mapToDouble(Point::value)
                .max()
                .orElseThrow();
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < curves.size(); i++) {
            StringBuilder path = new StringBuilder();
            for (Point p : curves.get(i))
                path.append(path.isEmpty() ? 'M' : 'L').append(Path.at(x(p.seconds(), longest), y(p.value(), most)));
            Point last = curves.get(i).get(curves.get(i).size() - 1);
            lines.add(new Line(
                    names.get(i),
                    path.toString(),
                    DASHES[i % DASHES.length],
                    x(last.seconds(), longest),
                    y(last.value(), most)));
        }
        lines = apart(lines);
        List<Tick> times = new ArrayList<>();
        for (int t : TIMES) if (t <= longest) times.add(new Tick(x(t, longest), time(t)));
        return new Drawing(
                lines,
                ticks(most, units),
                times,
                units.isSpeed() ? Shown.speedUnit(units.sport()) : units.unit(),
                inDoubt.isEmpty() ? sentence(curves, names, units.isSpeed() ? "" : " in " + units.unit()) : "",
                inDoubt);
    }

    /** Names one under the other where lines end close together. */
    private static List<Line> apart(List<Line> lines) {
        List<Line> sorted = new ArrayList<>(lines);
        sorted.sort(java.util.Comparator.comparingDouble(Line::endY));
        double least = Double.NEGATIVE_INFINITY;
        List<Line> apart = new ArrayList<>();
        for (Line line : sorted) {
            double y = Math.max(line.endY(), least);
            apart.add(new Line(line.name(), line.path(), line.dash(), line.endX(), y));
            least = y + NAME_HEIGHT;
        }
        return apart;
    }

    private String time(int seconds) {
        return seconds < 60 ? seconds + " s" : shown.duration(seconds);
    }

    private static double x(int seconds, int longest) {
        return WIDTH * Math.log((double) seconds / SHORTEST) / Math.log((double) longest / SHORTEST);
    }

    private static double y(double value, double most) {
        return HEIGHT * (1 - value / most);
    }

    private static List<Tick> ticks(double most, CurveUnits units) {
        double step = most > 400 ? 200 : most > 100 ? 50 : most > 8 ? 4 : most > 4 ? 2 : 1;
        List<Tick> ticks = new ArrayList<>();
        for (double v = step; v <= most; v += step)
            ticks.add(new Tick(
                    y(v, most), units.isSpeed() ? Shown.speedFigure(units.sport(), v) : String.valueOf(Math.round(v))));
        return ticks;
    }

    /** Where the first two cross, if they do. */
    private String sentence(List<List<Point>> curves, List<String> names, String in) {
        if (curves.size() != 2) return "";
        int ahead = 0;
        boolean tied = false;
        Integer crossed = null;
        for (Point p : curves.get(0)) {
            OptionalDouble other = curves.get(1).stream()
                    .filter(q -> q.seconds() == p.seconds())
                    .mapToDouble(Point::value)
                    .findFirst();
            if (other.isEmpty()) continue;
            tied |= p.value() == other.getAsDouble();
            if (p.value() == other.getAsDouble()) continue;
            int now = p.value() > other.getAsDouble() ? 1 : -1;
            if (ahead != 0 && now != ahead) crossed = crossed == null ? (Integer) p.seconds() : Integer.valueOf(-1);
            ahead = now;
        }
        if (ahead == 0 || tied || crossed != null && crossed < 0) return "";
        String longer = names.get(ahead > 0 ? 0 : 1);
        String shorter = names.get(ahead > 0 ? 1 : 0);
        return crossed == null
                ? longer + "’s bests are higher at every duration that both have" + in + "."
                : shorter + "’s bests are higher at less than " + time(crossed) + ", " + longer + "’s from there on"
                        + in + ".";
    }
}
