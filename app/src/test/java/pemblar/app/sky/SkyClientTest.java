package pemblar.app.sky;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Whatever a weather service does, it is never worth an error. */
@Tag("unit")
class SkyClientTest {
    private static final Instant FROM = Instant.parse("2027-01-01T00:00:00Z");
    private static final Place PLACE = new Place("Made-up fen", 61.23, 14.8);
    private final CountDownLatch never = new CountDownLatch(1);
    private HttpServer server;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(Executors.newCachedThreadPool());
        server.start();
    }

    @AfterEach
    void stop() {
        never.countDown();
        server.stop(0);
    }

    private void answers(int status, String body) {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        server.createContext("/sky/hours", exchange -> {
            exchange.sendResponseHeaders(status, bytes.length);
            exchange.getResponseBody().write(bytes);
            exchange.close();
        });
    }

    private List<SkyHour> asked() {
        return new SkyClient(() -> "http://127.0.0.1:" + server.getAddress().getPort() + "/sky")
                .hours(PLACE, FROM, FROM.plusSeconds(7200));
    }

    private static String hour(String celsius) {
        return "{\"hours\": [{\"at\": \"2027-01-01T00:00:00Z\", \"celsius\": " + celsius
                + ", \"rainMillimetres\": 0.4, \"windMetresPerSecond\": 3, \"ice\": true}]}";
    }

    @Test
    void anAnswerIsReadAndSaidInWords() {
        answers(200, hour("-1.2"));
        assertThat(asked()).containsExactly(new SkyHour(FROM, -1.2, 0.4, 3, true));
        assertThat(asked().get(0).words()).isEqualTo("−1 °C, snow, wind 3 m/s, icy");
    }

    @Test
    void nonsenseIsNoAnswer() {
        answers(200, hour("\"warm\""));
        assertThat(asked()).isEmpty();
        assertThat(SkyClient.parsed(hour("900"))).isEmpty();
        assertThat(SkyClient.parsed("<html>")).isEmpty();
        assertThat(SkyClient.parsed("[]")).isEmpty();
        assertThat(SkyClient.parsed(hour("1").replace("2027-01-01T00", "someday")))
                .isEmpty();
    }

    @Test
    void aFaultOfTheServiceOrAFloodIsNoAnswer() {
        answers(500, hour("1"));
        assertThat(asked()).isEmpty();
        server.removeContext("/sky/hours");
        answers(200, " ".repeat(300_000) + hour("1"));
        assertThat(asked()).isEmpty();
    }

    @Test
    void oneThatIsAwayOrNeverEndsIsNoAnswerAndNobodyWaitsForIt() {
        server.createContext("/sky/hours", exchange -> {
            exchange.sendResponseHeaders(200, 0);
            exchange.getResponseBody().write('{');
            try {
                never.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        assertThat(asked()).isEmpty();
        int gone = server.getAddress().getPort();
        server.stop(0);
        assertThat(new SkyClient(() -> "http://127.0.0.1:" + gone + "/sky").hours(PLACE, FROM, FROM))
                .isEmpty();
        assertThat(new SkyClient(() -> "no address at all").hours(PLACE, FROM, FROM))
                .isEmpty();
    }
}
