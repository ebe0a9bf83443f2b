package pemblar.app.note;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/**
 * A note.
 *
 * @param second of the original recording that it is about; null for the whole session
 * @param part step or exercise of the session; null for the whole
 * @param files beside it
 * @param own written by the person who reads it; {@code byAthlete} by the athlete, not by a coach
 * @param answers the first note of the thread; null for that itself
 * @param session title of the session that it is about; null for a day, a block or the athlete
 * @param day of the note's day or block; null otherwise
 * @param takenAway its words are gone, its place is not
 */
public record Note(
        long id,
        String about,
        Long sessionId,
        String session,
        LocalDate day,
        Integer second,
        String part,
        String body,
        String author,
        Instant writtenAt,
        Instant editedAt,
        boolean takenAway,
        Long answers,
        boolean own,
        boolean byAthlete,
        boolean unread,
        List<Attached> files) {
    /** A picture or a PDF, without its bytes. */
    public record Attached(long id, String name, boolean picture) {}

    private static final int AROUND_SECONDS = 30;

    /** Where the stretch around its moment begins, s. */
    public int from() {
        return Math.max(0, second - AROUND_SECONDS);
    }

    /** Where it ends, s. */
    public int to() {
        return second + AROUND_SECONDS;
    }

    /** The same with what stands beside it. */
    Note with(List<Attached> beside) {
        return new Note(
                id, about, sessionId, session, day, second, part, body, author, writtenAt, editedAt, takenAway, answers,
                own, byAthlete, unread, beside);
    }

    /** The same with another second, as when the start of a recording is trimmed. */
    public Note at(Integer other) {
        return new Note(
                id, about, sessionId, session, day, other, part, body, author, writtenAt, editedAt, takenAway, answers,
                own, byAthlete, unread, files);
    }
}
