package pemblar.formats.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneSchemes;
import pemblar.core.zone.Zones;

class FitZonesTest {
    private static final Instant THEN = Instant.parse("2026-05-04T10:00:00Z");
    private static final Thresholds VALUES = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 260)
            .with(Quantity.THRESHOLD_HEART_RATE, 170)
            .with(Quantity.MAXIMUM_HEART_RATE, 188)
            .with(Quantity.THRESHOLD_SPEED, 4);

    @Test
    void whatIsWrittenIsReadTheSame() {
        Zones zones = new Zones(VALUES, Map.of(new Zones.Key(Sport.RIDE, Measure.POWER), ZoneSchemes.POWER_THREE));
        FitZones read = FitZones.read(FitZones.of(zones, Sport.RIDE, THEN).write(7))
                .zones()
                .orElseThrow();
        assertEquals(THEN, read.created());
        assertEquals(Sport.RIDE, read.sport());
        assertEquals(260, read.thresholdWatts());
        assertEquals(
                List.of(208.0, 260.0),
                read.power().stream().map(FitZones.Limit::high).limit(2).toList());
        assertTrue(Double.isNaN(read.power().get(2).high()));
        assertEquals(6, read.heartRate().size());
        assertEquals("recovery", read.heartRate().get(0).name());
        assertEquals(List.of(), read.speed());
    }

    @Test
    void pacesKeepTheirThousandths() {
        FitZones read = FitZones.read(
                        FitZones.of(Zones.usual(VALUES), Sport.RUN, THEN).write(7))
                .zones()
                .orElseThrow();
        assertEquals(3.12, read.speed().get(0).high(), 1e-9); // 78 % of 4 m/s
        assertEquals(0, read.thresholdWatts());
    }

    @Test
    void aDamagedFileIsNamed() {
        byte[] file = FitZones.of(Zones.usual(VALUES), Sport.RIDE, THEN).write(7);
        assertTrue(FitZones.read(Arrays.copyOf(file, file.length / 2)).zones().isEmpty());
        assertTrue(FitZones.read(new byte[] {1, 2, 3}).problems().toString().contains("not a FIT file"));
        assertTrue(FitZones.read(new FitWorkout("x", Sport.RIDE, List.of()).write(1, THEN))
                .problems()
                .toString()
                .contains("no zones"));
    }
}
