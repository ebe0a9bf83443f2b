package pemblar.app.planner;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonSettings;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;
import pemblar.core.season.Block.Phase;

@Tag("unit")
class SeasonRemarksTest {
    private static final LocalDate FIRST = LocalDate.of(2027, 3, 1);

    private static Block block(int week, String name, double load) {
        return new Block(FIRST.plusDays(7L * week), 7, Phase.BUILD, name, "", load, 0);
    }

    private static List<String> remarks(List<Block> blocks, List<Away> away, int trainingDays) {
        double[] loads = new double[21];
        for (int i = 0; i < 21; i++)
            loads[i] = blocks.get(Math.min(blocks.size() - 1, i / 7)).targetLoad() / 7;
        List<DayLoad> days = IntStream.range(0, trainingDays)
                .mapToObj(i -> new DayLoad(1, FIRST.plusDays(i), 40, 0, 40, 3600, 0, 0))
                .toList();
        return SeasonRemarks.of(
                new Held(1, SeasonSettings.USUAL, blocks, List.of(), away, List.of()),
                new Trend(FIRST, days, LoadTrend.of(FIRST, loads, new LoadTrend.Settings(7, 42, 40, 40))));
    }

    @Test
    void anEvenSeasonSaysNothing() {
        assertThat(remarks(
                        List.of(block(0, "Build 1", 280), block(1, "Build 2", 300), block(2, "Build 3", 320)),
                        List.of(),
                        7))
                .isEmpty();
    }

    @Test
    void aJumpIsSaidWithWhatFollows() {
        List<String> said = remarks(List.of(block(0, "Build 1", 280), block(1, "Build 2", 700)), List.of(), 0);
        assertThat(said).hasSize(1);
        assertThat(said.get(0))
                .startsWith("Build 2 asks 150 % more for each day that can be trained than Build 1: 100 against 40.")
                .contains("in 7 days that end in it, over your limit of ");
    }

    @Test
    void blocksOfOneNameAreToldApartAndARiseThatIsNoneIsNotSaid() {
        List<Block> blocks = List.of(block(0, "Build", 70), block(1, "Build", 105));
        assertThat(remarks(blocks, List.of(), 0).get(0))
                .startsWith("Build (8 to 14 March) asks 50 % more for each day that can be trained"
                        + " than Build (1 to 7 March): 15 against 10.")
                .endsWith("Chronic load does not rise in it.");
    }

    @Test
    void aDropIsSaidWithWhatFollows() {
        List<String> said = remarks(List.of(block(0, "Build 1", 350), block(1, "Build 2", 210)), List.of(), 0);
        assertThat(said.get(0))
                .startsWith("Build 2 asks 40 % less for each day that can be trained than Build 1: 30 against 50. "
                        + "Chronic load goes from ");
    }

    @Test
    void daysAwayMakeTheOthersHeavier() {
        Away trip = new Away(FIRST.plusDays(7), FIRST.plusDays(8), 0, "trip");
        assertThat(remarks(List.of(block(0, "Build 1", 280), block(1, "Build 2", 280)), List.of(trip), 0)
                        .get(0))
                .startsWith("Build 2 asks 40 % more for each day that can be trained");
    }

    @Test
    void daysInARowWithoutRestAreCounted() {
        assertThat(remarks(List.of(block(0, "Build 1", 280)), List.of(), 9))
                .anySatisfy(s -> assertThat(s).startsWith("9 days in a row without a rest day, "));
        assertThat(remarks(List.of(block(0, "Build 1", 280)), List.of(), 7)).isEmpty();
    }
}
