package pemblar.core.load;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend.Day;
import pemblar.core.load.LoadTrend.Settings;

class LoadTrendTest {
    private static final LocalDate FIRST = LocalDate.of(2025, 3, 1);

    @Test
    void aConstantLoadStaysWhereItStarts() {
        double[] loads = new double[100];
        Arrays.fill(loads, 60);
        for (Day day : LoadTrend.of(FIRST, loads, Settings.DEFAULT)) {
            assertEquals(60, day.chronic(), 1e-9);
            assertEquals(0, day.balance(), 1e-9);
            assertEquals(0, day.build(), 1e-9);
        }
    }

    @Test
    void oneDayOfAHundredFromZeroByHand() {
        List<Day> days = LoadTrend.of(FIRST, new double[] {100, 0}, new Settings(7, 42, 0, 0));
        double acute = 100 * (1 - Math.exp(-1 / 7.0));
        double chronic = 100 * (1 - Math.exp(-1 / 42.0));
        assertEquals(acute, days.get(0).acute(), 1e-12);
        assertEquals(chronic, days.get(0).chronic(), 1e-12);
        assertEquals(0, days.get(0).balance(), 1e-12);
        assertEquals(chronic - acute, days.get(1).balance(), 1e-12);
        assertEquals(chronic * Math.exp(-1 / 42.0), days.get(1).chronic(), 1e-12);
    }

    @Test
    void withoutStartValuesTheFirstFourteenDaysGiveThem() {
        double[] loads = new double[20];
        Arrays.fill(loads, 0, 7, 80);
        Arrays.fill(loads, 14, 20, 500);
        Day first = LoadTrend.of(FIRST, loads, Settings.DEFAULT).get(0);
        assertEquals(40 + 40 * (1 - Math.exp(-1 / 42.0)), first.chronic(), 1e-9);
    }

    @Test
    void theBuildRateOfTheFirstWeekIsAgainstTheStart() {
        List<Day> days =
                LoadTrend.of(FIRST, new double[] {70, 70, 70, 70, 70, 70, 70, 70, 70}, new Settings(7, 42, 10, 10));
        assertEquals(days.get(3).chronic() - 10, days.get(3).build(), 1e-12);
        assertEquals(days.get(8).chronic() - days.get(1).chronic(), days.get(8).build(), 1e-12);
    }

    @Test
    void aLoadThatIsNoNumberIsRefusedWithItsDay() {
        var refused = assertThrows(
                IllegalArgumentException.class,
                () -> LoadTrend.of(FIRST, new double[] {1, Double.NaN}, Settings.DEFAULT));
        assertTrue(refused.getMessage().contains("2025-03-02"));
    }
}
