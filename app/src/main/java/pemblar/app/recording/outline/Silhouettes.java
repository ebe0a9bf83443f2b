package pemblar.app.recording.outline;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;

/**
 * Silhouettes as short texts: "seconds,from,to" for each planned step; equal parts of a recording as fractions of
 * threshold.
 */
public final class Silhouettes {
    private static final List<Part> PREFERRED = List.of(Part.POWER, Part.SPEED, Part.HEART_RATE);
    private static final int MOST_STEPS = 300;
    private static final int PARTS = 80;
    private static final int UNKNOWN_SECONDS = 240;

    private Silhouettes() {}

    public static String planned(Forecast forecast) {
        StringBuilder text = new StringBuilder();
        int count = 0;
        for (PlannedStep step : forecast.steps()) {
            if (++count > MOST_STEPS) break;
            double seconds = Double.isFinite(step.seconds()) ? step.seconds() : UNKNOWN_SECONDS;
            if (!text.isEmpty()) text.append(';');
            text.append(String.format(
                    Locale.ROOT, "%.0f,%.3f,%.3f", seconds, known(step.intensityFrom()), known(step.intensityTo())));
        }
        return text.toString();
    }

    private static double known(double intensity) {
        return Double.isFinite(intensity) ? intensity : 0.5;
    }

    /** Power, else speed, else heart rate, over its threshold; empty when no pair is known. */
    public static String done(Recording recording, Thresholds all) {
        Thresholds thresholds = all.forSport(recording.sport());
        return source(recording::has, thresholds)
                .map(part ->
                        parts(recording.channel(part.channel()).orElseThrow(), thresholds.require(threshold(part))))
                .orElse("");
    }

    /** What a silhouette is drawn from. */
    public static Optional<Part> source(Predicate<Channel> has, Thresholds ofSport) {
        return PREFERRED.stream()
                .filter(part -> has.test(part.channel()) && ofSport.knows(threshold(part)))
                .findFirst();
    }

    /** True when a change of the parts can change a silhouette that is now drawn from {@code source}. */
    public static boolean changes(Optional<Part> source, Set<Part> parts) {
        int last = source.map(PREFERRED::indexOf).orElse(PREFERRED.size() - 1);
        return PREFERRED.subList(0, last + 1).stream().anyMatch(parts::contains);
    }

    private static Quantity threshold(Part part) {
        return part == Part.POWER
                ? Quantity.THRESHOLD_POWER
                : part == Part.SPEED ? Quantity.THRESHOLD_SPEED : Quantity.THRESHOLD_HEART_RATE;
    }

    private static String parts(Series series, double reference) {
        StringBuilder text = new StringBuilder();
        int parts = Math.min(PARTS, series.size());
        for (int p = 0; p < parts; p++) {
            double mean = series.mean(
                    (int) ((long) series.size() * p / parts), (int) ((long) series.size() * (p + 1) / parts));
            if (p > 0) text.append(',');
            text.append(String.format(Locale.ROOT, "%.2f", Double.isNaN(mean) ? 0 : Math.min(3, mean / reference)));
        }
        return text.toString();
    }
}
