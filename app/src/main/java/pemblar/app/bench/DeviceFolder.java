package pemblar.app.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import pemblar.core.sport.Sport;

/**
 * The folders of each athlete's bench unit, as if a device were mounted: Pemblar puts workouts and zones into the
 * inbox, the unit its activities into the outbox. Nothing else passes between the two.
 */
@Component
class DeviceFolder {
    private final Path root;

    DeviceFolder(@Value("${pemblar.bench-folder}") String root) {
        this.root = Path.of(root);
    }

    /** A file in a folder. */
    record DeviceFile(String name, byte[] bytes) {}

    /** Puts files in the place of all that the inbox held. */
    void load(long athleteId, List<DeviceFile> files) {
        try {
            Path inbox = Files.createDirectories(folder(athleteId, "inbox"));
            for (DeviceFile old : files(inbox)) Files.deleteIfExists(inbox.resolve(old.name()));
            for (DeviceFile file : files) Files.write(inbox.resolve(file.name()), file.bytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    List<DeviceFile> inbox(long athleteId) {
        return files(folder(athleteId, "inbox"));
    }

    Optional<DeviceFile> workout(long athleteId, long sessionId) {
        return inbox(athleteId).stream()
                .filter(f -> f.name().equals(workoutName(sessionId)))
                .findFirst();
    }

    Optional<DeviceFile> zones(long athleteId, Sport sport) {
        return inbox(athleteId).stream()
                .filter(f -> f.name().equals(zonesName(sport)))
                .findFirst();
    }

    static String workoutName(long sessionId) {
        return "workout-" + sessionId + ".fit";
    }

    static String zonesName(Sport sport) {
        return "zones-" + sport.key() + ".fit";
    }

    /** What the unit writes when a session ends. */
    void deliver(long athleteId, DeviceFile activity) {
        try {
            Files.write(
                    Files.createDirectories(folder(athleteId, "outbox")).resolve(activity.name()), activity.bytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    List<DeviceFile> outbox(long athleteId) {
        return files(folder(athleteId, "outbox"));
    }

    /** Takes a file out of the outbox once it is uploaded. */
    void collected(long athleteId, String name) {
        try {
            Files.deleteIfExists(folder(athleteId, "outbox").resolve(name));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path folder(long athleteId, String which) {
        return root.resolve(String.valueOf(athleteId)).resolve(which);
    }

    private static List<DeviceFile> files(Path folder) {
        if (!Files.isDirectory(folder)) return List.of();
        try (Stream<Path> paths = Files.list(folder)) {
            List<DeviceFile> files = new ArrayList<>();
            for (Path path :
                    paths.filter(p -> p.toString().endsWith(".fit")).sorted().toList())
                files.add(new DeviceFile(path.getFileName().toString(), Files.readAllBytes(path)));
            return files;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
