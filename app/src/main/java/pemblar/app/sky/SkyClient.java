package pemblar.app.sky;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Asks a weather service: {@code GET base/hours?latitude&longitude&from&to} answers {@code {"hours": [{"at", "celsius",
 * "rainMillimetres", "windMetresPerSecond", "ice"}]}}. Whatever goes wrong, too slow, too long or nonsense, is an empty
 * answer: weather is never worth an error.
 */
class SkyClient {
    static final Duration PATIENCE = Duration.ofSeconds(2);
    private static final int MOST_BYTES = 200_000;
    private static final int MOST_HOURS = 400;
    private final Supplier<String> base;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();

    /** @param base the service's address without {@code /hours} */
    SkyClient(Supplier<String> base) {
        this.base = base;
    }

    List<SkyHour> hours(Place place, Instant from, Instant to) {
        String address = String.format(
                Locale.ROOT,
                "%s/hours?latitude=%.1f&longitude=%.1f&from=%s&to=%s",
                base.get(),
                place.latitude(),
                place.longitude(),
                from,
                to);
        try {
            HttpRequest request = HttpRequest.newBuilder(URI.create(address))
                    .timeout(PATIENCE)
                    .build();
            return http.sendAsync(request, HttpResponse.BodyHandlers.ofInputStream())
                    .thenApplyAsync(SkyClient::read)
                    .orTimeout(2 * PATIENCE.toMillis(), java.util.concurrent.TimeUnit.MILLISECONDS)
                    .join();
        } catch (java.util.concurrent.CompletionException | IllegalArgumentException e) {
            return List.of();
        }
    }

    private static List<SkyHour> read(HttpResponse<InputStream> answer) {
        try (InputStream body = answer.body()) {
            if (answer.statusCode() != 200) return List.of();
            byte[] bytes = body.readNBytes(MOST_BYTES + 1);
            return bytes.length > MOST_BYTES ? List.of() : parsed(new String(bytes, StandardCharsets.UTF_8));
        } catch (IOException e) {
            return List.of();
        }
    }

    /** Hours that make sense; of nonsense none. */
    static List<SkyHour> parsed(String json) {
        List<SkyHour> hours = new ArrayList<>();
        try {
            for (JsonNode hour : JsonMapper.shared().readTree(json).path("hours"))
                if (hours.size() < MOST_HOURS) hours.add(hour(hour));
            return hours;
        } catch (JacksonException | IllegalArgumentException | java.time.DateTimeException e) {
            return List.of();
        }
    }

    private static SkyHour hour(JsonNode hour) {
        return new SkyHour(
                Instant.parse(hour.path("at").asString("")),
                hour.path("celsius").asDouble(Double.NaN),
                hour.path("rainMillimetres").asDouble(Double.NaN),
                hour.path("windMetresPerSecond").asDouble(Double.NaN),
                hour.path("ice").asBoolean(false));
    }
}
