package pemblar.core.model;

import java.util.List;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Series;

/**
 * The reserve above critical power (W' balance), second by second. Above critical power it falls by the work above it;
 * below, it recovers towards W' at a rate in proportion to what is missing and to the distance below critical power.
 * Each second's power is constant, so the equation is solved exactly over it. The reserve is not clipped at zero.
 *
 * @see "Skiba, Chidnok, Vanhatalo and Jones, Modeling the expenditure and reconstitution of work capacity above
 *     critical power, Med Sci Sports Exerc 44 (2012); the differential form of Skiba, Fulford, Clarke, Vanhatalo and
 *     Jones (2015)"
 */
public record Reserve(double criticalPowerWatts, double capacityJoules) {
    private static final double MOST_WATTS = 2999;

    public Reserve {
        if (!(criticalPowerWatts > 0 && criticalPowerWatts < 3000))
            throw new IllegalArgumentException("criticalPowerWatts must be in (0, 3000), was " + criticalPowerWatts);
        if (!(capacityJoules > 0 && capacityJoules < 1_000_000))
            throw new IllegalArgumentException("capacityJoules must be in (0, 1000000), was " + capacityJoules);
    }

    /** The lowest value, J, and the index of the second at whose end it is reached; index -1 when it never falls. */
    public record Lowest(double joules, int index) {}

    /**
     * Reserve, J, at the end of each second. Missing seconds leave it unchanged; a pause is recovered over its clock
     * time as at 0 W.
     */
    public Series over(Series watts, List<Pause> pauses) {
        double[] reserve = new double[watts.size()];
        double now = capacityJoules;
        int next = 0;
        for (int i = 0; i < reserve.length; i++) {
            for (; next < pauses.size() && pauses.get(next).index() <= i; next++)
                now = after(now, 0, pauses.get(next).seconds());
            if (watts.isPresent(i)) now = after(now, watts.at(i), 1);
            reserve[i] = now;
        }
        return Series.of(reserve);
    }

    public Lowest lowest(Series watts, List<Pause> pauses) {
        Series reserve = over(watts, pauses);
        Lowest lowest = new Lowest(capacityJoules, -1);
        for (int i = 0; i < reserve.size(); i++)
            if (reserve.at(i) < lowest.joules()) lowest = new Lowest(reserve.at(i), i);
        return lowest;
    }

    /**
     * The lowest critical power, W, to a hundredth, at which a recording keeps a reserve of this capacity at zero or
     * above: what a session that drove the reserve below zero proves (computation, section 7). It is this critical
     * power itself when the reserve stays above zero with it.
     */
    public double leastCriticalPower(Series watts, List<Pause> pauses) {
        if (lowest(watts, pauses).joules() >= 0) return criticalPowerWatts;
        double low = criticalPowerWatts;
        double high = Math.max(low, Math.min(MOST_WATTS, watts.max()));
        while (high - low > 0.01) {
            double middle = (low + high) / 2;
            if (new Reserve(middle, capacityJoules).lowest(watts, pauses).joules() < 0) low = middle;
            else high = middle;
        }
        return high;
    }

    /** Reserve, J, after holding a power for some seconds from a given reserve. */
    public double after(double reserveJoules, double watts, double seconds) {
        double above = watts - criticalPowerWatts;
        if (above >= 0) return reserveJoules - above * seconds;
        return capacityJoules - (capacityJoules - reserveJoules) * Math.exp(above * seconds / capacityJoules);
    }

    /**
     * Seconds until the reserve has come back from one value to another at a power; 0 when it is there, infinite at a
     * power that does not let it come back, or for the whole of W'.
     */
    public double secondsUntil(double reserveJoules, double wantedJoules, double watts) {
        if (reserveJoules >= wantedJoules) return 0;
        double below = criticalPowerWatts - watts;
        if (!(below > 0) || wantedJoules >= capacityJoules) return Double.POSITIVE_INFINITY;
        return capacityJoules / below * Math.log((capacityJoules - reserveJoules) / (capacityJoules - wantedJoules));
    }

    /** Seconds until the reserve is spent at a power; infinite at or below critical power. */
    public double secondsToExhaustion(double reserveJoules, double watts) {
        double above = watts - criticalPowerWatts;
        return above > 0 ? Math.max(0, reserveJoules) / above : Double.POSITIVE_INFINITY;
    }
}
