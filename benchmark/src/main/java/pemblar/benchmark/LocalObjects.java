package pemblar.benchmark;

import com.robothy.s3.rest.LocalS3;
import com.robothy.s3.rest.bootstrap.LocalS3Mode;
import java.nio.file.Files;
import java.nio.file.Path;

/** A store of objects that lies in a folder of this machine, for {@code ./pemblar soak objects}. */
public final class LocalObjects {
    private LocalObjects() {}

    /** @param arguments port, folder */
    public static void main(String[] arguments) throws Exception {
        Path folder = Files.createDirectories(Path.of(arguments[1]));
        LocalS3.builder()
                .port(Integer.parseInt(arguments[0]))
                .mode(LocalS3Mode.PERSISTENCE)
                .dataPath(folder.toString())
                .build()
                .start();
        Thread.currentThread().join();
    }
}
