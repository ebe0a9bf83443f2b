package pemblar.app.archive;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import pemblar.app.frame.Viewer;

/**
 * The rows of a person as they were at one moment, set aside on the disk: what changes while an archive is loaded is
 * neither twice in it nor missing, and no connection waits for who loads it. The file has no name from the beginning,
 * so that nothing of a person stays behind when a node is killed.
 */
final class ShelfCopy implements AutoCloseable {
    private static final int AT_ONCE = 1000;
    private static final int PIECE = 64 << 10;
    private final FileChannel file;
    private final Map<Shelf, Part> parts = new HashMap<>();

    private ShelfCopy() {
        try {
            Path path = Files.createTempFile("pemblar-archive", null);
            file = FileChannel.open(path, StandardOpenOption.READ, StandardOpenOption.WRITE);
            Files.delete(path);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Where the packed rows of a shelf lie in the file, and how many they are. */
    private record Part(long from, long until, long count) {}

    /** Takes some rows, each a JSON object. */
    interface Taking {
        void take(List<String> rows) throws IOException;
    }

    /** Within one transaction that sees one moment. @throws UncheckedIOException when the disk does not hold it */
    static ShelfCopy of(JdbcClient sql, Viewer viewer, List<Long> athletes) {
        ShelfCopy copy = new ShelfCopy();
        try {
            for (Shelf shelf : Shelf.ALL) copy.parts.put(shelf, copy.copied(sql, shelf, viewer, athletes));
            return copy;
        } catch (RuntimeException e) {
            copy.close();
            throw e;
        }
    }

    private Part copied(JdbcClient sql, Shelf shelf, Viewer viewer, List<Long> athletes) {
        long[] count = {0};
        try {
            long from = file.position();
            GZIPOutputStream packed = new GZIPOutputStream(Channels.newOutputStream(file), PIECE);
            Writer out = new BufferedWriter(new OutputStreamWriter(packed, StandardCharsets.UTF_8));
            sql.sql("select row_to_json(r) from (select " + shelf.columns() + " from " + shelf.from() + " order by "
                            + shelf.by() + ") r")
                    .withFetchSize(AT_ONCE)
                    .param("account", viewer.accountId())
                    .param("athletes", athletes)
                    .query(row -> {
                        count[0]++;
                        written(out, row.getString(1));
                    });
            out.flush();
            packed.finish();
            return new Part(from, file.position(), count[0]);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void written(Writer out, String row) {
        try {
            out.write(row);
            out.write('\n');
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    long count(Shelf shelf) {
        return parts.get(shelf).count();
    }

    /** The bytes of one part. */
    private final class Stretch extends InputStream {
        private final long until;
        private long at;

        Stretch(Part part) {
            at = part.from();
            until = part.until();
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            if (at >= until) return -1;
            int wanted = (int) Math.min(length, until - at);
            int came = file.read(ByteBuffer.wrap(into, offset, wanted), at);
            if (came > 0) at += came;
            return came;
        }
    }

    void read(Shelf shelf, Taking taking) throws IOException {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                new GZIPInputStream(new Stretch(parts.get(shelf)), PIECE), StandardCharsets.UTF_8))) {
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
        try {
            file.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
