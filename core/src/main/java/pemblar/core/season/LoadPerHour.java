package pemblar.core.season;

import java.util.EnumMap;
import java.util.Map;
import pemblar.core.season.Block.Phase;

/** Points that an hour of the athlete's training costs in each phase. */
public record LoadPerHour(Map<Phase, Double> byPhase) {
    private static final double LEAST = 1;
    private static final double MOST = 200;

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
