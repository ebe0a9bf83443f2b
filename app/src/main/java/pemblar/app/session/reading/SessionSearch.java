package pemblar.app.session.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.note.NoteService;
import pemblar.app.session.Described;
import pemblar.app.session.SessionRow;
import pemblar.app.session.Slab;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.sport.Sport;

/** Finds done sessions by what is stored of them. */
@Service
public class SessionSearch {
    /** Sessions on a page of the list. */
    public static final int ON_PAGE = 30;

    private static final int MOST_PAGES = 2000;
    private final TrainingSessionRepository sessions;
    private final NoteService notes;
    private final JdbcClient sql;

    SessionSearch(TrainingSessionRepository sessions, NoteService notes, JdbcClient sql) {
        this.sessions = sessions;
        this.notes = notes;
        this.sql = sql;
    }

    /** What sessions can be sorted by. */
    public enum By {
        DAY("s.day"),
        TITLE("lower(s.title)"),
        TIME("coalesce(r.timer_seconds, s.done_seconds)"),
        DISTANCE("coalesce(r.distance_metres, s.done_metres)"),
        EQUIVALENT("r.equivalent_watts"),
        HEART_RATE("r.mean_bpm"),
        LOAD("coalesce(r.load_points, s.done_load)"),
        INTENSITY("r.intensity");

        private final String expression;

        By(String expression) {
            this.expression = expression;
        }

        /** What is not known comes last, whichever way; sessions that are alike, the latest first. */
        String sorted(boolean rising) {
            String way = rising ? " asc" : " desc";
            return this == DAY
                    ? "s.day" + way + ", s.id" + way
                    : expression + way + " nulls last, s.day desc, s.id desc";
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
                ? List.of()
                : notes.mentioning(athlete.id(), w.text().strip());
        int page = Math.max(0, Math.min(MOST_PAGES, w.page()));
        List<Long> ids = new SessionQuery(athlete.id(), w, mentioned)
                .ids(sql, w.by().sorted(w.rising()), ON_PAGE + 1, page * ON_PAGE);
        List<Long> shown = ids.subList(0, Math.min(ON_PAGE, ids.size()));
        if (shown.isEmpty()) return new Page(List.of(), false);
        Map<Long, SessionRow> rows =
                sessions.all(athlete.id(), shown).stream().collect(Collectors.toMap(row -> row.id(), row -> row));
        return new Page(
                shown.stream()
                        .map(rows::get)
                        .filter(Objects::nonNull)
                        .map(row -> new Found(Slab.of(row), Described.of(row)))
                        .toList(),
                ids.size() > ON_PAGE);
    }
}
