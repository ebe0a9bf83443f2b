package pemblar.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Where the sessions of a template come to lie. A template knows its sessions by the number of days after its first.
 */
public final class Placement {
    private Placement() {}

    /** Each session as many days after the first day as in the template. */
    public static List<LocalDate> from(LocalDate first, List<Integer> offsets) {
        return offsets.stream().map(first::plusDays).toList();
    }

    /** The last session on a day, the others as far before it as in the template. */
    public static List<LocalDate> endingOn(LocalDate last, List<Integer> offsets) {
        int longest = offsets.stream().mapToInt(Integer::intValue).max().orElse(0);
        return offsets.stream().map(offset -> last.minusDays(longest - offset)).toList();
    }

    /**
     * Only on given weekdays: every day of the template that has a session moves to the next allowed day, in the same
     * order; sessions of one day stay together, and no day comes earlier than in the template.
     *
     * @param weekdays at least one
     */
    public static List<LocalDate> onWeekdays(LocalDate first, List<Integer> offsets, Set<DayOfWeek> weekdays) {
        if (weekdays.isEmpty()) throw new IllegalArgumentException("choose at least one weekday");
        TreeMap<Integer, LocalDate> days = new TreeMap<>();
        LocalDate free = first;
        for (int offset : new TreeSet<>(offsets)) {
            LocalDate day = first.plusDays(offset).isAfter(free) ? first.plusDays(offset) : free;
            while (!weekdays.contains(day.getDayOfWeek())) day = day.plusDays(1);
            days.put(offset, day);
            free = day.plusDays(1);
        }
        return offsets.stream().map(days::get).toList();
    }
}
