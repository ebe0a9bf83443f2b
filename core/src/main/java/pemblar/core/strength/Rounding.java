package pemblar.core.strength;

/** What can be loaded: multiples of a step, kg; a half goes down. */
public final class Rounding {
    private static final double DUST = 1e-9;

    private Rounding() {}

    public static double toStep(double kilograms, double step) {
        if (!(step > 0)) throw new IllegalArgumentException("step must be above 0, was " + step);
        return Math.max(0, Math.ceil(kilograms / step - 0.5 - DUST) * step);
    }
}
