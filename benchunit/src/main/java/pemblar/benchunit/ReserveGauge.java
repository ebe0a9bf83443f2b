package pemblar.benchunit;

import java.util.Optional;
import pemblar.core.model.Reserve;
import pemblar.core.workout.Length;

/** The reserve as a head unit shows it while it runs, from the power that it measured. Not thread-safe. */
public final class ReserveGauge {
    private static final double USUAL_SHARE = 0.9;
    private static final double USUAL_OVER = 1.2;

    private final Reserve model;
    private double joules;
    private double chosenWatts;
    private double chosenShare = USUAL_SHARE;

    ReserveGauge(Reserve model) {
        this.model = model;
        this.joules = model.capacityJoules();
        this.chosenWatts = Math.rint(model.criticalPowerWatts() * USUAL_OVER / 10) * 10;
    }

    /**
     * What the unit shows of it.
     *
     * @param joules may be below zero
     * @param share of W', the same
     * @param chosenWatts a power to ask about, and how long it can be held from here, s; infinite at or below critical
     *     power
     * @param chosenShare of W' to get back to, 0..1, and the time to it at the power of now, s; 0 when it is there,
     *     infinite when this power does not let it come back
     */
    public record View(
            double joules,
            double share,
            double chosenWatts,
            double secondsToExhaustion,
            double chosenShare,
            double secondsUntilBack) {}

    void second(double watts) {
        if (Double.isFinite(watts)) joules = model.after(joules, watts, 1);
    }

    void pause(double clockSeconds) {
        joules = model.after(joules, 0, clockSeconds);
    }

    void choosePower(double watts) {
        chosenWatts = Math.max(1, Math.min(2500, watts));
    }

    void chooseShare(double share) {
        chosenShare = Math.max(0.05, Math.min(0.99, share));
    }

    boolean isAt(Length.ReserveAt end) {
        double wanted = model.capacityJoules() * end.percent() / 100;
        return end.back() ? joules > wanted : joules < wanted;
    }

    View view(double wattsNow) {
        return new View(
                joules,
                joules / model.capacityJoules(),
                chosenWatts,
                model.secondsToExhaustion(joules, chosenWatts),
                chosenShare,
                model.secondsUntil(joules, chosenShare * model.capacityJoules(), wattsNow));
    }

    static Optional<View> view(ReserveGauge gauge, double wattsNow) {
        return Optional.ofNullable(gauge).map(g -> g.view(wattsNow));
    }
}
