package pemblar.app.ribbon;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.SeasonEvent;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;

@Tag("unit")
class RibbonDrawingTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 5, 4);

    private static Ribbon draw(List<DayLoad> days, List<SeasonEvent> events) {
        List<Block> blocks = List.of(
                new Block(FIRST, 10, Block.Phase.BASE, "Base", "", 0, 0),
                new Block(FIRST.plusDays(10), 10, Block.Phase.BUILD, "Build", "", 0, 0));
        Trend trend =
                new Trend(FIRST.plusDays(12), days, LoadTrend.of(FIRST, new double[20], LoadTrend.Settings.DEFAULT));
        return new RibbonDrawing(blocks, trend).draw(events, FIRST, FIRST.plusDays(9));
    }

    @Test
    void heightIsLoadADaySoThatAreaIsLoad() {
        Ribbon ribbon = draw(
                List.of(
                        new DayLoad(1, FIRST, 400, 400, 0, 0, 0, 0),
                        new DayLoad(1, FIRST.plusDays(10), 800, 200, 0, 0, 0, 0)),
                List.of());
        assertEquals(
                ribbon.columns().get(1).plannedHeight() / 2,
                ribbon.columns().get(0).plannedHeight(),
                1e-9);
        assertEquals(
                ribbon.columns().get(1).plannedHeight() / 4,
                ribbon.columns().get(1).doneHeight(),
                1e-9);
    }

    @Test
    void whatWasDoneBeyondThePlanGoesOnPastTheOutline() {
        Ribbon.Column column = draw(List.of(new DayLoad(1, FIRST, 200, 300, 0, 0, 0, 0)), List.of())
                .columns()
                .get(0);
        assertEquals(column.plannedHeight(), column.doneHeight(), 1e-9);
        assertEquals(column.plannedHeight() / 2, column.overHeight(), 1e-9);
        assertEquals(column.plannedY(), column.overY() + column.overHeight(), 1e-9);
    }

    @Test
    void theBracketCoversTheDaysShown() {
        Ribbon ribbon = draw(List.of(), List.of());
        assertEquals(0, ribbon.bracketX(), 1e-9);
        assertEquals(Ribbon.WIDTH / 2, ribbon.bracketWidth(), 1e-9);
    }

    @Test
    void aLessImportantEventGivesWay() {
        Ribbon ribbon = draw(
                List.of(),
                List.of(
                        new SeasonEvent(FIRST.plusDays(5), "Quarry hill trial with a long name", Priority.B),
                        new SeasonEvent(FIRST.plusDays(6), "Lantern coast tour", Priority.A)));
        assertTrue(ribbon.flags().stream().anyMatch(f -> f.text().equals("A · Lantern coast tour")));
        assertTrue(ribbon.flags().stream().anyMatch(f -> f.text().equals("B")));
    }
}
