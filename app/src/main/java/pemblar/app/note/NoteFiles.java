package pemblar.app.note;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;

/** Pictures and PDFs beside notes. What a file is, its first bytes say, never its name. */
@Component
public class NoteFiles {
    static final int MOST_BYTES = 5 << 20;
    private static final int MOST_OF_ATHLETE = 500;
    private static final int LONGEST_NAME = 120;
    private final JdbcClient sql;

    NoteFiles(JdbcClient sql) {
        this.sql = sql;
    }

    /** A file as it was given. @param type told by its bytes */
    public record Given(String name, String type, byte[] bytes) {
        /** @throws IllegalArgumentException when it is too large, or neither a picture nor a PDF */
        public static Given of(String name, byte[] bytes) {
            if (bytes.length > MOST_BYTES)
                throw new IllegalArgumentException("File: “" + name + "” is larger than 5 MB; choose a smaller one.");
            return new Given(named(name), type(name, bytes), bytes);
        }

        private static String named(String name) {
            String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
            String plain = last.replaceAll("[\\p{Cntrl}\"<>]", "").strip();
            if (plain.isEmpty()) return "file";
            return plain.length() > LONGEST_NAME ? plain.substring(plain.length() - LONGEST_NAME) : plain;
        }

        private static String type(String name, byte[] bytes) {
            if (begins(bytes, new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'})) return "image/png";
            if (begins(bytes, new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff})) return "image/jpeg";
            if (begins(bytes, ascii("RIFF")) && bytes.length > 12 && at(bytes, 8, ascii("WEBP"))) return "image/webp";
            if (begins(bytes, ascii("%PDF-"))) return "application/pdf";
            throw new IllegalArgumentException(
                    "File: “" + name + "” is no picture (PNG, JPEG, WebP) and no PDF; choose one of these.");
        }

        private static byte[] ascii(String text) {
            return text.getBytes(StandardCharsets.US_ASCII);
        }

        private static boolean begins(byte[] bytes, byte[] with) {
            return at(bytes, 0, with);
        }

        private static boolean at(byte[] bytes, int from, byte[] part) {
            return bytes.length >= from + part.length
                    && Arrays.equals(bytes, from, from + part.length, part, 0, part.length);
        }
    }

    @Transactional
    public void attach(long athleteId, long noteId, Given file) {
        int there = sql.sql("select count(*) from note_file where athlete_id = ?")
                .param(athleteId)
                .query(Integer.class)
                .single();
        if (there >= MOST_OF_ATHLETE)
            throw new IllegalArgumentException(
                    "File: at most " + MOST_OF_ATHLETE + " are kept; take a note with one away first.");
        sql.sql("insert into note_file (note_id, athlete_id, name, type, content) values (?, ?, ?, ?, ?)")
                .params(noteId, athleteId, file.name(), file.type(), file.bytes())
                .update();
    }

    /** The notes with the names of what stands beside them. */
    List<Note> beside(List<Note> notes) {
        if (notes.isEmpty()) return notes;
        Map<Long, List<Note.Attached>> files = sql
                .sql("select note_id, id, name, type from note_file where note_id in (:ids) order by id")
                .param("ids", notes.stream().map(Note::id).toList())
                .query((rs, i) -> Map.entry(
                        rs.getLong(1),
                        new Note.Attached(
                                rs.getLong(2), rs.getString(3), rs.getString(4).startsWith("image/"))))
                .list()
                .stream()
                .collect(Collectors.groupingBy(
                        Map.Entry::getKey, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
        return files.isEmpty()
                ? notes
                : notes.stream()
                        .map(n -> files.containsKey(n.id()) ? n.with(files.get(n.id())) : n)
                        .toList();
    }

    Given read(long athleteId, long noteId, long id) {
        return sql.sql("select name, type, content from note_file where id = ? and note_id = ? and athlete_id = ?")
                .params(id, noteId, athleteId)
                .query((rs, i) -> new Given(rs.getString(1), rs.getString(2), rs.getBytes(3)))
                .optional()
                .orElseThrow(() -> new NotFoundException("file"));
    }

    void remove(long noteId) {
        sql.sql("delete from note_file where note_id = ?").param(noteId).update();
    }
}
