package pemblar.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** A wire to the application that can be cut: then nobody at its end has a connection, the browser's worker neither. */
final class Wire implements AutoCloseable {
    private final int to;
    private final int port;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private ServerSocket server;

    Wire(int to) {
        this.to = to;
        this.port = PrivateDatabase.freePort();
        mend();
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    void mend() {
        try {
            ServerSocket listening = new ServerSocket();
            listening.setReuseAddress(true);
            listening.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            server = listening;
            thread(() -> accept(listening));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void cut() {
        shut(server);
        open.forEach(Wire::shut);
        open.clear();
    }

    @Override
    public void close() {
        cut();
    }

    private void accept(ServerSocket listening) {
        while (!listening.isClosed()) {
            try {
                Socket near = listening.accept();
                Socket far = new Socket(InetAddress.getLoopbackAddress(), to);
                open.add(near);
                open.add(far);
                thread(() -> copy(near, far));
                thread(() -> copy(far, near));
            } catch (IOException e) {
                return; // cut
            }
        }
    }

    private static void copy(Socket from, Socket into) {
        try (InputStream in = from.getInputStream();
                OutputStream out = into.getOutputStream()) {
            in.transferTo(out);
        } catch (IOException e) {
            // cut
        } finally {
            shut(from);
            shut(into);
        }
    }

    private static void thread(Runnable work) {
        Thread thread = new Thread(work, "wire");
        thread.setDaemon(true);
        thread.start();
    }

    private static void shut(AutoCloseable it) {
        try {
            it.close();
        } catch (Exception e) {
            // it is shut
        }
    }
}
