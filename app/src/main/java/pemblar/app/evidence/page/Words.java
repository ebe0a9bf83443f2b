package pemblar.app.evidence.page;

import java.util.Locale;
import pemblar.app.threshold.Amounts;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Suggestion;

/** Suggestions in words. */
final class Words {
    private static final String[] COUNTS = {
        "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"
    };

    private Words() {}

    /** As “255 to 266 W, most likely 261; three pieces of evidence, newest 9 days old”. */
    static String of(Quantity quantity, Suggestion s) {
        String pieces = count(s.count())
                + (s.count() == 1 ? " piece of evidence, " : " pieces of evidence, newest ")
                + age(s.newestAgeDays());
        return Amounts.range(quantity, s.estimate().low(), s.estimate().high()) + ", most likely "
                + Amounts.shown(quantity, s.estimate().best()) + "; " + pieces;
    }

    private static String age(long days) {
        return days == 0 ? "from today" : days == 1 ? "1 day old" : days + " days old";
    }

    private static String count(int count) {
        return count < COUNTS.length ? COUNTS[count] : String.valueOf(count);
    }

    /** The width of a suggestion in percent of its value, either way. */
    static String width(Suggestion s) {
        return String.format(
                Locale.ROOT,
                "± %.1f %%",
                50 * (s.estimate().high() - s.estimate().low()) / s.estimate().best());
    }
}
