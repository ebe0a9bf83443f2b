package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.selection.Stretch;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Pace;

/** Figures of a selected stretch of a recording, in words ready to show. */
public final class Range {
    /** One figure with its name and unit. */
    public record Figure(String name, String value) {}

    private final List<Figure> figures = new ArrayList<>();

    private Range() {}

    /** @param from first grid second; {@code to} is the second after the last; both are brought inside the recording */
    public static List<Figure> of(Recording recording, Thresholds thresholds, int from, int to) {
        Stretch s = Stretch.of(recording, thresholds, from, to);
        Range range = new Range();
        range.add(
                "from " + clock(s.from()),
                s.seconds(),
                v -> clock((int) v)
                        + (s.clockSeconds() > s.seconds() + 1
                                ? " (" + clock((int) Math.round(s.clockSeconds())) + " by the clock)"
                                : ""));
        range.add("distance", s.metres(), v -> Units.mine().distance(v, 2));
        range.add(
                "mean",
                s.watts(),
                v -> Math.round(v) + " W" + (s.peakWatts() > 0 ? ", peak " + Math.round(s.peakWatts()) : ""));
        if (!Double.isNaN(s.watts())) range.add("equivalent", s.equivalent(), v -> Math.round(v) + " W");
        else
            range.add(
                    recording.sport().hillsCost() ? "flat-equivalent pace" : "pace while moving",
                    s.equivalent(),
                    v -> speed(recording.sport(), v));
        range.add("per kg", s.wattsPerKilogram(), v -> decimal(v, 2) + " W/kg");
        range.add("of threshold", s.intensity(), v -> Math.round(100 * v) + " %");
        range.add("heart rate", s.bpm(), v -> Math.round(v) + ", peak " + Math.round(s.peakBpm()));
        range.add("cadence", s.cadence(), v -> String.valueOf(Math.round(v)));
        range.add(
                Shown.unit(recording.sport()).isPace() ? "pace" : "speed", s.speed(), v -> speed(recording.sport(), v));
        range.add(
                "climb",
                s.climb(),
                v -> Math.round(v) + " m" + (v >= 20 ? " at " + Math.round(s.climbRate()) + " m/h" : ""));
        range.add("gradient", s.gradient(), v -> decimal(100 * v, 1) + " %");
        range.add("load", s.load(), v -> decimal(v, 1));
        range.add("work", s.joules() / 1000, v -> Math.round(v) + " kJ, so far " + Math.round(s.joulesSoFar() / 1000));
        range.add("drift", s.drift(), v -> (v < 0 ? "−" : "+") + decimal(Math.abs(100 * v), 1) + " %");
        if (s.presentShare() < SessionSummary.SOUND_SHARE)
            range.add("values present", s.presentShare(), v -> Math.round(100 * v) + " %");
        return range.figures;
    }

    private void add(String name, double value, DoubleFunction<String> shown) {
        if (Double.isFinite(value)) figures.add(new Figure(name, shown.apply(value)));
    }

    private static String speed(Sport sport, double metresPerSecond) {
        return metresPerSecond > 0 ? Shown.speedFigure(sport, metresPerSecond) + " " + Shown.speedUnit(sport) : "–";
    }

    private static String decimal(double value, int digits) {
        return Units.mine().decimal(value, digits).replace('-', '−');
    }

    private static String clock(int seconds) {
        return seconds >= 3600
                ? String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3600, seconds / 60 % 60, seconds % 60)
                : Pace.clock(seconds);
    }
}
