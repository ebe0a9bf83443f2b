package pemblar.app.session;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Slice;
import org.springframework.data.domain.Sort;
import org.springframework.data.jpa.domain.JpaSort;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.note.NoteService;
import pemblar.core.sport.Sport;

/** Finds done sessions by what is stored of them. */
@Service
public class SessionSearch {
    private static final int ON_PAGE = 50;
    private static final int MOST_PAGES = 2000;
    private final TrainingSessionRepository sessions;
    private final NoteService notes;

    SessionSearch(TrainingSessionRepository sessions, NoteService notes) {
        this.sessions = sessions;
        this.notes = notes;
    }

    /** What sessions can be sorted by. */
    public enum By {
        DAY("s.day"),
        TITLE("lower(s.title)"),
        TIME("coalesce(r.timerSeconds, s.doneSeconds)"),
        DISTANCE("r.distanceMetres, s.doneMetres"),
        EQUIVALENT("r.equivalentWatts"),
        HEART_RATE("r.meanBpm"),
        LOAD("r.loadPoints, s.doneLoad"),
        INTENSITY("r.intensity");

        private final String expression;

        By(String expression) {
            this.expression = expression;
        }

        /** What is not known comes last, whichever way. */
        String sorted(boolean rising) {
            return this == DAY || this == TITLE || this == TIME
                    ? "(" + expression + ")"
                    : "(coalesce(" + expression + (rising ? ", 1000000000.0))" : ", -1.0))");
        }
    }

    /**
     * What is looked for; empty texts and nulls ask for nothing.
     *
     * @param text in title, notes and tags
     * @param with PLAN, NO_PLAN, RECORDING or NO_RECORDING
     */
    public record Wanted(
            String text,
            Sport sport,
            String kind,
            String equipment,
            String surface,
            String weather,
            String tag,
            LocalDate from,
            LocalDate to,
            Double leastMinutes,
            Double leastLoad,
            String with,
            By by,
            boolean rising,
            int page) {
        public boolean asksNothing() {
            return text.isBlank()
                    && sport == null
                    && kind.isEmpty()
                    && equipment.isEmpty()
                    && surface.isEmpty()
                    && weather.isEmpty()
                    && tag.isEmpty()
                    && from == null
                    && to == null
                    && leastMinutes == null
                    && leastLoad == null
                    && with.isEmpty();
        }
    }

    /** A session with what people said about it. */
    public record Found(Slab slab, Described described) {}

    /** @param more whether another page follows */
    public record Page(List<Found> sessions, boolean more) {}

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public Page find(Athlete athlete, Wanted w) {
        List<Long> mentioned = w.text().isBlank()
                ? List.of(-1L)
                : withNone(notes.mentioning(athlete.id(), w.text().strip()));
        Sort sort = JpaSort.unsafe(w.rising() ? Sort.Direction.ASC : Sort.Direction.DESC, w.by().sorted(w.rising()))
                .and(JpaSort.unsafe(Sort.Direction.DESC, "s.day", "s.id"));
        int page = Math.max(0, Math.min(MOST_PAGES, w.page()));
        Slice<SessionRow> rows = sessions.search(
                athlete.id(),
                pattern(w.text()),
                mentioned,
                w.sport() == null ? Arrays.asList(Sport.values()) : List.of(w.sport()),
                w.kind(),
                w.equipment(),
                w.surface(),
                w.weather(),
                w.tag().isEmpty() ? "%" : "%," + w.tag() + ",%",
                w.from() == null ? LocalDate.of(1, 1, 1) : w.from(),
                w.to() == null ? LocalDate.of(9999, 1, 1) : w.to(),
                w.leastMinutes() == null ? 0 : w.leastMinutes() * 60,
                w.leastLoad() == null ? -1 : w.leastLoad(),
                w.with(),
                PageRequest.of(page, ON_PAGE, sort));
        return new Page(
                rows.stream().map(r -> new Found(Slab.of(r), Described.of(r))).toList(), rows.hasNext());
    }

    private static List<Long> withNone(List<Long> ids) {
        return ids.isEmpty() ? List.of(-1L) : ids;
    }

    private static String pattern(String text) {
        return "%"
                + text.strip()
                        .toLowerCase(Locale.ROOT)
                        .replace("\\", "\\\\")
                        .replace("%", "\\%")
                        .replace("_", "\\_") + "%";
    }
}
