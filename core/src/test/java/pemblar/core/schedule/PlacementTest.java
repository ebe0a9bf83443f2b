package pemblar.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class PlacementTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 6, 1);
    private static final List<Integer> OFFSETS = List.of(0, 1, 1, 3);

    @Test
    void fromADayAndEndingOnADay() {
        assertEquals(
                List.of(MONDAY, MONDAY.plusDays(1), MONDAY.plusDays(1), MONDAY.plusDays(3)),
                Placement.from(MONDAY, OFFSETS));
        assertEquals(Placement.from(MONDAY.minusDays(3), OFFSETS), Placement.endingOn(MONDAY, OFFSETS));
    }

    @Test
    void onlyTuesdaysAndSaturdays() {
        // Monday waits for Tuesday; the pair of the template's Tuesday then waits for Saturday, together; its Thursday
        // for the next Tuesday
        LocalDate saturday = MONDAY.plusDays(5);
        assertEquals(
                List.of(MONDAY.plusDays(1), saturday, saturday, MONDAY.plusDays(8)),
                Placement.onWeekdays(MONDAY, OFFSETS, Set.of(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY)));
        assertThrows(IllegalArgumentException.class, () -> Placement.onWeekdays(MONDAY, OFFSETS, Set.of()));
    }

    @Property
    void orderIsKeptAndEveryDayIsAllowed(
            @ForAll @Size(min = 1, max = 12) List<@IntRange(min = 0, max = 60) Integer> offsets,
            @ForAll @Size(min = 1, max = 7) Set<DayOfWeek> weekdays) {
        List<LocalDate> days = Placement.onWeekdays(MONDAY, offsets, weekdays);
        for (int i = 0; i < offsets.size(); i++) {
            assertTrue(weekdays.contains(days.get(i).getDayOfWeek()));
            assertTrue(!days.get(i).isBefore(MONDAY.plusDays(offsets.get(i))));
            for (int j = 0; j < offsets.size(); j++)
                assertEquals(
                        Integer.signum(offsets.get(i).compareTo(offsets.get(j))),
                        Integer.signum(days.get(i).compareTo(days.get(j))));
        }
    }
}
