package pemblar.app.coach.beside;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.review.RepetitionFinder;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.core.recording.Recording;
import pemblar.core.repetition.Span;
import pemblar.core.selection.Stretch;

/** A session of each of some athletes, repetition by repetition or over one stretch of each. */
@Component
class BesideStretches {
    private static final int CHOICES = 30;
    private static final int MOST_ROWS = 30;
    private static final int LONGEST_SECONDS = 86_400;
    private final SessionService sessions;
    private final RepetitionFinder repetitions;
    private final Shown shown;

    BesideStretches(SessionService sessions, RepetitionFinder repetitions, Shown shown) {
        this.sessions = sessions;
        this.repetitions = repetitions;
        this.shown = shown;
    }

    public record Choice(long id, String text) {}

    /** What one athlete can choose, and has. @param session null when none is chosen @param stretch as typed */
    public record Picked(long athleteId, String name, List<Choice> choices, Long session, String stretch) {}

    /** One stretch of one athlete in figures; empty texts where the recording has none. */
    public record Figures(String length, String output, String relative, String bpm, String share) {
        static final Figures NONE = new Figures("–", "", "", "", "");
    }

    public record Row(String name, List<Figures> cells) {}

    public record Table(List<Picked> picked, List<String> columns, List<Row> rows) {}

    /** @param asked the page's parameters: session-ID and stretch-ID for each athlete */
    Table of(List<Athlete> athletes, List<String> names, Viewer viewer, Map<String, String> asked) {
        List<Picked> picked = new ArrayList<>();
        List<List<Figures>> columns = new ArrayList<>();
        List<String> titles = new ArrayList<>();
        for (int i = 0; i < athletes.size(); i++) {
            Picked one = picked(athletes.get(i), names.get(i), asked);
            picked.add(one);
            if (one.session() == null) continue;
            columns.add(figures(athletes.get(i), viewer, one));
            titles.add(names.get(i));
        }
        int longest = columns.stream().mapToInt(List::size).max().orElse(0);
        List<Row> rows = new ArrayList<>();
        for (int r = 0; r < Math.min(longest, MOST_ROWS); r++) {
            int row = r;
            rows.add(new Row(
                    String.valueOf(r + 1),
                    columns.stream()
                            .map(c -> row < c.size() ? c.get(row) : Figures.NONE)
                            .toList()));
        }
        return new Table(picked, titles, rows);
    }

    private Picked picked(Athlete athlete, String name, Map<String, String> asked) {
        List<Choice> choices = sessions.lastDone(athlete, CHOICES).stream()
                .filter(s -> s.done() != null && s.done().recorded())
                .map(s -> new Choice(s.id(), text(s)))
                .toList();
        String typed = asked.getOrDefault("session-" + athlete.id(), "");
        Long session = choices.stream()
                .map(Choice::id)
                .filter(id -> String.valueOf(id).equals(typed))
                .findFirst()
                .orElse(null);
        return new Picked(athlete.id(), name, choices, session, asked.getOrDefault("stretch-" + athlete.id(), ""));
    }

    private String text(Slab slab) {
        return shown.day(slab.day()) + ", " + slab.title();
    }

    private List<Figures> figures(Athlete athlete, Viewer viewer, Picked picked) {
        SessionService.Opened opened = sessions.open(new Visit(athlete.id(), viewer), picked.session());
        Recording recording = opened.recording().orElse(null);
        if (recording == null) return List.of();
        return spans(opened, recording, picked).stream()
                .map(s -> figures(opened, Stretch.of(recording, opened.thresholds(), s.from(), s.to())))
                .toList();
    }

    private List<Span> spans(SessionService.Opened opened, Recording recording, Picked picked) {
        if (!picked.stretch().isBlank()) {
            String[] ends = picked.stretch().strip().split("\\s*(?:-|–|to)\\s*", 2);
            if (ends.length < 2)
                throw new IllegalArgumentException(
                        "Stretch: enter where it begins and ends in the session, such as 10:00-30:00.");
            int from = Typed.seconds("Stretch", ends[0], 0, LONGEST_SECONDS);
            int to = Typed.seconds("Stretch", ends[1], 0, LONGEST_SECONDS);
            if (from >= to || from >= recording.seconds())
                throw new IllegalArgumentException("Stretch: it must begin before it ends, and within the "
                        + Shown.clock(recording.seconds()) + " of the session.");
            return List.of(new Span(from, Math.min(to, recording.seconds())));
        }
        List<Span> found = repetitions.of(opened);
        return found.isEmpty() ? List.of(new Span(0, recording.seconds())) : found;
    }

    private Figures figures(SessionService.Opened opened, Stretch s) {
        boolean power = Double.isFinite(s.watts());
        return new Figures(
                Shown.clock(s.seconds()),
                power
                        ? shown.watts(s.watts())
                        : Double.isFinite(s.speed()) ? shown.speed(opened.slab().sport(), s.speed()) : "",
                Double.isFinite(s.wattsPerKilogram()) ? shown.decimal(s.wattsPerKilogram(), 2) + " W/kg" : "",
                Double.isFinite(s.bpm()) ? shown.whole(s.bpm()) + " bpm" : "",
                Double.isFinite(s.intensity()) ? shown.percent(s.intensity()) + " of threshold" : "");
    }
}
