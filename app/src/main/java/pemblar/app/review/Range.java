package pemblar.app.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pemblar.core.load.SessionSummary;
import pemblar.core.load.SteadyEquivalent;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Pace;

/** Figures of a selected stretch of a recording, in words ready to show. */
final class Range {
    /** One figure with its name and unit. */
    record Figure(String name, String value) {}

    private Range() {}

    /** @param from first grid second; {@code to} is the second after the last; both are brought inside the recording */
    static List<Figure> of(Recording recording, Thresholds thresholds, int from, int to) {
        int begin = Math.max(0, Math.min(from, recording.seconds() - 1));
        int end = Math.max(begin + 1, Math.min(to, recording.seconds()));
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure("from " + clock(begin), clock(end - begin)));
        recording.channel(Channel.POWER).ifPresent(power -> power(figures, power.slice(begin, end), thresholds));
        recording.channel(Channel.HEART_RATE).ifPresent(bpm -> {
            if (bpm.present(begin, end) > 0) figures.add(new Figure("heart rate", Math.round(bpm.mean(begin, end)) + ", peak " + Math.round(bpm.max(begin, end))));
        });
        mean(figures, recording, Channel.CADENCE, "cadence", begin, end, "");
        recording.channel(Channel.SPEED).ifPresent(speed -> {
            double mean = speed.mean(begin, end);
            if (mean > 0) figures.add(recording.sport() == pemblar.core.Sport.RUN ? new Figure("pace", Pace.clock(1000 / mean) + " /km") : new Figure("speed", decimal(mean * 3.6) + " km/h"));
        });
        recording.channel(Channel.DISTANCE).ifPresent(d -> {
            double metres = d.lastBefore(end) - (begin == 0 ? 0 : d.lastBefore(begin));
            if (Double.isFinite(metres)) figures.add(new Figure("distance", decimal(metres / 1000) + " km"));
        });
        recording.channel(Channel.ALTITUDE).ifPresent(a -> figures.add(new Figure("climb", Math.round(a.risen(begin, end)) + " m")));
        return figures;
    }

    private static void power(List<Figure> figures, Series watts, Thresholds thresholds) {
        if (watts.present() == 0) return;
        figures.add(new Figure("mean", Math.round(watts.mean()) + " W"));
        double equivalent = SteadyEquivalent.of(watts);
        figures.add(new Figure("equivalent", Math.round(equivalent) + " W"));
        thresholds.get(Quantity.BODY_MASS).ifPresent(kg -> figures.add(new Figure("per kg", String.format(Locale.ROOT, "%.2f W/kg", watts.mean() / kg))));
        thresholds.get(Quantity.THRESHOLD_POWER).ifPresent(t -> figures.add(new Figure("of threshold", Math.round(100 * equivalent / t) + " %")));
        figures.add(new Figure("work", Math.round(watts.mean() * watts.present() / 1000) + " kJ"));
        if (watts.present() < SessionSummary.SOUND_SHARE * watts.size()) figures.add(new Figure("power present", Math.round(100.0 * watts.present() / watts.size()) + " %"));
    }

    private static void mean(List<Figure> figures, Recording recording, Channel channel, String name, int from, int to, String unit) {
        recording.channel(channel).ifPresent(s -> {
            if (s.present(from, to) > 0) figures.add(new Figure(name, Math.round(s.mean(from, to)) + unit));
        });
    }

    private static String decimal(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static String clock(int seconds) {
        return seconds >= 3600 ? String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3600, seconds / 60 % 60, seconds % 60) : Pace.clock(seconds);
    }
}
