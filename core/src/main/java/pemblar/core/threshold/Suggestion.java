package pemblar.core.threshold;

/**
 * What all evidence for a quantity says together, as pages show it.
 *
 * @param count of the pieces that carry it
 * @param newestAgeDays of these
 */
public record Suggestion(Estimate estimate, int count, long newestAgeDays) {}
