package pemblar.app.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.season.SeasonSettings.Marked;
import pemblar.core.season.Block;
import pemblar.core.sport.Sport;

/** Everything that is held of an athlete's plan besides its sessions, at one revision. */
public record Held(
        int revision,
        SeasonSettings settings,
        List<Block> blocks,
        List<SeasonEvent> events,
        List<Away> away,
        List<Marked> marked) {
    public Held {
        blocks = List.copyOf(blocks);
        events = List.copyOf(events);
        away = List.copyOf(away);
        marked = List.copyOf(marked);
    }

    /** Days with other hours, those marked unavailable among them. */
    public List<Away> allAway() {
        List<Away> all = new ArrayList<>(away);
        for (Marked day : marked) if (day.unavailable()) all.add(new Away(day.day(), day.day(), 0, day.note()));
        return all;
    }

    /** Why a session of a day that is over was not to be done; empty where it was. */
    public Optional<Away> excuse(LocalDate day, Sport sport) {
        return allAway().stream().filter(a -> a.excuses(day, sport)).findFirst();
    }

    boolean sameAs(Held other) {
        return settings.equals(other.settings)
                && blocks.equals(other.blocks)
                && events.equals(other.events)
                && away.equals(other.away)
                && marked.equals(other.marked);
    }

    public Held withBlocks(List<Block> others) {
        return new Held(revision, settings, others, events, away, marked);
    }

    public Held withSettings(SeasonSettings others) {
        return new Held(revision, others, blocks, events, away, marked);
    }

    public Held withAway(List<Away> others) {
        return new Held(revision, settings, blocks, events, others, marked);
    }

    public Held withMarked(List<Marked> others) {
        return new Held(revision, settings, blocks, events, away, others);
    }

    /** Events changed one by one, kept in order of day; null leaves one out. */
    public Held eachEvent(Function<SeasonEvent, SeasonEvent> change) {
        List<SeasonEvent> others = new ArrayList<>();
        for (SeasonEvent event : events) {
            SeasonEvent changed = change.apply(event);
            if (changed != null) others.add(changed);
        }
        return withEvents(others);
    }

    public Held withEvents(List<SeasonEvent> others) {
        return new Held(
                revision,
                settings,
                blocks,
                others.stream().sorted(Comparator.comparing(SeasonEvent::day)).toList(),
                away,
                marked);
    }
}
