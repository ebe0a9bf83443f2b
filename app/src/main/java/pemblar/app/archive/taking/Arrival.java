package pemblar.app.archive.taking;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.springframework.stereotype.Component;
import pemblar.app.archive.Shelf;
import pemblar.app.frame.door.BodyLimit;

/**
 * Takes an archive off the wire, file by file and piece by piece: memory holds one piece, no connection is held while
 * the person sends, and a file that grows without end is stopped.
 */
@Component
class Arrival {
    private static final int PIECE = 256 << 10;
    private static final int LONGEST_NAME = 300;
    private static final int MOST_FILES = 50_000;
    private static final String TABLES = "tables/";
    private static final long MOST_OF_FILE = 64L << 20;
    /** Rows are read one by one: decades of them may be more than any file that was uploaded. */
    private static final long MOST_OF_ROWS = 256L << 20;

    private static final long MOST_SENT = BodyLimit.LARGEST_ARCHIVE;
    private static final long MOST_UNPACKED = 8L << 30;
    /** So often it is written down how much has come, and looked whether all archives together have room. */
    private static final long COUNTED_EVERY = 4L << 20;

    private static final Pattern RECORDING = Pattern.compile("recordings/\\S+ \\d{1,18} [^/]*");
    private static final Pattern NOTE = Pattern.compile("notes/\\d{1,18} \\d{1,18} [^/]*");
    private static final Set<String> DATA = Shelf.ALL.stream().map(Shelf::path).collect(Collectors.toSet());
    private final ArchiveStore store;

    Arrival(ArchiveStore store) {
        this.store = store;
    }

    /** @throws IllegalArgumentException with a sentence when it is no archive, too large, or there is no room */
    void receive(long archiveId, InputStream body) throws IOException {
        Unpacking unpacking = new Unpacking(archiveId);
        try (ZipInputStream zip = new ZipInputStream(new Sent(body))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry())
                unpacking.file(entry.getName(), zip);
        } catch (ZipException | EOFException | IllegalStateException e) {
            throw new IllegalArgumentException(
                    "The file is damaged, or is no archive of Pemblar. Download it again and send it unchanged.");
        }
        if (!unpacking.isArchive)
            throw new IllegalArgumentException("The file is no archive of Pemblar: data/account.jsonl is not in it.");
    }

    private final class Unpacking {
        private final long archiveId;
        private final byte[] piece = new byte[PIECE];
        private final Set<String> names = new java.util.HashSet<>();
        private long unpacked;
        private long kept;
        private long counted;
        private int files;
        private boolean isArchive;

        private Unpacking(long archiveId) {
            this.archiveId = archiveId;
        }

        private void file(String name, InputStream in) throws IOException {
            if (++files > MOST_FILES)
                throw new IllegalArgumentException("An archive holds at most " + MOST_FILES + " files.");
            boolean wanted = isWanted(name) && names.add(name);
            isArchive |= name.equals("data/account.jsonl");
            long most = DATA.contains(name) || name.startsWith(TABLES) ? MOST_OF_ROWS : MOST_OF_FILE;
            long size = 0;
            int place = 0;
            int read;
            while ((read = in.readNBytes(piece, 0, PIECE)) > 0) {
                size += read;
                unpacked += read;
                if (size > most || unpacked > MOST_UNPACKED)
                    throw new IllegalArgumentException("“" + shortened(name) + "” is too large: a recording or a note's"
                            + " file has at most 64 MB, rows of one kind 256 MB, all of them together 8 GB.");
                if (wanted) keep(name, place++, read);
            }
        }

        private void keep(String name, int place, int read) {
            kept += read;
            if (kept - counted >= COUNTED_EVERY) {
                counted = kept;
                store.count(archiveId, kept);
            }
            store.piece(archiveId, name, place, java.util.Arrays.copyOf(piece, read));
        }
    }

    private static boolean isWanted(String name) {
        return name.length() <= LONGEST_NAME
                && name.indexOf('\0') < 0
                && (DATA.contains(name)
                        || RECORDING.matcher(name).matches()
                        || NOTE.matcher(name).matches());
    }

    private static String shortened(String name) {
        return name.length() > 80 ? name.substring(0, 80) + "…" : name;
    }

    /** What is sent, up to a limit. */
    private static final class Sent extends java.io.FilterInputStream {
        private long sent;

        private Sent(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int one = super.read();
            if (one >= 0) count(1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int read = super.read(into, from, length);
            count(read);
            return read;
        }

        private void count(int bytes) {
            if (bytes > 0) sent += bytes;
            if (sent > MOST_SENT)
                throw new IllegalArgumentException("An archive has at most 4 GB. Delete recordings that you no longer"
                        + " need where it comes from, and download it again.");
        }
    }
}
