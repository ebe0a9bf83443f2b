package pemblar.app.load;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.load.TrendService.Trend;
import pemblar.core.load.LoadTrend;

/** Days of a range are found by where they lie, and are those that a look at each would find. */
@Tag("unit")
class TrendRangesTest {
    private static final LocalDate FIRST = LocalDate.of(2024, 1, 1);

    private static Trend trend(Random random) {
        List<DayLoad> sums = new ArrayList<>();
        int span = 1 + random.nextInt(60);
        for (int day = 0; day < span; day++)
            if (random.nextInt(3) > 0) sums.add(new DayLoad(1, FIRST.plusDays(day), 0, day, 0, 0, 3600, 0));
        return new Trend(FIRST, sums, LoadTrend.of(FIRST, new double[span], LoadTrend.Settings.DEFAULT));
    }

    @Test
    void aRangeHoldsItsDaysAndNoOthers() {
        for (int seed = 0; seed < 500; seed++) {
            Random random = new Random(seed);
            Trend trend = trend(random);
            LocalDate from = FIRST.plusDays(random.nextInt(80) - 10);
            LocalDate to = from.plusDays(random.nextInt(40) - 2);
            assertThat(trend.dayLoads(from, to))
                    .as("sums of seed %d", seed)
                    .isEqualTo(trend.dayLoads().stream()
                            .filter(d -> isWithin(d.day(), from, to))
                            .toList());
            assertThat(trend.days(from, to))
                    .as("days of seed %d", seed)
                    .isEqualTo(trend.days().stream()
                            .filter(d -> isWithin(d.date(), from, to))
                            .toList());
        }
    }

    private static boolean isWithin(LocalDate day, LocalDate from, LocalDate to) {
        return !day.isBefore(from) && !day.isAfter(to);
    }

    @Test
    void withoutASessionThereIsNothing() {
        Trend none = new Trend(FIRST, List.of(), List.of());
        assertThat(none.dayLoads(FIRST, FIRST.plusDays(9))).isEmpty();
        assertThat(none.days(FIRST, FIRST.plusDays(9))).isEmpty();
    }
}
