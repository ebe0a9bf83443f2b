package pemblar.core.checkin;

import java.util.Locale;
import pemblar.core.checkin.Bands.Verdict;

/** A band as a sentence with its figures. */
public final class BandWords {
    private BandWords() {}

    /** What the last days say, what is missing, and what a difference of this direction means. */
    public static String of(Bands bands) {
        String name = bands.measure().words();
        if (bands.verdict() == Verdict.NO_VERDICT) {
            String missing = name + ": no verdict, " + bands.missing()
                    + (bands.missing() == 1 ? " value is" : " values are") + " missing";
            return missing
                    + (bands.sharp()
                            ? "; but two mornings lie far " + side(bands) + " the usual of "
                                    + figure(bands, bands.usual()) + ": strain or illness."
                            : ".");
        }
        String figures = name + ": the last week " + number(bands, bands.recent()) + " against " + usual(bands) + ": ";
        if (bands.sharp())
            return figures + bands.verdict().words() + ", and two mornings running far " + side(bands)
                    + " it: strain or illness.";
        return figures + bands.verdict().words() + (bands.verdict() == Verdict.IN_BAND ? "." : meaning(bands) + ".");
    }

    private static String side(Bands bands) {
        return bands.measure().strain() > 0 ? "above" : "below";
    }

    /** The usual with its standard deviation; of variability the band, since its deviation is on the logarithm. */
    private static String usual(Bands bands) {
        if (bands.measure() == Measure.VARIABILITY)
            return number(bands, bands.usual()) + " ms (band " + number(bands, bands.bandLow()) + " to "
                    + number(bands, bands.bandHigh()) + ")";
        return number(bands, bands.usual()) + " ± " + figure(bands, bands.sd());
    }

    private static String meaning(Bands bands) {
        boolean strain = bands.direction() == bands.measure().strain();
        return switch (bands.measure()) {
            case RESTING_HEART_RATE -> strain ? ", higher: strain or illness" : ", lower: over weeks a gain";
            case VARIABILITY -> strain ? ", lower: strain or illness" : ", higher than usual";
            case SLEEP -> strain ? ", shorter than usual" : ", longer than usual";
        };
    }

    private static String figure(Bands bands, double value) {
        return number(bands, value)
                + (bands.measure() == Measure.SLEEP ? "" : " " + bands.measure().unit());
    }

    private static String number(Bands bands, double value) {
        if (bands.measure() != Measure.SLEEP)
            return String.format(Locale.ROOT, bands.measure() == Measure.RESTING_HEART_RATE ? "%.1f" : "%.0f", value);
        long minutes = Math.round(value);
        return minutes < 60
                ? minutes + " min"
                : minutes / 60 + " h " + String.format(Locale.ROOT, "%02d", minutes % 60);
    }
}
