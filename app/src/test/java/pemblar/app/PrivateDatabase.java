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
        this(null);
    }

    /** @param template a cluster to start from; null for an empty one */
    PrivateDatabase(Path template) {
        try {
            folder = Files.createTempDirectory("pemblar-test");
            programs = programs();
            if (template == null) initialize();
            else run("cp", "-a", template + "/.", folder.toString());
            if (ROOT) run("chown", "-R", "postgres", folder.toString());
            run("chmod", "700", folder.toString());
            start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void initialize() {
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
    }

    private void start() {
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
        Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
    }

    void stop() {
        if (!Files.exists(folder)) return; // it was stopped already
        asServer("pg_ctl", "-D", folder.toString(), "-m", "immediate", "stop");
        run("rm", "-rf", folder.toString());
    }

    /** Keeps the whole cluster at a place, as it now is, for others to start from. */
    void keep(Path place) {
        Path made = place.resolveSibling(place.getFileName() + ".made");
        run("rm", "-rf", made.toString());
        copy(made, "-X", "fetch");
        if (ROOT) run("chown", "-R", "postgres", made.toString());
        run("mv", made.toString(), place.toString());
    }

    /** Another server that follows this one and can only be read. */
    PrivateDatabase following() {
        try {
            Path place = Files.createTempDirectory("pemblar-copy").resolve("cluster");
            copy(place, "--write-recovery-conf");
            return new PrivateDatabase(place);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void copy(Path place, String... how) {
        List<String> command = new ArrayList<>(List.of(
                programs.resolve("pg_basebackup").toString(),
                "-h",
                "127.0.0.1",
                "-p",
                String.valueOf(port),
                "-U",
                "pemblar",
                "-D",
                place.toString(),
                "--checkpoint=fast",
                "--no-sync"));
        command.addAll(List.of(how));
        run(command.toArray(new String[0]));
    }

    /** The JDBC address of a database that is there already. */
    String address(String name) {
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + name;
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
        return address(name);
    }

    /** Makes a database of a dump in SQL and returns its JDBC address. */
    String load(String name, Path dump) {
        String address = create(name);
        run(
                programs.resolve("psql").toString(),
                "-q",
                "-v",
                "ON_ERROR_STOP=1",
                "-h",
                "127.0.0.1",
                "-p",
                String.valueOf(port),
                "-U",
                "pemblar",
                "-d",
                name,
                "-f",
                dump.toString());
        return address;
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

    static void run(String... command) {
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
