package pemblar.app.athlete;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Where somebody's days were lived: a zone to begin with, and others from later days on. A day keeps the zone it had
 * when it was lived, however far one has travelled since.
 */
public record LivedZones(ZoneId first, NavigableMap<LocalDate, ZoneId> since) {
    private static final int MOST = 40;

    public LivedZones {
        since = java.util.Collections.unmodifiableNavigableMap(new TreeMap<>(since));
    }

    static LivedZones in(ZoneId zone) {
        return new LivedZones(zone, new TreeMap<>());
    }

    /** @param text as {@link #text} gives it */
    public static LivedZones read(String first, String text) {
        TreeMap<LocalDate, ZoneId> since = new TreeMap<>();
        if (!text.isEmpty())
            for (String part : text.split(","))
                since.put(LocalDate.parse(part.split("=")[0]), ZoneId.of(part.split("=")[1]));
        return new LivedZones(ZoneId.of(first), since);
    }

    /** As 2026-11-27=Asia/Tokyo, with commas between. */
    String text() {
        return since.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .collect(Collectors.joining(","));
    }

    public ZoneId on(LocalDate day) {
        Map.Entry<LocalDate, ZoneId> entry = since.floorEntry(day);
        return entry == null ? first : entry.getValue();
    }

    /** Of a moment: a zone holds from the midnight of its first day, by its own clock. */
    public ZoneId at(Instant instant) {
        for (Map.Entry<LocalDate, ZoneId> entry : since.descendingMap().entrySet())
            if (!instant.isBefore(entry.getKey().atStartOfDay(entry.getValue()).toInstant())) return entry.getValue();
        return first;
    }

    /** The same with another zone from a day on; what was said of later days goes. */
    LivedZones with(ZoneId zone, LocalDate from) {
        TreeMap<LocalDate, ZoneId> changed = new TreeMap<>(since.headMap(from, false));
        ZoneId before = changed.isEmpty() ? first : changed.lastEntry().getValue();
        if (!zone.equals(before)) changed.put(from, zone);
        while (changed.size() > MOST) changed.pollFirstEntry();
        return new LivedZones(first, changed);
    }
}
