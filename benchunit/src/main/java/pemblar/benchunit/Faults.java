package pemblar.benchunit;

/**
 * What goes wrong in real life.
 *
 * @param stopAfterSeconds the athlete goes home after so many seconds; 0 for never
 * @param driveHomeSeconds the device is left running in the car
 * @param heartRateStuck the strap repeats one value for some minutes
 * @param heartRateLost the strap loses contact for a while
 * @param heat 0 cool to 1 hot: heart rate drifts up
 */
public record Faults(
        int stopAfterSeconds, int driveHomeSeconds, boolean heartRateStuck, boolean heartRateLost, double heat) {
    public static final Faults NONE = new Faults(0, 0, false, false, 0.2);
}
