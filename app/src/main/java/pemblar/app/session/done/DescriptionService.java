package pemblar.app.session.done;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Visit;
import pemblar.app.session.Described;
import pemblar.app.session.PlanState;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.matching.Stretches;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Sport;

/**
 * What people say about sessions: kind, equipment, surface, weather, tags, stretches cut by hand, the verdict in their
 * own words.
 */
@Service
public class DescriptionService {
    private static final int LONGEST_TAGS = 400;
    private static final int LONGEST_TAG = 30;
    private static final int LONGEST_VERDICT = 1000;
    private static final int USUAL_DAYS = 90;
    private static final int LEAST_USUAL = 2;
    private static final int MOST_AT_ONCE = 500;
    private final SessionDesk desk;
    private final TrainingSessionRepository sessions;
    private final WordStore words;

    DescriptionService(SessionDesk desk, TrainingSessionRepository sessions, WordStore words) {
        this.words = words;
        this.desk = desk;
        this.sessions = sessions;
    }

    /** Words for one session; null leaves what there is. Tags are parted by commas. */
    public record Words(String kind, String equipment, String surface, String weather, String tags) {
        boolean hasAny() {
            return kind != null || equipment != null || surface != null || weather != null || tags != null;
        }
    }

    /** What a field can hold, and how it is set. */
    private enum Field {
        KIND("Kind", 40, Words::kind, SessionRow::kind),
        EQUIPMENT("Equipment", 60, Words::equipment, SessionRow::equipment),
        SURFACE("Surface", 40, Words::surface, SessionRow::surface),
        WEATHER("Weather", 60, Words::weather, SessionRow::weather);

        private final String name;
        private final int longest;
        private final Function<Words, String> typed;
        private final BiConsumer<SessionRow, String> setter;

        Field(String name, int longest, Function<Words, String> typed, BiConsumer<SessionRow, String> setter) {
            this.name = name;
            this.longest = longest;
            this.typed = typed;
            this.setter = setter;
        }

        void take(Words words, SessionRow row) {
            String text = typed.apply(words);
            if (text == null) return;
            if (text.strip().length() > longest)
                throw new IllegalArgumentException(name + ": enter at most " + longest + " characters.");
            setter.accept(row, text.strip());
        }
    }

    /** What was said of sessions of an athlete whom the caller has already asked for, by session. */
    @Transactional(readOnly = true)
    public Map<Long, Described> of(long athleteId, List<Long> ids) {
        return sessions.all(athleteId, ids).stream().collect(Collectors.toMap(row -> row.id(), Described::of));
    }

    /** @throws IllegalArgumentException naming the field that is too long */
    @Transactional
    public void describe(Visit visit, long sessionId, Words words) {
        SessionRow row = desk.require(visit, sessionId);
        PlanState before = PlanState.changing(row);
        take(words, row, false);
        desk.remember(visit, "Described “" + row.title() + "”.", before);
    }

    /** The same words for many sessions in one step; tags are added to what each has. */
    @Transactional
    public int describeAll(Visit visit, List<Long> ids, Words words) {
        desk.athlete(visit);
        List<SessionRow> rows = chosen(visit.athleteId(), ids);
        if (!words.hasAny())
            throw new IllegalArgumentException("Enter what the chosen sessions should be marked with.");
        PlanState before = PlanState.changing(rows);
        rows.forEach(row -> take(words, row, true));
        desk.remember(visit, rows.size() + (rows.size() == 1 ? " session was" : " sessions were") + " marked.", before);
        return rows.size();
    }

    private List<SessionRow> chosen(long athleteId, List<Long> ids) {
        List<SessionRow> rows =
                ids == null || ids.isEmpty() || ids.size() > MOST_AT_ONCE ? List.of() : sessions.all(athleteId, ids);
        if (rows.isEmpty()) throw new IllegalArgumentException("Choose one to " + MOST_AT_ONCE + " sessions first.");
        return rows;
    }

    private static void take(Words words, SessionRow row, boolean adding) {
        for (Field field : Field.values()) field.take(words, row);
        if (words.tags() == null) return;
        Set<String> tags = new LinkedHashSet<>(adding ? Described.tags(row.tags()) : List.of());
        tags.addAll(Described.tags(words.tags()));
        if (tags.stream().anyMatch(t -> t.length() > LONGEST_TAG))
            throw new IllegalArgumentException(
                    "Tags: each has at most " + LONGEST_TAG + " characters; part them by commas.");
        String joined = String.join(",", tags);
        if (joined.length() > LONGEST_TAGS)
            throw new IllegalArgumentException("Tags: that is too many for one session.");
        row.tags(joined);
    }

