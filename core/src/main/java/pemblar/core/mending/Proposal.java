package pemblar.core.mending;

/**
 * Something in a recording that is probably not true, and the edit that mends it. Never applied by itself.
 *
 * @param seconds how many seconds it concerns
 * @param value what stands there: the highest power, W; the heart rate, bpm; NaN where there is no one value
 */
public record Proposal(Kind kind, Edit edit, int seconds, double value) {
    /** What is wrong. */
    public enum Kind {
        SPIKE,
        POWER_TOO_LONG,
        STUCK_HEART_RATE,
        HEART_RATE_TOO_HIGH,
        HEART_RATE_IS_CADENCE,
        LEFT_RUNNING
    }
}
