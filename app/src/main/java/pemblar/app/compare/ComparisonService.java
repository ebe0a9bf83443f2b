package pemblar.app.compare;

import java.time.InstantSource;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.compare.ComparisonStore.Held;
import pemblar.app.compare.Content.Line;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.review.RepetitionFinder;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.app.undo.Undoable;
import pemblar.core.comparison.Figure;
import pemblar.core.repetition.Span;
import pemblar.core.selection.Stretch;
import tools.jackson.databind.json.JsonMapper;

/**
 * Makes and changes comparisons. Figures are kept with each repetition and computed anew when its recording was mended.
 */
@Service
public class ComparisonService implements Undoable {
    private static final String KIND = "comparison";
    private static final int MOST_SESSIONS = 30;
    /** Lengths within 10 % are like lengths. */
    private static final double SAME_LENGTH = 1.1;

    private static final int LONGEST_NAME = 80;
    private final ComparisonStore store;
    private final SessionService sessions;
    private final RepetitionFinder repetitions;
    private final AthleteService athletes;
    private final UndoService undo;
    private final DescriptionService descriptions;
    private final InstantSource clock;

    ComparisonService(
            ComparisonStore store,
            SessionService sessions,
            RepetitionFinder repetitions,
            AthleteService athletes,
            UndoService undo,
            DescriptionService descriptions,
            InstantSource clock) {
        this.descriptions = descriptions;
        this.store = store;
        this.sessions = sessions;
        this.repetitions = repetitions;
        this.athletes = athletes;
        this.undo = undo;
        this.clock = clock;
    }

    public List<ComparisonStore.Named> all(Visit visit) {
        athletes.require(visit);
        return store.all(visit.athleteId());
    }

    /** As it now is: repetitions of mended recordings are measured anew, those of deleted sessions have no figures. */
    @Transactional
    public Held open(Visit visit, long id) {
        athletes.require(visit);
        Held held = store.find(visit.athleteId(), id).orElseThrow(() -> new NotFoundException("comparison"));
        Map<Long, Integer> revisions = sessions.revisions(
                visit.athleteId(),
                held.content().lines().stream().map(Line::session).distinct().toList());
        Map<Long, SessionService.Opened> opened = new HashMap<>();
        Content fresh = held.content().changeAll(line -> {
            int now = revisions.getOrDefault(line.session(), -1);
            if (now == line.revision()) return line;
            return now < 0
                    ? line.measured(Map.of(), -1)
                    : line.measured(
                            figures(
                                    opened.computeIfAbsent(line.session(), s -> sessions.open(visit, s)),
                                    line.from(),
                                    line.to()),
                            now);
        });
        fresh = started(fresh, line -> opened.computeIfAbsent(line.session(), s -> sessions.open(visit, s)));
        if (!fresh.equals(held.content()) && store.save(held, held.name(), fresh, clock.instant()))
            return new Held(held.id(), held.name(), fresh, held.version() + 1);
        return new Held(held.id(), held.name(), fresh, held.version());
    }

    /** The shortest repetition that counts, s, when lengths differ by over 10 %; 0 when they are compared whole. */
    public static int cutTo(Content content) {
        List<Line> lines = content.lines().stream().filter(l -> !l.hidden()).toList();
        int shortest = lines.stream().mapToInt(l -> l.to() - l.from()).min().orElse(0);
        int longest = lines.stream().mapToInt(l -> l.to() - l.from()).max().orElse(0);
        return longest > SAME_LENGTH * shortest ? shortest : 0;
    }

    /**
     * With every longer repetition measured over the length of the shortest as well, from its samples; kept, so that a
     * page reads no recording.
     */
    private static Content started(Content content, Function<Line, SessionService.Opened> open) {
        int seconds = cutTo(content);
        if (seconds == 0) return content;
        return content.changeAll(line -> line.hidden() || line.revision() < 0 || line.isMeasuredFirst(seconds)
                ? line
                : line.measuredFirst(seconds, figures(open.apply(line), line.from(), line.from() + seconds)));
    }

