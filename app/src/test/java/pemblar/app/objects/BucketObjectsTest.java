package pemblar.app.objects;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Whatever a store does instead of answering, it is away: a page then says so, and no fault. */
@Tag("unit")
class BucketObjectsTest {
    private static Thread answering(ServerSocket server, String answer) {
        Thread thread = new Thread(() -> {
            try {
                while (true) {
                    try (Socket socket = server.accept()) {
                        socket.getInputStream().read(new byte[100]);
                        socket.getOutputStream().write(answer.getBytes(StandardCharsets.US_ASCII));
                    }
                }
            } catch (IOException e) {
                if (!server.isClosed()) throw new UncheckedIOException(e);
            }
        });
        thread.start();
        return thread;
    }

    private static void isAway(String answer) throws Exception {
        asked(answer, store -> {
            assertThatThrownBy(() -> store.get("a")).as("get, %s", answer).isInstanceOf(StoreAway.class);
            assertThatThrownBy(() -> store.put("a", new byte[200_000]))
                    .as("put, %s", answer)
                    .isInstanceOf(StoreAway.class);
            assertThatThrownBy(() -> store.delete("a")).as("delete, %s", answer).isInstanceOf(StoreAway.class);
        });
    }

    private static void asked(String answer, Consumer<ObjectStore> asking) throws Exception {
        try (ServerSocket server = new ServerSocket(0, 50, InetAddress.getLoopbackAddress())) {
            Thread thread = answering(server, answer);
            asking.accept(new BucketObjects(new ObjectSettings(
                    "http://127.0.0.1:" + server.getLocalPort(), "us-east-1", "pemblar", "key", "secret")));
            server.close();
            thread.join();
        }
    }

    @Test
    void aStoreThatHangsUpIsAway() throws Exception {
        isAway("");
    }

    @Test
    void halfAnObjectIsNotOneThatWasChanged() throws Exception {
        asked(
                "HTTP/1.1 200 OK\r\nContent-Length: 1000\r\n\r\nhalf",
                store -> assertThatThrownBy(() -> store.get("a"))
                        .isInstanceOf(StoreAway.class)
                        .isNotInstanceOf(ObjectLost.class)
                        .hasMessageContaining("4 of 1000"));
    }

    @Test
    void aStoreThatSaysSomethingElseIsAway() throws Exception {
        isAway("HTTP/1.1 503 Service Unavailable\r\nContent-Length: 0\r\nConnection: close\r\n\r\n");
        isAway("HTTP/1.1 403 Forbidden\r\nContent-Length: 0\r\nConnection: close\r\n\r\n");
        isAway("good day\r\n");
    }
}
