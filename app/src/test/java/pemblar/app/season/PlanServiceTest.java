package pemblar.app.season;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.season.Block;

@Tag("unit")
class PlanServiceTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private static Block block(LocalDate first, int days) {
        return new Block(first, days, Block.Phase.BUILD, "Build", "", 0, 0);
    }

    @Test
    void withoutBlocksTheWeeksServe() {
        List<Block> weeks = PlanService.cover(List.of(), MONDAY.plusDays(2), MONDAY.plusDays(15));
        assertEquals(MONDAY, weeks.get(0).first());
        assertEquals(7, weeks.get(0).days());
    }

    @Property(tries = 300)
    void everyDayBetweenBlocksIsCoveredOnce(
            @ForAll @IntRange(min = 0, max = 40) int gap,
            @ForAll @IntRange(min = 3, max = 28) int days,
            @ForAll @IntRange(min = 0, max = 6) int weekday) {
        LocalDate from = MONDAY.plusDays(weekday);
        Block first = block(from, days);
        Block second = block(first.last().plusDays(1 + gap), days);
        List<Block> all = PlanService.cover(List.of(first, second), from, second.last());
        LocalDate next = from;
        for (Block block : all) {
            assertEquals(next, block.first());
            next = block.last().plusDays(1);
        }
        assertTrue(all.contains(first) && all.contains(second));
    }
}
