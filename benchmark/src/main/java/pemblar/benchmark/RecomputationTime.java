package pemblar.benchmark;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Changes the first threshold of the demo rider, whose later values are removed before, so that it holds for two years;
 * measures from the answer of the adoption until the last session is recomputed. All is taken back at the end. Once for
 * each kind of value.
 */
public final class RecomputationTime {
    private static final int RUNS = 5;
    private static final long PATIENCE_MILLIS = 60_000;
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final String address;
    private String token = "";

    private RecomputationTime(String address) {
        this.address = address;
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        String address = arguments.length > 0 ? arguments[0] : "http://127.0.0.1:8710";
        if (!URI.create(address).getHost().equals("127.0.0.1"))
            throw new IllegalArgumentException("only 127.0.0.1 is asked, was " + address);
        RecomputationTime time = new RecomputationTime(address);
        time.get("/sign-in");
        time.post("/sign-in", Map.of("username", "jonna@pemblar.example", "password", "pemblar-demo"));
        time.measure("THRESHOLD_POWER", "200");
        time.measure("W_PRIME", "15");
        time.measure("THRESHOLD_HEART_RATE", "165");
    }

    private void measure(String quantity, String value) throws IOException, InterruptedException {
        List<String> days = days(quantity);
        int changes = 0;
        for (String day : days.subList(1, days.size())) {
            post("/a/1/thresholds/remove", Map.of("quantity", quantity, "from", day));
            untilDone();
            changes++;
        }
        for (int run = 0; run < RUNS; run++) {
            long begin = System.nanoTime();
            post(
                    "/a/1/thresholds/adopt",
                    Map.of(quantity, String.valueOf(Integer.parseInt(value) + run), "from", days.get(0)));
            long answered = System.nanoTime();
            String done = untilDone();
            long end = System.nanoTime();
            changes++;
            System.out.printf(
                    Locale.ROOT,
                    "%-22s %s sessions: preview and adoption %4d ms, recomputed after %5d ms%n",
                    quantity,
                    done,
                    (answered - begin) / 1_000_000,
                    (end - answered) / 1_000_000);
        }
        for (; changes > 0; changes--) post("/a/1/thresholds/adopt/undo", Map.of());
        untilDone();
    }

    /** The first days of a quantity's values, oldest first. */
    private List<String> days(String quantity) throws IOException, InterruptedException {
        Matcher day = Pattern.compile("name=\"quantity\" value=\"" + quantity
                        + "\"[^>]*><input type=\"hidden\" name=\"from\" value=\"([-0-9]+)\"")
                .matcher(get("/a/1/thresholds"));
        List<String> days = new ArrayList<>();
        while (day.find()) days.add(0, day.group(1));
        if (days.isEmpty()) throw new IllegalStateException("the demo rider has no " + quantity);
        return days;
    }

    /** Asks every 20 ms; the number of sessions when all are done. */
    private String untilDone() throws IOException, InterruptedException {
        long until = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (System.currentTimeMillis() < until) {
            Matcher done = Pattern.compile("<b>(\\d+)</b> <span>sessions? (were|was)")
                    .matcher(get("/a/1/thresholds/progress"));
            if (done.find()) return done.group(1);
            Thread.sleep(20);
        }
        throw new IllegalStateException("not recomputed within a minute");
    }

    private String get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET().build());
    }

    private void post(String path, Map<String, String> form) throws IOException, InterruptedException {
        String body = form.entrySet().stream()
                        .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"))
                + "&_csrf=" + token;
        send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(body))
                .build());
    }

    private String send(HttpRequest request) throws IOException, InterruptedException {
        String body = client.send(request, BodyHandlers.ofString()).body();
        Matcher matcher = TOKEN.matcher(body);
        if (matcher.find()) token = matcher.group(1);
        return body;
    }
}
