package pemblar.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pemblar.core.sport.Sport;

/** When an athlete usually starts: the median of the last 8 starts of that weekday and sport; noon without one. */
public final class UsualStart {
    private static final int LAST = 8;
    private static final int NOON = 720;
    private final Map<Kind, List<Integer>> minutes = new HashMap<>();

    private record Kind(DayOfWeek weekday, Sport sport) {}

    /** One start. @param minute of the day, local time */
    public record Started(LocalDate day, Sport sport, int minute) {
        public Started {
            if (minute < 0 || minute >= 1440)
                throw new IllegalArgumentException("minute must be in 0..1439, was " + minute);
        }
    }

    public UsualStart(List<Started> starts) {
        List<Started> newest = new ArrayList<>(starts);
        newest.sort(Comparator.comparing(Started::day).reversed());
        for (Started start : newest) {
            List<Integer> last = minutes.computeIfAbsent(
                    new Kind(start.day().getDayOfWeek(), start.sport()), k -> new ArrayList<>());
            if (last.size() < LAST) last.add(start.minute());
        }
    }

    /** Minute of the day; of an even number of starts the mean of the middle two, rounded down. */
    public int on(LocalDate day, Sport sport) {
        List<Integer> last = minutes.getOrDefault(new Kind(day.getDayOfWeek(), sport), List.of()).stream()
                .sorted()
                .toList();
        if (last.isEmpty()) return NOON;
        int middle = last.size() / 2;
        return last.size() % 2 == 1 ? last.get(middle) : (last.get(middle - 1) + last.get(middle)) / 2;
    }
}
