package pemblar.app.zones;

import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Units;
import pemblar.app.threshold.Amounts;
import pemblar.core.threshold.Plausibility;
import pemblar.core.threshold.Plausibility.Warning;
import pemblar.core.threshold.Quantity;

/** Doubts about values, in plain sentences with their reason and the way out. */
final class Warnings {
    private static final int MINUTES = Plausibility.THRESHOLD_SECONDS / 60;

    private Warnings() {}

    static List<String> words(List<Warning> warnings) {
        return warnings.stream().map(Warnings::word).toList();
    }

    private static String word(Warning w) {
        return switch (w.doubt()) {
            case THRESHOLD_HEART_RATE_ABOVE_MAXIMUM ->
                text("Threshold heart rate %.0f is not below the maximum of %.0f: one of the two is wrong.", w);
            case RESTING_HEART_RATE_HIGH ->
                text(
                        "A resting heart rate of %.0f is very high: was it taken lying still, in the morning? "
                                + "Above %.0f it is worth asking a doctor.",
                        w);
            case RESTING_ABOVE_THRESHOLD ->
                text("Resting heart rate %.0f is not below the threshold of %.0f: were the two swapped?", w);
            case POWER_CONTRADICTED ->
                text(
                        "In the last year %.0f W were held for " + MINUTES
                                + " min, more than the threshold power of %.0f W: the threshold looks too "
                                + "low, or a power meter read too high.",
                        w);
            case PACE_CONTRADICTED ->
                "In the last year " + Amounts.withUnit(Quantity.THRESHOLD_SPEED, w.found()) + " was held for " + MINUTES
                        + " min, faster than the threshold pace of "
                        + Amounts.withUnit(Quantity.THRESHOLD_SPEED, w.against())
                        + ": the threshold looks too slow, or a course was short or downhill.";
            case HEART_RATE_CONTRADICTED ->
                text(
                        "In the last year %.0f bpm were held for " + MINUTES
                                + " min, more than the threshold heart rate of %.0f: the threshold looks too "
                                + "low, or the sensor was wrong.",
                        w);
            case WATTS_PER_KILOGRAM_TOO_HIGH ->
                text(
                        "Threshold power is %.1f W per kg, more than almost anybody has: check it and the "
                                + "body mass of " + mass(w.against()) + ".",
                        w);
            case WATTS_PER_KILOGRAM_TOO_LOW ->
                text(
                        "Threshold power is %.1f W per kg: were watts typed in the field of body mass ("
                                + mass(w.against()) + ")?",
                        w);
            case BODY_MASS_JUMPS ->
                "Body mass goes to " + mass(w.found()) + " from " + mass(w.against())
                        + " before: check for a slip of the keyboard.";
            case CRITICAL_POWER_FAR_FROM_THRESHOLD ->
                text(
                        "Critical power %.0f W is far from the threshold power of %.0f W; it usually lies 0 "
                                + "to 10 %% above. One of the two is out of date.",
                        w);
        };
    }

    private static String mass(double kilograms) {
        return Units.mine().mass(kilograms, 1);
    }

    private static String text(String format, Warning w) {
        return String.format(Locale.ROOT, format, w.found(), w.against());
    }
}
