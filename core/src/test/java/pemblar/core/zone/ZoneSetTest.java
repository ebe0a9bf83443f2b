package pemblar.core.zone;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

class ZoneSetTest {
    private static ZoneSet power(double threshold) {
        return ZoneSchemes.of(Measure.POWER, Sport.RIDE, Thresholds.NONE.with(Quantity.THRESHOLD_POWER, threshold))
                .orElseThrow();
    }

    @Test
    void aBoundaryBelongsToTheUpperZoneExactly() {
        assertEquals(2, power(200).zoneOf(110));
        assertEquals(1, power(200).zoneOf(109.999999));
        for (int threshold = 100; threshold <= 400; threshold++)
            for (double percent : power(threshold).percents())
                if (percent * threshold % 100 == 0)
                    assertEquals(
                            power(threshold).percents().indexOf(percent) + 2,
                            power(threshold).zoneOf(percent * threshold / 100));
    }

    @Test
    void everySecondIsInOneZoneOrMissing() {
        ZoneSet.TimeInZones time = power(200).timeIn(Series.of(0, 109, 110, 300, 1000, Double.NaN));
        assertEquals(List.of(2, 1, 0, 0, 0, 0, 2), time.seconds());
        assertEquals(1, time.missingSeconds());
        assertEquals(5, time.presentSeconds());
    }

    @Test
    void neighboursShareTheirBoundary() {
        ZoneSet set = power(262);
        for (int zone = 1; zone < set.count(); zone++) assertEquals(set.ceilingOf(zone), set.floorOf(zone + 1), 0);
    }

    @Test
    void reserveZonesStartFromTheRestingHeartRate() {
        ZoneSet set = new ZoneSet(Measure.HEART_RATE, 140, 50, List.of(50.0, 60.0), List.of("a", "b", "c"));
        assertEquals(2, set.zoneOf(120));
        assertEquals(1, set.zoneOf(119.9));
    }

    @Test
    void boundariesThatDoNotRiseAreRefused() {
        assertThrows(
                IllegalArgumentException.class,
                () -> new ZoneSet(Measure.POWER, 200, 0, List.of(75.0, 55.0), List.of("a", "b", "c")));
    }

    @Test
    void runningHasItsOwnHeartRateSchemeAndRidingNoPaceZones() {
        Thresholds t = Thresholds.NONE.with(Quantity.THRESHOLD_HEART_RATE, 170).with(Quantity.THRESHOLD_SPEED, 4);
        assertEquals(
                85,
                ZoneSchemes.of(Measure.HEART_RATE, Sport.RUN, t)
                        .orElseThrow()
                        .percents()
                        .get(0));
        assertEquals(
                81,
                ZoneSchemes.of(Measure.HEART_RATE, Sport.RIDE, t)
                        .orElseThrow()
                        .percents()
                        .get(0));
        assertEquals(true, ZoneSchemes.of(Measure.SPEED, Sport.RIDE, t).isEmpty());
    }
}
