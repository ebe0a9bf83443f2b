package pemblar.app.note;

import java.sql.Timestamp;
import java.time.InstantSource;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.SeenSuffices;
import pemblar.app.frame.Viewer;

/** Writes and finds notes. Whoever sees the athlete sees the athlete's notes; only the author takes one away. */
@Service
public class NoteService {
    private static final int LONGEST = 2000;
    private static final int MOST_OF_OTHERS = 10;
    private static final int MOST_FOUND = 2000;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final InstantSource clock;

    NoteService(JdbcClient sql, AthleteService athletes, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Note> ofSession(long athleteId, Viewer viewer, long sessionId) {
        athletes.require(athleteId, viewer);
        return sql.sql("select id, second, body, author, author_id, written_at from note where athlete_id = "
                        + "? and session_id = ? order by coalesce(second, -1), id")
                .params(athleteId, sessionId)
                .query((rs, i) -> new Note(
                        rs.getLong("id"),
                        rs.getObject("second", Integer.class),
                        rs.getString("body"),
                        rs.getString("author"),
                        rs.getTimestamp("written_at").toInstant(),
                        rs.getLong("author_id") == viewer.accountId()))
                .list();
    }

    /**
     * @param second of the original recording; null for the whole session @throws IllegalArgumentException when it is
     *     empty or too long
     */
    @SeenSuffices
    @Transactional
    public void write(long athleteId, Viewer viewer, long sessionId, Integer second, String body) {
        athletes.require(athleteId, viewer);
        if (body.isBlank() || body.length() > LONGEST)
            throw new IllegalArgumentException("Note: write 1 to " + LONGEST + " characters.");
        int written = sql.sql("insert into note (athlete_id, session_id, second, body, author_id, author, "
                        + "written_at) select ?, id, ?, ?, ?, ?, ? from session where id = ? and "
                        + "athlete_id = ? and deleted_at is null")
                .params(
                        athleteId,
                        second,
                        body.strip(),
                        viewer.accountId(),
                        viewer.name(),
                        Timestamp.from(clock.instant()),
                        sessionId,
                        athleteId)
                .update();
        if (written == 0) throw new NotFoundException("session");
    }

    @SeenSuffices
    @Transactional
    public void takeAway(long athleteId, Viewer viewer, long noteId) {
        athletes.require(athleteId, viewer);
        if (sql.sql("delete from note where id = ? and athlete_id = ? and author_id = ?")
                        .params(noteId, athleteId, viewer.accountId())
                        .update()
                == 0) throw new NotFoundException("note");
    }

    /** A note with the session it is about. @param byAthlete written by the athlete, not by a coach */
    public record Latest(
            long id,
            long sessionId,
            String session,
            String body,
            String author,
            boolean byAthlete,
            java.time.Instant writtenAt) {}

    /** The newest notes of an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Latest> latest(long athleteId, int count) {
        return sql.sql("select n.id, n.session_id, s.title, n.body, n.author, n.author_id = a.account_id as "
                        + "own, n.written_at from note n join session s on s.id = n.session_id join "
                        + "athlete a on a.id = n.athlete_id where n.athlete_id = ? and s.deleted_at "
                        + "is null and (not s.draft or s.recording_id is not null) order by n.id desc limit ?")
                .params(athleteId, count)
                .query((rs, i) -> new Latest(
                        rs.getLong(1),
                        rs.getLong(2),
                        rs.getString(3),
                        rs.getString(4),
                        rs.getString(5),
                        rs.getBoolean(6),
                        rs.getTimestamp(7).toInstant()))
                .list();
    }

    /**
     * Notes that others wrote since a moment, the newest first. For an athlete whom the caller has already asked for.
     */
    @Transactional(readOnly = true)
    public List<Latest> ofOthers(long athleteId, java.time.Instant since) {
        return latest(athleteId, MOST_OF_OTHERS).stream()
                .filter(note -> !note.byAthlete() && note.writtenAt().isAfter(since))
                .toList();
    }

    /**
     * Sessions with a note that holds a text, whatever its case. For an athlete whom the caller has already asked for.
     */
    @Transactional(readOnly = true)
    public List<Long> mentioning(long athleteId, String text) {
        String pattern = "%" + text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
        return sql.sql("select distinct session_id from note where athlete_id = ? and body ilike ? limit ?")
                .params(athleteId, pattern, MOST_FOUND)
                .query(Long.class)
                .list();
    }
}
