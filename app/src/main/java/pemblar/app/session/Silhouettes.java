package pemblar.app.session;

import java.util.Locale;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;

/** Silhouettes as short texts: "seconds,from,to" for each planned step; equal parts of a recording as fractions of threshold. */
final class Silhouettes {
    private static final int MOST_STEPS = 300;
    private static final int PARTS = 80;
    private static final int UNKNOWN_SECONDS = 240;

    private Silhouettes() {}

    static String planned(Forecast forecast) {
        StringBuilder text = new StringBuilder();
        int count = 0;
        for (PlannedStep step : forecast.steps()) {
            if (++count > MOST_STEPS) break;
            double seconds = Double.isFinite(step.seconds()) ? step.seconds() : UNKNOWN_SECONDS;
            if (!text.isEmpty()) text.append(';');
            text.append(String.format(Locale.ROOT, "%.0f,%.3f,%.3f", seconds, known(step.intensityFrom()), known(step.intensityTo())));
        }
        return text.toString();
    }

    private static double known(double intensity) {
        return Double.isFinite(intensity) ? intensity : 0.5;
    }

    /** Power, else speed, else heart rate, over its threshold; empty when no pair is known. */
    static String done(Recording recording, Thresholds thresholds) {
        Channel[] channels = {Channel.POWER, Channel.SPEED, Channel.HEART_RATE};
        Quantity[] references = {Quantity.THRESHOLD_POWER, Quantity.THRESHOLD_SPEED, Quantity.THRESHOLD_HEART_RATE};
        for (int i = 0; i < channels.length; i++)
            if (recording.has(channels[i]) && thresholds.knows(references[i]))
                return parts(recording.channel(channels[i]).orElseThrow(), thresholds.require(references[i]));
        return "";
    }

    private static String parts(Series series, double reference) {
        StringBuilder text = new StringBuilder();
        int parts = Math.min(PARTS, series.size());
        for (int p = 0; p < parts; p++) {
            double mean = series.mean((int) ((long) series.size() * p / parts), (int) ((long) series.size() * (p + 1) / parts));
            if (p > 0) text.append(',');
            text.append(String.format(Locale.ROOT, "%.2f", Double.isNaN(mean) ? 0 : Math.min(3, mean / reference)));
        }
        return text.toString();
    }
}
