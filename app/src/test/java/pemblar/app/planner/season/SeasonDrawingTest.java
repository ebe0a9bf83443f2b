package pemblar.app.planner.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Priority;

@Tag("unit")
class SeasonDrawingTest {
    private static final LocalDate FIRST = LocalDate.of(2027, 3, 1);
    private static final LocalDate TODAY = FIRST.plusDays(9);
    private static final List<Block> BLOCKS = List.of(
            new Block(FIRST, 9, Phase.BUILD, "Build 1", "", 540, 32_400),
            new Block(FIRST.plusDays(9), 9, Phase.BUILD, "Build 2", "", 270, 16_200, false, true),
            new Block(FIRST.plusDays(18), 10, Phase.TAPER, "Taper", "", 300, 18_000));

    private static SeasonDrawing draw(List<Away> away) {
        SeasonEvent race = new SeasonEvent(
                3,
                FIRST.plusDays(27),
                1,
                "Tarn loop",
                Priority.A,
                SeasonEvent.Kind.RACE,
                pemblar.core.sport.Sport.RIDE,
                null,
                null,
                List.of());
        Held held = new Held(1, SeasonSettings.USUAL, BLOCKS, List.of(race), away, List.of());
        double[] loads = new double[28];
        java.util.Arrays.fill(loads, 40);
        List<DayLoad> days = List.of(new DayLoad(1, FIRST.plusDays(2), 60, 50, 0, 3600, 3600, 0));
        return SeasonDrawing.of(
                held,
                new Trend(TODAY, days, LoadTrend.of(FIRST, loads, LoadTrend.Settings.DEFAULT)),
                FIRST,
                FIRST.plusDays(27));
    }

    @Test
    void theAreaOfABlockIsItsLoad() {
        List<SeasonDrawing.Column> columns = draw(List.of()).columns();
        double first = (columns.get(0).width() + 1.5) * columns.get(0).targetHeight();
        assertThat((columns.get(1).width() + 1.5) * columns.get(1).targetHeight())
                .isCloseTo(first / 2, within(1e-6));
        assertThat((columns.get(2).width() + 1.5) * columns.get(2).targetHeight())
                .isCloseTo(first * 300 / 540, within(1e-6));
        assertThat(columns.get(0).doneHeight()).isCloseTo(columns.get(0).targetHeight() * 50 / 540, within(1e-6));
    }

    @Test
    void whatIsOverCannotBeDraggedAndTheLastEdgeHasNothingToMoveAgainst() {
        List<SeasonDrawing.Column> columns = draw(List.of()).columns();
        assertThat(columns.stream().map(SeasonDrawing.Column::movable)).containsExactly(false, true, true);
        assertThat(columns.stream().map(SeasonDrawing.Column::edge)).containsExactly(false, true, false);
    }

    @Test
    void theBalanceWantedOnTheMorningIsDrawnWithTheOneThatComesOut() {
        SeasonDrawing.Wanted wanted = draw(List.of()).wanted().get(0);
        assertThat(wanted.inside()).isFalse();
        assertThat(wanted.label()).contains("Tarn loop: balance 0, wanted +4 to +14");
    }

    @Test
    void hoursBeyondWhatIsAvailableAreMarked() {
        assertThat(draw(List.of()).hours().stream().map(SeasonDrawing.Bar::over))
                .containsExactly(false, false, false);
        assertThat(draw(List.of(new Away(FIRST.plusDays(10), FIRST.plusDays(17), 1, "trip")))
                        .hours()
                        .get(1)
                        .over())
                .isTrue();
    }
}
