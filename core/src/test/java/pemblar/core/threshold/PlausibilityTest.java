package pemblar.core.threshold;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import pemblar.core.threshold.Plausibility.Doubt;
import pemblar.core.threshold.Plausibility.LastYear;

class PlausibilityTest {
    private static final Thresholds SOUND = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.CRITICAL_POWER, 257)
            .with(Quantity.THRESHOLD_HEART_RATE, 168)
            .with(Quantity.MAXIMUM_HEART_RATE, 186)
            .with(Quantity.RESTING_HEART_RATE, 48)
            .with(Quantity.BODY_MASS, 68)
            .with(Quantity.THRESHOLD_SPEED, 4);

    private static List<Doubt> doubts(Thresholds values, LastYear best) {
        return Plausibility.of(values, best, OptionalDouble.of(68.5)).stream()
                .map(Plausibility.Warning::doubt)
                .toList();
    }

    @Test
    void soundValuesRaiseNoDoubt() {
        assertEquals(List.of(), doubts(SOUND, new LastYear(250, 4, 168)));
        assertEquals(List.of(), doubts(Thresholds.NONE, LastYear.UNKNOWN));
    }

    @Test
    void eachSlipIsNamed() {
        assertEquals(
                List.of(Doubt.THRESHOLD_HEART_RATE_ABOVE_MAXIMUM),
                doubts(SOUND.with(Quantity.THRESHOLD_HEART_RATE, 190), LastYear.UNKNOWN));
        assertEquals(
                List.of(Doubt.THRESHOLD_HEART_RATE_ABOVE_MAXIMUM),
                doubts(SOUND.with(Quantity.RUNNING_THRESHOLD_HEART_RATE, 186), LastYear.UNKNOWN));
        assertEquals(
                List.of(Doubt.RESTING_HEART_RATE_HIGH),
                doubts(SOUND.with(Quantity.RESTING_HEART_RATE, 104), LastYear.UNKNOWN));
        assertEquals(List.of(Doubt.BODY_MASS_JUMPS), doubts(SOUND.with(Quantity.BODY_MASS, 86), LastYear.UNKNOWN));
        assertEquals(
                List.of(Doubt.WATTS_PER_KILOGRAM_TOO_LOW, Doubt.BODY_MASS_JUMPS),
                doubts(SOUND.with(Quantity.BODY_MASS, 251), LastYear.UNKNOWN));
        assertEquals(
                List.of(Doubt.WATTS_PER_KILOGRAM_TOO_HIGH, Doubt.BODY_MASS_JUMPS),
                doubts(SOUND.with(Quantity.BODY_MASS, 36), LastYear.UNKNOWN));
        assertEquals(
                List.of(Doubt.CRITICAL_POWER_FAR_FROM_THRESHOLD),
                doubts(SOUND.with(Quantity.CRITICAL_POWER, 300), LastYear.UNKNOWN));
    }

    @Test
    void lastYearsEffortsContradictALowThreshold() {
        assertEquals(List.of(Doubt.POWER_CONTRADICTED), doubts(SOUND, new LastYear(256, Double.NaN, Double.NaN)));
        assertEquals(List.of(Doubt.PACE_CONTRADICTED), doubts(SOUND, new LastYear(Double.NaN, 4.2, Double.NaN)));
        assertEquals(List.of(Doubt.HEART_RATE_CONTRADICTED), doubts(SOUND, new LastYear(Double.NaN, Double.NaN, 171)));
    }
}
