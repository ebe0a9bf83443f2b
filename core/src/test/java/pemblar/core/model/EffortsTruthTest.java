package pemblar.core.model;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve;
import pemblar.core.recording.Series;

/**
 * Riders whose critical power and W' are known and who repeat their tests, never twice as strong: what is best of them
 * all is a part of one effort here and the whole of another there.
 */
class EffortsTruthTest {
    private static final int SEEDS = 300;
    private static final int RIDE = 4200;

    private static Series ride(double critical, double reserve, Random random, int... seconds) {
        double[] watts = new double[RIDE];
        double wave = 0;
        for (int i = 0; i < RIDE; i++) {
            wave = 0.97 * wave + 0.03 * random.nextGaussian();
            watts[i] = Math.max(0, critical * (0.6 + 0.4 * wave + 0.04 * random.nextGaussian()));
        }
        int begin = 600;
        for (int t : seconds) {
            double level = (critical + reserve / t) * Math.exp(0.01 * random.nextGaussian());
            for (int i = begin; i < begin + t; i++) watts[i] = level * (1 + 0.03 * random.nextGaussian());
            begin += t + 1200;
        }
        return Series.of(watts);
    }

    @Test
    void repeatedTestsOfOneRiderGiveTheTruth() {
        List<Double> bias = new ArrayList<>();
        int fits = 0;
        int held = 0;
        int heldWatts = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            double critical = 180 + 140 * random.nextDouble();
            double reserve = 12_000 + 14_000 * random.nextDouble();
            BestCurve curve = new BestCurve();
            for (int i = 0; i < 2; i++) {
                curve.raise(2 * i, BestCurve.onGrid(ride(critical, reserve, random, 180, 720)), 1);
                curve.raise(2 * i + 1, BestCurve.onGrid(ride(critical, reserve, random, 1200)), 1);
            }
            CriticalPower c = PowerDuration.of(curve).critical().orElseThrow();
            fits++;
            bias.add(c.reserveJoules() / reserve - 1);
            if (Math.abs(c.reserveJoules() - reserve) <= 2 * c.reserveError()) held++;
            if (Math.abs(c.watts() - critical) <= 2 * c.wattsError()) heldWatts++;
        }
        double mean = bias.stream().mapToDouble(b -> b).average().orElseThrow();
        double spread =
                Math.sqrt(bias.stream().mapToDouble(b -> b * b).average().orElseThrow());
        System.out.printf(
                Locale.ROOT,
                "efforts: W' off by %.1f %% in the mean, %.1f %% root mean square; two errors hold it in %d, CP in %d"
                        + " of %d%n",
                100 * mean,
                100 * spread,
                held,
                heldWatts,
                fits);
        assertTrue(Math.abs(mean) < 0.03, "biased by " + mean);
        assertTrue(held >= 0.93 * fits && heldWatts >= 0.9 * fits, held + " and " + heldWatts);
    }
}
