package pemblar.core.aerobic;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * Costs that are said although there are none, and costs that are there and are found: years with good and bad days
 * that last (2 % of a day and 2 % of some weeks), which the model does not know of.
 */
class CostTruthTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
    private static final int SEEDS = Integer.getInteger("costs", 60);
    private static final double DAY = 0.02;
    private static final double LASTS = 0.9;

    /** @param grass, heat, drift effects on ln(output), of the surface, a degree and an hour */
    private record World(int sessions, double grass, double heat, double drift) {
        List<SessionMean> year(int seed) {
            Random random = new Random(seed);
            double[] form = form(random);
            List<SessionMean> all = new ArrayList<>();
            for (int s = 0; s < sessions; s++) all.add(session(s, seed, random, form));
            return all;
        }

        private SessionMean session(int s, int seed, Random random, double[] form) {
            int day = random.nextInt(365);
            double season = -Math.cos(2 * Math.PI * (day - 15) / 365);
            boolean onGrass = random.nextDouble() < (season > 0 ? 0.45 : 0.1);
            double warm = Math.max(0, 8 * season + 4 * random.nextGaussian() - 3);
            int pieces = 2 + random.nextInt(24);
            double hours = 0.25 + pieces * 0.04;
            double log = Math.log(4.5)
                    + 0.05 * Math.sin(2 * Math.PI * day / 365 + seed)
                    + (onGrass ? grass : 0)
                    + heat * warm
                    + drift * hours
                    + form[day]
                    + DAY * random.nextGaussian()
                    + 0.035 * random.nextGaussian() / Math.sqrt(pieces);
            String surface = onGrass ? "grass" : random.nextDouble() < 0.15 ? "trail" : "road";
            return new SessionMean("s" + s, FIRST.plusDays(day), surface, warm, hours, log, pieces);
        }

        private static double[] form(Random random) {
            double[] form = new double[365];
            for (int i = 1; i < form.length; i++)
                form[i] = LASTS * form[i - 1] + DAY * Math.sqrt(1 - LASTS * LASTS) * random.nextGaussian();
            return form;
        }
    }

    private static double share(World world, java.util.function.Predicate<AerobicTrend> of) {
        return IntStream.range(0, SEEDS)
                        .parallel()
                        .filter(seed -> of.test(AerobicTrend.of(world.year(seed))))
                        .count()
                / (double) SEEDS;
    }

    private static boolean saysAny(AerobicTrend trend) {
        return trend.costs().stream().anyMatch(AerobicTrend.Cost::told);
    }

    private static boolean says(AerobicTrend trend, String name) {
        return trend.costs().stream().anyMatch(c -> c.name().equals(name) && c.told() && c.percent() > 0);
    }

    @Test
    void aPageSeldomSaysACostWhereThereIsNone() {
        for (int sessions : new int[] {30, 90, 200}) {
            World none = new World(sessions, 0, 0, 0);
            double any = share(none, CostTruthTest::saysAny);
            double each = share(none, t -> t.costs().stream().anyMatch(c -> !(c.low() <= 0 && c.high() >= 0)));
            System.out.printf(
                    "costs: none there, %d sessions: a page says any in %.1f %%; by each interval alone it would in "
                            + "%.1f %%%n",
                    sessions, 100 * any, 100 * each);
            assertThat(any).as("of %d sessions", sessions).isLessThanOrEqualTo(0.1);
            assertThat(each).isGreaterThan(any);
        }
    }

    @Test
    void whatCostsIsSaid() {
        World world = new World(200, -0.06, -0.004, -0.03);
        double grass = share(world, t -> says(t, "grass"));
        double heat = share(world, t -> says(t, AerobicTrend.HEAT));
        double drift = share(world, t -> says(t, AerobicTrend.DRIFT));
        System.out.printf(
                "costs: there and said, 200 sessions: grass of 6 %% %.1f %%, heat of 0.4 %% a degree %.1f %%, "
                        + "3 %% an hour %.1f %%%n",
                100 * grass, 100 * heat, 100 * drift);
        assertThat(grass).isGreaterThanOrEqualTo(0.95);
        assertThat(heat).isGreaterThanOrEqualTo(0.7);
        assertThat(drift).isGreaterThanOrEqualTo(0.6);
    }
}
