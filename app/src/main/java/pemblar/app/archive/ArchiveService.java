package pemblar.app.archive;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.util.HtmlUtils;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.objects.ObjectLost;
import pemblar.app.objects.StoreAway;
import pemblar.app.recording.bytes.RecordingBytes;

/**
 * The data of a person in one archive: each table as JSON lines and as CSV, each recording as the file that it came as,
 * pictures of notes, and an index to read. The rows are those of one moment. Memory holds one recording or a thousand
 * rows; no connection is held while the person loads it.
 */
@Service
public class ArchiveService {
    private static final int MOST_UNREAD = 3;
    private final JdbcClient sql;
    private final RecordingBytes bytes;
    private final TransactionTemplate oneMoment;

    public ArchiveService(JdbcClient sql, RecordingBytes bytes, PlatformTransactionManager transactions) {
        this.sql = sql;
        this.bytes = bytes;
        this.oneMoment = new TransactionTemplate(transactions);
        oneMoment.setReadOnly(true);
        oneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /** What went into one file. */
    private record Written(String file, String words, long count) {}

    public void write(Viewer viewer, OutputStream out) throws IOException {
        List<Long> athletes = athletes(viewer);
        List<Written> written = new ArrayList<>();
        ZipOutputStream zip = new ZipOutputStream(out);
        try (ShelfCopy copy = oneMoment.execute(state -> ShelfCopy.of(sql, viewer, athletes))) {
            for (Shelf shelf : Shelf.ALL) {
                shelf(shelf, copy, zip);
                written.add(new Written(shelf.path(), shelf.words(), copy.count(shelf)));
            }
        }
        Missing missing = new Missing();
        written.add(new Written("recordings/", "recordings as they came", originals(athletes, zip, missing)));
        written.add(new Written("notes/", "files of notes", noteFiles(athletes, zip)));
        zip.putNextEntry(new ZipEntry("index.html"));
        zip.write(index(viewer, written, missing).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        zip.finish();
    }

    /** The person's own pages and those kept on them of others; -1 stands for none. */
    private List<Long> athletes(Viewer viewer) {
        List<Long> all = sql.sql("select id from athlete where account_id = :id or kept_by in (select id from athlete"
                        + " where account_id = :id)")
                .param("id", viewer.accountId())
                .query(Long.class)
                .list();
        return all.isEmpty() ? List.of(-1L) : all;
    }

    private static void lines(List<String> rows, OutputStream out) throws IOException {
        for (String row : rows) out.write((row + "\n").getBytes(StandardCharsets.UTF_8));
    }

    /** As lines, and when there are any once more for who opens it with a spreadsheet. */
    private static void shelf(Shelf shelf, ShelfCopy copy, ZipOutputStream zip) throws IOException {
        zip.putNextEntry(new ZipEntry(shelf.path()));
        copy.read(shelf, some -> lines(some, zip));
        zip.closeEntry();
        if (copy.count(shelf) == 0) return;
        zip.putNextEntry(new ZipEntry("tables/" + shelf.file() + ".csv"));
        copy.read(shelf, new ShelfTable(zip)::add);
        zip.closeEntry();
    }

    /** Names of recordings that the store of objects has no more, and of those that it did not hand out this time. */
    private static final class Missing {
        private final List<String> lost = new ArrayList<>();
        private final List<String> unread = new ArrayList<>();
        private int inARow;

        /** It answers no more: asking for each of the others would take a wait each. */
        boolean isAway() {
            return inARow >= MOST_UNREAD;
        }

        void answered() {
            inARow = 0;
        }

        void lost(String name) {
            lost.add(name);
            answered();
        }

        void unread(String name) {
            unread.add(name);
            inARow++;
        }

        String words() {
            return (lost.isEmpty() ? "" : "<p>Lost, and not in it: " + String.join(", ", lost) + ".</p>\n")
                    + (unread.isEmpty()
                            ? ""
                            : "<p>The store of recordings did not answer, so these are not in it; make the archive"
                                    + " once more later: " + String.join(", ", unread) + ".</p>\n");
        }
    }

    private long originals(List<Long> athletes, ZipOutputStream zip, Missing missing) throws IOException {
        record Original(long id, String name) {}
        List<Original> all = sql.sql("select id, day, file_name from recording where athlete_id in (:athletes) and"
                        + " deleted_at is null order by day, id")
                .param("athletes", athletes)
                .query((rs, i) -> new Original(
                        rs.getLong(1), rs.getString(2) + " " + rs.getLong(1) + " " + plain(rs.getString(3))))
                .list();
        long count = 0;
        for (Original original : all) {
            Optional<byte[]> file = file(original.id(), original.name(), missing);
            if (file.isEmpty()) continue;
            count++;
            zip.putNextEntry(new ZipEntry("recordings/" + original.name()));
            zip.write(file.get());
            zip.closeEntry();
        }
        return count;
    }

    private Optional<byte[]> file(long recording, String name, Missing missing) {
        try {
            if (missing.isAway()) {
                Optional<byte[]> here = bytes.originalHere(recording);
                if (here.isEmpty()) missing.unread(name);
                return here;
            }
            byte[] original = bytes.original(recording);
            missing.answered();
            return Optional.of(original);
        } catch (ObjectLost e) {
            missing.lost(name);
        } catch (StoreAway e) {
            missing.unread(name);
        } catch (NotFoundException e) {
            missing.answered(); // deleted for good since the list was read
        }
        return Optional.empty();
    }

    private long noteFiles(List<Long> athletes, ZipOutputStream zip) throws IOException {
        record File(long id, String name) {}
        List<File> all = sql.sql("select id, note_id, name from note_file where athlete_id in (:athletes) order by id")
                .param("athletes", athletes)
                .query((rs, i) ->
                        new File(rs.getLong(1), rs.getLong(2) + " " + rs.getLong(1) + " " + plain(rs.getString(3))))
                .list();
        long count = 0;
        for (File file : all) {
            Optional<byte[]> content = sql.sql("select content from note_file where id = ?")
                    .param(file.id())
                    .query(byte[].class)
                    .optional();
            if (content.isEmpty()) continue; // taken away since
            count++;
            zip.putNextEntry(new ZipEntry("notes/" + file.name()));
            zip.write(content.get());
            zip.closeEntry();
        }
        return count;
    }

    private static String plain(String name) {
        return name.replaceAll("[^\\p{L}\\p{N} ._-]", "_");
    }

    private static String index(Viewer viewer, List<Written> written, Missing missing) {
        StringBuilder rows = new StringBuilder();
        for (Written w : written)
            rows.append("<tr><td><a href=\"")
                    .append(w.file())
                    .append("\">")
                    .append(w.file())
                    .append("</a></td><td>")
                    .append(w.words())
                    .append("</td><td>")
                    .append(w.count())
                    .append("</td></tr>\n");
        String name = HtmlUtils.htmlEscape(viewer.name());
        return "<!doctype html>\n<html lang=\"en\"><meta charset=\"utf-8\"><title>Pemblar: " + name + "</title>\n<h1>"
                + name + "</h1>\n<p>What Pemblar kept on the day of this archive. Each file"
                + " of <code>data</code> has a JSON object a line, and <code>tables</code> has the same rows for"
                + " a spreadsheet (CSV); recordings are as they came in. Passwords, keys of"
                + " devices and calendars, invitations, what-ifs and what is computed"
                + " from the rest are not in it.</p>\n<table>\n"
                + "<tr><th>File</th><th>What</th><th>How many</th></tr>\n" + rows + "</table>\n"
                + missing.words()
                + "</html>\n";
    }
}
