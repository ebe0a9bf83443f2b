package pemblar.app.planner;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pemblar.app.athlete.Athlete;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.PlanAhead;

/** What the season page says of planning anew is so: it comes to what can be reached where nothing is on the board. */
@Tag("unit")
class PlannedAnewTest {
    static List<PlansTest.Setup> setups() {
        return PlansTest.setups();
    }

    @ParameterizedTest
    @MethodSource("setups")
    void blocksPlannedAnewComeToWhatCanBeReachedAndSessionsCountInTheirPlace(PlansTest.Setup setup) {
        Athlete athlete = PlansTest.athlete(setup);
        Trend trend = PlansTest.trend(setup);
        Held asked = PlansTest.held(setup);
        SeasonPlanner.Planned planned =
                SeasonPlanner.plan(SeasonPlanner.ask(athlete, asked, trend, PlansTest.PER_HOUR), asked);
        Held anew = asked.withBlocks(planned.blocks());
        assertThat(chronic(athlete, trend.dayLoads(), anew))
                .isCloseTo(planned.season().outcome().reached(), within(1.0));
        List<DayLoad> little = new ArrayList<>(trend.dayLoads());
        for (int i = 1; i < 97; i += 3) little.add(new DayLoad(1, PlansTest.TODAY.plusDays(i), 5, 0, 5, 600, 0, 0));
        assertThat(chronic(athlete, little, anew))
                .as("with ten minutes on every third day")
                .isLessThan(0.5 * planned.season().outcome().reached())
                .isCloseTo(chronic(athlete, little, asked), within(0.5));
    }

    private static double chronic(Athlete athlete, List<DayLoad> sums, Held held) {
        return TrendService.trend(athlete, PlansTest.TODAY, sums, PlanAhead.of(held))
                .on(PlansTest.AIM)
                .chronicBefore();
    }
}
