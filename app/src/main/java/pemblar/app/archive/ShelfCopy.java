package pemblar.app.archive;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.util.FileSystemUtils;
import pemblar.app.frame.Viewer;

/**
 * The rows of a person as they were at one moment, set aside on the disk: what changes while an archive is loaded is
 * neither twice in it nor missing, and no connection waits for who loads it.
 */
final class ShelfCopy implements AutoCloseable {
    private static final int AT_ONCE = 1000;
    private final Path folder;
    private final Map<Shelf, Long> counts = new LinkedHashMap<>();

    private ShelfCopy() {
        try {
            folder = Files.createTempDirectory("pemblar-archive");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Takes some rows, each a JSON object. */
    interface Taking {
        void take(List<String> rows) throws IOException;
    }

    /** Within one transaction that sees one moment. @throws UncheckedIOException when the disk does not hold it */
    static ShelfCopy of(JdbcClient sql, Viewer viewer, List<Long> athletes) {
        ShelfCopy copy = new ShelfCopy();
        try {
            for (Shelf shelf : Shelf.ALL) copy.counts.put(shelf, copy.copied(sql, shelf, viewer, athletes));
            return copy;
        } catch (RuntimeException e) {
            copy.close();
            throw e;
        }
    }

    private long copied(JdbcClient sql, Shelf shelf, Viewer viewer, List<Long> athletes) {
        long[] count = {0};
        try (Writer out = new OutputStreamWriter(
                new GZIPOutputStream(Files.newOutputStream(file(shelf))), StandardCharsets.UTF_8)) {
            sql.sql("select row_to_json(r) from (select " + shelf.columns() + " from " + shelf.from() + " order by "
                            + shelf.by() + ") r")
                    .withFetchSize(AT_ONCE)
                    .param("account", viewer.accountId())
                    .param("athletes", athletes)
                    .query(row -> {
                        count[0]++;
                        written(out, row.getString(1));
                    });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return count[0];
    }

    private static void written(Writer out, String row) {
        try {
            out.write(row);
            out.write('\n');
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path file(Shelf shelf) {
        return folder.resolve(shelf.file() + ".gz");
    }

    long count(Shelf shelf) {
        return counts.get(shelf);
    }

    void read(Shelf shelf, Taking taking) throws IOException {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                new GZIPInputStream(Files.newInputStream(file(shelf))), StandardCharsets.UTF_8))) {
            List<String> some = new ArrayList<>();
            for (String row = in.readLine(); row != null; row = in.readLine()) {
                some.add(row);
                if (some.size() < AT_ONCE) continue;
                taking.take(some);
                some.clear();
            }
            taking.take(some);
        }
    }

    @Override
    public void close() {
        FileSystemUtils.deleteRecursively(folder.toFile());
    }
}
