package pemblar.core.aerobic;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * Runners and riders over a year whose fitness, surfaces, heat, drift and bad sensors are known: is the truth inside
 * what is claimed, and is a plain line fooled?
 */
class AerobicTruthTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
    private static final int SEEDS = 300;
    private static final double GRASS = -0.06;

    /** ln(output / reserve fraction) of the truth on a day. */
    private static double truth(int seed, double day) {
        return Math.log(4.5) + 0.05 * Math.sin(day / 365 * 2 * Math.PI + seed) + 0.03 * day / 365;
    }

    private static List<SessionMean> year(int seed) {
        Random random = new Random(seed);
        List<SessionMean> sessions = new ArrayList<>();
        for (int s = 0; s < 90; s++) {
            int day = random.nextInt(365);
            boolean summer = day > 120 && day < 270;
            String surface = random.nextDouble() < (summer ? 0.45 : 0.1)
                    ? "grass"
                    : random.nextDouble() < 0.15 ? "trail" : "road";
            double heat = summer ? Math.max(0, 6 + 5 * random.nextGaussian()) : 0;
            int pieces = 2 + random.nextInt(10);
            double hours = 0.25 + pieces * 0.04;
            double bad = random.nextDouble() < 0.04 ? 0.25 * (random.nextBoolean() ? 1 : -1) : 0;
            double log = truth(seed, day)
                    + (surface.equals("grass") ? GRASS : surface.equals("trail") ? -0.04 : 0)
                    - 0.004 * heat
                    - 0.02 * hours
                    + bad
                    + 0.035 * random.nextGaussian() / Math.sqrt(pieces);
            sessions.add(new SessionMean("s" + s, FIRST.plusDays(day), surface, heat, hours, log, pieces));
        }
        return sessions;
    }

    @Test
    void theTruthLiesInTheBandAndGrassInItsInterval() {
        AtomicInteger weeks = new AtomicInteger();
        AtomicInteger inside = new AtomicInteger();
        AtomicInteger grass = new AtomicInteger();
        AtomicInteger fooled = new AtomicInteger();
        IntStream.range(0, SEEDS).parallel().forEach(seed -> {
            List<SessionMean> sessions = year(seed);
            AerobicTrend trend = AerobicTrend.of(sessions);
            for (AerobicTrend.Week week : trend.weeks()) {
                double value = 0.7 * Math.exp(truth(seed, week.day().toEpochDay() - FIRST.toEpochDay()));
                weeks.incrementAndGet();
                if (week.low() <= value && value <= week.high()) inside.incrementAndGet();
            }
            AerobicTrend.Cost cost = trend.costs().stream()
                    .filter(c -> c.name().equals("grass"))
                    .findFirst()
                    .orElseThrow();
            double percent = 100 * (1 - Math.exp(GRASS));
            if (cost.low() <= percent && percent <= cost.high()) grass.incrementAndGet();
            if (isFooled(seed, sessions)) fooled.incrementAndGet();
        });
        double share = (double) inside.get() / weeks.get();
        System.out.printf(
                "aerobic: truth inside the band in %.1f %% of weeks, grass in its interval in %.1f %% of "
                        + "years, a plain mean off by over 3 %% in summer in %.1f %%%n",
                100 * share, 100.0 * grass.get() / SEEDS, 100.0 * fooled.get() / SEEDS);
        assertThat(share).isGreaterThanOrEqualTo(0.9);
        assertThat((double) grass.get() / SEEDS).isGreaterThanOrEqualTo(0.9);
        assertThat(fooled.get())
                .as("without adjusting, summer looks like lost fitness")
                .isGreaterThan(SEEDS / 2);
    }

    /** The plain mean of July and August against the truth. */
    private static boolean isFooled(int seed, List<SessionMean> sessions) {
        double raw = sessions.stream()
                .filter(s -> s.day().getMonthValue() == 7 || s.day().getMonthValue() == 8)
                .mapToDouble(SessionMean::logOutput)
                .average()
                .orElse(0);
        return Math.abs(raw - truth(seed, 211)) > 0.03;
    }

    @Test
    void tooFewSessionsSayWhatIsMissing() {
        AerobicTrend few = AerobicTrend.of(year(1).subList(0, 4));
        assertThat(few.notEnough()).hasValueSatisfying(text -> assertThat(text).contains("of 8 sessions"));
        assertThat(few.weeks()).isEmpty();
    }

    @Test
    void aSurfaceOfThreeSessionsIsLeftOutWithThemAndSaid() {
        List<SessionMean> sessions = new ArrayList<>(
                year(2).stream().filter(s -> s.surface().equals("road")).toList());
        for (int i = 0; i < 3; i++)
            sessions.add(new SessionMean("x" + i, FIRST.plusDays(40 + i), "sand", 0, 0.4, 1.0, 4));
        AerobicTrend trend = AerobicTrend.of(sessions);
        assertThat(trend.leftOut()).anySatisfy(l -> assertThat(l.name()).isEqualTo("sand"));
        assertThat(trend.adjusted()).noneMatch(a -> a.session().startsWith("x"));
    }
}
