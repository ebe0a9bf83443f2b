package pemblar.core.aerobic;

import java.time.LocalDate;

/**
 * The pieces of one session together.
 *
 * @param surface what most of its pieces were on; empty when nobody said
 * @param heat mean of the degrees above 15 °C, 0 where the temperature is not known
 * @param hours mean of hours into the session
 * @param logOutput mean of ln(output / reserve fraction)
 * @param pieces how many
 */
public record SessionMean(
        String id, LocalDate day, String surface, double heat, double hours, double logOutput, int pieces) {
    public SessionMean {
        if (!Double.isFinite(logOutput))
            throw new IllegalArgumentException("logOutput must be finite, was " + logOutput);
        if (pieces < 1) throw new IllegalArgumentException("pieces must be at least 1, was " + pieces);
    }
}
