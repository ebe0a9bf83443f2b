package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Season.Target;

/**
 * Whatever is asked: every rule of the definition, read again day by day, and the optimum of another library's simplex.
 */
class SeasonPropertyTest {
    private static final int SEEDS = 500;
    private static final double DUST = 2e-5;
    /** Planned once for all tests: without pins, and every third with. */
    private static final Season[] PLANNED = new Season[SEEDS];

    private static final Season[] PINNED = new Season[SEEDS];

    @BeforeAll
    static void plan() {
        for (int seed = 0; seed < SEEDS; seed++) {
            PLANNED[seed] = Generator.plan(Seeded.ask(seed, false));
            PINNED[seed] = seed % 3 == 0 ? Generator.plan(Seeded.ask(seed, true)) : PLANNED[seed];
        }
    }

    @Test
    void blocksFollowEachOtherWithoutGapsAndNoneIsTooLong() {
        for (int seed = 0; seed < SEEDS; seed++) {
            Ask ask = Seeded.ask(seed, seed % 3 == 0);
            LocalDate day = ask.first();
            for (Target target : PINNED[seed].targets()) {
                assertThat(target.first()).as("seed " + seed).isEqualTo(day);
                if (ask.pinned().isEmpty() && ask.of(Priority.A).isEmpty())
                    assertThat(target.days()).as("seed " + seed).isBetween(Block.SHORTEST, Block.LONGEST);
                day = target.last().plusDays(1);
            }
            assertThat(day).isEqualTo(ask.last().plusDays(1));
        }
    }

    @Test
    void hoursBandsAndBuildRateHoldWithoutPins() {
        for (int seed = 0; seed < SEEDS; seed++) {
            Ask ask = Seeded.ask(seed, false);
            Season season = PLANNED[seed];
            SeasonTruth truth = new SeasonTruth(ask, season);
            for (Target target : season.targets()) check(truth, ask, target, "seed " + seed + " " + target);
            builds(truth, ask, season, seed);
            assertThat(season.broken()).as("seed " + seed).isEmpty();
        }
    }

    private static void check(SeasonTruth truth, Ask ask, Target target, String which) {
        double most = truth.hours(target) * ask.loadPerHour().in(target.phase());
        assertThat(target.load()).as(which).isBetween(0.0, most + DUST);
        int days = truth.trainable(target);
        Target measure = truth.measure(target);
        if (measure == null || days == 0) return;
        double share = (target.load() / days) / Math.max(1e-9, measure.load() / truth.trainable(measure));
        if (measure.load() < 1e-3) return;
        if (target.easy()) between(target, share, 0.55, 0.65, most, which);
        else if (target.phase() == Phase.TAPER) between(target, share, 0.4, 0.6, most, which);
        else if (target.phase() == Phase.RECOVERY) assertThat(share).as(which).isLessThan(0.5 + 1e-3);
    }

    private static void between(Target target, double share, double low, double high, double most, String which) {
        assertThat(share).as(which).isLessThan(high + 1e-3);
        if (share < low - 1e-3)
            assertThat(target.load()).as(which + " takes all its hours").isCloseTo(most, within(1e-3));
    }

    /** Training alone, from tomorrow; days that break the limit without any load are excused. */
    private static void builds(SeasonTruth truth, Ask ask, Season season, long seed) {
        double kept = Math.exp(-1 / 42.0);
        List<Double> trained = new java.util.ArrayList<>(ask.start().chronicOfWeek());
        List<Double> idle = new java.util.ArrayList<>(trained);
        for (LocalDate day = ask.first().minusDays(ask.start().between().size());
                !day.isAfter(ask.last());
                day = day.plusDays(1)) {
            LocalDate now = day;
            Target target = season.targets().stream()
                    .filter(t -> !now.isBefore(t.first()) && !now.isAfter(t.last()))
                    .findFirst()
                    .orElse(null);
            double load = target == null || truth.hoursOn(day) <= 0 ? 0 : target.load() / truth.trainable(target);
            trained.add(trained.get(trained.size() - 1) * kept + load * (1 - kept));
            idle.add(idle.get(idle.size() - 1) * kept);
            boolean excused = idle.get(idle.size() - 1) - idle.get(idle.size() - 8) > ask.highestBuild() + 1e-9;
            double build = trained.get(trained.size() - 1) - trained.get(trained.size() - 8);
            if (!excused) assertThat(build).as("seed " + seed + " on " + day).isLessThan(ask.highestBuild() + DUST);
        }
    }

    @Test
    void theNearestAimIsTheOptimumOfAnotherSimplex() {
        int exact = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Ask ask = Seeded.ask(seed, false);
            Season season = PLANNED[seed];
            SeasonTruth truth = new SeasonTruth(ask, season);
            if (!truth.isExact()) continue;
            double most = truth.optimum(true);
            double least = truth.optimum(false);
            if (Double.isNaN(most) || Double.isNaN(least)) continue;
            exact++;
            double nearest = Math.max(least, Math.min(most, ask.aim().value()));
            assertThat(season.outcome().nearest())
                    .as("seed " + seed)
                    .isCloseTo(nearest, within(1e-3 * Math.max(1, nearest)));
            assertThat(season.outcome().reached())
                    .as("seed " + seed)
                    .isCloseTo(nearest, within(1e-3 * Math.max(1, nearest)));
        }
        assertThat(exact).isGreaterThan(SEEDS * 3 / 4);
    }

    @Test
    void whatIsNotMetNamesOneOrTwoLimits() {
        for (int seed = 0; seed < SEEDS; seed++) {
            Season.Outcome outcome = PINNED[seed].outcome();
            if (outcome.met()) assertThat(outcome.binding()).as("seed " + seed).isEmpty();
            else assertThat(outcome.binding().size()).as("seed " + seed).isLessThanOrEqualTo(2);
            if (!outcome.met() && outcome.nearest() < outcome.aim().value())
                assertThat(outcome.binding()).as("seed " + seed + outcome).isNotEmpty();
        }
    }

    @Test
    void theForecastIsTheRecursionOverEvenDaysWithEventsOnTheirs() {
        for (int seed = 0; seed < SEEDS; seed++) {
            Ask ask = Seeded.ask(seed, seed % 3 == 0);
            Season season = PINNED[seed];
            for (LoadTrend.Day day : season.forecast()) {
                double events = ask.events().stream()
                        .filter(e ->
                                !day.date().isBefore(e.day()) && !day.date().isAfter(e.last()))
                        .mapToDouble(e -> e.load() / e.days())
                        .sum();
                if (events > 0 && ask.pinned().isEmpty())
                    assertThat(day.load()).as("seed " + seed + " " + day).isCloseTo(events, within(1e-6));
            }
        }
    }
}
