package pemblar.core.profile;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve;
import pemblar.core.model.PowerDuration;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Riders whose power of every duration is known, who ride some durations all-out and over others only train. */
class PowerProfileTruthTest {
    private static final int SEEDS = 300;
    private static final Rider USUAL = new Rider(250, 18_000, 850);
    private static final int RIDE = 5400;
    private static final List<Integer> TESTED = List.of(5, 60, 300, 1200);

    private record Rider(double critical, double reserve, double maximal) {
        double watts(double seconds) {
            return critical + reserve / (seconds + reserve / (maximal - critical));
        }
    }

    /** A ride of an hour and a half, easy but for one effort in it. */
    private static Series ride(Rider rider, Random random, int seconds, double share) {
        double[] watts = new double[RIDE];
        double wave = 0;
        for (int i = 0; i < RIDE; i++) {
            wave = 0.97 * wave + 0.03 * random.nextGaussian();
            watts[i] = Math.max(0, rider.critical() * (0.66 + 0.5 * wave + 0.05 * random.nextGaussian()));
        }
        for (int i = 3600; i < 3600 + seconds; i++)
            watts[i] = rider.watts(seconds) * share * (1 + 0.02 * random.nextGaussian());
        return Series.of(watts);
    }

    /** By duration: how often it was ridden all-out and doubted, not and passed; and how often a weakest was wrong. */
    private static final class Count {
        final int[] tried = new int[TESTED.size()];
        final int[] doubted = new int[TESTED.size()];
        final int[] not = new int[TESTED.size()];
        final int[] passed = new int[TESTED.size()];
        int named;
        int falsely;

        void add(boolean[] allOut, boolean[] told, BestCurve curve) {
            double lowest = Double.POSITIVE_INFINITY;
            int weakest = -1;
            int count = 0;
            for (int i = 0; i < allOut.length; i++) {
                if (allOut[i]) tried[i]++;
                else not[i]++;
                if (allOut[i] && !told[i]) doubted[i]++;
                if (!allOut[i] && told[i]) passed[i]++;
                if (!told[i]) continue;
                count++;
                double level = curve.at(TESTED.get(i)) / USUAL.watts(TESTED.get(i));
                if (level >= lowest) continue;
                lowest = level;
                weakest = i;
            }
            if (count < 2) return;
            named++;
            if (!allOut[weakest]) falsely++;
        }

        void print(String rule) {
            System.out.printf(
                    Locale.ROOT,
                    "power profile, %s: all-out and doubted %s of %s, easy and passed %s of %s, lowest %d of %d easy%n",
                    rule,
                    Arrays.toString(doubted),
                    Arrays.toString(tried),
                    Arrays.toString(passed),
                    Arrays.toString(not),
                    falsely,
                    named);
        }
    }

    /** @param own by the rule, {@code byTheFit} by what was the rule before: within 5 % of a line through the same */
    private record Both(Count own, Count byTheFit) {}

    /**
     * Adopted values err by 1.5 % (critical power, threshold) and 8 % (W').
     *
     * @param since what the adopted values are of the rider's own; 1 when nothing has changed since
     */
    private static Both counted(double since) {
        Both both = new Both(new Count(), new Count());
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            double critical = 180 + 140 * random.nextDouble();
            Rider rider = new Rider(
                    critical, 12_000 + 14_000 * random.nextDouble(), critical * (2.4 + 1.8 * random.nextDouble()));
            BestCurve curve = new BestCurve();
            boolean[] allOut = new boolean[TESTED.size()];
            for (int i = 0; i < allOut.length; i++) {
                allOut[i] = random.nextInt(10) < 6;
                double share = allOut[i] ? Math.exp(0.012 * random.nextGaussian()) : 0.65 + 0.25 * random.nextDouble();
                curve.raise(i + 1, BestCurve.onGrid(ride(rider, random, TESTED.get(i), share)), 1);
            }
            PowerDuration fit = PowerDuration.of(curve);
            OwnModel model = new OwnModel(
                    Sport.RIDE,
                    Measure.POWER,
                    since * rider.critical() * Math.exp(0.015 * random.nextGaussian()),
                    rider.reserve() * Math.exp(0.08 * random.nextGaussian()),
                    since * rider.critical() * Math.exp(0.015 * random.nextGaussian()),
                    fit);
            boolean[] told = new boolean[allOut.length];
            boolean[] before = new boolean[allOut.length];
            for (int i = 0; i < told.length; i++) {
                int seconds = TESTED.get(i);
                told[i] = model.isTested(seconds, curve.at(seconds));
                before[i] = fit.at(seconds)
                        .filter(watts -> curve.at(seconds) >= (1 - PowerDuration.ENVELOPE) * watts)
                        .isPresent();
            }
            both.own().add(allOut, told, curve);
            both.byTheFit().add(allOut, before, curve);
        }
        return both;
    }

    @Test
    void whatWasNotRiddenAllOutIsSeldomCalledTested() {
        Count own = counted(1).own();
        Count byTheFit = counted(1).byTheFit();
        own.print("own model");
        byTheFit.print("a fit of the same efforts");
        int passed = Arrays.stream(own.passed).sum();
        assertTrue(passed <= 0.05 * Arrays.stream(own.not).sum(), passed + " easy ones passed");
        assertTrue(own.doubted[2] + own.doubted[3] <= 0.08 * (own.tried[2] + own.tried[3]), "all-out ones doubted");
        assertTrue(own.falsely <= 0.1 * own.named, own.falsely + " of " + own.named);
        assertTrue(byTheFit.falsely > 0.4 * byTheFit.named, "else the simpler rule would do");
    }

    /** Who has lost or gained 6 % since: all-out efforts are then missed, but an easy one is not called the lowest. */
    @Test
    void valuesThatAreOutOfDateMissEffortsRatherThanNameAFalseLowest() {
        Count lost = counted(1.06).own();
        Count gained = counted(0.94).own();
        lost.print("own model, adopted 6 % too high");
        gained.print("own model, adopted 6 % too low");
        assertTrue(lost.falsely <= 0.05 * SEEDS, lost.falsely + " of " + SEEDS + " riders");
        assertTrue(lost.named < counted(1).own().named / 2, "hardly anything is called the lowest");
        assertTrue(gained.falsely <= 0.15 * gained.named, gained.falsely + " of " + gained.named);
        assertTrue(gained.doubted[2] + gained.doubted[3] <= 0.02 * (gained.tried[2] + gained.tried[3]));
        assertTrue(lost.doubted[2] + lost.doubted[3] > 0.2 * (lost.tried[2] + lost.tried[3]), "the price of it");
    }
}
