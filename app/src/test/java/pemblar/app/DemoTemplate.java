package pemblar.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * The demo data as a cluster of its own under {@code target/}, by what makes them: the compiled classes, the resources
 * and the day, as they follow today. Loaded once, it is copied for every other run of the day.
 */
final class DemoTemplate {
    private static final Path FOLDER = Path.of("target", "demo-template").toAbsolutePath();
    private static final List<Path> MADE_FROM = List.of(
            Path.of("target", "classes"),
            Path.of("..", "core", "target", "classes"),
            Path.of("..", "formats", "target", "classes"),
            Path.of("..", "benchunit", "target", "classes"));

    private DemoTemplate() {}

    /**
     * Where today's template lies; it is made by one JVM at a time.
     *
     * @param make makes it at a place where nothing is yet
     */
    static Path get(Consumer<Path> make) {
        try {
            Files.createDirectories(FOLDER);
            Path template = FOLDER.resolve(key());
            try (FileChannel lock = FileChannel.open(
                            FOLDER.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                    var held = lock.lock()) {
                if (Files.exists(template)) return template;
                forgetOthers();
                make.accept(template);
                return template;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void forgetOthers() throws IOException {
        try (Stream<Path> old = Files.list(FOLDER)) {
            for (Path path : old.filter(Files::isDirectory).toList()) PrivateDatabase.run("rm", "-rf", path.toString());
        }
    }

    private static String key() throws IOException {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(LocalDate.now(ZoneOffset.UTC).toString().getBytes());
            for (Path root : MADE_FROM) add(digest, root);
            return HexFormat.of().formatHex(digest.digest(), 0, 12);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Pages, styles and scripts make no data. */
    private static void add(MessageDigest digest, Path root) throws IOException {
        try (Stream<Path> files = Files.walk(root)) {
            for (Path file : files.filter(Files::isRegularFile)
                    .filter(f -> !f.toString().contains("/templates/")
                            && !f.toString().contains("/static/"))
                    .sorted()
                    .toList())
                try (InputStream bytes = Files.newInputStream(file)) {
                    digest.update(file.toString().getBytes());
                    digest.update(bytes.readAllBytes());
                }
        }
    }
}
