package pemblar.core.season;

import java.util.EnumMap;
import java.util.Map;
import pemblar.core.season.Block.Phase;
import pemblar.core.sport.Sport;

/** Points that an hour of the athlete's training costs in each phase. */
public record LoadPerHour(Map<Phase, Double> byPhase) {
    private static final double LEAST = 1;
    private static final double MOST = 200;
    private static final double LEAST_HOURS = 5;
    private static final double LEAST_HOURS_OF_ONE = 3;
    private static final double USUAL = 55;
    private static final double LEAST_SENSIBLE = 20;
    private static final double MOST_SENSIBLE = 120;

    public LoadPerHour {
        byPhase = Map.copyOf(byPhase);
        for (Phase phase : Phase.values()) {
            Double points = byPhase.get(phase);
            if (points == null || !(points >= LEAST && points <= MOST))
                throw new IllegalArgumentException("load per hour of " + phase + " must be in 1..200, was " + points);
        }
    }

    public double in(Phase phase) {
        return byPhase.get(phase);
    }

    /** The same in every phase. */
    public static LoadPerHour even(double points) {
        Map<Phase, Double> all = new EnumMap<>(Phase.class);
        for (Phase phase : Phase.values()) all.put(phase, points);
        return new LoadPerHour(all);
    }

    /** What was done in a sport of late. @param load in points */
    public record Spent(double hours, double load) {
        private static final Spent NOTHING = new Spent(0, 0);

        Spent plus(Spent other) {
            return new Spent(hours + other.hours, load + other.load);
        }
    }

    /**
     * Points that an hour costs of sports that share the time: each by what its own hours cost of late, or where there
     * were fewer than three by what all hours together did, or where those were fewer than five by what is usual.
     *
     * @param shares of the time, in any measure; none are read as all that was done
     */
    public static double together(Map<Sport, Spent> spent, Map<Sport, ? extends Number> shares) {
        Spent all = spent.values().stream().reduce(Spent.NOTHING, Spent::plus);
        double other = all.hours() < LEAST_HOURS ? USUAL : sensible(all);
        double sum = 0;
        double weights = 0;
        for (Map.Entry<Sport, ? extends Number> share : shares.entrySet()) {
            double weight = Math.max(0, share.getValue().doubleValue());
            Spent own = spent.getOrDefault(share.getKey(), Spent.NOTHING);
            sum += weight * (own.hours() < LEAST_HOURS_OF_ONE ? other : sensible(own));
            weights += weight;
        }
        return weights > 0 ? sum / weights : other;
    }

    private static double sensible(Spent spent) {
        return Math.max(LEAST_SENSIBLE, Math.min(MOST_SENSIBLE, spent.load() / spent.hours()));
    }

    /** By how dense training usually is in a phase, against the athlete's average hour. */
    public static LoadPerHour around(double average) {
        return new LoadPerHour(Map.of(
                Phase.BASE,
                0.96 * average,
                Phase.BUILD,
                1.04 * average,
                Phase.PEAK,
                1.08 * average,
                Phase.TAPER,
                average,
                Phase.RECOVERY,
                0.88 * average));
    }
}
