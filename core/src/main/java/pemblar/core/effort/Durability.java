package pemblar.core.effort;

/**
 * A best effort after work or hours against the same fresh.
 *
 * @param fresh best mean of the duration; NaN when there is none
 * @param after best mean of the duration after the work or time; NaN when nobody came so far
 */
public record Durability(double fresh, double after) {
    /** Under this share of fresh nobody went all-out: what was seen says nothing about what is there. */
    private static final double TRIED = 0.85;

    /**
     * What is left of the fresh effort, a fraction; NaN when either is not known. What is higher after counts as all of
     * it.
     */
    public double share() {
        return Math.min(1, after / fresh);
    }

    /** Both are known, and what came after was near enough to have been an effort. */
    public boolean isTried() {
        return share() >= TRIED;
    }
}
