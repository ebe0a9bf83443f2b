package pemblar.app.season;

import java.util.List;
import java.util.Objects;
import pemblar.core.season.EventLoad;

/** What parts of an event come to together. */
final class EventParts {
    private EventParts() {}

    /** Their distance; null when one of them does not tell. */
    static Double metres(List<EventPart> parts) {
        return parts.stream().map(EventPart::metres).allMatch(Objects::nonNull)
                ? (Double) parts.stream().mapToDouble(EventPart::metres).sum()
                : null;
    }

    /** Their time; null when one of them does not tell. */
    static Integer seconds(List<EventPart> parts) {
        return parts.stream().map(EventPart::seconds).allMatch(Objects::nonNull)
                ? (Integer) parts.stream().mapToInt(EventPart::seconds).sum()
                : null;
    }

    /** Points of the parts of a day: what was said, and the time of all others together; NaN when nothing is known. */
    static double load(List<EventPart> parts) {
        if (parts.stream().allMatch(part -> part.load() == null && part.seconds() == null)) return Double.NaN;
        double said = parts.stream()
                .map(EventPart::load)
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .sum();
        double seconds = parts.stream()
                .filter(part -> part.load() == null && part.seconds() != null)
                .mapToDouble(EventPart::seconds)
                .sum();
        return said + (seconds > 0 ? EventLoad.of(seconds) : 0);
    }
}
