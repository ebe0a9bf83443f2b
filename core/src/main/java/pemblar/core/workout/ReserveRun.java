package pemblar.core.workout;

import pemblar.core.model.Reserve;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/**
 * The reserve of a plan lived through step by step. Once the power or the time of a step cannot be known, nothing after
 * it is known either.
 */
final class ReserveRun {
    /** A step that takes longer is taken as one that never comes to its end. */
    static final double LONGEST_SECONDS = 4 * 3600;

    private final Reserve model;
    private final double thresholdWatts;
    private double now;
    private double lowest;

    private ReserveRun(Reserve model, double thresholdWatts) {
        this.model = model;
        this.thresholdWatts = thresholdWatts;
        this.now = model == null ? Double.NaN : model.capacityJoules();
        this.lowest = now;
    }

    /** From the full reserve; knows nothing without critical power and W'. */
    static ReserveRun of(Thresholds thresholds) {
        Reserve model = thresholds.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)
                ? new Reserve(thresholds.require(Quantity.CRITICAL_POWER), thresholds.require(Quantity.W_PRIME))
                : null;
        return new ReserveRun(model, thresholds.get(Quantity.THRESHOLD_POWER).orElse(Double.NaN));
    }

    boolean hasModel() {
        return model != null;
    }

    boolean isKnown() {
        return Double.isFinite(now);
    }

    /** Lowest reserve so far, J. */
    double lowest() {
        return lowest;
    }

    /** Seconds until the reserve is where the step ends, from now on; NaN when it never gets there or is unknown. */
    double secondsUntil(Length.ReserveAt end, PlannedStep step) {
        if (!isKnown()) return Double.NaN;
        double watts = watts(step, 0.5);
        double wanted = model.capacityJoules() * end.percent() / 100;
        double above = watts - model.criticalPowerWatts();
        if (end.back() ? now >= wanted : now <= wanted) return 1; // a device needs a second to see it
        double seconds = end.back() ? model.secondsUntil(now, wanted, watts) : (now - wanted) / above;
        return seconds > 0 && seconds <= LONGEST_SECONDS ? seconds : Double.NaN;
    }

    /** Lives a step through. */
    void live(PlannedStep step) {
        live(step, Double.NaN);
    }

    /** Lives a step through at a power of its own, W; NaN for the step's. */
    void live(PlannedStep step, double ownWatts) {
        if (!isKnown()) return;
        if (!Double.isFinite(step.seconds())) {
            now = Double.NaN;
            return;
        }
        int parts = Double.isNaN(ownWatts) && step.isRamp() ? (int) Math.max(1, Math.round(step.seconds())) : 1;
        for (int i = 0; i < parts; i++) {
            double watts = Double.isNaN(ownWatts) ? watts(step, (i + 0.5) / parts) : ownWatts;
            now = model.after(now, watts, step.seconds() / parts);
            lowest = Math.min(lowest, now);
        }
    }

    /**
     * As the forecast takes it: a step without a target by its intensity; unknown with a target of another quantity.
     */
    private double watts(PlannedStep step, double share) {
        if (step.basis() == Basis.POWER) return step.targetAt(share);
        if (step.basis() != null) return Double.NaN;
        return step.intensity() == 0 ? 0 : step.intensity() * thresholdWatts;
    }
}
