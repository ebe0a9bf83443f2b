package pemblar.core.prediction;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Sex;

/** Runners and riders whose true threshold and exponent are known: how often does a predicted range hold the result? */
class PredictionTruthTest {
    private static final int SEEDS = 1000;
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
    /** A day's form, and how well a test finds the threshold: about 1 and 1.5 % of speed. */
    private static final double FORM = 0.01;

    private static final double TEST = 0.015;

    private record Counted(int held, int all, double widest) {
        double share() {
            return (double) held / all;
        }
    }

    private static double noise(Random random, double deviation) {
        return Math.exp(random.nextGaussian() * deviation);
    }

    /** Efforts of 20 min to 2.5 h over a year, some of them not all-out. */
    private static List<Point> efforts(Random random, double level, double tau, double k) {
        List<Point> all = new ArrayList<>();
        int count = 3 + random.nextInt(8);
        for (int i = 0; i < count; i++) {
            int seconds = (int) (1200 * Math.pow(7.5, random.nextDouble()));
            double held = Math.exp(-Math.abs(random.nextGaussian()) * 0.02) * noise(random, FORM);
            all.add(new Point(seconds, level * Math.pow(tau / seconds, k) * held, i));
        }
        return all;
    }

    private static List<Result> results(List<Point> efforts) {
        return efforts.stream()
                .map(p -> new Result(TODAY.minusDays(20), p.seconds(), p.value()))
                .toList();
    }

    /** What is said and what comes for one athlete. */
    private interface World {
        Prediction said(double threshold, List<Point> efforts);

        double came(double level, double k);
    }

    private static Counted count(double least, double span, double tau, boolean outside, World world) {
        int held = 0;
        int all = 0;
        double width = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            double level = least + span * random.nextDouble();
            double k = 0.04 + 0.06 * random.nextDouble();
            List<Point> efforts = efforts(random, level, tau, k);
            Prediction said = world.said(level * noise(random, TEST), efforts);
            double came = world.came(level, k) * noise(random, FORM);
            if (said.outside() != outside) continue;
            all++;
            width += (said.high() - said.low()) / said.value();
            if (said.holds(came)) held++;
        }
        return new Counted(held, all, width / all);
    }

    private static Prediction.Basis basis(double threshold, Endurance endurance, List<Point> efforts) {
        return Prediction.usual(TODAY, threshold, endurance, results(efforts));
    }

    private static Counted runners(double metres, boolean outside) {
        return count(3.3, 1.7, 3600, outside, new World() {
            @Override
            public Prediction said(double threshold, List<Point> efforts) {
                Endurance own = Endurance.ofRunning(
                        Endurance.maybeAllOut(efforts, Sport.RUN, Measure.SPEED, threshold),
                        10_000,
                        10_000 / threshold,
                        Sex.NOT_GIVEN);
                return Prediction.overMetres(basis(threshold, own, efforts), metres);
            }

            @Override
            public double came(double level, double k) {
                return Math.pow(metres / (level * Math.pow(3600, k)), 1 / (1 - k));
            }
        });
    }

    private static Counted riders(double seconds, boolean outside) {
        return count(180, 160, 3300, outside, new World() {
            @Override
            public Prediction said(double threshold, List<Point> efforts) {
                Endurance own = Endurance.ofPower(Endurance.maybeAllOut(efforts, Sport.RIDE, Measure.POWER, threshold));
                return Prediction.overSeconds(basis(threshold, own, efforts), seconds);
            }

            @Override
            public double came(double level, double k) {
                return level * Math.pow(3300 / seconds, k);
            }
        });
    }

    /** All-out over 20 min to an hour, and long rides that are just ridden: what most riders' year looks like. */
    private static List<Point> longRidesAreEasy(Random random, double level, double k) {
        List<Point> all = new ArrayList<>();
        for (int seconds : new int[] {1200, 1800, 3600, 5400, 7200, 10_800, 14_400}) {
            double held = seconds <= 3600 ? 1 : 0.72 + 0.2 * random.nextDouble();
            all.add(new Point(seconds, level * Math.pow(3300.0 / seconds, k) * held * noise(random, FORM), all.size()));
        }
        return all;
    }

    @Test
    void longRidesThatWereEasyAreNotTakenForEndurance() {
        int held = 0;
        int before = 0;
        int own = 0;
        int ownBefore = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Random random = new Random(seed);
            double level = 180 + 160 * random.nextDouble();
            double k = 0.05 + 0.04 * random.nextDouble();
            List<Point> bests = longRidesAreEasy(random, level, k);
            double threshold = level * noise(random, TEST);
            double came = level * Math.pow(3300 / 14_400.0, k) * noise(random, FORM);
            Endurance sound = Endurance.ofPower(Endurance.maybeAllOut(bests, Sport.RIDE, Measure.POWER, threshold));
            Endurance all = Endurance.ofPower(bests);
            if (Prediction.overSeconds(basis(threshold, sound, bests), 14_400).holds(came)) held++;
            if (Prediction.overSeconds(basis(threshold, all, bests), 14_400).holds(came)) before++;
            if (sound.origin() == Endurance.Origin.OWN_EFFORTS) own++;
            if (all.origin() == Endurance.Origin.OWN_EFFORTS) ownBefore++;
        }
        System.out.printf(
                "four hours after a year of easy long rides: range holds %d of %d (own exponent in %d); with all"
                        + " efforts %d (%d)%n",
                held, SEEDS, own, before, ownBefore);
        assertTrue(held >= 0.9 * SEEDS, held + " held");
    }

    @Test
    void aRangeHoldsTheResultInAtLeastNineOfTen() {
        for (double metres : new double[] {5000, 10_000, 21_097.5, 42_195})
            for (boolean outside : new boolean[] {false, true}) {
                Counted c = runners(metres, outside);
                if (c.all() < 100) continue;
                System.out.printf(
                        Locale.ROOT,
                        "runs of %.1f km, %s: range holds %.1f %% of %d, %.1f %% wide%n",
                        metres / 1000,
                        outside ? "outside" : "inside",
                        100 * c.share(),
                        c.all(),
                        100 * c.widest());
                assertTrue(c.share() >= 0.9, metres + " " + c);
            }
        for (double seconds : new double[] {1200, 3600, 10_800, 18_000})
            for (boolean outside : new boolean[] {false, true}) {
                Counted c = riders(seconds, outside);
                if (c.all() < 100) continue;
                System.out.printf(
                        Locale.ROOT,
                        "rides of %.0f min, %s: range holds %.1f %% of %d, %.1f %% wide%n",
                        seconds / 60,
                        outside ? "outside" : "inside",
                        100 * c.share(),
                        c.all(),
                        100 * c.widest());
                assertTrue(c.share() >= 0.9, seconds + " " + c);
            }
    }
}
