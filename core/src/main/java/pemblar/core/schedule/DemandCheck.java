package pemblar.core.schedule;

/**
 * Whether an effort that an event asks for is there.
 *
 * @param best best mean of that duration in that state, NaN when it was never come so far
 * @param missing how much is missing, in the unit of the effort; 0 when it is there, NaN when it was not tried
 * @param train what to train; null when it is there
 */
public record DemandCheck(Verdict verdict, double best, double missing, Purpose train) {
    /** Below this share of what is asked nobody can have gone all-out: it says nothing about what is there. */
    private static final double TRIED = 0.85;

    /** There; something is missing; not tried at that duration, or not all-out. */
    public enum Verdict {
        THERE,
        MISSING,
        NOT_TRIED
    }

    /**
     * @param effortSeconds duration of the effort
     * @param needed its mean, above 0
     * @param best best mean in the state in which it is asked; NaN without any
     * @param fresh best mean when fresh; NaN without any
     * @param tired it is asked after work or time, not fresh
     */
    public static DemandCheck of(int effortSeconds, double needed, double best, double fresh, boolean tired) {
        if (!(needed > 0)) throw new IllegalArgumentException("needed must be above 0, was " + needed);
        if (best >= needed) return new DemandCheck(Verdict.THERE, best, 0, null);
        Purpose train = tired && fresh >= needed ? Purpose.LONG : Purpose.training(effortSeconds);
        if (!(best >= TRIED * needed)) return new DemandCheck(Verdict.NOT_TRIED, best, Double.NaN, train);
        return new DemandCheck(Verdict.MISSING, best, needed - best, train);
    }
}
