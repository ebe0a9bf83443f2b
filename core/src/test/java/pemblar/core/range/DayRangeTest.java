package pemblar.core.range;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class DayRangeTest {
    private static final LocalDate DAY = LocalDate.of(2028, 2, 28);

    @Test
    void bothEndsAreInIt() {
        DayRange days = new DayRange(DAY, DAY.plusDays(2));
        assertEquals(3, days.days());
        assertTrue(days.contains(DAY) && days.contains(LocalDate.of(2028, 2, 29)) && days.contains(DAY.plusDays(2)));
        assertFalse(days.contains(DAY.minusDays(1)) || days.contains(DAY.plusDays(3)));
    }

    @Test
    void anEndBeforeTheBeginningHoldsNoDay() {
        DayRange none = new DayRange(DAY, DAY.minusDays(5));
        assertEquals(0, none.days());
        assertFalse(none.contains(DAY) || none.contains(DAY.minusDays(5)));
    }

    @Test
    void upToADayHasThatDayAndThoseBefore() {
        assertEquals(new DayRange(DAY.minusDays(90), DAY), DayRange.upTo(DAY, 90));
        assertEquals(91, DayRange.upTo(DAY, 90).days());
    }
}