    /** Every repetition as it was over the length of the shortest that counts. */
    public static Content cut(Content content) {
        int seconds = cutTo(content);
        return seconds == 0 ? content : content.changeAll(line -> line.first(seconds));
    }

    /** @param from second of the original recording */
    private static Map<String, Double> figures(SessionService.Opened opened, int from, int to) {
        Map<String, Double> figures = new LinkedHashMap<>();
        var recording = opened.recording().orElseThrow();
        int begin = from - opened.trimmed();
        int end = to - opened.trimmed();
        if (begin < 0 || begin >= recording.seconds() || end <= begin) return figures; // trimmed away
        Stretch stretch = Stretch.of(recording, opened.thresholds(), begin, end);
        for (Figure figure : Figure.values()) {
            double value = figure.of(recording, stretch);
            if (Double.isFinite(value)) figures.put(figure.name(), value);
        }
        return figures;
    }

    /** @throws IllegalArgumentException when the session has no repetitions */
    private List<Line> lines(SessionService.Opened opened, String group, Part part) {
        Integer from = part.from();
        Integer to = part.to();
        if (opened.recording().isEmpty()) throw new NotFoundException("recording");
        List<Span> spans = from == null || to == null
                ? repetitions.of(opened)
                : List.of(new Span(Math.max(0, from), Math.max(Math.max(0, from) + 1, to)));
        if (spans.isEmpty())
            throw new IllegalArgumentException(
                    "No repetitions were found in this session. Select a stretch of it, and choose “compare” there.");
        List<Line> lines = new ArrayList<>();
        var slab = opened.slab();
        int revision = opened.stored().orElseThrow().facts().revision();
        for (Span span : spans)
            lines.add(new Line(
                    0,
                    slab.id(),
                    span.from() + opened.trimmed(),
                    span.to() + opened.trimmed(),
                    slab.title() + (spans.size() > 1 ? " · " + (lines.size() + 1) : ""),
                    group,
                    false,
                    Map.of(),
                    figures(opened, span.from() + opened.trimmed(), span.to() + opened.trimmed()),
                    revision,
                    slab.day().toString(),
                    opened.described().surface()));
        return lines;
    }

    /** Which comparison, and which group of it. @param comparison null for a new one, which {@code name} is for */
    public record Where(Long comparison, String name, String group) {}

    /** A session's repetitions, or a stretch of it. @param from second as it is shown; null for the repetitions */
    public record Part(long session, Integer from, Integer to) {
        static Part whole(long session) {
            return new Part(session, null, null);
        }
    }

    /** Adds to a comparison, or begins one. @return its id */
    @Transactional
    public long add(Visit visit, Where where, Part part) {
        Long comparison = where.comparison();
        SessionService.Opened opened = sessions.open(visit, part.session());
        List<Line> lines = lines(opened, Content.group(where.group()), part);
        if (comparison == null) return create(visit, where.name(), Content.EMPTY.add(lines));
        change(visit, comparison, "Added " + lines.size() + " to a comparison.", content -> content.add(lines));
        return comparison;
    }

    /** Begins a comparison of the repetitions of several sessions by group. @return its id */
    @Transactional
    public long begin(Visit visit, String name, Map<String, List<Long>> sessionsByGroup) {
        Content content = Content.EMPTY;
        for (var group : sessionsByGroup.entrySet())
            for (long session : group.getValue())
                content = content.add(
                        lines(sessions.open(visit, session), Content.group(group.getKey()), Part.whole(session)));
        return create(visit, name, content);
    }

    private long create(Visit visit, String name, Content content) {
        athletes.require(visit);
        String kept = name.strip();
        if (kept.isEmpty() || kept.length() > LONGEST_NAME)
            throw new IllegalArgumentException("Name: enter 1 to " + LONGEST_NAME + " characters.");
        return store.create(visit.athleteId(), kept, suited(content), clock.instant());
    }

