package pemblar.benchunit;

import java.util.Random;

/**
 * A simulated night sensor: resting heart rate, variability and sleep of one body, morning by morning. The body has its
 * baseline and its own noise from night to night; load of the days before lifts the pulse a little and lowers
 * variability; an illness does so a lot, coming within a day and going over several; some nights are bad, some are
 * missing.
 */
public final class NightSensor {
    private static final double NIGHT_NOISE_BPM = 1.4;
    private static final double NIGHT_NOISE_LOG = 0.09;
    /** The pulse wanders slowly about its baseline, as fitness and weather do. */
    private static final double WANDER_BPM = 0.9;

    private static final double WANDER_KEPT = 0.97;
    private static final double LOAD_BPM = 1.2;
    /** An illness lifts the pulse by 6 to 12 beats: drawn for each. */
    private static final double ILL_LEAST_BPM = 6;

    private static final double ILL_MORE_BPM = 6;
    private static final double ILL_LOG_A_BEAT = 0.04;
    private static final double ILL_KEPT = 0.72;
    private static final double BAD_NIGHT = 0.04;
    private static final double MISSING = 0.06;
    private final double baseBpm;
    private final double baseRmssd;
    private final double usualLoad;
    private final Random random;
    private double wander;
    private double strain;
    private double illness;
    private double severity;
    private boolean wasIll;

    /** @param usualLoad points a day that the body is used to */
    public NightSensor(double baseBpm, double baseRmssd, double usualLoad, Random random) {
        this.baseBpm = baseBpm;
        this.baseRmssd = baseRmssd;
        this.usualLoad = Math.max(10, usualLoad);
        this.random = random;
    }

    /** One morning. NaN in a night that the sensor missed. */
    public record Night(double restingBpm, double rmssd, double sleepMinutes) {
        private static final Night MISSED = new Night(Double.NaN, Double.NaN, Double.NaN);

        public boolean isMissing() {
            return Double.isNaN(restingBpm);
        }
    }

    /** The next morning. @param load points of the day before @param ill the body is ill on this morning */
    public Night next(double load, boolean ill) {
        wander = WANDER_KEPT * wander + Math.sqrt(1 - WANDER_KEPT * WANDER_KEPT) * WANDER_BPM * random.nextGaussian();
        strain = 0.6 * strain + 0.4 * (load / usualLoad - 1);
        if (ill && !wasIll) severity = ILL_LEAST_BPM + ILL_MORE_BPM * random.nextDouble();
        wasIll = ill;
        illness = ill ? severity : illness * ILL_KEPT;
        boolean bad = random.nextDouble() < BAD_NIGHT;
        double bpm = baseBpm
                + wander
                + LOAD_BPM * strain
                + illness
                + (bad ? 3 : 0)
                + NIGHT_NOISE_BPM * random.nextGaussian();
        double log = Math.log(baseRmssd)
                - 0.05 * strain
                - ILL_LOG_A_BEAT * illness
                - (bad ? 0.12 : 0)
                + NIGHT_NOISE_LOG * random.nextGaussian();
        double sleep = 450 + 30 * random.nextGaussian() - (bad ? 130 : 0) + (ill ? 25 : 0);
        if (random.nextDouble() < MISSING) return Night.MISSED;
        return new Night(
                Math.rint(Math.max(28, bpm)),
                Math.rint(Math.max(6, Math.exp(log))),
                Math.rint(Math.max(60, Math.min(780, sleep))));
    }
}
