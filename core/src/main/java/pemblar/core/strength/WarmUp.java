package pemblar.core.strength;

import java.util.List;

/**
 * The usual warm-up of an exercise: 40, 60 and 80 % of the first working load, 5, 3 and 2 times (computation, section
 * 14).
 */
public final class WarmUp {
    /** One warm-up set. */
    public record Step(double share, int repetitions) {}

    public static final List<Step> SETS = List.of(new Step(0.4, 5), new Step(0.6, 3), new Step(0.8, 2));

    private WarmUp() {}
}
