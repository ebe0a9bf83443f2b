package pemblar.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A PostgreSQL of the tests' own on loopback, in a temporary folder; it ends with the JVM. */
final class PrivateDatabase {
    private static final boolean ROOT = System.getProperty("user.name").equals("root");
    private final Path folder;
    private final Path programs;
    final int port = freePort();

    PrivateDatabase() {
        try {
            folder = Files.createTempDirectory("pemblar-test");
            programs = programs();
            if (ROOT) run("chown", "postgres", folder.toString());
            asServer(
                    "initdb",
                    "-D",
                    folder.toString(),
                    "-U",
                    "pemblar",
                    "-A",
                    "trust",
                    "-E",
                    "UTF8",
                    "--locale=C.UTF-8",
                    "--no-sync");
            asServer(
                    "pg_ctl",
                    "-D",
                    folder.toString(),
                    "-w",
                    "-l",
                    folder.resolve("log").toString(),
                    "-o",
                    "-p " + port
                            + " -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=off -c "
                            + "max_connections=60",
                    "start");
            Runtime.getRuntime()
                    .addShutdownHook(
                            new Thread(() -> asServer("pg_ctl", "-D", folder.toString(), "-m", "immediate", "stop")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Makes an empty database and returns its JDBC address. */
    String create(String name) {
        run(
                programs.resolve("createdb").toString(),
                "-h",
                "127.0.0.1",
                "-p",
                String.valueOf(port),
                "-U",
                "pemblar",
                name);
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + name;
    }

    static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path programs() throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(v -> v.resolve("bin"))
                    .filter(bin -> Files.exists(bin.resolve("initdb")))
                    .max(Path::compareTo)
                    .orElseThrow();
        }
    }

    private void asServer(String program, String... arguments) {
        List<String> command = new ArrayList<>();
        if (ROOT) command.addAll(List.of("runuser", "-u", "postgres", "--"));
        command.add(programs.resolve(program).toString());
        command.addAll(List.of(arguments));
        run(command.toArray(new String[0]));
    }

    private static void run(String... command) {
        try {
            Process process = new ProcessBuilder(command)
                    .directory(Path.of("/tmp").toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            if (process.waitFor() != 0) throw new IllegalStateException(String.join(" ", command) + " failed");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
