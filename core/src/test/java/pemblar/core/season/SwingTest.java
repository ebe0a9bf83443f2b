package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.season.Block.Phase;

class SwingTest {
    private static final LocalDate DAY = LocalDate.of(2027, 1, 4);

    private static Block block(int week, Phase phase, double load, boolean easy) {
        return new Block(DAY.plusDays(7L * week), 7, phase, phase + " " + week, "", load, 0, easy, false);
    }

    private static List<Swing> swings(Block... blocks) {
        return Swing.of(List.of(blocks), day -> true);
    }

    @Test
    void moreThanFifteenPercentUpOrDownIsSaid() {
        assertThat(swings(block(0, Phase.BUILD, 350, false), block(1, Phase.BUILD, 402, false)))
                .isEmpty();
        Swing up = swings(block(0, Phase.BUILD, 350, false), block(1, Phase.BUILD, 420, false))
                .get(0);
        assertThat(up.change()).isCloseTo(0.2, within(1e-9));
        assertThat(up.before()).isCloseTo(50, within(1e-9));
        assertThat(swings(block(0, Phase.BUILD, 350, false), block(1, Phase.BUILD, 280, false))
                        .get(0)
                        .change())
                .isCloseTo(-0.2, within(1e-9));
    }

    @Test
    void whatIsMeantToBeLighterIsPassedOver() {
        assertThat(swings(
                        block(0, Phase.BUILD, 400, false),
                        block(1, Phase.BUILD, 240, true),
                        block(2, Phase.PEAK, 420, false),
                        block(3, Phase.TAPER, 200, false),
                        block(4, Phase.RECOVERY, 150, false)))
                .isEmpty();
        assertThat(swings(
                        block(0, Phase.BUILD, 400, false),
                        block(1, Phase.BUILD, 240, true),
                        block(2, Phase.PEAK, 500, false)))
                .hasSize(1);
    }

    @Test
    void daysThatCannotBeTrainedDoNotCount() {
        LocalDate second = DAY.plusDays(7);
        List<Swing> swings = Swing.of(
                List.of(block(0, Phase.BUILD, 350, false), block(1, Phase.BUILD, 350, false)),
                day -> !day.equals(second) && !day.equals(second.plusDays(1)));
        assertThat(swings.get(0).change()).isCloseTo(0.4, within(1e-9));
        assertThat(Swing.of(
                        List.of(block(0, Phase.BUILD, 350, false), block(1, Phase.BUILD, 900, false)),
                        day -> day.isBefore(second)))
                .isEmpty();
    }

    @Test
    void blocksFarApartAreNotCompared() {
        assertThat(swings(block(0, Phase.BUILD, 300, false), block(8, Phase.BUILD, 500, false)))
                .isEmpty();
    }
}
