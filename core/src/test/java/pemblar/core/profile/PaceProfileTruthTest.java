package pemblar.core.profile;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve;
import pemblar.core.profile.PaceProfile.Rung;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** Runners whose all-out times are known, who race some distances and only train over others. */
class PaceProfileTruthTest {
    private static final int SEEDS = 500;
    private static final double FORM = 0.01;
    private static final double TEST = 0.015;

    private record Runner(double speed, double k) {
        double seconds(double metres) {
            return Math.pow(metres / (speed * Math.pow(3600, k)), 1 / (1 - k));
        }
    }

    private static void ran(BestCurve curve, double metres, double seconds) {
        double[] speeds = new double[(int) Math.ceil(seconds) + 2];
        Arrays.fill(speeds, metres / seconds);
        curve.raise(1, BestCurve.onGrid(Series.of(speeds)), 1);
    }

    /** A race that is drawn as if it need not have been all-out is a false word; an easy run drawn full is let pass. */
    @Test
    void aRaceIsSeldomTakenForAnEasyRun() {
        int races = 0;
        int doubted = 0;
        int easy = 0;
        int passed = 0;
        List<Double> distances = PaceProfile.distances(Sport.RUN);
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            Runner runner = new Runner(3.3 + 1.7 * random.nextDouble(), 0.04 + 0.06 * random.nextDouble());
            BestCurve curve = new BestCurve();
            boolean[] raced = new boolean[distances.size()];
            for (int i = 0; i < raced.length; i++) {
                raced[i] = random.nextBoolean();
                double slower = raced[i] ? 1 : 1.06 + 0.2 * random.nextDouble();
                double form = Math.exp(FORM * random.nextGaussian());
                ran(curve, distances.get(i), runner.seconds(distances.get(i)) * slower * form);
            }
            double threshold = runner.speed() * Math.exp(TEST * random.nextGaussian());
            List<Rung> rungs = PaceProfile.of(Sport.RUN, Sex.MALE, curve, threshold);
            for (int i = 0; i < raced.length; i++) {
                if (raced[i]) races++;
                else easy++;
                if (raced[i] && !rungs.get(i).near()) doubted++;
                if (!raced[i] && rungs.get(i).near()) passed++;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "pace profile: of %d races %.1f %% are drawn as if not all-out, of %d runs 6 to 26 %% slower %.1f %% as"
                        + " if they were%n",
                races,
                100.0 * doubted / races,
                easy,
                100.0 * passed / easy);
        assertTrue(doubted <= 0.02 * races, doubted + " of " + races);
        assertTrue(passed <= 0.3 * easy, passed + " of " + easy);
    }
}
