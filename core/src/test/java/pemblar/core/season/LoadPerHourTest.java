package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pemblar.core.season.LoadPerHour.Spent;
import pemblar.core.sport.Sport;

/** What an hour costs is what the athlete's own hours in that sport cost. */
class LoadPerHourTest {
    private static final Offset<Double> EXACT = Offset.offset(1e-9);
    private static final Map<Sport, Spent> SPENT =
            Map.of(Sport.RIDE, new Spent(40, 2000), Sport.RUN, new Spent(10, 800), Sport.SWIM, new Spent(2, 200));

    @Test
    void ofOneSportItsOwn() {
        assertThat(LoadPerHour.together(SPENT, Map.of(Sport.RUN, 100))).isEqualTo(80, EXACT);
        assertThat(LoadPerHour.together(SPENT, Map.of(Sport.RIDE, 1))).isEqualTo(50, EXACT);
    }

    /** Half riding at 50, half running at 80. */
    @Test
    void ofSeveralByTheirShareOfTheTime() {
        assertThat(LoadPerHour.together(SPENT, Map.of(Sport.RIDE, 50, Sport.RUN, 50)))
                .isEqualTo(65, EXACT);
        assertThat(LoadPerHour.together(SPENT, Map.of(Sport.RIDE, 3, Sport.RUN, 1)))
                .isEqualTo(57.5, EXACT);
    }

    /** Two hours in the water say less than the 52 h of everything, at 3000 / 52 points. */
    @Test
    void whereOneHasFewHoursByAll() {
        assertThat(LoadPerHour.together(SPENT, Map.of(Sport.SWIM, 1))).isEqualTo(3000.0 / 52, EXACT);
        assertThat(LoadPerHour.together(SPENT, Map.of())).isEqualTo(3000.0 / 52, EXACT);
    }

    @Test
    void whereNothingIsKnownTheUsual() {
        assertThat(LoadPerHour.together(Map.of(), Map.of(Sport.RUN, 1))).isEqualTo(55, EXACT);
        assertThat(LoadPerHour.together(Map.of(Sport.RUN, new Spent(2, 300)), Map.of(Sport.RUN, 1)))
                .isEqualTo(55, EXACT);
    }

    /** A load that no hour can cost comes from something else than training. */
    @Test
    void withinWhatAnHourCanCost() {
        assertThat(LoadPerHour.together(Map.of(Sport.RUN, new Spent(10, 5000)), Map.of(Sport.RUN, 1)))
                .isEqualTo(120, EXACT);
    }
}
