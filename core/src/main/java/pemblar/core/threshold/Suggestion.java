package pemblar.core.threshold;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What all evidence for a quantity says together: the mean by inverse variance, where the variance of a piece doubles with
 * every 42 days of its age. When the pieces disagree by more than their ranges allow, the width grows by their scatter (the
 * ratio of Birge), so that two tests that contradict each other never look like certainty. Evidence open above is a floor: it
 * stays out of the mean and lifts the suggestion when that lies below it and the floor is at most 42 days old.
 * @param count of the pieces that carry the mean: those with at least a twentieth of the weight of the heaviest
 * @param newestAgeDays of the pieces in the mean
 * @param floor the highest floor of the last 42 days; empty without one
 * @see "Birge, The calculation of errors by the method of least squares, Physical Review 40 (1932)"
 */
public record Suggestion(Estimate estimate, int count, long newestAgeDays, OptionalDouble floor) {
    private static final double DOUBLING_DAYS = 42;
    private static final double CARRYING = 0.05;

    /** @return empty when no evidence has a two-sided range */
    public static Optional<Suggestion> of(List<Evidence> evidence, LocalDate today) {
        List<Evidence> closed = evidence.stream().filter(e -> !e.estimate().isOpenAbove()).toList();
        OptionalDouble floor = evidence.stream().filter(e -> e.estimate().isOpenAbove() && age(e, today) <= DOUBLING_DAYS).mapToDouble(e -> e.estimate().low()).max();
        if (closed.isEmpty()) return Optional.empty();
        double weights = 0;
        double sum = 0;
        for (Evidence e : closed) {
            weights += weight(e, today);
            sum += weight(e, today) * e.estimate().best();
        }
        double mean = sum / weights;
        double scatter = 0;
        for (Evidence e : closed) scatter += weight(e, today) * Math.pow(e.estimate().best() - mean, 2);
        double birge = closed.size() > 1 ? Math.sqrt(Math.max(1, scatter / (closed.size() - 1))) : 1;
        double deviation = birge / Math.sqrt(weights);
        long newest = closed.stream().mapToLong(e -> age(e, today)).min().orElseThrow();
        double heaviest = closed.stream().mapToDouble(e -> weight(e, today)).max().orElseThrow();
        int carrying = (int) closed.stream().filter(e -> weight(e, today) >= CARRYING * heaviest).count();
        return Optional.of(new Suggestion(lifted(closed.get(0).quantity(), mean, deviation, floor.orElse(0)), carrying, newest, floor));
    }

    private static Estimate lifted(Quantity quantity, double mean, double deviation, double floor) {
        double best = Math.max(mean, floor);
        return new Estimate(quantity, best, Math.max(Math.max(mean - deviation, floor), best / 100), Math.max(mean, floor) + deviation);
    }

    private static double weight(Evidence e, LocalDate today) {
        double variance = Math.pow(Math.max(e.estimate().deviation(), e.estimate().best() * 1e-6), 2);
        return 1 / (variance * Math.pow(2, age(e, today) / DOUBLING_DAYS));
    }

    private static long age(Evidence e, LocalDate today) {
        return Math.max(0, ChronoUnit.DAYS.between(e.day(), today));
    }

    /** True when a floor, not the mean, sets the best value. */
    public boolean isLiftedByFloor() {
        return floor.isPresent() && floor.getAsDouble() >= estimate.best();
    }
}
