package pemblar.app.evidence.curve;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.evidence.curve.CurveDrawing.Curves;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.model.PowerDuration;
import pemblar.core.profile.OwnModel;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

@Tag("unit")
class CurveDrawingTest {
    /** All-out at 5 s, 3, 12 and 20 min; flat between. */
    private static List<Point> points() {
        List<Point> points = new ArrayList<>();
        int[] efforts = {5, 180, 720, 1200, 3600};
        double[] watts = {800, 371, 288, 277, 255};
        for (int seconds = 1; seconds <= 3600; seconds += seconds < 120 ? 1 : 30)
            for (int i = 0; i < efforts.length; i++)
                if (seconds <= efforts[i]) {
                    points.add(new Point(seconds, watts[i], i));
                    break;
                }
        return points;
    }

    private static Curves curves(List<Point> shown) {
        PowerDuration model = PowerDuration.of(points());
        OwnModel own = new OwnModel(Sport.RIDE, Measure.POWER, 262, 19_600, 258, model);
        return new Curves(shown, List.of(), model, own);
    }

    @Test
    void untestedDurationsAndTheEffortsOfTheModelAreMarked() {
        CurveDrawing d = CurveDrawing.of(curves(points()), 1, new CurveUnits(Measure.POWER, Sport.RIDE, false));
        assertTrue(d.efforts().size() >= 3);
        assertTrue(!d.untested().isEmpty());
        assertTrue(d.untested().stream().anyMatch(s -> s.title().startsWith("untested: ")));
        assertTrue(d.curve().startsWith("M54 ")
                && d.other().isEmpty()
                && !d.model().isEmpty());
        assertEquals("1 s", d.durations().get(0).text());
        assertEquals("1 h", d.durations().get(d.durations().size() - 1).text());
    }

    @Test
    void perKilogramTheSamePictureHasOtherNumbers() {
        List<Point> light = points().stream()
                .map(p -> new Point(p.seconds(), p.value() / 70, p.source()))
                .toList();
        CurveDrawing watts = CurveDrawing.of(curves(points()), 1, new CurveUnits(Measure.POWER, Sport.RIDE, false));
        CurveDrawing perKilogram = CurveDrawing.of(curves(light), 70, new CurveUnits(Measure.POWER, Sport.RIDE, true));
        assertEquals(watts.curve(), perKilogram.curve());
        assertEquals(watts.untested(), perKilogram.untested());
        assertTrue(perKilogram.efforts().get(0).title().endsWith("W/kg"));
    }

    @Test
    void durationsReadAsPeopleSayThem() {
        assertEquals("45 s", CurveController.clock(45));
        assertEquals("12 min", CurveController.clock(720));
        assertEquals("2:30 min", CurveController.clock(150));
        assertEquals("1:15 h", CurveController.clock(4500));
    }
}
