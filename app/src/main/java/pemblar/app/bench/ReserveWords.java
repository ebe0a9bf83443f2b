package pemblar.app.bench;

import java.util.Locale;
import pemblar.benchunit.ReserveGauge;
import pemblar.core.workout.Pace;

/**
 * The reserve as the screen of the bench unit shows it, ready to place.
 *
 * @param fill of the gauge, 0..1
 */
public record ReserveWords(String now, double fill, String chosenWatts, String held, String chosenShare, String back) {
    private static final double NEVER_SECONDS = 4 * 3600;

    static ReserveWords of(ReserveGauge.View view) {
        return new ReserveWords(
                Math.round(view.share() * 100) + " % · " + String.format(Locale.ROOT, "%.1f kJ", view.joules() / 1000),
                Math.max(0, Math.min(1, view.share())),
                String.valueOf(Math.round(view.chosenWatts())),
                view.secondsToExhaustion() <= NEVER_SECONDS
                        ? "for " + Pace.clock(view.secondsToExhaustion())
                        : "is not above critical power",
                String.valueOf(Math.round(view.chosenShare() * 100)),
                back(view.secondsUntilBack()));
    }

    private static String back(double seconds) {
        if (seconds == 0) return "is there";
        return seconds <= NEVER_SECONDS ? "in " + Pace.clock(seconds) + " at this power" : "not at this power";
    }
}
