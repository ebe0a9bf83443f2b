package pemblar.app.progress;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService.Trend;
import pemblar.core.load.LoadTrend;

@Tag("unit")
class TrendDrawingTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 3, 1);

    private static TrendDrawing draw(int today) {
        double[] loads = new double[30];
        loads[3] = 100;
        loads[20] = 60;
        List<DayLoad> sums = List.of(
                new DayLoad(1, FIRST.plusDays(3), 100, 100, 0, 3600, 3600, 0),
                new DayLoad(1, FIRST.plusDays(20), 60, 0, 60, 3600, 0, 0));
        return TrendDrawing.of(
                new Trend(FIRST.plusDays(today), sums, LoadTrend.of(FIRST, loads, LoadTrend.Settings.DEFAULT)),
                FIRST,
                FIRST.plusDays(29));
    }

    @Test
    void doneIsFilledAndOpenIsOutlinedFromTodayOn() {
        TrendDrawing drawing = draw(10);
        assertTrue(drawing.bars().get(0).doneHeight() > 0);
        assertEquals(0, drawing.bars().get(0).openHeight(), 0);
        assertTrue(drawing.bars().get(1).openHeight() > 0);
        assertEquals(0, draw(25).bars().get(1).openHeight(), 0);
    }

    @Test
    void theForecastBeginsWhereThePastEnds() {
        TrendDrawing drawing = draw(10);
        String last = drawing.chronicDone().substring(drawing.chronicDone().lastIndexOf('L') + 1);
        assertTrue(drawing.chronicAhead().startsWith("M" + last + "L"));
        assertTrue(drawing.hasForecast());
        assertFalse(draw(29).hasForecast());
    }

    @Test
    void bothAxesAreMarked() {
        TrendDrawing drawing = draw(10);
        assertTrue(drawing.loads().stream().anyMatch(t -> t.text().equals("100")));
        assertTrue(drawing.balances().stream().anyMatch(t -> t.text().startsWith("+")));
    }

    /** Strength stands hatched at the foot of the day it is part of, done or still open. */
    @Test
    void strengthIsToldApart() {
        List<DayLoad> sums = List.of(
                new DayLoad(1, FIRST.plusDays(3), 100, 100, 0, 7200, 7200, 0, 40, 0, 3600),
                new DayLoad(1, FIRST.plusDays(20), 60, 0, 60, 3600, 0, 0, 0, 60, 3600));
        double[] loads = new double[30];
        loads[3] = 100;
        loads[20] = 60;
        TrendDrawing drawing = TrendDrawing.of(
                new Trend(FIRST.plusDays(10), sums, LoadTrend.of(FIRST, loads, LoadTrend.Settings.DEFAULT)),
                FIRST,
                FIRST.plusDays(29));
        assertTrue(drawing.hasLifted());
        assertFalse(draw(10).hasLifted());
        TrendDrawing.Bar done = drawing.bars().get(0);
        assertEquals(0.4 * done.doneHeight(), done.liftedHeight(), 1e-9);
        assertEquals(drawing.bars().get(1).openHeight(), drawing.bars().get(1).liftedHeight(), 1e-9);
    }

    /** One day of 2,400 points among days of 80: the others keep their height, the one is cut and says its figure. */
    @Test
    void oneDayThatNobodyTrainedFlattensNothing() {
        double[] loads = new double[30];
        List<DayLoad> sums = new ArrayList<>();
        for (int i = 0; i < 30; i += 2) {
            loads[i] = i == 14 ? 2400 : 80;
            sums.add(new DayLoad(1, FIRST.plusDays(i), 0, loads[i], 0, 0, 3600, 0));
        }
        TrendDrawing drawing = TrendDrawing.of(
                new Trend(FIRST.plusDays(29), sums, LoadTrend.of(FIRST, loads, LoadTrend.Settings.DEFAULT)),
                FIRST,
                FIRST.plusDays(29));
        double usual = drawing.bars().get(0).doneHeight();
        TrendDrawing.Bar wrong = drawing.bars().get(7);
        assertTrue(usual > 40, "of 240: " + usual);
        assertEquals(240, wrong.doneHeight(), 1e-9);
        assertEquals("2400", wrong.cut());
        assertEquals("", drawing.bars().get(0).cut());
        assertTrue(drawing.hasCut());
        String drawn = drawing.dayLoads();
        assertEquals(15, drawn.split("<g>", -1).length - 1, "a group for each day");
        assertEquals(1, drawn.split("<path class=\"cut\"", -1).length - 1);
        assertTrue(drawn.contains("y=\"26\">2400</text>"), drawn);
        assertFalse(drawn.contains("bar open") || drawn.contains("bar lifted"), "nothing is planned, nothing lifted");
        assertFalse(draw(10).hasCut());
    }
}
