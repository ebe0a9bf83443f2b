package pemblar.benchunit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.junit.jupiter.api.Test;

class SimulatedSkyTest {
    private static final Instant JANUARY = Instant.parse("2027-01-10T00:00:00Z");
    private static final Instant JULY = Instant.parse("2027-07-10T00:00:00Z");

    private static List<SimulatedSky.Hour> tenDays(double latitude, Instant from) {
        return new SimulatedSky(latitude, 5).hours(from, from.plus(239, ChronoUnit.HOURS));
    }

    private static double mean(List<SimulatedSky.Hour> hours) {
        return hours.stream().mapToDouble(SimulatedSky.Hour::celsius).average().orElseThrow();
    }

    @Test
    void theSamePlaceAndHourAlwaysHaveTheSameWeather() {
        assertEquals(tenDays(52, JANUARY), tenDays(52.04, JANUARY));
        assertNotEquals(tenDays(52, JANUARY), tenDays(53, JANUARY));
        assertEquals(
                tenDays(52, JANUARY).get(30),
                new SimulatedSky(52, 5)
                        .hours(JANUARY.plus(30, ChronoUnit.HOURS), JANUARY.plus(30, ChronoUnit.HOURS))
                        .get(0));
    }

    @Test
    void summersAreWarmerOnEitherHalfOfTheGlobeAndTheAfternoonThanTheNight() {
        assertTrue(mean(tenDays(52, JULY)) > mean(tenDays(52, JANUARY)) + 8);
        assertTrue(mean(tenDays(-40, JANUARY)) > mean(tenDays(-40, JULY)) + 6);
        List<SimulatedSky.Hour> day = tenDays(52, JULY).subList(0, 24);
        assertTrue(day.get(14).celsius() > day.get(3).celsius() + 4);
    }

    @Test
    void iceIsOnlyWhereItIsWetAndBelowFreezingAndBothHappenInAYear() {
        int ice = 0;
        int rain = 0;
        for (int i = 0; i < 36; i++)
            for (SimulatedSky.Hour hour : tenDays(58, JANUARY.plus(i * 10L, ChronoUnit.DAYS))) {
                if (hour.ice()) ice++;
                if (hour.rainMillimetres() > 0) rain++;
                assertTrue(!hour.ice() || hour.celsius() <= 0.5);
                assertTrue(hour.rainMillimetres() >= 0 && hour.rainMillimetres() < 20);
                assertTrue(hour.windMetresPerSecond() > 0 && hour.windMetresPerSecond() < 20);
                assertTrue(Math.abs(hour.celsius()) < 50);
            }
        assertTrue(ice > 20, "hours with ice: " + ice);
        assertTrue(rain > 500 && rain < 4000, "hours with rain: " + rain);
    }

    @Test
    void aQuestionIsBoundedAndAPlaceIsOnEarth() {
        assertEquals(
                SimulatedSky.MOST_HOURS,
                new SimulatedSky(0, 0).hours(JANUARY, JULY).size());
        assertThrows(IllegalArgumentException.class, () -> new SimulatedSky(Double.NaN, 0));
        assertThrows(IllegalArgumentException.class, () -> new SimulatedSky(0, 181));
    }
}
