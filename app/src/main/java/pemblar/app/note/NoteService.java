package pemblar.app.note;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.SeenSuffices;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;

/**
 * Writes, answers and finds notes. Whoever sees the athlete sees the athlete's notes, but for those on a draft that
 * they do not see; only the author changes one or takes it away, and both leave a trace.
 */
@Service
public class NoteService {
    private static final int LONGEST = 2000;
    private static final int MOST_FOUND = 2000;
    private static final int MOST_THREADS = 100;
    private static final int MOST_NOTES = 600;
    private static final String NOTES = """
        select n.*, s.title, coalesce(n.author_id = a.account_id, false) as by_athlete,
        coalesce(n.author_id = :viewer, false) as own, n.author_id <> :viewer and not exists (
            select 1 from note_read r where r.note_id = n.id and r.account_id = :viewer) as unread
        from note n join athlete_known a on a.id = n.athlete_id
        left join session_named s on s.id = n.session_id
        where n.athlete_id = :athlete and (n.session_id is null or s.id is not null and (not s.draft or :drafts)) """;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final NoteFiles files;
    private final UnreadNotes unread;
    private final InstantSource clock;

    NoteService(JdbcClient sql, AthleteService athletes, NoteFiles files, UnreadNotes unread, InstantSource clock) {
        this.unread = unread;
        this.files = files;
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** A note and what was answered to it, in order. */
    public record Thread(Note first, List<Note> answers) {
        public boolean isUnread() {
            return first.unread() || answers.stream().anyMatch(Note::unread);
        }

        /** When something was last said in it. */
        public Instant latest() {
            return answers.isEmpty()
                    ? first.writtenAt()
                    : answers.get(answers.size() - 1).writtenAt();
        }
    }

    @Transactional(readOnly = true)
    public List<Note> ofSession(Visit visit, long sessionId) {
        Athlete athlete = athletes.require(visit);
        return files.beside(notes(
                        athlete,
                        visit.viewer().accountId(),
                        "and n.session_id = :session order by coalesce(n.second, -1), n.id")
                .param("session", sessionId)
                .query(NoteService::note)
                .list());
    }

    private JdbcClient.StatementSpec notes(Athlete athlete, long accountId, String rest) {
        return sql.sql(NOTES + " " + rest)
                .param("viewer", accountId)
                .param("athlete", athlete.id())
                .param("drafts", athlete.draftsSeen());
    }

    private static Note note(ResultSet rs, int row) throws SQLException {
        boolean gone = rs.getTimestamp("taken_away_at") != null;
        return new Note(
                rs.getLong("id"),
                rs.getString("about"),
                rs.getObject("session_id", Long.class),
                rs.getString("title"),
                rs.getObject("day", LocalDate.class),
                rs.getObject("second", Integer.class),
                rs.getString("part"),
                rs.getString("body"),
                rs.getString("author"),
                rs.getTimestamp("written_at").toInstant(),
                rs.getTimestamp("edited_at") == null
                        ? null
                        : rs.getTimestamp("edited_at").toInstant(),
                gone,
                rs.getObject("answers_id", Long.class),
                rs.getBoolean("own"),
                rs.getBoolean("by_athlete"),
                rs.getBoolean("unread") && !gone,
                List.of());
    }

    /** Threads in which something was said last first. @param about null for all of them */
    @Transactional(readOnly = true)
    public List<Thread> threads(Visit visit, About about) {
        Athlete athlete = athletes.require(visit);
        List<Note> all = files.beside(
                about == null
                        ? notes(athlete, visit.viewer().accountId(), "order by n.id desc limit " + MOST_NOTES)
                                .query(NoteService::note)
                                .list()
                        : notes(
                                        athlete,
                                        visit.viewer().accountId(),
                                        "and n.about = :about and n.day is not distinct from cast(:day as date)")
                                .param("about", about.word())
                                .param("day", about.day())
                                .query(NoteService::note)
                                .list());
        Map<Long, List<Note>> answers = all.stream()
                .filter(n -> n.answers() != null)
                .sorted(Comparator.comparingLong(Note::id))
                .collect(Collectors.groupingBy(Note::answers, LinkedHashMap::new, Collectors.toList()));
        return all.stream()
                .filter(n -> n.answers() == null)
                .map(n -> new Thread(n, answers.getOrDefault(n.id(), List.of())))
                .filter(t -> !t.first().takenAway() || !t.answers().isEmpty())
                .sorted(Comparator.comparing(Thread::latest).reversed())
                .limit(MOST_THREADS)
                .toList();
    }

    /** Days of a span that have a note of their own, with how many. For an athlete whom the caller has asked for. */
    @Transactional(readOnly = true)
    public Map<LocalDate, Long> days(Athlete athlete, LocalDate from, LocalDate to) {
        Map<LocalDate, Long> days = new LinkedHashMap<>();
        sql.sql("select day, count(*) from note where athlete_id = ? and day between ? and ? and taken_away_at is null"
                        + " group by day")
                .params(athlete.id(), from, to)
                .query((rs, i) -> days.put(rs.getObject(1, LocalDate.class), rs.getLong(2)))
                .list();
        return days;
    }

    /** How many notes of others a person has not read. For an athlete whom the caller has asked for. */
    @Transactional(readOnly = true)
    public long unread(Athlete athlete, Viewer viewer) {
        return unread.of(athlete, viewer);
    }

    /** Unread notes of others, the newest first. For an athlete whom the caller has asked for. */
    @Transactional(readOnly = true)
    public List<Note> unread(Athlete athlete, Viewer viewer, int most) {
        return notes(athlete, viewer.accountId(), "and n.author_id <> :viewer order by n.id desc limit " + MOST_FOUND)
                .query(NoteService::note)
                .stream()
                .filter(Note::unread)
                .limit(most)
                .toList();
    }

    /** A person has read some notes; that is no change of the athlete's data. */
    @Transactional
    public void read(Viewer viewer, long athleteId, List<Long> ids) {
        athletes.require(new Visit(athleteId, viewer));
        if (ids.isEmpty()) return;
        sql.sql("insert into note_read (note_id, account_id) select id, ? from note where athlete_id = ? and id in ("
                        + ids.stream().map(String::valueOf).collect(Collectors.joining(","))
                        + ") on conflict do nothing")
                .params(viewer.accountId(), athleteId)
                .update();
    }

    /**
     * @param second of the original recording; null for the whole session
     * @throws IllegalArgumentException when it is empty or too long
     */
    @SeenSuffices
    @Transactional
    public long write(Visit visit, long sessionId, Integer second, String body) {
        return write(visit, new About.OfSession(sessionId, second, null), body);
    }

    /** @return its id @throws IllegalArgumentException when it is empty or too long */
    @SeenSuffices
    @Transactional
    public long write(Visit visit, About about, String body) {
        Athlete athlete = athletes.require(visit);
        if (about.sessionId() != null) require(athlete, about.sessionId());
        if (about.day() != null) Typed.near("Note", about.day(), athlete.dayOf(clock.instant()));
        Integer second = about instanceof About.OfSession session ? session.second() : null;
        return insert(
                visit,
                new Place(about.word(), about.sessionId(), about.day(), second, about.part()),
                checked(body),
                null);
    }

    /** Writes with a picture or a PDF beside; both or neither. */
    @SeenSuffices
    @Transactional
    public void write(Visit visit, About about, String body, NoteFiles.Given file) {
        long id = write(visit, about, body);
        if (file != null) files.attach(visit.athleteId(), id, file);
    }

    /** Where a note stands, as it is stored. */
    private record Place(String about, Long sessionId, LocalDate day, Integer second, String part) {}

    /** Answers a note, in its thread. */
    @SeenSuffices
    @Transactional
    public void answer(Visit visit, long noteId, String body) {
        Athlete athlete = athletes.require(visit);
        Note asked = notes(athlete, visit.viewer().accountId(), "and n.id = :id")
                .param("id", noteId)
                .query(NoteService::note)
                .optional()
                .orElseThrow(() -> new NotFoundException("note"));
        long first = asked.answers() == null ? asked.id() : asked.answers();
        insert(
                visit,
                new Place(asked.about(), asked.sessionId(), asked.day(), asked.second(), asked.part()),
                checked(body),
                first);
        List<Long> thread = new ArrayList<>(List.of(first));
        thread.addAll(sql.sql("select id from note where answers_id = ?")
                .param(first)
                .query(Long.class)
                .list());
        read(visit.viewer(), visit.athleteId(), thread);
    }

    private long insert(Visit visit, Place place, String body, Long answers) {
        return sql.sql("insert into note (athlete_id, about, session_id, day, second, part, body, author_id, author,"
                        + " written_at, answers_id) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) returning id")
                .params(
                        visit.athleteId(),
                        place.about(),
                        place.sessionId(),
                        place.day(),
                        place.second(),
                        place.part(),
                        body,
                        visit.viewer().accountId(),
                        visit.viewer().name(),
                        Timestamp.from(clock.instant()),
                        answers)
                .query(Long.class)
                .single();
    }

    private static String checked(String body) {
        if (body.isBlank() || body.length() > LONGEST)
            throw new IllegalArgumentException("Note: write 1 to " + LONGEST + " characters.");
        return body.strip();
    }

    private void require(Athlete athlete, long sessionId) {
        sql.sql("select id from session_named where id = ? and athlete_id = ? and (not draft or ?)")
                .params(sessionId, athlete.id(), athlete.draftsSeen())
                .query(Long.class)
                .optional()
                .orElseThrow(() -> new NotFoundException("session"));
    }

    /** Puts other words in the place of one's own note; that it was changed is shown. */
    @SeenSuffices
    @Transactional
    public void edit(Visit visit, long noteId, String body) {
        athletes.require(visit);
        own(sql.sql("update note set body = ?, edited_at = ? where id = ? and athlete_id = ? and author_id = ? and"
                        + " taken_away_at is null")
                .params(
                        checked(body),
                        Timestamp.from(clock.instant()),
                        noteId,
                        visit.athleteId(),
                        visit.viewer().accountId())
                .update());
    }

    /** The words go for good; that there was a note stays. */
    @SeenSuffices
    @Transactional
    public void takeAway(Visit visit, long noteId) {
        athletes.require(visit);
        own(sql.sql("update note set body = '', taken_away_at = ? where id = ? and athlete_id = ? and author_id = ?"
                        + " and taken_away_at is null")
                .params(
                        Timestamp.from(clock.instant()),
                        noteId,
                        visit.athleteId(),
                        visit.viewer().accountId())
                .update());
        files.remove(noteId);
    }

    /** @throws NotFoundException when there is no such file beside a note that this person sees */
    @Transactional(readOnly = true)
    public NoteFiles.Given file(Visit visit, long noteId, long fileId) {
        notes(athletes.require(visit), visit.viewer().accountId(), "and n.id = :id")
                .param("id", noteId)
                .query(NoteService::note)
                .optional()
                .orElseThrow(() -> new NotFoundException("note"));
        return files.read(visit.athleteId(), noteId, fileId);
    }

    private static void own(int changed) {
        if (changed == 0) throw new NotFoundException("note");
    }

    /** The newest notes of an athlete whom the caller has already asked for, as the athlete sees them. */
    @Transactional(readOnly = true)
    public List<Note> latest(Athlete athlete, int count) {
        return notes(athlete.seeingDrafts(false), -1, "and n.taken_away_at is null order by n.id desc limit " + count)
                .query(NoteService::note)
                .list();
    }

    /**
     * Sessions with a note that holds a text, whatever its case. For an athlete whom the caller has already asked for.
     */
    @Transactional(readOnly = true)
    public List<Long> mentioning(long athleteId, String text) {
        String pattern = "%" + text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
        return sql.sql("select distinct session_id from note where athlete_id = ? and session_id is not null and body"
                        + " ilike ? limit ?")
                .params(athleteId, pattern, MOST_FOUND)
                .query(Long.class)
                .list();
    }
}
