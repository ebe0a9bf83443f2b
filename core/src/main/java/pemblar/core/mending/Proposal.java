package pemblar.core.mending;

import java.util.Arrays;

/**
 * Something in a recording that is probably not true, and the edit that mends it. Never applied by itself.
 *
 * @param seconds how many seconds it concerns
 * @param value what stands there: the highest power, W; the heart rate, bpm; NaN where there is no one value
 */
public record Proposal(Kind kind, Edit edit, int seconds, double value) {
    /** What is wrong, in the words that are kept of it. */
    public enum Kind {
        SPIKE("power that nobody has", true),
        POWER_TOO_LONG("power that nobody holds for so long", true),
        STUCK_HEART_RATE("a heart rate that stands still", false),
        HEART_RATE_TOO_HIGH("a heart rate over the maximum", false),
        HEART_RATE_IS_CADENCE("a heart rate that is the cadence", false),
        LEFT_RUNNING("a device left running", true);

        private final String words;
        private final boolean ofEfforts;

        Kind(String words, boolean ofEfforts) {
            this.words = words;
            this.ofEfforts = ofEfforts;
        }

        public String words() {
            return words;
        }

        /** Whether words that were kept say that power or speed is in doubt, and not the heart rate alone. */
        public static boolean isOfEfforts(String kept) {
            return Arrays.stream(values()).anyMatch(kind -> kind.ofEfforts && kept.contains(kind.words));
        }
    }
}
