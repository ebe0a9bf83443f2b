package pemblar.core.range;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/**
 * A range of days added up. Zones are of one sport and one measure: seconds of power and of heart rate, or of two
 * sports, are never added.
 *
 * @param zoneSeconds in each zone, from 1; empty when nothing of the sport was recorded in the measure
 * @param sessionsInZones sessions of the sport that have such zones; {@code sessionsWithout} those that were done and
 *     have none
 * @param bySport time and sessions done, the longest first
 * @param kept plan against done, by purpose, the longest planned first; what is unplanned is not in it
 * @param allKept plan against done of all that was planned and is over, also where nobody said what for
 * @param plannedSeconds all that is planned in these days, ahead too
 * @param restDays days on which nothing was done; today is none before it is over
 * @param longestWithoutRest days in a row on which something was done
 */
public record RangeSummary(
        LocalDate from,
        LocalDate to,
        List<Long> zoneSeconds,
        int sessionsInZones,
        int sessionsWithout,
        Map<Sport, Done> bySport,
        Map<Purpose, Kept> kept,
        Kept allKept,
        long plannedSeconds,
        int restDays,
        int longestWithoutRest,
        int daysOver) {
    /** Of the sport, with such zones and without. */
    public int sessions() {
        return sessionsInZones + sessionsWithout;
    }

    /**
     * One session.
     *
     * @param purpose null when nobody said
     * @param doneSeconds 0 when it was not done; {@code plannedSeconds} 0 without a plan
     */
    public record Item(
            LocalDate day,
            Sport sport,
            Purpose purpose,
            int doneSeconds,
            int plannedSeconds,
            Map<Measure, List<Integer>> zones) {
        boolean isDone() {
            return doneSeconds > 0;
        }

        /** Planned, and its day is over or it is done already. */
        boolean isAsked(LocalDate today) {
            return plannedSeconds > 0 && (day.isBefore(today) || isDone());
        }
    }

    public record Done(long seconds, int sessions) {
        Done plus(int more) {
            return new Done(seconds + more, sessions + 1);
        }
    }

    /** Sessions and time that were planned, and how much of both was done; more than planned counts as it was. */
    public record Kept(int planned, int done, long plannedSeconds, long doneSeconds) {
        static final Kept NOTHING = new Kept(0, 0, 0, 0);

        Kept plus(Item item) {
            return new Kept(
                    planned + 1,
                    done + (item.isDone() ? 1 : 0),
                    plannedSeconds + item.plannedSeconds(),
                    doneSeconds + item.doneSeconds());
        }
    }

    /**
     * How the days are added up.
     *
     * @param today days after it are not over: their sessions count in nothing but what was done on them
     * @param sport whose zones, by {@code measure}
     */
    public record Way(LocalDate today, Sport sport, Measure measure) {}

    /** Week after week from a day on. */
    public static List<RangeSummary> weeks(List<Item> all, LocalDate first, int count, Way way) {
        List<RangeSummary> weeks = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            LocalDate from = first.plusWeeks(i);
            weeks.add(of(all, new DayRange(from, from.plusDays(6)), way));
        }
        return weeks;
    }

    public static RangeSummary of(List<Item> all, DayRange days, Way way) {
        LocalDate from = days.from();
        LocalDate to = days.to();
        LocalDate today = way.today();
        Sport sport = way.sport();
        Measure measure = way.measure();
        List<Item> items = all.stream().filter(i -> days.contains(i.day())).toList();
        List<Item> own =
                items.stream().filter(i -> i.isDone() && i.sport() == sport).toList();
        int with =
                (int) own.stream().filter(i -> i.zones().containsKey(measure)).count();
        Set<LocalDate> trained =
                items.stream().filter(Item::isDone).map(Item::day).collect(Collectors.toSet());
        LocalDate over = trained.contains(today) ? today : today.minusDays(1); // the evening may still bring something
        LocalDate last = to.isBefore(over) ? to : over;
        int daysOver = last.isBefore(from) ? 0 : (int) (last.toEpochDay() - from.toEpochDay()) + 1;
        return new RangeSummary(
                from,
                to,
                zones(own, measure),
                with,
                own.size() - with,
                bySport(items),
                kept(items, today),
                allKept(items, today),
                items.stream().mapToLong(Item::plannedSeconds).sum(),
                daysOver - (int) trained.stream().filter(d -> !d.isAfter(last)).count(),
                longest(trained, from, last),
                daysOver);
    }

    private static List<Long> zones(List<Item> items, Measure measure) {
        List<Long> sums = new ArrayList<>();
        for (Item item : items) {
            List<Integer> seconds = item.zones().getOrDefault(measure, List.of());
            for (int zone = 0; zone < seconds.size(); zone++) {
                if (zone == sums.size()) sums.add(0L);
                sums.set(zone, sums.get(zone) + seconds.get(zone));
            }
        }
        return List.copyOf(sums);
    }

    private static Map<Sport, Done> bySport(List<Item> items) {
        Map<Sport, Done> sums = new EnumMap<>(Sport.class);
        for (Item item : items)
            if (item.isDone())
                sums.merge(item.sport(), new Done(item.doneSeconds(), 1), (a, b) -> a.plus((int) b.seconds()));
        return sorted(sums, Comparator.comparingLong(Done::seconds).reversed());
    }

    private static Map<Purpose, Kept> kept(List<Item> items, LocalDate today) {
        Map<Purpose, Kept> sums = new EnumMap<>(Purpose.class);
        for (Item item : items)
            if (item.purpose() != null && item.isAsked(today))
                sums.put(
                        item.purpose(),
                        sums.getOrDefault(item.purpose(), Kept.NOTHING).plus(item));
        return sorted(sums, Comparator.comparingLong(Kept::plannedSeconds).reversed());
    }

    private static Kept allKept(List<Item> items, LocalDate today) {
        Kept sum = Kept.NOTHING;
        for (Item item : items) if (item.isAsked(today)) sum = sum.plus(item);
        return sum;
    }

    private static <K, V> Map<K, V> sorted(Map<K, V> sums, Comparator<V> by) {
        Map<K, V> sorted = new LinkedHashMap<>();
        sums.entrySet().stream()
                .sorted(Map.Entry.comparingByValue(by))
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }

    private static int longest(Set<LocalDate> trained, LocalDate from, LocalDate last) {
        int longest = 0;
        int run = 0;
        for (LocalDate day = from; !day.isAfter(last); day = day.plusDays(1)) {
            run = trained.contains(day) ? run + 1 : 0;
            longest = Math.max(longest, run);
        }
        return longest;
    }

    public long doneSeconds() {
        return bySport.values().stream().mapToLong(Done::seconds).sum();
    }

    public int days() {
        return (int) (to.toEpochDay() - from.toEpochDay()) + 1;
    }

    public long allZoneSeconds() {
        return zoneSeconds.stream().mapToLong(Long::longValue).sum();
    }

    /** Seconds in a zone (from 1) and above. */
    public long from(int zone) {
        return zoneSeconds.stream().skip(zone - 1L).mapToLong(Long::longValue).sum();
    }
}
