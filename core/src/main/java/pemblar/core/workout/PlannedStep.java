package pemblar.core.workout;

/**
 * One step as it will be done, with its target resolved for a day.
 *
 * @param seconds NaN when it cannot be known beforehand
 * @param metres NaN when it cannot be known beforehand
 * @param basis the quantity of from, to, low and high; null for perceived effort and open steps
 * @param from value at the start, in W, bpm or m/s; equal to {@code to} but for a ramp; NaN without a basis
 * @param low lower end of the target band; NaN without a basis
 * @param intensity mean fraction of threshold that forecast and drawing use
 */
public record PlannedStep(
        Workout.Flat flat,
        double seconds,
        double metres,
        Basis basis,
        double from,
        double to,
        double low,
        double high,
        double intensityFrom,
        double intensityTo) {
    public double intensity() {
        return (intensityFrom + intensityTo) / 2;
    }

    /** The same with its time known. */
    PlannedStep taking(double otherSeconds) {
        return new PlannedStep(flat, otherSeconds, metres, basis, from, to, low, high, intensityFrom, intensityTo);
    }

    public boolean isRamp() {
        return from < to || from > to; // NaN is no ramp
    }

    /** Middle of the target at a share (0..1) of the step. */
    public double targetAt(double share) {
        return from + (to - from) * share;
    }

    /** Lower end of the band at a share (0..1) of the step: it moves with a ramp. */
    public double lowAt(double share) {
        return isRamp() ? targetAt(share) * 0.95 : low;
    }

    public double highAt(double share) {
        return isRamp() ? targetAt(share) * 1.05 : high;
    }
}
