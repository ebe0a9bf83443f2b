package pemblar.app.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

@Tag("unit")
class SheetAndSearchTest {
    private static final Workout WORKOUT = Shorthand.read(
                    "warm-up: 15min 45>65%\n3 x (4min 100-110% 90+rpm seated \"smooth\", 2min rpe 3), lap open",
                    Sport.RIDE)
            .workout()
            .orElseThrow();

    @Test
    void theSheetHasALineForEachStepWithItsWatts() {
        List<SheetLine> lines = SheetLine.of(WORKOUT, Zones.usual(Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200)));
        assertEquals(new SheetLine(0, "15min", "rising, 90 to 130 W", "warm-up"), lines.get(0));
        assertEquals(new SheetLine(0, "3 times", "", ""), lines.get(1));
        assertEquals(new SheetLine(1, "4min", "200 to 220 W", "90 and over · seated · “smooth”"), lines.get(2));
        assertEquals("rpe 3", lines.get(3).target());
        assertEquals("open", lines.get(4).target());
    }

    private static Shelf shelf(boolean archived) {
        Shelved kept = new Shelved(
                1, "Five by four", WORKOUT, "Hard days", List.of("hills"), Shelved.Origin.OWN, false, archived, 1);
        return new Shelf(kept, 3600, 80.0, "", Set.of(300), Set.of("intervals", "z5", "vo2max"));
    }

    private static Search search(
            String q, String sport, String whose, String tag, Integer from, Integer to, Integer load, Integer trains) {
        return new Search(q, sport, whose, tag, from, to, load, trains);
    }

    @Test
    void everyPartOfASearchNarrowsIt() {
        assertTrue(search(null, null, null, null, null, null, null, null).finds(shelf(false)));
        assertTrue(
                search("FOUR smooth", "ride", "own", "hills", 60, 60, 80, 300).finds(shelf(false)));
        assertFalse(
                search("four swim", null, null, null, null, null, null, null).finds(shelf(false)));
        assertFalse(search(null, "run", null, null, null, null, null, null).finds(shelf(false)));
        assertFalse(search(null, null, "coach", null, null, null, null, null).finds(shelf(false)));
        assertFalse(search(null, null, null, "flat", null, null, null, null).finds(shelf(false)));
        assertFalse(search(null, null, null, null, 61, null, null, null).finds(shelf(false)));
        assertFalse(search(null, null, null, null, null, 59, null, null).finds(shelf(false)));
        assertFalse(search(null, null, null, null, null, null, 79, null).finds(shelf(false)));
        assertFalse(search(null, null, null, null, null, null, null, 60).finds(shelf(false)));
    }

    @Test
    void whatIsArchivedIsFoundOnlyWhenAskedFor() {
        assertFalse(search(null, null, null, null, null, null, null, null).finds(shelf(true)));
        assertTrue(search(null, null, "archived", null, null, null, null, null).finds(shelf(true)));
        assertFalse(search(null, null, "archived", null, null, null, null, null).finds(shelf(false)));
    }

    @Test
    void theDrawingKnowsWhereEachStepMayBeTaken() {
        Zones zones = Zones.usual(Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200));
        var forecast = pemblar.core.workout.Forecast.of(WORKOUT, zones);
        Drawing drawing = Drawing.of(
                forecast, zones, Sport.RIDE, new Drawing.Way(pemblar.core.workout.Editing.paths(WORKOUT), false));
        assertEquals(
                List.of("ramp", "band", "single", "none"),
                drawing.shapes().stream().map(Drawing.Shape::kind).distinct().toList());
        assertEquals("1.0", drawing.shapes().get(1).path());
        assertEquals(240, drawing.shapes().get(1).amount(), 1e-9);
        assertTrue(drawing.shapes().get(1).highY() < drawing.shapes().get(1).lowY());
        assertEquals(
                0, drawing.shapes().get(drawing.shapes().size() - 1).amount(), "an open step has no length to drag");
    }

    private static boolean finds(String words) {
        return search(words, null, null, null, null, null, null, null).finds(shelf(false));
    }

    @Test
    void aLengthIsFoundExactlyAndAWorkoutByItsZonesAndItsPurpose() {
        assertTrue(finds("4 min"));
        assertTrue(finds("4min smooth"));
        assertFalse(finds("5 min"), "15min is another length");
        assertFalse(finds("14 min"));
        assertTrue(finds("vo2"));
        assertTrue(finds("z5 hills"));
        assertTrue(finds("Intervals"));
        assertFalse(finds("z4"));
        assertFalse(finds("recovery"));
    }

    @Test
    void whatAWorkoutIsFoundByComesFromItsTimeInEachZone() {
        Zones zones = Zones.usual(Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200));
        Workout workout = Shorthand.read("20min 60%, 5 x (4min 112%, 3min 50%), 1min 80%", Sport.RIDE)
                .workout()
                .orElseThrow();
        Set<String> words = pemblar.core.schedule.FoundBy.words(
                pemblar.core.workout.Forecast.of(workout, zones), zones, Sport.RIDE);
        assertTrue(words.containsAll(Set.of("intervals", "vo2max", "z5", "endurance")), words.toString());
        assertFalse(words.contains("tempo"), "one minute on the way is no tempo: " + words);
    }
}
