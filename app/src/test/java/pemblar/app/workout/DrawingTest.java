package pemblar.app.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;
import pemblar.core.zone.Zones;

@Tag("unit")
class DrawingTest {
    private static final Thresholds VALUES = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 200)
            .with(Quantity.CRITICAL_POWER, 205)
            .with(Quantity.W_PRIME, 15_000);

    private static Drawing draw(String text, Thresholds values) {
        return Drawing.of(
                Forecast.of(Shorthand.read(text, Sport.RIDE).workout().orElseThrow(), values),
                Zones.usual(values),
                Sport.RIDE);
    }

    @Test
    void eachStepIsAShapeInTheZoneOfItsIntensity() {
        Drawing drawing = draw("10min 50%, 10min 55%, 10min 106%, lap open", VALUES);
        assertEquals(
                java.util.List.of(1, 2, 5, 1),
                drawing.shapes().stream().map(Drawing.Shape::zone).toList());
        assertTrue(drawing.shapes().get(3).open());
    }

    @Test
    void theReserveIsDrawnOnlyWhenItCanBeKnown() {
        assertTrue(draw("10min 50%", Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200))
                .reservePath()
                .isEmpty());
        Drawing impossible = draw("10min 150%", VALUES);
        assertTrue(impossible.lowestY() > impossible.zeroY());
    }

    @Test
    void timeIsMarkedInRoundFigures() {
        assertEquals("10 min", draw("1h 50%", VALUES).times().get(1).text());
        assertEquals("5 min", draw("30min 50%", VALUES).times().get(1).text());
    }
}