    /**
     * Words that were used before, to choose from. @param usual equipment and surface that sessions of a sport mostly
     * have of late; null when no two agree
     */
    public record Known(
            List<String> kinds,
            List<String> equipment,
            List<String> surfaces,
            List<String> weathers,
            List<String> tags,
            Words usual) {
        /** Every word with its field, such as {@code surface:gravel}. */
        public List<String> all() {
            List<String> all = new ArrayList<>();
            kinds.forEach(w -> all.add("kind:" + w));
            equipment.forEach(w -> all.add("equipment:" + w));
            surfaces.forEach(w -> all.add("surface:" + w));
            weathers.forEach(w -> all.add("weather:" + w));
            tags.forEach(w -> all.add("tag:" + w));
            return all;
        }
    }

    /**
     * For an athlete whom the caller has already asked for. @param sport whose usual words are wanted; null for none
     */
    @Transactional(readOnly = true)
    public Known known(Athlete athlete, Sport sport, LocalDate day) {
        List<WordStore.Used> all = words.used(athlete.id(), DayRange.upTo(day, USUAL_DAYS));
        return new Known(
                distinct(all, WordStore.Used::kind),
                distinct(all, WordStore.Used::equipment),
                distinct(all, WordStore.Used::surface),
                distinct(all, WordStore.Used::weather),
                all.stream()
                        .flatMap(w -> Described.tags(w.tags()).stream())
                        .distinct()
                        .sorted()
                        .toList(),
                usual(all, sport));
    }

    private static Words usual(List<WordStore.Used> all, Sport sport) {
        return all.stream()
                .filter(w -> w.sport() == sport
                        && !(w.equipment().isEmpty() && w.surface().isEmpty()))
                .collect(Collectors.groupingBy(
                        w -> List.of(w.equipment(), w.surface()), Collectors.summingLong(WordStore.Used::lately)))
                .entrySet()
                .stream()
                .filter(e -> e.getValue() >= LEAST_USUAL)
                .max(Comparator.comparingLong(Map.Entry::getValue))
                .map(e -> new Words(null, e.getKey().get(0), e.getKey().get(1), null, null))
                .orElse(null);
    }

    /**
     * Recordings of some days whose sessions have a word. @param word as the lists of words give it, such as
     * {@code surface:gravel} or {@code tag:club}; blank asks for nothing and gives null
     */
    @Transactional(readOnly = true)
    public Set<Long> recordingsWith(Athlete athlete, String word, DayRange days) {
        int colon = word.indexOf(':');
        if (colon < 0) return null;
        String field = word.substring(0, colon);
        String value = word.substring(colon + 1);
        if (value.isBlank()) return Set.of();
        return Set.copyOf(
                field.equals("tag")
                        ? words.recordingsTagged(athlete.id(), value, days)
                        : words.recordingsWith(athlete.id(), field, value, days));
    }

    private static List<String> distinct(List<WordStore.Used> all, Function<WordStore.Used, String> field) {
        return all.stream()
                .map(field)
                .filter(t -> !t.isEmpty())
                .distinct()
                .sorted()
                .toList();
    }

    /** Keeps stretches cut by hand, in seconds of the original; null goes back to laps and pattern. */
    @Transactional
    public void cut(Visit visit, long sessionId, Stretches stretches, String label) {
        SessionRow row = desk.require(visit, sessionId);
        PlanState before = PlanState.changing(row);
        row.stretches(stretches == null ? null : Described.stretches(stretches.all()));
        desk.remember(visit, label, before);
    }

    /** The verdict in a person's words; blank goes back to the computed one. */
    @Transactional
    public void judge(Visit visit, long sessionId, String words) {
        SessionRow row = desk.require(visit, sessionId);
        if (words.length() > LONGEST_VERDICT)
            throw new IllegalArgumentException("Verdict: enter at most " + LONGEST_VERDICT + " characters.");
        PlanState before = PlanState.changing(row);
        row.verdict(words.isBlank() ? null : words.strip());
        desk.remember(
                visit,
                row.verdict() == null
                        ? "The verdict is the computed one again."
                        : "Changed the verdict of “" + row.title() + "”.",
                before);
    }
}
