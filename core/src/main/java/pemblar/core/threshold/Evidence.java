package pemblar.core.threshold;

import java.time.LocalDate;
import pemblar.core.sport.Sport;

/**
 * One thing that suggests a threshold.
 *
 * @param source where it came from, in a few words
 * @param remark what to know about it; empty when there is nothing
 */
public record Evidence(Sport sport, LocalDate day, Estimate estimate, Method method, String source, String remark) {
    public Quantity quantity() {
        return estimate.quantity();
    }
}
