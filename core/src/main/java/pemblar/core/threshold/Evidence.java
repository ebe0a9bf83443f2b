package pemblar.core.threshold;

import java.time.LocalDate;
import java.util.List;
import pemblar.core.sport.Sport;

/**
 * One thing that suggests a threshold.
 *
 * @param source where it came from, in a few words
 * @param remark what to know about it; empty when there is nothing
 * @param efforts what it rests on, where that is known: one effort counts once
 */
public record Evidence(
        Sport sport,
        LocalDate day,
        Estimate estimate,
        Method method,
        String source,
        String remark,
        List<AllOut> efforts) {
    public Evidence {
        efforts = List.copyOf(efforts);
    }

    /** Of which nobody knows what effort it rests on. */
    public Evidence(Sport sport, LocalDate day, Estimate estimate, Method method, String source, String remark) {
        this(sport, day, estimate, method, source, remark, List.of());
    }

    public Quantity quantity() {
        return estimate.quantity();
    }
}
