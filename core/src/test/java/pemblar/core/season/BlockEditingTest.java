package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pemblar.core.season.Block.Phase;

class BlockEditingTest {
    private static final LocalDate FIRST = LocalDate.of(2027, 3, 1);
    private static final List<Block> BLOCKS = List.of(block(0, 9, 450), block(9, 9, 540), block(18, 7, 280));

    private static Block block(int from, int days, double load) {
        return new Block(FIRST.plusDays(from), days, Phase.BUILD, "Build", "", load, (int) (load * 60));
    }

    @Test
    void aLoadSetByHandPinsTheBlockAndItsTimeFollows() {
        Block changed = BlockEditing.withLoad(BLOCKS, FIRST, 500).get(0);
        assertThat(changed.targetLoad()).isEqualTo(500);
        assertThat(changed.targetSeconds()).isEqualTo(30_000);
        assertThat(changed.pinned()).isTrue();
    }

    @Property
    void movingAnEdgeKeepsAllDaysAndTheLoadPerDay(@ForAll @IntRange(min = 3, max = 15) int days) {
        List<Block> changed = BlockEditing.moveEdge(BLOCKS, FIRST, FIRST.plusDays(days - 1L));
        assertThat(changed.get(0).days() + changed.get(1).days()).isEqualTo(18);
        assertThat(changed.get(1).first()).isEqualTo(FIRST.plusDays(days));
        assertThat(changed.get(0).loadPerDay()).isCloseTo(50, within(1e-9));
        assertThat(changed.get(1).loadPerDay()).isCloseTo(60, within(1e-9));
        assertThat(changed.get(2)).isEqualTo(BLOCKS.get(2));
    }

    @Test
    void anEdgeLeavesThreeDaysOnEitherSide() {
        assertThatThrownBy(() -> BlockEditing.moveEdge(BLOCKS, FIRST, FIRST.plusDays(15)))
                .hasMessageContaining("one of 2");
        assertThatThrownBy(() -> BlockEditing.moveEdge(BLOCKS, FIRST, FIRST.plusDays(1)))
                .hasMessageContaining("one of 2");
    }

    @Test
    void whatIsSplitAndJoinedAgainIsTheSameButPinned() {
        List<Block> two = BlockEditing.split(BLOCKS, FIRST, FIRST.plusDays(4));
        assertThat(two.stream().map(Block::days)).containsExactly(4, 5, 9, 7);
        assertThat(two.get(0).targetLoad()).isCloseTo(200, within(1e-9));
        List<Block> one = BlockEditing.join(two, FIRST);
        assertThat(one).hasSize(3);
        assertThat(one.get(0).targetLoad()).isCloseTo(450, within(1e-9));
        assertThat(one.get(0).days()).isEqualTo(9);
    }

    @Test
    void shiftingMovesAllThatFollowsAndRunsIntoNothing() {
        List<Block> later = BlockEditing.shift(BLOCKS, FIRST.plusDays(9), 4);
        assertThat(later.stream().map(Block::first)).containsExactly(FIRST, FIRST.plusDays(13), FIRST.plusDays(22));
        assertThatThrownBy(() -> BlockEditing.shift(BLOCKS, FIRST.plusDays(9), -1))
                .hasMessageContaining("would begin before");
    }

    private static final Hours ALL = new Hours(10, List.of());

    /**
     * By hand: 300 aimed for in 6 days, one of them away: 60 a day on the five others; today is the second day, so
     * three of them are to come.
     */
    @Test
    void aBlockInWhichNothingIsPlannedCountsWithItsTargetOnTheDaysThatCanBeTrained() {
        Hours away = new Hours(10, List.of(new Hours.Exception(FIRST.plusDays(3), FIRST.plusDays(3), 0)));
        Outlook.Plan plan = new Outlook.Plan(List.of(block(0, 6, 300)), List.of(), away);
        assertThat(Outlook.of(FIRST, new double[7], FIRST.plusDays(1), plan, Set.of()))
                .containsExactly(0, 0, 60, 0, 60, 60, 0);
    }

    @Test
    void aBlockInWhichAnythingIsPlannedCountsWithJustThat() {
        double[] loads = {0, 0, 40, 0};
        Outlook.Plan plan = new Outlook.Plan(List.of(block(0, 3, 300)), List.of(), ALL);
        assertThat(Outlook.of(FIRST, loads, FIRST, plan, Set.of(FIRST.plusDays(2))))
                .containsExactly(loads);
    }

    /**
     * The event's load lies on its own days and the block's on the others; a session on the event's day stands for it.
     */
    @Test
    void anEventLiesOnItsDaysAlone() {
        Outlook.Plan plan = new Outlook.Plan(
                List.of(block(0, 6, 240)), List.of(new Event(FIRST.plusDays(4), 2, Priority.A, 300)), ALL);
        assertThat(Outlook.of(FIRST, new double[6], FIRST.minusDays(1), plan, Set.of()))
                .containsExactly(60, 60, 60, 60, 150, 150);
        double[] sketched = {0, 0, 0, 0, 243, 0};
        assertThat(Outlook.of(FIRST, sketched, FIRST.minusDays(1), plan, Set.of(FIRST.plusDays(4))))
                .containsExactly(0, 0, 0, 0, 243, 150);
    }

    /** By hand: 55 min at threshold cost 55 / 60 x 100. */
    @Test
    void anEventOfFiftyFiveMinutesIsRiddenAtThreshold() {
        assertThat(EventLoad.of(3300)).isCloseTo(91.67, within(0.01));
        assertThat(EventLoad.of(4 * 3600)).isBetween(300.0, 400.0);
    }
}