    /** Starts with quantities that these repetitions have: power against heart rate, or speed without power. */
    private static Content suited(Content content) {
        boolean power = content.lines().stream().anyMatch(l -> l.figures().containsKey("WATTS"));
        boolean form = content.lines().stream().anyMatch(l -> l.figures().containsKey("CONTACT_TIME"));
        if (power) return content;
        List<String> columns = form
                ? List.of("SPEED", "HEART_RATE", "CADENCE", "STEP_LENGTH", "CONTACT_TIME")
                : List.of("SPEED", "HEART_RATE", "CADENCE");
        return content.columns(columns).axes("SPEED", "HEART_RATE");
    }

    /**
     * The repetitions of every time the session's workout was done; grouped by surface where they are unlike, else by
     * month. @return id of the new comparison
     */
    @Transactional
    public long overMonths(Visit visit, long session) {
        SessionService.Opened asked = sessions.open(visit, session);
        if (asked.workout().isEmpty())
            throw new IllegalArgumentException("This session has no workout that could have been done before.");
        List<Long> ids = sessions.ofWorkout(
                visit.athleteId(), asked.workoutId(), asked.slab().title());
        List<Long> latest = ids.subList(Math.max(0, ids.size() - MOST_SESSIONS), ids.size());
        List<SessionService.Opened> all = latest.stream()
                .map(id -> sessions.open(visit, id))
                .filter(o -> !repetitions.of(o).isEmpty())
                .toList();
        boolean surfaces =
                all.stream().map(o -> o.described().surface()).distinct().count() > 1;
        Content content = Content.EMPTY;
        for (SessionService.Opened opened : all) {
            String surface = opened.described().surface();
            content = content.add(lines(
                    opened,
                    surfaces ? surface.isEmpty() ? "surface not said" : surface : spell(opened, all),
                    Part.whole(opened.slab().id())));
        }
        if (content.lines().isEmpty())
            throw new IllegalArgumentException("No repetitions were found in the sessions of this workout.");
        String name = asked.slab().title() + ", over months";
        return create(visit, name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name, content);
    }

    /** Months while they are few, else years: more than four groups cannot be told apart in a drawing. */
    private static String spell(SessionService.Opened one, List<SessionService.Opened> all) {
        boolean few = all.stream()
                        .map(o -> o.slab().day().toString().substring(0, 7))
                        .distinct()
                        .count()
                <= Grouping.MOST_GROUPS;
        return one.slab().day().toString().substring(0, few ? 7 : 4);
    }

    /** @throws IllegalArgumentException when it cannot be, or somebody was quicker */
    @Transactional
    public void change(Visit visit, long id, String label, UnaryOperator<Content> change) {
        Held held = open(visit, id);
        Content after = change.apply(held.content());
        undo.remember(visit, label, KIND, held);
        if (!store.save(held, held.name(), after, clock.instant()))
            throw new IllegalArgumentException(
                    "Somebody else changed this comparison just now. Look at it again, then repeat your change.");
    }

    /** @throws IllegalArgumentException when that does not make two to four groups, or somebody was quicker */
    @Transactional
    public void group(Visit visit, long id, Grouping by) {
        change(
                visit,
                id,
                "Grouped by " + by.words() + ".",
                content -> by.group(
                        content,
                        descriptions.of(
                                visit.athleteId(),
                                content.lines().stream()
                                        .map(Line::session)
                                        .distinct()
                                        .toList())));
    }

    @Transactional
    public void drop(Visit visit, long id) {
        Held held = open(visit, id);
        undo.remember(visit, "Dropped the comparison “" + held.name() + "”.", KIND, held);
        store.drop(visit.athleteId(), id);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String state) {
        store.restore(athleteId, JsonMapper.shared().readValue(state, Held.class), clock.instant());
    }
}
