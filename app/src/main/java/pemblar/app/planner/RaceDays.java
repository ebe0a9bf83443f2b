package pemblar.app.planner;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import pemblar.app.frame.page.Shown;
import pemblar.app.season.EventPart;
import pemblar.app.season.SeasonEvent;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;

/** What an event is on the board: a session a day, or where a day is made of several parts one for each, in a row. */
final class RaceDays {
    private static final int LAST_MINUTE = 24 * 60 - 1;
    private static final int SHORTEST_SECONDS = 300;
    private static final int LONGEST_NAME = 80;
    private static final Shown SHOWN = new Shown();

    private RaceDays() {}

    /** A session of an event. @param load points that it is expected to cost */
    record Piece(LocalDate day, int startMinute, String title, Sport sport, int seconds, double load) {}

    /** @param otherwise the sport of an event that names none */
    static List<Piece> of(SeasonEvent event, Sport otherwise) {
        List<Piece> all = new ArrayList<>();
        for (int stage = 1; stage <= event.days(); stage++) {
            double load = event.loadOn(stage);
            if (Double.isNaN(load)) continue;
            if (event.parts().isEmpty()) all.add(whole(event, stage, load, otherwise));
            else all.addAll(parts(event, stage, load));
        }
        return all;
    }

    private static Piece whole(SeasonEvent event, int stage, double load, Sport otherwise) {
        Sport sport = event.sport().isNamed() ? event.sport() : otherwise;
        int seconds = Math.max(SHORTEST_SECONDS, event.seconds() / event.days());
        return new Piece(day(event, stage), BlockFilling.MORNING, cut(name(event, stage)), sport, seconds, load);
    }

    private static LocalDate day(SeasonEvent event, int stage) {
        return event.day().plusDays(stage - 1L);
    }

    private static String name(SeasonEvent event, int stage) {
        return event.days() == 1 ? event.name() : event.name() + ", stage " + stage;
    }

    /** Each part by its own load, or by its share of the time of those whose time alone is known. */
    private static List<Piece> parts(SeasonEvent event, int stage, double load) {
        List<EventPart> parts = event.partsOn(stage);
        double said =
                parts.stream().mapToDouble(p -> p.load() == null ? 0 : p.load()).sum();
        double timed = parts.stream()
                .filter(p -> p.load() == null)
                .mapToInt(RaceDays::seconds)
                .sum();
        List<Piece> pieces = new ArrayList<>();
        int start = BlockFilling.MORNING;
        for (EventPart part : parts) {
            int seconds = seconds(part);
            if (seconds == 0) continue;
            double own = part.load() == null ? (load - said) * seconds / timed : part.load();
            String title = name(event, stage) + (parts.size() > 1 ? ", " + SHOWN.word(part.sport()) : "");
            pieces.add(new Piece(
                    day(event, stage),
                    Math.min(LAST_MINUTE, start),
                    cut(title),
                    part.sport(),
                    Math.max(SHORTEST_SECONDS, seconds),
                    own));
            start += seconds / 60;
        }
        return pieces;
    }

    /** As given, or what a race of its load takes; 0 when neither is known. */
    private static int seconds(EventPart part) {
        if (part.seconds() != null) return part.seconds();
        return part.load() == null ? 0 : (int) Math.round(Purpose.RACE.secondsFor(part.load()));
    }

    private static String cut(String name) {
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    }
}
