package pemblar.app.session.reading;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.load.DayLoad;
import pemblar.app.recording.outline.Silhouettes;
import pemblar.app.session.Slab;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;

@Tag("unit")
class SlabDrawingTest {
    private static Slab slab(String planned, Slab.Done done) {
        return new Slab(
                1,
                LocalDate.of(2026, 5, 4),
                null,
                Sport.RIDE,
                "Test",
                true,
                100,
                3600,
                70.0,
                planned,
                Purpose.THRESHOLD,
                false,
                0,
                "",
                null,
                done);
    }

    @Test
    void theOutlineIsToScaleOfTheLongestInView() {
        String silhouette = Silhouettes.planned(Forecast.of(
                Shorthand.read("30min 70%, 30min 140%", Sport.RIDE).workout().orElseThrow(),
                Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200)));
        assertEquals("1800,0.700,0.700;1800,1.400,1.400", silhouette);
        assertEquals("M0 29L0 15.5L25 15.5L25 2L50 2L50 29", SlabDrawing.planned(slab(silhouette, null), 7200));
    }

    @Test
    void withoutPlanOrRecordingThereIsNoShape() {
        assertEquals("", SlabDrawing.planned(slab("", null), 100));
        assertEquals("", SlabDrawing.done(slab("", null), 100));
    }

    private static Slab.Done done(String silhouette) {
        return new Slab.Done(
                true,
                null,
                "",
                3600,
                50.0,
                "POWER",
                null,
                null,
                null,
                null,
                null,
                null,
                silhouette,
                Instant.EPOCH,
                Instant.EPOCH.plusSeconds(3600),
                false);
    }

    @Test
    void theRecordedShapeIsAsWideAsItWasLong() {
        assertEquals("M0 29V15.5H50V29Z", SlabDrawing.done(slab("", done("0.70,0.70")), 7200));
        assertEquals("M0 29V15.5H25V2H37.5V15.5H50V29Z", SlabDrawing.done(slab("", done("0.70,0.70,1.40,0.70")), 7200));
    }

    @Test
    void openLoadCountsFromTodayOnAndDoneLoadAlways() {
        LocalDate today = LocalDate.of(2026, 5, 4);
        assertEquals(30, new DayLoad(1, today.minusDays(1), 80, 30, 50, 0, 0, 0).counting(today));
        assertEquals(80, new DayLoad(1, today, 80, 30, 50, 0, 0, 0).counting(today));
    }
}
