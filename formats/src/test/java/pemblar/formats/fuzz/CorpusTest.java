package pemblar.formats.fuzz;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Every file of the corpus, whatever a search has found so far among it, and many damaged ones: each is answered,
 * within two seconds and 256 MB. {@code -Dmutations=100000} damages more of each than CI does; {@code ./pemblar fuzz}
 * searches.
 */
class CorpusTest {
    private static final Path CORPUS = Path.of("src/test/corpus");
    private static final int MUTATIONS = Integer.getInteger("mutations", 2000);
    private static final long MOST_NANOS = 2_000_000_000L;
    private static final long MOST_BYTES = 256L << 20;
    private static final com.sun.management.ThreadMXBean THREADS =
            (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();

    static List<byte[]> corpus(Reader reader) {
        try (Stream<Path> files = Files.list(CORPUS.resolve(reader.folder()))) {
            return files.sorted().map(CorpusTest::bytes).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] bytes(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Bytes changed, taken out, doubled, or the head of one with the tail of another. */
    static byte[] damaged(List<byte[]> corpus, Random random) {
        byte[] from = corpus.get(random.nextInt(corpus.size())).clone();
        int changes = 1 + random.nextInt(4);
        for (int i = 0; i < changes && from.length > 1; i++) {
            int at = random.nextInt(from.length);
            int length = 1 + random.nextInt(Math.min(16, from.length - at));
            switch (random.nextInt(5)) {
                case 0 -> from[at] = (byte) random.nextInt(256);
                case 1 -> from[at] ^= (byte) (1 << random.nextInt(8));
                case 2 -> from = joined(Arrays.copyOf(from, at), Arrays.copyOfRange(from, at + length, from.length));
                case 3 -> from = joined(Arrays.copyOf(from, at + length), Arrays.copyOfRange(from, at, from.length));
                default -> {
                    byte[] other = corpus.get(random.nextInt(corpus.size()));
                    int cut = random.nextInt(other.length + 1);
                    from = joined(Arrays.copyOf(from, at), Arrays.copyOfRange(other, cut, other.length));
                }
            }
        }
        return from;
    }

    private static byte[] joined(byte[] head, byte[] tail) {
        byte[] all = Arrays.copyOf(head, head.length + tail.length);
        System.arraycopy(tail, 0, all, head.length, tail.length);
        return all;
    }

    private static void answered(Reader reader, byte[] bytes, String which) {
        long allocated = THREADS.getCurrentThreadAllocatedBytes();
        long begun = System.nanoTime();
        try {
            reader.read(bytes);
        } catch (RuntimeException | Error e) {
            throw new AssertionError(reader + " " + which + " fails: " + e + keep(reader, bytes), e);
        }
        long took = THREADS.getCurrentThreadAllocatedBytes() - allocated;
        assertTrue(took < MOST_BYTES, () -> reader + " " + which + " took " + took / 1e6 + " MB" + keep(reader, bytes));
        if (System.nanoTime() - begun > MOST_NANOS) again(reader, bytes, which);
    }

    /** The first time may be slow for what is loaded then, or for what else the machine does. */
    private static void again(Reader reader, byte[] bytes, String which) {
        long begun = System.nanoTime();
        reader.read(bytes);
        long nanos = System.nanoTime() - begun;
        assertTrue(
                nanos < MOST_NANOS, () -> reader + " " + which + " took " + nanos / 1e9 + " s" + keep(reader, bytes));
    }

    /** What failed stays to be looked at, and to be put into the corpus once it is mended. */
    private static String keep(Reader reader, byte[] bytes) {
        try {
            Path file = Path.of("target", "failed-" + reader.folder());
            Files.createDirectories(file.getParent());
            Files.write(file, bytes);
            return "; kept as formats/" + file;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @EnumSource(Reader.class)
    void everyFileOfTheCorpusIsAnswered(Reader reader) {
        List<byte[]> corpus = corpus(reader);
        assertFalse(corpus.isEmpty());
        for (int i = 0; i < corpus.size(); i++) answered(reader, corpus.get(i), "file " + i);
    }

    @ParameterizedTest
    @EnumSource(Reader.class)
    void damagedOnesAreAnsweredToo(Reader reader) {
        List<byte[]> corpus = corpus(reader);
        Random random = new Random(reader.ordinal());
        for (int i = 0; i < MUTATIONS; i++) answered(reader, damaged(corpus, random), "damage " + i);
    }
}
